import { repairEvidence } from './repairEvidence.ts';
import { sortCodes } from '../codes/index.ts';
import {
  entriesOfKind,
  happenedAt,
  type Entry,
  type EntryOf,
  type PartId,
  type PartState,
  type WorkType,
} from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';
import type { Unit } from '../quantities/index.ts';
import type { Evidence } from './evidenceItem.ts';
import { pathEvidence, type JudgedCheck } from './pathEvidence.ts';
import { sootOnDrive } from './sootOnDrive.ts';
import type { Proof } from './verdict.ts';

/** What was done, as far as it decides what a proof needs. */
export const PROOF_KINDS = ['in-place', 'off-vehicle', 'exchange', 'pressure-path', 'untouched'] as const;
export type ProofKind = (typeof PROOF_KINDS)[number];

/** Work on the filter itself, and the kind of proof that it calls for. */
const KIND_OF_WORK: Readonly<Partial<Record<WorkType, ProofKind>>> = {
  'chemical-clean': 'in-place',
  'drive-regeneration': 'in-place',
  'standing-regeneration': 'in-place',
  'off-vehicle-clean': 'off-vehicle',
  'filter-exchanged': 'exchange',
};
export const changesTheFilter = (work: WorkType): boolean => KIND_OF_WORK[work] !== undefined;

const PATH_PARTS: ReadonlySet<PartId> = new Set<PartId>(['dp-sensor', 'high-pipe', 'low-pipe']);

/** Causes that make the pressure shown another one than that of the filter: put right, it is what is read after that counts. */
export const PATH_CAUSES: ReadonlySet<string> = new Set([
  'dp-sensor-failed',
  'dp-sensor-wrong',
  'high-pipe-blocked',
  'low-pipe-blocked',
  'dp-hose-off',
  'dp-hoses-crossed',
  'sensor-wiring',
]);

/** By the last work on the filter; without any by whether the way of the pressure was put right. */
export function proofKind(entries: readonly Entry[]): ProofKind {
  const works = entriesOfKind(entries, 'work');
  const onFilter = works.findLast(({ body }) => changesTheFilter(body.work));
  if (onFilter) return KIND_OF_WORK[onFilter.body.work] ?? 'in-place';
  const putRight = entriesOfKind(entries, 'cause').some(
    ({ body }) => body.state === 'put-right' && PATH_CAUSES.has(body.cause),
  );
  const onPath =
    putRight ||
    works.some(
      ({ body }) =>
        (body.work === 'pipe-cleared' || body.work === 'sensor-replaced') &&
        body.part !== undefined &&
        PATH_PARTS.has(body.part),
    );
  return onPath ? 'pressure-path' : 'untouched';
}

/** Regenerations must be able to run again wherever the filter was worked on. */
const NEEDS_EGT: ReadonlySet<ProofKind> = new Set<ProofKind>(['in-place', 'off-vehicle', 'exchange']);
const NEEDS_SOOT: ReadonlySet<ProofKind> = new Set<ProofKind>([...NEEDS_EGT, 'pressure-path']);

export interface EvidenceFacts {
  /** Entries that count, in the order in which they happened. */
  readonly entries: readonly Entry[];
  readonly checks: readonly JudgedCheck[];
  readonly parts: ReadonlyMap<PartId, { readonly state: PartState; readonly why: string }>;
  readonly before: EntryOf<'reading'> | undefined;
  readonly after: readonly EntryOf<'reading'>[];
  /** The before reading is from after the work; the after reading from before it. */
  readonly beforeTooLate: boolean;
  readonly afterTooEarly: boolean;
  readonly proof: Proof | undefined;
  readonly limits: Limits;
  readonly fitted: readonly PartId[] | undefined;
  readonly filterVolumeL: number | undefined;
  readonly pressureUnit?: Unit;
}

const lastSince = <T extends Entry>(list: readonly T[], since: number): T | undefined =>
  list.filter((entry) => happenedAt(entry) >= since).at(-1);

