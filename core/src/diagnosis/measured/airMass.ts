import { logDensity, withSlip, type LogPart } from './density.ts';
import type { CauseSet } from './states.ts';

/**
 * Metered air over what speed and manifold pressure call for, on a hold. A meter in order and a tight way lie within some ten per
 * cent; recirculation that does not shut takes the place of air, so that it looks like a leak.
 */
const RATIO: Readonly<Record<string, readonly LogPart[]>> = {
  right: [{ share: 1, middle: 1, spread: 0.11 }],
  'intake-leak': [{ share: 1, middle: 0.6, spread: 0.28 }],
  'egr-stuck-open': [{ share: 1, middle: 0.65, spread: 0.25 }],
  'air-meter-failed:low': [{ share: 1, middle: 0.65, spread: 0.22 }],
  'air-meter-failed:high': [{ share: 1, middle: 1.4, spread: 0.2 }],
  'charge-leak': [{ share: 1, middle: 1.25, spread: 0.2 }],
  // What is called for is reckoned by the manifold: where that is wrong, so is the ratio.
  'manifold-sensor-failed': [
    { share: 0.6, middle: 1, spread: 0.15 },
    { share: 0.4, middle: 1, spread: 0.5 },
  ],
};

/** Causes that change the metered share. */
export const AIR_CAUSES: readonly string[] = Object.keys(RATIO).map((key) => key.split(':')[0] as string);

/** The chance of a metered share of the air that is called for under a set of causes. */
export function airMassChance(ratio: number, doubt: number): (set: CauseSet) => number {
  const log = Math.log(Math.max(ratio, 0.01));
  const of = (parts: readonly LogPart[]): number => withSlip(logDensity(log, parts, doubt), 0.3, 0.01);
  return (set) => {
    const found = set
      .map(({ cause, form }) => RATIO[`${cause}:${form ?? ''}`] ?? RATIO[cause])
      .filter((parts) => parts !== undefined)
      .map(of);
    return found.length === 0
      ? of(RATIO['right'] as readonly LogPart[])
      : found.reduce((sum, one) => sum + one, 0) / found.length;
  };
}
