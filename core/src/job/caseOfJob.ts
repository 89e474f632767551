import {
  evidenceOfCase,
  evidenceOfScan,
  factsOfIntake,
  factsOfReading,
  fooledBy,
  intakeOf,
  type CaseFacts,
  type Evidence,
  type VehicleUse,
} from '../diagnosis/index.ts';
import { entriesOfKind, happenedAt, type PartId } from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';
import type { MadeCheck, SaidCause } from './checksMade.ts';
import type { DerivedJob } from './deriveJob.ts';

export interface CaseOfJob {
  readonly facts: CaseFacts;
  readonly use: VehicleUse;
  /** Causes that were put right, each with whether the baseline was read again since. */
  readonly putRight: readonly { readonly cause: string; readonly readAgain: boolean }[];
}

/** Something that was looked at, and when. */
interface Look {
  readonly atMs: number;
  readonly facts: CaseFacts;
}

/** What is not behind it, where another part changed nothing. */
const SENSOR_OF_PART: Readonly<Partial<Record<PartId, readonly string[]>>> = {
  'dp-sensor': ['dp-sensor-failed'],
  'back-pressure-sensor': ['back-pressure-sensor-failed'],
  egt1: ['egt1-failed'],
  egt2: ['egt2-failed'],
  egt3: ['egt3-failed'],
  egt4: ['egt4-failed'],
};

const isPutRight = ({ state }: SaidCause): boolean => state === 'put-right';

/**
 * What a job asks the diagnosis: first scan, reading, intake and checks, and what was put right on the way. What was looked
 * for after a repair owes nothing to its cause; a check from before it that the cause may have fooled is open again.
 */
export function caseOfJob(
  job: Pick<DerivedJob, 'entries' | 'before' | 'after' | 'verdict' | 'proofKind' | 'checks' | 'causes'>,
  limits: Limits,
  fitted?: readonly PartId[],
): CaseOfJob {
  const { entries, checks, causes } = job;
  const before = readingOfState(job);
  const repaired = causes.filter(isPutRight).map(({ cause, entry }) => ({ cause, atMs: happenedAt(entry) }));
  const scans = entriesOfKind(entries, 'code-scan');
  const first = scans.find(({ body }) => body.when === 'before');
  const reading = before ? factsOfReading(before.body) : {};
  const again = scansAgain(scans, repaired);
  const found = checks.map((check) => ({
    atMs: happenedAt(check.entry),
    facts: { findings: stillFound(check, repaired) },
  }));
  const looks: Look[] = [
    ...(first ? [{ atMs: happenedAt(first), facts: { codes: first.body.codes } }] : []),
    ...(before ? [{ atMs: happenedAt(before), facts: reading }] : []),
    ...again,
    ...found,
  ];
  const intake = intakeOf(entries);
  const elsewhere = new Set(
    entriesOfKind(entries, 'part-changed').flatMap(({ body }) =>
      body.where === 'elsewhere' && body.part ? [body.part] : [],
    ),
  );
  const inVain = entriesOfKind(entries, 'part-changed').flatMap(({ body }) =>
    body.effect === 'none' && body.part ? (SENSOR_OF_PART[body.part] ?? []) : [],
  );
  const seenSince = (sinceMs: number): string[] => [
    ...new Set(
      looks
        .filter(({ atMs }) => atMs >= sinceMs)
        .flatMap(({ facts }) => Object.keys(evidenceOfCase(facts, limits).evidence)),
    ),
  ];
  return {
    facts: {
      ...(first ? { codes: first.body.codes } : {}),
      ...(before
        ? {
            reading: before.body,
            readThrough: repaired.filter(({ atMs }) => atMs > happenedAt(before)).map(({ cause }) => cause),
          }
        : {}),
      findings: {
        ...factsOfIntake(intake),
        ...(elsewhere.has('dp-sensor') ? { 'sensor-changed': true } : {}),
        ...(elsewhere.has('filter') ? { 'filter-changed': true } : {}),
        ...reading.findings,
        ...(Object.assign({}, ...again.map(({ facts }) => facts.findings)) as Evidence),
      },
      checked: Object.assign({}, ...found.map(({ facts }) => facts.findings)) as Evidence,
    },
    use: {
      ...(intake.distanceKm === undefined ? {} : { distanceKm: intake.distanceKm }),
      ...(intake.use === undefined ? {} : { use: intake.use }),
      ...(fitted === undefined ? {} : { fitted }),
      ...(inVain.length > 0 ? { changedInVain: inVain } : {}),
      settled: Object.fromEntries(
        causes.flatMap(({ cause, state }) =>
          state === 'confirmed' || state === 'ruled-out' ? [[cause, state === 'confirmed'] as const] : [],
        ),
      ),
      putRight: repaired.map(({ cause, atMs }) => ({ cause, seenSince: seenSince(atMs) })),
    },
    putRight: repaired.map(({ cause, atMs }) => ({
      cause,
      readAgain: before !== undefined && happenedAt(before) >= atMs,
    })),
  };
}

/**
 * What is in the filter is what was read since: after a treatment that did not cure, after a repair of the way of the pressure with the
 * filter untouched, and where nobody read before.
 */
const readingOfState = ({
  before,
  after,
  verdict,
  proofKind,
}: Pick<DerivedJob, 'before' | 'after' | 'verdict' | 'proofKind'>): DerivedJob['before'] =>
  before && proofKind !== 'pressure-path' && !['better', 'worse', 'not-proved'].includes(verdict)
    ? before
    : (after ?? before);

type Repaired = readonly { readonly cause: string; readonly atMs: number }[];

/** Scans since the first repair: a code that is set counts; that one is not only counts after a drive, when its test has run. */
function scansAgain(scans: ReturnType<typeof entriesOfKind<'code-scan'>>, repaired: Repaired): Look[] {
  const sinceMs = Math.min(...repaired.map(({ atMs }) => atMs));
  return scans
    .filter((scan) => scan.body.when !== 'after-unplugging' && happenedAt(scan) >= sinceMs)
    .map((scan) => {
      const all = Object.entries(evidenceOfScan(scan.body.codes));
      const kept = all.filter(([, seen]) => seen || scan.body.when === 'after-drive');
      return { atMs: happenedAt(scan), facts: { findings: Object.fromEntries(kept) } };
    });
}

/** What a check found, without what a cause may have made or hidden that was put right since. */
const stillFound = ({ entry, judgement }: MadeCheck, repaired: Repaired): Record<string, boolean> =>
  Object.fromEntries(
    Object.entries(judgement.findings).filter(
      ([id]) => !repaired.some(({ cause, atMs }) => happenedAt(entry) < atMs && fooledBy(cause).has(id)),
    ),
  );
