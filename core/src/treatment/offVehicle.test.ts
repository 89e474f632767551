import { inEnglish, spoken } from '../words/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { effectiveEntries, type BodyOf, type EntryBody } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { madeEntry, madeId } from '../testing/index.ts';
import { offVehicleWork as offVehicleWorkInCodes, type OffVehicleWork } from './index.ts';

const offVehicleWork = spoken(offVehicleWorkInCodes);

const SOOT = { sootG: 15, lowG: 10, highG: 22 };
const work = (...bodies: EntryBody[]): OffVehicleWork =>
  offVehicleWork({
    entries: effectiveEntries(bodies.map((body, i) => madeEntry(i + 1, body))),
    limits: DEFAULT_LIMITS,
    soot: SOOT,
  });
const off = (what: string, more: Partial<BodyOf<'part-off'>> = {}): EntryBody => ({
  kind: 'part-off',
  what,
  ...more,
});
const back = (n: number, more: Partial<BodyOf<'part-back'>> = {}): EntryBody => ({
  kind: 'part-back',
  off: madeId(n),
  ...more,
});
const weighed = (when: 'before' | 'after', massKg: number, dry = true, more = {}): EntryBody => ({
  kind: 'filter-off',
  when,
  massKg,
  dry,
  ...more,
});
const clean: EntryBody = { kind: 'work', work: 'off-vehicle-clean', what: 'Soaked and rinsed backwards' };

describe('what came off goes on again', () => {
  it('in reverse, whatever came off', () => {
    fc.assert(
      fc.property(
        fc.array(fc.string({ minLength: 1, maxLength: 8 }), { minLength: 1, maxLength: 12 }),
        (whats) => {
          const { parts, refit } = work(...whats.map((what) => off(what)));
          expect(parts.map(({ off: { body } }) => body.what)).toEqual(whats);
          expect(refit.map(({ number }) => number)).toEqual(whats.map((_, i) => whats.length - i));
        },
      ),
    );
  });

  it('is complete only when every part of it is', () => {
    expect(work().complete).toBe(false);
    expect(work(off('Shield'), off('Clamp')).complete).toBe(false);
    expect(work(off('Shield'), off('Clamp'), back(2)).refit.map(({ number }) => number)).toEqual([1]);
    expect(work(off('Shield'), off('Clamp'), back(2), back(1)).complete).toBe(true);
  });

  it('asks for new single-use parts, plugs and the torque', () => {
    const front = off('Front pipe', {
      singleUse: [{ what: 'seal', count: 2, number: 'QF-118' }],
      connectors: ['EGT 3'],
      torqueNm: 45,
    });
    expect(work(front).toBuy).toEqual([
      { what: 'seal', name: 'seal for Front pipe', count: 2, number: 'QF-118' },
    ]);
    expect(work(front, back(1)).refit[0]?.missing).toEqual([
      'single-use parts not renewed',
      'not plugged in: EGT 3',
      'torque of 45 N·m not given',
    ]);
    const done = work(front, back(1, { renewed: true, plugged: true, torqueNm: 45 }));
    expect(done).toMatchObject({ complete: true, toBuy: [] });
  });

  it('wants every safety-critical fastener signed for by itself', () => {
    const mount = off('Engine mount', { safetyCritical: true, fasteners: { count: 3 }, torqueNm: 90 });
    const sign = (number: number): EntryBody => ({
      kind: 'fastener-signed',
      off: madeId(1),
      number,
      torqueNm: 90,
    });
    expect(work(mount, back(1, { torqueNm: 90 })).refit[0]?.missing).toEqual([
      'torque not signed off: fastener 1, 2, 3 of 3',
    ]);
    expect(work(mount, back(1), sign(1), sign(3)).refit[0]?.missing).toEqual([
      'torque not signed off: fastener 2 of 3',
    ]);
    expect(work(mount, back(1), sign(1), sign(2), sign(3)).complete).toBe(true);
  });

  it('keeps a part together with its correction', () => {
    const entries = effectiveEntries([
      madeEntry(1, off('Shild')),
      madeEntry(2, off('Shield'), 2, 1),
      madeEntry(3, back(1)),
    ]);
    expect(offVehicleWork({ entries, limits: DEFAULT_LIMITS })).toMatchObject({ complete: true });
  });
});

