import { say } from '../words/index.ts';
import { filterVolumeL } from '../filter/index.ts';
import type { Limits } from '../limits/index.ts';
import { failed, success, type Result } from '../quantities/index.ts';
import { bedLimits } from './bed.ts';
import type { BurnOptions } from './burnRun.ts';
import type { IdleExhaust } from './dropToIdle.ts';
import { plannedBurn, type BurnPlan } from './plannedBurn.ts';
import { MOST_SOOT_G_PER_L } from './scenario.ts';
import { worstDropPeak } from './worstDrop.ts';

export interface SafeSoot {
  readonly gPerL: number;
  readonly grams: number;
  /** Bed limit that the drop to idle just keeps, °C. */
  readonly limitC: number;
  /** Whether the search ended at the most that the model covers, so that the truth may lie above. */
  readonly capped: boolean;
}

const SEARCH_G_PER_L = 0.05;
/** What lies far over the limit need not be known exactly there. */
const SEARCH_FINER = 2;

/**
 * The most soot with which the worst drop to idle stays under the bed limit, by halving: a bed with more soot
 * gets hotter (a property that the tests check). The planned soot is left aside.
 */
export function safeSootLimit(plan: BurnPlan, idle: IdleExhaust, limits: Limits): Result<SafeSoot> {
  const limitC = bedLimits(limits, plan.filter.material).peakC;
  const volumeL = filterVolumeL(plan.filter);
  const peakAt = (gPerL: number): Result<number> => {
    const scenario = plannedBurn({ ...plan, sootG: gPerL * volumeL });
    const options: BurnOptions = { mostFiner: SEARCH_FINER, until: 'burnt' };
    const drop = worstDropPeak(scenario, idle, limits, options, limitC);
    return drop.ok ? success(drop.value.peakC) : drop;
  };
  const bare = peakAt(0);
  if (!bare.ok) return bare;
  if (bare.value > limitC)
    return failed({
      code: 'impossible',
      field: say('burn.the-target'),
      requirement: say('burn.brings-the-bed-above', { limitC }),
      value: plan.targetC,
    });
  let low = 0;
  let high = MOST_SOOT_G_PER_L;
  while (high - low > SEARCH_G_PER_L) {
    const middle = (low + high) / 2;
    const peak = peakAt(middle);
    if (!peak.ok) return peak;
    if (peak.value > limitC) high = middle;
    else low = middle;
  }
  return success({ gPerL: low, grams: low * volumeL, limitC, capped: high === MOST_SOOT_G_PER_L });
}
