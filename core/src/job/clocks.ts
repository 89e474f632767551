import type { Limits } from '../limits/index.ts';
import { entriesOfKind, happenedAt, type ClockKind, type Entry, type WorkType } from '../ledger/index.ts';

/** A wait of a job: it began with an entry, rings at its end, and is ended by a person or by the work that follows it. */
export interface JobClock {
  /** The entry that began it. */
  readonly entryId: string;
  readonly clock: ClockKind;
  readonly what: string;
  readonly next: string | undefined;
  readonly startMs: number;
  readonly endMs: number;
  /** When it was ended; absent while it runs or rings. */
  readonly endedMs?: number;
  /** Why it was ended as it was, where a person said so. */
  readonly why?: string;
}

export const CLOCK_LABELS: Readonly<Record<ClockKind, string>> = {
  dwell: 'Dwell',
  soak: 'Soak',
  rinse: 'Rinse',
  drying: 'Drying',
  cooling: 'Cooling down',
  'warm-up': 'Warm-up',
  steam: 'Boiling off',
  site: 'At another site',
};

const MINUTE_MS = 60_000;
/** Work on the filter ends a dwell in it: whoever flushes or burns does not let it stand any more. */
const ENDS_A_DWELL: ReadonlySet<WorkType> = new Set<WorkType>([
  'chemical-clean',
  'off-vehicle-clean',
  'drive-regeneration',
  'standing-regeneration',
  'filter-exchanged',
]);
const STANDS_IN_FILTER: ReadonlySet<ClockKind> = new Set<ClockKind>(['dwell', 'soak']);

/** Whether an entry says by itself that the filter stands no more: the engine ran, or the next work on it began. */
const endsByItself = ({ body }: Entry): boolean =>
  body.kind === 'reading' || (body.kind === 'work' && ENDS_A_DWELL.has(body.work));

/** Every clock of a job, in the order in which they began. */
export function clocksOf(entries: readonly Entry[]): JobClock[] {
  const ended = new Map(entriesOfKind(entries, 'clock-ended').map((entry) => [entry.body.entry, entry]));
  const begun = entries.flatMap((entry): Omit<JobClock, 'endedMs' | 'why'>[] => {
    const { body } = entry;
    const startMs = happenedAt(entry);
    if (body.kind === 'work' && body.dwellMin !== undefined)
      return [
        {
          entryId: entry.id,
          clock: 'dwell',
          what: body.what,
          next: 'flush, then read',
          startMs,
          endMs: startMs + body.dwellMin * MINUTE_MS,
        },
      ];
    if (body.kind === 'clock-started')
      return [
        {
          entryId: entry.id,
          clock: body.clock,
          what: body.what,
          next: body.next,
          startMs,
          endMs: startMs + body.minutes * MINUTE_MS,
        },
      ];
    return [];
  });
  return begun
    .sort((a, b) => a.startMs - b.startMs)
    .map((clock) => {
      const said = ended.get(clock.entryId);
      const end =
        said ??
        (STANDS_IN_FILTER.has(clock.clock)
          ? entries.find((entry) => happenedAt(entry) > clock.startMs && endsByItself(entry))
          : undefined);
      return {
        ...clock,
        ...(end ? { endedMs: Math.max(happenedAt(end), clock.startMs) } : {}),
        ...(said?.body.why ? { why: said.body.why } : {}),
      };
    });
}

export interface ClockOutcome {
  readonly state: 'on-time' | 'short' | 'late';
  /** What it was meant to be and what it was, in words. */
  readonly text: string;
}

/** How an ended clock went: cut short, on time, or longer than meant. Nothing while it is not ended. */
export function clockOutcome(
  { startMs, endMs, endedMs, what, clock, why }: JobClock,
  limits: Pick<Limits, 'clockShortMin' | 'clockLateMin'>,
): ClockOutcome | undefined {
  if (endedMs === undefined) return undefined;
  const [meant, was] = [(endMs - startMs) / MINUTE_MS, (endedMs - startMs) / MINUTE_MS];
  const off = was - meant;
  const state = off < -limits.clockShortMin ? 'short' : off > limits.clockLateMin ? 'late' : 'on-time';
  const minutes = (value: number): string =>
    value < 10 ? value.toFixed(1).replace(/\.0$/, '') : value.toFixed(0);
  const words = {
    'on-time': `took its ${minutes(meant)} min`,
    short: `cut short after ${minutes(was)} of ${minutes(meant)} min`,
    late: `stood ${minutes(was)} min, ${minutes(off)} min longer than planned`,
  }[state];
  return { state, text: `${CLOCK_LABELS[clock]}, ${what}: ${words}${why ? ` (${why})` : ''}` };
}
