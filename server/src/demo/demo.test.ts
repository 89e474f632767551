import { inEnglish } from '@white-ember/core/words';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Job, JobListItem } from '@white-ember/core/contract';
import { deriveJob } from '@white-ember/core/job';
import { DEFAULT_LIMITS } from '@white-ember/core/limits';
import { valueOf } from '@white-ember/core/quantities';
import { analyseLog } from '@white-ember/core/readings';
import { startTestApp, type TestApp } from '../testing/testApp.ts';
import type { TestClient } from '../testing/TestClient.ts';
import { DEMO_FILTERS, DEMO_MEMBERS, DEMO_PASSWORD, DEMO_VEHICLES } from './demoWorld.ts';
import { drillRecording, handReading } from './drills.ts';
import { ensureDemo } from './ensureDemo.ts';
import { TAXIS } from './jobs/taxis.ts';

let app: TestApp;
let lead: TestClient;
let jobs: JobListItem[];
beforeAll(async () => {
  app = await startTestApp({ demo: true });
  await ensureDemo(app.db, { reset: false });
  lead = app.client();
  await lead.signIn('imke', DEMO_PASSWORD);
  jobs = (await lead.get<{ jobs: JobListItem[] }>('/api/jobs?show=all&limit=200')).body.jobs;
});
afterAll(() => app.close());

/** The latest job of a plate as the pages see it. */
async function jobOf(plate: string): Promise<Job> {
  const item = jobs.find((job) => job.plate === plate);
  return (await lead.get<Job>(`/api/jobs/${item?.id ?? ''}`)).body;
}

describe('the demo workshop', () => {
  it('has eighteen vehicles and thirty jobs at least, over fourteen months, in every state', () => {
    expect(new Set(jobs.map((job) => job.plate)).size).toBeGreaterThanOrEqual(18);
    expect(jobs.length).toBeGreaterThanOrEqual(30);
    const opened = jobs.map((job) => Date.parse(job.openedAt));
    const months = (Math.max(...opened) - Math.min(...opened)) / (30.4 * 86_400_000);
    expect(months).toBeGreaterThan(13);
    expect(months).toBeLessThan(15);
    expect(new Set(jobs.map((job) => job.summary.verdict))).toEqual(
      new Set(['open', 'equal-flow', 'proved', 'better', 'not-proved', 'reopened']),
    );
    expect(new Set(jobs.map((job) => job.summary.stage)).size).toBeGreaterThanOrEqual(5);
    // Numbers go with time: the older job has the lower one.
    const byNumber = [...jobs].sort((a, b) => a.number - b.number);
    expect(byNumber.map((job) => Date.parse(job.openedAt))).toEqual([...opened].sort((a, b) => a - b));
    expect(jobs.some((job) => job.summary.clocks.length > 0)).toBe(true);
    expect(jobs.some((job) => job.summary.signedOff)).toBe(true);
  });

  it.each([
    ['KE 417 QR', 'equal-flow', /down 8\d %/],
    ['HW 52 NB', 'proved', /^Proved/],
    ['QP 308 LM', 'better', /^Improved, not within limits/],
    ['MF 66 PL', 'not-proved', /^Not proved/],
    ['FL 012 TX', 'not-proved', /Nothing to remove/],
    ['BC 91 HV', 'open', /after reading outstanding/],
    ['LD 29 AE', 'open', /No before reading yet/],
    ['VX 60 ME', 'not-proved', /^Not proved/],
    ['FL 019 TX', 'proved', /^Proved/],
    ['NJ 15 KU', 'better', /^Improved, not within limits/],
    ['BC 44 HV', 'equal-flow', /^Pressure drop at equal flow/],
    ['DY 38 SO', 'proved', /^Proved: not the filter/],
  ])('tells the story of %s: %s', async (plate, verdict, headline) => {
    const job = await jobOf(plate);
    const derived = deriveJob({
      entries: job.entries,
      limits: DEFAULT_LIMITS,
      ...(job.vehicle.displacementL === undefined ? {} : { displacementL: job.vehicle.displacementL }),
      ...(job.vehicle.filter ? { geometry: job.vehicle.filter } : {}),
    });
    expect(derived.verdict).toBe(verdict);
    expect(inEnglish(derived.headline)).toMatch(headline);
    expect(jobs.find((item) => item.id === job.id)?.summary.headline).toEqual(derived.headline);
  });

  it('keeps each recorded file, and reading it again gives the same reading', async () => {
    const job = await jobOf('KE 417 QR');
    expect(job.logs).toHaveLength(2);
    for (const log of job.logs) {
      const answer = await fetch(`${app.address}/api/logs/${log.id}/raw`, {
        headers: { cookie: lead.cookie },
      });
      const read = valueOf(
        await analyseLog(new Uint8Array(await answer.arrayBuffer()), { displacementL: 2 }),
      );
      const reading = job.entries.find(
        ({ body }) => body.kind === 'reading' && body.origin.type === 'log' && body.origin.logId === log.id,
      );
      expect(reading?.body.kind === 'reading' && reading.body.samples).toEqual(read.samples);
    }
  });

  it('is loaded once; a reset makes it anew and leaves real workshops alone', async () => {
    await app.db.query(`INSERT INTO workshop (id, name) VALUES (gen_random_uuid(), 'A real one')`);
    const ids = async (): Promise<string[]> =>
      (await app.db.query<{ id: string }[]>('SELECT id FROM job ORDER BY number')).map(({ id }) => id);
    const before = await ids();
    await ensureDemo(app.db, { reset: false });
    expect(await ids()).toEqual(before);
    // What is made anew may be fewer jobs: how loading goes on is looked at here, not what is loaded.
    const few = TAXIS.slice(0, 2);
    await ensureDemo(app.db, { reset: true, jobs: few });
    const after = await ids();
    expect(after).toHaveLength(few.length);
    expect(before).not.toContain(after[0]);
    const workshops = await app.db.query<{ name: string }[]>('SELECT name FROM workshop ORDER BY name');
    expect(workshops.map(({ name }) => name)).toEqual(['A real one', 'Quillfeather Aftertreatment']);
    // What a killed loading left behind is cleared away, not added to.
    await app.db.query(`DELETE FROM setting WHERE name = 'demo-loaded'`);
    await ensureDemo(app.db, { reset: false, jobs: few });
    expect(await ids()).toHaveLength(few.length);
  });

  it('signs each of its people in by one tap, with the role that stands there', async () => {
    for (const person of DEMO_MEMBERS) {
      const client = app.client();
      const { body } = await client.get<{ demo: { signInName: string; role: string }[] }>('/api/session');
      expect(body.demo.find((d) => d.signInName === person.signInName)?.role).toBe(person.role);
      const signed = await client.post<{ member: { role: string } }>('/api/session/demo', {
        signInName: person.signInName,
      });
      expect(signed.body.member.role).toBe(person.role);
    }
  });
});

