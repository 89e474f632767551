import type { BenchVehicle, Driver, Wish } from '../bench/index.ts';
import { BURN_CHANNELS, type BurnMoment } from '../treatment/index.ts';

/** What a tool reads of a simulated vehicle in a burn at this moment. */
export function burnMomentOf(vehicle: BenchVehicle, fromS: number): BurnMoment {
  const read = BURN_CHANNELS.flatMap(([name, role]) => {
    const value = vehicle.read(role);
    return value === undefined ? [] : [[name, value] as const];
  });
  return { atS: vehicle.timeS - fromS, ...Object.fromEntries(read) };
}

/** Drives a simulated vehicle on by seconds, each read, until told to end. */
export function watchBench(
  vehicle: BenchVehicle,
  driver: Driver,
  wish: () => Wish,
  seconds: number,
  each: (moment: BurnMoment) => boolean | void,
): void {
  const fromS = vehicle.timeS;
  for (let i = 0; i < seconds; i++) {
    driver.follow(wish(), 1);
    if (each(burnMomentOf(vehicle, fromS)) === true) return;
  }
}
