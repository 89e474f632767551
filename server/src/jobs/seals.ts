import type { DataSource, EntityManager } from 'typeorm';
import type { LimitsProfile, Seal } from '@white-ember/core/contract';
import { sealJob } from '@white-ember/core/job';
import { effectiveEntries, entriesOfKind, type Entry } from '@white-ember/core/ledger';
import { SOFTWARE } from '@white-ember/core/report';
import { LimitsProfileEntity } from '../database/entities/limitsProfile.entity.ts';
import { limitsOf, toLimitsProfile } from '../judging/limitsInForce.ts';
import { vehicleOutlook } from '../outlook/outlook.service.ts';
import { WorkshopEntity } from '../database/entities/member.entity.ts';
import { JobSealEntity } from '../database/entities/jobSeal.entity.ts';
import { refreshSummary } from '../judging/jobSummary.ts';
import { readEntries, readStoredJob, type StoredJob } from '../judging/storedJob.ts';

/** The limits of a sign-off's day: those that it names, else those in force then. */
async function limitsOfTheDay(
  manager: EntityManager,
  workshopId: string,
  family: string,
  signOff: Entry,
): Promise<LimitsProfile | undefined> {
  const named = signOff.body.kind === 'sign-off' ? signOff.body.limitsProfileId : undefined;
  const byName = named ? await manager.findOneBy(LimitsProfileEntity, { id: named, workshopId }) : null;
  if (byName) return toLimitsProfile(byName);
  const [row] = await manager
    .createQueryBuilder(LimitsProfileEntity, 'l')
    .where('l.workshop_id = :workshopId AND l.family IN (:family, :general) AND l.created_at <= :at', {
      workshopId,
      family,
      general: '',
      at: signOff.serverTime,
    })
    .orderBy('l.family = :family', 'DESC')
    .addOrderBy('l.version', 'DESC')
    .limit(1)
    .getMany();
  return row && toLimitsProfile(row);
}

/** What a job would be sealed with: nothing where it is not signed off. */
export async function makeSeal(
  manager: EntityManager,
  workshopId: string,
  job: Pick<StoredJob, 'id' | 'number' | 'openedAt' | 'vehicle'>,
  entries: readonly Entry[],
  { later = false } = {},
): Promise<Seal | undefined> {
  const signOff = entriesOfKind(effectiveEntries(entries), 'sign-off').at(-1);
  if (!signOff) return undefined;
  const limitsProfile = await limitsOfTheDay(manager, workshopId, job.vehicle.family, signOff);
  const { name } = await manager.findOneByOrFail(WorkshopEntity, { id: workshopId });
  return sealJob({
    job: { id: job.id, number: job.number, openedAt: job.openedAt.toISOString() },
    entries,
    vehicle: job.vehicle,
    limits: limitsOf(limitsProfile),
    ...(limitsProfile ? { limitsProfile } : {}),
    workshop: name,
    coreVersion: SOFTWARE,
    sealedAt: new Date().toISOString(),
    ...(later ? { later: true } : {}),
  });
}

export const keepSeal = (
  manager: EntityManager,
  workshopId: string,
  jobId: string,
  seal: Seal,
): Promise<unknown> =>
  manager.query(
    `INSERT INTO job_seal (job_id, workshop_id, entry_id, seal, sealed_at) VALUES ($1, $2, $3, $4, $5)
     ON CONFLICT (job_id) DO UPDATE SET entry_id = $3, seal = $4, sealed_at = $5`,
    [jobId, workshopId, seal.entryId, seal, seal.sealedAt],
  );

export const openSeal = (manager: EntityManager, jobId: string): Promise<unknown> =>
  manager.delete(JobSealEntity, { jobId });

/** What lay ahead of the vehicle on the day, once the sign-off itself is stored: that counts, too. */
export async function sealOutlook(db: DataSource, workshopId: string, jobId: string): Promise<void> {
  const row = await db.manager.findOneBy(JobSealEntity, { jobId, workshopId });
  if (!row || row.seal.told !== undefined) return;
  const told = await vehicleOutlook(db, workshopId, row.seal.vehicle.id);
  await db.query(
    `UPDATE job_seal SET seal = seal || jsonb_build_object('told', $2::jsonb) WHERE job_id = $1`,
    [jobId, JSON.stringify(told)],
  );
}

/**
 * Seals the jobs that were signed off before there were seals, once, by the limits of their day and by their vehicle as it
 * is known now.
 * @param workshopId one workshop, or all of them
 * @returns how many were sealed
 */
export async function sealOldSignOffs(db: DataSource, workshopId?: string): Promise<number> {
  const jobs = await db.query<{ id: string; workshopId: string }[]>(
    `SELECT j.id, j.workshop_id AS "workshopId" FROM job j LEFT JOIN job_seal s ON s.job_id = j.id
      WHERE (j.summary->>'signedOff') = 'true' AND s.job_id IS NULL AND ($1::uuid IS NULL OR j.workshop_id = $1)
      ORDER BY j.opened_at`,
    [workshopId ?? null],
  );
  for (const { id, workshopId: of } of jobs) await db.transaction((manager) => sealLater(manager, of, id));
  for (const { id, workshopId: of } of jobs) await sealOutlook(db, of, id);
  return jobs.length;
}

async function sealLater(manager: EntityManager, workshopId: string, id: string): Promise<void> {
  const job = await readStoredJob(manager, workshopId, id, { lock: true });
  if (!job || job.seal) return;
  const seal = await makeSeal(manager, workshopId, job, await readEntries(manager, id), { later: true });
  if (!seal) return;
  await keepSeal(manager, workshopId, id, seal);
  await refreshSummary(manager, workshopId, id);
}
