import * as wording from '@white-ember/core/words/screens/intake';
import { useJobsQuery } from '../../data/api.ts';
import type { OpenJob } from '../../job/useJob.ts';
import { JobLines } from '../vehicles/JobLines.tsx';

/** Earlier jobs of the same vehicle: what was it then, and did it hold? */
export function VehicleHistory({ open }: { open: OpenJob }) {
  const jobs = useJobsQuery({ show: 'all', vehicleId: open.vehicle.id });
  const earlier = (jobs.data?.jobs ?? []).filter(
    ({ id, openedAt }) => id !== open.job.id && openedAt <= open.job.openedAt,
  );
  if (earlier.length === 0) return null;
  return (
    <div>
      <h2 className="text-xl mb-1">{wording.previousVisits}</h2>
      <JobLines jobs={earlier} />
    </div>
  );
}
