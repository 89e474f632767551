import type { CheckId } from '../checks/index.ts';
import type { FilterGeometry } from '../filter/index.ts';
import {
  effectiveEntries,
  entriesOfKind,
  happenedAt,
  type Entry,
  type EntryOf,
  type PartId,
  type WorkType,
} from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';
import type { Unit } from '../quantities/index.ts';
import {
  compareReadings,
  judgeProof,
  type Comparison,
  type Proof,
  type ProofContext,
  type Verdict,
} from '../proof/index.ts';
import { PRESSURE_PATH, sootRoom } from '../treatment/index.ts';
import { clocksOf, type JobClock } from './clocks.ts';
import { causesSaid, checksMade, type MadeCheck, type SaidCause } from './checksMade.ts';
import { openMatters, type OpenMatter } from './openMatters.ts';
import { partsOf, type PartStatus } from './parts.ts';
import { STAGES, stageOf, type Stage } from './stages.ts';

export interface JobFacts {
  readonly entries: readonly Entry[];
  readonly limits: Limits;
  readonly displacementL?: number;
  readonly geometry?: FilterGeometry;
  /** Parts that stand on the line. */
  readonly fitted?: readonly PartId[];
  /** Unit in which sentences state pressures; mbar unless a person chose another. */
  readonly pressureUnit?: Unit;
}

/** One thing that a proof needs, and whether it is in. */
export interface Evidence {
  readonly id: 'before' | 'after' | 'equal-flow' | 'response' | 'drive' | 'no-codes' | 'power-limit';
  readonly state: 'shown' | 'open' | 'failed';
  readonly text: string;
}

/** `equal-flow` = proved at equal flow, with other evidence still to show. */
export type JobVerdict = Verdict | 'equal-flow' | 'open';

export interface DerivedJob {
  readonly entries: readonly Entry[];
  readonly stage: Stage;
  readonly done: ReadonlySet<Stage>;
  readonly before?: EntryOf<'reading'>;
  readonly after?: EntryOf<'reading'>;
  readonly comparison?: Comparison;
  readonly proof?: Proof;
  readonly verdict: JobVerdict;
  readonly headline: string;
  readonly evidence: readonly Evidence[];
  /** Dwells, soaks and other waits. */
  readonly clocks: readonly JobClock[];
  /** What is to be done to the filter, by the last word on it. */
  readonly treatment?: EntryOf<'treatment-chosen'>;
  readonly parts: ReadonlyMap<PartId, PartStatus>;
  /** The last of each guided check, as it is judged by today's limits. */
  readonly checks: readonly MadeCheck[];
  /** What the technician says is behind it, the last word on each cause. */
  readonly causes: readonly SaidCause[];
  /** What is not closed: temporary repairs, parts on order, a choice that the customer has to make. */
  readonly open: readonly OpenMatter[];
  readonly drivable?: EntryOf<'drivable'>;
  readonly signedOff?: EntryOf<'sign-off'>;
}

const DRIVE_WANTED = 'A drive after the work';
const SCAN_WANTED = 'No codes after the drive';
/** What a job needs beyond two readings before it is proved. */
export const BEYOND_THE_READINGS: readonly string[] = [DRIVE_WANTED, SCAN_WANTED];

/** Work that changes what is in the filter: what was there before can only be read from ahead of it. */
const CHANGES_THE_FILTER: ReadonlySet<WorkType> = new Set<WorkType>([
  'chemical-clean',
  'drive-regeneration',
  'standing-regeneration',
  'off-vehicle-clean',
  'filter-exchanged',
]);
/** Work that changes what the filter or its sensor shows: only a reading from after it can prove it. */
const CHANGES_THE_READING: ReadonlySet<WorkType> = new Set<WorkType>([
  ...CHANGES_THE_FILTER,
  'pipe-cleared',
  'sensor-replaced',
]);

