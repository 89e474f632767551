import { spoken } from '../words/index.ts';
import { describe, expect, it } from 'vitest';
import { intakeOf } from '../diagnosis/index.ts';
import type { Entry, EntryBody } from '../ledger/index.ts';
import { entryBodySchema } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { madeEntry, madeId, PROVEN_PATH } from '../testing/madeEntries.ts';
import { DISPLACEMENT_L, FILTER, madeReading } from '../testing/madeReadings.ts';
import {
  caseOfJob,
  choicesOf,
  deriveJob as deriveJobInCodes,
  familyBook,
  findingsOfChecks,
  identityMismatch as identityMismatchInCodes,
  summariseJob as summariseJobInCodes,
  type DerivedJob,
  type FamilyJob,
} from './index.ts';

const deriveJob = spoken(deriveJobInCodes);
const summariseJob = spoken(summariseJobInCodes);
const identityMismatch = spoken(identityMismatchInCodes);

const facts = { limits: DEFAULT_LIMITS, displacementL: DISPLACEMENT_L, geometry: FILTER };
const entriesOf = (...bodies: readonly EntryBody[]): Entry[] =>
  bodies.map((body, i) => madeEntry(i + 1, body));
const derive = (...bodies: readonly EntryBody[]): DerivedJob =>
  deriveJob({ ...facts, entries: entriesOf(...bodies) });

const complaint: EntryBody = { kind: 'complaint', text: 'Filter lamp, told to buy a filter' };
const before = madeReading('before', { sootG: 45 });
const after = madeReading('after', { sootG: 3 });
const holds: EntryBody = {
  kind: 'check',
  check: 'pipe-pump',
  values: { highStartMbar: 400, highLeftMbar: 390 },
  outcome: 'high-holds',
};
const open: EntryBody = {
  kind: 'check',
  check: 'pipe-pump',
  values: { highStartMbar: 60, highLeftMbar: 0, lowStartMbar: 30, lowLeftMbar: 0 },
};
const cleared: EntryBody = {
  kind: 'work',
  work: 'pipe-cleared',
  what: 'Soaked, rodded, blown',
  part: 'high-pipe',
};
const drive: EntryBody = { kind: 'drive', distanceKm: 12, powerLimitGone: true, reportedBy: 'technician' };
const noCodes: EntryBody = { kind: 'code-scan', when: 'after-drive', codes: [] };

describe('checks of a job', () => {
  it('say what they find of the line and of the case, by their values', () => {
    const { checks, parts } = derive(complaint, holds);
    expect(checks[0]?.outcome).toBe('high-holds');
    expect(parts.get('high-pipe')?.state).toBe('failed');
    expect(parts.get('high-pipe')?.why).toMatch(/blocked/);
    expect(findingsOfChecks(checks)).toEqual({ 'high-holds': true });
    expect(caseOfJob(derive(complaint, holds), DEFAULT_LIMITS).facts.checked).toEqual({ 'high-holds': true });
  });

  it('count by the last of each kind, and by the limits of today', () => {
    expect(derive(holds, open).checks.map(({ outcome }) => outcome)).not.toContain('high-holds');
    const strict = deriveJob({
      ...facts,
      limits: { ...DEFAULT_LIMITS, pipeHoldsPercent: 99 },
      entries: entriesOf(holds),
    });
    expect(strict.checks[0]?.judgement.findings['high-holds']).toBe(false);
  });

  it('that no table knows are kept with what they were called, and have no say', () => {
    const odd: EntryBody = { kind: 'check', check: 'listen', values: { how: 'deep' }, outcome: 'booms' };
    const { checks } = derive(odd, holds);
    expect(checks[0]).toMatchObject({ outcome: 'booms', judgement: { findings: {} } });
    expect(findingsOfChecks(checks)).toEqual({ 'high-holds': true });
  });

  it('with an impossible value decide nothing until it is measured again', () => {
    const values = { batteryV: 12.6, supplyV: 12, groundFromPlusV: 12.6 };
    const once = derive({ kind: 'check', check: 'dp-electrical', values });
    expect(once.checks[0]).toMatchObject({ outcome: undefined });
    expect(once.checks[0]?.judgement.questions).toHaveLength(1);
    const again = derive({ kind: 'check', check: 'dp-electrical', values, sure: true });
    expect(again.checks[0]?.outcome).toBe('supply-bad');
  });
});

