import { bedLimits, idleExhaust, plannedBurn, simulateBurn, withDropToIdle } from '../../burn/index.ts';
import { DEFAULT_LIMITS } from '../../limits/index.ts';
import { valueOf } from '../../quantities/index.ts';
import { ENGINE_L, FILTER, FILTER_L } from '../example.ts';
import { setChoice, setFigure, type Model } from '../model.ts';

const CELLS = 30;
const FLOW_KG_PER_S = 0.05;
const MATERIALS = ['silicon-carbide', 'cordierite'] as const;
const FOOT = ['drops-to-idle', 'keeps-the-revs'] as const;

export const dropToIdleMoves = [
  { id: 'soot', from: 1, to: 12, step: 0.5, start: 7, unit: 'per-litre' },
  { id: 'drop-after', from: 4, to: 7, step: 0.25, start: 4, unit: 'minutes' },
  { id: 'foot', options: FOOT, start: 'drops-to-idle' },
  { id: 'material', options: MATERIALS, start: 'silicon-carbide' },
] as const;

/** A regeneration in which the engine falls to idle after the bed has lit, by the burn model. */
export const dropToIdle: Model<'safe' | 'safe-only-with-revs' | 'too-hot-anyway' | 'too-hot-by-the-drop'> = {
  moves: dropToIdleMoves,
  answer(settings) {
    const material = setChoice(MATERIALS, settings, 'material');
    const foot = setChoice(FOOT, settings, 'foot');
    const planned = plannedBurn({
      filter: { ...FILTER, material },
      catalyst: 'coated',
      sootG: setFigure(dropToIdleMoves, settings, 'soot') * FILTER_L,
      ashG: 0,
      targetC: DEFAULT_LIMITS.burnTargetC,
      exhaustKgPerS: FLOW_KG_PER_S,
      oxygenPercent: DEFAULT_LIMITS.burnOxygenPercent,
      cells: CELLS,
    });
    const dropped = withDropToIdle(
      planned,
      60 * setFigure(dropToIdleMoves, settings, 'drop-after'),
      idleExhaust(ENGINE_L),
    );
    const run = (scenario: typeof planned) =>
      valueOf(simulateBurn(scenario, DEFAULT_LIMITS, { mostFiner: 4 }));
    const [kept, fell] = [run(planned), run(dropped)];
    const shown = foot === 'drops-to-idle' ? fell : kept;
    const limit = bedLimits(DEFAULT_LIMITS, material).peakC;
    const line = ({ series }: typeof kept) =>
      series.timeS
        .map((timeS, i) => [timeS / 60, series.peakC[i] ?? 0] as const)
        .filter(([minutes]) => minutes <= 20);
    return {
      figures: [
        {
          id: 'hottest',
          quantity: 'temperature',
          value: shown.peakBedC,
          limit,
          within: shown.peakBedC <= limit,
        },
        { id: 'hottest-kept', quantity: 'temperature', value: kept.peakBedC },
        { id: 'hottest-dropped', quantity: 'temperature', value: fell.peakBedC },
        { id: 'soot-left', quantity: 'soot', value: shown.sootLeftG },
      ],
      picture: {
        kind: 'lines',
        x: { id: 'minutes-on', quantity: 'minutes' },
        y: { id: 'bed', quantity: 'temperature' },
        lines: [
          { id: 'keeps-the-revs', points: line(kept) },
          { id: 'drops-to-idle', points: line(fell) },
        ],
        marks: [{ id: 'hottest', at: [shown.peakAtS / 60, shown.peakBedC] }],
        limit,
      },
      tells:
        kept.peakBedC > limit
          ? 'too-hot-anyway'
          : fell.peakBedC <= limit
            ? 'safe'
            : foot === 'drops-to-idle'
              ? 'too-hot-by-the-drop'
              : 'safe-only-with-revs',
    };
  },
};
