import { spoken } from '../words/index.ts';
import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import type { EntryBody } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { madeEntry, madeId, madeReading } from '../testing/index.ts';
import {
  clockOutcome as clockOutcomeInCodes,
  clocksOf as clocksOfInCodes,
  deriveJob as deriveJobInCodes,
  summariseJob,
} from './index.ts';

const clockOutcome = spoken(clockOutcomeInCodes);
const clocksOf = spoken(clocksOfInCodes);
const deriveJob = spoken(deriveJobInCodes);

const dwell: EntryBody = { kind: 'work', work: 'chemical-clean', what: 'One fill', dwellMin: 30 };
const cooling: EntryBody = { kind: 'clock-started', clock: 'cooling', minutes: 20, what: 'the filter' };
const ended = (n: number, why?: string): EntryBody => ({
  kind: 'clock-ended',
  entry: madeId(n),
  ...(why ? { why } : {}),
});
const outcomes = (...entries: Parameters<typeof clocksOf>[0][number][]): (string | undefined)[] =>
  clocksOf(entries).map((clock) => clockOutcome(clock, DEFAULT_LIMITS)?.text);

describe('a wait of a job', () => {
  it('runs from its entry on, by the time at which that happened, until somebody ends it', () => {
    const [clock] = clocksOf([madeEntry(1, dwell, 5)]);
    expect(clock).toMatchObject({ clock: 'dwell', what: 'One fill', next: 'flush, then read' });
    expect((clock?.endMs ?? 0) - (clock?.startMs ?? 0)).toBe(30 * 60_000);
    expect(clock).not.toHaveProperty('endedMs');
    expect(outcomes(madeEntry(1, dwell, 5))).toEqual([undefined]);
  });

  it('is said to be on time, cut short, or late, with both times and the reason', () => {
    expect(outcomes(madeEntry(1, dwell, 0), madeEntry(2, ended(1), 31))).toEqual([
      'Dwell, One fill: took its 30 min',
    ]);
    expect(outcomes(madeEntry(1, dwell, 0), madeEntry(2, ended(1, 'rain'), 12))).toEqual([
      'Dwell, One fill: cut short after 12 of 30 min (rain)',
    ]);
    expect(outcomes(madeEntry(1, cooling, 0), madeEntry(2, ended(1), 55))).toEqual([
      'Cooling down, the filter: stood 55 min, 35 min longer than planned',
    ]);
  });

  it('in the filter ends by itself when the engine runs or the next work on it begins', () => {
    expect(outcomes(madeEntry(1, dwell, 0), madeEntry(2, madeReading('after', { sootG: 4 }), 20))).toEqual([
      'Dwell, One fill: cut short after 20 of 30 min',
    ]);
    const [first, second] = outcomes(madeEntry(1, dwell, 0), madeEntry(2, dwell, 32));
    expect(first).toMatch(/took its/);
    expect(second).toBeUndefined();
    // Other work uses the wait; a clock for something else runs on.
    const plug: EntryBody = { kind: 'work', work: 'sensor-replaced', what: 'EGT 2' };
    expect(outcomes(madeEntry(1, dwell, 0), madeEntry(2, plug, 10))).toEqual([undefined]);
    expect(outcomes(madeEntry(1, cooling, 0), madeEntry(2, dwell, 10))[0]).toBeUndefined();
  });

  it('ends once: an end that is withdrawn lets it run again', () => {
    const entries = [
      madeEntry(1, dwell, 0),
      madeEntry(2, ended(1), 12),
      madeEntry(3, { kind: 'withdrawn', why: 'pressed by mistake' }, 13, 2),
    ];
    const job = deriveJob({ entries, limits: DEFAULT_LIMITS });
    expect(summariseJob(job).clocks).toMatchObject([{ entryId: madeId(1), clock: 'dwell' }]);
    expect(summariseJob(deriveJob({ entries: entries.slice(0, 2), limits: DEFAULT_LIMITS })).clocks).toEqual(
      [],
    );
  });

  it('does not depend on the order in which two devices’ entries arrive', () => {
    fc.assert(
      fc.property(
        fc.shuffledSubarray([0, 1, 2, 3], { minLength: 4, maxLength: 4 }),
        fc.integer({ min: 1, max: 90 }),
        (order, minute) => {
          const bodies: [EntryBody, number][] = [
            [dwell, 0],
            [cooling, 3],
            [ended(1), minute],
            [ended(2), minute + 1],
          ];
          const entries = order.map((at, seq) => ({
            ...madeEntry(
              at + 1,
              (bodies[at] as [EntryBody, number])[0],
              (bodies[at] as [EntryBody, number])[1],
            ),
            seq: seq + 1,
          }));
          const job = deriveJob({ entries, limits: DEFAULT_LIMITS });
          expect(job.clocks.map((clock) => clockOutcome(clock, DEFAULT_LIMITS)?.state)).toEqual([
            minute < 29 ? 'short' : minute > 33 ? 'late' : 'on-time',
            minute - 2 < 19 ? 'short' : minute - 2 > 23 ? 'late' : 'on-time',
          ]);
        },
      ),
    );
  });
});
