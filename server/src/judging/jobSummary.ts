import type { EntityManager } from 'typeorm';
import { adviceIsOld } from './advisor.ts';
import { JobEntity } from '../database/entities/job.entity.ts';
import { judgedJob, type JudgedJob } from './judgedJob.ts';
import { readEntries, readStoredJob } from './storedJob.ts';

/** The library’s types take a message’s figures apart, which stand in one column as they are. */
const asColumns = (judged: JudgedJob): object => judged;

/** The line of one job anew, with its row held: who appends to it waits. */
export async function refreshSummary(manager: EntityManager, workshopId: string, id: string): Promise<void> {
  const job = await readStoredJob(manager, workshopId, id, { lock: true });
  if (!job) return;
  await manager.update(
    JobEntity,
    { id },
    asColumns(await judgedJob(manager, job, await readEntries(manager, id))),
  );
}

/** After a vehicle or a limit changed: the lines of the jobs that it bears on and that are not signed off. */
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
  const open = await builder.orderBy('j.last_entry_at', 'DESC').limit(500).getMany();
  await adviceIsOld(
    manager,
    open.map(({ id }) => id),
  );
  for (const { id } of open) {
    const job = await readStoredJob(manager, scope.workshopId, id);
    if (!job) continue;
    await manager.update(
      JobEntity,
      { id },
      asColumns(await judgedJob(manager, job, await readEntries(manager, id))),
    );
  }
}
