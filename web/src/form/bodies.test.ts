import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { METRIC, US_CUSTOMARY, type UnitChoice } from '@white-ember/core/words';
import { bodyFrom, retyped, typedFrom } from './bodies.ts';
import { figure, flag, optionalText, unitOf, yesNo, type Fields } from './kinds.ts';

const FIELDS: Fields = {
  distanceKm: figure('km'),
  'before.sootG': figure('g'),
  dpMbar: figure('mbar'),
  coolantC: figure('degC'),
  note: optionalText(),
  full: flag(),
  asked: yesNo(),
};

const units = fc.constantFrom<UnitChoice>(METRIC, US_CUSTOMARY, { ...METRIC, pressure: 'psi', soot: 'oz' });
const body = fc.record({
  distanceKm: fc.double({ min: 0, max: 2_000_000, noNaN: true }),
  before: fc.record({ sootG: fc.double({ min: 0, max: 500, noNaN: true }) }),
  dpMbar: fc.double({ min: -50, max: 2000, noNaN: true }),
  coolantC: fc.double({ min: -40, max: 130, noNaN: true }),
  note: fc.constant('as read'),
  full: fc.boolean(),
  asked: fc.boolean(),
});

describe('a form by its fields', () => {
  it('gives back exactly what it was opened with where nothing was touched, in whatever units', () => {
    fc.assert(
      fc.property(body, units, (original, choice) => {
        expect(bodyFrom(FIELDS, typedFrom(FIELDS, original, choice), choice, original)).toEqual(original);
      }),
    );
  });

  it('takes a figure in the person’s unit, and leaves out what was not typed', () => {
    const typed = { ...typedFrom(FIELDS, undefined, US_CUSTOMARY), distanceKm: '100', dpMbar: '1,5' };
    const read = bodyFrom(FIELDS, typed, US_CUSTOMARY);
    expect(read['distanceKm']).toBeCloseTo(160.9344, 4);
    expect(read['dpMbar']).toBeCloseTo(103.4214, 3);
    expect(read).toEqual({ distanceKm: read['distanceKm'], dpMbar: read['dpMbar'], full: false });
    expect(unitOf(figure('degC'), US_CUSTOMARY)).toBe('°F');
  });

  it('goes on with what stands there when the units are switched while it is typed', () => {
    fc.assert(
      fc.property(body, units, units, (original, from, to) => {
        const typed = typedFrom(FIELDS, original, from);
        const read = bodyFrom(FIELDS, retyped(FIELDS, typed, from, to), to);
        // Five figures are shown; nobody types more.
        expect(Math.abs(Number(read['dpMbar']) - original.dpMbar)).toBeLessThanOrEqual(
          1e-3 * Math.abs(original.dpMbar) + 1e-6,
        );
        expect(read['note']).toBe('as read');
      }),
    );
    const half = { ...typedFrom(FIELDS, undefined, METRIC), dpMbar: 'about 40', distanceKm: '' };
    expect(retyped(FIELDS, half, METRIC, US_CUSTOMARY)).toMatchObject({ dpMbar: 'about 40', distanceKm: '' });
  });
});
