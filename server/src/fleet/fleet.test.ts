import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { FleetCauses, FleetPage, Task, TaskList, Vehicle } from '@white-ember/core/contract';
import type { EntryBody } from '@white-ember/core/ledger';
import { DEFAULT_LIMITS } from '@white-ember/core/limits';
import type { VehicleOutlook } from '@white-ember/core/outlook';
import { madeReading } from '@white-ember/core/testing';
import { entry, makeWorkshop, startTestApp, type TestApp, type TestWorkshop } from '../testing/testApp.ts';

const DAY = 86_400_000;
const START = Date.UTC(2026, 0, 12);

let app: TestApp;
let mine: TestWorkshop;
let theirs: TestWorkshop;
const vehicles: Record<'quick' | 'slow' | 'back', string> = { quick: '', slow: '', back: '' };

async function addVehicle({ technician, ids }: TestWorkshop, plate: string): Promise<string> {
  const { body } = await technician.get<Vehicle>(`/api/vehicles/${ids.vehicle}`);
  const { id: _id, revision: _revision, filter: _filter, customer: _customer, ...rest } = body;
  const id = uuidv7();
  expect((await technician.post('/api/vehicles', { ...rest, id, plate })).status).toBe(201);
  return id;
}

async function job(
  { technician }: TestWorkshop,
  vehicleId: string,
  day: number,
  story: readonly EntryBody[],
): Promise<string> {
  const id = uuidv7();
  const openedAt = new Date(START + day * DAY).toISOString();
  await technician.post('/api/jobs', { id, vehicleId, openedAt });
  for (const body of story)
    expect((await technician.post(`/api/jobs/${id}/entries`, entry(body))).status).toBe(201);
  return id;
}
const clean = (km: number, more: readonly EntryBody[] = []): EntryBody[] => [
  { kind: 'complaint', text: 'Lamp on', distanceKm: km },
  madeReading('before', { sootG: 30 }),
  ...more,
  { kind: 'work', work: 'chemical-clean', what: 'One fill' },
  madeReading('after', { sootG: 2 }),
];
const said = (cause: string): EntryBody => ({ kind: 'cause', cause, state: 'confirmed', why: 'Seen' });

beforeAll(async () => {
  app = await startTestApp();
  mine = await makeWorkshop(app, 'Reedmere');
  theirs = await makeWorkshop(app, 'Otherford');
  vehicles.quick = await addVehicle(mine, 'RE 1 QUICK');
  await job(mine, vehicles.quick, 0, clean(100_000));
  await job(mine, vehicles.quick, 90, clean(107_000));
  vehicles.slow = await addVehicle(mine, 'RE 2 SLOW');
  await job(mine, vehicles.slow, -510, clean(50_000));
  await job(mine, vehicles.slow, 90, clean(90_000));
  vehicles.back = await addVehicle(mine, 'RE 3 BACK');
  await job(mine, vehicles.back, 0, clean(20_000, [said('injector-over-fuelling')]));
  await job(mine, vehicles.back, 30, clean(21_500, [said('dp-hoses-crossed')]));
  const foreign = await addVehicle(theirs, 'OT 1');
  await job(theirs, foreign, 0, clean(10_000, [said('vgt-stuck')]));
});
afterAll(() => app.close());

const page = async (query = '', { viewer } = mine): Promise<FleetPage> => {
  const { status, body } = await viewer.get<FleetPage>(`/api/fleet${query}`);
  expect(status).toBe(200);
  return body;
};
/** Until nothing is waiting: as the page asks again. */
async function settled(query = ''): Promise<FleetPage> {
  for (let i = 0; i < 50; i++) {
    const got = await page(query);
    if (got.waiting === 0) return got;
  }
  throw new Error('outlooks are never up to date');
}
const tasks = async (query = ''): Promise<Task[]> => {
  const { status, body } = await mine.viewer.get<TaskList>(`/api/tasks${query}`);
  expect(status).toBe(200);
  expect(body.total).toBe(body.tasks.length);
  return body.tasks;
};

