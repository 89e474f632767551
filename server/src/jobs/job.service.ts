import type { EntityManager } from 'typeorm';
import type { Job } from '@white-ember/core/contract';
import { notFound } from '../app/problem.ts';
import { EntryEntity, toEntry, type EntryRow } from '../ledger/entry.entity.ts';
import { LimitsProfileEntity } from '../limits/limitsProfile.entity.ts';
import { profileFor, toLimitsProfile } from '../limits/limits.service.ts';
import { listLogs } from '../logs/log.service.ts';
import { VehicleEntity } from '../vehicles/vehicle.entity.ts';
import { presentVehicles } from '../vehicles/vehicle.service.ts';
import { JobEntity } from './job.entity.ts';

/** The limits a job is judged by: those pinned when it was signed off, else the ones in force for its family. */
async function limitsFor(
  manager: EntityManager,
  workshopId: string,
  family: string,
  entries: readonly EntryRow[],
) {
  const signOff = entries.findLast((entry) => entry.body.kind === 'sign-off');
  const pinned = signOff?.body.kind === 'sign-off' ? signOff.body.limitsProfileId : undefined;
  if (pinned) {
    const row = await manager.findOneBy(LimitsProfileEntity, { id: pinned, workshopId });
    if (row) return row;
  }
  return profileFor(manager, workshopId, family);
}

export async function presentJob(manager: EntityManager, workshopId: string, id: string): Promise<Job> {
  const job = await manager.findOneBy(JobEntity, { id, workshopId });
  if (!job) throw notFound('The job');
  const vehicleRow = await manager.findOneByOrFail(VehicleEntity, { id: job.vehicleId });
  const [vehicle] = await presentVehicles(manager, [vehicleRow]);
  if (!vehicle) throw notFound('The vehicle of this job');
  const entries = await manager.find(EntryEntity, { where: { jobId: id }, order: { seq: 'ASC' } });
  const profile = await limitsFor(manager, workshopId, vehicle.family, entries);
  return {
    id: job.id,
    number: job.number,
    openedAt: job.openedAt.toISOString(),
    vehicle,
    entries: entries.map(toEntry),
    logs: await listLogs(manager, workshopId, id),
    ...(profile ? { limitsProfile: toLimitsProfile(profile) } : {}),
  };
}
