import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import type { Fluid, Problem } from '@white-ember/core/contract';
import type { Entry } from '@white-ember/core/ledger';
import {
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

const COUNTED = Date.parse('2026-05-11T06:00:00.000Z');
const use = async (
  fluidId: string,
  concentrateL: number,
  minute: number,
  more: { supersedes?: string; withdrawn?: boolean } = {},
): Promise<string> => {
  const id = uuidv7();
  const body = more.withdrawn
    ? { kind: 'withdrawn', why: 'wrong job' }
    : { kind: 'work', work: 'chemical-clean', what: 'A fill', fluidId, concentrateL };
  const answer = await workshop.technician.post<Entry>(`/api/jobs/${workshop.ids.job}/entries`, {
    id,
    deviceTime: new Date(COUNTED + minute * 60_000).toISOString(),
    body,
    ...(more.supersedes === undefined ? {} : { supersedes: more.supersedes }),
  });
  expect(answer.status).toBe(201);
  return id;
};
const stockOf = async (id: string): Promise<number | undefined> =>
  (await workshop.viewer.get<Fluid[]>('/api/fluids')).body.find((fluid) => fluid.id === id)?.stockL;

it('goes down by what jobs use after it was counted, and up again by what is corrected or withdrawn', async () => {
  const id = uuidv7();
  expect((await workshop.technician.post<Fluid>('/api/fluids', madeFluid(id))).status).toBe(201);
  expect(await stockOf(id)).toBe(10);
  await use(id, 3, -30);
  expect(await stockOf(id), 'used before it was counted').toBe(10);
  const first = await use(id, 0.5, 10);
  const second = await use(id, 0.7, 20);
  expect(await stockOf(id)).toBeCloseTo(8.8, 9);
  await use(id, 0.9, 25, { supersedes: second });
  expect(await stockOf(id)).toBeCloseTo(8.6, 9);
  await use(id, 0, 30, { supersedes: first, withdrawn: true });
  expect(await stockOf(id)).toBeCloseTo(9.1, 9);
});

it('is counted anew from a revision: a second device that did not see it is refused, a repeat is not', async () => {
  const id = uuidv7();
  const { id: _, ...content } = madeFluid(id);
  await workshop.technician.post('/api/fluids', madeFluid(id));
  const counted = { ...content, countedL: 4, countedAt: '2026-05-12T06:00:00.000Z', revision: 1 };
  const put = (body: object) => workshop.technician.put<Fluid & Problem>(`/api/fluids/${id}`, body);
  expect((await put(counted)).body).toMatchObject({ revision: 2, stockL: 4 });
  expect((await put(counted)).body).toMatchObject({ revision: 2, stockL: 4 });
  expect((await put({ ...counted, countedL: 5 })).status).toBe(409);
});

it('says what is wrong with a sheet, and where', async () => {
  const wrong = await workshop.technician.post<Problem>('/api/fluids', {
    ...madeFluid(uuidv7()),
    filterUpToC: 900,
  });
  expect(wrong.status).toBe(400);
  expect(JSON.stringify(wrong.body)).toMatch(/filterUpToC.*Filter, up to: 5 to 250 °C/);
});
