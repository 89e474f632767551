import * as wording from '@white-ember/core/words/screens/job';
import * as common from '@white-ember/core/words/screens/common';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { problemOf } from '../data/api.ts';
import { ProblemNotice } from '../ui/Notice.tsx';
import { useJob, type OpenJob } from './useJob.ts';

/** A page about one job: what was wrong where it cannot be opened, a word while it is opened, then the page. */
export function WithJob({
  jobId,
  at,
  opening = wording.openingTheJob,
  children,
}: {
  jobId: string;
  /** The moment that is looked back at. */
  at?: number | undefined;
  opening?: string;
  children: (open: OpenJob) => ReactNode;
}) {
  const { open, error } = useJob(jobId, at);
  if (error)
    return (
      <main className="p-6 max-w-xl">
        <ProblemNotice problem={problemOf(error)} />
        <Link to="/jobs" className="underline font-head font-semibold mt-4 inline-block">
          {common.goToTheJobs}
        </Link>
      </main>
    );
  return open ? children(open) : <p className="p-6 font-head text-xl">{opening}</p>;
}
