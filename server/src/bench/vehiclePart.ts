import {
  arrivedJob,
  droppedBurn,
  livelyDiagnosis,
  ordinaryDiagnosis,
  provedJob,
  treatedVehicle,
} from '@white-ember/core/testing';

/** What is done to every vehicle of a row. */
export const VEHICLE_WORK = {
  ordinary: ordinaryDiagnosis,
  lively: livelyDiagnosis,
  arrived: arrivedJob,
  treated: treatedVehicle,
  dropped: droppedBurn,
  proved: provedJob,
} as const;
export type VehicleWork = keyof typeof VEHICLE_WORK;

/** What one of several processes is asked for: every n-th vehicle from a first one on. */
export interface VehicleShare {
  readonly work: VehicleWork;
  readonly first: number;
  readonly last: number;
  readonly step: number;
}

process.on('message', ({ work, first, last, step }: VehicleShare) => {
  const found: unknown[] = [];
  for (let seed = first; seed <= last; seed += step) found.push(VEHICLE_WORK[work](seed));
  // All at once: what is sent piece by piece waits until the work is done anyway.
  process.send?.(found, () => process.disconnect());
});