describe('a filter that was blamed for its pipe', () => {
  it('is proved without a treatment, once the pipe is cleared, checked again, driven and scanned', () => {
    const story = [complaint, before, holds, cleared, after];
    expect(derive(...story)).toMatchObject({
      verdict: 'equal-flow',
      headline: 'Not the filter: correctly read, it is within limits',
    });
    expect(derive(...story, drive, noCodes).evidence.find(({ id }) => id === 'response')?.state).toBe('open');
    expect(derive(...story, open, ...PROVEN_PATH, drive, noCodes)).toMatchObject({
      verdict: 'proved',
      headline: 'Proved: not the filter; it is within limits',
    });
  });

  it('is not proved by a pipe that still holds, by a filter that was cleaned as well, or by a high reading', () => {
    expect(derive(complaint, before, cleared, after, holds, drive, noCodes).verdict).toBe('equal-flow');
    const clean: EntryBody = { kind: 'work', work: 'chemical-clean', what: 'One fill' };
    expect(derive(complaint, before, cleared, clean, after, open, drive, noCodes).verdict).toBe('not-proved');
    const still = madeReading('after', { sootG: 40 });
    expect(derive(complaint, before, cleared, still, open, drive, noCodes).verdict).toBe('not-proved');
  });
});

describe('what stays open', () => {
  const taped: EntryBody = {
    kind: 'temporary-repair',
    what: 'Duct taped',
    order: { name: 'Intake duct', number: 'QF-2281', supplier: 'Fenside Parts', due: '2026-05-20' },
  };
  const offer: EntryBody = {
    kind: 'choice-offered',
    question: 'The filter:',
    currency: 'EUR',
    options: [
      { id: 'a', what: 'Clean in place', price: 180 },
      { id: 'b', what: 'Exchange', price: 940 },
    ],
  };

  it('is a temporary repair until it is settled, with the part that it waits for', () => {
    const job = derive(complaint, taped);
    expect(job.open).toMatchObject([
      { kind: 'temporary-repair', waitsFor: 'Intake duct', due: '2026-05-20' },
    ]);
    expect(summariseJob(job).waitsFor).toBe('Intake duct');
    expect(derive(complaint, taped, { kind: 'settled', entry: madeId(2), how: 'Duct fitted' }).open).toEqual(
      [],
    );
  });

  it('is an offer until a choice is recorded', () => {
    expect(summariseJob(derive(complaint, offer)).waitsFor).toBe('the customer’s choice');
    const made: EntryBody = {
      kind: 'choice-made',
      offer: madeId(2),
      option: 'a',
      by: 'Isa Pell',
      how: 'phone',
    };
    const job = derive(complaint, offer, made);
    expect(job.open).toEqual([]);
    expect(choicesOf(job.entries)[0]?.made?.body).toMatchObject({ option: 'a', by: 'Isa Pell' });
  });

  it('keeps the last word on driving and on each cause', () => {
    const job = derive(
      { kind: 'drivable', verdict: 'no', why: 'Oil in the exhaust' },
      { kind: 'drivable', verdict: 'limited', why: 'Turbo changed', limits: '80 km/h' },
      { kind: 'cause', cause: 'oil-in-exhaust', state: 'suspected', why: 'Blue smoke' },
      { kind: 'cause', cause: 'oil-in-exhaust', state: 'confirmed', why: 'Shaft wobbles' },
    );
    expect(job.drivable?.body.verdict).toBe('limited');
    expect(job.causes).toMatchObject([{ cause: 'oil-in-exhaust', state: 'confirmed' }]);
    expect(caseOfJob(job, DEFAULT_LIMITS).use.settled).toEqual({ 'oil-in-exhaust': true });
  });

  it('shows a part with a known-good one in its place, and one that was replaced here', () => {
    const { parts } = derive(
      { kind: 'substitution', part: 'dp-sensor', what: 'From the van', changed: 'yes', putBack: true },
      { kind: 'part-changed', where: 'here', what: 'EGT 3', part: 'egt3', condition: 'new', effect: 'cured' },
      {
        kind: 'part-changed',
        where: 'elsewhere',
        what: 'EGT 1',
        part: 'egt1',
        condition: 'pattern',
        effect: 'none',
      },
    );
    expect(parts.get('dp-sensor')?.state).toBe('failed');
    expect(parts.get('egt3')?.state).toBe('replaced');
    expect(parts.has('egt1')).toBe(false);
  });
});

