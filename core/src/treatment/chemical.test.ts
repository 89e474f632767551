import { spoken } from '../words/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { EntryBody } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { valueOf } from '../quantities/index.ts';
import { DISPLACEMENT_L, FILTER, madeEntry, madeReading } from '../testing/index.ts';
import {
  adviseFlush as adviseFlushInCodes,
  chemicalPlan as chemicalPlanInCodes,
  flushReadings,
  warmUpOf as warmUpOfInCodes,
  type ChemicalQuestion,
  type FlushReading,
  type FluidSheet,
  type WarmUpPoint,
} from './index.ts';

const adviseFlush = spoken(adviseFlushInCodes);
const chemicalPlan = spoken(chemicalPlanInCodes);
const warmUpOf = spoken(warmUpOfInCodes);

const SHEET: FluidSheet = {
  name: 'Fenwash D',
  kind: 'soak',
  waterParts: 1,
  filterUpToC: 45,
  coatedFilters: true,
  laterBricks: true,
  dwellMin: 30,
  burstS: 5,
  lineUpToBar: 9,
};
const QUESTION: ChemicalQuestion = {
  sheet: SHEET,
  filter: { ...FILTER, material: 'silicon-carbide' },
  entry: 'high-pipe',
  limits: DEFAULT_LIMITS,
  laterBrick: false,
};
const plan = (change: Partial<ChemicalQuestion> = {}) => valueOf(chemicalPlan({ ...QUESTION, ...change }));

describe('the fluid plan', () => {
  it('mixes concentrate and water as the sheet says, in bursts of its length', () => {
    const { fillL, concentrateL, waterL, bursts, burstS, dwellMin } = plan();
    expect(fillL).toBeGreaterThanOrEqual(1);
    expect(concentrateL).toBeCloseTo(waterL, 9);
    expect(concentrateL + waterL).toBeCloseTo(fillL, 9);
    // A litre at 20 mL/s in bursts of 5 s.
    expect(bursts).toBe(Math.ceil(fillL / 0.1));
    expect({ burstS, dwellMin }).toEqual({ burstS: 5, dwellMin: 30 });
    expect(plan({ sheet: { ...SHEET, waterParts: 0 } }).waterL).toBe(0);
  });

  it('takes more for a larger filter, more fills for more soot', () => {
    const tractor = { ...FILTER, diameterMm: 305, lengthMm: 305, material: 'cordierite' } as const;
    expect(plan({ filter: tractor }).fillL).toBeGreaterThan(5);
    expect([4, 10, 18].map((sootGPerL) => plan({ sootGPerL }).fills)).toEqual([1, 2, 3]);
  });

  it('says by how much a burst cools a warm filter, and nothing on a cold one', () => {
    const warm = { ...SHEET, filterUpToC: 150 };
    const drop = plan({ sheet: warm, filterC: 120 }).dropPerBurstC ?? 0;
    expect(drop).toBeGreaterThan(5);
    expect(drop).toBeLessThan(60);
    expect(plan({ sheet: warm, filterC: 60 }).dropPerBurstC).toBeLessThan(drop);
    expect(plan({ filterC: 30 })).not.toHaveProperty('dropPerBurstC');
  });

  it.each([
    ['a hot filter', { filterC: 90 }, /90 °C.*up to 45 °C/],
    // The sheet is stricter than what a hand can touch: it wins.
    ['a warm one', { sheet: { ...SHEET, filterUpToC: 30 }, filterC: 38 }, /38 °C.*up to 30 °C/],
    ['a sheet that does not allow coated filters', { sheet: { ...SHEET, coatedFilters: false } }, /coated/],
    ['a brick behind', { sheet: { ...SHEET, laterBricks: false }, laterBrick: true }, /bricks after/],
    ['too little stock', { stockL: 0.2 }, /0\.20 L are left/],
    ['too much pressure', { lineBar: 12 }, /12 bar.*up to 9 bar/],
  ] as const)('is held by %s, with the figures', (_, change, words) => {
    const { held } = plan(change);
    expect(held).toHaveLength(1);
    expect(held[0]).toMatch(words);
  });

  it('each way in has its own rules', () => {
    expect(plan({ entry: 'before-turbine' }).minds.join(' ')).toMatch(/nothing may collect/);
    expect(plan({ entry: 'sensor-port' }).minds.join(' ')).toMatch(/snap/);
    expect(plan().held).toEqual([]);
  });
});

