import { normal } from './density.ts';
import type { CauseSet } from './states.ts';

/** An engine that is read may not be warm yet: then its coolant is anywhere. */
const NOT_YET = 0.3;
const NOT_YET_RANGE_C = 110;

/**
 * The chance of the warmest coolant that was read with the engine running. In order it comes to rest at 80–95 °C; a thermostat that stands
 * open leaves it some twenty degrees lower. That it settled is not known: a cool engine by itself says nothing.
 */
export function coolantChance(coolantC: number): (set: CauseSet) => number {
  const cold = NOT_YET / NOT_YET_RANGE_C;
  const [shut, open] = [normal(coolantC, 88, 5), normal(coolantC, 64, 8)];
  return (set) =>
    cold + (1 - NOT_YET) * (set.some(({ cause }) => cause === 'thermostat-stuck-open') ? open : shut);
}
