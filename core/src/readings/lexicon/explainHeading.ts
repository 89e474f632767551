import { ROLE_IDS, type ChannelRole } from '../channelRoles.ts';
import type { Meaning } from './facets.ts';
import { readWords, type ReadWord } from './readWords.ts';
import { ROLE_MEANINGS, type Place, type RoleMeaning } from './roleMeanings.ts';
import type { Sense } from './words.ts';

/** A role by what a heading says of it. */
export interface NamedRole {
  readonly role: ChannelRole;
  /** 0–1. */
  readonly confidence: number;
  /** What the words were taken for, in their order. */
  readonly read: readonly Meaning[];
  readonly places: readonly Place[];
}

export interface ExplainedHeading {
  readonly words: readonly ReadWord[];
  /** The likeliest first; none where it names none. */
  readonly roles: readonly NamedRole[];
}

/** Said of any measured value. */
export const SAID_OF_ANY: ReadonlySet<Meaning> = new Set<Meaning>([
  'filler:sensor',
  'filler:word',
  'qualifier:actual',
  'bank:1',
  'number:1',
  'number:2',
]);

const SURE = 0.97;
const LESS_FOR_EACH_WAY = 0.05;
const LESS_WHERE_WEAK = 0.08;
const LESS_FOR_UNKNOWN = 0.06;
const MOST_UNKNOWN = 3;
/** Shorter ones are counters and letters of connectors. */
const LEAST_UNKNOWN = 3;

/** Prepositions and nouns of a side: “before the filter”, but “filter inlet”. */
const SIDES: ReadonlyMap<Meaning, { readonly side: 'before' | 'after'; readonly follows: boolean }> = new Map(
  [
    ['side:before', { side: 'before', follows: false }],
    ['side:after', { side: 'after', follows: false }],
    ['side:inlet', { side: 'before', follows: true }],
    ['side:outlet', { side: 'after', follows: true }],
  ] as const,
);
const PLACED: ReadonlyMap<Meaning, string> = new Map<Meaning, string>([
  ['part:turbine', 'turbine'],
  ['part:catalyst', 'catalyst'],
  ['part:filter', 'filter'],
  ['part:intercooler', 'intercooler'],
  ['part:compressor', 'compressor'],
]);

/** Whether a meaning can be a part of a place. */
export const isPlace = (meaning: Meaning): boolean => SIDES.has(meaning) || PLACED.has(meaning);

interface Found {
  readonly places: Place[];
  /** What is left beside the places. */
  readonly rest: Meaning[];
}

/** Joins each side with the part that it is of: the one that follows, or the one that it follows. */
function placesIn(read: readonly Meaning[]): Found {
  const said = read
    .filter((one) => !one.startsWith('filler'))
    // “Oxi-Kat” is one part.
    .filter((one, at, all) => one !== all[at - 1]);
  const used = new Set<number>();
  const places: Place[] = [];
  said.forEach((one, at) => {
    const side = SIDES.get(one);
    if (!side || used.has(at)) return;
    const near = side.follows ? [at - 1, at + 1, at - 2, at + 2] : [at + 1, at - 1, at + 2, at - 2];
    const with_ = near.find((i) => !used.has(i) && PLACED.has(said[i] as Meaning));
    if (with_ === undefined) return;
    used.add(at).add(with_);
    places.push(`${side.side} ${PLACED.get(said[with_] as Meaning)}` as Place);
  });
  return { places, rest: said.filter((_, at) => !used.has(at)) };
}

const isSide = (word: ReadWord | undefined): boolean =>
  word !== undefined &&
  word.senses.length > 0 &&
  word.senses.every(({ meanings }) => meanings.some((one) => SIDES.has(one)));

/** The senses of the words that suit a way of naming a role; nothing where a word can only mean something else. */
function suiting(words: readonly ReadWord[], way: RoleMeaning): Meaning[] | undefined {
  const open = new Set<Meaning>([...way.wants, ...(way.allows ?? [])]);
  if (way.at ?? way.mayBeAt) for (const [meaning] of [...SIDES, ...PLACED]) open.add(meaning);
  const wanted = new Set<Meaning>(way.wants);
  const read: Meaning[] = [];
  // “uitlaat” is the exhaust, and the outlet where a place is wanted that nothing else names.
  const sideMissing = way.at !== undefined && !words.some(isSide);
  for (const [at, { senses }] of words.entries()) {
    if (senses.length === 0) continue;
    // Before a side that is named a small word is only that: “na saída do”, “na wylocie”.
    const besideSide = isSide(words[at + 1]);
    let best: Sense | undefined;
    let most = Number.NEGATIVE_INFINITY;
    for (const sense of senses) {
      if (!sense.meanings.every((one) => open.has(one) || SAID_OF_ANY.has(one))) continue;
      const worth = sense.meanings.reduce(
        (sum, one) =>
          sum +
          (besideSide && SIDES.has(one)
            ? -1
            : (wanted.has(one) && !read.includes(one)) || (sideMissing && SIDES.has(one))
              ? 3
              : SAID_OF_ANY.has(one)
                ? 0
                : 1),
        0,
      );
      if (worth > most) [best, most] = [sense, worth];
    }
    if (!best) return undefined;
    read.push(...best.meanings);
  }
  return read;
}

