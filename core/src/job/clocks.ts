import { say, type Said } from '../words/index.ts';
import type { Limits } from '../limits/index.ts';
import { entriesOfKind, happenedAt, type ClockKind, type Entry, type WorkType } from '../ledger/index.ts';

/** A wait of a job: it began with an entry, rings at its end, and is ended by a person or by the work that follows it. */
export interface JobClock {
  /** The entry that began it. */
  readonly entryId: string;
  readonly clock: ClockKind;
  readonly what: Said;
  readonly next: Said | undefined;
  readonly startMs: number;
  readonly endMs: number;
  /** When it was ended; absent while it runs or rings. */
  readonly endedMs?: number;
  /** Why it was ended as it was, where a person said so. */
  readonly why?: Said;
}

const MINUTE_MS = 60_000;
/** What is over for longer rings no more, and stands in the list of jobs only: the job has gone on without it. */
export const RINGS_MS = 60 * MINUTE_MS;
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
          next: say('job.flush-then-read'),
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
  readonly text: Said;
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
  const words = {
    'on-time': say('job.timer-on-time', { meantMin: meant }),
    short: say('job.timer-cut-short', { wasMin: was, meantMin: meant }),
    late: say('job.timer-late', { wasMin: was, overMin: off }),
  }[state];
  return {
    state,
    text: say('job.timer-ended', { clock: say(`clocks.${clock}`), what, words, why: why ?? '' }),
  };
}
