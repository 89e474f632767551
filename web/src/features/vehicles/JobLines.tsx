import { Link } from 'react-router';
import type { JobListItem } from '@white-ember/core/contract';
import { dateOf } from '../report/dates.ts';

/** Jobs of a vehicle, a line each: when, and what came of it. */
export function JobLines({ jobs }: { jobs: readonly JobListItem[] }) {
  return (
    <ul className="border-t-2 border-ink">
      {jobs.map((job) => (
        <li key={job.id} className="border-b-2 border-rule">
          <Link to={`/jobs/${job.id}`} className="block py-2 min-h-11 hover:bg-card">
            <span className="font-head font-semibold">
              {dateOf(job.openedAt)}, job {job.number}
            </span>
            <span className="block text-sm text-ink2">{job.summary.headline}</span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
