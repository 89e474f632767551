import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PRESSURE_UNITS } from '@white-ember/core/quantities';
import { fixed, shortNumber, typedNumber, withUnit } from './format.ts';

describe('numbers as typed in a van', () => {
  it('takes comma and point, spaces and a true minus', () => {
    expect(typedNumber(' 1 200,5 ')).toBe(1200.5);
    expect(typedNumber('−0.3')).toBe(-0.3);
    expect(typedNumber('.5')).toBe(0.5);
    expect(typedNumber('')).toBeUndefined();
    expect(typedNumber(undefined)).toBeUndefined();
  });
  it('makes no number of what is none', () => {
    for (const text of ['much', '1.2.3', '1,2,3', '12 mbar', '1e5', '--1', '0x10']) {
      expect(typedNumber(text), text).toBeNaN();
    }
  });
  it('reads back whatever a number looks like', () => {
    fc.assert(
      fc.property(fc.double({ min: -1e5, max: 1e5, noNaN: true }), (value) => {
        const text = value.toFixed(3);
        expect(typedNumber(text)).toBe(Number(text));
        expect(typedNumber(text.replace('.', ','))).toBe(Number(text));
      }),
    );
  });
});

describe('numbers as read at a glance', () => {
  it('never shows a minus before nothing, nor a precision that no sensor has', () => {
    expect(shortNumber(-0.01)).toBe('0.0');
    expect(withUnit(-0.02, 'mbar')).toBe('0.0 mbar');
    expect(withUnit(119.4, 'mbar')).toBe('119 mbar');
    expect(withUnit(31, 'bar')).toBe('0.031 bar');
    expect(withUnit(31, 'psi')).toBe('0.45 psi');
    expect(withUnit(249.6, 'degC')).toBe('250 °C');
  });
  it('keeps a pressure to within 1 % or a tenth of a millibar in every unit', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 900, noNaN: true }),
        fc.constantFrom(...PRESSURE_UNITS),
        (mbar, unit) => {
          const shown = Number(withUnit(mbar, unit).split(' ')[0]);
          const inMbar =
            { mbar: 1, hPa: 1, kPa: 10, psi: 68.947573, inHg: 33.86389, bar: 1000 }[unit] * shown;
          expect(Math.abs(inMbar - mbar)).toBeLessThanOrEqual(Math.max(0.06, 0.051 * mbar));
        },
      ),
    );
  });
  it('sets thousands apart', () => {
    expect(fixed(148300)).toBe('148,300');
  });
});
