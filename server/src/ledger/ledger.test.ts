import { inEnglish } from '@white-ember/core/words';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Job, JobListItem, Problem, RunningClocks } from '@white-ember/core/contract';
import type { Entry } from '@white-ember/core/ledger';
import { madeReading } from '@white-ember/core/testing';
import { entry, makeWorkshop, startTestApp, type TestApp, type TestWorkshop } from '../testing/testApp.ts';

let app: TestApp;
let workshop: TestWorkshop;
beforeAll(async () => {
  app = await startTestApp();
  workshop = await makeWorkshop(app, 'Reedmere');
});
afterAll(() => app.close());

const newJob = async (): Promise<string> => {
  const id = uuidv7();
  await workshop.technician.post('/api/jobs', {
    id,
    vehicleId: workshop.ids.vehicle,
    openedAt: new Date().toISOString(),
  });
  return id;
};
const append = (jobId: string, body: object, client = workshop.technician) =>
  client.post<Entry & Problem>(`/api/jobs/${jobId}/entries`, body);
const entriesOf = async (jobId: string): Promise<Entry[]> =>
  (await workshop.viewer.get<Job>(`/api/jobs/${jobId}`)).body.entries;

describe('appending', () => {
  it('stores once however often it is sent, with the same answer, and refuses other content under the id', async () => {
    const job = await newJob();
    const note = entry({ kind: 'note', text: 'Clamp loose' });
    const first = await append(job, note);
    const second = await append(job, note);
    expect([first.status, second.status]).toEqual([201, 200]);
    expect(second.body).toEqual(first.body);
    const other = await append(job, { ...note, body: { kind: 'note', text: 'Clamp tight' } });
    expect(other.status).toBe(409);
    const elsewhere = await append(await newJob(), note);
    expect(elsewhere.status).toBe(409);
    expect(await entriesOf(job)).toHaveLength(1);
  });

  it('does not mind the order of keys when it tells a repeated write', async () => {
    const job = await newJob();
    const { id, deviceTime } = entry({});
    const a = await append(job, { id, deviceTime, body: { kind: 'note', text: 'x' } });
    const b = await append(job, { body: { text: 'x', kind: 'note' }, deviceTime, id });
    expect(b.body).toEqual(a.body);
  });

  it('keeps both clocks, the author and the server’s order', async () => {
    const job = await newJob();
    const early = {
      ...entry({ kind: 'note', text: 'made offline' }),
      deviceTime: '2026-01-05T09:00:00.000+01:00',
    };
    await append(job, entry({ kind: 'note', text: 'first to arrive' }));
    await append(job, early);
    const stored = await entriesOf(job);
    expect(stored.map((e) => e.seq)).toEqual([1, 2]);
    expect(stored[1]).toMatchObject({
      deviceTime: '2026-01-05T08:00:00.000Z',
      authorName: 'technician of Reedmere',
    });
    expect(Date.parse(stored[1]?.serverTime ?? '')).toBeGreaterThan(Date.now() - 60_000);
  });

  it('numbers entries without gaps or twins when many come at once', async () => {
    const job = await newJob();
    const sent = Array.from({ length: 30 }, (_, i) => entry({ kind: 'note', text: `n${i}` }));
    const answers = await Promise.all([...sent, ...sent].map((body) => append(job, body)));
    expect(answers.every(({ status }) => status < 300)).toBe(true);
    const stored = await entriesOf(job);
    expect(stored.map((e) => e.seq)).toEqual(Array.from({ length: 30 }, (_, i) => i + 1));
    expect(new Set(stored.map((e) => e.id)).size).toBe(30);
  });

  it('can never change or delete what stands: the database refuses it', async () => {
    const job = await newJob();
    await append(job, entry({ kind: 'note', text: 'stands' }));
    await expect(app.db.query(`UPDATE entry SET body = '{}' WHERE job_id = $1`, [job])).rejects.toThrow(
      /never changed/,
    );
    await expect(app.db.query('DELETE FROM entry WHERE job_id = $1', [job])).rejects.toThrow(/never changed/);
  });
});

