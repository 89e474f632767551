import { describe, expect, it } from 'vitest';
import { CHECK_CARDS, cardOf, judgeCheck } from '../checks/index.ts';
import { happenedAt, type EntryBody } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { madeEntry } from '../testing/madeEntries.ts';
import { lastHold } from './lastHold.ts';

const reading = (
  ...samples: readonly { kind: 'idle' | 'hold'; rpm: number; dpMbar: number }[]
): EntryBody => ({
  kind: 'reading',
  purpose: 'before',
  origin: { type: 'hand' },
  samples: [...samples],
});
const HOUR_MS = 3_600_000;

describe('a hold that was read a moment ago', () => {
  const first = madeEntry(1, reading({ kind: 'hold', rpm: 2500, dpMbar: 150 }));
  const last = madeEntry(
    2,
    reading(
      { kind: 'idle', rpm: 800, dpMbar: 14 },
      { kind: 'hold', rpm: 2500, dpMbar: 40 },
      { kind: 'hold', rpm: 3000, dpMbar: 55 },
    ),
  );
  const atMs = happenedAt(last);

  it('is the fastest one of the last reading', () => {
    expect(lastHold([first, last], atMs + HOUR_MS, DEFAULT_LIMITS)).toEqual({ rpm: 3000, dpMbar: 55, atMs });
  });
  it('is none where the engine has cooled since, or only idle was read', () => {
    expect(lastHold([first, last], atMs + 3 * HOUR_MS, DEFAULT_LIMITS)).toBeUndefined();
    expect(
      lastHold([madeEntry(1, reading({ kind: 'idle', rpm: 800, dpMbar: 9 }))], atMs, DEFAULT_LIMITS),
    ).toBeUndefined();
    expect(lastHold([], atMs, DEFAULT_LIMITS)).toBeUndefined();
  });
  it('says nothing by itself: no check that takes it over comes to an outcome by it', () => {
    const taking = CHECK_CARDS.filter(({ asRead }) => asRead);
    expect(taking.map(({ id }) => id)).toEqual(expect.arrayContaining(['dp-swap', 'pipe-response']));
    for (const { id, asRead } of taking) {
      const { outcome, findings } = judgeCheck(id, asRead?.({ rpm: 3000, dpMbar: 55, atMs }) ?? {}, {
        limits: DEFAULT_LIMITS,
      });
      expect(outcome, id).toBeUndefined();
      expect(findings, id).toEqual({});
    }
  });
  it('is one of the two sides of a comparison with a known-good sensor', () => {
    const pair = cardOf('dp-swap')?.asRead?.({ rpm: 3000, dpMbar: 55, atMs })['pairs'];
    expect(pair).toEqual([
      [0, null, null],
      [3000, 55, null],
    ]);
    const judged = judgeCheck('dp-swap', { pairs: [[3000, 55, 56]] }, { limits: DEFAULT_LIMITS });
    expect(judged.outcome).toBe('swap-same');
  });
});

describe('what is said of a check in one touch', () => {
  it('is its last word: nothing wrong was found', () => {
    const said = CHECK_CARDS.filter(({ asItShouldBe }) => asItShouldBe);
    expect(said.map(({ id }) => id)).toContain('hoses');
    for (const { id, asItShouldBe, otherwise } of said)
      expect(judgeCheck(id, asItShouldBe?.values ?? {}, { limits: DEFAULT_LIMITS }).outcome, id).toBe(
        otherwise,
      );
  });
});
