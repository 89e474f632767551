import type { EntityManager } from 'typeorm';
import type { FollowUp, JobSummary } from '@white-ember/core/contract';
import {
  deriveJob,
  followUpsOf,
  keptOfSealed,
  summariseJob,
  unsealJob,
  visitOf,
} from '@white-ember/core/job';
import type { Entry } from '@white-ember/core/ledger';
import type { Visit } from '@white-ember/core/outlook';
import { factsOf, type StoredJob } from './storedJob.ts';

/** What core makes of a job’s ledger that is kept beside it: its line in lists, what it leaves with its vehicle, and what is to be done after it. */
export interface JudgedJob {
  readonly summary: JobSummary;
  readonly visit: Visit;
  readonly followUps: FollowUp[];
}

/** A job that is sealed says what it was sealed with; what is written down after it only ends and adds follow-ups. */
export async function judgedJob(
  manager: EntityManager,
  job: StoredJob,
  entries: readonly Entry[],
): Promise<JudgedJob> {
  const facts = await factsOf(manager, job, entries);
  const { id, number, openedAt, seal } = job;
  const sealed = seal && unsealJob(seal, entries, facts.nextJob ? { nextJob: facts.nextJob } : {});
  const derived = sealed ?? deriveJob(facts);
  return {
    ...(seal && sealed
      ? keptOfSealed(seal, sealed)
      : {
          summary: summariseJob(derived),
          visit: visitOf({ id, number, openedAt: openedAt.toISOString() }, derived, facts),
        }),
    followUps: followUpsOf(derived, facts.limits).filter(({ done }) => done === undefined),
  };
}
