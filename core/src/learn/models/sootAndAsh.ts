import { pressureDrop, restrictionRatio } from '../../filter/index.ts';
import { DEFAULT_LIMITS } from '../../limits/index.ts';
import { valueOf } from '../../quantities/index.ts';
import { FILTER, FILTER_L, gasAt } from '../example.ts';
import { setFigure, type Model } from '../model.ts';

const HELD_RPM = 3000;
/** Ash of the end of a filter's service between cleans off the vehicle, g/L. */
const FULL_OF_ASH = 30;

const moves = [
  { id: 'soot', from: 0, to: 10, step: 0.5, start: 4, unit: 'per-litre' },
  { id: 'ash', from: 0, to: 60, step: 2, start: 10, unit: 'per-litre' },
] as const;

/** What burns and what stays: the pressure drop by its parts, and what a regeneration leaves. */
export const sootAndAsh: Model<'little' | 'burns-away' | 'too-much-to-burn' | 'ash-stays'> = {
  moves,
  answer(settings) {
    const [soot, ash] = [setFigure(moves, settings, 'soot'), setFigure(moves, settings, 'ash')];
    const gas = gasAt(HELD_RPM);
    const now = valueOf(pressureDrop(FILTER, { sootG: soot * FILTER_L, ashG: ash * FILTER_L }, gas));
    const burnt = valueOf(pressureDrop(FILTER, { sootG: 0, ashG: ash * FILTER_L }, gas));
    const ratio = (mbar: number): number => valueOf(restrictionRatio(FILTER, gas, mbar)).ratio;
    const { burnLimitOtherGPerL: burnLimit, restrictionGoodRatio } = DEFAULT_LIMITS;
    return {
      figures: [
        { id: 'drop-now', quantity: 'pressure', value: now.totalMbar },
        { id: 'clean-now', quantity: 'times-clean', value: ratio(now.totalMbar) },
        { id: 'drop-burnt', quantity: 'pressure', value: burnt.totalMbar },
        {
          id: 'clean-burnt',
          quantity: 'times-clean',
          value: ratio(burnt.totalMbar),
          limit: restrictionGoodRatio,
          within: ratio(burnt.totalMbar) <= restrictionGoodRatio,
        },
      ],
      picture: {
        kind: 'bars',
        quantity: 'pressure',
        bars: [
          { id: 'wall', value: burnt.wallMbar, before: now.wallMbar },
          { id: 'layers', value: burnt.cakeMbar, before: now.cakeMbar },
          { id: 'channels', value: burnt.channelMbar, before: now.channelMbar },
          { id: 'ends', value: burnt.inertialMbar, before: now.inertialMbar },
        ],
      },
      tells:
        ash >= FULL_OF_ASH
          ? 'ash-stays'
          : soot > burnLimit
            ? 'too-much-to-burn'
            : soot < 1
              ? 'little'
              : 'burns-away',
    };
  },
};
