import { v7 as uuidv7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type {
  FilterModel,
  Job,
  JobListItem,
  LimitsProfile,
  Problem,
  Vehicle,
} from '@white-ember/core/contract';
import type { EntryBody } from '@white-ember/core/ledger';
import { madeReading, PROVEN_PATH } from '@white-ember/core/testing';
import { entry, makeWorkshop, startTestApp, type TestApp, type TestWorkshop } from '../testing/testApp.ts';

let app: TestApp;
let workshop: TestWorkshop;
beforeAll(async () => {
  app = await startTestApp();
  workshop = await makeWorkshop(app, 'Reedmere');
});
afterAll(() => app.close());

const open = (id: string, client = workshop.technician) =>
  client.post<Job & Problem>('/api/jobs', {
    id,
    vehicleId: workshop.ids.vehicle,
    openedAt: '2026-03-02T08:00:00.000Z',
  });
interface List {
  readonly jobs: JobListItem[];
  readonly next?: string;
}
const list = async (query: string): Promise<List> =>
  (await workshop.viewer.get<List>(`/api/jobs?${query}`)).body;

describe('jobs', () => {
  it('are opened once, with numbers that run on', async () => {
    const id = uuidv7();
    const first = await open(id);
    const again = await open(id);
    expect(again.body).toEqual(first.body);
    const many = await Promise.all(Array.from({ length: 8 }, () => open(uuidv7())));
    const numbers = many.map(({ body }) => body.number).sort((a, b) => a - b);
    expect(numbers).toEqual(numbers.map((_, i) => first.body.number + 1 + i));
  });

  it('are found by plate, vehicle or customer, and paged without loss', async () => {
    const all = await list('show=all');
    expect((await list('show=all&find=customer%20of')).jobs).toHaveLength(all.jobs.length);
    expect((await list('show=all&find=no-such')).jobs).toEqual([]);
    // A percent sign is looked for as such, not as "anything".
    expect((await list('show=all&find=%25')).jobs).toEqual([]);
    const seen: string[] = [];
    let next: string | undefined = '';
    while (next !== undefined) {
      const page: List = await list(`show=all&limit=3${next ? `&before=${encodeURIComponent(next)}` : ''}`);
      seen.push(...page.jobs.map((job) => job.id));
      next = page.next;
    }
    expect(new Set(seen).size).toBe(seen.length);
    expect(seen).toHaveLength(all.jobs.length);
  });

  it('leave the open list when they are signed off', async () => {
    const id = uuidv7();
    await open(id);
    await workshop.technician.post(`/api/jobs/${id}/entries`, entry({ kind: 'sign-off' }));
    expect((await list('show=open&limit=200')).jobs.map((job) => job.id)).not.toContain(id);
    expect((await list('show=today&limit=200')).jobs.map((job) => job.id)).toContain(id);
  });

  it('refuse a bad query by its name', async () => {
    const answer = await workshop.viewer.get<Problem>('/api/jobs?show=everything&limit=0');
    expect(answer.status).toBe(400);
    expect(Object.keys(answer.body.fields ?? {})).toEqual(['show', 'limit']);
  });
});

describe('vehicles', () => {
  it('are not overwritten by somebody who saw an older state', async () => {
    const { body: vehicle } = await workshop.viewer.get<Vehicle>(`/api/vehicles/${workshop.ids.vehicle}`);
    const change = (model: string, revision: number) =>
      workshop.technician.put<Vehicle & Problem>(`/api/vehicles/${vehicle.id}`, {
        plate: vehicle.plate,
        model,
        family: vehicle.family,
        displacementL: 2,
        filterModelId: vehicle.filterModelId,
        customerId: vehicle.customerId,
        fitted: vehicle.fitted,
        revision,
      });
    const first = await change('Tarn 2.0 long van', vehicle.revision);
    expect(first.body.revision).toBe(vehicle.revision + 1);
    const repeated = await change('Tarn 2.0 long van', vehicle.revision);
    expect(repeated.body).toEqual(first.body);
    const stale = await change('Tarn 2.0 bus', vehicle.revision);
    expect(stale.status).toBe(409);
    expect(stale.body.detail).toMatch(/Somebody else/);
  });

  it('refuse what cannot be, by field', async () => {
    const answer = await workshop.technician.post<Problem>('/api/vehicles', {
      id: uuidv7(),
      plate: '<script>',
      model: '',
      family: 'x',
      displacementL: -2,
      fitted: ['flux capacitor'],
    });
    expect(answer.status).toBe(400);
    expect(Object.keys(answer.body.fields ?? {})).toEqual(['plate', 'model', 'displacementL', 'fitted.0']);
  });

  it('know what a filter is coated with where it was said, with the vehicle and with its jobs', async () => {
    const coatings = await makeWorkshop(app, 'Coatings');
    const size = { name: 'Reed 144', diameterMm: 144, lengthMm: 152, cpsi: 200, wallMm: 0.305 } as const;
    const add = (catalyst?: string) =>
      coatings.technician.post<FilterModel>('/api/filters', {
        ...size,
        id: uuidv7(),
        name: `${size.name} ${catalyst ?? 'unknown'}`,
        material: 'cordierite',
        basis: 'measured',
        ...(catalyst === undefined ? {} : { catalyst }),
      });
    expect((await add('varnish')).status).toBe(400);
    expect((await add()).body).not.toHaveProperty('catalyst');
    const bare = (await add('none')).body;
    expect(bare).toMatchObject({ catalyst: 'none' });
    const vehicle = await coatings.technician.post<Vehicle>('/api/vehicles', {
      id: uuidv7(),
      plate: 'CO 44 TD',
      model: 'van',
      family: 'Tarn 2.0',
      filterModelId: bare.id,
      fitted: ['engine', 'filter'],
    });
    expect(vehicle.body.filter).toMatchObject({ catalyst: 'none' });
    const job = await coatings.technician.post<Job>('/api/jobs', {
      id: uuidv7(),
      vehicleId: vehicle.body.id,
      openedAt: '2026-03-02T08:00:00.000Z',
    });
    const read = await coatings.viewer.get<Job>(`/api/jobs/${job.body.id}`);
    expect(read.body.vehicle.filter).toMatchObject({ catalyst: 'none' });
  });

  it('refuse a filter that cannot be built', async () => {
    const filter = {
      id: uuidv7(),
      name: 'x',
      diameterMm: 150,
      lengthMm: 150,
      cpsi: 600,
      wallMm: 0.8,
      material: 'unknown',
      basis: 'assumed',
    };
    const answer = await workshop.technician.post<Problem>('/api/filters', filter);
    expect(answer.status).toBe(400);
    expect(answer.body.detail).toMatch(/leaves no channel/);
  });
});

describe('the next visit of a vehicle', () => {
  it('opens the proof of the last one again when it reads high so soon, and closes it when that is taken back', async () => {
    const comeBacks = await makeWorkshop(app, 'Comebacks');
    const { technician, viewer } = comeBacks;
    const openAt = async (openedAt: string): Promise<string> => {
      const id = uuidv7();
      await technician.post('/api/jobs', { id, vehicleId: comeBacks.ids.vehicle, openedAt });
      return id;
    };
    const add = async (job: string, bodies: readonly EntryBody[], day: string): Promise<string> => {
      let last = '';
      for (const [i, body] of bodies.entries()) {
        last = uuidv7();
        const deviceTime = `${day}T09:${String(i).padStart(2, '0')}:00.000Z`;
        const { status } = await technician.post(`/api/jobs/${job}/entries`, { id: last, deviceTime, body });
        expect(status).toBe(201);
      }
      return last;
    };
    const verdictOf = async (id: string): Promise<string | undefined> =>
      (await viewer.get<List>('/api/jobs?show=all&limit=200')).body.jobs.find((job) => job.id === id)?.summary
        .verdict;
    const first = await openAt('2026-04-01T08:00:00.000Z');
    await add(
      first,
      [
        { kind: 'complaint', text: 'Lamp', distanceKm: 90_000 },
        madeReading('before', { sootG: 35 }),
        { kind: 'work', work: 'chemical-clean', what: 'x' },
        madeReading('after', { sootG: 3 }),
        ...PROVEN_PATH,
        { kind: 'drive', distanceKm: 15, powerLimitGone: true, reportedBy: 'technician' },
        { kind: 'code-scan', when: 'after-drive', codes: [] },
        { kind: 'sign-off' },
      ],
      '2026-04-01',
    );
    expect(await verdictOf(first)).toBe('proved');
    const second = await openAt('2026-04-20T08:00:00.000Z');
    await add(second, [{ kind: 'complaint', text: 'Again', distanceKm: 90_600 }], '2026-04-20');
    expect(await verdictOf(first)).toBe('proved');
    const reading = await add(second, [madeReading('before', { sootG: 32 })], '2026-04-21');
    expect(await verdictOf(first)).toBe('reopened');
    const { body: job } = await viewer.get<Job>(`/api/jobs/${first}`);
    expect(job.nextJob).toMatchObject({ id: second, entries: [expect.anything(), expect.anything()] });
    const taken = await technician.post(`/api/jobs/${second}/entries`, {
      ...entry({ kind: 'withdrawn', why: 'Another vehicle' }),
      supersedes: reading,
    });
    expect(taken.status).toBe(201);
    expect(await verdictOf(first)).toBe('proved');
  });
});

describe('limits profiles', () => {
  const put = (overrides: object, family?: string) =>
    workshop.lead.post<LimitsProfile & Problem>('/api/limits', {
      id: uuidv7(),
      overrides,
      ...(family ? { family } : {}),
    });

  it('come in versions; a family’s own goes before the general one', async () => {
    await put({ dpIdleGoodMbar: { value: 8, source: 'general rule here' } });
    const own = await put({ dpIdleGoodMbar: { value: 5, source: 'measured on six' } }, 'Tarn 2.0');
    expect(own.body.version).toBe(1);
    const newer = await put({ dpIdleGoodMbar: { value: 4, source: 'measured on nine' } }, 'Tarn 2.0');
    expect(newer.body.version).toBe(2);
    const { body: job } = await workshop.viewer.get<Job>(`/api/jobs/${workshop.ids.job}`);
    expect(job.limitsProfile?.id).toBe(newer.body.id);
    const { body: inForce } = await workshop.viewer.get<LimitsProfile[]>('/api/limits');
    expect(inForce.map((profile) => [profile.family, profile.version])).toEqual([
      [undefined, 1],
      ['Tarn 2.0', 2],
    ]);
  });

  it('change the verdict of open jobs, and leave signed-off ones as they were judged', async () => {
    const id = uuidv7();
    const other = uuidv7();
    await open(id);
    await open(other);
    const { body: job } = await workshop.viewer.get<Job>(`/api/jobs/${id}`);
    const minute = (n: number) => ({ deviceTime: `2026-03-02T09:${String(n).padStart(2, '0')}:00.000Z` });
    for (const jobId of [id, other]) {
      await workshop.technician.post(`/api/jobs/${jobId}/entries`, {
        ...entry(madeReading('before', { sootG: 35 })),
        ...minute(0),
      });
      await workshop.technician.post(`/api/jobs/${jobId}/entries`, {
        ...entry({ kind: 'work', work: 'chemical-clean', what: 'x' }),
        ...minute(5),
      });
      await workshop.technician.post(`/api/jobs/${jobId}/entries`, {
        ...entry(madeReading('after', { sootG: 4 })),
        ...minute(30),
      });
    }
    await workshop.technician.post(
      `/api/jobs/${id}/entries`,
      entry({ kind: 'sign-off', limitsProfileId: job.limitsProfile?.id }),
    );
    await put({ restrictionGoodRatio: { value: 1.05, source: 'strict' } }, 'Tarn 2.0');
    const verdicts = (await list('show=all&limit=200')).jobs
      .filter((j) => [id, other].includes(j.id))
      .map((j) => [j.id, j.summary.verdict]);
    expect(Object.fromEntries(verdicts)).toEqual({ [id]: 'equal-flow', [other]: 'better' });
    expect((await workshop.viewer.get<Job>(`/api/jobs/${id}`)).body.limitsProfile?.id).toBe(
      job.limitsProfile?.id,
    );
  });

  it('refuse limits that contradict each other or do not exist', async () => {
    const turned = await put({ dpIdleGoodMbar: { value: 90, source: 'typo' } });
    expect(turned.status).toBe(400);
    expect(turned.body.detail).toMatch(/must not exceed/);
    expect((await put({ dpIdleGuess: { value: 1, source: 'x' } })).status).toBe(400);
  });
});
