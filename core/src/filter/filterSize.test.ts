import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../testing/drills.ts';
import { valueOf } from '../quantities/index.ts';
import {
  boundedBy,
  CLEAN,
  filterAsKnown,
  filterByEngine,
  filterByReadings,
  filterOfFamily,
  filterVolumeL,
  pressureDrop,
  sootFromPressure,
  type FilterGeometry,
  type FilterSize,
} from './index.ts';

const PER_ENGINE = 1.25;
const GAS = { exhaustKgPerS: 0.06, temperatureC: 210 };
const cleanMbar = ({ diameterMm, lengthMm, cpsi, wallMm }: FilterGeometry): number =>
  valueOf(pressureDrop({ diameterMm, lengthMm, cpsi, wallMm }, CLEAN, GAS)).totalMbar;

describe('a filter whose size nobody knows', () => {
  it('is taken at 1.25 times the engine, that of a middle engine with more doubt', () => {
    expect(filterVolumeL(filterByEngine(2, PER_ENGINE))).toBeCloseTo(2.5, 6);
    expect(filterVolumeL(filterByEngine(12.8, PER_ENGINE))).toBeCloseTo(16, 6);
    const unknown = filterByEngine(undefined, PER_ENGINE);
    expect(filterVolumeL(unknown)).toBeCloseTo(2.5, 6);
    expect(unknown.size.cleanSd).toBeGreaterThan(filterByEngine(2, PER_ENGINE).size.cleanSd);
    expect(unknown.size.volumeSd).toBeGreaterThan(filterByEngine(2, PER_ENGINE).size.volumeSd);
  });

  it('is what was entered before what the family has, and that before the class of engine', () => {
    const entered: FilterSize = { diameterMm: 144, lengthMm: 155, cpsi: 200, wallMm: 0.305 };
    const family = filterOfFamily([{ ...entered, lengthMm: 180 }]);
    expect(filterAsKnown(entered, family, 2, PER_ENGINE)).toBe(entered);
    expect(filterAsKnown(undefined, family, 2, PER_ENGINE)).toBe(family);
    expect(filterAsKnown(undefined, undefined, 2, PER_ENGINE).size?.from).toBe('engine');
  });

  it('has more doubt of its soot to both sides, about the same middle', () => {
    const filter = filterByEngine(2, PER_ENGINE);
    const question = { geometry: filter, gas: GAS, dpMbar: 3 * cleanMbar(filter) };
    const sure = valueOf(sootFromPressure(question));
    const unsure = valueOf(sootFromPressure({ ...question, size: filter.size }));
    expect(unsure.sootG).toBeCloseTo(sure.sootG, 9);
    expect(unsure.lowG).toBeLessThan(sure.lowG);
    expect(unsure.highG).toBeGreaterThan(sure.highG);
  });
});

describe('a size that nobody knows, after a clean', () => {
  it('is bounded by what was read before it: no filter holds more than 20 g/L', () => {
    const filter = filterByEngine(2, PER_ENGINE);
    const after = { geometry: filter, gas: GAS, dpMbar: 2 * cleanMbar(filter) };
    const high = (size: FilterSize['size']): number => valueOf(sootFromPressure({ ...after, size })).highG;
    const full = boundedBy(filter, [{ dpMbar: 40 * cleanMbar(filter), gas: GAS }]);
    expect(full.size.mostLess).toBe(1);
    expect(high(full.size)).toBeCloseTo(high(undefined), 9);
    // What was not much fuller than now bounds nothing.
    const little = boundedBy(filter, [{ dpMbar: 3 * cleanMbar(filter), gas: GAS }]);
    expect(high(little.size)).toBeCloseTo(high(filter.size), 9);
  });

  it('that was entered needs no bound', () => {
    const entered: FilterSize = { diameterMm: 144, lengthMm: 155, cpsi: 200, wallMm: 0.305 };
    expect(boundedBy(entered, [{ dpMbar: 900, gas: GAS }])).toBe(entered);
  });
});

describe('the filter of a family', () => {
  it('learned from proved readings comes to show what it shows, and the surer the more vehicles there are', () => {
    const random = seededRandom(5);
    const normal = (): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    const real = { diameterMm: 190, lengthMm: 190, cpsi: 200, wallMm: 0.305 };
    const drops = Array.from({ length: 12 }, () => ({
      dpMbar: 1.4 * cleanMbar(real) * Math.exp(0.25 * normal()),
      gas: GAS,
    }));
    const usual = filterByEngine(2, PER_ENGINE);
    let doubt = usual.size.cleanSd;
    for (const count of [1, 3, 12]) {
      const learned = filterByReadings(2, PER_ENGINE, drops.slice(0, count));
      if (!learned) throw new Error('nothing learned');
      expect(learned.size).toMatchObject({ from: 'readings', vehicles: count });
      expect(learned.size.cleanSd).toBeLessThan(doubt);
      doubt = learned.size.cleanSd;
    }
    const learned = filterByReadings(2, PER_ENGINE, drops) as FilterSize;
    const off = (filter: FilterSize): number => Math.abs(Math.log(cleanMbar(filter) / cleanMbar(real)));
    expect(off(learned)).toBeLessThan(0.2);
    expect(off(learned)).toBeLessThan(off(usual) / 2);
    expect(filterVolumeL(learned)).toBeGreaterThan(filterVolumeL(usual));
  });

  it('never strays beyond what is built, whatever was read, and says nothing without a usable figure', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ dpMbar: fc.double({ min: -50, max: 3000, noNaN: true }), gas: fc.constant(GAS) }),
          {
            maxLength: 20,
          },
        ),
        fc.double({ min: 0.8, max: 16, noNaN: true }),
        (drops, displacementL) => {
          const learned = filterByReadings(displacementL, PER_ENGINE, drops);
          if (drops.every(({ dpMbar }) => dpMbar <= 0.5)) expect(learned).toBeUndefined();
          if (!learned) return;
          const ratio = filterVolumeL(learned) / filterVolumeL(filterByEngine(displacementL, PER_ENGINE));
          expect(ratio).toBeGreaterThan(0.33);
          expect(ratio).toBeLessThan(3.01);
          expect(learned.size.cleanSd).toBeGreaterThanOrEqual(0.15);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('that was measured on others is their middle, with the doubt of how far they differ', () => {
    const can = (lengthMm: number) => ({
      diameterMm: 144,
      lengthMm,
      cpsi: 200,
      wallMm: 0.305,
      material: 'silicon-carbide' as const,
    });
    const one = filterOfFamily([can(155)]);
    expect(one).toMatchObject({ lengthMm: 155, size: { from: 'family', vehicles: 1 } });
    // What the wall is made of was seen on another vehicle: the lower limit holds.
    expect(one).not.toHaveProperty('material');
    const several = filterOfFamily([can(230), can(155), can(160)]);
    expect(several?.lengthMm).toBe(160);
    expect(several?.size.cleanSd).toBeGreaterThan(one?.size.cleanSd ?? 1);
    expect(filterOfFamily([])).toBeUndefined();
  });
});
