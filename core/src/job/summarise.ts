import type { JobSummary } from '../contract/index.ts';
import type { DerivedJob } from './deriveJob.ts';

/** What the job list shows, at a moment. */
export function summariseJob(job: DerivedJob, nowMs: number): JobSummary {
  const running = job.dwells.filter((dwell) => dwell.endMs > nowMs).at(-1);
  const [first] = job.open;
  const waiting = first?.kind === 'choice' ? 'the customer’s choice' : first?.waitsFor;
  return {
    stage: job.stage,
    headline: job.headline,
    verdict: job.verdict,
    signedOff: job.signedOff !== undefined,
    ...(waiting ? { waitsFor: waiting } : {}),
    ...(running ? { dwellUntil: new Date(running.endMs).toISOString() } : {}),
  };
}
