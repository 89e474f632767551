import type { Limits } from '../limits/index.ts';
import { medianSlope, quantile } from '../quantities/index.ts';

/** One moment of a hold after a wet clean: restriction at its flow, so that wandering revs do not matter. */
export interface WarmUpPoint {
  readonly atS: number;
  readonly ratio: number;
  readonly coolantC?: number;
  /** Of the gas behind the filter: while water boils off in it, that stays near 100 °C. */
  readonly afterFilterC?: number;
}

export type WarmUpPhase = 'too-short' | 'wet-rise' | 'drying' | 'plateau';

export interface WarmUp {
  readonly phase: WarmUpPhase;
  /** Highest, smoothed: wet. */
  readonly peakRatio?: number;
  /** At the end, smoothed. */
  readonly nowRatio?: number;
  /** Change at the end, % a minute. */
  readonly percentPerMin?: number;
  readonly text: string;
}

/** The end is judged over so long; a slope over less is the foot on the pedal. */
const WINDOW_S = 90;
const LEAST_POINTS = 8;
/** Gas behind a bed that is dry comes out hotter than this, °C. */
const DRY_C = 110;
/** Slower than this, % a minute, nothing more comes of waiting. */
const STILL_PERCENT_PER_MIN = 3;

/**
 * Where a filter stands in its warm-up after a wet clean: the pressure first rises (wet), then falls as it dries and opens, then
 * stands. Theil–Sen slope over the last minute and a half: a snap or a lost foot does not move it.
 */
export function warmUpOf(points: readonly WarmUpPoint[], limits: Limits): WarmUp {
  const sorted = points.toSorted((a, b) => a.atS - b.atS);
  const last = sorted.at(-1);
  const recent = last ? sorted.filter(({ atS }) => atS >= last.atS - WINDOW_S) : [];
  const first = recent[0];
  if (!last || !first || recent.length < LEAST_POINTS || last.atS - first.atS < 0.6 * WINDOW_S)
    return {
      phase: 'too-short',
      text: `Hold on: it takes ${WINDOW_S} s at even revs to tell where it is.`,
    };
  const slope = medianSlope(
    recent.map(({ atS }) => atS),
    recent.map(({ ratio }) => ratio),
    5,
  );
  const nowRatio = quantile(
    recent.slice(-Math.ceil(recent.length / 3)).map(({ ratio }) => ratio),
    0.5,
  ) as number;
  const percentPerMin = (6000 * (slope ?? 0)) / nowRatio;
  const peakRatio = Math.max(
    ...sorted.map(
      (_, i) =>
        quantile(
          sorted.slice(Math.max(0, i - 3), i + 4).map(({ ratio }) => ratio),
          0.5,
        ) as number,
    ),
  );
  const figures = { peakRatio, nowRatio, percentPerMin };
  const ratio = `${nowRatio.toFixed(1)} × clean`;
  if (percentPerMin > STILL_PERCENT_PER_MIN)
    return { phase: 'wet-rise', ...figures, text: `Still rising, ${ratio}: it is wet. Keep the revs.` };
  if (percentPerMin < -STILL_PERCENT_PER_MIN)
    return {
      phase: 'drying',
      ...figures,
      text: `Falling by ${(-percentPerMin).toFixed(0)} % a minute, ${ratio}: keep the revs until it stands.`,
    };
  if (last.afterFilterC !== undefined && last.afterFilterC < DRY_C)
    return {
      phase: 'drying',
      ...figures,
      text: `Stands at ${ratio}, but the gas behind the filter is at ${last.afterFilterC.toFixed(0)} °C: under ${DRY_C} °C it still boils water off. Keep the revs.`,
    };
  const cool = last.coolantC !== undefined && last.coolantC < limits.coolantWarmC;
  return cool
    ? {
        phase: 'drying',
        ...figures,
        text: `Stands at ${ratio}, but the coolant is at ${(last.coolantC ?? 0).toFixed(0)} °C; warm is from ${limits.coolantWarmC} °C. Not yet.`,
      }
    : {
        phase: 'plateau',
        ...figures,
        text: `Stands at ${ratio}, ${Math.abs(percentPerMin).toFixed(1)} % a minute: take the reading now.`,
      };
}
