import { say } from '@white-ember/core/words';
import { z } from 'zod';
import { familyBookSchema } from '@white-ember/core/contract';
import { familyBook, type FamilyJob } from '@white-ember/core/job';
import { idSchema } from '@white-ember/core/ledger';
import { notFound } from '../http/problem.ts';
import { memberRoute, type Route } from '../http/route.ts';
import { readEntries } from '../judging/storedJob.ts';
import { VehicleEntity } from '../database/entities/vehicle.entity.ts';

/** So many of the latest jobs of a family are looked through. */
const MOST_JOBS = 60;

interface JobRow {
  id: string;
  number: number;
  opened_at: Date;
  verdict: string;
  vehicle_id: string;
  plate: string;
  model: string;
  customer_id: string | null;
}

export const familyRoutes: Route[] = [
  memberRoute({
    method: 'get',
    path: '/api/vehicles/:id/family',
    access: 'viewer',
    summary: 'What was learned about the engine family of a vehicle, and what it proposes for this one',
    params: z.object({ id: idSchema }),
    answer: familyBookSchema,
    handle: async ({ params, db, workshopId }) => {
      const vehicle = await db.manager.findOneBy(VehicleEntity, { id: params.id, workshopId });
      if (!vehicle) throw notFound(say('refusals.the-vehicle'));
      const rows = await db.query<JobRow[]>(
        `SELECT j.id, j.number, j.opened_at, j.summary->>'verdict' AS verdict, v.id AS vehicle_id, v.plate, v.model,
                v.customer_id
           FROM job j JOIN vehicle v ON v.id = j.vehicle_id
          WHERE j.workshop_id = $1 AND v.family = $2
            AND (j.summary->>'verdict' = 'proved' OR EXISTS (
                   SELECT 1 FROM entry e WHERE e.job_id = j.id AND e.body->>'kind' IN ('family-note', 'cause')))
          ORDER BY j.last_entry_at DESC, j.id DESC LIMIT ${MOST_JOBS}`,
        [workshopId, vehicle.family],
      );
      const others = await db.query<{ id: string; plate: string; model: string }[]>(
        `SELECT id, plate, model FROM vehicle
          WHERE workshop_id = $1 AND family = $2 AND customer_id = $3 AND id <> $4 ORDER BY plate`,
        [workshopId, vehicle.family, vehicle.customerId, vehicle.id],
      );
      const jobs: FamilyJob[] = [];
      for (const row of rows)
        jobs.push({
          id: row.id,
          number: row.number,
          openedAt: row.opened_at.toISOString(),
          proved: row.verdict === 'proved',
          vehicle: { id: row.vehicle_id, plate: row.plate, model: row.model },
          sameCustomer: vehicle.customerId !== null && row.customer_id === vehicle.customerId,
          entries: await readEntries(db.manager, row.id),
        });
      return familyBook(vehicle.family, jobs, { id: vehicle.id, others });
    },
  }),
];
