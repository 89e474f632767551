import { evidenceOfCase, inhibitorsOf } from '../../diagnosis/index.ts';
import { DEFAULT_LIMITS } from '../../limits/index.ts';
import { FILTER_L } from '../example.ts';
import { setChoice, setFigure, type Model } from '../model.ts';

/** Less than an eighth of the tank. */
const FUEL_LOW_PERCENT = 12.5;
const CODES = ['none', 'P0401', 'P0545', 'P0380', 'P2002'] as const;

const moves = [
  { id: 'coolant', from: 40, to: 95, step: 1, start: 60, unit: 'temperature' },
  { id: 'fuel', from: 0, to: 100, step: 5, start: 50, unit: 'percent' },
  { id: 'oil-life', from: 0, to: 100, step: 5, start: 40, unit: 'percent' },
  { id: 'soot', from: 0, to: 12, step: 0.5, start: 4, unit: 'per-litre' },
  { id: 'code', options: CODES, start: 'none' },
] as const;

/** What stands in the way of a regeneration now: by the same rules as on a job. */
export const inhibitors: Model<'free' | 'one' | 'several'> = {
  moves,
  answer(settings) {
    const coolantC = setFigure(moves, settings, 'coolant');
    const fuel = setFigure(moves, settings, 'fuel');
    const oilLife = setFigure(moves, settings, 'oil-life');
    const sootG = setFigure(moves, settings, 'soot') * FILTER_L;
    const code = setChoice(CODES, settings, 'code');
    const { coolantRegenMinC, sootHighGPerL } = DEFAULT_LIMITS;
    const facts = {
      findings: {
        'coolant-below-regen-temperature': coolantC < coolantRegenMinC,
        'fuel-lamp': fuel < FUEL_LOW_PERCENT,
        'oil-counter-zero': oilLife <= 0,
      },
      readings: { sootG },
      ...(code === 'none' ? {} : { codes: [{ code }] }),
    };
    const holds = inhibitorsOf(facts, evidenceOfCase(facts, DEFAULT_LIMITS, { displacementL: 2 }));
    return {
      figures: [
        {
          id: 'coolant-now',
          quantity: 'temperature',
          value: coolantC,
          limit: coolantRegenMinC,
          within: coolantC >= coolantRegenMinC,
        },
        {
          id: 'fuel-now',
          quantity: 'percent',
          value: fuel,
          limit: FUEL_LOW_PERCENT,
          within: fuel >= FUEL_LOW_PERCENT,
        },
        {
          id: 'soot-now',
          quantity: 'soot',
          value: sootG,
          limit: sootHighGPerL * FILTER_L,
          within: sootG <= sootHighGPerL * FILTER_L,
        },
        { id: 'oil-now', quantity: 'percent', value: oilLife, within: oilLife > 0 },
        { id: 'in-the-way', quantity: 'count', value: holds.length },
      ],
      tells: holds.length === 0 ? 'free' : holds.length === 1 ? 'one' : 'several',
      holds,
    };
  },
};
