import { METRIC, type UnitChoice } from '@white-ember/core/words';
import { describe, expect, it } from 'vitest';
import { CHECK_CARDS, cardOf, judgeCheck, type CheckCard } from '@white-ember/core/checks';
import { DEFAULT_LIMITS } from '@white-ember/core/limits';
import { emptyCheck, readTyped, typedFrom } from './typedCheck.ts';

const metric: UnitChoice = METRIC;
const imperial: UnitChoice = { ...METRIC, pressure: 'psi', temperature: 'degF', massFlow: 'kgPerH' };
const card = (id: string): CheckCard => cardOf(id) as CheckCard;

describe('a check as it is typed', () => {
  it('is empty at first, and empty says nothing', () => {
    for (const one of CHECK_CARDS)
      expect(readTyped(one, emptyCheck(one, metric), metric)).toEqual({ values: {}, problems: {} });
  });

  it('is read in the units of the person, with comma or point', () => {
    const pump = card('pipe-pump');
    const typed = { ...emptyCheck(pump, imperial), single: { highStartMbar: '5,8', highLeftMbar: '5.7' } };
    const { values } = readTyped(pump, typed, imperial);
    expect(values['highStartMbar']).toBeCloseTo(399.9, 1);
    expect(judgeCheck('pipe-pump', values, { limits: DEFAULT_LIMITS }).findings['high-holds']).toBe(true);
  });

  it('leaves rows out in which only the first cell stands, and keeps the empty cell of others', () => {
    const ladder = card('dp-ladder');
    const empty = emptyCheck(ladder, metric);
    expect(empty.rows['rungs']?.[2]).toEqual(['200', '', '']);
    const rungs = (empty.rows['rungs'] ?? []).map((row, i) =>
      i < 3 ? [row[0] ?? '', row[0] ?? '', ''] : row,
    );
    expect(readTyped(ladder, { ...empty, rows: { rungs } }, metric).values['rungs']).toEqual([
      [0, 0, null],
      [100, 100, null],
      [200, 200, null],
    ]);
  });

  it('says what is no number, by field', () => {
    const zero = card('dp-zero');
    const typed = { ...emptyCheck(zero, metric), single: { restMbar: '3x', hosesOffMbar: '2' } };
    expect(readTyped(zero, typed, metric)).toEqual({
      values: { hosesOffMbar: 2 },
      problems: { restMbar: 'Enter a number' },
    });
  });

  it('comes back as it was stored, in whatever units', () => {
    const values = {
      kind: 'ntc',
      ambientC: 20,
      readings: [
        [1, 250_000, 96],
        [3, 410, null],
      ],
    };
    for (const shown of [metric, imperial]) {
      const typed = typedFrom(card('egt-resistance'), { values, note: 'warm' }, shown);
      expect(typed.note).toBe('warm');
      const again = readTyped(card('egt-resistance'), typed, shown).values;
      expect(again['kind']).toBe('ntc');
      expect(again['ambientC']).toBeCloseTo(20, 1);
      expect((again['readings'] as number[][])[0]?.[2]).toBeCloseTo(96, 0);
      expect((again['readings'] as (number | null)[][])[1]?.[2]).toBeNull();
    }
  });
});
