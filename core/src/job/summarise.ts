import { say } from '../words/index.ts';
import type { JobSummary } from '../contract/index.ts';
import type { DerivedJob } from './deriveJob.ts';

/** What the job list shows. Clocks stand in it with their end, so that it holds at any moment. */
export function summariseJob(job: DerivedJob): JobSummary {
  const [first] = job.open;
  const waiting = first?.kind === 'choice' ? say('job.the-customers-choice') : first?.waitsFor;
  return {
    stage: job.stage,
    headline: job.headline,
    verdict: job.verdict,
    signedOff: job.signedOff !== undefined,
    ...(waiting ? { waitsFor: waiting } : {}),
    clocks: job.clocks
      .filter(({ endedMs }) => endedMs === undefined)
      .map(({ entryId, clock, what, next, endMs }) => ({
        entryId,
        clock,
        what,
        ...(next === undefined ? {} : { next }),
        until: new Date(endMs).toISOString(),
      })),
  };
}
