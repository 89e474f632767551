import type { DataSource } from 'typeorm';
import { deriveJob, summariseJob } from '@white-ember/core/job';
import type { Entry, NewEntry } from '@white-ember/core/ledger';
import { conflict, notFound, Refusal } from '../app/problem.ts';
import { contentHash } from '../database/once.ts';
import { JobEntity } from '../jobs/job.entity.ts';
import { factsOf, readEntries, readStoredJob } from '../jobs/storedJob.ts';
import { LogEntity } from '../logs/log.entity.ts';
import type { Member } from '../people/member.entity.ts';
import { EntryEntity, toEntry } from './entry.entity.ts';

/** Repeating an append answers with the stored entry; the same id with other content is refused. */
export async function appendEntry(
  db: DataSource,
  member: Pick<Member, 'id' | 'name' | 'workshopId'>,
  jobId: string,
  input: NewEntry,
  now = new Date(),
): Promise<{ entry: Entry; created: boolean }> {
  const { workshopId } = member;
  const hash = contentHash(input);
  return db.transaction(async (manager) => {
    const job = await readStoredJob(manager, workshopId, jobId, { lock: true });
    if (!job) throw notFound('The job');
    const known = await manager.findOneBy(EntryEntity, { id: input.id });
    if (known) {
      if (known.jobId !== jobId || known.workshopId !== workshopId || known.contentHash !== hash) {
        throw conflict('This entry id is already in use with other content.');
      }
      return { entry: toEntry(known), created: false };
    }
    const entries = await readEntries(manager, jobId);
    const corrected = entries.find((stored) => stored.id === input.supersedes);
    if (input.supersedes && !corrected) {
      throw new Refusal(400, 'The entry to be corrected is not on this job', undefined, {
        supersedes: 'is not on this job',
      });
    }
    if (input.body.kind === 'withdrawn' && !corrected) {
      throw new Refusal(400, 'Say which entry is withdrawn', undefined, { supersedes: 'must name an entry' });
    }
    if (job.summary.signedOff && corrected?.body.kind !== 'sign-off' && input.body.kind !== 'note') {
      throw conflict('This job is signed off. Take the sign-off back first; notes can still be added.');
    }
    if (input.body.kind === 'reading' && input.body.origin.type === 'log') {
      const { logId } = input.body.origin;
      if (!(await manager.existsBy(LogEntity, { id: logId, jobId, workshopId }))) {
        throw new Refusal(400, 'The log of this reading is not on this job', undefined, {
          'body.origin.logId': 'is not on this job',
        });
      }
    }
    const row = {
      id: input.id,
      workshopId,
      jobId,
      seq: job.entryCount + 1,
      authorId: member.id,
      authorName: member.name,
      deviceTime: new Date(input.deviceTime),
      serverTime: now,
      supersedes: input.supersedes ?? null,
      body: input.body,
      contentHash: hash,
    };
    await manager.insert(EntryEntity, row);
    const entry = toEntry(row);
    const derived = deriveJob(factsOf(job, [...entries, entry]));
    await manager.update(
      JobEntity,
      { id: jobId },
      { entryCount: row.seq, lastEntryAt: now, summary: summariseJob(derived, now.getTime()) },
    );
    return { entry, created: true };
  });
}
