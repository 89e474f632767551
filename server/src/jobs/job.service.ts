import { say } from '@white-ember/core/words';
import type { EntityManager } from 'typeorm';
import type { Job } from '@white-ember/core/contract';
import { notFound } from '../http/problem.ts';
import { adviceNow } from '../judging/advisor.ts';
import { foundInFamily } from '../judging/family.ts';
import { limitsOf } from '../judging/limitsInForce.ts';
import { listLogs } from '../logs/log.service.ts';
import { readEntries, readNextJob, readStoredJob } from '../judging/storedJob.ts';

export async function presentJob(manager: EntityManager, workshopId: string, id: string): Promise<Job> {
  const job = await readStoredJob(manager, workshopId, id);
  if (!job) throw notFound(say('refusals.the-job'));
  const entries = await readEntries(manager, id);
  const nextJob = await readNextJob(manager, id);
  const { limitsProfile, seal } = job;
  const advice = await adviceNow(manager, id);
  const family = seal ? undefined : await foundInFamily(manager, workshopId, job, limitsOf(limitsProfile));
  return {
    id: job.id,
    number: job.number,
    openedAt: job.openedAt.toISOString(),
    vehicle: job.vehicle,
    entries,
    logs: await listLogs(manager, workshopId, id),
    ...(limitsProfile ? { limitsProfile } : {}),
    ...(family ? { family } : {}),
    ...(advice ? { advice } : {}),
    ...(seal ? { seal } : {}),
    ...(nextJob ? { nextJob: { ...nextJob, entries: [...nextJob.entries] } } : {}),
  };
}
