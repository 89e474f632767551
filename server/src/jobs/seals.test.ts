import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest';
import { v7 as uuidv7 } from 'uuid';
import type { Job, JobListItem, Vehicle } from '@white-ember/core/contract';
import { deriveJob, unsealJob, vehicleFactsOf } from '@white-ember/core/job';
import type { Entry } from '@white-ember/core/ledger';
import { DEFAULT_LIMITS, type LimitId } from '@white-ember/core/limits';
import type { Report, Share, SharedReport } from '@white-ember/core/report';
import { madeReading, PROVEN_PATH } from '@white-ember/core/testing';
import { entry, makeWorkshop, startTestApp, type TestApp, type TestWorkshop } from '../testing/testApp.ts';
import { sealOldSignOffs } from './seals.ts';

let app: TestApp;
let workshop: TestWorkshop;
beforeAll(async () => {
  app = await startTestApp();
  workshop = await makeWorkshop(app, 'Reedmere');
});
afterAll(() => app.close());

const starting = { ...DEFAULT_LIMITS };
afterEach(() => void Object.assign(DEFAULT_LIMITS, starting));

/** Another version of the program, in which every starting value is another one. */
function asIfTheCodeHadChanged(): void {
  for (const id of Object.keys(DEFAULT_LIMITS) as LimitId[])
    (DEFAULT_LIMITS as Record<LimitId, number>)[id] = starting[id] * 0.55;
}

const append = async (jobId: string, body: object, more: object = {}): Promise<Entry> => {
  const sent = await workshop.lead.post<Entry>(`/api/jobs/${jobId}/entries`, entry(body, more));
  expect(sent.status, JSON.stringify(sent.body)).toBe(201);
  return sent.body;
};

/** A job with a clean that worked, signed off. */
async function signedOff(): Promise<{ id: string; signOff: Entry }> {
  const id = uuidv7();
  await workshop.technician.post('/api/jobs', {
    id,
    vehicleId: workshop.ids.vehicle,
    openedAt: new Date().toISOString(),
  });
  const bodies = [
    { kind: 'complaint', text: 'Lamp', distanceKm: 120_000 },
    { kind: 'code-scan', when: 'before', codes: [{ code: 'P2463' }] },
    madeReading('before', { sootG: 32 }),
    { kind: 'work', work: 'chemical-clean', what: 'One fill', dwellMin: 30 },
    madeReading('after', { sootG: 3 }),
    ...PROVEN_PATH,
    { kind: 'drive', distanceKm: 12, powerLimitGone: true, reportedBy: 'technician' },
    { kind: 'code-scan', when: 'after-drive', codes: [] },
  ];
  const begun = Date.now() - 3_600_000;
  for (const [i, body] of bodies.entries())
    await append(id, body, { deviceTime: new Date(begun + 60_000 * i).toISOString() });
  return { id, signOff: await append(id, { kind: 'sign-off' }) };
}

/** Bytes of a PDF without when it was made and the name that follows from that. */
const lasting = (pdf: string): string => pdf.replace(/\(D:\d{14}Z\)/g, '').replace(/\/ID \[[^\]]*\]/g, '');

/** All that is shown of a job: its page as the pages make it, its line, the fleet, both reports and their PDFs. */
async function shownOf(id: string, share: Share): Promise<object> {
  const { lead } = workshop;
  const { body: job } = await lead.get<Job>(`/api/jobs/${id}`);
  const { body: list } = await lead.get<{ jobs: JobListItem[] }>('/api/jobs?show=all');
  const row = list.jobs.find((item) => item.id === id);
  const { body: fleet } = await lead.get('/api/fleet');
  // How soon is too soon is a rule of today, for all jobs alike.
  const { within: _within, ...causes } = (await lead.get<{ within: unknown }>('/api/fleet/causes')).body;
  const shared = await lead.get<SharedReport>(`/api${share.path}`);
  const pdf = async (version: string): Promise<string> => {
    const query = `version=${version}&pressure=psi&temperature=degF&distance=mi&timeZone=Europe/London`;
    const answer = await fetch(`${app.address}/api/jobs/${id}/report.pdf?${query}`, {
      headers: { cookie: lead.cookie },
    });
    expect(answer.status).toBe(200);
    return lasting(Buffer.from(await answer.arrayBuffer()).toString('latin1'));
  };
  const { entries: _entries, ...page } = job.seal
    ? unsealJob(job.seal, job.entries, { pressure: 'psi' })
    : deriveJob({ entries: job.entries, limits: DEFAULT_LIMITS, ...vehicleFactsOf(job.vehicle) });
  return {
    page,
    vehicle: job.vehicle,
    limits: job.seal?.limits,
    summary: row?.summary,
    fleet,
    causes,
    report: shared.body.report satisfies Report,
    pdfs: [await pdf('plain'), await pdf('technical')],
  };
}

