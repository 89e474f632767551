import type { FilterMaterial } from '../filter/index.ts';
import type { Limits } from '../limits/index.ts';
import { bedLimits } from './bed.ts';
import type { BurnRun } from './burnModel.ts';

/** `too-hot`: a limit of the bed is passed. `soot-left`: it keeps them and leaves more than a good clean does. */
export type BurnVerdict = 'clean' | 'soot-left' | 'too-hot';

export interface JudgedBurn {
  readonly verdict: BurnVerdict;
  /** Each figure with the limit that it was judged by. */
  readonly reasons: readonly string[];
}

/** Judges a run by what the bed stands and by what counts as clean. */
export function judgeBurn(
  { peakBedC, peakAtS, peakAtMm, maxGradientCPerCm, sootLeftG }: BurnRun,
  material: FilterMaterial,
  limits: Limits,
): JudgedBurn {
  const { peakC, gradientCPerCm } = bedLimits(limits, material);
  const [hot, steep] = [peakBedC > peakC, maxGradientCPerCm > gradientCPerCm];
  const left = sootLeftG > limits.sootAfterCleanG;
  const minutes = (peakAtS / 60).toFixed(1);
  return {
    verdict: hot || steep ? 'too-hot' : left ? 'soot-left' : 'clean',
    reasons: [
      `The bed reaches ${peakBedC.toFixed(0)} °C after ${minutes} min, ${peakAtMm.toFixed(0)} mm behind the inlet face; limit ${peakC} °C`,
      `Steepest along it ${maxGradientCPerCm.toFixed(0)} °C/cm; limit ${gradientCPerCm} °C/cm`,
      `${sootLeftG.toFixed(1)} g of soot is left; ${left ? 'more than' : 'clean is up to'} ${limits.sootAfterCleanG} g`,
    ],
  };
}
