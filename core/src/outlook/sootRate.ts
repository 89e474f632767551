import { Z90, type Interval } from '../proof/index.ts';
import { LEAST_KM, spreadOf } from './growth.ts';
import { sootLeftAt, type Visit } from './visit.ts';

/** How fast soot gathers that no regeneration takes. */
export interface SootRate {
  /** g on 100 km, with its 90 % interval. */
  readonly gPer100Km: Interval;
  /** Stretches of road that it rests on. */
  readonly stretches: number;
}

/**
 * Soot that stays, by the pressures of the visits: what was found at one less what was left at the visit before, summed over
 * all stretches and over their road. Ash is in both ends and cancels. Undefined without a stretch that was read at both.
 */
export function sootRateOf(visits: readonly Visit[]): SootRate | undefined {
  let [grams, km, variance, stretches] = [0, 0, 0, 0];
  for (const [i, visit] of visits.slice(1).entries()) {
    const start = visits[i] as Visit;
    const left = sootLeftAt(start);
    if (!left || !visit.sootBefore || start.km === undefined || visit.km === undefined) continue;
    if (visit.km - start.km < LEAST_KM) continue;
    grams += visit.sootBefore.value - left.value;
    km += visit.km - start.km;
    variance += spreadOf(visit.sootBefore) ** 2 + spreadOf(left) ** 2;
    stretches += 1;
  }
  if (stretches === 0) return undefined;
  const [value, half] = [(100 * grams) / km, (100 * Z90 * Math.sqrt(variance)) / km];
  return {
    // Less than none is what the doubt of both ends comes to.
    gPer100Km: { value: Math.max(value, 0), low: Math.max(value - half, 0), high: Math.max(value + half, 0) },
    stretches,
  };
}