/** What shows repairs that are not of the filter, with the drive and the scan that follow; nothing where none was made. */
export function evidenceOfRepairs(
  {
    entries,
    checks,
    limits,
  }: Pick<EvidenceFacts, 'entries' | 'limits'> & {
    readonly checks: Parameters<typeof repairEvidence>[1];
  },
  putRight: readonly string[],
  nameOf: (cause: string) => string,
): Evidence[] | undefined {
  const repairs = repairEvidence(entries, checks, putRight, nameOf);
  if (!repairs) return undefined;
  const drive = lastSince(entriesOfKind(entries, 'drive'), repairs.since);
  return [
    ...repairs.items,
    driveEvidence(drive, limits),
    codesEvidence(entries, drive ? happenedAt(drive) : repairs.since),
    ...powerEvidence(entries, drive),
  ];
}

/** Everything that a job of its kind needs to be proved, in the order of the work, with what is missing named. */
export function evidenceOf(facts: EvidenceFacts): Evidence[] {
  const { entries, before, after, beforeTooLate, afterTooEarly, proof, limits } = facts;
  const kind = proofKind(entries);
  const worked = entriesOfKind(entries, 'work').at(-1);
  // Evidence from before the last work proves nothing about it.
  const since = worked ? happenedAt(worked) : 0;
  const drive = lastSince(entriesOfKind(entries, 'drive'), since);
  const soot = NEEDS_SOOT.has(kind)
    ? sootOnDrive(entries, drive, since, { limits, volumeL: facts.filterVolumeL })
    : undefined;
  const egt = NEEDS_EGT.has(kind) ? egtEvidence(facts, drive, since) : undefined;
  return [
    {
      id: 'before',
      state: !before ? 'open' : beforeTooLate ? 'failed' : 'shown',
      text: beforeTooLate
        ? 'The before reading was taken after the work: it cannot show the state before'
        : 'A before reading',
      ...(before ? {} : { ask: 'Read before any work on the filter' }),
    },
    {
      id: 'after',
      state: after.length === 0 ? 'open' : afterTooEarly ? 'failed' : 'shown',
      text: afterTooEarly
        ? 'The after reading is older than the last work on filter or sensor: read again'
        : 'An after reading',
      ...(after.length === 0 ? { ask: 'Read again at the same speeds, warm' } : {}),
    },
    {
      id: 'equal-flow',
      state: proof?.verdict === 'proved' ? 'shown' : proof ? 'failed' : 'open',
      text: proof?.falseAlarm
        ? 'With sensor and pipes repaired, the pressure is within limits'
        : proof?.newFilter
          ? 'The new filter’s pressure is within limits'
          : 'Pressure lower at equal flow and within limits',
    },
    ...pathEvidence({ ...facts, pathRepaired: kind === 'pressure-path' }),
    ...(egt ? [egt] : []),
    driveEvidence(drive, limits),
    ...(soot ? [soot] : []),
    codesEvidence(entries, drive ? happenedAt(drive) : since),
    ...powerEvidence(entries, drive),
  ];
}

/** Whether the exhaust gets hot by itself, as a regeneration needs it. Not asked where no temperature is fitted or was ever read. */
function egtEvidence(
  { after, entries, fitted, limits }: EvidenceFacts,
  drive: EntryOf<'drive'> | undefined,
  since: number,
): Evidence | undefined {
  const limit = limits.egtWillingC;
  const holds = after.flatMap(({ body }) => body.samples.filter(({ kind }) => kind === 'hold'));
  const burns = entriesOfKind(entries, 'burn-ended').filter((entry) => happenedAt(entry) >= since);
  const values = [
    ...holds.flatMap(({ egt3C, egt2C, egt4C, filterC }) => [egt3C ?? egt2C ?? egt4C ?? filterC]),
    ...burns.map(({ body }) => body.peakInletC),
    drive?.body.egtPeakC,
  ].filter((value) => value !== undefined);
  if (values.length === 0) {
    const has = fitted?.some((part) => part.startsWith('egt')) ?? false;
    return has
      ? {
          id: 'egt',
          state: 'open',
          text: `Exhaust temperature rises past ${limit} °C`,
          ask: 'Note the temperature before the filter in the hold, or the highest on the drive',
        }
      : undefined;
  }
  const hottest = Math.max(...values);
  const read = `${Math.round(hottest)} °C`;
  if (hottest >= limit)
    return {
      id: 'egt',
      state: 'shown',
      text: `Exhaust temperature rises freely: ${read} (at least ${limit})`,
    };
  // A hold without load may stay cool; on the road it must not.
  const driven = drive?.body.egtPeakC !== undefined;
  return {
    id: 'egt',
    state: driven ? 'failed' : 'open',
    text: `Exhaust gets no hotter than ${read}, at least ${limit} needed: regeneration may be inhibited`,
    ...(driven ? {} : { ask: 'Note the highest temperature before the filter on the drive' }),
  };
}

