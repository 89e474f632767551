import { describe, expect, it } from 'vitest';
import { say } from '@white-ember/core/words';
import type { RunningClock } from '@white-ember/core/contract';
import type { EntryBody } from '@white-ember/core/ledger';
import { byWant, clocksWith, isLate, leftText, listedText, type ShownClock } from './clocks.ts';

describe('time left', () => {
  it('in minutes and seconds, from a hundred minutes on in hours', () => {
    expect(leftText(16 * 60_000 + 7_000)).toBe('16:07');
    expect(leftText(59_001)).toBe('01:00');
    expect(leftText(99 * 60_000)).toBe('99:00');
    expect(leftText(100 * 60_000)).toBe('1 h 40');
    expect(leftText(12 * 3_600_000 + 5 * 60_000)).toBe('12 h 05');
  });
  it('and how long it has been over', () => {
    expect(leftText(0)).toBe('over');
    expect(leftText(-59_000)).toBe('over');
    expect(leftText(-5 * 60_000)).toBe('over 5 min');
    expect(leftText(-5 * 3_600_000)).toBe('over 5 h');
  });
});

describe('clocks with what this device has not sent yet', () => {
  const known: RunningClock = {
    entryId: 'a',
    jobId: 'job-1',
    plate: 'KE 417 QR',
    number: 4,
    clock: 'dwell',
    what: 'One fill',
    until: '2026-05-11T09:00:00.000Z',
    mine: false,
  };
  const waiting = (id: string, body: EntryBody, supersedes?: string) => ({
    jobId: 'job-2',
    entry: { id, deviceTime: '2026-05-11T08:00:00.000Z', body, ...(supersedes ? { supersedes } : {}) },
  });
  const start: EntryBody = { kind: 'clock-started', clock: 'cooling', minutes: 20, what: 'Filter' };
  const plateOf = (): string => 'FL 007 TX';

  it('one begun here runs at once, one ended here is gone at once', () => {
    const [first, second] = clocksWith([known], [waiting('b', start)], plateOf);
    expect(first?.entryId).toBe('a');
    expect(second).toMatchObject({ entryId: 'b', plate: 'FL 007 TX', clock: 'cooling' });
    expect(second?.untilMs).toBe(Date.parse('2026-05-11T08:20:00Z'));
    expect(clocksWith([known], [waiting('c', { kind: 'clock-ended', entry: 'a' })], plateOf)).toEqual([]);
    expect(clocksWith([known], [waiting('d', { kind: 'withdrawn', why: 'x' }, 'a')], plateOf)).toEqual([]);
  });

  it('one that has arrived is not there twice, one that the server refused does not run', () => {
    const same = { ...waiting('a', start), jobId: 'job-1' };
    expect(clocksWith([known], [same], plateOf)).toHaveLength(1);
    expect(clocksWith([], [{ ...waiting('b', start), refused: 'no' }], plateOf)).toEqual([]);
  });
});

describe('which clock is wanted first', () => {
  const clock = (entryId: string, minutesLeft: number, mine: boolean): ShownClock => ({
    entryId,
    jobId: 'job',
    plate: 'KE 417 QR',
    clock: 'dwell',
    what: say('clocks.dwell'),
    next: undefined,
    untilMs: 0,
    leftMs: minutesLeft * 60_000,
    mine,
  });

  it('one’s own before those of others, by their ends; what is over for an hour comes last and is late', () => {
    const clocks = [
      clock('theirs', 2, false),
      clock('forgotten', -60, true),
      clock('mine later', 30, true),
      clock('mine over', -59, true),
    ];
    expect(clocks.toSorted(byWant).map(({ entryId }) => entryId)).toEqual([
      'mine over',
      'mine later',
      'theirs',
      'forgotten',
    ]);
    expect(clocks.filter(isLate).map(({ entryId }) => entryId)).toEqual(['forgotten']);
  });

  it('the list says how long it has been over', () => {
    expect(listedText(90_000)).toBe('2 min left');
    expect(listedText(-30_000)).toBe('is over');
    expect(listedText(-3 * 3_600_000)).toBe('is over 3 h');
  });
});
