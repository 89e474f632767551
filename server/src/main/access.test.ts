import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { LimitsProfile, Log, Photo, SignedIn, Vehicle } from '@white-ember/core/contract';
import type { Share } from '@white-ember/core/report';
import { sampleBytes } from '@white-ember/core/testing';
import { madePhoto } from '../testing/madePhoto.ts';
import {
  entry,
  madeFluid,
  makeWorkshop,
  PASSWORD,
  startTestApp,
  type TestApp,
  type TestWorkshop,
} from '../testing/testApp.ts';
import type { Answer, TestClient } from '../testing/TestClient.ts';
import type { Access } from '../http/route.ts';
import { ALL_ROUTES } from './routes.ts';

let app: TestApp;
let mine: TestWorkshop;
let theirs: TestWorkshop;
let logId: string;
let photoId: string;
const PNG = await madePhoto();
const LOG = sampleBytes('sample1-healthy.csv');

/** Somebody whose password is set anew; nobody is signed in as them. */
const rook = uuidv7();
/** Somebody who is removed. */
const sallow = uuidv7();
beforeAll(async () => {
  app = await startTestApp({ outboxFolder: outbox, publicUrl: 'https://reports.reedmere.invalid' });
  mine = await makeWorkshop(app, 'Reedmere');
  await mine.lead.post('/api/members', {
    id: rook,
    name: 'Rook',
    signInName: 'reedmere-rook',
    password: PASSWORD,
    role: 'viewer',
  });
  await mine.lead.post('/api/members', {
    id: sallow,
    name: 'Sallow',
    signInName: 'reedmere-sallow',
    password: PASSWORD,
    role: 'viewer',
  });
  theirs = await makeWorkshop(app, 'Otherford');
  const log = await mine.technician.upload<Log>(`/api/jobs/${mine.ids.job}/logs`, {
    name: 'a.csv',
    bytes: LOG,
  });
  logId = log.body.id;
  const photo = await mine.technician.upload<Photo>(`/api/jobs/${mine.ids.job}/photos`, {
    name: 'a.png',
    bytes: PNG,
  });
  photoId = photo.body.id;
  await mine.technician.post('/api/fluids', madeFluid(FLUID, 'Reedwash'));
  await mine.technician.post(`/api/jobs/${mine.ids.job}/entries`, entry({ kind: 'photo', photo: photoId }));
  share = (await mine.technician.post<Share>(`/api/jobs/${mine.ids.job}/shares`, newShare())).body;
});
afterAll(async () => {
  await app.close();
  rmSync(outbox, { recursive: true });
});

const FLUID = uuidv7();
let share: Share;
const newShare = (): object => ({ id: uuidv7(), version: 'plain', days: 7 });
const outbox = mkdtempSync(join(tmpdir(), 'white-ember-outbox-'));
const vehicleBody = (): object => ({ plate: 'AB 1', model: 'Tarn', family: 'Tarn 2.0', fitted: ['engine'] });

const TUS = { 'tus-resumable': '1.0.0' };
const beginUpload = async (client: TestClient): Promise<string | null> =>
  (await client.send('POST', '/api/uploads', undefined, { ...TUS, 'upload-length': '3' })).headers.get(
    'location',
  );
/** An upload of one's own; for who may begin none here, somebody else's. */
const anUpload = async (client: TestClient): Promise<string> =>
  (client === theirs.lead ? null : await beginUpload(client)) ?? (await beginUpload(mine.technician)) ?? '';

/**
 * How each route is called rightly, on the workshop “Reedmere”. A route that is missing here fails the test: a new one
 * must say who may call it and be tried by everybody.
 */