interface ReadingsThatCount {
  readonly before?: EntryOf<'reading'>;
  readonly after?: EntryOf<'reading'>;
  /** Taken when the work was already done, so it shows nothing of what was there before. */
  readonly beforeTooLate: boolean;
  /** Taken before the last work on the filter. */
  readonly afterTooEarly: boolean;
  /** What was done to the ΔP sensor or its pipes between the two, in words. */
  readonly pathChanged?: string;
  /** No work on the filter between the two. */
  readonly filterUntouched: boolean;
}

function pathChangedBetween(
  entries: readonly Entry[],
  before: Entry | undefined,
  after: Entry | undefined,
): string | undefined {
  if (!before || !after) return undefined;
  const repair = entriesOfKind(entries, 'work').findLast((entry) => {
    const { work, part } = entry.body;
    const onPath = part !== undefined && PRESSURE_PATH[part] !== undefined;
    const at = happenedAt(entry);
    return (
      onPath &&
      (work === 'sensor-replaced' || work === 'pipe-cleared') &&
      at > happenedAt(before) &&
      at < happenedAt(after)
    );
  });
  if (repair?.body.part === undefined) return undefined;
  const done = repair.body.work === 'sensor-replaced' ? 'replaced' : 'cleared';
  return `${PRESSURE_PATH[repair.body.part] ?? ''} was ${done}`;
}

/** The last before reading from ahead of the work, and the last after reading; out of their order they prove nothing. */
function readingsThatCount(entries: readonly Entry[]): ReadingsThatCount {
  const work = entriesOfKind(entries, 'work').filter((entry) => CHANGES_THE_READING.has(entry.body.work));
  // With sensor and pipes put right a before reading may be taken anew: it counts, as the filter was not touched yet.
  const touched = work.find((entry) => CHANGES_THE_FILTER.has(entry.body.work));
  const first = touched ? happenedAt(touched) : Number.POSITIVE_INFINITY;
  const last = [...work, ...entriesOfKind(entries, 'burn-ended')]
    .toSorted((a, b) => happenedAt(a) - happenedAt(b))
    .at(-1);
  const readings = entriesOfKind(entries, 'reading');
  const befores = readings.filter((entry) => entry.body.purpose === 'before');
  const before = befores.findLast((entry) => happenedAt(entry) <= first) ?? befores.at(-1);
  const after = readings.filter((entry) => entry.body.purpose === 'after').at(-1);
  const pathChanged = pathChangedBetween(entries, before, after);
  return {
    ...(before ? { before } : {}),
    ...(after ? { after } : {}),
    ...(pathChanged === undefined ? {} : { pathChanged }),
    filterUntouched: touched === undefined,
    beforeTooLate: before !== undefined && happenedAt(before) > first,
    afterTooEarly: after !== undefined && last !== undefined && happenedAt(after) < happenedAt(last),
  };
}

const lastAfter = <T extends Entry['body']['kind']>(
  list: EntryOf<T>[],
  since: number,
): EntryOf<T> | undefined => list.filter((entry) => happenedAt(entry) >= since).at(-1);

/** Checks that show whether the ΔP sensor gets and gives its pressure. */
const PATH_CHECKS: ReadonlySet<string> = new Set<CheckId>([
  'pipe-response',
  'pipe-pump',
  'dp-ladder',
  'dp-swap',
  'hoses',
]);

/** Whether sensor and pipes answered in a check since a moment; undefined where none was made. */
function answeredSince(
  entries: readonly Entry[],
  checks: readonly MadeCheck[],
  since: number,
): boolean | undefined {
  const made = checks.filter(
    ({ entry, judgement }) =>
      PATH_CHECKS.has(entry.body.check) &&
      Object.keys(judgement.findings).length > 0 &&
      happenedAt(entry) >= since,
  );
  // A log shows its channel's response itself: one that does not follow the flow is not believed in the first place.
  const logged = entriesOfKind(entries, 'reading').some(
    (entry) =>
      entry.body.purpose === 'after' && entry.body.origin.type === 'log' && happenedAt(entry) >= since,
  );
  if (made.length === 0) return logged ? true : undefined;
  return made.every(({ judgement }) => !Object.values(judgement.findings).includes(true));
}

