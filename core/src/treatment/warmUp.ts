import { say, type Said } from '../words/index.ts';
import { exhaustMassGPerS, restrictionRatio, type FilterGeometry } from '../filter/index.ts';
import type { Limits } from '../limits/index.ts';
import type { ChannelRole } from '../readings/index.ts';
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
  /** What it shows, with its figures; true of a log too. */
  readonly text: Said;
  /** What to do with the foot on the pedal. */
  readonly advice: Said;
}

const LEAST_POINTS = 8;

/**
 * Where a filter stands in its warm-up after a wet clean: the pressure first rises (wet), then falls as it dries and opens, then
 * stands. Theil–Sen slope over the last stretch: a snap or a lost foot does not move it.
 */
export function warmUpOf(points: readonly WarmUpPoint[], limits: Limits): WarmUp {
  const { warmUpWindowS: windowS, warmUpStillPercent: stillPercent, warmUpDryC: dryC } = limits;
  const sorted = points.toSorted((a, b) => a.atS - b.atS);
  const last = sorted.at(-1);
  const recent = last ? sorted.filter(({ atS }) => atS >= last.atS - windowS) : [];
  const first = recent[0];
  if (!last || !first || recent.length < LEAST_POINTS || last.atS - first.atS < 0.6 * windowS)
    return {
      phase: 'too-short',
      text: say('treatment.not-known-yet-it-takes', { windowS }),
      advice: say('treatment.hold'),
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
  const ratio = say('treatment.clean', { nowRatio });
  if (percentPerMin > stillPercent)
    return {
      phase: 'wet-rise',
      ...figures,
      text: say('treatment.still-rising-the-filter', { ratio }),
      advice: say('treatment.hold-the-revs'),
    };
  if (percentPerMin < -stillPercent)
    return {
      phase: 'drying',
      ...figures,
      text: say('treatment.falling-by-a-minute', { percentPerMin: -percentPerMin, ratio }),
      advice: say('treatment.hold-the-revs-until'),
    };
  if (last.afterFilterC !== undefined && last.afterFilterC < dryC)
    return {
      phase: 'drying',
      ...figures,
      text: say('treatment.steady-at-but-the-gas', { ratio, afterFilterC: last.afterFilterC, dryC }),
      advice: say('treatment.hold-the-revs'),
    };
  const cool = last.coolantC !== undefined && last.coolantC < limits.coolantWarmC;
  return cool
    ? {
        phase: 'drying',
        ...figures,
        text: say('treatment.steady-at-but-the-coolant', {
          ratio,
          coolantC: last.coolantC ?? 0,
          coolantWarmC: limits.coolantWarmC,
        }),
        advice: say('treatment.not-yet-hold-the-revs'),
      }
    : {
        phase: 'plateau',
        ...figures,
        text: say('treatment.steady-at-a-minute-steady', {
          ratio,
          percentPerMin: Math.abs(percentPerMin),
          stillPercent,
        }),
        advice: say('treatment.take-the-reading'),
      };
}

const POINT_EVERY_S = 3;

/**
 * The points of a warm-up from channels, live or logged: every few seconds the restriction at the flow of that moment, while revs are
 * held. Moments without ΔP or air mass give none.
 * @param read the value of a channel at a moment, in its base unit; undefined where there is none
 */
export function warmUpPoints(
  read: (role: ChannelRole, atS: number) => number | undefined,
  span: { readonly fromS: number; readonly toS: number },
  geometry: FilterGeometry,
  limits: Limits,
): WarmUpPoint[] {
  const points: WarmUpPoint[] = [];
  for (let { fromS: atS } = span; atS <= span.toS; atS += POINT_EVERY_S) {
    const [rpm, dp, air] = [read('engineSpeed', atS), read('dpfDeltaP', atS), read('massAirFlow', atS)];
    if (rpm === undefined || dp === undefined || air === undefined || rpm < limits.heldFromRpm) continue;
    const [before, after] = [read('egt3', atS), read('egt4', atS)];
    const known = [before, after].filter((value) => value !== undefined);
    const temperatureC =
      known.length > 0 ? known.reduce((a, b) => a + b, 0) / known.length : limits.filterTempHoldC;
    const exhaustKgPerS = exhaustMassGPerS(air, limits.airFuelRatioUnloaded) / 1000;
    const ratio = restrictionRatio(geometry, { exhaustKgPerS, temperatureC }, dp);
    if (!ratio.ok) continue;
    const coolantC = read('coolantTemp', atS);
    points.push({
      atS,
      ratio: ratio.value.ratio,
      ...(coolantC === undefined ? {} : { coolantC }),
      ...(after === undefined ? {} : { afterFilterC: after }),
    });
  }
  return points;
}
