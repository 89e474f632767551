import type { EntityManager } from 'typeorm';
import type { JobSummary, LimitsProfile, Seal, Vehicle } from '@white-ember/core/contract';
import { sealedLimits, vehicleFactsOf, type JobFacts, type NextJob } from '@white-ember/core/job';
import type { Entry, EntryBody, EntryKind } from '@white-ember/core/ledger';
import { limitsOf } from './limitsInForce.ts';

/** A job with all that judging it needs, as one query brings it. */
export interface StoredJob {
  readonly id: string;
  readonly number: number;
  readonly openedAt: Date;
  readonly entryCount: number;
  readonly summary: JobSummary;
  readonly vehicle: Vehicle;
  /** The limits in force for its engine family, or the general ones. */
  readonly limitsProfile?: LimitsProfile;
  /** What it was signed off with: then vehicle and limits are those of that day. */
  readonly seal?: Seal;
}

interface JobRecord {
  id: string;
  number: number;
  opened_at: Date;
  entry_count: number;
  summary: JobSummary;
  vehicle: Record<string, unknown>;
  filter: Record<string, unknown> | null;
  customer: Record<string, unknown> | null;
  profile: Record<string, unknown> | null;
  seal: Seal | null;
}

/** Snake case of the database to the names of the contract; what is empty there is absent here. */
function named<T>(record: Record<string, unknown>, names: Record<string, string>): T {
  return Object.fromEntries(
    Object.entries(names).flatMap(([column, name]) => {
      const value = record[column];
      return value === null || value === undefined ? [] : [[name, value]];
    }),
  ) as T;
}

const same = (...names: string[]): Record<string, string> =>
  Object.fromEntries(names.map((name) => [name, name]));
const FILTER = {
  ...same('id', 'name', 'cpsi', 'material', 'basis', 'catalyst'),
  diameter_mm: 'diameterMm',
  length_mm: 'lengthMm',
  wall_mm: 'wallMm',
};
const CUSTOMER = same('id', 'name', 'contact');
const VEHICLE = {
  ...same('id', 'plate', 'model', 'family', 'fitted', 'revision', 'note'),
  displacement_l: 'displacementL',
  filter_model_id: 'filterModelId',
  customer_id: 'customerId',
};

function toProfile(record: Record<string, unknown>): LimitsProfile {
  const { family, ...profile } = named<LimitsProfile & { createdAt: string }>(record, {
    ...same('id', 'version', 'family', 'overrides'),
    source_note: 'sourceNote',
    created_at: 'createdAt',
    created_by: 'createdBy',
  });
  return { ...profile, createdAt: new Date(profile.createdAt).toISOString(), ...(family ? { family } : {}) };
}

/**
 * With `lock` the job's row is held until the transaction ends: it orders all appends, whichever process they reach. Not
 * `sealed`, it comes with vehicle and limits as they are now.
 */
export async function readStoredJob(
  manager: EntityManager,
  workshopId: string,
  id: string,
  { lock = false, sealed = true }: { lock?: boolean; sealed?: boolean } = {},
): Promise<StoredJob | undefined> {
  const [record] = await manager.query<JobRecord[]>(
    `SELECT j.id, j.number, j.opened_at, j.entry_count, j.summary, to_jsonb(v) AS vehicle, to_jsonb(f) AS filter,
            to_jsonb(c) AS customer, to_jsonb(p) AS profile, s.seal
       FROM job j
       JOIN vehicle v ON v.id = j.vehicle_id
       LEFT JOIN filter_model f ON f.id = v.filter_model_id
       LEFT JOIN customer c ON c.id = v.customer_id
       LEFT JOIN job_seal s ON s.job_id = j.id AND ${sealed ? 'true' : 'false'}
       LEFT JOIN LATERAL (
         SELECT * FROM limits_profile l WHERE l.workshop_id = j.workshop_id AND l.family IN (v.family, '')
          ORDER BY l.family = v.family DESC, l.version DESC LIMIT 1) p ON true
      WHERE j.id = $1 AND j.workshop_id = $2${lock ? ' FOR NO KEY UPDATE OF j' : ''}`,
    [id, workshopId],
  );
  if (!record) return undefined;
  const limitsProfile = record.seal ? record.seal.limitsProfile : record.profile && toProfile(record.profile);
  return {
    id: record.id,
    number: record.number,
    openedAt: record.opened_at,
    entryCount: record.entry_count,
    summary: record.summary,
    ...(record.seal ? { seal: record.seal } : {}),
    vehicle: record.seal?.vehicle ?? {
      ...named<Vehicle>(record.vehicle, VEHICLE),
      ...(record.filter ? { filter: named<NonNullable<Vehicle['filter']>>(record.filter, FILTER) } : {}),
      ...(record.customer
        ? { customer: named<NonNullable<Vehicle['customer']>>(record.customer, CUSTOMER) }
        : {}),
    },
    ...(limitsProfile ? { limitsProfile } : {}),
  };
}

