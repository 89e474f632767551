import type { EntityManager } from 'typeorm';
import type { JobSummary } from '@white-ember/core/contract';
import { deriveJob, summariseJob, visitOf } from '@white-ember/core/job';
import type { Entry } from '@white-ember/core/ledger';
import type { Visit } from '@white-ember/core/outlook';
import { factsOf, type StoredJob } from './storedJob.ts';

/** What core makes of a job’s ledger that is kept beside it: its line in lists, and what it leaves with its vehicle. */
export interface JudgedJob {
  readonly summary: JobSummary;
  readonly visit: Visit;
}

export async function judgedJob(
  manager: EntityManager,
  job: StoredJob,
  entries: readonly Entry[],
): Promise<JudgedJob> {
  const facts = await factsOf(manager, job, entries);
  const derived = deriveJob(facts);
  const { id, number, openedAt } = job;
  return {
    summary: summariseJob(derived),
    visit: visitOf({ id, number, openedAt: openedAt.toISOString() }, derived, facts),
  };
}
