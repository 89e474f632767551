import { ALIKE, CONSEQUENCE_CHAINS } from './knowledge/chains.ts';
import { named, say, type Said } from '../words/index.ts';
import { sentenceOf } from './sentences.ts';
import type { Network } from './network.ts';

const STANDS_FOR: ReadonlyMap<string, string> = new Map(
  ALIKE.flatMap(({ causes: [first, ...others] }) => others.map((id): [string, string] => [id, first])),
);

/** Soot makes failed regenerations and failed regenerations leave soot: the one that starts further up is the root. */
const isLoop = (cause: string, consequence: string): boolean =>
  cause === 'soot-loaded' &&
  CONSEQUENCE_CHAINS.some((chain) => chain.cause === consequence && chain.consequence === cause);

/** What each cause brings about. */
const LEADS_TO = new Map<string, string[]>();
for (const { cause, consequence } of CONSEQUENCE_CHAINS)
  if (!isLoop(cause, consequence)) LEADS_TO.set(cause, [...(LEADS_TO.get(cause) ?? []), consequence]);

/**
 * The roots of a set of causes: those that no check tells apart count as one, and what another of the set brings about is left
 * aside. In alphabetical order.
 */
export function rootsOf(causes: readonly string[]): string[] {
  const present = new Set<string>(causes.map((id) => STANDS_FOR.get(id) ?? id));
  const followed = new Set<string>();
  for (const cause of present) for (const consequence of LEADS_TO.get(cause) ?? []) followed.add(consequence);
  return [...present].filter((id) => !followed.has(id)).sort();
}

export interface Explanation {
  readonly roots: readonly string[];
  readonly probability: number;
}

const SHOWN = 8;
/** A set less probable than this adds no digit to an explanation; there are thousands. */
const LEAST = 1e-5;

/**
 * Sets of causes gathered by their roots, the most probable first: what one repair ends needs no telling apart. Something is behind
 * it when a vehicle comes in: that it is nothing at all is no explanation, and the rest is weighed without it. Causes that were put
 * right belong to each explanation, and then nothing else may well be behind it.
 */
export function explanationsOf(
  network: Network,
  { sets, probabilities }: { sets: readonly (readonly number[])[]; probabilities: Float64Array },
  putRight: readonly string[] = [],
): Explanation[] {
  const byRoots = new Map<string, number>();
  const empty = putRight.length === 0 ? sets.findIndex((set) => set.length === 0) : -1;
  const nothing = Math.min(1 - 1e-9, probabilities[empty] ?? 0);
  sets.forEach((set, s) => {
    const probability = probabilities[s] as number;
    if (probability < LEAST || s === empty) return;
    const key = rootsOf([...putRight, ...set.map((i) => network.causes[i]?.id ?? '')]).join(' ');
    byRoots.set(key, (byRoots.get(key) ?? 0) + probability);
  });
  return [...byRoots]
    .map(([key, probability]) => ({ roots: key.split(' '), probability: probability / (1 - nothing) }))
    .sort((a, b) => b.probability - a.probability)
    .slice(0, SHOWN);
}

/** The chains among causes that are likely together, each as one sentence. */
export const chainsAmong = (causes: readonly string[]): Said[] =>
  CONSEQUENCE_CHAINS.filter(
    ({ cause, consequence }) => causes.includes(cause) && causes.includes(consequence),
  ).map(({ cause, consequence }) =>
    say('diagnosis.leads-to', {
      cause: sentenceOf(cause),
      between: named('chains', `${cause}:${consequence}`),
      consequence: sentenceOf(consequence),
    }),
  );