function evidenceOf(
  entries: readonly Entry[],
  checks: readonly MadeCheck[],
  { before, after, beforeTooLate, afterTooEarly }: ReadingsThatCount,
  proof: Proof | undefined,
): Evidence[] {
  const workedAt = entriesOfKind(entries, 'work').at(-1);
  // Evidence from before the last work proves nothing about it.
  const since = workedAt ? happenedAt(workedAt) : 0;
  const drive = lastAfter(entriesOfKind(entries, 'drive'), since);
  const scan = lastAfter(
    entriesOfKind(entries, 'code-scan').filter((entry) => entry.body.when === 'after-drive'),
    drive ? happenedAt(drive) : since,
  );
  const limited = entriesOfKind(entries, 'complaint').some((entry) => entry.body.powerLimited === true);
  const list: Evidence[] = [
    {
      id: 'before',
      state: !before ? 'open' : beforeTooLate ? 'failed' : 'shown',
      text: beforeTooLate
        ? 'The before reading was taken after the work: it cannot show what was there before'
        : 'A before reading',
    },
    {
      id: 'after',
      state: !after ? 'open' : afterTooEarly ? 'failed' : 'shown',
      text: afterTooEarly
        ? 'The after reading is older than the last work on the filter: read again'
        : 'An after reading',
    },
    {
      id: 'equal-flow',
      state: proof?.verdict === 'proved' ? 'shown' : proof ? 'failed' : 'open',
      text: proof?.falseAlarm
        ? 'With sensor and pipes put right the pressure is within its limits'
        : 'Pressure fell at equal flow and is within its limits',
    },
    {
      id: 'drive',
      state: drive ? 'shown' : 'open',
      text: drive
        ? `Drive of ${drive.body.distanceKm} km${drive.body.reportedBy === 'customer' ? ', reported by the customer' : ''}`
        : DRIVE_WANTED,
    },
    {
      id: 'no-codes',
      state: !scan ? 'open' : scan.body.codes.length === 0 ? 'shown' : 'failed',
      text: !scan
        ? SCAN_WANTED
        : scan.body.codes.length === 0
          ? SCAN_WANTED
          : `Codes after the drive: ${scan.body.codes.map((c) => c.code).join(', ')}`,
    },
  ];
  if (proof?.falseAlarm) {
    const answered = answeredSince(entries, checks, since);
    list.splice(3, 0, {
      id: 'response',
      state: answered === undefined ? 'open' : answered ? 'shown' : 'failed',
      text:
        answered === false
          ? 'Checked again after the repair, sensor or pipe still does not answer'
          : 'Sensor and pipes checked again after the repair',
    });
  }
  if (limited) {
    list.push({
      id: 'power-limit',
      state: !drive ? 'open' : drive.body.powerLimitGone ? 'shown' : 'failed',
      text: drive && !drive.body.powerLimitGone ? 'Power is still limited' : 'Power limit gone',
    });
  }
  return list;
}

const percent = (value: number): string => `${Math.round(Math.abs(value))} %`;

