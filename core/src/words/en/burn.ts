import type { Said } from '../message.ts';
import type { Words } from '../words.ts';

export const burn = {
  assumes: (
    {
      sootPercent,
      inletC,
      flowPercent,
      oxygenPercent,
      rateFactor,
      heatPercent,
    }: {
      sootPercent: number;
      inletC: number;
      flowPercent: number;
      oxygenPercent: number;
      rateFactor: number;
      heatPercent: number;
    },
    w: Words,
  ) =>
    `Soot ±${w.percent(sootPercent, 0)}, temperature ±${w.temperatureChange(inletC)}, flow ±${w.percent(flowPercent, 0)}, oxygen ±${w.percent(oxygenPercent, 1)}, rates within a factor of ${w.number(rateFactor, 1)}, bed heat ±${w.percent(heatPercent, 0)}, nine in ten.`,
  'the-bed-reaches-c-after': (
    {
      peakBedC,
      peakAtS,
      peakAtMm,
      peakC,
    }: { peakBedC: number; peakAtS: number; peakAtMm: number; peakC: number },
    w: Words,
  ) =>
    `The bed reaches ${w.temperature(peakBedC, 0)} after ${w.number(peakAtS / 60, 1)} min, ${w.length(peakAtMm, 0)} behind the inlet face; limit ${w.temperature(peakC)}`,
  'steepest-along-it-c-cm': (
    { maxGradientCPerCm, gradientCPerCm }: { maxGradientCPerCm: number; gradientCPerCm: number },
    w: Words,
  ) => `Steepest along it ${w.gradient(maxGradientCPerCm)}; limit ${w.gradient(gradientCPerCm)}`,
  'soot-left': (
    { sootLeftG, left, sootAfterCleanG }: { sootLeftG: number; left: boolean; sootAfterCleanG: number },
    w: Words,
  ) =>
    `${w.soot(sootLeftG, 1)} of soot is left; ${left ? 'more than' : 'clean is up to'} ${w.soot(sootAfterCleanG)}`,
  'the-target': 'The target',
  'brings-the-bed-above': ({ limitC }: { limitC: number }, w: Words) =>
    `brings the bed above its limit of ${w.temperature(limitC)} with no soot in it`,
  'is-not-fit': ({ why }: { why: string }) => `is not fit — ${why}`,
  'at-least-one-point': 'At least one point of the profile',
  'at-most-points': ({ most }: { most: number }, w: Words) => `At most ${w.number(most)} points`,
  'more-than-the-model-covers': (
    { field, gPerL, volumeL }: { field: Said; gPerL: number; volumeL: number },
    w: Words,
  ) =>
    `${w.say(field)}: at most ${w.loading(gPerL)}, ${w.soot(gPerL * volumeL, 0)} in this filter of ${w.volume(volumeL, 2)}`,
  'point-not-later': ({ point }: { point: number }, w: Words) =>
    `Time: point ${w.number(point)} of the profile is not later than the one before it`,
} as const;
