import { type Spoken } from '../words/index.ts';
import { describe, expect, it } from 'vitest';
import { steadySamplesOf, type EntryBody, type ReadingBody } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import type { EvidenceId } from '../proof/index.ts';
import { madeEntry } from '../testing/madeEntries.ts';
import { madeReading, madeSample } from '../testing/madeReadings.ts';
import { summariseJob, type DerivedJob, type NextJob } from './index.ts';
import {
  deriveJob,
  facts,
  derive,
  item,
  swap,
  hoses,
  complaint,
  before,
  after,
  work,
  drive,
  scan,
  told,
} from './testing/evidenceJobs.ts';

describe('several readings of one state', () => {
  const only = (reading: ReadingBody, ...rpm: number[]): ReadingBody => ({
    ...reading,
    samples: reading.samples.filter((sample) => sample.kind === 'key-off' || rpm.includes(sample.rpm)),
  });

  it('count together where they agree or complement each other', () => {
    const job = derive([before, work('chemical-clean'), only(after, 820), only(after, 2500, 3000)]);
    expect(job.afters).toHaveLength(2);
    expect(job.comparison?.after.readings).toBe(3);
    expect(job.comparison?.leftOut).toEqual([]);
    expect(job.verdict).toBe('equal-flow');
    const one = derive([before, work('chemical-clean'), after]);
    const twice = derive([before, work('chemical-clean'), after, after]);
    const width = ({ comparison }: Spoken<DerivedJob>): number =>
      (comparison?.removedPercent?.high ?? 0) - (comparison?.removedPercent?.low ?? 0);
    expect(width(twice)).toBeLessThan(width(one));
  });

  it('that do not agree leave the word to the latest, and it is said', () => {
    const wet = madeReading('after', { sootG: 25 });
    const job = derive([before, work('chemical-clean'), wet, after]);
    expect(job.comparison?.leftOut[0]).toMatch(
      /earlier after reading disagrees .* at \d+ m³\/h\): the latest counts/,
    );
    expect(job.comparison?.after.readings).toBe(3);
    expect(job.proof?.reasons.join()).toMatch(/disagrees/);
    expect(job.verdict).toBe('equal-flow');
  });

  it('from before the last work count no more', () => {
    const job = derive([before, work('chemical-clean'), after, work('chemical-clean'), after]);
    expect(job.afters).toHaveLength(1);
  });
});

describe('another filter', () => {
  const cracked = madeReading('before', { sootG: 0 });
  const leaks: ReadingBody = {
    ...cracked,
    samples: steadySamplesOf(cracked.samples).map((sample) => ({ ...sample, dpMbar: sample.dpMbar * 0.3 })),
  };
  const fresh = madeReading('after', { sootG: 0.2 });
  const complete = [swap, hoses, drive, scan()];

  it('is judged by what it reads, not by what was removed from the old one', () => {
    const job = derive([complaint, leaks, work('filter-exchanged'), fresh, ...complete]);
    expect(job).toMatchObject({ verdict: 'proved', headline: 'Proved: the new filter is within limits' });
    const cleaned = derive([complaint, leaks, work('chemical-clean'), fresh, ...complete]);
    expect(cleaned.verdict).toBe('not-proved');
  });

  it('is not proved where it does not read good', () => {
    const full = madeReading('after', { sootG: 40 });
    expect(derive([complaint, leaks, work('filter-exchanged'), full, ...complete]).verdict).not.toBe(
      'proved',
    );
  });
});

describe('confidence', () => {
  const complete = [...told, swap, hoses, drive, scan()];
  it('is a chance by the readings, less a level for what is weak, with every reason', () => {
    const { confidence } = derive(complete);
    expect(confidence?.percent).toBeGreaterThan(95);
    expect(confidence?.level).toBe('fair');
    expect(confidence?.reasons.join()).toMatch(/by eye.*lag/);
    const word = derive([
      ...told,
      swap,
      hoses,
      { ...drive, reportedBy: 'customer' },
      { ...scan(), reportedBy: 'customer' },
    ]);
    expect(word.verdict).toBe('proved');
    expect(word.confidence?.reasons.length).toBeGreaterThan(confidence?.reasons.length ?? 0);
  });

  it('is low where a figure lies at its limit', () => {
    const { confidence } = derive(complete, {
      ...DEFAULT_LIMITS,
      restrictionGoodRatio: (derive(complete).comparison?.restrictionAfter?.value ?? 0) + 0.001,
    });
    expect(confidence?.percent).toBeLessThan(60);
    expect(confidence?.level).toBe('low');
  });
});