describe('the fleet', () => {
  it('stands in the order in which vehicles are due, each with the same as on its own page', async () => {
    const { vehicles: rows, known, unknown } = await settled();
    expect(rows.map(({ plate }) => plate)).toEqual(['RE 3 BACK', 'RE 1 QUICK', 'RE 2 SLOW']);
    expect([known, unknown]).toEqual([3, 1]);
    for (const { id, told } of rows) {
      const { body } = await mine.viewer.get<VehicleOutlook>(`/api/vehicles/${id}/outlook`);
      expect(told).toEqual(body);
    }
    expect((await settled('?limit=1&offset=1')).vehicles.map(({ plate }) => plate)).toEqual(['RE 1 QUICK']);
    expect((await settled('?order=comes-back&limit=1')).vehicles[0]?.plate).toBe('RE 3 BACK');
    expect((await settled('?family=Harrow%203.0')).vehicles).toEqual([]);
    expect((await mine.viewer.get('/api/fleet?order=colour&limit=0')).status).toBe(400);
  });

  it('follows what is entered, whoever asks in between', async () => {
    const before = await settled();
    const dueOf = ({ vehicles: rows }: FleetPage, id: string): number => {
      const { outlook } = rows.find((row) => row.id === id)?.told as VehicleOutlook;
      return outlook.known ? outlook.dueKm.value : NaN;
    };
    await job(mine, vehicles.slow, 120, clean(95_000));
    const after = await settled();
    expect(dueOf(after, vehicles.slow)).toBeLessThan(dueOf(before, vehicles.slow));
    // A small family: what one vehicle shows is known of the others at once.
    expect(dueOf(after, vehicles.quick)).not.toBe(dueOf(before, vehicles.quick));
    expect((await settled()).vehicles).toEqual(after.vehicles);
  });

  it('is made anew when a limit changes', async () => {
    await settled();
    const changed = await mine.lead.post('/api/limits', {
      id: uuidv7(),
      family: 'Tarn 2.0',
      overrides: { dueRestrictionRatio: { value: 3, source: 'Seen on the fleet' } },
    });
    expect(changed.body).toMatchObject({ version: 1 });
    const after = await settled();
    for (const { told } of after.vehicles) expect(told.outlook).toMatchObject({ known: true, limitRatio: 3 });
  });

  it('says which causes were found by family, which cleans did not hold and why; nothing of another workshop', async () => {
    await settled();
    const { body } = await mine.viewer.get<FleetCauses>('/api/fleet/causes');
    const tarn = body.families.find(({ family }) => family === 'Tarn 2.0');
    expect(tarn?.vehicles).toBe(4);
    expect(tarn?.causes).toEqual([
      { cause: 'dp-hoses-crossed', jobs: 1, open: 1 },
      { cause: 'injector-over-fuelling', jobs: 1, open: 1 },
    ]);
    expect(body.cameBack).toBe(1);
    expect(body.cleaned).toBe(7);
    expect(body.why).toEqual([{ cause: 'injector-over-fuelling', count: 1 }]);
    expect(body.last[0]).toMatchObject({ plate: 'RE 3 BACK', km: 1500, days: 30, leftOpen: true });
    expect(body.within).toEqual({
      km: DEFAULT_LIMITS.comesBackWithinKm,
      days: DEFAULT_LIMITS.comesBackWithinDays,
    });
  });
});

