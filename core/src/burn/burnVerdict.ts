import { say, type Said } from '../words/index.ts';
import type { FilterMaterial } from '../filter/index.ts';
import type { Limits } from '../limits/index.ts';
import { bedLimits } from './bed.ts';
import type { BurnRun } from './burnRun.ts';

/** `too-hot`: a limit of the bed is passed. `soot-left`: it keeps them and leaves more than a good clean does. */
export type BurnVerdict = 'clean' | 'soot-left' | 'too-hot';

export interface JudgedBurn {
  readonly verdict: BurnVerdict;
  /** Each figure with the limit that it was judged by. */
  readonly reasons: readonly Said[];
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
  return {
    verdict: hot || steep ? 'too-hot' : left ? 'soot-left' : 'clean',
    reasons: [
      say('burn.the-bed-reaches-c-after', { peakBedC, peakAtS, peakAtMm, peakC }),
      say('burn.steepest-along-it-c-cm', { maxGradientCPerCm, gradientCPerCm }),
      say('burn.soot-left', { sootLeftG, left, sootAfterCleanG: limits.sootAfterCleanG }),
    ],
  };
}
