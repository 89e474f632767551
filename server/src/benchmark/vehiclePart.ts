import { setImmediate } from 'node:timers/promises';
import {
  arrivedJob,
  droppedBurn,
  livelyDiagnosis,
  ordinaryDiagnosis,
  provedJob,
  repairedJob,
  treatedVehicle,
  type DiagnosedVehicle,
} from '@white-ember/core/testing';

/** Of so many vehicles one is diagnosed by the fixed checklist as well: that takes as long again, and a median needs no more. */
const EVERY_FIXED = 3;
const beside =
  <D extends DiagnosedVehicle>(diagnose: (seed: number) => D) =>
  (seed: number) => {
    const { fixed, ...one } = diagnose(seed);
    return { ...one, ...(seed % EVERY_FIXED === 1 ? { fixed: fixed() } : {}) };
  };

/** What is done to every vehicle of a row. */
export const VEHICLE_WORK = {
  ordinary: beside(ordinaryDiagnosis),
  lively: beside((seed) => livelyDiagnosis(seed)),
  arrived: arrivedJob,
  treated: treatedVehicle,
  dropped: droppedBurn,
  proved: provedJob,
  repaired: repairedJob,
} as const;
export type VehicleWork = keyof typeof VEHICLE_WORK;

/** What one of several processes is asked for: every n-th vehicle from a first one on. */
export interface VehicleShare {
  readonly work: VehicleWork;
  readonly first: number;
  readonly last: number;
  readonly step: number;
}

// Whoever asked is gone: nobody waits for the answer.
process.on('disconnect', () => process.exit());
process.on('message', ({ work, first, last, step }: VehicleShare) => {
  void (async () => {
    const found: unknown[] = [];
    for (let seed = first; seed <= last; seed += step) {
      found.push(VEHICLE_WORK[work](seed));
      await setImmediate();
    }
    process.send?.(found, () => process.disconnect());
  })();
});
