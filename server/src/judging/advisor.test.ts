import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Advice, Job, JobListItem } from '@white-ember/core/contract';
import { adviceOf, judgeJob, vehicleFactsOf } from '@white-ember/core/job';
import { SOFTWARE } from '@white-ember/core/report';
import { DISPLACEMENT_L, madeReading, PROVEN_PATH } from '@white-ember/core/testing';
import { limitsOf } from './limitsInForce.ts';
import { entry, makeWorkshop, startTestApp, type TestApp, type TestWorkshop } from '../testing/testApp.ts';

let app: TestApp;
let workshop: TestWorkshop;
beforeAll(async () => {
  app = await startTestApp({ advises: true });
  workshop = await makeWorkshop(app, 'Reedmere');
});
afterAll(() => app.close());

const listed = async (show: 'open' | 'all' = 'open'): Promise<JobListItem | undefined> =>
  (await workshop.viewer.get<{ jobs: JobListItem[] }>(`/api/jobs?show=${show}`)).body.jobs.find(
    ({ id }) => id === workshop.ids.job,
  );

/** Once it is worked out. */
const advised = (): Promise<Advice> =>
  expect
    .poll(async () => (await listed())?.advice, { timeout: 40_000, interval: 150 })
    .toBeDefined()
    .then(async () => (await listed())?.advice as Advice);

const say = async (body: object): Promise<string> => {
  const made = entry(body);
  const { status } = await workshop.technician.post(`/api/jobs/${workshop.ids.job}/entries`, made);
  expect(status).toBe(201);
  return made.id;
};

describe('the line of a job in the list', () => {
  it('says what it waits for, as the job’s own page does, after every entry', async () => {
    expect((await advised()).next?.do).toBe('scan');
    await say({ kind: 'code-scan', when: 'before', codes: [{ code: 'P2463' }] });
    await say(madeReading('before', { sootG: 32 }));
    expect(await listed()).not.toHaveProperty('advice');
    const advice = await advised();
    expect(advice.likely?.cause).toBe('soot-loaded');
    const { body: job } = await workshop.viewer.get<Job>(`/api/jobs/${workshop.ids.job}`);
    const onPage = judgeJob({
      entries: job.entries,
      limits: limitsOf(job.limitsProfile),
      ...vehicleFactsOf(job.vehicle),
      ...(job.family ? { family: job.family } : {}),
    });
    expect(advice).toEqual(adviceOf(onPage, limitsOf(job.limitsProfile), SOFTWARE));
    // With the job itself, too: the page shows it until it has judged by itself.
    expect(job.advice).toEqual(advice);
    const [likeliest] = onPage.diagnosis.posterior.causes;
    expect(advice.causes?.[0]).toMatchObject({ id: likeliest?.id, probability: likeliest?.probability });
  });

  it('is worked out anew when limits change, and by another version of the program', async () => {
    await advised();
    const lead = workshop.lead.post('/api/limits', {
      id: uuidv7(),
      family: 'Tarn 2.0',
      overrides: { sootHighGPerL: { value: 7, source: 'A stricter house rule' } },
    });
    expect((await lead).status).toBe(201);
    const [row] = await app.db.query<{ advice_of: number }[]>('SELECT advice_of FROM job WHERE id = $1', [
      workshop.ids.job,
    ]);
    expect(row?.advice_of).toBeLessThan(0);
    await advised();
    await app.db.query(`UPDATE job SET advice = jsonb_set(advice, '{by}', '"an older one"')`);
    const next = await startTestApp({ advises: true }, app.databaseUrl);
    try {
      await expect.poll(async () => (await listed())?.advice?.by, { timeout: 40_000 }).toBe(SOFTWARE);
    } finally {
      await next.close();
    }
  });

  it('says nothing more once it is signed off', async () => {
    const signed = await say({ kind: 'sign-off' });
    expect(await listed('all')).not.toHaveProperty('advice');
    const withdrawn = entry({ kind: 'withdrawn', why: 'Not finished' }, { supersedes: signed });
    await workshop.lead.post(`/api/jobs/${workshop.ids.job}/entries`, withdrawn);
    await advised();
  });

  it('leaves a job that cannot be judged for what it is, and goes on with the others', async () => {
    const other = uuidv7();
    await workshop.technician.post('/api/jobs', {
      id: other,
      vehicleId: workshop.ids.vehicle,
      openedAt: new Date().toISOString(),
    });
    await app.db.query(
      `INSERT INTO entry (id, workshop_id, job_id, seq, author_id, author_name, device_time, server_time, body,
                          content_hash, chain_hash)
       SELECT gen_random_uuid(), workshop_id, job_id, seq + 1, author_id, author_name, device_time, server_time,
              '{"kind":"reading"}', '', ''
         FROM entry WHERE job_id = $1 ORDER BY seq DESC LIMIT 1`,
      [workshop.ids.job],
    );
    await app.db.query('UPDATE job SET entry_count = entry_count + 1 WHERE id = $1', [workshop.ids.job]);
    await workshop.technician.post(`/api/jobs/${other}/entries`, entry({ kind: 'complaint', text: 'Lamp' }));
    await expect
      .poll(
        async () =>
          (await workshop.viewer.get<{ jobs: JobListItem[] }>('/api/jobs')).body.jobs.find(
            ({ id }) => id === other,
          )?.advice?.next?.do,
        { timeout: 40_000 },
      )
      .toBe('scan');
    expect(await listed()).not.toHaveProperty('advice');
  });
});

