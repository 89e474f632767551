import { filterVolumeL, restrictionRatio, sootFromPressure } from '../../filter/index.ts';
import { DEFAULT_LIMITS } from '../../limits/index.ts';
import { valueOf } from '../../quantities/index.ts';
import { filterOf, gasAt } from '../example.ts';
import { setFigure, type Model } from '../model.ts';

/** A small one close to the turbo and a large one under the floor, for one engine. */
const SMALL = filterOf(1.3);
const LARGE = filterOf(3.6);

const moves = [
  { id: 'drop', from: 2, to: 160, step: 2, start: 20, unit: 'pressure' },
  { id: 'rpm', from: 800, to: 4000, step: 100, start: 3000, unit: 'rpm' },
] as const;

/** One reading on two filters: the same mbar are little on one and much on the other. */
export const restriction: Model<'both-fine' | 'only-the-large' | 'both-blocked'> = {
  moves,
  answer(settings) {
    const [dpMbar, rpm] = [setFigure(moves, settings, 'drop'), setFigure(moves, settings, 'rpm')];
    const gas = gasAt(rpm);
    const of = (geometry: typeof SMALL) => ({
      ...valueOf(restrictionRatio(geometry, gas, dpMbar)),
      perLitre: valueOf(sootFromPressure({ geometry, gas, dpMbar })).sootG / filterVolumeL(geometry),
    });
    const [small, large] = [of(SMALL), of(LARGE)];
    const limit = DEFAULT_LIMITS.restrictionGoodRatio;
    return {
      figures: [
        { id: 'small-clean', quantity: 'pressure', value: small.cleanMbar },
        {
          id: 'small-times',
          quantity: 'times-clean',
          value: small.ratio,
          limit,
          within: small.ratio <= limit,
        },
        { id: 'small-soot', quantity: 'per-litre', value: small.perLitre },
        { id: 'large-clean', quantity: 'pressure', value: large.cleanMbar },
        {
          id: 'large-times',
          quantity: 'times-clean',
          value: large.ratio,
          limit,
          within: large.ratio <= limit,
        },
        { id: 'large-soot', quantity: 'per-litre', value: large.perLitre },
      ],
      picture: {
        kind: 'bars',
        quantity: 'times-clean',
        bars: [
          { id: 'small', value: small.ratio },
          { id: 'large', value: large.ratio },
        ],
        limit,
      },
      tells: small.ratio > limit ? 'both-blocked' : large.ratio > limit ? 'only-the-large' : 'both-fine',
    };
  },
};