describe('a made recording', () => {
  const base = { family: DEMO_VEHICLES.bakeryVan.family, seed: 5, sootCounterG: 10 };
  const { displacementL } = DEMO_VEHICLES.bakeryVan;
  const analysed = async (drill: Parameters<typeof drillRecording>[0]) =>
    valueOf(
      await analyseLog(Buffer.from(await drillRecording(drill)), {
        displacementL,
        geometry: DEMO_FILTERS.tarn,
      }),
    ).analysis;

  it('holds the soot that it was made with, as the reader sees it', async () => {
    for (const sootG of [5, 15, 30]) {
      const { windows } = await analysed({ ...base, filter: { sootG, ashG: 0 } });
      const holds = windows.filter((window) => window.kind === 'hold');
      expect(holds.length).toBeGreaterThanOrEqual(2);
      for (const { soot } of holds) {
        expect(soot?.lowG).toBeLessThanOrEqual(sootG);
        expect(soot?.highG).toBeGreaterThanOrEqual(sootG);
        expect(Math.abs((soot?.sootG ?? 0) - sootG)).toBeLessThan(0.2 * sootG + 1);
      }
    }
  });

  it('is the same by the same seed, and raises no alarm on a healthy filter', async () => {
    const healthy = { ...base, filter: { sootG: 6, ashG: 10 } };
    const text = await drillRecording(healthy);
    expect(await drillRecording(healthy)).toBe(text);
    expect(await drillRecording({ ...healthy, seed: 6 })).not.toBe(text);
    expect((await analysed(healthy)).findings).toEqual([]);
  });

  it('is written down by eye where no tool is at hand: settled figures, no finer than they can be read', () => {
    const drill = { family: 'Harrow 3.0', filter: { sootG: 20, ashG: 10 }, seed: 3, sootCounterG: 20 };
    const reading = handReading(drill, 'before');
    expect(reading.samples.map(({ kind }) => kind)).toEqual(['key-off', 'idle', 'hold', 'hold']);
    expect(handReading(drill, 'before')).toEqual(reading);
    const [off, idle, low, high] = reading.samples.map(({ dpMbar }) => dpMbar) as [
      number,
      number,
      number,
      number,
    ];
    expect(off).toBe(0);
    expect(idle).toBeLessThan(low);
    expect(low).toBeLessThan(high);
    expect(Number.isInteger(high)).toBe(true);
  });
});
