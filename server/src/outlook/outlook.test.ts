import { inEnglish } from '@white-ember/core/words';
import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Vehicle } from '@white-ember/core/contract';
import type { EntryBody } from '@white-ember/core/ledger';
import type { VehicleOutlook } from '@white-ember/core/outlook';
import { madeReading } from '@white-ember/core/testing';
import { entry, makeWorkshop, startTestApp, type TestApp, type TestWorkshop } from '../testing/testApp.ts';

let app: TestApp;
let workshop: TestWorkshop;
beforeAll(async () => {
  app = await startTestApp();
  workshop = await makeWorkshop(app, 'Reedmere');
});
afterAll(() => app.close());

/** A job in which a filter was read, cleaned and read again. */
async function cleaned(
  { technician, ids }: TestWorkshop,
  { day, km, sootG, vehicleId = ids.vehicle }: { day: number; km: number; sootG: number; vehicleId?: string },
): Promise<string> {
  const id = uuidv7();
  const openedAt = new Date(Date.UTC(2026, 0, 12) + day * 86_400_000).toISOString();
  await technician.post('/api/jobs', { id, vehicleId, openedAt });
  const story: EntryBody[] = [
    { kind: 'complaint', text: 'Lamp on', distanceKm: km },
    madeReading('before', { sootG }),
    { kind: 'work', work: 'chemical-clean', what: 'One fill' },
    madeReading('after', { sootG: 2 }),
  ];
  for (const body of story) await technician.post(`/api/jobs/${id}/entries`, entry(body));
  return id;
}
const outlook = async (vehicleId = workshop.ids.vehicle): Promise<VehicleOutlook> => {
  const { status, body } = await workshop.viewer.get<VehicleOutlook>(`/api/vehicles/${vehicleId}/outlook`);
  expect(status).toBe(200);
  return body;
};

describe('the outlook of a vehicle', () => {
  it('says what is wanted before anything was read', async () => {
    const { visits, outlook: ahead, ash, kind, dueDate } = await outlook();
    // The job that is open on it was not worked on yet.
    expect(visits).toHaveLength(1);
    expect(visits[0]).not.toHaveProperty('before');
    expect(ahead).toMatchObject({ known: false });
    expect(ash).toMatchObject({ known: false });
    expect(dueDate).toBeUndefined();
    expect(kind).toEqual({ family: 'Tarn 2.0', vehicles: 0 });
  });

  it('shows the trend with the second visit, in km and as a date', async () => {
    await cleaned(workshop, { day: 0, km: 100_000, sootG: 30 });
    const first = await outlook();
    if (!first.outlook.known) throw new Error(inEnglish(first.outlook.why));
    expect(first.outlook.stretches).toBe(0);
    expect(first.dueDate).toBeUndefined();

    await cleaned(workshop, { day: 60, km: 104_000, sootG: 24 });
    const second = await outlook();
    if (!second.outlook.known) throw new Error(inEnglish(second.outlook.why));
    expect(second.visits.filter(({ before }) => before)).toHaveLength(2);
    expect(second.outlook.stretches).toBe(1);
    // Back after 4000 km: sooner than what is assumed of any vehicle.
    expect(second.outlook.dueKm.value).toBeLessThan(0.5 * first.outlook.dueKm.value);
    expect(second.kmPerDay).toBeCloseTo(4000 / 60, 6);
    const { dueDate } = second;
    if (!dueDate) throw new Error('no date');
    expect(Date.parse(dueDate.value) - Date.parse(second.outlook.from.at)).toBeCloseTo(
      (second.outlook.dueKm.value / (4000 / 60)) * 86_400_000,
      -4,
    );
    expect(dueDate.low < dueDate.value && dueDate.value < dueDate.high).toBe(true);
    expect(second.ash.known).toBe(true);
  });

  it('learns from other vehicles of the family, and from no other workshop’s', async () => {
    const add = async ({ technician, ids }: TestWorkshop, plate: string): Promise<string> => {
      const id = uuidv7();
      const { body } = await technician.get<Vehicle>(`/api/vehicles/${ids.vehicle}`);
      await technician.post('/api/vehicles', {
        id,
        plate,
        model: body.model,
        family: body.family,
        fitted: body.fitted,
        displacementL: body.displacementL,
        filterModelId: body.filterModelId,
      });
      return id;
    };
    const other = await makeWorkshop(app, 'Otherford');
    const theirs = await add(other, 'OT 9');
    await cleaned(other, { day: 0, km: 10_000, sootG: 30, vehicleId: theirs });
    await cleaned(other, { day: 90, km: 40_000, sootG: 20, vehicleId: theirs });
    expect((await outlook()).kind.vehicles).toBe(0);

    const ours = await add(workshop, 'RE 2');
    await cleaned(workshop, { day: 0, km: 10_000, sootG: 30, vehicleId: ours });
    await cleaned(workshop, { day: 90, km: 12_000, sootG: 24, vehicleId: ours });
    expect((await outlook()).kind.vehicles).toBe(1);
    expect((await other.lead.get(`/api/vehicles/${ours}/outlook`)).status).toBe(404);
  });

  it('works out once what was stored before visits were kept, the same as it is kept now', async () => {
    const kept = await outlook();
    await app.db.query('UPDATE job SET visit = NULL');
    expect(await outlook()).toEqual(kept);
    const [left] = await app.db.query<{ n: string }[]>(
      'SELECT count(*) AS n FROM job WHERE visit IS NULL AND vehicle_id = $1',
      [workshop.ids.vehicle],
    );
    expect(left?.n).toBe('0');
  });

  it('follows a correction: a reading that is withdrawn tells nothing any more', async () => {
    const jobId = await cleaned(workshop, { day: 200, km: 111_000, sootG: 28 });
    const with_ = (await outlook()).visits.find((visit) => visit.jobId === jobId);
    expect(with_?.after).toBeDefined();
    const { body } = await workshop.viewer.get<{ entries: { id: string; body: EntryBody }[] }>(
      `/api/jobs/${jobId}`,
    );
    const after = body.entries.find((one) => one.body.kind === 'reading' && one.body.purpose === 'after');
    await workshop.technician.post(
      `/api/jobs/${jobId}/entries`,
      entry({ kind: 'withdrawn', why: 'Read with the hose off' }, { supersedes: after?.id }),
    );
    expect((await outlook()).visits.find((visit) => visit.jobId === jobId)?.after).toBeUndefined();
  });
});
