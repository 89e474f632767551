import type { EntityManager } from 'typeorm';
import type { FamilyFound } from '@white-ember/core/contract';
import { causeNow } from '@white-ember/core/diagnosis';

/** The latest jobs of a family that are looked at: a workshop of decades does not make one job’s page slow. */
const MOST_JOBS = 200;

/** What was found on the other vehicles of a job’s engine family, by the jobs that are signed off. */
export async function foundInFamily(
  manager: EntityManager,
  workshopId: string,
  jobId: string,
  family: string,
): Promise<FamilyFound | undefined> {
  const rows = await manager.query<{ causes: string[] }[]>(
    `SELECT ARRAY(SELECT DISTINCT c->>'cause' FROM jsonb_array_elements(j.visit->'causes') c) AS causes
       FROM job j JOIN vehicle v ON v.id = j.vehicle_id
      WHERE j.workshop_id = $1 AND v.family = $2 AND j.id <> $3 AND (j.summary->>'signedOff') = 'true'
        AND j.visit IS NOT NULL
      ORDER BY j.opened_at DESC LIMIT ${MOST_JOBS}`,
    [workshopId, family, jobId],
  );
  if (rows.length === 0) return undefined;
  const confirmed: Record<string, number> = {};
  for (const { causes } of rows)
    for (const cause of new Set(causes.map(causeNow))) confirmed[cause] = (confirmed[cause] ?? 0) + 1;
  return { jobs: rows.length, confirmed };
}