interface EntryRecord {
  id: string;
  job_id: string;
  seq: number;
  author_id: string;
  author_name: string;
  device_time: Date;
  server_time: Date;
  supersedes: string | null;
  imported: boolean;
  body: EntryBody;
}

/** The ledger of a job in the server's order; only some kinds of entry where they are named. */
export const readEntries = (
  manager: EntityManager,
  jobId: string,
  kinds?: readonly EntryKind[],
): Promise<Entry[]> => readEntriesOf(manager, [jobId], kinds);

/** The ledgers of several jobs, one after another. */
export async function readEntriesOf(
  manager: EntityManager,
  jobIds: readonly string[],
  kinds?: readonly EntryKind[],
): Promise<Entry[]> {
  const records = await manager.query<EntryRecord[]>(
    `SELECT id, job_id, seq, author_id, author_name, device_time, server_time, supersedes,
            imported_at IS NOT NULL AS imported, body
       FROM entry WHERE job_id = ANY($1)${kinds ? ` AND body->>'kind' = ANY($2)` : ''} ORDER BY job_id, seq`,
    kinds ? [jobIds, kinds] : [jobIds],
  );
  return records.map((record) => ({
    id: record.id,
    jobId: record.job_id,
    seq: record.seq,
    authorId: record.author_id,
    authorName: record.author_name,
    deviceTime: record.device_time.toISOString(),
    serverTime: record.server_time.toISOString(),
    ...(record.supersedes === null ? {} : { supersedes: record.supersedes }),
    ...(record.imported ? { imported: true as const } : {}),
    body: record.body,
  }));
}

/** What of the next job can contradict this one's proof: what it read, and what was done before. */
const BEARS_ON_THE_LAST: readonly EntryKind[] = [
  'complaint',
  'reading',
  'work',
  'burn-ended',
  'check',
  'withdrawn',
];
export const bearsOnTheLast = (kind: EntryKind): boolean => BEARS_ON_THE_LAST.includes(kind);

/** The job of the same vehicle that was opened next after this one. */
export async function readNextJob(manager: EntityManager, jobId: string): Promise<NextJob | undefined> {
  const [next] = await manager.query<{ id: string; number: number; opened_at: Date }[]>(
    `SELECT n.id, n.number, n.opened_at
       FROM job j JOIN job n ON n.vehicle_id = j.vehicle_id AND n.workshop_id = j.workshop_id
                            AND (n.opened_at, n.id) > (j.opened_at, j.id)
      WHERE j.id = $1 ORDER BY n.opened_at, n.id LIMIT 1`,
    [jobId],
  );
  if (!next) return undefined;
  return {
    id: next.id,
    number: next.number,
    openedAt: next.opened_at.toISOString(),
    entries: await readEntries(manager, next.id, BEARS_ON_THE_LAST),
  };
}

/** The job of the same vehicle before this one, whose proof this one may contradict. */
export async function previousProved(manager: EntityManager, jobId: string): Promise<string | undefined> {
  const [previous] = await manager.query<{ id: string; verdict: string }[]>(
    `SELECT p.id, p.summary->>'verdict' AS verdict
       FROM job j JOIN job p ON p.vehicle_id = j.vehicle_id AND p.workshop_id = j.workshop_id
                            AND (p.opened_at, p.id) < (j.opened_at, j.id)
      WHERE j.id = $1 ORDER BY p.opened_at DESC, p.id DESC LIMIT 1`,
    [jobId],
  );
  return previous && ['proved', 'equal-flow', 'reopened'].includes(previous.verdict)
    ? previous.id
    : undefined;
}

/** All that core needs to say what a job means, with the visit after it. */
export async function factsOf(
  manager: EntityManager,
  { id, vehicle, limitsProfile, seal }: StoredJob,
  entries: readonly Entry[],
): Promise<JobFacts & { readonly nextJob?: NextJob }> {
  const nextJob = await readNextJob(manager, id);
  return {
    entries,
    ...(nextJob ? { nextJob } : {}),
    limits: seal ? sealedLimits(seal) : limitsOf(limitsProfile),
    ...vehicleFactsOf(vehicle),
  };
}