it('a family’s findings count on the job’s page', async () => {
  const { technician, viewer, ids } = await makeWorkshop(app, 'Otherford');
  const { body: job } = await viewer.get<Job>(`/api/jobs/${ids.job}`);
  expect(job.family).toBeUndefined();
  const earlier = uuidv7();
  await technician.post('/api/jobs', {
    id: earlier,
    vehicleId: ids.vehicle,
    openedAt: '2026-01-02T08:00:00.000Z',
  });
  for (const body of [
    { kind: 'cause', cause: 'high-pipe-blocked', state: 'confirmed', why: 'Pump' },
    { kind: 'sign-off' },
  ])
    expect((await technician.post(`/api/jobs/${earlier}/entries`, entry(body))).status).toBe(201);
  const { body: again } = await viewer.get<Job>(`/api/jobs/${ids.job}`);
  expect(again.family).toEqual({ jobs: 1, confirmed: { 'high-pipe-blocked': 1 } });
});

it('a family’s filter stands for one whose size was not entered: as measured, else as proved readings tell', async () => {
  const { technician, viewer, ids } = await makeWorkshop(app, 'Sizeford');
  const { body: known } = await viewer.get<Job>(`/api/jobs/${ids.job}`);
  expect(known.family).toBeUndefined();
  const vehicleOf = async (family: string, plate: string): Promise<string> => {
    const id = uuidv7();
    const { status } = await technician.post('/api/vehicles', {
      id,
      plate,
      model: 'Van',
      family,
      displacementL: DISPLACEMENT_L,
      fitted: known.vehicle.fitted,
    });
    expect(status).toBe(201);
    return id;
  };
  const jobOf = async (vehicleId: string, openedAt: string): Promise<string> => {
    const id = uuidv7();
    expect((await technician.post('/api/jobs', { id, vehicleId, openedAt })).status).toBe(201);
    return id;
  };
  const filterOf = async (job: string) => (await viewer.get<Job>(`/api/jobs/${job}`)).body.family?.filter;

  const sister = await jobOf(await vehicleOf(known.vehicle.family, 'SI 1 ZE'), '2026-02-02T08:00:00.000Z');
  expect(await filterOf(sister)).toMatchObject({ size: { from: 'family', vehicles: 1 } });

  const first = await vehicleOf('Unmeasured 2.0', 'SI 2 ZE');
  const waiting = await jobOf(await vehicleOf('Unmeasured 2.0', 'SI 3 ZE'), '2026-03-02T08:00:00.000Z');
  expect(await filterOf(waiting)).toBeUndefined();
  const earlier = await jobOf(first, '2026-01-02T08:00:00.000Z');
  for (const body of [
    madeReading('before', { sootG: 55 }),
    ...PROVEN_PATH,
    { kind: 'work', work: 'chemical-clean', what: 'One fill', dwellMin: 30 },
    madeReading('after', { sootG: 3 }),
    ...PROVEN_PATH,
    { kind: 'drive', distanceKm: 14, powerLimitGone: true, reportedBy: 'technician' },
    { kind: 'code-scan', when: 'after-drive', codes: [] },
  ])
    expect((await technician.post(`/api/jobs/${earlier}/entries`, entry(body))).status).toBe(201);
  expect(await filterOf(waiting)).toMatchObject({ size: { from: 'readings', vehicles: 1 } });
  // A job does not learn from itself, nor one workshop from another.
  expect(await filterOf(earlier)).toBeUndefined();
  const other = await makeWorkshop(app, 'Elsewhere');
  const { body: theirs } = await other.viewer.get<Job>(`/api/jobs/${other.ids.job}`);
  expect(theirs.family).toBeUndefined();
});
