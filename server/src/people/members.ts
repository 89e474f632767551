import type { Request } from 'express';
import type { DataSource, EntityManager } from 'typeorm';
import type { Member as MemberView } from '@white-ember/core/contract';
import { MemberEntity, type Member } from '../database/entities/member.entity.ts';

export const toMemberView = ({
  id,
  name,
  signInName,
  role,
  passwordHash,
  suspendedAt,
  mustChangePassword,
  totpSecret,
}: Member): MemberView => ({
  id,
  name,
  signInName,
  role,
  maySignIn: passwordHash !== '' && suspendedAt === null,
  ...(suspendedAt === null ? {} : { suspended: true }),
  ...(mustChangePassword ? { mustChangePassword: true } : {}),
  ...(totpSecret === null ? {} : { secondFactor: true }),
});

/** The member of a session, fresh from the database, so that a changed role or a suspended member counts at once. */
export async function memberOf(req: Request, db: DataSource): Promise<Member | undefined> {
  const memberId = req.session.memberId;
  if (!memberId) return undefined;
  // On every request: plain SQL, as building the query would take longer than running it.
  const [member] = await db.query<Member[]>(
    `SELECT id, workshop_id AS "workshopId", name, sign_in_name AS "signInName", password_hash AS "passwordHash", role,
            content_hash AS "contentHash", suspended_at AS "suspendedAt", removed_at AS "removedAt",
            must_change_password AS "mustChangePassword", totp_secret AS "totpSecret", totp_step AS "totpStep",
            recovery_hashes AS "recoveryHashes"
       FROM member WHERE id = $1 AND suspended_at IS NULL AND removed_at IS NULL`,
    [memberId],
  );
  return member;
}

/** Who signs in by a name; who left does no more. */
export const bySignInName = (manager: EntityManager, signInName: string): Promise<Member | null> =>
  manager
    .createQueryBuilder(MemberEntity, 'm')
    .where('lower(m.sign_in_name) = lower(:signInName) AND m.removed_at IS NULL', { signInName })
    .getOne();

/** Ends all sessions of a person, or all but one. */
export const endSessionsOf = (manager: EntityManager, memberId: string, but?: string): Promise<unknown> =>
  manager.query(`DELETE FROM session WHERE sess->>'memberId' = $1 AND sid IS DISTINCT FROM $2`, [
    memberId,
    but ?? null,
  ]);
