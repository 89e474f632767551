import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Job, Problem } from '@white-ember/core/contract';
import {
  entry,
  madeFluid,
  makeWorkshop,
  startTestApp,
  type TestApp,
  type TestWorkshop,
} from '../testing/testApp.ts';

let app: TestApp;
let workshop: TestWorkshop;
beforeAll(async () => {
  app = await startTestApp();
  workshop = await makeWorkshop(app, 'Reedmere');
});
afterAll(() => app.close());

const append = (body: object) =>
  workshop.technician.post<Problem>(`/api/jobs/${workshop.ids.job}/entries`, body);
const note = { kind: 'note', text: 'x' };
const job = (openedAt: string): object => ({ id: uuidv7(), vehicleId: workshop.ids.vehicle, openedAt });

describe('input that no person means is refused with its field, never by a fault of the server', () => {
  it.each<[string, () => Promise<{ status: number; body: Problem }>, string]>([
    [
      'an entry of the year 0',
      () => append({ ...entry(note), deviceTime: '0000-01-01T00:00:00Z' }),
      'deviceTime',
    ],
    [
      'an entry of the year 1999',
      () => append({ ...entry(note), deviceTime: '1999-12-31T23:59:59Z' }),
      'deviceTime',
    ],
    ['an entry of 9999', () => append({ ...entry(note), deviceTime: '9999-12-31T23:59:59Z' }), 'deviceTime'],
    [
      'a follow-up due in the year 1',
      () => append(entry({ kind: 'follow-up', what: 'Ring', due: '0001-01-01' })),
      'body.due',
    ],
    [
      'a job opened next year',
      () => workshop.technician.post('/api/jobs', job(`${new Date().getFullYear() + 1}-12-31T00:00:00Z`)),
      'openedAt',
    ],
    [
      'a shelf counted in the year 3',
      () =>
        workshop.technician.post('/api/fluids', {
          ...madeFluid(uuidv7()),
          countedAt: '0003-05-11T06:00:00.000Z',
        }),
      'countedAt',
    ],
  ])('%s', async (_what, send, field) => {
    const { status, body } = await send();
    expect([status, Object.keys(body.fields ?? {})]).toEqual([400, [field]]);
    expect(body.fields?.[field]).toMatch(/must (?:not )?lie/);
  });

  it('JSON a thousand deep', async () => {
    const { status, body } = await workshop.technician.send<Problem>(
      'POST',
      `/api/jobs/${workshop.ids.job}/entries`,
      `{"id":"${uuidv7()}","body":${'{"a":'.repeat(5000)}1${'}'.repeat(5000)}}`,
      {},
    );
    expect([status, body.title]).toEqual([400, 'The input is nested too deeply']);
  });

  it('names that every object has are kept as names that are not known', async () => {
    for (const name of ['constructor', '__proto__', 'toString']) {
      expect((await append(entry({ kind: 'check', check: name, values: {} }))).status).toBe(201);
      expect((await append(entry({ kind: 'cause', cause: name, state: 'suspected', why: 'x' }))).status).toBe(
        201,
      );
    }
    const { status, body } = await workshop.viewer.get<Job>(`/api/jobs/${workshop.ids.job}`);
    expect([status, body.entries.length]).toEqual([200, 6]);
    for (const path of [
      `/api/jobs/${workshop.ids.job}/report.pdf`,
      `/api/vehicles/${workshop.ids.vehicle}/family`,
    ])
      expect((await workshop.viewer.get(path)).status).toBe(200);
  });
});

it('what was stored before with a year that nobody means can still be read', async () => {
  await app.db.query('ALTER TABLE entry DISABLE TRIGGER entry_append_only');
  await app.db.query(`UPDATE entry SET device_time = '0001-02-03T04:05:06Z' WHERE seq = 1`);
  await app.db.query('ALTER TABLE entry ENABLE TRIGGER entry_append_only');
  expect((await workshop.viewer.get(`/api/jobs/${workshop.ids.job}`)).status).toBe(200);
  expect((await workshop.lead.get('/api/workshop/archive')).status).toBe(200);
});
