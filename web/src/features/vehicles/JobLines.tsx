import * as common from '@white-ember/core/words/screens/common';
import { useWords } from '../../data/words.ts';
import { Say } from '../../ui/Say.tsx';
import { Link } from 'react-router';
import type { JobListItem } from '@white-ember/core/contract';

/** Jobs of a vehicle, a line each: when, and what came of it. */
export function JobLines({ jobs }: { jobs: readonly JobListItem[] }) {
  const words = useWords();
  return (
    <ul className="border-t-2 border-ink">
      {jobs.map((job) => (
        <li key={job.id} className="border-b-2 border-rule">
          <Link to={`/jobs/${job.id}`} className="block py-2 min-h-11 hover:bg-card">
            <span className="font-head font-semibold">
              {common.jobWithPlate(words.shortDate(job.openedAt), job.number)}
            </span>
            <span className="block text-sm text-ink2">
              <Say it={job.summary.headline} />
            </span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
