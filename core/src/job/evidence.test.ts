import { type Spoken, spoken } from '../words/index.ts';
import { describe, expect, it } from 'vitest';
import { steadySamplesOf, type BodyOf, type EntryBody, type ReadingBody } from '../ledger/index.ts';
import { DEFAULT_LIMITS, type Limits } from '../limits/index.ts';
import type { Evidence, EvidenceId } from '../proof/index.ts';
import { madeEntry, PROVEN_PATH } from '../testing/madeEntries.ts';
import { DISPLACEMENT_L, FILTER, madeReading, madeSample } from '../testing/madeReadings.ts';
import { deriveJob as deriveJobInCodes, summariseJob, type DerivedJob, type NextJob } from './index.ts';

const deriveJob = spoken(deriveJobInCodes);

const facts = {
  limits: DEFAULT_LIMITS,
  displacementL: DISPLACEMENT_L,
  geometry: FILTER,
  fitted: ['dp-sensor', 'egt3'] as const,
};
const derive = (bodies: readonly EntryBody[], limits: Limits = DEFAULT_LIMITS): Spoken<DerivedJob> =>
  deriveJob({ ...facts, limits, entries: bodies.map((body, i) => madeEntry(i + 1, body)) });
const item = (bodies: readonly EntryBody[], id: EvidenceId): Evidence | undefined =>
  derive(bodies).evidence.find((one) => one.id === id);

const [swap, hoses] = PROVEN_PATH;
const complaint: EntryBody = { kind: 'complaint', text: 'Lamp', distanceKm: 120_000 };
const before = madeReading('before', { sootG: 35 });
const after = madeReading('after', { sootG: 3 });
const work = (kind: BodyOf<'work'>['work'], more: Partial<BodyOf<'work'>> = {}): EntryBody => ({
  kind: 'work',
  work: kind,
  what: 'x',
  ...more,
});
const drive: BodyOf<'drive'> = {
  kind: 'drive',
  distanceKm: 12,
  powerLimitGone: true,
  reportedBy: 'technician',
};
const scan = (...list: string[]): BodyOf<'code-scan'> => ({
  kind: 'code-scan',
  when: 'after-drive',
  codes: list.map((code) => ({ code })),
});
const told = [complaint, before, work('chemical-clean'), after];

describe('what a proof needs', () => {
  const ids = (...bodies: EntryBody[]): EvidenceId[] => derive(bodies).evidence.map(({ id }) => id);
  const counted: ReadingBody = { ...before, sootCounterG: 36 };

  it.each([
    ['chemical-clean', ['egt', 'soot']],
    ['standing-regeneration', ['egt', 'soot']],
    ['off-vehicle-clean', ['egt', 'soot']],
    ['filter-exchanged', ['egt', 'soot']],
    ['cause-repaired', []],
  ] as const)('after %s: temperature and soot where they tell something', (kind, also) => {
    const needed = ids(counted, work(kind));
    expect(needed).toEqual(
      expect.arrayContaining([
        'before',
        'after',
        'equal-flow',
        'sensor',
        'hoses',
        'response',
        'drive',
        'no-codes',
      ]),
    );
    for (const id of ['egt', 'soot'] as const)
      expect(needed.includes(id), id).toBe((also as readonly string[]).includes(id));
  });

  it('asks for the soot counter only where one is known, and for no temperature that is not fitted', () => {
    expect(ids(before, work('chemical-clean'))).not.toContain('soot');
    const bare = deriveJob({
      ...facts,
      fitted: ['dp-sensor'],
      entries: [madeEntry(1, work('chemical-clean'))],
    });
    expect(bare.evidence.map(({ id }) => id)).not.toContain('egt');
  });

  it('names what would show each piece that is open', () => {
    for (const { state, ask, id } of derive([complaint, work('chemical-clean')]).evidence)
      if (state === 'open' && id !== 'equal-flow') expect(ask?.length, id).toBeGreaterThan(10);
  });
});

