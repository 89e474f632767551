import { isChannelRole, type ChannelRole } from '../channelRoles.ts';
import { SAID_OF_ANY, isPlace } from './explainHeading.ts';
import type { Meaning } from './facets.ts';
import { readWords } from './readWords.ts';
import { ROLE_MEANINGS, type RoleMeaning } from './roleMeanings.ts';
import type { Sense } from './words.ts';

/** Words that no lexicon has, by what corrections of headings show them to mean. */
export type LearnedWords = ReadonlyMap<string, Sense>;
export const NOTHING_LEARNED: LearnedWords = new Map();

/** Shorter ones are letters of connectors and counters. */
const LEAST_LEARNED = 3;

/** What is missing of a way of naming a role, where nothing else is said. */
function missing(way: RoleMeaning, said: readonly Meaning[]): readonly Meaning[] | undefined {
  const open = new Set<Meaning>([...way.wants, ...(way.allows ?? [])]);
  const placed = way.at !== undefined || way.mayBeAt !== undefined;
  if (!said.every((one) => open.has(one) || SAID_OF_ANY.has(one) || (placed && isPlace(one))))
    return undefined;
  return way.wants.filter((one) => !said.includes(one));
}

/** The meaning of the one unknown word of a heading that a person said the role of; nothing where there are several or none. */
function learnedFrom(heading: string, role: ChannelRole): readonly [word: string, sense: Sense] | undefined {
  const words = readWords(heading);
  const unknown = words.filter(({ senses, text }) => senses.length === 0 && text.length >= LEAST_LEARNED);
  const [only] = unknown;
  if (!only || unknown.length > 1) return undefined;
  const said = words.flatMap(({ senses }) => senses[0]?.meanings ?? []);
  // A word that stands with a number alone is a name of the tool’s: “Signal 12”.
  if (said.every((one) => SAID_OF_ANY.has(one) || one.startsWith('number:'))) return undefined;
  for (const way of ROLE_MEANINGS[role]) {
    const means = way.weak || way.at ? undefined : missing(way, said);
    if (means && means.length > 0) return [only.text, { meanings: means, word: only.text }];
  }
  return undefined;
}

/**
 * What the corrections of a workshop teach beyond the headings themselves: where a heading had one word that is not known, that word means
 * what its role still wanted. A word that two corrections show to mean different things is not learned.
 * @param corrections role by heading; an empty role says that it is none of the known ones and teaches no word
 */
export function learnWords(corrections: Readonly<Record<string, string>>): LearnedWords {
  const learned = new Map<string, Sense | undefined>();
  for (const [heading, role] of Object.entries(corrections)) {
    const found = isChannelRole(role) ? learnedFrom(heading, role) : undefined;
    if (!found) continue;
    const [word, sense] = found;
    const before = learned.get(word);
    const agrees = !learned.has(word) || before?.meanings.join() === sense.meanings.join();
    learned.set(word, agrees ? sense : undefined);
  }
  return new Map([...learned].flatMap(([word, sense]) => (sense ? [[word, sense] as const] : [])));
}
