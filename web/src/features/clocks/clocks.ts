import * as wording from '@white-ember/core/words/screens/clocks';
import type { Said } from '@white-ember/core/words';
import { clocksOf, RINGS_MS } from '@white-ember/core/job';
import type { RunningClock } from '@white-ember/core/contract';
import type { ClockKind, Entry } from '@white-ember/core/ledger';
import type { Waiting } from '../../data/outboxStore.ts';

export interface ShownClock {
  readonly entryId: string;
  readonly jobId: string;
  readonly plate: string;
  readonly clock: ClockKind;
  readonly what: Said;
  readonly next: Said | undefined;
  readonly untilMs: number;
  readonly leftMs: number;
  /** Whether this person works on that job. */
  readonly mine: boolean;
}

export const isLate = ({ leftMs }: Pick<ShownClock, 'leftMs'>): boolean => leftMs <= -RINGS_MS;

/** In the order in which they are wanted: one's own before those of others, what is long over last; the nearest end first. */
export const byWant = (a: ShownClock, b: ShownClock): number =>
  Number(isLate(a)) - Number(isLate(b)) || Number(b.mine) - Number(a.mine) || a.leftMs - b.leftMs;

/** Clocks that the server has, with those begun and ended on this device that it has not heard of yet. */
export function clocksWith(
  known: readonly RunningClock[],
  waiting: readonly Pick<Waiting, 'jobId' | 'entry' | 'refused'>[],
  plateOf: (jobId: string) => string | undefined,
): Omit<ShownClock, 'leftMs'>[] {
  const mine = waiting.filter(({ refused }) => refused === undefined);
  const entries = mine.map(({ entry, jobId }) => ({ ...entry, jobId }) as Entry);
  const gone = new Set(
    mine.flatMap(({ entry: { body, supersedes } }) => [
      ...(body.kind === 'clock-ended' ? [body.entry] : []),
      ...(supersedes === undefined ? [] : [supersedes]),
    ]),
  );
  const begun = mine.flatMap(({ jobId }, i) =>
    clocksOf([entries[i] as Entry]).map((clock) => ({ clock, jobId })),
  );
  const all = [
    ...known.map((clock) => ({
      entryId: clock.entryId,
      jobId: clock.jobId,
      plate: clock.plate,
      clock: clock.clock,
      what: clock.what,
      next: clock.next,
      untilMs: Date.parse(clock.until),
      mine: clock.mine,
    })),
    ...begun.map(({ clock, jobId }) => ({
      entryId: clock.entryId,
      jobId,
      plate: plateOf(jobId) ?? wording.thisJob,
      clock: clock.clock,
      what: clock.what,
      next: clock.next,
      untilMs: clock.endMs,
      mine: true,
    })),
  ];
  const seen = new Set<string>();
  return all.filter(({ entryId }) => {
    if (gone.has(entryId) || seen.has(entryId)) return false;
    seen.add(entryId);
    return true;
  });
}

/** Minutes and seconds; hours and minutes from a hundred minutes on; how long over since it rang. */
export function leftText(leftMs: number): string {
  if (leftMs <= 0) {
    const over = Math.floor(-leftMs / 60_000);
    return over === 0 ? 'over' : over < 100 ? wording.overMin(over) : wording.overH(Math.floor(over / 60));
  }
  const seconds = Math.ceil(leftMs / 1000);
  const minutes = Math.floor(seconds / 60);
  return minutes >= 100
    ? `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')}`
    : `${String(minutes).padStart(2, '0')}:${String(seconds % 60).padStart(2, '0')}`;
}

/** The same in the list of jobs, by the minute. */
export const listedText = (leftMs: number): string =>
  leftMs > 0 ? wording.minLeft(Math.ceil(leftMs / 60_000)) : wording.is(leftText(leftMs));
