import type { ReadingSample } from '../../ledger/index.ts';

/** Speeds this far apart are one speed that was held twice, as a share. */
const SAME_SPEED = 0.08;
/** A log of some minutes has an idle of many windows. */
const NUMBERS = (sample: ReadingSample): [string, number][] =>
  Object.entries(sample).filter((entry): entry is [string, number] => typeof entry[1] === 'number');

const middle = (values: readonly number[]): number => {
  const sorted = values.toSorted((a, b) => a - b);
  const at = sorted.length >> 1;
  return sorted.length % 2 === 1
    ? (sorted[at] as number)
    : ((sorted[at - 1] as number) + (sorted[at] as number)) / 2;
};

/** The middle of each figure over rows of one speed. */
function merged(rows: readonly ReadingSample[]): ReadingSample {
  const [first] = rows as [ReadingSample];
  if (rows.length === 1) return first;
  const values = new Map<string, number[]>();
  for (const row of rows)
    for (const [name, value] of NUMBERS(row)) values.set(name, [...(values.get(name) ?? []), value]);
  return { ...first, ...Object.fromEntries([...values].map(([name, all]) => [name, middle(all)])) };
}

/**
 * Each speed once. A vehicle that idles for ten minutes has not been read seventy times: what is off in one of these rows is off in
 * all of them, and they say together what one of them says. With the engine off the first and the last stand, before and after.
 */
export function onceEach(samples: readonly ReadingSample[]): ReadingSample[] {
  const groups: ReadingSample[][] = [];
  const atRest = samples.filter(({ kind, rpm }) => kind === 'key-off' || rpm === 0);
  for (const sample of samples) {
    if (atRest.includes(sample)) continue;
    const group = groups.find(
      ([one]) => one?.kind === sample.kind && Math.abs(one.rpm - sample.rpm) <= SAME_SPEED * one.rpm,
    );
    if (group) group.push(sample);
    else groups.push([sample]);
  }
  const last = atRest.at(-1);
  return [
    ...atRest.slice(0, 1),
    ...groups.map(merged),
    ...(last !== undefined && atRest.length > 1 ? [last] : []),
  ];
}