describe('corrections', () => {
  it('name an entry of the same job', async () => {
    const job = await newJob();
    const wrong = entry({ kind: 'note', text: 'wrong' });
    await append(job, wrong);
    const right = await append(job, entry({ kind: 'note', text: 'right' }, { supersedes: wrong.id }));
    expect(right.body.supersedes).toBe(wrong.id);
    const foreign = await append(
      await newJob(),
      entry({ kind: 'note', text: 'x' }, { supersedes: wrong.id }),
    );
    expect(foreign.status).toBe(400);
    expect(foreign.body.fields).toEqual({ supersedes: 'is not on this job' });
    expect((await append(job, entry({ kind: 'withdrawn', why: 'no target' }))).status).toBe(400);
  });
});

describe('refused entries leave nothing behind', () => {
  it.each([
    [
      'a negative rpm',
      { ...madeReading('before', { sootG: 5 }), samples: [{ kind: 'hold', rpm: -3000, dpMbar: 5 }] },
      'body.samples.0.rpm',
    ],
    ['an unknown kind', { kind: 'guess' }, 'body.kind'],
    ['an empty note', { kind: 'note', text: '' }, 'body.text'],
    [
      'a reading from a log that is not here',
      {
        ...madeReading('before', { sootG: 5 }),
        origin: { type: 'log', logId: uuidv7(), fileName: 'x.csv', mapping: {}, findings: [] },
      },
      'body.origin.logId',
    ],
  ])('%s', async (_name, body, field) => {
    const job = await newJob();
    const answer = await append(job, entry(body));
    expect(answer.status).toBe(400);
    expect(Object.keys(answer.body.fields ?? {})).toContain(field);
    expect(await entriesOf(job)).toEqual([]);
  });

  it('text that is no JSON, or too much of it', async () => {
    const job = await newJob();
    const broken = await workshop.technician.send<Problem>('POST', `/api/jobs/${job}/entries`, '{"id":', {});
    expect(broken).toMatchObject({ status: 400, body: { title: 'The input is not JSON' } });
    const large = await append(job, entry({ kind: 'note', text: 'x'.repeat(3_000_000) }));
    expect(large.status).toBe(413);
    expect(await entriesOf(job)).toEqual([]);
  });
});

describe('what the list shows of a job', () => {
  it('follows the ledger', async () => {
    const job = await newJob();
    const at = (minute: number) => ({
      deviceTime: new Date(Date.now() - (60 - minute) * 60_000).toISOString(),
    });
    await append(job, { ...entry(madeReading('before', { sootG: 35 })), ...at(1) });
    await append(job, {
      ...entry({ kind: 'work', work: 'chemical-clean', what: 'one fill', dwellMin: 90 }),
      ...at(10),
    });
    const listed = async (): Promise<JobListItem | undefined> =>
      (await workshop.viewer.get<{ jobs: JobListItem[] }>('/api/jobs')).body.jobs.find(
        (item) => item.id === job,
      );
    expect((await listed())?.summary.clocks).toMatchObject([{ clock: 'dwell', what: 'one fill' }]);
    const clocks = async () =>
      (await workshop.viewer.get<RunningClocks>('/api/clocks')).body.clocks.filter(
        ({ jobId }) => jobId === job,
      );
    expect(inEnglish(await clocks())).toMatchObject([{ clock: 'dwell', next: 'flush, then read' }]);
    await append(job, { ...entry(madeReading('after', { sootG: 3 })), ...at(50) });
    // The engine ran: nothing stands in the filter any more.
    expect(await clocks()).toEqual([]);
    expect((await listed())?.summary).toMatchObject({
      verdict: 'equal-flow',
      stage: 'prove',
      signedOff: false,
    });
  });

  it('closes with the sign-off: then only notes, until the sign-off is taken back', async () => {
    const job = await newJob();
    const signOff = entry({ kind: 'sign-off' });
    await append(job, signOff);
    expect((await append(job, entry({ kind: 'note', text: 'customer rang' }))).status).toBe(201);
    const refused = await append(job, entry({ kind: 'complaint', text: 'late' }));
    expect(refused.status).toBe(409);
    expect(refused.body.detail).toMatch(/signed off/);
    await append(job, entry({ kind: 'withdrawn', why: 'too early' }, { supersedes: signOff.id }));
    expect((await append(job, entry({ kind: 'complaint', text: 'late' }))).status).toBe(201);
  });
});