const shareOf = async (id: string): Promise<Share> =>
  (await workshop.lead.post<Share>(`/api/jobs/${id}/shares`, { id: uuidv7(), version: 'technical', days: 7 }))
    .body;

const changeLimits = async (): Promise<void> => {
  const { status } = await workshop.lead.post('/api/limits', {
    id: uuidv7(),
    family: 'Tarn 2.0',
    overrides: {
      dp3000GoodMbar: { value: 5, source: 'A stricter house rule' },
      dp2500GoodMbar: { value: 4, source: 'A stricter house rule' },
      dpIdleGoodMbar: { value: 1, source: 'A stricter house rule' },
    },
  });
  expect(status).toBe(201);
};

async function changeFilter(): Promise<void> {
  const { body } = await workshop.lead.get<Vehicle>(`/api/vehicles/${workshop.ids.vehicle}`);
  const filterModelId = uuidv7();
  await workshop.lead.post('/api/filters', {
    id: filterModelId,
    name: `Smaller ${filterModelId}`,
    diameterMm: 120,
    lengthMm: 100,
    cpsi: 300,
    wallMm: 0.25,
    material: 'cordierite',
    basis: 'measured',
  });
  const { id: _id, filter: _filter, customer: _customer, ...vehicle } = body;
  const put = await workshop.lead.put(`/api/vehicles/${body.id}`, {
    ...vehicle,
    displacementL: 1.2,
    filterModelId,
  });
  expect(put.status).toBe(200);
}

describe('a job that is signed off', () => {
  it('is shown as it was, whatever changes: limits, the filter, the program, a note', async () => {
    const { id } = await signedOff();
    const share = await shareOf(id);
    const before = await shownOf(id, share);
    expect(before).toMatchObject({ summary: { verdict: 'proved', signedOff: true } });
    await changeLimits();
    expect(await shownOf(id, share)).toEqual(before);
    await changeFilter();
    expect(await shownOf(id, share)).toEqual(before);
    asIfTheCodeHadChanged();
    expect(await shownOf(id, share)).toEqual(before);
    await append(id, { kind: 'note', text: 'Rang, all well' });
    const after = await shownOf(id, share);
    expect({ ...after, report: 0, pdfs: 0 }).toEqual({ ...before, report: 0, pdfs: 0 });
    const headline = (shown: object): unknown => (shown as { report: Report }).report.headline;
    expect(headline(after)).toBe(headline(before));
  });

  it('is judged anew by limits and filter of today once the sign-off is withdrawn, and sealed by those when signed again', async () => {
    const { id, signOff } = await signedOff();
    await changeLimits();
    await append(id, { kind: 'withdrawn', why: 'Came back' }, { supersedes: signOff.id });
    const opened = (await workshop.lead.get<Job>(`/api/jobs/${id}`)).body;
    expect(opened.seal).toBeUndefined();
    expect(opened.limitsProfile?.overrides.dp3000GoodMbar?.value).toBe(5);
    await append(id, { kind: 'sign-off' });
    const again = (await workshop.lead.get<Job>(`/api/jobs/${id}`)).body;
    expect(again.seal).toMatchObject({ limits: { dp3000GoodMbar: 5 } });
    expect(again.seal?.told).toBeDefined();
  });

  it('from before there were seals is sealed once, by the limits of its day', async () => {
    const { id } = await signedOff();
    const { body: day } = await workshop.lead.get<Job>(`/api/jobs/${id}`);
    await app.db.query('DELETE FROM job_seal WHERE job_id = $1', [id]);
    // Changed since: they are not those of the day.
    await changeLimits();
    await workshop.lead.post('/api/limits', { id: uuidv7(), family: 'Tarn 2.0', overrides: {} });
    expect(await sealOldSignOffs(app.db)).toBe(1);
    const { body: sealed } = await workshop.lead.get<Job>(`/api/jobs/${id}`);
    expect(sealed.seal).toMatchObject({ later: true, summary: { verdict: day.seal?.summary.verdict } });
    expect(sealed.limitsProfile).toEqual(day.limitsProfile);
    expect(await sealOldSignOffs(app.db)).toBe(0);
  });
});
