import { ROLE_IDS, type ChannelRole } from '../channelRoles.ts';
import { explainHeading, saidIn } from './explainHeading.ts';
import { FACETS, type Facet, type Meaning } from './facets.ts';
import { ROLE_MEANINGS, type Place, type RoleMeaning } from './roleMeanings.ts';

/** Something that a person can say of a column: what it measures, of what, where. */
export type Said = Meaning | Place;

/** Under what a thing to say is asked. */
export const ASKED = ['measures', 'of', 'at', 'number'] as const;
export type Asked = (typeof ASKED)[number];
const ASKED_UNDER: Readonly<Partial<Record<Facet, Asked>>> = {
  quantity: 'measures',
  qualifier: 'measures',
  medium: 'of',
  process: 'of',
  part: 'of',
  place: 'at',
  side: 'at',
  number: 'number',
};

const facetOf = (said: Said): Facet | undefined => {
  const facet = said.slice(0, Math.max(0, said.indexOf(':')));
  return facet in FACETS ? (facet as Facet) : undefined;
};
const askedUnder = (said: Said): Asked => ASKED_UNDER[facetOf(said) ?? 'place'] ?? 'of';

/** What tells nothing where it is only allowed: a number beside a place, a second medium. */
const tellsNothing = (way: RoleMeaning, one: Meaning): boolean =>
  facetOf(one) === 'number' ||
  (facetOf(one) === 'medium' && way.wants.some((wanted) => facetOf(wanted) === 'medium'));

interface Way {
  readonly needs: readonly Said[];
  readonly takes: ReadonlySet<Said>;
}
const WAYS: ReadonlyMap<ChannelRole, readonly Way[]> = new Map(
  ROLE_IDS.map((role) => [
    role,
    ROLE_MEANINGS[role]
      // Names that only unit or values settle are nothing to choose by.
      .filter((way) => way.weak !== true && way.doubt === undefined)
      .map((way): Way => {
        const needs = [...way.wants, ...(way.at ?? [])];
        const allowed = (way.allows ?? []).filter((one) => !tellsNothing(way, one));
        return { needs, takes: new Set([...needs, ...allowed, ...(way.mayBeAt ?? [])]) };
      }),
  ]),
);
const waysSaid = (role: ChannelRole, said: readonly Said[]): readonly Way[] =>
  (WAYS.get(role) ?? []).filter(({ takes }) => said.every((one) => takes.has(one)));

/** Channels of which all of it can be said, in their usual order; all of them where nothing is said. */
export const channelsSaid = (said: readonly Said[]): ChannelRole[] =>
  ROLE_IDS.filter((role) => waysSaid(role, said).length > 0);

/**
 * What can still be said of a column to come nearer to one channel, beside what is said already, by what it is asked under: only what
 * leaves a channel, and tells some of them from others.
 */
export function leftToSay(said: readonly Said[]): Readonly<Record<Asked, readonly Said[]>> {
  const left: Record<Asked, Said[]> = { measures: [], of: [], at: [], number: [] };
  const channels = channelsSaid(said);
  const offered = new Set(channels.flatMap((role) => waysSaid(role, said).flatMap(({ needs }) => needs)));
  for (const one of offered)
    if (!said.includes(one) && channelsSaid([...said, one]).length < channels.length)
      left[askedUnder(one)].push(one);
  return left;
}

/** In this order a heading’s words are believed: what it measures, where, of what. */
const BELIEVED: readonly Asked[] = ['measures', 'at', 'of', 'number'];

/** What a heading already says, as far as some channel can have all of it. */
export function saidByHeading(name: string): Said[] {
  const { places } = saidIn(name);
  const meanings = explainHeading(name).words.flatMap(({ senses }) => senses[0]?.meanings ?? []);
  const words = meanings.filter(
    (one) => facetOf(one) !== 'side' && (places.length === 0 || facetOf(one) !== 'part'),
  );
  const all: Said[] = [...places, ...words];
  const said: Said[] = [];
  for (const asked of BELIEVED)
    for (const one of all.filter((each) => askedUnder(each) === asked))
      if (!said.includes(one) && channelsSaid([...said, one]).length > 0) said.push(one);
  return said;
}

/** As a person reads it: “before filter”, “back pressure”. */
export const sayWord = (said: Said): string => said.slice(said.indexOf(':') + 1).replaceAll('-', ' ');
