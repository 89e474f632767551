import type { ChannelRole } from '../channelRoles.ts';
import { explainHeading } from './explainHeading.ts';
import type { LearnedWords } from './learnedWords.ts';
import { inWords } from './whyNone.ts';

/** A word of a heading and what it was taken for. */
export interface SpelledWord {
  readonly word: string;
  /** Empty where it is not known. */
  readonly means: string;
}

/**
 * What each word of a heading was taken for.
 * @param role the channel that the column became: of two senses of a word, the one that names it
 */
export function spellOut(name: string, role?: ChannelRole, learned?: LearnedWords): SpelledWord[] {
  const { words, roles } = explainHeading(name, learned);
  const read = new Set(roles.find((one) => one.role === role)?.read);
  return words.map(({ text, senses }) => {
    const sense =
      senses.find(({ meanings }) => meanings.length > 0 && meanings.every((one) => read.has(one))) ??
      senses[0];
    return {
      word: text,
      means: inWords((sense?.meanings ?? []).filter((one) => one !== 'filler:word')),
    };
  });
}