const CALLS: Record<string, (client: TestClient) => Promise<Answer>> = {
  'get /api/health': (c) => c.get('/api/health'),
  'get /api/openapi.json': (c) => c.get('/api/openapi.json'),
  'get /api/session': (c) => c.get('/api/session'),
  'post /api/session': (c) => c.post('/api/session', { signInName: 'otherford-viewer', password: PASSWORD }),
  'post /api/session/demo': (c) => c.post('/api/session/demo', { signInName: 'tobin' }),
  'delete /api/session': (c) => c.delete('/api/session'),
  'post /api/first-run': (c) =>
    c.post('/api/first-run', {
      workshopId: uuidv7(),
      memberId: uuidv7(),
      workshopName: 'X',
      name: 'X',
      signInName: uuidv7(),
      password: PASSWORD,
    }),
  'get /api/members': (c) => c.get('/api/members'),
  'post /api/members': (c) =>
    c.post('/api/members', {
      id: uuidv7(),
      name: 'N',
      signInName: uuidv7(),
      password: PASSWORD,
      role: 'viewer',
    }),
  'get /api/customers': (c) => c.get('/api/customers'),
  'post /api/customers': (c) => c.post('/api/customers', { id: uuidv7(), name: 'C' }),
  'get /api/fluids': (c) => c.get('/api/fluids'),
  'post /api/fluids': (c) => c.post('/api/fluids', madeFluid(uuidv7())),
  'put /api/fluids/:id': (c) => c.put(`/api/fluids/${FLUID}`, { ...madeFluid(FLUID), revision: 1 }),
  'get /api/filters': (c) => c.get('/api/filters'),
  'post /api/filters': (c) =>
    c.post('/api/filters', {
      id: uuidv7(),
      name: 'F',
      diameterMm: 150,
      lengthMm: 150,
      cpsi: 200,
      wallMm: 0.3,
      material: 'unknown',
      basis: 'assumed',
    }),
  'get /api/vehicles': (c) => c.get('/api/vehicles'),
  'get /api/vehicles/:id': (c) => c.get(`/api/vehicles/${mine.ids.vehicle}`),
  'post /api/vehicles': (c) => c.post('/api/vehicles', { id: uuidv7(), ...vehicleBody() }),
  'put /api/vehicles/:id': async (c) => {
    const { body } = await mine.viewer.get<Vehicle>(`/api/vehicles/${mine.ids.vehicle}`);
    return c.put(`/api/vehicles/${mine.ids.vehicle}`, {
      ...vehicleBody(),
      plate: body.plate,
      revision: body.revision,
    });
  },
  'get /api/limits': (c) => c.get('/api/limits'),
  'post /api/limits': (c) =>
    c.post<LimitsProfile>('/api/limits', { id: uuidv7(), family: 'Harrow', overrides: {} }),
  'get /api/clocks': (c) => c.get('/api/clocks'),
  'get /api/jobs': (c) => c.get('/api/jobs?show=all'),
  'post /api/jobs': (c) =>
    c.post('/api/jobs', { id: uuidv7(), vehicleId: mine.ids.vehicle, openedAt: new Date().toISOString() }),
  'get /api/jobs/:id': (c) => c.get(`/api/jobs/${mine.ids.job}`),
  'post /api/jobs/:id/entries': (c) =>
    c.post(`/api/jobs/${mine.ids.job}/entries`, entry({ kind: 'note', text: 'n' })),
  'post /api/uploads': (c) => c.send('POST', '/api/uploads', undefined, { ...TUS, 'upload-length': '3' }),
  'head /api/uploads/:id': async (c) => c.send('HEAD', await anUpload(c), undefined, TUS),
  'patch /api/uploads/:id': async (c) =>
    c.send('PATCH', await anUpload(c), 'abc', {
      ...TUS,
      'upload-offset': '0',
      'content-type': 'application/offset+octet-stream',
    }),
  'delete /api/uploads/:id': async (c) => c.send('DELETE', await anUpload(c), undefined, TUS),
  'post /api/jobs/:id/logs': (c) => c.upload(`/api/jobs/${mine.ids.job}/logs`, { name: 'b.csv', bytes: LOG }),
  'get /api/logs/:id/raw': (c) => c.get(`/api/logs/${logId}/raw`),
  'get /api/logs/:id/columns': (c) => c.get(`/api/logs/${logId}/columns`),
  'post /api/logs/:id/read-again': (c) => c.post(`/api/logs/${logId}/read-again`, {}),
  'post /api/jobs/:id/photos': (c) =>
    c.upload(`/api/jobs/${mine.ids.job}/photos`, { name: 'b.png', bytes: PNG }),
  'get /api/photos/:id': (c) => c.get(`/api/photos/${photoId}`),
  'get /api/jobs/:id/report.pdf': (c) => c.get(`/api/jobs/${mine.ids.job}/report.pdf`),
  'put /api/workshop': (c) => c.put('/api/workshop', { signOffBy: 'technician' }),
  'get /api/jobs/:id/hand-over': (c) => c.get(`/api/jobs/${mine.ids.job}/hand-over`),
  'post /api/jobs/:id/shares': (c) => c.post(`/api/jobs/${mine.ids.job}/shares`, newShare()),
  'delete /api/shares/:id': async (c) => {
    const made = await mine.technician.post<Share>(`/api/jobs/${mine.ids.job}/shares`, newShare());
    return c.delete(`/api/shares/${made.body.id}`);
  },
  'post /api/jobs/:id/mails': (c) =>
    c.post(`/api/jobs/${mine.ids.job}/mails`, { ...newShare(), to: 'wren@otherford.invalid' }),
  'get /api/shared/:token': (c) => c.get(`/api${share.path}`),
  'get /api/shared/:token/report.pdf': (c) => c.get(`/api${share.path}/report.pdf`),
  'get /api/shared/:token/photos/:id': (c) => c.get(`/api${share.path}/photos/${photoId}`),
  'get /api/vehicles/:id/family': (c) => c.get(`/api/vehicles/${mine.ids.vehicle}/family`),
  'get /api/vehicles/:id/outlook': (c) => c.get(`/api/vehicles/${mine.ids.vehicle}/outlook`),
  'get /api/vehicles/:id/history': (c) => c.get(`/api/vehicles/${mine.ids.vehicle}/history`),
  'get /api/workshop/archive': (c) => c.get('/api/workshop/archive'),
  'post /api/workshop/archive': async (c) => {
    const { address, cookie } = mine.lead;
    const zip = await fetch(`${address}/api/workshop/archive`, { headers: { cookie } });
    const bytes = new Uint8Array(await zip.arrayBuffer());
    return c.upload('/api/workshop/archive', { name: 'a.zip', bytes }, {});
  },
  'get /api/readings.csv': (c) => c.get('/api/readings.csv'),
  'put /api/members/:id/password': (c) =>
    c.put(`/api/members/${rook}/password`, { password: 'a new long word' }),
  'put /api/members/:id': (c) => c.put(`/api/members/${rook}`, { role: 'viewer' }),
  'delete /api/members/:id': (c) => c.delete(`/api/members/${sallow}`),
  'put /api/account/password': (c) =>
    c.put('/api/account/password', { current: 'not mine', password: `${PASSWORD} and more` }),
  'get /api/account/sessions': (c) => c.get('/api/account/sessions'),
  'delete /api/account/sessions/:name': async (c) => {
    const { body } = await c.get<SignedIn[]>('/api/account/sessions');
    return c.delete(
      `/api/account/sessions/${Array.isArray(body) ? (body.find(({ current }) => current)?.id ?? '') : 'a'.repeat(24)}`,
    );
  },
  'post /api/account/second-factor': (c) => c.post('/api/account/second-factor', {}),
  'put /api/account/second-factor': (c) => c.put('/api/account/second-factor', { code: '000000' }),
  'post /api/account/second-factor/end': (c) =>
    c.post('/api/account/second-factor/end', { current: PASSWORD }),
  'get /api/fleet': (c) => c.get('/api/fleet'),
  'get /api/fleet/causes': (c) => c.get('/api/fleet/causes'),
  'get /api/tasks': (c) => c.get('/api/tasks'),
  'get /api/tasks.ics': (c) => c.get('/api/tasks.ics'),
  'get /api/channel-corrections': (c) => c.get('/api/channel-corrections'),
  'put /api/channel-corrections': (c) =>
    c.put('/api/channel-corrections', { heading: 'Kanal 7', role: 'dpfDeltaP' }),
  'post /api/channel-corrections': (c) =>
    c.post('/api/channel-corrections', { corrections: [{ heading: 'Kanal 8', role: 'egt4' }] }),
};

