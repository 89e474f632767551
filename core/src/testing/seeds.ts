/**
 * Tests on made vehicles and random plans take some of their seeds while people wait for them, and all of them in the
 * benchmark (ALL_SEEDS=1): one and the same assertion on fewer cases.
 */
export const allSeeds = process.env['ALL_SEEDS'] === '1';

/** A tenth of the cases, one at least. */
export const someOf = <T>(all: readonly T[]): readonly T[] =>
  allSeeds ? all : all.slice(0, Math.max(1, Math.ceil(all.length / 10)));

/** A tenth of the runs of a property, ten at least where it has so many. */
export const someRuns = (all: number): number =>
  allSeeds ? all : Math.min(all, Math.max(10, Math.ceil(all / 10)));
