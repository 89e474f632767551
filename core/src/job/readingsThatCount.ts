import { say, type Said } from '../words/index.ts';
import { entriesOfKind, happenedAt, type Entry, type EntryOf, type WorkType } from '../ledger/index.ts';
import { changesTheFilter, PATH_CAUSES, type Readings } from '../proof/index.ts';
import { PRESSURE_PATH } from '../treatment/index.ts';

/** Work after which sensor or pipes show something else: only a reading from after it can prove it. */
const CHANGES_THE_PATH: ReadonlySet<WorkType> = new Set<WorkType>(['pipe-cleared', 'sensor-replaced']);

type Reading = EntryOf<'reading'>;

export interface ReadingsThatCount {
  /** The latest of each side; by its time the order of the work is judged. */
  readonly before?: Reading;
  readonly after?: Reading;
  /** All readings of the same state as the latest, in order, the latest last: by hand, live or from logs. */
  readonly befores: readonly Reading[];
  readonly afters: readonly Reading[];
  /** Taken when the work was already done, so it shows nothing of what was there before. */
  readonly beforeTooLate: boolean;
  /** Taken before the last work on the filter. */
  readonly afterTooEarly: boolean;
  /** What was done to the ΔP sensor or its pipes between the two, in words. */
  readonly pathChanged?: Said;
  /** No work on the filter between the two. */
  readonly filterUntouched: boolean;
}

const isPathWork = ({ body: { work, part } }: EntryOf<'work'>): boolean =>
  CHANGES_THE_PATH.has(work) && part !== undefined && PRESSURE_PATH[part] !== undefined;

/** Whether a look at the hoses found them so that the sensor does not see the whole pressure. */
const hosesWrong = ({ body }: EntryOf<'check'>): boolean =>
  body.check === 'hoses' &&
  (body.values['order'] === 'low' || ['split', 'off', 'pinched'].includes(String(body.values['state'])));

/** The last work on sensor or pipes between two moments. */
const pathWorkBetween = (
  works: readonly EntryOf<'work'>[],
  from: Entry,
  to: Entry,
): EntryOf<'work'> | undefined =>
  works.findLast(
    (entry) =>
      isPathWork(entry) && happenedAt(entry) > happenedAt(from) && happenedAt(entry) < happenedAt(to),
  );

function pathChangedBetween(
  works: readonly EntryOf<'work'>[],
  before: Reading | undefined,
  after: Reading | undefined,
): Said | undefined {
  const repair = before && after ? pathWorkBetween(works, before, after) : undefined;
  if (repair?.body.part === undefined) return undefined;
  const done = repair.body.work === 'sensor-replaced' ? 'replaced' : 'cleared';
  return say('job.was', { part: PRESSURE_PATH[repair.body.part] ?? '', done });
}

/** What a cause of the way that was put right says of the reading before. */
const PUT_RIGHT_WORDS: Readonly<Record<string, Said>> = {
  'dp-sensor-failed': say('job.the-dp-sensor-was-repaired'),
  'dp-sensor-wrong': say('job.the-dp-sensor-was-repaired'),
  'high-pipe-blocked': say('job.its-high-pipe-was-repaired'),
  'low-pipe-blocked': say('job.its-low-pipe-was-repaired'),
  'dp-hose-off': say('job.its-hoses-were-repaired'),
  'dp-hoses-crossed': say('job.its-hoses-were-repaired'),
  'sensor-wiring': say('job.its-wiring-was-repaired'),
};

/** A cause of the way of the pressure that was put right between two readings: the first was read through it. */
const putRightBetween = (entries: readonly Entry[], from?: Reading, to?: Reading): Said | undefined => {
  const found = entriesOfKind(entries, 'cause').findLast(
    (entry) =>
      entry.body.state === 'put-right' &&
      PATH_CAUSES.has(entry.body.cause) &&
      from !== undefined &&
      to !== undefined &&
      happenedAt(entry) > happenedAt(from) &&
      happenedAt(entry) < happenedAt(to),
  );
  return found && PUT_RIGHT_WORDS[found.body.cause];
};

/** Before readings from ahead of the work, and after readings from behind it; out of their order they prove nothing. */
export function readingsThatCount(entries: readonly Entry[]): ReadingsThatCount {
  const works = entriesOfKind(entries, 'work');
  const changing = works.filter(({ body }) => changesTheFilter(body.work) || CHANGES_THE_PATH.has(body.work));
  // With sensor and pipes put right a before reading may be taken anew: it counts, as the filter was not touched yet.
  const touched = changing.find(({ body }) => changesTheFilter(body.work));
  const first = touched ? happenedAt(touched) : Number.POSITIVE_INFINITY;
  const last = [...changing, ...entriesOfKind(entries, 'burn-ended')]
    .toSorted((a, b) => happenedAt(a) - happenedAt(b))
    .at(-1);
  const readings = entriesOfKind(entries, 'reading');
  const loose = entriesOfKind(entries, 'check').findLast(hosesWrong);
  const before = readings.findLast((entry) => entry.body.purpose === 'before' && happenedAt(entry) <= first);
  const late = readings.findLast(({ body }) => body.purpose === 'before');
  const after = readings.findLast(({ body }) => body.purpose === 'after');
  const chosen = before ?? late;
  // Hoses that were found wrong before they had to come off had been wrong in the before reading, too.
  const wrongBefore =
    loose &&
    chosen &&
    happenedAt(loose) > happenedAt(chosen) &&
    happenedAt(loose) < (changing[0] ? happenedAt(changing[0]) : Number.POSITIVE_INFINITY)
      ? say('job.its-hoses-were-repaired')
      : undefined;
  const pathChanged =
    pathChangedBetween(works, chosen, after) ?? wrongBefore ?? putRightBetween(entries, chosen, after);
  const sameState = (purpose: 'before' | 'after', latest: Reading): Reading[] =>
    readings.filter(
      (entry) =>
        entry === latest ||
        (entry.body.purpose === purpose &&
          happenedAt(entry) <= happenedAt(latest) &&
          (purpose === 'before' || !last || happenedAt(entry) >= happenedAt(last)) &&
          (!loose || happenedAt(entry) >= happenedAt(loose) || happenedAt(latest) < happenedAt(loose)) &&
          pathWorkBetween(works, entry, latest) === undefined),
    );
  return {
    ...(chosen ? { before: chosen } : {}),
    ...(after ? { after } : {}),
    befores: before ? sameState('before', before) : late ? [late] : [],
    afters: after ? sameState('after', after) : [],
    ...(pathChanged === undefined ? {} : { pathChanged }),
    filterUntouched: touched === undefined,
    beforeTooLate: before === undefined && late !== undefined,
    afterTooEarly:
      after !== undefined &&
      [last, loose].some((entry) => entry !== undefined && happenedAt(after) < happenedAt(entry)),
  };
}

/** The bodies of readings, where there are any. */
export function bodiesOf(readings: readonly Reading[]): Readings | undefined {
  const [first, ...rest] = readings.map(({ body }) => body);
  return first ? [first, ...rest] : undefined;
}