const RANK: Record<Access | 'nobody', number> = { nobody: -1, public: -1, viewer: 0, technician: 1, lead: 2 };
/** Public addresses that have a reason of their own to refuse: no demo here, and people are there already. */
const REFUSED_FOR_ITS_OWN_REASON = new Set([
  'post /api/session/demo',
  'post /api/first-run',
  // By a wrong password and a wrong code: the right ones are tried by people.test.
  'put /api/account/password',
  'put /api/account/second-factor',
]);

const SIGNS_IN_AND_OUT = /session|first-run|account/;
const kept = new Map<string, TestClient>();

/** Somebody of a role; signed in once for all calls but those that are about signing in and out themselves. */
async function asRole(name: string, role: string): Promise<TestClient> {
  const known = SIGNS_IN_AND_OUT.test(name) ? undefined : kept.get(role);
  if (known) return known;
  const client = app.client();
  await client.get('/api/session');
  if (role !== 'nobody') await client.signIn(`reedmere-${role}`, PASSWORD);
  if (!SIGNS_IN_AND_OUT.test(name)) kept.set(role, client);
  return client;
}

/** Who has the link may read the report, from wherever; what else a link must not do has tests of its own. */
const BY_LINK = 'get /api/shared/';

const routes = ALL_ROUTES.map((route) => [`${route.method} ${route.path}`, route.access] as const);

