import { say, type Said } from '../words/index.ts';
import { bedLimits, idleExhaust, plannedBurn, worstDropPeak, type BurnPlan } from '../burn/index.ts';
import { filterVolumeL, USUAL_ENGINE_L } from '../filter/index.ts';
import { happenedAt } from '../ledger/index.ts';
import { judgeReading } from '../proof/index.ts';
import type { Limits } from '../limits/index.ts';
import { success, type Result } from '../quantities/index.ts';
import {
  counterIsStale,
  isNewlyFitted,
  latestReading,
  type BurnForecast,
  type InterlockFacts,
  type LinkCommand,
} from './interlocks.ts';
import { mostSoot } from './sootLoad.ts';

export interface JobBurn {
  readonly plan: BurnPlan;
  /** Engine size by which it idles, L. */
  readonly displacementL: number;
  /** What was not known and was assumed, in words. */
  readonly assumptions: readonly Said[];
}

/** Gas of a raised idle per litre of engine, as a burn is held at, where no hold was read. */
const HELD_KG_PER_S_L = 0.022;

/**
 * The burn of a job's filter as it would be planned: the upper end of its soot, the flow of its hold of most flow, temperature
 * and oxygen of the limits profile. Nothing where the soot is not known.
 */
export function burnOfJob(
  facts: InterlockFacts,
  /** What the burn is asked for: before a reset the counter from before a clean is left aside. */
  command: LinkCommand = 'burn',
): JobBurn | undefined {
  const { derived, filter, limits, displacementL } = facts;
  const reading = latestReading(derived);
  if (!reading || (command !== 'burn' && isNewlyFitted(derived))) return undefined;
  const context = { limits, ...(displacementL === undefined ? {} : { displacementL }) };
  const load = mostSoot(reading.body, filter, context, {
    counterIsStale: counterIsStale(command, derived, happenedAt(reading)),
  });
  if (!load.ok) return undefined;
  const flows = judgeReading(reading.body, context)
    .samples.filter(({ kind }) => kind === 'hold')
    .map(({ flow }) => flow.exhaustKgPerS);
  const engineL = displacementL ?? USUAL_ENGINE_L;
  const { diameterMm, lengthMm, cpsi, wallMm, material = 'unknown' } = filter;
  return {
    plan: {
      filter: { diameterMm, lengthMm, cpsi, wallMm, material },
      // A coated wall burns faster and hotter: the careful side where it is not known.
      catalyst: filter.catalyst ?? 'coated',
      sootG: load.value.grams,
      ashG: 0,
      targetC: limits.burnTargetC,
      exhaustKgPerS: flows.length > 0 ? Math.max(...flows) : HELD_KG_PER_S_L * engineL,
      oxygenPercent: limits.burnOxygenPercent,
    },
    displacementL: engineL,
    assumptions: [
      ...(filter.size
        ? [say('treatment.size-taken', { volumeL: filterVolumeL(filter), from: filter.size.from })]
        : []),
      ...(material === 'unknown' ? [say('treatment.material-unknown-the-lighter-one')] : []),
      ...(filter.catalyst === undefined ? [say('treatment.coating-unknown-coated-assumed')] : []),
      ...(displacementL === undefined
        ? [say('treatment.engine-size-unknown-idle', { displacementL: USUAL_ENGINE_L })]
        : []),
      say('treatment.no-ash-soot-evenly-along'),
      say('treatment.oxygen-c-before-the-filter', {
        burnOxygenPercent: limits.burnOxygenPercent,
        burnTargetC: limits.burnTargetC,
      }),
    ],
  };
}

/** A coarse bed to begin with, which is made finer where a front is thin, and steps that are shorter by themselves where it is hot. */
const QUICK = { cells: 14, maxStepS: 3, points: 60 };
/** A peak so near to its limit is looked at on a finer bed, °C: a coarse one is within some 8 °C of it. */
const NEAR_C = 15;
const FINE = { cells: 60, maxStepS: 1, points: 300 };

/** What the burn would do, and the worst drop to idle in it. A tenth of a second of work: not for the main thread. */
export function forecastBurn({ plan, displacementL }: JobBurn, limits: Limits): Result<BurnForecast> {
  const limitC = bedLimits(limits, plan.filter.material).peakC;
  const peakWith = ({ cells, ...steps }: typeof QUICK) =>
    worstDropPeak(
      plannedBurn({ ...plan, cells }),
      idleExhaust(displacementL),
      limits,
      { mostFiner: 4, ...steps, until: 'burnt' },
      limitC,
    );
  const quick = peakWith(QUICK);
  if (!quick.ok) return quick;
  const drop = Math.abs(quick.value.peakC - limitC) > NEAR_C ? quick : peakWith(FINE);
  if (!drop.ok) return drop;
  const { planned, peakC } = drop.value;
  return success({
    sootG: plan.sootG,
    sootLeftG: planned.sootLeftG,
    plannedPeakC: planned.peakBedC,
    dropPeakC: peakC,
    limitC,
  });
}