describe('the next visit', () => {
  const proved = [...told, swap, hoses, drive, scan()];
  const next = (reading: ReadingBody, { km, days = 20 }: { km?: number; days?: number } = {}): NextJob => ({
    id: '0197a000-0000-7000-8000-0000000000f1',
    number: 41,
    openedAt: new Date(Date.UTC(2026, 4, 11 + days)).toISOString(),
    entries: [
      madeEntry(101, {
        kind: 'complaint',
        text: 'Again',
        ...(km === undefined ? {} : { distanceKm: 120_000 + km }),
      }),
      madeEntry(102, reading),
    ],
  });
  const seen = (nextJob: NextJob): Spoken<DerivedJob> =>
    deriveJob({ ...facts, entries: proved.map((body, i) => madeEntry(i + 1, body)), nextJob });
  const full = madeReading('before', { sootG: 30 });

  it('opens the proof again when it comes soon and reads high again', () => {
    const job = seen(next(full, { km: 420 }));
    expect(job.verdict).toBe('reopened');
    expect(job.headline).toBe('Reopened by job 41');
    expect(job.contradiction?.text).toMatch(/420 km later \(within 2500 km.*× clean, good up to 2.5/);
    expect(job.stage).toBe('prove');
    expect(summariseJob(job).verdict).toBe('reopened');
  });

  it('contradicts nothing when it comes late, reads good, or has read nothing', () => {
    expect(seen(next(full, { km: 9_000 })).verdict).toBe('proved');
    expect(seen(next(full, { days: 20 })).verdict).toBe('reopened');
    expect(seen(next(full, { days: 90 })).verdict).toBe('proved');
    expect(seen(next(madeReading('before', { sootG: 4 }), { km: 420 })).verdict).toBe('proved');
    expect(seen({ ...next(full), entries: [] }).verdict).toBe('proved');
  });
});

describe('a reading at one flow only', () => {
  it('is compared where both were read, and nowhere else', () => {
    const hold: ReadingBody = { ...after, samples: [madeSample({ sootG: 3 }, 3000)] };
    const job = derive([before, work('chemical-clean'), hold]);
    expect(job.comparison?.rows.find(({ label }) => label === 'idle')?.afterMbar).toBeUndefined();
    expect(job.comparison?.equalFlow).toBeDefined();
  });
});

describe('wiring of the ΔP sensor that was put right', () => {
  const good = (outcome: string): EntryBody => ({
    kind: 'check',
    check: 'dp-electrical',
    values: {},
    outcome,
  });
  const repaired = (...since: readonly EntryBody[]): EvidenceId[] =>
    derive([
      complaint,
      { ...before, samples: before.samples.map((sample) => ({ ...sample, dpMbar: 0 })) },
      good('supply-bad'),
      { kind: 'cause', cause: 'sensor-wiring', state: 'confirmed', why: 'Pin green' },
      work('cause-repaired'),
      { kind: 'cause', cause: 'sensor-wiring', state: 'put-right', why: 'New pin' },
      ...since,
      after,
      drive,
      scan(),
    ])
      .evidence.filter(({ state }) => state !== 'shown')
      .map(({ id }) => id);

  it('is shown by its volts and a pressure that follows: neither sensor nor hoses were moved', () => {
    expect(repaired(good('volts-good'))).not.toEqual(expect.arrayContaining(['sensor']));
    expect(repaired(good('volts-good'))).not.toEqual(expect.arrayContaining(['response']));
  });

  it('is not without them, nor by volts that are still off', () => {
    expect(repaired()).toEqual(expect.arrayContaining(['sensor']));
    expect(repaired(good('supply-bad'))).toEqual(expect.arrayContaining(['sensor']));
  });

  it('leaves the hoses to be seen that were named whole by outcome or by figures', () => {
    const whole: EntryBody = { kind: 'check', check: 'hoses', values: {}, outcome: 'hoses-good' };
    expect(item([...told, whole], 'hoses')?.state).toBe('shown');
    expect(item([...told, { ...whole, outcome: 'hose-off' }], 'hoses')?.state).toBe('failed');
  });
});