describe('the intake', () => {
  it('is all that was said, the last word on each thing', () => {
    const entries = entriesOf(
      {
        kind: 'complaint',
        text: 'Lamp',
        distanceKm: 210_000,
        seen: { whistle: true, lag: true },
        use: 'mixed',
      },
      {
        kind: 'complaint',
        text: '',
        use: 'short-trips',
        seen: { lag: false },
        lamps: ['filter'],
        kit: ['gauge'],
      },
      {
        kind: 'part-changed',
        where: 'elsewhere',
        what: 'ΔP sensor',
        part: 'dp-sensor',
        condition: 'pattern',
        effect: 'none',
      },
    );
    expect(intakeOf(entries)).toMatchObject({
      distanceKm: 210_000,
      use: 'short-trips',
      seen: { whistle: true, lag: false },
      kit: ['gauge'],
    });
    expect(caseOfJob(deriveJob({ ...facts, entries }), DEFAULT_LIMITS).facts.findings).toEqual({
      'high-distance': true,
      'short-trips-told': true,
      'filter-lamp': true,
      'sensor-changed': true,
      whistle: true,
      lag: false,
    });
  });

  it('needs words or something else that is said', () => {
    expect(entryBodySchema.safeParse({ kind: 'complaint', text: '' }).success).toBe(false);
    expect(entryBodySchema.safeParse({ kind: 'complaint', text: '', kit: ['gauge'] }).success).toBe(true);
    expect(entryBodySchema.safeParse({ kind: 'complaint', text: 'x', distanceKm: -1 }).success).toBe(false);
  });

  it('tells when the scan tool took it for another vehicle', () => {
    const vehicle = { model: 'Tarn van', family: 'Tarn 2.0', displacementL: 2 };
    expect(identityMismatch({ vehicle: 'Tarn 2.0 TX', displacementL: 1.968 }, vehicle)).toBeUndefined();
    expect(identityMismatch({ vehicle: 'Tarn 2.2', displacementL: 2.2 }, vehicle)).toMatch(/2\.2 L/);
    expect(identityMismatch({ vehicle: 'Corrin estate' }, vehicle)).toMatch(/check the selection/);
  });
});

describe('the notebook of a family', () => {
  const job = (
    n: number,
    vehicle: string,
    sameCustomer: boolean,
    ...bodies: readonly EntryBody[]
  ): FamilyJob => ({
    id: madeId(900 + n),
    number: n,
    openedAt: '2026-05-11T08:00:00Z',
    proved: true,
    vehicle: { id: vehicle, plate: vehicle, model: 'Tarn' },
    sameCustomer,
    entries: entriesOf(...bodies),
  });
  const leak: EntryBody = { kind: 'cause', cause: 'charge-leak', state: 'confirmed', why: 'Smoke' };
  const jobs = [
    job(1, 'A', true, leak, { kind: 'family-note', topic: 'access', text: 'Wing off', minutes: 25 }),
    job(2, 'B', false, leak, after),
    job(3, 'C', true, { kind: 'cause', cause: 'glow-plugs-failed', state: 'suspected', why: 'x' }),
  ];

  it('holds notes, good readings and how often a cause was confirmed', () => {
    const book = familyBook('Tarn 2.0', jobs, { id: 'D', others: [] });
    expect(book.notes).toMatchObject([{ topic: 'access', text: 'Wing off', minutes: 25, plate: 'A' }]);
    expect(book.weakSpots).toMatchObject([{ cause: 'charge-leak', jobs: 2 }]);
    expect(book.goodReadings.map(({ plate }) => plate)).toContain('B');
  });

  it('proposes to the customer’s other vehicles the quick check of what was confirmed, until it is settled there', () => {
    expect(familyBook('Tarn 2.0', jobs, { id: 'D', others: [] }).proposals).toMatchObject([
      { cause: 'charge-leak', check: 'intake-look', plate: 'A' },
    ]);
    const ruledOut: EntryBody = { kind: 'cause', cause: 'charge-leak', state: 'ruled-out', why: 'Tight' };
    expect(
      familyBook('Tarn 2.0', [...jobs, job(4, 'D', true, ruledOut)], { id: 'D', others: [] }).proposals,
    ).toEqual([]);
    expect(familyBook('Tarn 2.0', [jobs[1] as FamilyJob], { id: 'D', others: [] }).proposals).toEqual([]);
  });
});
