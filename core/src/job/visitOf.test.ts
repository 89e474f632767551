import { spoken } from '../words/index.ts';
import { describe, expect, it } from 'vitest';
import type { BodyOf, EntryBody } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { assumedGrowth, outlookOf as outlookOfInCodes, type Visit } from '../outlook/index.ts';
import { madeEntry, madeId, PROVEN_PATH } from '../testing/madeEntries.ts';
import { DISPLACEMENT_L, FILTER, madeReading } from '../testing/madeReadings.ts';
import { deriveJob as deriveJobInCodes, visitOf } from './index.ts';

const outlookOf = spoken(outlookOfInCodes);
const deriveJob = spoken(deriveJobInCodes);

const facts = { limits: DEFAULT_LIMITS, displacementL: DISPLACEMENT_L, geometry: FILTER };
const visit = (
  bodies: readonly EntryBody[],
  how: Partial<typeof facts> = facts,
  at = '2026-05-11T08:00:00.000Z',
): Visit => {
  const all = { limits: DEFAULT_LIMITS, ...how };
  const derived = deriveJob({ ...all, entries: bodies.map((body, i) => madeEntry(i + 1, body)) });
  return visitOf({ id: madeId(900), number: 41, openedAt: at }, derived, all);
};
const complaint = (distanceKm: number): EntryBody => ({ kind: 'complaint', text: 'Lamp on', distanceKm });
const work = (what: BodyOf<'work'>['work'], more: object = {}): EntryBody => ({
  kind: 'work',
  work: what,
  what: 'x',
  ...more,
});
const said = (cause: string, state: BodyOf<'cause'>['state']): EntryBody => ({
  kind: 'cause',
  cause,
  state,
  why: 'Seen',
});

describe('what a job leaves in the memory of its vehicle', () => {
  it('is its distance, its restriction before and after, what was done to the filter, and what fills it', () => {
    const left = visit([
      complaint(142_300),
      madeReading('before', { sootG: 30 }),
      said('injector-over-fuelling', 'confirmed'),
      said('charge-leak', 'confirmed'),
      said('charge-leak', 'put-right'),
      said('dp-hoses-crossed', 'confirmed'),
      said('turbocharger-worn', 'ruled-out'),
      work('drive-regeneration'),
      work('chemical-clean'),
      madeReading('after', { sootG: 2 }),
    ]);
    expect(left).toMatchObject({ number: 41, km: 142_300, filter: 'cleaned-in-place' });
    expect(left.before?.value).toBeGreaterThan(4);
    expect(left.after?.value).toBeLessThan(1.6);
    expect(left.after?.low).toBeLessThan(left.after?.value as number);
    expect(Math.abs((left.sootBefore?.value ?? 0) - 30)).toBeLessThan(6);
    expect(left.sootAfter?.value).toBeLessThan(6);
    // Crossed hoses hide a full filter and fill none.
    expect(left.causes).toEqual([
      { cause: 'injector-over-fuelling', open: true, fills: true },
      { cause: 'charge-leak', open: false, fills: true },
      { cause: 'dp-hoses-crossed', open: true, fills: false },
    ]);
  });

  it('reads the same restriction alone and in a comparison', () => {
    const alone = visit([madeReading('before', { sootG: 30 })]);
    const compared = visit([
      madeReading('before', { sootG: 30 }),
      work('chemical-clean'),
      madeReading('after', { sootG: 2 }),
    ]);
    expect(alone.filter).toBe('as-it-was');
    expect(alone.before?.value).toBeCloseTo(compared.before?.value as number, 6);
    expect(alone.km).toBeUndefined();
  });

  it('knows no restriction without the size of the filter, and then no outlook', () => {
    const left = visit([complaint(1000), madeReading('before', { sootG: 30 })], {
      displacementL: DISPLACEMENT_L,
    });
    expect(left.before).toBeUndefined();
    expect(outlookOf([left], assumedGrowth(DEFAULT_LIMITS), DEFAULT_LIMITS)).toMatchObject({ known: false });
  });

  it('leaves out a figure below that of a clean filter, which is a crack or a sensor', () => {
    const left = visit([
      complaint(90_000),
      madeReading('before', { sootG: 0, error: () => -0.9 }),
      work('filter-exchanged'),
    ]);
    expect(left.before).toBeUndefined();
  });

  it('leaves out what was read by a pipe that was then cleared', () => {
    const left = visit([
      complaint(90_000),
      madeReading('before', { sootG: 30, zeroMbar: 4 }),
      work('pipe-cleared', { part: 'high-pipe' }),
      ...PROVEN_PATH,
      madeReading('after', { sootG: 3 }),
    ]);
    expect(left.before).toBeUndefined();
    expect(left.after).toBeDefined();
  });

  it.each([
    [['filter-exchanged', 'chemical-clean'], 'exchanged'],
    [['chemical-clean', 'off-vehicle-clean'], 'cleaned-off'],
    [['standing-regeneration'], 'regenerated'],
    [['sensor-replaced', 'oil-changed'], 'as-it-was'],
  ] as const)('of %s the filter is %s', (works, fate) => {
    expect(visit(works.map((one) => work(one))).filter).toBe(fate);
  });

  it('makes a trend with the next job: nearer to due the faster it came back', () => {
    const cleaned = (sootG: number, km: number, at: string): Visit =>
      visit(
        [
          complaint(km),
          madeReading('before', { sootG }),
          work('chemical-clean'),
          madeReading('after', { sootG: 2 }),
        ],
        facts,
        at,
      );
    const dueAfter = (km: number): number => {
      const outlook = outlookOf(
        [
          cleaned(30, 100_000, '2026-01-12T08:00:00.000Z'),
          cleaned(22, 100_000 + km, '2026-05-11T08:00:00.000Z'),
        ],
        assumedGrowth(DEFAULT_LIMITS),
        DEFAULT_LIMITS,
      );
      if (!outlook.known) throw new Error(outlook.why);
      expect(outlook.stretches).toBe(1);
      return outlook.dueKm.value;
    };
    expect(dueAfter(3000)).toBeLessThan(0.5 * dueAfter(20_000));
  });
});
