import { DEFAULT_LIMITS } from '@white-ember/core/limits';
import { fleetOutlook } from '@white-ember/core/testing';
import type { Row } from './bench.ts';

const VEHICLES = 1000;
/** Seeds that were in no fit. */
const FLEETS = [301, 302, 303, 304, 305, 306, 307, 308] as const;
/** An 80 % interval holds the truth as often as it says, give or take. */
const HOLDS = { least: 76, most: 84 } as const;

/** Made fleets over three years: how often the next-due distance of the outlook holds what then came. */
export function measureOutlooks(): Row[] {
  const percents = FLEETS.map((seed) => {
    const { told, within } = fleetOutlook(seed, VEHICLES, DEFAULT_LIMITS);
    return (100 * within) / told;
  });
  const [least, most] = [Math.min(...percents), Math.max(...percents)];
  return [
    {
      what: `Of ${FLEETS.length} made fleets of ${VEHICLES} vehicles over three years: next-due distances within their 80 % interval`,
      measured: `${least.toFixed(1)} to ${most.toFixed(1)} %`,
      against: `${HOLDS.least} to ${HOLDS.most} % in each`,
      ratio: Math.max(HOLDS.least / least, most / HOLDS.most),
    },
  ];
}
