import { say, type Said } from '../words/index.ts';
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

/** Whether wiring or supply is all that was put right on the way of the pressure. */
function isWiringOnly(entries: readonly Entry[]): boolean {
  const causes = entriesOfKind(entries, 'cause')
    .map(({ body }) => body)
    .filter(({ cause, state }) => state === 'put-right' && PATH_CAUSES.has(cause));
  const moved = entriesOfKind(entries, 'work').some(
    ({ body }) => body.work === 'pipe-cleared' || body.work === 'sensor-replaced',
  );
  return !moved && causes.length > 0 && causes.every(({ cause }) => cause === 'sensor-wiring');
}

/** Regenerations must be able to run again wherever the filter was worked on. */
const NEEDS_EGT: ReadonlySet<ProofKind> = new Set<ProofKind>(['in-place', 'off-vehicle', 'exchange']);
const NEEDS_SOOT: ReadonlySet<ProofKind> = new Set<ProofKind>([...NEEDS_EGT, 'pressure-path']);

export interface EvidenceFacts {
  /** Entries that count, in the order in which they happened. */
  readonly entries: readonly Entry[];
  readonly checks: readonly JudgedCheck[];
  readonly parts: ReadonlyMap<PartId, { readonly state: PartState; readonly why: Said }>;
  readonly before: EntryOf<'reading'> | undefined;
  readonly after: readonly EntryOf<'reading'>[];
  /** The before reading is from after the work; the after reading from before it. */
  readonly beforeTooLate: boolean;
  readonly afterTooEarly: boolean;
  readonly proof: Proof | undefined;
  readonly limits: Limits;
  readonly fitted: readonly PartId[] | undefined;
  readonly filterVolumeL: number | undefined;
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
  nameOf: (cause: string) => Said,
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
      text: beforeTooLate ? say('proof.the-before-reading-was-taken') : say('proof.a-before-reading'),
      ...(before ? {} : { ask: say('proof.read-before-any-work') }),
    },
    {
      id: 'after',
      state: after.length === 0 ? 'open' : afterTooEarly ? 'failed' : 'shown',
      text: afterTooEarly ? say('proof.the-after-reading-is-older') : say('proof.an-after-reading'),
      ...(after.length === 0 ? { ask: say('proof.read-again-at-the-same') } : {}),
    },
    {
      id: 'equal-flow',
      state: proof?.verdict === 'proved' ? 'shown' : proof ? 'failed' : 'open',
      text: proof?.falseAlarm
        ? say('proof.with-sensor-and-pipes-repaired')
        : proof?.newFilter
          ? say('proof.the-new-filters-pressure')
          : say('proof.pressure-lower-at-equal-flow'),
    },
    ...pathEvidence({
      ...facts,
      pathRepaired: kind === 'pressure-path',
      wiringOnly: kind === 'pressure-path' && isWiringOnly(entries),
    }),
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
          text: say('proof.exhaust-temperature-rises-past-c', { limit }),
          ask: say('proof.note-the-temperature-before'),
        }
      : undefined;
  }
  const hottest = Math.max(...values);
  if (hottest >= limit)
    return {
      id: 'egt',
      state: 'shown',
      text: say('proof.exhaust-temperature-rises-freely', { readC: hottest, limit }),
    };
  // A hold without load may stay cool; on the road it must not.
  const driven = drive?.body.egtPeakC !== undefined;
  return {
    id: 'egt',
    state: driven ? 'failed' : 'open',
    text: say('proof.exhaust-gets-no-hotter', { readC: hottest, limit }),
    ...(driven ? {} : { ask: say('proof.note-the-highest-temperature-before') }),
  };
}

function driveEvidence(drive: EntryOf<'drive'> | undefined, { driveLeastKm }: Limits): Evidence {
  if (!drive)
    return {
      id: 'drive',
      state: 'open',
      text: say('proof.a-drive-after-the-work'),
      ask: say('proof.drive-at-least-km-warm', { driveLeastKm }),
    };
  const { distanceKm, reportedBy } = drive.body;
  if (distanceKm < driveLeastKm)
    return {
      id: 'drive',
      state: 'open',
      text: say('proof.a-drive-of-km', { distanceKm, driveLeastKm }),
      ask: say('proof.drive-at-least-km', { driveLeastKm }),
    };
  return {
    id: 'drive',
    state: 'shown',
    text: say('proof.drive-of-km', { distanceKm, byCustomer: reportedBy === 'customer' }),
    ...(reportedBy === 'customer' ? { weak: say('proof.drive-reported-by-the-customer') } : {}),
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
      text: say('proof.no-codes-after-the-drive'),
      ask: say('proof.scan-again-after-the-drive'),
    };
  const byCustomer = scan.body.reportedBy === 'customer';
  const sorted = sortCodes(scan.body.codes);
  const against = sorted.filter(({ group }) => group !== 'bystander');
  if (against.length > 0)
    return {
      id: 'no-codes',
      state: 'failed',
      text: say('proof.codes-after-the-drive', { codes: against.map(({ code }) => code) }),
    };
  const beside = sorted.map(({ code }) => code);
  return {
    id: 'no-codes',
    state: 'shown',
    text: byCustomer ? say('proof.no-lamp-and-no-message') : say('proof.no-codes-but', { beside }),
    ...(byCustomer ? { weak: say('proof.lamps-reported-by-the-customer') } : {}),
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
      text: still ? say('proof.power-is-still-limited') : say('proof.power-limit-gone'),
      ...(drive ? {} : { ask: say('proof.one-pull-at-full-throttle') }),
    },
  ];
}

/** What a job needs beyond two readings before it is proved; for where nothing but two readings is known. */
export const BEYOND_THE_READINGS: readonly Said[] = [
  say('proof.a-drive-after-the-work'),
  say('proof.no-codes-after-the-drive'),
  say('proof.dp-sensor-proved-good-hoses'),
];
