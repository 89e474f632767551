import { restrictionRatio } from '../../filter/index.ts';
import { DEFAULT_LIMITS } from '../../limits/index.ts';
import { valueOf } from '../../quantities/index.ts';
import { dropAt, FILTER, FILTER_L, gasAt, steps } from '../example.ts';
import { setFigure, type Model } from '../model.ts';

const BEFORE_G = 6 * FILTER_L;
/** Holds this close to one another are at one flow for any foot. */
const SAME_RPM = 100;

const moves = [
  { id: 'before-rpm', from: 1500, to: 4000, step: 50, start: 3000, unit: 'rpm' },
  { id: 'after-rpm', from: 1500, to: 4000, step: 50, start: 2100, unit: 'rpm' },
  { id: 'removed', from: 0, to: 95, step: 5, start: 0, unit: 'percent' },
] as const;

const fallPercent = (before: number, after: number): number => 100 * (1 - after / before);

/** The same filter held at two speeds: bare figures against figures at equal flow. */
export const equalFlow: Model<
  'same-speed' | 'looks-cured' | 'looks-worse' | 'looks-better-than-it-is' | 'looks-less'
> = {
  moves,
  answer(settings) {
    const [beforeRpm, afterRpm] = [
      setFigure(moves, settings, 'before-rpm'),
      setFigure(moves, settings, 'after-rpm'),
    ];
    const removed = setFigure(moves, settings, 'removed');
    const before = { sootG: BEFORE_G, ashG: 0 };
    const after = { sootG: BEFORE_G * (1 - removed / 100), ashG: 0 };
    const [was, is, atSame] = [dropAt(beforeRpm, before), dropAt(afterRpm, after), dropAt(beforeRpm, after)];
    const bare = fallPercent(was.mbar, is.mbar);
    const equal = fallPercent(was.mbar, atSame.mbar);
    const timesClean = (rpm: number, mbar: number): number =>
      valueOf(restrictionRatio(FILTER, gasAt(rpm), mbar)).ratio;
    const line = (state: typeof before) =>
      steps(0, 4000, 20).map((rpm) => {
        const { mbar, flowM3PerH } = dropAt(rpm, state);
        return [flowM3PerH, mbar] as const;
      });
    const { removedProvedPercent } = DEFAULT_LIMITS;
    return {
      figures: [
        { id: 'before', quantity: 'pressure', value: was.mbar },
        { id: 'after', quantity: 'pressure', value: is.mbar },
        { id: 'bare-fall', quantity: 'percent', value: bare },
        {
          id: 'equal-fall',
          quantity: 'percent',
          value: equal,
          limit: removedProvedPercent,
          within: equal >= removedProvedPercent,
        },
        { id: 'clean-before', quantity: 'times-clean', value: timesClean(beforeRpm, was.mbar) },
        { id: 'clean-after', quantity: 'times-clean', value: timesClean(afterRpm, is.mbar) },
      ],
      picture: {
        kind: 'lines',
        x: { id: 'flow', quantity: 'flow' },
        y: { id: 'pressure-drop', quantity: 'pressure' },
        lines: [
          { id: 'before', points: line(before) },
          { id: 'after', points: line(after) },
        ],
        marks: [
          { id: 'before', at: [was.flowM3PerH, was.mbar] },
          { id: 'after', at: [is.flowM3PerH, is.mbar] },
        ],
      },
      tells:
        Math.abs(beforeRpm - afterRpm) <= SAME_RPM
          ? 'same-speed'
          : bare < 0
            ? 'looks-worse'
            : bare < equal
              ? 'looks-less'
              : equal < removedProvedPercent && bare >= removedProvedPercent
                ? 'looks-cured'
                : 'looks-better-than-it-is',
    };
  },
};
