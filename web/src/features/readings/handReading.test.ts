import { describe, expect, it } from 'vitest';
import {
  EMPTY_HAND,
  emptyRow,
  handReading,
  handValues,
  type HandUnits,
  type HandValues,
} from './handReading.ts';

const METRIC: HandUnits = { pressure: 'mbar', massFlow: 'gPerS', temperature: 'degC', soot: 'g' };
const IMPERIAL: HandUnits = { pressure: 'psi', massFlow: 'kgPerH', temperature: 'degF', soot: 'oz' };

const typed = (rows: Partial<HandValues['rows'][number]>[], more: Partial<HandValues> = {}): HandValues => ({
  ...EMPTY_HAND,
  ...more,
  rows: EMPTY_HAND.rows.map((row, i) => ({ ...row, ...rows[i] })),
});

describe('a hand reading', () => {
  it('leaves out rows without a pressure and puts the rest in base units', () => {
    const made = handReading(
      typed([{ dp: '0' }, {}, {}, { rpm: '3000', dp: '0,58', air: '187', temperature: '410' }], {
        barometer: '14.69',
      }),
      IMPERIAL,
      'before',
    );
    if ('problems' in made) throw new Error(JSON.stringify(made.problems));
    const [zero, hold] = made.body.samples;
    expect(made.body.samples).toHaveLength(2);
    expect(zero).toEqual({ kind: 'key-off', rpm: 0, dpMbar: 0 });
    expect(hold?.dpMbar).toBeCloseTo(39.99, 2);
    expect(hold?.airMassGPerS).toBeCloseTo(51.9, 1);
    expect(hold?.filterC).toBeCloseTo(210, 1);
    expect(made.body.barometerMbar).toBeCloseTo(1012.8, 1);
  });

  it('takes what is read beside ΔP: before the turbo, a pull at full load, the fill level', () => {
    const values: HandValues = {
      ...EMPTY_HAND,
      fill: '138',
      rows: [
        { ...emptyRow('key-off', '0'), back: '1004', manifold: '1001' },
        { ...emptyRow('hold', '2500'), back: '1390', coolant: '88' },
        { ...emptyRow('full-load', '3200'), air: '96', manifold: '2350' },
        emptyRow('hold', '3000'),
      ],
    };
    const made = handReading(values, METRIC, 'before');
    if ('problems' in made) throw new Error(JSON.stringify(made.problems));
    expect(made.body).toMatchObject({
      sootPercent: 138,
      samples: [
        { kind: 'key-off', rpm: 0, backPressureMbar: 1004, manifoldMbar: 1001 },
        { kind: 'hold', rpm: 2500, backPressureMbar: 1390, coolantC: 88 },
        { kind: 'full-load', rpm: 3200, airMassGPerS: 96, manifoldMbar: 2350 },
      ],
    });
    expect(handReading(handValues(made.body, METRIC), METRIC, 'before')).toEqual(made);
  });

  it('says at which row and column something is wrong', () => {
    const made = handReading(
      typed([{}, { rpm: '-3', dp: '4' }, { dp: 'much' }, { dp: '4', air: '99999' }]),
      METRIC,
      'after',
    );
    expect('problems' in made && made.problems).toEqual({
      'rows.1.rpm': 'Engine speed: 0 to 8000 rpm',
      'rows.2.dp': 'ΔP: enter a number',
      'rows.3.air': 'Air mass: 0 to 1500 g/s',
    });
  });

  it('wants at least one pressure, and an engine speed with it', () => {
    const empty = handReading(EMPTY_HAND, METRIC, 'before');
    expect('problems' in empty && Object.values(empty.problems)[0]).toMatch(/at least one row/);
    const speedless = handReading(typed([{}, { dp: '3', rpm: '' }]), METRIC, 'before');
    expect('problems' in speedless && speedless.problems).toHaveProperty(['rows.1.rpm']);
  });

  it.each([METRIC, IMPERIAL])('comes back into the form that made it', (units) => {
    const rows = [
      { dp: '0.1' },
      { rpm: '820', dp: '3' },
      { rpm: '2500', dp: '14' },
      { rpm: '3000', dp: '21.5', air: '52' },
    ];
    const made = handReading(typed(rows, { soot: '12', note: 'warm' }), units, 'before');
    if ('problems' in made) throw new Error(JSON.stringify(made.problems));
    const again = handReading(handValues(made.body, units), units, 'before');
    if ('problems' in again) throw new Error(JSON.stringify(again.problems));
    expect(again.body.samples.map((s) => [s.kind, s.rpm, s.dpMbar?.toFixed(3)])).toEqual(
      made.body.samples.map((s) => [s.kind, s.rpm, s.dpMbar?.toFixed(3)]),
    );
    expect(again.body).toMatchObject({ sootCounterG: units.soot === 'oz' ? 340.194 : 12, note: 'warm' });
  });
});
