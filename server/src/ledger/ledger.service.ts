import { say } from '@white-ember/core/words';
import type { DataSource, EntityManager } from 'typeorm';
import {
  chainLink,
  impossibleMoments,
  isAfterSignOff,
  type Entry,
  type NewEntry,
} from '@white-ember/core/ledger';
import { conflict, notFound, Refusal } from '../http/problem.ts';
import { contentHash, sha256 } from '../http/once.ts';
import { judgedJob } from '../judging/judgedJob.ts';
import { refreshSummary } from '../judging/jobSummary.ts';
import { keepSeal, makeSeal, openSeal } from '../jobs/seals.ts';
import {
  bearsOnTheLast,
  previousProved,
  readEntries,
  readStoredJob,
  type StoredJob,
} from '../judging/storedJob.ts';
import { LogEntity } from '../database/entities/log.entity.ts';
import { WorkshopEntity, type Member } from '../database/entities/member.entity.ts';
import { EntryEntity, toEntry } from '../database/entities/entry.entity.ts';

/** Repeating an append answers with the stored entry; the same id with other content is refused. */
export async function appendEntry(
  db: DataSource,
  member: Pick<Member, 'id' | 'name' | 'workshopId' | 'role'>,
  jobId: string,
  input: NewEntry,
  now = new Date(),
): Promise<{ entry: Entry; created: boolean }> {
  const { workshopId } = member;
  const impossible = impossibleMoments(input, now.getTime());
  const [wrong] = Object.entries(impossible);
  if (wrong) throw new Refusal(400, say('refusals.the-input-is-not-right'), wrong.join(' '), impossible);
  const deviceTime = new Date(input.deviceTime).toISOString();
  const hash = contentHash({ ...input, deviceTime });
  return db.transaction(async (manager) => {
    const job = await readStoredJob(manager, workshopId, jobId, { lock: true });
    if (!job) throw notFound(say('refusals.the-job'));
    const entries = await readEntries(manager, jobId);
    if (entries.some((stored) => stored.id === input.id))
      return alreadyStored(manager, input.id, [hash, contentHash(input)]);
    checkFits(job, entries, input);
    await checkMaySignOff(manager, member, entries, input);
    if (input.body.kind === 'reading' && input.body.origin.type === 'log') {
      const { logId } = input.body.origin;
      if (!(await manager.existsBy(LogEntity, { id: logId, jobId, workshopId }))) {
        throw new Refusal(400, say('refusals.the-log-of-this-reading-is'), undefined, {
          'body.origin.logId': say('refusals.is-not-on-this-job'),
        });
      }
    }
    const entry: Entry = {
      ...input,
      deviceTime,
      jobId,
      seq: job.entryCount + 1,
      authorId: member.id,
      authorName: member.name,
      serverTime: now.toISOString(),
    };
    const ledger = [...entries, entry];
    const [last] = await manager.query<{ chain_hash: string }[]>(
      'SELECT chain_hash FROM entry WHERE job_id = $1 AND seq = $2',
      [jobId, job.entryCount],
    );
    const chainHash = chainLink(last?.chain_hash ?? '', entry, sha256);
    // A sign-off seals the job; what supersedes it opens it, and may be another sign-off.
    const bearsOnSeal = entry.body.kind === 'sign-off' || entry.supersedes === job.seal?.entryId;
    const current = bearsOnSeal && job.seal ? await unsealed(manager, workshopId, jobId) : job;
    const seal = bearsOnSeal ? await makeSeal(manager, workshopId, current, ledger) : job.seal;
    const { summary, visit, followUps } = await judgedJob(
      manager,
      seal ? { ...current, seal } : current,
      ledger,
    );
    // Entry and the job's line in one statement: both or neither, in one journey to the database.
    const [stored] = await manager.query<[{ id: string }[], number]>(
      `WITH added AS (
         INSERT INTO entry (id, workshop_id, job_id, seq, author_id, author_name, device_time, server_time, supersedes,
                            body, content_hash, chain_hash)
         VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $15)
         ON CONFLICT (id) DO NOTHING RETURNING id)
       UPDATE job SET entry_count = $4, last_entry_at = $8, summary = $12, visit = $13, follow_ups = $14
        WHERE id = $3 AND EXISTS (SELECT 1 FROM added) RETURNING id`,
      [
        entry.id,
        workshopId,
        jobId,
        entry.seq,
        entry.authorId,
        entry.authorName,
        entry.deviceTime,
        entry.serverTime,
        entry.supersedes ?? null,
        entry.body,
        hash,
        summary,
        visit,
        JSON.stringify(followUps),
        chainHash,
      ],
    );
    if (stored.length === 0) throw conflict(say('refusals.this-entry-id-is-already-in'));
    if (bearsOnSeal) await (seal ? keepSeal(manager, workshopId, jobId, seal) : openSeal(manager, jobId));
    // What this visit reads may contradict what the last one proved.
    const previous = bearsOnTheLast(entry.body.kind) ? await previousProved(manager, jobId) : undefined;
    if (previous) await refreshSummary(manager, workshopId, previous);
    return { entry, created: true };
  });
}