describe('the way of the pressure', () => {
  it('is not proven by a part’s word alone, which lowers the confidence, and fails by a sensor of another range', () => {
    const said: EntryBody = { kind: 'part-state', part: 'dp-sensor', state: 'sound', why: 'looks new' };
    expect(item(told, 'sensor')).toMatchObject({
      state: 'open',
      ask: expect.stringMatching(/Pump test/) as string,
    });
    expect(item([...told, said], 'sensor')).toMatchObject({ state: 'shown' });
    expect(item([...told, said], 'sensor')?.weak).toMatch(/not compared/);
    expect(item([...told, swap], 'sensor')?.weak).toBeUndefined();
    const wrong: EntryBody = {
      kind: 'part-changed',
      where: 'here',
      what: 'Sensor',
      part: 'dp-sensor',
      condition: 'pattern',
      effect: 'unknown',
      fits: 'incompatible',
    };
    expect(item([...told, wrong], 'sensor')?.state).toBe('failed');
  });

  it('asks for a look at the hoses after they were off, whatever was seen before', () => {
    expect(item([before, hoses, work('chemical-clean'), after], 'hoses')?.state).toBe('open');
    expect(item([before, hoses, work('chemical-clean', { by: 'sensor-port' }), after], 'hoses')?.state).toBe(
      'shown',
    );
    expect(item([...told, hoses], 'hoses')?.state).toBe('shown');
  });

  it('does not believe what was read with a hose off: it is read again', () => {
    const loose: EntryBody = { kind: 'check', check: 'hoses', values: { order: 'high', state: 'off' } };
    const job = [...told, swap, loose];
    expect(item(job, 'hoses')).toMatchObject({
      state: 'failed',
      text: expect.stringMatching(/off/) as string,
    });
    expect(item([...job, hoses], 'after')?.state).toBe('failed');
    expect(item([...job, hoses, after], 'after')?.state).toBe('shown');
    // Wrong before anything was done to the filter: it was wrong in the before reading, too.
    const early = derive([complaint, before, loose, work('chemical-clean'), after, hoses]);
    expect(early.proof?.missing.join()).toMatch(/hoses were repaired/);
  });

  it.each([
    [{ correlation: 0.95, lagS: 0.4, resolutionS: 0.2 }, 'shown', undefined],
    [{ correlation: 0.95 }, 'shown', /no quick change/],
    [{ correlation: 0.4, lagS: 0.4 }, 'failed', undefined],
  ] as const)('follows the flow in a log as far as the log shows it: %o', (follows, state, weak) => {
    const logged: ReadingBody = {
      ...after,
      origin: {
        type: 'log',
        logId: '0197a000-0000-7000-8000-00000000000a',
        fileName: 'a',
        mapping: {},
        findings: [],
        follows,
      },
    };
    const shown = item([before, work('chemical-clean'), logged], 'response');
    expect(shown?.state).toBe(state);
    if (weak) expect(shown?.weak).toMatch(weak);
    else expect(shown?.weak).toBeUndefined();
  });

  it('fails by hand where nothing rises with the flow', () => {
    const flat: ReadingBody = {
      ...after,
      samples: after.samples.map((sample) => (sample.kind === 'key-off' ? sample : { ...sample, dpMbar: 4 })),
    };
    expect(item(told, 'response')).toMatchObject({ state: 'shown', weak: expect.any(String) as string });
    expect(item([before, work('chemical-clean'), flat], 'response')?.state).toBe('failed');
  });
});

describe('evidence of the road', () => {
  const counted = (grams: number, reading: ReadingBody): ReadingBody => ({ ...reading, sootCounterG: grams });
  const soot = (start: number | undefined, end: number, ...more: EntryBody[]): Evidence | undefined =>
    item(
      [
        complaint,
        counted(36, before),
        work('chemical-clean'),
        ...more,
        { ...drive, ...(start === undefined ? {} : { sootStartG: start }), sootEndG: end },
      ],
      'soot',
    );
  const reset = (grams: number): EntryBody => ({
    kind: 'reset',
    reset: 'reset-soot',
    source: 'hand',
    before: { sootG: 36 },
    after: { sootG: grams },
  });

  it('a drive that is too short shows nothing', () => {
    expect(item([...told, { ...drive, distanceKm: 2 }], 'drive')).toMatchObject({
      state: 'open',
      text: expect.stringMatching(/2 km is too short .*at least 5 km/) as string,
    });
  });

  it('the soot counter has to fall or to stay low; one that knows nothing of the clean says nothing', () => {
    expect(soot(30, 22)).toMatchObject({ state: 'shown', text: expect.stringMatching(/fell/) as string });
    expect(soot(36, 36)).toMatchObject({
      state: 'open',
      text: expect.stringMatching(/was not reset/) as string,
    });
    expect(soot(undefined, 2, reset(0))?.state).toBe('shown');
    expect(soot(undefined, 14, reset(0))).toMatchObject({
      state: 'failed',
      text: expect.stringMatching(/again/) as string,
    });
    // A counter that begins at a figure of its own after a reset.
    expect(soot(undefined, 4.2, reset(4))?.text).toMatch(/4.0 g is the reset value/);
  });

  it('the exhaust gets hot in a hold or on the road', () => {
    const cool: ReadingBody = {
      ...after,
      samples: after.samples.map(({ filterC: _, ...sample }) => ({ ...sample, egt3C: 140 })),
    };
    const cleaned = [complaint, before, work('chemical-clean'), cool];
    expect(item(cleaned, 'egt')).toMatchObject({
      state: 'open',
      text: expect.stringMatching(/140 °C, at least 200/) as string,
    });
    expect(item([...cleaned, { ...drive, egtPeakC: 180 }], 'egt')?.state).toBe('failed');
    expect(item([...cleaned, { ...drive, egtPeakC: 390 }], 'egt')?.state).toBe('shown');
  });

  it('codes that have nothing to do with the filter are named and do not count; a customer’s word is marked', () => {
    expect(item([...told, drive, scan('C1201')], 'no-codes')?.state).not.toBe('open');
    expect(item([...told, drive, scan('P2463')], 'no-codes')?.state).toBe('failed');
    const byCustomer = item([...told, drive, { ...scan(), reportedBy: 'customer' }], 'no-codes');
    expect(byCustomer).toMatchObject({
      state: 'shown',
      text: expect.stringMatching(/reported by the customer/) as string,
    });
    expect(byCustomer?.weak).toMatch(/customer/);
    // Recorded alone, without a drive of our own: it stands where it is, and the drive stays open.
    expect(item([...told, scan()], 'no-codes')?.state).toBe('shown');
    expect(item([...told, scan()], 'drive')?.state).toBe('open');
  });
});

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
