import { fork } from 'node:child_process';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import type { VEHICLE_WORK, VehicleShare, VehicleWork } from './vehiclePart.ts';

/** Vehicles 1 to `count`, each worked on by itself, so processes share them: the result is the same, the wait is not. */
export async function shareVehicles<W extends VehicleWork>(
  work: W,
  count: number,
): Promise<ReturnType<(typeof VEHICLE_WORK)[W]>[]> {
  type Found = ReturnType<(typeof VEHICLE_WORK)[W]>[];
  const parts = availableParallelism();
  const shares = Array.from({ length: parts }, (_, part) => {
    const child = fork(join(import.meta.dirname, 'vehiclePart.ts'));
    let found: Found = [];
    return new Promise<Found>((resolve, reject) => {
      child.on('message', (all) => {
        found = all as Found;
      });
      child.on('exit', (code) =>
        code === 0 ? resolve(found) : reject(new Error(`A part ended with ${code ?? 'a signal'}`)),
      );
      child.send({ work, first: 1 + part, last: count, step: parts } satisfies VehicleShare);
    });
  });
  const all = (await Promise.all(shares)).flat();
  if (all.length !== count) throw new Error(`${all.length} of ${count} vehicles came back`);
  return all;
}
