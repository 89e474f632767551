import { describe, expect, it } from 'vitest';
import { provedJob } from './provedJob.ts';

/** A few of the row that the benchmark goes through in full: cured, half treated, untouched, lying. */
const SEEDS = [2, 10, 13, 15, 23, 29];

describe('a bench job whose truth is known', () => {
  const jobs = SEEDS.map(provedJob);

  it('is never proved while it is blocked or its sensor lies, and is proved where it is cured', () => {
    for (const { about, blocked, lies, cured, verdict, notShown } of jobs) {
      if (blocked || lies) expect(verdict, about).not.toBe('proved');
      if (cured) expect({ verdict, notShown }, about).toEqual({ verdict: 'proved', notShown: [] });
    }
    expect(jobs.some(({ cured }) => cured)).toBe(true);
    expect(jobs.some(({ blocked }) => blocked)).toBe(true);
    expect(jobs.some(({ lies }) => lies)).toBe(true);
  });

  it('has the truth near what is said of it', () => {
    const said = jobs.flatMap(({ removed }) => (removed ? [removed] : []));
    expect(said.length).toBeGreaterThan(2);
    for (const { truth, low, high } of said) {
      const half = (high - low) / 2;
      expect(truth).toBeGreaterThan(low - half);
      expect(truth).toBeLessThan(high + half);
    }
  });
});
