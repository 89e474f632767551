import { plainly, say } from '@white-ember/core/words';
import type { DataSource, EntityManager } from 'typeorm';
import type { Mail, NewShare, ReportChoice, Share } from '@white-ember/core/report';
import { notFound, Refusal } from '../http/problem.ts';
import { keptSecret } from '../http/secrets.ts';
import { contentHash, insertOnce } from '../http/once.ts';
import { JobEntity } from '../database/entities/job.entity.ts';
import { WorkshopEntity, type Member } from '../database/entities/member.entity.ts';
import { ShareEntity, type MailRow, type ShareRow } from '../database/entities/share.entity.ts';
import { idOfToken, shareToken } from './shareToken.ts';

const DAY_MS = 86_400_000;

export const shareSecret = (db: DataSource): Promise<string> => keptSecret(db, 'share-secret');

const stateOf = ({ revokedAt, expiresAt }: ShareRow, now: Date): Share['state'] =>
  revokedAt ? 'revoked' : expiresAt <= now ? 'expired' : 'open';

export function presentShare(row: ShareRow, secret: string, now = new Date()): Share {
  return {
    id: row.id,
    version: row.choice.version,
    path: `/shared/${shareToken(row.id, secret)}`,
    madeAt: row.madeAt.toISOString(),
    madeBy: row.madeBy,
    expiresAt: row.expiresAt.toISOString(),
    state: stateOf(row, now),
    opened: row.opened,
    ...(row.revokedBy === null ? {} : { revokedBy: row.revokedBy }),
    ...(row.lastOpenedAt === null ? {} : { lastOpenedAt: row.lastOpenedAt.toISOString() }),
  };
}

export const presentMail = (row: MailRow, choice: ReportChoice): Mail => ({
  id: row.id,
  to: row.recipient,
  version: choice.version,
  sentAt: row.sentAt.toISOString(),
  sentBy: row.sentBy,
});

/** Why nothing of a job may leave the workshop at present; undefined where it may. */
export async function heldOff(
  manager: EntityManager,
  workshopId: string,
  jobId: string,
): Promise<string | undefined> {
  const job = await manager.findOneBy(JobEntity, { id: jobId, workshopId });
  if (!job) throw notFound(say('refusals.the-job'));
  const { signOffBy } = await manager.findOneByOrFail(WorkshopEntity, { id: workshopId });
  return signOffBy === 'lead' && !job.summary.signedOff ? plainly(say('faults.lead-signs-off')) : undefined;
}

/** Makes a link to the report of a job, once however often it is asked for. */
export async function makeShare(
  manager: EntityManager,
  member: Pick<Member, 'name' | 'workshopId'>,
  jobId: string,
  { id, days, ...choice }: NewShare,
  now: Date,
): Promise<ShareRow> {
  const held = await heldOff(manager, member.workshopId, jobId);
  if (held) throw new Refusal(409, say('refusals.the-report-stays-here-for-now'), held);
  const { row } = await insertOnce(manager, ShareEntity, {
    id,
    workshopId: member.workshopId,
    jobId,
    choice,
    madeAt: now,
    madeBy: member.name,
    expiresAt: new Date(now.getTime() + days * DAY_MS),
    revokedAt: null,
    revokedBy: null,
    opened: 0,
    lastOpenedAt: null,
    contentHash: contentHash({ jobId, days, choice }),
  });
  return row;
}

/**
 * The link that an address was made for, while it is open and its report may leave. All others get one and the same answer:
 * who guesses learns nothing by it.
 */
export async function openShare(db: DataSource, token: string, now = new Date()): Promise<ShareRow> {
  const id = idOfToken(token, await shareSecret(db));
  const row = id ? await db.manager.findOneBy(ShareEntity, { id }) : null;
  // A sign-off that was taken back, or is a lead's now: what may not leave is not shown either, until it is signed again.
  const shows =
    row &&
    stateOf(row, now) === 'open' &&
    (await heldOff(db.manager, row.workshopId, row.jobId)) === undefined;
  if (!shows)
    throw new Refusal(404, say('refusals.this-link-shows-nothing'), say('refusals.it-is-not-right-or-not'));
  return row;
}
