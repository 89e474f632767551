import type { EntityManager } from 'typeorm';
import type { FilterGeometry } from '@white-ember/core/filter';
import { deriveJob, summariseJob, type JobFacts } from '@white-ember/core/job';
import { FilterModelEntity } from '../filters/filterModel.entity.ts';
import { EntryEntity, toEntry } from '../ledger/entry.entity.ts';
import { limitsOf, profileFor } from '../limits/limits.service.ts';
import { VehicleEntity } from '../vehicles/vehicle.entity.ts';
import { JobEntity, type JobRow } from './job.entity.ts';

/** All that core needs to say what a job means. */
async function factsOf(
  manager: EntityManager,
  job: Pick<JobRow, 'id' | 'workshopId' | 'vehicleId'>,
): Promise<JobFacts> {
  const vehicle = await manager.findOneByOrFail(VehicleEntity, { id: job.vehicleId });
  const filter =
    vehicle.filterModelId === null
      ? null
      : await manager.findOneBy(FilterModelEntity, { id: vehicle.filterModelId });
  const rows = await manager.find(EntryEntity, { where: { jobId: job.id }, order: { seq: 'ASC' } });
  const profile = await profileFor(manager, job.workshopId, vehicle.family);
  const geometry: FilterGeometry | undefined = filter
    ? { diameterMm: filter.diameterMm, lengthMm: filter.lengthMm, cpsi: filter.cpsi, wallMm: filter.wallMm }
    : undefined;
  return {
    entries: rows.map(toEntry),
    limits: limitsOf(profile),
    ...(vehicle.displacementL === null ? {} : { displacementL: vehicle.displacementL }),
    ...(geometry ? { geometry } : {}),
  };
}

/** Works the list's line of a job out anew. */
export async function refreshSummary(
  manager: EntityManager,
  job: Pick<JobRow, 'id' | 'workshopId' | 'vehicleId'>,
): Promise<void> {
  const summary = summariseJob(deriveJob(await factsOf(manager, job)), Date.now());
  await manager.update(JobEntity, { id: job.id }, { summary });
}

/** After a vehicle or a limit changed: the jobs that it bears on and that are not signed off. */
export async function refreshSummaries(
  manager: EntityManager,
  scope: { workshopId: string; vehicleId?: string; family?: string },
): Promise<void> {
  const builder = manager
    .createQueryBuilder(JobEntity, 'j')
    .innerJoin('vehicle', 'v', 'v.id = j.vehicle_id')
    .where("j.workshop_id = :workshopId AND (j.summary->>'signedOff') = 'false'", scope);
  if (scope.vehicleId) builder.andWhere('j.vehicle_id = :vehicleId', scope);
  if (scope.family) builder.andWhere('v.family = :family', scope);
  for (const job of await builder.orderBy('j.last_entry_at', 'DESC').limit(500).getMany()) {
    await refreshSummary(manager, job);
  }
}
