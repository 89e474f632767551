import { say, type Said } from '../../words/index.ts';
import { roleName, ROLE_IDS, type ChannelRole } from '../channelRoles.ts';
import { explainHeading, isPlace, SAID_OF_ANY } from './explainHeading.ts';
import type { Meaning } from './facets.ts';
import type { ReadWord } from './readWords.ts';
import { ROLE_MEANINGS, type RoleMeaning } from './roleMeanings.ts';

/** Meanings as a person reads them, each once: “temperature, exhaust, before, filter”. */
export const inWords = (meanings: Iterable<Meaning>): string =>
  [...new Set(meanings)].map((one) => one.slice(one.indexOf(':') + 1).replaceAll('-', ' ')).join(', ');

const meaningsOf = (word: ReadWord): readonly Meaning[] =>
  word.by === 'number' ? [] : (word.senses[0]?.meanings ?? []).filter((one) => !one.startsWith('filler'));

/** What the words of a heading were taken for, each by its likeliest meaning: “pressure, fuel”; empty where none is known. */
export const readAs = (name: string): string => inWords(explainHeading(name).words.flatMap(meaningsOf));

/** Words that a way of naming a role does not want and does not allow. */
function puttingOff(words: readonly ReadWord[], way: RoleMeaning): readonly ReadWord[] {
  const open = new Set<Meaning>([...way.wants, ...(way.allows ?? [])]);
  const placed = way.at !== undefined || way.mayBeAt !== undefined;
  return words.filter(
    ({ senses }) =>
      senses.length > 0 &&
      !senses.some(({ meanings }) =>
        meanings.every((one) => open.has(one) || SAID_OF_ANY.has(one) || (placed && isPlace(one))),
      ),
  );
}

/** Why a heading names no role: the role that it comes nearest to, and the word that puts it off. */
export function whyNone(name: string): Said {
  const { words, roles } = explainHeading(name);
  const [first] = roles;
  if (first) return say('logs.named-like-but-unit-or-values', { role: roleName(first.role) });
  const said = new Set(words.flatMap(({ senses }) => senses.flatMap(({ meanings }) => meanings)));
  if (words.every((word) => meaningsOf(word).length === 0)) return say('logs.none-of-its-words-is-known');
  let nearest:
    | { readonly role: ChannelRole; readonly off: readonly ReadWord[]; readonly wants: number }
    | undefined;
  for (const role of ROLE_IDS)
    for (const way of ROLE_MEANINGS[role]) {
      if (!way.wants.every((one) => said.has(one))) continue;
      const off = puttingOff(words, way);
      if (off.length === 0) continue;
      if (
        !nearest ||
        way.wants.length > nearest.wants ||
        (way.wants.length === nearest.wants && off.length < nearest.off.length)
      )
        nearest = { role, off, wants: way.wants.length };
    }
  if (!nearest) return say('logs.what-it-says-is-not-judged');
  const [word] = nearest.off as readonly [ReadWord];
  return say('logs.not-is-of-something-else', {
    role: roleName(nearest.role),
    text: word.text,
    word: inWords(meaningsOf(word)),
  });
}
