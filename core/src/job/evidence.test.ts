import { describe, expect, it } from 'vitest';
import { type EntryBody, type ReadingBody } from '../ledger/index.ts';
import type { Evidence, EvidenceId } from '../proof/index.ts';
import { madeEntry } from '../testing/madeEntries.ts';
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
