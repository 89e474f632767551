import { diagnosedVehicle } from '@white-ember/core/testing';

/** One of several processes that share the vehicles of the closed loop: every n-th from a first one on. */
process.on('message', ({ first, last, step }: { first: number; last: number; step: number }) => {
  for (let seed = first; seed <= last; seed += step) process.send?.(diagnosedVehicle(seed));
  process.disconnect();
});
