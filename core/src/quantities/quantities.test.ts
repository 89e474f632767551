import { describeFailure, inEnglish } from '../words/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  UNITS,
  correlation,
  fromBase,
  gasDensityKgPerM3,
  gasViscosityPaS,
  mean,
  median,
  outOfRange,
  parseUnit,
  quantile,
  standardBarometerMbar,
  standardDeviation,
  studentT90,
  toBase,
  unitLabel,
  type Unit,
} from './index.ts';

const ALL_UNITS = Object.keys(UNITS) as Unit[];

describe('gas properties', () => {
  it('gives the worked values of their docstrings', () => {
    expect(gasViscosityPaS(600)).toBeCloseTo(3.016e-5, 8);
    expect(gasDensityKgPerM3(101_325, 300)).toBeCloseTo(1.1766, 4);
    expect(standardBarometerMbar(1000)).toBeCloseTo(898.7, 1);
  });

  it('agrees with tabulated viscosity of air within 2.5 %', () => {
    // Incropera et al., Fundamentals of Heat and Mass Transfer, table A.4.
    for (const [kelvin, viscosity] of [
      [300, 184.6e-7],
      [500, 270.1e-7],
      [800, 369.8e-7],
      [1000, 424.4e-7],
    ] as const) {
      expect(gasViscosityPaS(kelvin) / viscosity).toBeGreaterThan(0.975);
      expect(gasViscosityPaS(kelvin) / viscosity).toBeLessThan(1.025);
    }
  });

  it('thickens with heat, and the barometer falls with height', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 200, max: 1400, noNaN: true }),
        fc.double({ min: 1, max: 100, noNaN: true }),
        (t, more) => {
          expect(gasViscosityPaS(t + more)).toBeGreaterThan(gasViscosityPaS(t));
          expect(standardBarometerMbar(t + more)).toBeLessThan(standardBarometerMbar(t));
        },
      ),
    );
  });
});

describe('units', () => {
  it('converts the pressures that a technician mixes up', () => {
    expect(toBase(1, 'kPa')).toBe(10);
    expect(toBase(1, 'hPa')).toBe(1);
    expect(fromBase(1, 'psi')).toBeCloseTo(0.0145038, 7);
    expect(fromBase(1, 'inHg')).toBeCloseTo(0.02953, 5);
    expect(toBase(212, 'degF')).toBeCloseTo(100, 10);
    expect(toBase(10, 'kgPerH')).toBeCloseTo(2.7778, 4);
  });

  it.each(ALL_UNITS)('brings any value to base units and back: %s', (unit) => {
    fc.assert(
      fc.property(fc.double({ min: -1e6, max: 1e6, noNaN: true }), (value) => {
        expect(fromBase(toBase(value, unit), unit)).toBeCloseTo(value, 6);
      }),
    );
  });

  const written = ALL_UNITS.filter((unit) => UNITS[unit].spellings.length > 0);
  it.each(written)('reads the label that it writes: %s', (unit) => {
    const read = parseUnit(unitLabel(unit));
    expect(read.ok && toBase(1, read.value)).toBe(toBase(1, unit));
  });

  it('reads units as tools write them and refuses one it does not know', () => {
    expect(parseUnit(' U/min ')).toEqual({ ok: true, value: 'rpm' });
    expect(parseUnit('1/min')).toEqual({ ok: true, value: 'rpm' });
    expect(parseUnit('Lb/Min')).toEqual({ ok: true, value: 'lbPerMin' });
    const unknown = parseUnit('furlong');
    expect(unknown.ok).toBe(false);
    expect(!unknown.ok && inEnglish(describeFailure(unknown.failure))).toMatch(/furlong/);
  });
});

describe('statistics leave missing numbers out', () => {
  it('means, spreads and quantiles', () => {
    expect(mean([1, Number.NaN, 3])).toBe(2);
    expect(mean([])).toBeUndefined();
    expect(median([Number.NaN])).toBeUndefined();
    expect(quantile([1, 2, 3, 4, 5], 0.5)).toBe(3);
    expect(standardDeviation([2, 4, Number.POSITIVE_INFINITY, 6])).toBeCloseTo(2, 10);
    expect(standardDeviation([7])).toBe(0);
  });

  it('correlates only where both are there, and a constant with nothing', () => {
    expect(correlation([1, 2, 3, Number.NaN], [2, 4, 6, 100])).toBeCloseTo(1, 10);
    expect(correlation([1, 2, 3], [5, 5, 5])).toBe(0);
    expect(correlation([1], [1])).toBe(0);
  });

  it('gives Student’s t as printed in tables', () => {
    for (const [degrees, t] of [
      [1, 6.314],
      [2, 2.92],
      [4, 2.132],
      [10, 1.812],
      [30, 1.697],
      [1000, 1.646],
    ] as const) {
      expect(studentT90(degrees)).toBeCloseTo(t, 1);
    }
  });
});

it('names field, range and value of an impossible number', () => {
  const failure = outOfRange('rpm', -5, 0, 8000, 'rpm');
  expect(failure && inEnglish(describeFailure(failure))).toBe(
    'rpm must lie between 0 and 8000 rpm (it is −5)',
  );
  expect(outOfRange('rpm', Number.NaN, 0, 8000, 'rpm')?.code).toBe('not-a-number');
  expect(outOfRange('rpm', 0, 0, 8000, 'rpm')).toBeUndefined();
});