function headlineOf(
  verdict: JobVerdict,
  comparison: Comparison | undefined,
  proof: Proof | undefined,
  has: { before: boolean; after: boolean },
): string {
  const removed = comparison?.removedPercent;
  if (proof?.falseAlarm && verdict === 'proved') return 'Proved: it was not the filter, which reads good';
  if (proof?.falseAlarm && verdict === 'equal-flow') return 'It was not the filter: read right, it is good';
  switch (verdict) {
    case 'proved':
      return removed ? `Proved: at equal flow the pressure drop fell by ${percent(removed.value)}` : 'Proved';
    case 'equal-flow':
      return `At equal flow the pressure drop fell by ${percent(removed?.value ?? 0)}`;
    case 'better':
      return `Better, not there: the pressure drop fell by ${percent(removed?.value ?? 0)}`;
    case 'worse':
      return `Worse: at equal flow the pressure drop rose by ${percent(removed?.value ?? 0)}`;
    case 'not-proved':
      return proof?.nothingToRemove ? 'Nothing to remove: the filter read good before' : 'Not proved';
    case 'open':
      return !has.before
        ? 'No before reading yet'
        : has.after
          ? 'Not proved'
          : 'Before is read; after is still to come';
  }
}

/**
 * What a job's ledger means: stage, readings that count, comparison, verdict, evidence still to show, clocks and the
 * state of each part. A pure function of the entries, the vehicle and the limits; the same wherever it runs.
 */
export function deriveJob(facts: JobFacts): DerivedJob {
  const entries = effectiveEntries(facts.entries);
  const readings = readingsThatCount(entries);
  const { before, after } = readings;
  const context: ProofContext = {
    limits: facts.limits,
    ...(facts.displacementL === undefined ? {} : { displacementL: facts.displacementL }),
    ...(facts.geometry === undefined ? {} : { geometry: facts.geometry }),
  };
  const comparison = before && after ? compareReadings(before.body, after.body, context) : undefined;
  const proof =
    comparison && before && after
      ? judgeProof(
          comparison,
          {
            before: before.body,
            after: after.body,
            ...(readings.pathChanged === undefined ? {} : { pathChanged: readings.pathChanged }),
            filterUntouched: readings.filterUntouched,
          },
          facts.limits,
          facts.pressureUnit,
        )
      : undefined;
  const soot = sootRoom(before?.body, facts.geometry, context, facts.fitted);
  const checks = checksMade(entries, {
    ...context,
    ...(facts.pressureUnit === undefined ? {} : { pressureUnit: facts.pressureUnit }),
    ...(soot ? { sootByPressureG: soot } : {}),
  });
  const drivable = entriesOfKind(entries, 'drivable').at(-1);
  const evidence = evidenceOf(entries, checks, readings, proof);
  const complete = evidence.every((item) => item.state === 'shown');
  const verdict: JobVerdict = !proof
    ? 'open'
    : proof.verdict === 'proved' && !complete
      ? 'equal-flow'
      : proof.verdict;

  const done = new Set<Stage>();
  for (const entry of entries) {
    const stage = stageOf(entry);
    if (stage) done.add(stage);
  }
  const signedOff = entriesOfKind(entries, 'sign-off').at(-1);
  const treatment = entriesOfKind(entries, 'treatment-chosen').at(-1);
  return {
    entries,
    stage: currentStage(done, verdict, signedOff !== undefined),
    done,
    ...(before ? { before } : {}),
    ...(after ? { after } : {}),
    ...(comparison ? { comparison } : {}),
    ...(proof ? { proof } : {}),
    verdict,
    headline: headlineOf(verdict, comparison, proof, {
      before: before !== undefined,
      after: after !== undefined,
    }),
    evidence,
    clocks: clocksOf(entries),
    ...(treatment ? { treatment } : {}),
    parts: partsOf(entries, checks),
    checks,
    causes: causesSaid(entries),
    open: openMatters(entries),
    ...(drivable ? { drivable } : {}),
    ...(signedOff ? { signedOff } : {}),
  };
}

/** Where the work stands: proof before all, then the furthest stage that something was done in and the next after it. */
function currentStage(done: ReadonlySet<Stage>, verdict: JobVerdict, signedOff: boolean): Stage {
  if (signedOff || verdict === 'proved') return 'hand-over';
  if (done.has('prove') || done.has('treat')) return 'prove';
  if (done.has('baseline')) return 'treat';
  return STAGES.find((stage) => !done.has(stage)) ?? 'intake';
}
