import type { EntityManager } from 'typeorm';
import type { Job, LimitsProfile } from '@white-ember/core/contract';
import type { Entry } from '@white-ember/core/ledger';
import { notFound } from '../app/problem.ts';
import { LimitsProfileEntity } from '../limits/limitsProfile.entity.ts';
import { toLimitsProfile } from '../limits/limits.service.ts';
import { listLogs } from '../logs/log.service.ts';
import { readEntries, readNextJob, readStoredJob } from './storedJob.ts';

/** The limits a signed-off job was judged by: pinned then, so that later changes do not rewrite it. */
async function pinnedLimits(
  manager: EntityManager,
  workshopId: string,
  entries: readonly Entry[],
): Promise<LimitsProfile | undefined> {
  const signOff = entries.findLast((entry) => entry.body.kind === 'sign-off');
  const id = signOff?.body.kind === 'sign-off' ? signOff.body.limitsProfileId : undefined;
  const row = id ? await manager.findOneBy(LimitsProfileEntity, { id, workshopId }) : null;
  return row ? toLimitsProfile(row) : undefined;
}

export async function presentJob(manager: EntityManager, workshopId: string, id: string): Promise<Job> {
  const job = await readStoredJob(manager, workshopId, id);
  if (!job) throw notFound('The job');
  const entries = await readEntries(manager, id);
  const nextJob = await readNextJob(manager, id);
  const limitsProfile = (await pinnedLimits(manager, workshopId, entries)) ?? job.limitsProfile;
  return {
    id: job.id,
    number: job.number,
    openedAt: job.openedAt.toISOString(),
    vehicle: job.vehicle,
    entries,
    logs: await listLogs(manager, workshopId, id),
    ...(limitsProfile ? { limitsProfile } : {}),
    ...(nextJob ? { nextJob: { ...nextJob, entries: [...nextJob.entries] } } : {}),
  };
}
