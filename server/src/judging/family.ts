import type { EntityManager } from 'typeorm';
import type { FamilyFound, Vehicle } from '@white-ember/core/contract';
import { causeNow } from '@white-ember/core/diagnosis';
import { filterOfFamily, type FilterGeometry } from '@white-ember/core/filter';
import { familyFilter } from '@white-ember/core/job';
import type { Limits } from '@white-ember/core/limits';
import { readEntriesOf, type StoredJob } from './storedJob.ts';

/** The latest jobs of a family that are looked at: a workshop of decades does not make one job’s page slow. */
const MOST_JOBS = 200;
/** Vehicles from whose readings the filter of a family is learned: more of them tell next to nothing more. */
const MOST_VEHICLES = 8;

/** What was found on the other vehicles of a job’s engine family, and the filter that they have. */
export async function foundInFamily(
  manager: EntityManager,
  workshopId: string,
  { id, vehicle }: Pick<StoredJob, 'id' | 'vehicle'>,
  limits: Limits,
): Promise<FamilyFound | undefined> {
  const rows = await manager.query<{ causes: string[] }[]>(
    `SELECT ARRAY(SELECT DISTINCT c->>'cause' FROM jsonb_array_elements(j.visit->'causes') c) AS causes
       FROM job j JOIN vehicle v ON v.id = j.vehicle_id
      WHERE j.workshop_id = $1 AND v.family = $2 AND j.id <> $3 AND (j.summary->>'signedOff') = 'true'
        AND j.visit IS NOT NULL
      ORDER BY j.opened_at DESC LIMIT ${MOST_JOBS}`,
    [workshopId, vehicle.family, id],
  );
  const filter = vehicle.filter
    ? undefined
    : await filterInFamily(manager, workshopId, { job: id, vehicle }, limits);
  if (rows.length === 0 && !filter) return undefined;
  const confirmed: Record<string, number> = {};
  for (const { causes } of rows)
    for (const cause of new Set(causes.map(causeNow))) confirmed[cause] = (confirmed[cause] ?? 0) + 1;
  return { jobs: rows.length, confirmed, ...(filter ? { filter } : {}) };
}

/** A size that was measured on another vehicle of the family, else what the readings of those that were proved tell. */
async function filterInFamily(
  manager: EntityManager,
  workshopId: string,
  { job, vehicle: { id, family, displacementL } }: { readonly job: string; readonly vehicle: Vehicle },
  limits: Limits,
): Promise<FamilyFound['filter']> {
  const entered = await manager.query<FilterGeometry[]>(
    `SELECT f.diameter_mm AS "diameterMm", f.length_mm AS "lengthMm", f.cpsi, f.wall_mm AS "wallMm"
       FROM vehicle v JOIN filter_model f ON f.id = v.filter_model_id
      WHERE v.workshop_id = $1 AND v.family = $2 AND v.id <> $3 AND f.basis = 'measured' LIMIT 50`,
    [workshopId, family, id],
  );
  const known = filterOfFamily(entered);
  if (known) return known;
  const proved = await manager.query<{ id: string; displacement_l: number | null }[]>(
    `SELECT id, displacement_l FROM (
       SELECT DISTINCT ON (v.id) j.id, v.displacement_l, j.opened_at
         FROM job j JOIN vehicle v ON v.id = j.vehicle_id
        WHERE j.workshop_id = $1 AND v.family = $2 AND j.id <> $3 AND j.visit->>'filter' <> 'as-it-was'
          AND j.summary->>'verdict' = 'proved'
        ORDER BY v.id, j.opened_at DESC) last
      ORDER BY opened_at DESC LIMIT ${MOST_VEHICLES}`,
    [workshopId, family, job],
  );
  if (proved.length === 0) return undefined;
  const entries = await readEntriesOf(
    manager,
    proved.map((one) => one.id),
    ['reading', 'withdrawn'],
  );
  const learned = familyFilter(
    displacementL,
    proved.map((one) => ({
      displacementL: one.displacement_l ?? undefined,
      entries: entries.filter(({ jobId }) => jobId === one.id),
    })),
    limits,
  );
  return learned?.size ? { ...learned, size: learned.size } : undefined;
}
