import { vehicleFactsOf } from '@white-ember/core/job';
import { offVehicleWork, sootByPressure, type OffVehicleWork } from '@white-ember/core/treatment';
import type { OpenJob } from '../../../job/useJob.ts';

/** What came off on a job and what the filter weighed, with the soot of its before reading. */
export function offVehicleOf({ derived, vehicle, filter, limits }: OpenJob): OffVehicleWork {
  const { displacementL } = vehicleFactsOf(vehicle);
  const soot = derived.before
    ? sootByPressure(derived.before.body, filter, {
        limits,
        ...(displacementL === undefined ? {} : { displacementL }),
      })
    : undefined;
  return offVehicleWork({
    entries: derived.entries,
    limits,
    ...(soot?.ok ? { soot: soot.value } : {}),
  });
}
