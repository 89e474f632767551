import { inEnglish } from '../words/index.ts';
import { describe, expect, it } from 'vitest';
import { networkFor, sentenceOf } from '../diagnosis/index.ts';
import type { EntryBody } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { madeEntry } from '../testing/madeEntries.ts';
import { judgeJob } from './index.ts';

const said = (cause: string): EntryBody => ({
  kind: 'cause',
  cause,
  state: 'confirmed',
  why: 'Shaft wobbles',
});

describe('a cause that had another id once', () => {
  it('is the same cause in a ledger of then', () => {
    const judged = (cause: string) => {
      const { derived, diagnosis, next } = judgeJob({
        entries: [madeEntry(1, said(cause))],
        limits: DEFAULT_LIMITS,
      });
      return { causes: derived.causes.map((one) => one.cause), likely: diagnosis.posterior, next };
    };
    expect(judged('boost-leak')).toEqual(judged('turbocharger-worn'));
    expect(judged('boost-leak').causes).toEqual(['turbocharger-worn']);
  });

  it('counts for its family under either id, and is said in today’s words', () => {
    const prior = (confirmed: Record<string, number>): number | undefined =>
      networkFor({ family: { jobs: 40, confirmed } }).causes.find(({ id }) => id === 'turbocharger-worn')
        ?.prior;
    expect(prior({ 'boost-leak': 20, 'turbocharger-worn': 10 })).toBe(prior({ 'turbocharger-worn': 30 }));
    expect(prior({ 'boost-leak': 30 })).toBeGreaterThan(prior({}) ?? 1);
    expect(inEnglish(sentenceOf('boost-leak'))).toBe('The turbocharger is worn');
  });
});
