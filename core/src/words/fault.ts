import { faults } from './en/faults.ts';
import { fields } from './en/fields.ts';
import { text } from './en/text.ts';
import { measuresOf } from './measures.ts';
import type { Said } from './message.ts';
import { METRIC } from './unitChoice.ts';
import { wordsOf, type Words } from './words.ts';

/** A schema does not know who reads: its message is plain English in base units, for programs and for the log. */
const PLAIN = wordsOf(
  [{ faults, fields, text }],
  measuresOf({ units: METRIC, locale: 'en', timeZone: 'UTC' }),
);
/** What each such message says, so that it can be put anew in the words of whoever reads it. */
const SAID_BY = new Map<string, Said>();

/** What is wrong in plain English, where no schema is built. */
export const plainly = (said: Said): string => PLAIN.say(said);

/** What a schema says where something is wrong; put into words only then. `words` where it says more than fields and faults. */
export const fault = (said: Said, words = PLAIN): { readonly error: () => string } => ({
  error: () => {
    const plain = words.say(said);
    SAID_BY.set(plain, said);
    return plain;
  },
});

/** A fault as a schema or the server told it, in somebody's words; what is none of ours stands as it is. */
export const faultIn = (message: string, words: Words): string => words.say(SAID_BY.get(message) ?? message);
