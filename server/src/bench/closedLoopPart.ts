import { diagnosedVehicle, type DiagnosedVehicle } from '@white-ember/core/testing';

/** One of several processes that share the vehicles of the closed loop: every n-th from a first one on. */
process.on('message', ({ first, last, step }: { first: number; last: number; step: number }) => {
  const found: DiagnosedVehicle[] = [];
  for (let seed = first; seed <= last; seed += step) found.push(diagnosedVehicle(seed));
  // All at once: what is sent piece by piece waits until the work is done anyway.
  process.send?.(found, () => process.disconnect());
});
