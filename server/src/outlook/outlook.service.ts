import type { DataSource } from 'typeorm';
import {
  ashLine,
  assumedGrowth,
  dueDate,
  FARTHEST_KM,
  kmPerDay,
  learnGrowth,
  outlookOf,
  stretchesOf,
  type Visit,
  type VehicleOutlook,
} from '@white-ember/core/outlook';
import { notFound } from '../app/problem.ts';
import { JobEntity } from '../jobs/job.entity.ts';
import { judgedJob } from '../jobs/judgedJob.ts';
import { readEntries, readStoredJob } from '../jobs/storedJob.ts';
import { limitsInForce } from '../limits/limits.service.ts';
import { VehicleEntity } from '../vehicles/vehicle.entity.ts';

/** So many vehicles of a family teach how fast its filters fill: more would not change it. */
const MOST_TEACHERS = 300;

interface VisitRow {
  id: string;
  vehicle_id: string;
  visit: Visit | null;
}

/** The visit of a job that was stored before visits were kept: worked out once, and kept from then on. */
async function visitOfOld(db: DataSource, workshopId: string, id: string): Promise<Visit | undefined> {
  return db.transaction(async (manager) => {
    const job = await readStoredJob(manager, workshopId, id, { lock: true });
    if (!job) return undefined;
    const { visit } = await judgedJob(manager, job, await readEntries(manager, id));
    await manager.update(JobEntity, { id }, { visit });
    return visit;
  });
}

async function visitsOf(
  db: DataSource,
  workshopId: string,
  rows: readonly VisitRow[],
): Promise<Map<string, Visit[]>> {
  const visits = new Map<string, Visit[]>();
  for (const { id, vehicle_id, visit } of rows) {
    const known = visit ?? (await visitOfOld(db, workshopId, id));
    if (known) visits.set(vehicle_id, [...(visits.get(vehicle_id) ?? []), known]);
  }
  return visits;
}

/** What the jobs of a vehicle and of its kind say about the road ahead of it. */
export async function vehicleOutlook(
  db: DataSource,
  workshopId: string,
  vehicleId: string,
): Promise<VehicleOutlook> {
  const vehicle = await db.manager.findOneBy(VehicleEntity, { id: vehicleId, workshopId });
  if (!vehicle) throw notFound('The vehicle');
  const { family } = vehicle;
  const limits = await limitsInForce(db.manager, workshopId, family);
  const rows = await db.query<VisitRow[]>(
    `WITH teachers AS (
       SELECT v.id FROM vehicle v WHERE v.workshop_id = $1 AND v.family = $2
        ORDER BY v.id = $3 DESC, v.id DESC LIMIT ${MOST_TEACHERS})
     SELECT j.id, j.vehicle_id, j.visit FROM job j JOIN teachers t ON t.id = j.vehicle_id
      WHERE j.workshop_id = $1 ORDER BY j.opened_at, j.id`,
    [workshopId, family, vehicleId],
  );
  const byVehicle = await visitsOf(db, workshopId, rows);
  const visits = byVehicle.get(vehicleId) ?? [];
  // Its own stretches are counted when its outlook is made, not twice.
  const others = [...byVehicle].filter(([id]) => id !== vehicleId).map(([, its]) => stretchesOf(its));
  const prior = learnGrowth(others, assumedGrowth(limits), limits);
  const outlook = outlookOf(visits, prior, limits);
  const perDay = kmPerDay(visits);
  const due =
    outlook.known && perDay !== undefined && outlook.dueKm.value < FARTHEST_KM
      ? dueDate(outlook.from, outlook.dueKm, perDay)
      : undefined;
  // Plain copies: core’s lists are read-only, the answer’s are not.
  return structuredClone({
    visits,
    outlook,
    ash: ashLine(visits, limits),
    ...(due ? { dueDate: due } : {}),
    ...(perDay === undefined ? {} : { kmPerDay: perDay }),
    kind: { family, vehicles: prior.vehicles },
  }) as VehicleOutlook;
}
