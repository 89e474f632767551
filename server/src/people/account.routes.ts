import { say } from '@white-ember/core/words';
import { createHash } from 'node:crypto';
import { z } from 'zod';
import {
  memberSchema,
  passwordChangeSchema,
  recoveryCodesSchema,
  secondFactorCodeSchema,
  secondFactorEndSchema,
  secondFactorOfferSchema,
  signedInSchema,
} from '@white-ember/core/contract';
import { networkOf } from '../http/network.ts';
import { conflict, notFound, Refusal } from '../http/problem.ts';
import { memberRoute, type MemberCall, type Route } from '../http/route.ts';
import { deviceOf } from '../http/session.ts';
import { MemberEntity } from '../database/entities/member.entity.ts';
import { endSessionsOf, toMemberView } from './members.ts';
import { hashPassword, verifyPassword } from './passwords.ts';
import { refuseWeakPassword } from './passwordStrength.ts';
import { newRecoveryCodes, newSecret, stepOfCode, uriOf } from './secondFactor.ts';

/** A session is named to its person by this: its own id would let whoever reads it take it over. */
const nameOf = (sid: string): string => createHash('sha256').update(sid).digest('hex').slice(0, 24);

interface KeptSession {
  sid: string;
  sess: { signedInAt?: string; lastSeenAt?: string; device?: string };
}

/** The own password again, before what it guards is changed. */
async function checkOwnPassword(
  { member, req, signInLimits }: MemberCall<unknown, unknown, unknown>,
  current: string,
): Promise<void> {
  const one = { network: networkOf(req.ip), name: member.signInName.toLowerCase(), known: true };
  if (!(await signInLimits.tryPassword(one, () => verifyPassword(member.passwordHash, current))))
    throw new Refusal(400, say('refusals.your-password-is-not-right'), undefined, {
      current: say('refusals.is-not-right'),
    });
}

export const accountRoutes: Route[] = [
  memberRoute({
    method: 'put',
    path: '/api/account/password',
    access: 'viewer',
    whilePasswordIsDue: true,
    summary: 'Change the own password; whoever is signed in as the same person elsewhere is signed out',
    body: passwordChangeSchema,
    answer: memberSchema,
    handle: async (call) => {
      const { body, db, member, req } = call;
      await checkOwnPassword(call, body.current);
      if (body.password === body.current)
        throw new Refusal(
          400,
          say('refusals.the-input-is-not-right'),
          say('refusals.choose-another-password-than-the-one'),
          {
            password: say('refusals.is-the-one-of-now'),
          },
        );
      await refuseWeakPassword(body.password, [member.name, member.signInName]);
      const passwordHash = await hashPassword(body.password);
      await db.transaction(async (manager) => {
        await manager.update(MemberEntity, { id: member.id }, { passwordHash, mustChangePassword: false });
        await endSessionsOf(manager, member.id, req.sessionID);
      });
      return toMemberView({ ...member, passwordHash, mustChangePassword: false });
    },
  }),
  memberRoute({
    method: 'get',
    path: '/api/account/sessions',
    access: 'viewer',
    summary: 'Where the person is signed in',
    answer: z.array(signedInSchema),
    handle: async ({ db, member, req }) => {
      const rows = await db.query<KeptSession[]>(
        `SELECT sid, sess FROM session WHERE sess->>'memberId' = $1 AND expire > now()`,
        [member.id],
      );
      return rows
        .map(({ sid, sess: { signedInAt = '', lastSeenAt = signedInAt, device = deviceOf(undefined) } }) => ({
          id: nameOf(sid),
          device,
          signedInAt,
          lastSeenAt,
          current: sid === req.sessionID,
        }))
        .sort((a, b) => b.lastSeenAt.localeCompare(a.lastSeenAt));
    },
  }),
  memberRoute({
    method: 'delete',
    path: '/api/account/sessions/:name',
    access: 'viewer',
    summary: 'Revoke one of the own sessions',
    params: z.object({ name: z.string().regex(/^[0-9a-f]{24}$/) }),
    handle: async ({ params, db, member }) => {
      const rows = await db.query<{ sid: string }[]>(`SELECT sid FROM session WHERE sess->>'memberId' = $1`, [
        member.id,
      ]);
      const found = rows.find(({ sid }) => nameOf(sid) === params.name);
      if (!found) throw notFound(say('refusals.the-session'));
      await db.query('DELETE FROM session WHERE sid = $1', [found.sid]);
    },
  }),
  memberRoute({
    method: 'post',
    path: '/api/account/second-factor',
    access: 'lead',
    summary: 'Offer a second factor: a secret for an authenticator, in force once a code of it was entered',
    answer: secondFactorOfferSchema,
    handle: async ({ member, req }) => {
      if (member.totpSecret !== null) throw conflict(say('refusals.a-second-factor-is-set-up'));
      const secret = newSecret();
      req.session.offeredSecret = secret;
      return Promise.resolve({ secret, uri: uriOf(secret, member.signInName) });
    },
  }),
  memberRoute({
    method: 'put',
    path: '/api/account/second-factor',
    access: 'lead',
    summary: 'Confirm the offered second factor by a code; gives the recovery codes, once',
    body: secondFactorCodeSchema,
    answer: recoveryCodesSchema,
    handle: async ({ body, db, member, req, signInLimits }) => {
      const secret = req.session.offeredSecret;
      if (secret === undefined) throw conflict(say('refusals.no-second-factor-was-offered-begin'));
      const one = { network: networkOf(req.ip), name: member.signInName.toLowerCase(), known: true };
      let step: number | undefined;
      const right = await signInLimits.tryPassword(one, () => {
        step = stepOfCode(secret, body.code, 0);
        return Promise.resolve(step !== undefined);
      });
      if (!right || step === undefined)
        throw new Refusal(
          400,
          say('refusals.this-code-is-not-right'),
          say('refusals.look-at-the-clock-of-your'),
          {
            code: say('refusals.is-not-right'),
          },
        );
      const { codes, hashes } = newRecoveryCodes();
      await db.manager.update(
        MemberEntity,
        { id: member.id },
        { totpSecret: secret, totpStep: String(step), recoveryHashes: hashes },
      );
      delete req.session.offeredSecret;
      return { recoveryCodes: codes };
    },
  }),
  memberRoute({
    method: 'post',
    path: '/api/account/second-factor/end',
    access: 'viewer',
    summary: 'End the own second factor',
    body: secondFactorEndSchema,
    answer: memberSchema,
    handle: async (call) => {
      const { body, db, member } = call;
      await checkOwnPassword(call, body.current);
      const ended = { totpSecret: null, totpStep: null, recoveryHashes: [] };
      await db.manager.update(MemberEntity, { id: member.id }, ended);
      return toMemberView({ ...member, ...ended });
    },
  }),
];