function named(role: ChannelRole, words: readonly ReadWord[]): NamedRole | undefined {
  const unknown = words.filter(
    ({ senses, text }) => senses.length === 0 && text.length >= LEAST_UNKNOWN,
  ).length;
  for (const [rank, way] of ROLE_MEANINGS[role].entries()) {
    if (way.weak && unknown > 0) continue;
    const read = suiting(words, way);
    if (!read) continue;
    const { places, rest } = placesIn(read);
    const may = [...(way.at ?? []), ...(way.mayBeAt ?? [])];
    if (!places.every((one) => may.includes(one)) || (way.at && places.length === 0)) continue;
    const allowed = new Set<Meaning>([...way.wants, ...(way.allows ?? [])]);
    if (!rest.every((one) => allowed.has(one) || SAID_OF_ANY.has(one))) continue;
    const said = new Set<Meaning>([...rest, ...(way.mayBeAt ? read : [])]);
    if (!way.wants.every((one) => said.has(one))) continue;
    return {
      role,
      confidence: Math.max(
        0.4,
        SURE -
          LESS_FOR_EACH_WAY * rank -
          (way.weak ? LESS_WHERE_WEAK : 0) -
          (way.doubt ?? 0) -
          LESS_FOR_UNKNOWN * Math.min(unknown, MOST_UNKNOWN),
      ),
      read: read.filter((one) => !one.startsWith('filler')),
      places,
    };
  }
  return undefined;
}

/** Our own names are read as they are. */
const OWN: ReadonlyMap<string, ChannelRole> = new Map(ROLE_IDS.map((role) => [role.toLowerCase(), role]));

const KEPT = new Map<string, ExplainedHeading>();
const MOST_KEPT = 5000;

/**
 * What a heading says, word by word, and the roles that it names: those of which it says all that is wanted and nothing that is of
 * something else.
 * @param name a heading without its unit, of any length; a long one is read as far as its first forty words
 * @param learned words of a workshop that no lexicon has
 */
export function explainHeading(name: string, learned?: ReadonlyMap<string, Sense>): ExplainedHeading {
  const kept = KEPT.get(name) ?? explained(name, readWords(name));
  if (KEPT.size >= MOST_KEPT) KEPT.clear();
  KEPT.set(name, kept);
  if (!learned || !kept.words.some(({ senses, text }) => senses.length === 0 && learned.has(text)))
    return kept;
  return explained(
    name,
    kept.words.map((word): ReadWord => {
      const sense = word.senses.length === 0 ? learned.get(word.text) : undefined;
      return sense ? { ...word, senses: [sense], by: 'learned' } : word;
    }),
  );
}

function explained(name: string, words: readonly ReadWord[]): ExplainedHeading {
  const own = OWN.get(name.trim().toLowerCase());
  return {
    words,
    roles:
      own === undefined
        ? ROLE_IDS.flatMap((role) => named(role, words) ?? []).toSorted((a, b) => b.confidence - a.confidence)
        : [{ role: own, confidence: 1, read: [], places: [] }],
  };
}

/** Whether a heading names any role. */
export const namesRole = (name: string): boolean => explainHeading(name).roles.length > 0;

/** All that the words of a text can mean, and the places that it names: for texts that say more than what a column holds. */
export function saidIn(text: string): {
  readonly meanings: ReadonlySet<Meaning>;
  readonly places: readonly Place[];
} {
  const words = readWords(text);
  const placed = words.flatMap(
    ({ senses }) => senses.find(({ meanings }) => meanings.some(isPlace))?.meanings ?? [],
  );
  return {
    meanings: new Set(words.flatMap(({ senses }) => senses.flatMap(({ meanings }) => meanings))),
    places: placesIn(placed).places,
  };
}
