import { ENGLISH, inWords, measuresOf, METRIC, UNIT_CHOICES, wordsOf } from '../words/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sealSchema, type Seal, type Vehicle } from '../contract/index.ts';
import type { Entry, EntryBody } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { madeEntry, PROVEN_PATH } from '../testing/madeEntries.ts';
import { DISPLACEMENT_L, FILTER, madeReading } from '../testing/madeReadings.ts';
import { someRuns } from '../testing/seeds.ts';
import { packJudged, unpackJudged } from './packJudged.ts';
import { deriveJob, pictureOfJob, sealJob, unsealJob, vehicleFactsOf } from './index.ts';

const vehicle: Vehicle = {
  id: '01900000-0000-7000-8000-000000000001',
  plate: 'RM 1',
  model: 'Tarn 2.0 van',
  family: 'Tarn 2.0',
  displacementL: DISPLACEMENT_L,
  fitted: ['engine', 'filter', 'dp-sensor'],
  revision: 1,
  filter: {
    ...FILTER,
    id: '01900000-0000-7000-8000-000000000002',
    name: 'F',
    material: 'unknown',
    basis: 'assumed',
  },
};
const facts = { limits: DEFAULT_LIMITS, ...vehicleFactsOf(vehicle) };

const sealed = (entries: readonly Entry[]): Seal | undefined =>
  sealJob({
    job: { id: vehicle.id, number: 7, openedAt: '2026-05-11T08:00:00.000Z' },
    entries,
    vehicle,
    limits: DEFAULT_LIMITS,
    workshop: 'Reedmere',
    coreVersion: 'test',
    sealedAt: '2026-05-11T12:00:00.000Z',
  });

/** As it comes back from where it was kept. */
const kept = (seal: Seal | undefined): Seal => sealSchema.parse(JSON.parse(JSON.stringify(seal)));

const BODIES: readonly EntryBody[] = [
  { kind: 'complaint', text: 'Lamp', powerLimited: true, distanceKm: 90_000 },
  { kind: 'code-scan', when: 'before', codes: [{ code: 'P2463' }] },
  madeReading('before', { sootG: 32 }),
  madeReading('after', { sootG: 3 }),
  madeReading('after', { sootG: 30 }),
  { kind: 'work', work: 'chemical-clean', what: 'One fill', dwellMin: 30 },
  { kind: 'cause', cause: 'charge-leak', state: 'put-right', why: 'Clamp' },
  { kind: 'drive', distanceKm: 12, powerLimitGone: true, reportedBy: 'technician' },
  { kind: 'code-scan', when: 'after-drive', codes: [] },
  ...PROVEN_PATH,
];
const ledgers = fc
  .tuple(fc.array(fc.constantFrom(...BODIES), { maxLength: 12 }), fc.option(fc.nat(11)))
  .map(([bodies, corrected]) => {
    const entries = bodies.map((body, i) => madeEntry(i + 1, body));
    const wrong = corrected === null ? undefined : entries[corrected];
    // A correction counts in the time of what it corrects.
    const right = wrong && { ...madeEntry(50, wrong.body, 55), supersedes: wrong.id };
    return [...entries, ...(right ? [right] : []), madeEntry(60, { kind: 'sign-off' } satisfies EntryBody)];
  });

describe('a sealed job', () => {
  it('says in every unit what it said when it was sealed, out of plain JSON', () => {
    fc.assert(
      fc.property(ledgers, fc.constantFrom(...UNIT_CHOICES.pressure), (entries, pressure) => {
        const words = wordsOf([ENGLISH], measuresOf({ units: { ...METRIC, pressure } }));
        const { sealed: its, ...shown } = unsealJob(kept(sealed(entries)), entries, { pressure });
        const derived = deriveJob({ ...facts, entries });
        expect(inWords(shown, words)).toEqual(inWords(derived, words));
        expect(inWords(its.picture, words)).toEqual(inWords(pictureOfJob(derived, facts), words));
      }),
      { numRuns: someRuns(60) },
    );
  });

  it('goes on to say it beside a note that comes later, and shows the note', () => {
    fc.assert(
      fc.property(ledgers, (entries) => {
        const seal = kept(sealed(entries));
        const before = unsealJob(seal, entries);
        const noted = unsealJob(seal, [...entries, madeEntry(90, { kind: 'note', text: 'Later' })]);
        expect({ ...noted, entries: [] }).toEqual({ ...before, entries: [] });
        expect(noted.entries.at(-1)?.body).toEqual({ kind: 'note', text: 'Later' });
      }),
      { numRuns: someRuns(40) },
    );
  });

  it('is made of a sign-off only', () => {
    expect(sealed([madeEntry(1, { kind: 'note', text: 'x' })])).toBeUndefined();
  });
});

it('what JSON lacks comes back: sets, maps, numbers without end, entries by their id', () => {
  const entry = madeEntry(1, { kind: 'note', text: 'x' });
  const value = {
    set: new Set(['a']),
    map: new Map([['k', { at: Number.POSITIVE_INFINITY }]]),
    numbers: Float64Array.of(1, 2.5),
    entries: [entry],
    none: undefined,
  };
  const packed: unknown = JSON.parse(JSON.stringify(packJudged(value, [entry])));
  expect(JSON.stringify(packed)).not.toMatch(/"note"/);
  expect(unpackJudged(packed, [entry])).toEqual(value);
});