describe.each(routes)('%s (%s)', (name, access) => {
  it('is tried here', () => {
    expect(Object.keys(CALLS)).toContain(name);
  });

  it.each(['nobody', 'viewer', 'technician', 'lead'] as const)('for %s', async (role) => {
    const client = await asRole(name, role);
    const { status } = await (CALLS[name] as (c: TestClient) => Promise<Answer>)(client);
    if (RANK[role] >= RANK[access] && !REFUSED_FOR_ITS_OWN_REASON.has(name)) expect(status).toBeLessThan(300);
    else if (role === 'nobody' && access !== 'public') expect(status).toBe(401);
    else expect([400, 403, 409]).toContain(status);
  });

  it('shows and changes nothing of another workshop', async () => {
    const client = SIGNS_IN_AND_OUT.test(name) ? app.client() : theirs.lead;
    if (client !== theirs.lead) await client.signIn('otherford-lead', PASSWORD);
    const before = await everythingOf(mine);
    const { status, body } = await (CALLS[name] as (c: TestClient) => Promise<Answer>)(client);
    if (!name.startsWith(BY_LINK)) {
      if (name.includes(':id')) expect(status).toBe(404);
      expect(JSON.stringify(body ?? '')).not.toMatch(/Reedmere|REEDMERE/);
    }
    expect(await everythingOf(mine)).toBe(before);
  });
});

/** All that the first workshop can see of itself, as one text. */
async function everythingOf({ lead, ids }: TestWorkshop): Promise<string> {
  const paths = [
    '/api/members',
    '/api/customers',
    '/api/filters',
    '/api/fluids',
    '/api/vehicles',
    '/api/limits',
    '/api/channel-corrections',
    '/api/jobs?show=all',
    `/api/jobs/${ids.job}`,
  ];
  return JSON.stringify(await Promise.all(paths.map(async (path) => (await lead.get(path)).body)));
}

it('keeps references inside a workshop: no vehicle, filter or customer of another', async () => {
  const job = await theirs.technician.post('/api/jobs', {
    id: uuidv7(),
    vehicleId: mine.ids.vehicle,
    openedAt: new Date().toISOString(),
  });
  expect(job.status).toBe(400);
  for (const foreign of [{ filterModelId: mine.ids.filter }, { customerId: mine.ids.customer }]) {
    const vehicle = await theirs.technician.post('/api/vehicles', {
      id: uuidv7(),
      ...vehicleBody(),
      ...foreign,
    });
    expect(vehicle.status).toBe(400);
  }
});

it('answers an unknown address and a wrong method with a problem, not a page', async () => {
  const unknown = await mine.lead.get('/api/nothing');
  expect(unknown.status).toBe(404);
  expect(unknown.headers.get('content-type')).toMatch(/problem\+json/);
  expect((await mine.lead.put('/api/jobs', {})).status).toBe(404);
});

it('describes every route in the OpenAPI document, with its role', async () => {
  const { body } = await app
    .client()
    .get<{ openapi: string; paths: Record<string, Record<string, { 'x-access': string }>> }>(
      '/api/openapi.json',
    );
  expect(body.openapi).toBe('3.1.0');
  for (const route of ALL_ROUTES) {
    const path = route.path.replace(/:(\w+)/g, '{$1}');
    expect(body.paths[path]?.[route.method]?.['x-access'], `${route.method} ${route.path}`).toBe(
      route.access,
    );
  }
});
