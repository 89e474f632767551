import type { Job } from '@white-ember/core/contract';
import type { Entry } from '@white-ember/core/ledger';
import type { Waiting } from '../data/outboxStore.ts';

/**
 * All entries of a job as this page knows them: those that it was fetched with, those that were stored since, and those that wait. What
 * was fetched may be older than what was stored: an answer that was on its way does not take an entry off the page.
 */
export function entriesShown(
  job: Pick<Job, 'id' | 'entries'>,
  sent: readonly Entry[],
  mine: readonly Waiting[],
  authorName: string,
): { readonly entries: readonly Entry[]; readonly waiting: readonly Entry[] } {
  const known = new Set(job.entries.map(({ id }) => id));
  const since = sent.filter(({ jobId, id }) => jobId === job.id && !known.has(id));
  for (const { id } of since) known.add(id);
  const first = job.entries.length + since.length + 1;
  const waiting = mine
    .filter(({ jobId, refused, entry }) => jobId === job.id && refused === undefined && !known.has(entry.id))
    .map(({ memberId, entry }, i): Entry => ({
      ...entry,
      jobId: job.id,
      seq: first + i,
      authorId: memberId,
      authorName,
      serverTime: entry.deviceTime,
    }));
  return { entries: [...job.entries, ...since, ...waiting], waiting };
}