describe('the filter on the scales', () => {
  it('ash by mass: what is gone less the soot that was in it, with both ends', () => {
    const { weighed: scale } = work(weighed('before', 9.42), clean, weighed('after', 9.3));
    expect(scale.removedG).toBeCloseTo(120, 6);
    expect(scale.ashG?.g).toBeCloseTo(105, 6);
    expect(scale.ashG?.lowG).toBeCloseTo(93, 6);
    expect(scale.ashG?.highG).toBeCloseTo(115, 6);
    expect(inEnglish(scale.sentences).join(' ')).toMatch(/took out 120 g.*105 g \(93–115 g\) is not soot/);
  });
  it('what is left against a new one', () => {
    const { weighed: scale } = work(
      weighed('before', 9.42),
      clean,
      weighed('after', 9.3, true, { newMassKg: 9.26 }),
    );
    expect(scale.leftG).toBeCloseTo(40, 6);
  });
  it('wet it says nothing, and heavier it is not dry', () => {
    const wet = work(weighed('before', 9.4), clean, weighed('after', 9.9, false)).weighed;
    expect(wet.removedG).toBeUndefined();
    expect(wet.sentences).toEqual([expect.stringMatching(/After the clean it was weighed wet/)]);
    const heavier = work(weighed('before', 9.4), clean, weighed('after', 9.6)).weighed;
    expect(heavier.ashG).toBeUndefined();
    expect(heavier.sentences[0]).toMatch(/200 g more than before: not dry/);
  });
  it('never takes more ash out than was weighed, nor less than none', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 30, noNaN: true }),
        fc.double({ min: 0, max: 0.6, noNaN: true }),
        (kg, gone) => {
          const { ashG, removedG = 0 } = work(weighed('before', kg), weighed('after', kg - gone)).weighed;
          expect(ashG?.g ?? 0).toBeGreaterThanOrEqual(0);
          expect(ashG?.g ?? 0).toBeLessThanOrEqual(Math.max(0, removedG) + 1e-6);
          expect(ashG?.lowG ?? 0).toBeLessThanOrEqual(ashG?.g ?? 0);
        },
      ),
    );
  });
});

describe('what holds the refit off', () => {
  it('a filter that was not looked at, or is wet, cracked or melted', () => {
    expect(work(off('Filter'), clean).held[0]).toMatch(/not been weighed and inspected/);
    expect(work(off('Filter'), clean, weighed('after', 9, false)).held[0]).toMatch(/not dry/);
    const cracked: EntryBody = { kind: 'filter-off', when: 'after', outlet: 'cracked' };
    expect(work(off('Filter'), clean, cracked).held).toEqual([
      'The filter is cracked: replace it, do not refit it.',
    ]);
    expect(work(off('Filter'), clean, weighed('after', 9)).held).toEqual([]);
  });
  it('a part that broke, until it is settled; it is on the list of parts with its order', () => {
    const snapped: EntryBody = {
      kind: 'part-broke',
      broke: 'snapped-sensor',
      what: 'EGT 3',
      part: 'egt3',
      order: { name: 'EGT sensor, long cable', supplier: 'Fenwick Spares', due: '2026-12-01' },
    };
    const before = work(snapped);
    expect(before.held).toEqual(['EGT 3 broke and is not repaired.']);
    expect(before.toBuy).toMatchObject([
      { what: 'broken', name: 'EGT sensor, long cable', onOrder: 'Fenwick Spares, due 1 Dec 2026' },
    ]);
    const after = work(snapped, { kind: 'settled', entry: madeId(1), how: 'New boss and sensor' });
    expect(after).toMatchObject({ held: [], toBuy: [], broken: [] });
  });
});