/** A job with vehicle and limits as they are now, whatever it was signed off with. */
async function unsealed(manager: EntityManager, workshopId: string, jobId: string): Promise<StoredJob> {
  const job = await readStoredJob(manager, workshopId, jobId, { sealed: false });
  if (!job) throw notFound(say('refusals.the-job'));
  return job;
}

/** A repeated write answers as the first one did; the same id with other content is refused. */
async function alreadyStored(
  manager: EntityManager,
  id: string,
  hashes: readonly string[],
): Promise<{ entry: Entry; created: boolean }> {
  const row = await manager.findOneByOrFail(EntryEntity, { id });
  // An older version kept the hash of a moment as it was spelled.
  if (!hashes.includes(row.contentHash)) throw conflict(say('refusals.this-entry-id-is-already-in'));
  return { entry: toEntry(row), created: false };
}

/** In a workshop where a lead signs off, nobody else does, nor takes it back. */
async function checkMaySignOff(
  manager: EntityManager,
  { workshopId, role }: Pick<Member, 'workshopId' | 'role'>,
  entries: readonly Entry[],
  input: NewEntry,
): Promise<void> {
  const corrected = entries.find((stored) => stored.id === input.supersedes);
  if (role === 'lead' || (input.body.kind !== 'sign-off' && corrected?.body.kind !== 'sign-off')) return;
  const { signOffBy } = await manager.findOneByOrFail(WorkshopEntity, { id: workshopId });
  if (signOffBy === 'lead') {
    throw new Refusal(
      403,
      say('refusals.in-this-workshop-a-lead-signs'),
      say('refusals.leave-the-job-open-and-tell'),
    );
  }
}

/** What an entry corrects must be on its job, and a signed-off job takes notes only until the sign-off is taken back. */
function checkFits(job: StoredJob, entries: readonly Entry[], input: NewEntry): void {
  const corrected = entries.find((stored) => stored.id === input.supersedes);
  if (input.supersedes && !corrected) {
    throw new Refusal(400, say('refusals.the-entry-to-be-corrected-is'), undefined, {
      supersedes: say('refusals.is-not-on-this-job'),
    });
  }
  if (input.body.kind === 'withdrawn' && !corrected) {
    throw new Refusal(400, say('refusals.say-which-entry-is-withdrawn'), undefined, {
      supersedes: say('refusals.must-name-an-entry'),
    });
  }
  if (
    job.summary.signedOff &&
    corrected?.body.kind !== 'sign-off' &&
    !(
      isAfterSignOff(corrected?.body.kind ?? input.body.kind) &&
      (input.body.kind === 'withdrawn' || isAfterSignOff(input.body.kind))
    )
  ) {
    throw conflict(say('refusals.this-job-is-signed-off-withdraw'));
  }
}