const read = (ratio: number, doubt = 0.05): FlushReading => ({
  ratio,
  lowRatio: ratio * (1 - doubt),
  highRatio: ratio * (1 + doubt),
});

describe('whether another flush is worth it', () => {
  const ask = (...ratios: number[]) =>
    adviseFlush(
      ratios.map((ratio) => read(ratio)),
      DEFAULT_LIMITS,
    );

  it('yes before the first and while each gives enough, no when it is good or gives little', () => {
    expect(ask().another).toBe('cannot-tell');
    expect(ask(11).another).toBe('yes');
    expect(ask(11, 6)).toMatchObject({ another: 'yes' });
    expect(ask(11, 6).reason).toMatch(/about 21 %.*from 8 %/);
    expect(ask(11, 2).another).toBe('no');
    expect(ask(11, 2).reason).toMatch(/2\.0 × clean, good up to 2\.5/);
    expect(ask(11, 6, 5, 4.5).another).toBe('no');
    expect(ask(11, 6, 5, 4.5).reason).toMatch(/Consider off-vehicle/);
  });

  it('cannot tell where the fall is within the doubt of the readings', () => {
    const vague = adviseFlush([read(6, 0.2), read(5.6, 0.2)], DEFAULT_LIMITS);
    expect(vague.another).toBe('cannot-tell');
    expect(vague.steps[1]).toMatchObject({ told: false });
  });

  it('goes on where it reads good but may hold more soot than codes may be cleared on', () => {
    const readings = [read(11), read(2)];
    const left = (gPerL: number) => adviseFlush(readings, DEFAULT_LIMITS, { gPerL, limitGPerL: 5 });
    expect(left(4.9).another).toBe('no');
    expect(left(5.7).another).toBe('yes');
    expect(left(5.7).reason).toMatch(/limits, but up to 5\.7 g\/L.*; 5 g\/L allowed/);
    const hot = (peakC: number) =>
      adviseFlush(readings, DEFAULT_LIMITS, { gPerL: 4.9, limitGPerL: 5, drop: { peakC, limitC: 950 } });
    expect(hot(940).another).toBe('no');
    expect(hot(990)).toMatchObject({ another: 'yes' });
    expect(hot(990).reason).toMatch(/a drop to idle would bring that to 990 °C, limit 950 °C/);
  });

  it('expects no more than there is, and less of each next one on a geometric curve', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 4, max: 20, noNaN: true }),
        fc.double({ min: 0.1, max: 0.8, noNaN: true }),
        fc.double({ min: 0.3, max: 0.95, noNaN: true }),
        (start, share, keeps) => {
          const ratios = [start];
          for (let i = 0, s = share; i < 3; i++, s *= keeps)
            ratios.push((ratios.at(-1) as number) - s * ((ratios.at(-1) as number) - 1));
          const advice = adviseFlush(
            ratios.map((ratio) => read(ratio, 0.001)),
            DEFAULT_LIMITS,
          );
          const last = ratios.at(-1) as number;
          if (advice.nextPercent === undefined) return;
          const truth = (100 * share * keeps ** 3 * (last - 1)) / last;
          expect(advice.nextPercent).toBeCloseTo(truth, 4);
          expect(advice.nextPercent).toBeLessThan(100);
        },
      ),
    );
  });
});

