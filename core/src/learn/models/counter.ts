import { restrictionRatio } from '../../filter/index.ts';
import { DEFAULT_LIMITS } from '../../limits/index.ts';
import { valueOf } from '../../quantities/index.ts';
import { dropAt, FILTER, FILTER_L, gasAt } from '../example.ts';
import { setChoice, setFigure, type Model } from '../model.ts';

const HELD_RPM = 3000;
/** What the ECU adds to its counter, g/100 km: of an engine in order. */
const COUNTS_G_PER_100_KM = 1.5;
const WORK = ['reset-only', 'cleaned-and-reset', 'cleaned-only', 'nothing'] as const;
/** Left in a filter after a good clean, g/L. */
const LEFT_G_PER_L = 0.5;

const moves = [
  { id: 'soot', from: 0, to: 10, step: 0.5, start: 8, unit: 'per-litre' },
  { id: 'work', options: WORK, start: 'reset-only' },
  { id: 'since', from: 0, to: 400, step: 20, start: 0, unit: 'distance' },
] as const;

/** Two numbers that need not agree: what the ECU counts and what the filter holds. */
export const counter: Model<(typeof WORK)[number]> = {
  moves,
  answer(settings) {
    const work = setChoice(WORK, settings, 'work');
    const began = setFigure(moves, settings, 'soot') * FILTER_L;
    const added = (COUNTS_G_PER_100_KM * setFigure(moves, settings, 'since')) / 100;
    const cleaned = work === 'cleaned-only' || work === 'cleaned-and-reset';
    const reset = work === 'reset-only' || work === 'cleaned-and-reset';
    const holdsG = Math.min(
      10 * FILTER_L,
      (cleaned ? Math.min(began, LEFT_G_PER_L * FILTER_L) : began) + added,
    );
    const countsG = (reset ? 0 : began) + added;
    const { mbar } = dropAt(HELD_RPM, { sootG: holdsG, ashG: 0 });
    const times = valueOf(restrictionRatio(FILTER, gasAt(HELD_RPM), mbar)).ratio;
    const limit = DEFAULT_LIMITS.restrictionGoodRatio;
    return {
      figures: [
        { id: 'counts', quantity: 'soot', value: countsG },
        { id: 'holds', quantity: 'soot', value: holdsG },
        { id: 'drop-now', quantity: 'pressure', value: mbar },
        { id: 'clean-now', quantity: 'times-clean', value: times, limit, within: times <= limit },
      ],
      picture: {
        kind: 'bars',
        quantity: 'soot',
        bars: [
          { id: 'counts', value: countsG },
          { id: 'holds', value: holdsG },
        ],
        limit: DEFAULT_LIMITS.burnLimitOtherGPerL * FILTER_L,
      },
      tells: work,
    };
  },
};
