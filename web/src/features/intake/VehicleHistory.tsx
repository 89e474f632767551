import { Link } from 'react-router';
import { useJobsQuery } from '../../app/api.ts';
import type { OpenJob } from '../job/useJob.ts';

/** Earlier jobs of the same vehicle: what was it then, and did it hold? */
export function VehicleHistory({ open }: { open: OpenJob }) {
  const jobs = useJobsQuery({ show: 'all', vehicleId: open.vehicle.id });
  const earlier = (jobs.data?.jobs ?? []).filter(
    ({ id, openedAt }) => id !== open.job.id && openedAt <= open.job.openedAt,
  );
  if (earlier.length === 0) return null;
  return (
    <div>
      <h2 className="text-xl mb-1">Here before</h2>
      <ul className="border-t-2 border-ink">
        {earlier.map((job) => (
          <li key={job.id} className="border-b-2 border-rule">
            <Link to={`/jobs/${job.id}`} className="block py-2 min-h-11 hover:bg-card">
              <span className="font-head font-semibold">
                {new Date(job.openedAt).toLocaleDateString('en-GB', {
                  day: 'numeric',
                  month: 'short',
                  year: 'numeric',
                })}
                , job {job.number}
              </span>
              <span className="block text-sm text-ink2">{job.summary.headline}</span>
            </Link>
          </li>
        ))}
      </ul>
    </div>
  );
}