function driveEvidence(drive: EntryOf<'drive'> | undefined, { driveLeastKm }: Limits): Evidence {
  if (!drive)
    return {
      id: 'drive',
      state: 'open',
      text: 'A drive after the work',
      ask: `Drive at least ${driveLeastKm} km, warm, with one pull`,
    };
  const { distanceKm, reportedBy } = drive.body;
  if (distanceKm < driveLeastKm)
    return {
      id: 'drive',
      state: 'open',
      text: `A drive of ${distanceKm} km is too short to prove anything (at least ${driveLeastKm} km)`,
      ask: `Drive at least ${driveLeastKm} km`,
    };
  return {
    id: 'drive',
    state: 'shown',
    text: `Drive of ${distanceKm} km${reportedBy === 'customer' ? ', reported by the customer' : ''}`,
    ...(reportedBy === 'customer' ? { weak: 'drive reported by the customer only' } : {}),
  };
}

/** Codes after the drive. What has nothing to do with the filter is named and does not count. */
function codesEvidence(entries: readonly Entry[], since: number): Evidence {
  const scan = lastSince(
    entriesOfKind(entries, 'code-scan').filter(({ body }) => body.when === 'after-drive'),
    since,
  );
  if (!scan)
    return {
      id: 'no-codes',
      state: 'open',
      text: 'No codes after the drive',
      ask: 'Scan again after the drive; the customer may report lamps if no tool is at hand',
    };
  const byCustomer = scan.body.reportedBy === 'customer';
  const sorted = sortCodes(scan.body.codes);
  const against = sorted.filter(({ group }) => group !== 'bystander');
  if (against.length > 0)
    return {
      id: 'no-codes',
      state: 'failed',
      text: `Codes after the drive: ${against.map(({ code }) => code).join(', ')}`,
    };
  const beside = sorted.map(({ code }) => code).join(', ');
  return {
    id: 'no-codes',
    state: 'shown',
    text: byCustomer
      ? 'No lamp and no message after the drive, reported by the customer'
      : `No codes after the drive${beside === '' ? '' : `, but for ${beside}, unrelated to the filter`}`,
    ...(byCustomer ? { weak: 'lamps reported by the customer; no scan' } : {}),
  };
}

function powerEvidence(entries: readonly Entry[], drive: EntryOf<'drive'> | undefined): Evidence[] {
  const limited = entriesOfKind(entries, 'complaint').some(({ body }) => body.powerLimited === true);
  const still = drive?.body.powerLimitGone === false;
  // Nobody said so before, and it was found on the drive.
  if (!limited && !still) return [];
  return [
    {
      id: 'power-limit',
      state: !drive ? 'open' : still ? 'failed' : 'shown',
      text: still ? 'Power is still limited' : 'Power limit gone',
      ...(drive ? {} : { ask: 'One pull at full throttle on the drive' }),
    },
  ];
}

/** What a job needs beyond two readings before it is proved; for where nothing but two readings is known. */
export const BEYOND_THE_READINGS: readonly string[] = [
  'A drive after the work',
  'No codes after the drive',
  'ΔP sensor proved good, hoses fitted and intact',
];