describe('the warm-up after a wet clean', () => {
  /** Rises for a minute, falls over four, stands from then on; a foot that wanders. */
  const course = (toS: number, stepS = 3): WarmUpPoint[] =>
    Array.from({ length: Math.floor(toS / stepS) }, (_, i) => {
      const atS = i * stepS;
      const true_ = atS < 60 ? 4 + atS / 30 : 2 + 4 * Math.exp(-(atS - 60) / 70);
      return { atS, ratio: true_ * (1 + 0.03 * Math.sin(i * 2.4)), coolantC: 84 };
    });
  const at = (toS: number) => warmUpOf(course(toS), DEFAULT_LIMITS);

  it('first too short, then wet, then drying, then at its plateau', () => {
    expect(at(20).phase).toBe('too-short');
    expect(at(58).phase).toBe('wet-rise');
    expect(at(160).phase).toBe('drying');
    expect(at(160).text).toMatch(/Falling by \d+ % a minute/);
    const plateau = at(600);
    expect(plateau.phase).toBe('plateau');
    expect(plateau.nowRatio).toBeCloseTo(2, 0);
    expect(plateau.peakRatio).toBeGreaterThan(5);
  });

  it('is not over while the engine is cool, and not shaken by a snap', () => {
    const cool = course(600).map((point) => ({ ...point, coolantC: 60 }));
    expect(warmUpOf(cool, DEFAULT_LIMITS)).toMatchObject({ phase: 'drying' });
    const snapped = course(600).map((point, i) => (i % 17 === 0 ? { ...point, ratio: 9 } : point));
    expect(warmUpOf(snapped, DEFAULT_LIMITS).phase).toBe('plateau');
  });

  it('is not over while the gas behind the filter is no hotter than boiling water', () => {
    const wet = course(600).map((point) => ({ ...point, afterFilterC: 96 }));
    expect(warmUpOf(wet, DEFAULT_LIMITS)).toMatchObject({ phase: 'drying' });
    expect(warmUpOf(wet, DEFAULT_LIMITS).text).toMatch(/at 96 °C: under 110 °C/);
    const dry = wet.map((point) => ({ ...point, afterFilterC: 140 }));
    expect(warmUpOf(dry, DEFAULT_LIMITS).phase).toBe('plateau');
  });

  it('does not depend on how often it is read, nor on the order', () => {
    for (const stepS of [1, 3, 8]) expect(warmUpOf(course(600, stepS), DEFAULT_LIMITS).phase).toBe('plateau');
    expect(warmUpOf(course(600).reverse(), DEFAULT_LIMITS).phase).toBe('plateau');
  });
});

describe('the readings of a job along its flushes', () => {
  const fill: EntryBody = { kind: 'work', work: 'chemical-clean', what: 'A fill' };
  const context = { limits: DEFAULT_LIMITS, displacementL: DISPLACEMENT_L };
  const along = (...bodies: EntryBody[]) =>
    flushReadings(
      bodies.map((body, i) => madeEntry(i + 1, body)),
      { ...FILTER, material: 'silicon-carbide' },
      context,
    );

  it('are the last before the first fill and the last after each, as ratios at whatever flow', () => {
    const between = (sootG: number) => ({ ...madeReading('after', { sootG }), purpose: 'between' as const });
    const steps = along(
      madeReading('before', { sootG: 30 }),
      madeReading('before', { sootG: 32 }),
      fill,
      between(16),
      fill,
      between(9),
      madeReading('after', { sootG: 8 }),
    );
    expect(steps.map(({ fills }) => fills)).toEqual([0, 1, 2]);
    const [first, second, third] = steps.map(({ ratio }) => ratio);
    expect(first).toBeGreaterThan(second as number);
    expect(second).toBeGreaterThan(third as number);
    for (const { lowRatio, ratio, highRatio } of steps) {
      expect(lowRatio).toBeLessThan(ratio);
      expect(highRatio).toBeGreaterThan(ratio);
    }
    expect(adviseFlush(steps, DEFAULT_LIMITS).steps).toHaveLength(3);
  });

  it('leave out what has no hold', () => {
    const reading = madeReading('before', { sootG: 30 });
    expect(along({ ...reading, samples: reading.samples.filter(({ kind }) => kind === 'idle') })).toEqual([]);
  });
});
