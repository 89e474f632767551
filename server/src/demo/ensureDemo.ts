import { describeFailure, inEnglish } from '@white-ember/core/words';
import { mkdtemp, rm, stat, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { DataSource } from 'typeorm';
import { v7 as uuidv7 } from 'uuid';
import { deriveJob, summariseJob } from '@white-ember/core/job';
import type { EntryBody } from '@white-ember/core/ledger';
import { DEFAULT_LIMITS } from '@white-ember/core/limits';
import { analyseLog, loggedFacts, readingFromLog } from '@white-ember/core/readings';
import { CustomerEntity } from '../database/entities/customer.entity.ts';
import { FluidEntity } from '../database/entities/fluid.entity.ts';
import { FilterModelEntity } from '../database/entities/filterModel.entity.ts';
import { JobEntity } from '../database/entities/job.entity.ts';
import { appendEntry } from '../ledger/ledger.service.ts';
import { LimitsProfileEntity } from '../database/entities/limitsProfile.entity.ts';
import { storeLog } from '../logs/log.service.ts';
import { MemberEntity, NEW_MEMBER, WorkshopEntity, type Member } from '../database/entities/member.entity.ts';
import { hashPassword } from '../people/passwords.ts';
import { VehicleEntity } from '../database/entities/vehicle.entity.ts';
import { contentHash } from '../http/once.ts';
import { DEMO_JOBS } from './demoJobs.ts';
import {
  DEMO_CUSTOMERS,
  DEMO_FILTERS,
  DEMO_MEMBERS,
  DEMO_PASSWORD,
  DEMO_VEHICLES,
  DEMO_WORKSHOP,
  type DemoVehicle,
  DEMO_FLUIDS,
  type DemoFluid,
} from './demoWorld.ts';
import { drillRecording, handReading } from './drills.ts';
import type { DemoJob, DemoStep } from './steps.ts';

const LOADED = 'demo-loaded';

/** Loads the demo workshop once; with `reset` throws it away first. Real workshops are never touched. */
export async function ensureDemo(
  db: DataSource,
  { reset, jobs = DEMO_JOBS }: { readonly reset: boolean; readonly jobs?: readonly DemoJob[] },
): Promise<void> {
  const marks = await db.query<unknown[]>('SELECT 1 FROM setting WHERE name = $1', [LOADED]);
  if (marks.length > 0 && !reset) return;
  // A start that was killed while loading leaves a part behind: it goes, and loading begins anew.
  await removeDemo(db);
  await loadDemo(db, jobs, Date.now());
  await db.query(`INSERT INTO setting (name, value) VALUES ($1, now()::text) ON CONFLICT DO NOTHING`, [
    LOADED,
  ]);
}

const TABLES = [
  'mail',
  'report_share',
  'channel_correction',
  'photo',
  'log',
  'job_seal',
  'entry',
  'job',
  'blob',
  'vehicle_outlook',
  'family_growth',
  'limits_profile',
  'vehicle',
  'fluid',
  'filter_model',
  'customer',
  'member',
];

async function removeDemo(db: DataSource): Promise<void> {
  await db.transaction(async (manager) => {
    const demo = await manager.findBy(WorkshopEntity, { isDemo: true });
    await manager.query(`SET LOCAL white_ember.reset_demo = 'yes'`);
    for (const { id } of demo) {
      for (const table of TABLES) await manager.query(`DELETE FROM ${table} WHERE workshop_id = $1`, [id]);
      await manager.delete(WorkshopEntity, { id });
    }
  });
}

const MINUTE = 60_000;
const DAY = 24 * 60 * MINUTE;

/** When a job was opened: past jobs on a morning of their day, today's so many minutes ago. */
function openedAt(job: DemoJob, nowMs: number): number {
  if (job.minutesAgo !== undefined) return nowMs - job.minutesAgo * MINUTE;
  const day = new Date(nowMs - job.daysAgo * DAY);
  day.setUTCHours(8, 20, 0, 0);
  return day.getTime();
}

async function loadDemo(db: DataSource, jobs: readonly DemoJob[], nowMs: number): Promise<void> {
  const workshopId = uuidv7();
  await db.manager.insert(WorkshopEntity, { id: workshopId, name: DEMO_WORKSHOP, isDemo: true });
  const passwordHash = await hashPassword(DEMO_PASSWORD);
  const members = new Map<string, Member>();
  for (const person of DEMO_MEMBERS) {
    const member = {
      ...NEW_MEMBER,
      id: uuidv7(),
      workshopId,
      passwordHash,
      contentHash: contentHash(person),
      ...person,
    };
    await db.manager.insert(MemberEntity, member);
    members.set(person.signInName, member);
  }
  await db.manager.insert(LimitsProfileEntity, {
    id: uuidv7(),
    workshopId,
    family: 'Orrin 12.8',
    version: 1,
    overrides: {
      dpIdleGoodMbar: { value: 12, source: 'Own readings on three sound tractors' },
      sootAfterCleanG: { value: 40, source: 'By volume of the brick' },
      sootHighG: { value: 160, source: 'By volume of the brick' },
    },
    sourceNote: 'Heavy vehicle: holds at 1500 and 2000 rpm.',
    createdBy: 'Imke Vandersloot',
    contentHash: contentHash('orrin'),
  });

  const keyed = async <K extends string, T extends object>(
    world: Record<K, T>,
    insert: (id: string, item: T) => Promise<unknown>,
  ): Promise<Map<string, string>> => {
    const ids = new Map<string, string>();
    for (const [key, item] of Object.entries<T>(world)) {
      const id = uuidv7();
      ids.set(key, id);
      await insert(id, item);
    }
    return ids;
  };
  const customers = await keyed(DEMO_CUSTOMERS, (id, item: { name: string; contact?: string }) =>
    db.manager.insert(CustomerEntity, {
      id,
      workshopId,
      name: item.name,
      contact: item.contact ?? null,
      contentHash: contentHash(item),
    }),
  );
  const filters = await keyed(DEMO_FILTERS, (id, item) =>
    db.manager.insert(FilterModelEntity, { id, workshopId, ...item, contentHash: contentHash(item) }),
  );
  await keyed<string, DemoFluid>(DEMO_FLUIDS, (id, { name, countedL, ...sheet }) =>
    db.manager.insert(FluidEntity, {
      id,
      workshopId,
      name,
      sheet,
      countedL,
      countedAt: new Date(nowMs - 6 * 86_400_000),
      revision: 1,
      contentHash: contentHash(name),
    }),
  );
  const vehicles = await keyed<string, DemoVehicle>(DEMO_VEHICLES, (id, item) =>
    db.manager.insert(VehicleEntity, {
      id,
      workshopId,
      plate: item.plate,
      model: item.model,
      family: item.family,
      displacementL: item.displacementL,
      fitted: [...item.fitted],
      note: item.note ?? null,
      filterModelId: item.filter === undefined ? null : (filters.get(item.filter) ?? null),
      customerId: customers.get(item.customer) ?? null,
      revision: 1,
      contentHash: contentHash(item),
    }),
  );

  const folder = await mkdtemp(join(tmpdir(), 'white-ember-demo-'));
  try {
    // The first number that makes today's jobs the latest of a workshop that has been at it for years.
    let number = 189;
    for (const job of [...jobs].sort((a, b) => openedAt(a, nowMs) - openedAt(b, nowMs))) {
      number += 1;
      const jobId = uuidv7();
      const start = new Date(openedAt(job, nowMs));
      await db.manager.insert(JobEntity, {
        id: jobId,
        workshopId,
        vehicleId: vehicles.get(job.vehicle) as string,
        number,
        openedAt: start,
        lastEntryAt: start,
        entryCount: 0,
        summary: summariseJob(deriveJob({ entries: [], limits: DEFAULT_LIMITS })) as object,
        visit: null,
        followUps: [],
        contentHash: contentHash(jobId),
      });
      for (const step of job.steps) {
        const at = new Date(start.getTime() + step.min * MINUTE);
        const body = await bodyOf(db, { workshopId, jobId, folder }, job, step);
        const author = members.get(step.by ?? 'tobin') as Member;
        await appendEntry(db, author, jobId, { id: uuidv7(), deviceTime: at.toISOString(), body }, at);
      }
    }
    await db.manager.update(WorkshopEntity, { id: workshopId }, { nextJobNumber: number + 1 });
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

/** The entry of a step. A log step is recorded as a file, kept like an upload, and read by the real reader. */
async function bodyOf(
  db: DataSource,
  place: { workshopId: string; jobId: string; folder: string },
  job: DemoJob,
  step: DemoStep,
): Promise<EntryBody> {
  if ('body' in step) return step.body;
  const vehicle = DEMO_VEHICLES[job.vehicle];
  if ('gauge' in step) return handReading({ family: vehicle.family, ...step.gauge }, step.purpose, step.note);
  const text = await drillRecording({ family: vehicle.family, ...step.log });
  const path = join(place.folder, 'recording.csv');
  await writeFile(path, text);
  const logId = uuidv7();
  await storeLog(
    db,
    { workshopId: place.workshopId, jobId: place.jobId, id: logId },
    { path, name: step.fileName, sizeBytes: (await stat(path)).size },
  );
  const read = await analyseLog(Buffer.from(text), { displacementL: vehicle.displacementL });
  if (!read.ok)
    throw new Error(`Demo recording ${step.fileName}: ${inEnglish(describeFailure(read.failure))}`);
  const { analysis, samples, recording } = read.value;
  return readingFromLog(
    { analysis, samples, ...loggedFacts(recording) },
    { purpose: step.purpose, logId, fileName: step.fileName },
  );
}
