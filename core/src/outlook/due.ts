import { normalUpTo, Z90, type Interval } from '../proof/index.ts';
import type { GrowthAhead } from './growth.ts';

/** An interval that holds the truth in eight of ten, with its middle. */
export interface Interval80 {
  readonly low: number;
  readonly value: number;
  readonly high: number;
}

/** Farther is not foreseen, km. */
export const FARTHEST_KM = 400_000;

/** The same with the growths of one length of road. */
function chanceOver(
  km: number,
  now: Interval,
  { growth, logStep }: GrowthAhead,
  chance: Float64Array,
  limitRatio: number,
): number {
  const sd = Math.max((now.high - now.low) / (2 * Z90), 1e-3);
  let sum = 0;
  for (let i = 0; i < growth.length; i++) {
    const p = chance[i] as number;
    if (p < 1e-9) continue;
    const grown = ((growth[i] as number) * km) / 1000;
    // Each growth stands for its neighbourhood, which spreads what has grown evenly.
    sum +=
      p * normalUpTo((now.value + grown - limitRatio) / Math.hypot(sd, (grown * logStep) / Math.sqrt(12)));
  }
  return Math.min(sum, 1);
}

/**
 * Chance that the restriction has reached a limit after so many km: what was read now and the growth ahead are both in
 * doubt. P = Σ p_d(g)·Φ((r + g·d − limit)/σ_r), with the chances p_d of the average growth over a road of that length:
 * the longer it is, the more of what comes and goes evens out.
 */
export function chanceDueBy(km: number, now: Interval, ahead: GrowthAhead, limitRatio: number): number {
  const { thousandKm, chances } = ahead;
  const next = thousandKm.findIndex((length) => length >= km / 1000);
  const over = (at: number): number => chanceOver(km, now, ahead, chances[at] as Float64Array, limitRatio);
  if (next === 0) return over(0);
  if (next < 0) return over(thousandKm.length - 1);
  const [low, high] = [thousandKm[next - 1] as number, thousandKm[next] as number];
  const share = Math.log(km / 1000 / low) / Math.log(high / low);
  return (1 - share) * over(next - 1) + share * over(next);
}

/** The distance by which it is due with a chance, km; at most {@link FARTHEST_KM}. */
function distanceOf(chance: number, now: Interval, ahead: GrowthAhead, limitRatio: number): number {
  if (chanceDueBy(0, now, ahead, limitRatio) >= chance) return 0;
  if (chanceDueBy(FARTHEST_KM, now, ahead, limitRatio) < chance) return FARTHEST_KM;
  let [low, high] = [0, FARTHEST_KM];
  // A logarithm would not reach 0; forty halvings of the whole leave less than a metre.
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (chanceDueBy(middle, now, ahead, limitRatio) < chance) low = middle;
    else high = middle;
  }
  return high;
}

/** Distance from now at which the filter is due again, km, with its 80 % interval. */
export const dueDistance = (now: Interval, ahead: GrowthAhead, limitRatio: number): Interval80 => ({
  low: distanceOf(0.1, now, ahead, limitRatio),
  value: distanceOf(0.5, now, ahead, limitRatio),
  high: distanceOf(0.9, now, ahead, limitRatio),
});