describe('tasks', () => {
  it('come from jobs and from the outlook, by their day, a distance as the day on which it is reached', async () => {
    const id = await job(mine, vehicles.quick, 130, [
      { kind: 'complaint', text: 'Whistle', distanceKm: 110_000, oilChangedKm: 100_000 },
      {
        kind: 'temporary-repair',
        what: 'Pipe bound',
        order: { name: 'a pressure pipe', due: '2026-05-20' },
      },
      { kind: 'follow-up', what: 'Ring the driver', due: '2026-05-19' },
      { kind: 'sign-off' },
    ]);
    const its = (await tasks(`?vehicleId=${vehicles.quick}`)).filter(({ jobId }) => jobId === id);
    expect(its.map(({ kind }) => kind)).toEqual(['own', 'part', 'oil']);
    const oil = its.at(-1);
    // 10 000 km in 130 days; 5000 km more.
    expect(oil).toMatchObject({ dueKm: 115_000, estimated: true });
    const perDay = 10_000 / 130;
    expect(oil?.due).toBe(new Date(START + (130 + 5000 / perDay) * DAY).toISOString().slice(0, 10));
    const all = await tasks();
    expect(all.map(({ due }) => due ?? '9')).toEqual(all.map(({ due }) => due ?? '9').sort());
    expect(all.filter(({ kind }) => kind === 'due').length).toBeGreaterThan(0);
    // The next job asks for the reading anew: the one before does no more.
    expect(all.filter(({ kind, vehicleId }) => kind === 'recheck' && vehicleId === vehicles.quick)).toEqual(
      [],
    );
    expect(all.some(({ plate }) => plate.startsWith('OT'))).toBe(false);
  });

  it('are ended by an entry, after the sign-off as well, and come back when that is withdrawn', async () => {
    const own = (await tasks()).find(({ kind }) => kind === 'own') as Task;
    const end = entry({ kind: 'follow-up-done', task: own.key, how: 'Runs well' });
    expect((await mine.technician.post(`/api/jobs/${own.jobId}/entries`, end)).status).toBe(201);
    expect((await tasks()).map(({ key }) => key)).not.toContain(own.key);
    const back = entry({ kind: 'withdrawn', why: 'Wrong one' }, { supersedes: end.id });
    expect((await mine.technician.post(`/api/jobs/${own.jobId}/entries`, back)).status).toBe(201);
    expect((await tasks()).map(({ key }) => key)).toContain(own.key);
    // Nothing else is changed by that way on a job that is signed off.
    const reading = entry(madeReading('after', { sootG: 2 }), { supersedes: end.id });
    expect((await mine.technician.post(`/api/jobs/${own.jobId}/entries`, reading)).status).toBe(409);
  });

  it('are a calendar whose events keep their names', async () => {
    const calendar = async (): Promise<string> => {
      const { status, body, headers } = await mine.viewer.get<string>('/api/tasks.ics');
      expect(status).toBe(200);
      expect(headers.get('content-type')).toMatch(/^text\/calendar/);
      // Long lines are folded: a line that begins with a space goes on with the one before.
      return body.replaceAll('\r\n ', '');
    };
    const text = await calendar();
    expect(text).toMatch(/^BEGIN:VCALENDAR\r\n/);
    expect(text).toMatch(/SUMMARY:RE 1 QUICK: Fit a pressure pipe/);
    expect(text).toMatch(/DTSTART;VALUE=DATE:20260520/);
    const names = (calendarText: string): string[] =>
      [...calendarText.matchAll(/UID:(\S+)/g)].map(([, uid]) => uid ?? '').sort();
    expect(new Set(names(text)).size).toBe((await tasks()).filter(({ due }) => due !== undefined).length);
    expect(names(await calendar())).toEqual(names(text));
  });
});

describe('a vehicle of the fleet that is in work', () => {
  it('says what its job’s line says, and nothing that is not worked out', async () => {
    const advice = {
      next: { do: 'read', title: 'Read the pressure', why: 'Nothing was read.' },
      likely: { cause: 'soot-loaded', probability: 0.8 },
      drive: 'limited',
      by: 'this version',
    };
    const id = await job(mine, vehicles.slow, 100, [{ kind: 'complaint', text: 'Back' }]);
    const openJob = async (): Promise<FleetPage['vehicles'][number]['openJob']> =>
      (await settled()).vehicles.find((one) => one.id === vehicles.slow)?.openJob;
    expect(await openJob()).toEqual({ id });
    await app.db.query('UPDATE job SET advice = $2, advice_of = entry_count WHERE id = $1', [id, advice]);
    expect(await openJob()).toEqual({ id, advice });
    await mine.technician.post(`/api/jobs/${id}/entries`, entry({ kind: 'note', text: 'More' }));
    expect(await openJob()).toEqual({ id });
  });
});
