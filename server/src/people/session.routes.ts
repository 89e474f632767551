import { plainly, say } from '@white-ember/core/words';
import type { Request } from 'express';
import type { DataSource, EntityManager } from 'typeorm';
import {
  demoSignInSchema,
  firstRunSchema,
  sessionSchema,
  signInSchema,
  type Role,
  type Session,
} from '@white-ember/core/contract';
import type { Config } from '../http/config.ts';
import { networkOf } from '../http/network.ts';
import { Refusal } from '../http/problem.ts';
import { memberRoute, publicRoute, type Route } from '../http/route.ts';
import { diskWarning } from '../uploads/disk.ts';
import { csrfTokenOf, endSession, startSession, VISITOR_TOKEN } from '../http/session.ts';
import { contentHash } from '../http/once.ts';
import {
  MemberEntity,
  NEW_MEMBER,
  toWorkshop,
  WorkshopEntity,
  type Member,
} from '../database/entities/member.entity.ts';
import { bySignInName, memberOf, toMemberView } from './members.ts';
import { hashPassword, verifyPassword } from './passwords.ts';
import { refuseWeakPassword } from './passwordStrength.ts';
import { stepOfCode, useRecoveryCode } from './secondFactor.ts';

/** Whether anybody belongs to a workshop that is not the demo: then the first run is over. */
const hasRealPeople = (manager: EntityManager): Promise<boolean> =>
  manager
    .createQueryBuilder(MemberEntity, 'm')
    .innerJoin('workshop', 'w', 'w.id = m.workshop_id AND NOT w.is_demo')
    .getExists();

async function demoMembers(db: DataSource, config: Config): Promise<Member[]> {
  if (!config.demo) return [];
  const workshop = await db.manager.findOneBy(WorkshopEntity, { isDemo: true });
  const members = workshop ? await db.manager.findBy(MemberEntity, { workshopId: workshop.id }) : [];
  return members.filter(({ removedAt, suspendedAt }) => removedAt === null && suspendedAt === null);
}

/** Who most people look around as comes first. */
const DEMO_ORDER: readonly Role[] = ['technician', 'lead', 'viewer'];

async function describeSession(req: Request, db: DataSource, config: Config): Promise<Session> {
  const member = await memberOf(req, db);
  if (member) {
    const workshop = await db.manager.findOneByOrFail(WorkshopEntity, { id: member.workshopId });
    const warning = member.role === 'lead' ? await diskWarning(config.uploadFolder) : undefined;
    return {
      ...(warning === undefined ? {} : { warning }),
      csrfToken: csrfTokenOf(req),
      maxUploadBytes: config.maxUploadBytes,
      firstRun: false,
      member: toMemberView(member),
      workshop: toWorkshop(workshop),
    };
  }
  const demo = await demoMembers(db, config);
  return {
    csrfToken: VISITOR_TOKEN,
    maxUploadBytes: config.maxUploadBytes,
    firstRun: !(await hasRealPeople(db.manager)),
    ...(demo.length > 0
      ? {
          demo: demo
            .map(({ name, role, signInName }) => ({ name, role, signInName }))
            .sort((a, b) => DEMO_ORDER.indexOf(a.role) - DEMO_ORDER.indexOf(b.role)),
        }
      : {}),
  };
}

/** The second factor of who has one: a code of the authenticator, or a recovery code, each taken once. */
async function checkSecondFactor(db: DataSource, member: Member, code: string | undefined): Promise<boolean> {
  const { id, totpSecret, totpStep, recoveryHashes } = member;
  if (totpSecret === null) return true;
  if (code === undefined || code === '') {
    const wanted = plainly(say('faults.code-wanted'));
    throw new Refusal(401, say('refusals.a-code-is-needed-too'), wanted, { code: wanted });
  }
  const step = /^\d{6}$/.test(code) ? stepOfCode(totpSecret, code, Number(totpStep ?? 0)) : undefined;
  if (step !== undefined) {
    // Of two who send the same code at the same moment one is let in.
    const taken = await db.query<[unknown[], number]>(
      'UPDATE member SET totp_step = $2 WHERE id = $1 AND coalesce(totp_step, 0) < $2 RETURNING id',
      [id, step],
    );
    return taken[1] === 1;
  }
  const left = useRecoveryCode(recoveryHashes, code);
  if (!left) return false;
  const used = await db.query<[unknown[], number]>(
    'UPDATE member SET recovery_hashes = $2 WHERE id = $1 AND recovery_hashes = $3 RETURNING id',
    [id, JSON.stringify(left), JSON.stringify(recoveryHashes)],
  );
  return used[1] === 1;
}

async function isKnownNetwork(
  db: DataSource,
  memberId: string | undefined,
  network: string,
): Promise<boolean> {
  if (memberId === undefined) return false;
  const rows = await db.query<unknown[]>(
    'SELECT 1 FROM known_network WHERE member_id = $1 AND network = $2',
    [memberId, network],
  );
  return rows.length > 0;
}

const rememberNetwork = (db: DataSource, memberId: string, network: string): Promise<unknown> =>
  db.query(
    `INSERT INTO known_network (member_id, network) VALUES ($1, $2)
     ON CONFLICT (member_id, network) DO UPDATE SET last_at = now()`,
    [memberId, network],
  );

export const sessionRoutes: Route[] = [
  publicRoute({
    method: 'get',
    path: '/api/session',
    summary: 'Who is signed in, the CSRF token for writes, and whether a first lead is still to be made',
    answer: sessionSchema,
    handle: ({ req, db, config }) => describeSession(req, db, config),
  }),
  publicRoute({
    method: 'post',
    path: '/api/session',
    summary: 'Sign in, with a code where a second factor is set up',
    body: signInSchema,
    answer: sessionSchema,
    handle: async ({ body, req, db, config, signInLimits }) => {
      const member = await bySignInName(db.manager, body.signInName);
      const network = networkOf(req.ip);
      const one = {
        network,
        name: body.signInName.toLowerCase(),
        known: await isKnownNetwork(db, member?.id, network),
      };
      const right = await signInLimits.tryPassword(one, () =>
        verifyPassword(member?.passwordHash, body.password),
      );
      if (!right || !member) throw new Refusal(401, say('refusals.sign-in-name-or-password-is'));
      if (member.suspendedAt !== null)
        throw new Refusal(
          403,
          say('refusals.you-are-suspended-in-this-workshop'),
          say('refusals.ask-a-lead-what-you-entered'),
        );
      if (!(await signInLimits.tryPassword(one, () => checkSecondFactor(db, member, body.code))))
        throw new Refusal(
          401,
          say('refusals.this-code-is-not-right'),
          say('refusals.codes-change-every-half-minute-and'),
          {
            code: say('refusals.is-not-right-or-was-used'),
          },
        );
      await rememberNetwork(db, member.id, network);
      await startSession(req, member.id);
      return describeSession(req, db, config);
    },
  }),
  publicRoute({
    method: 'post',
    path: '/api/session/demo',
    summary: 'Sign in to the demo workshop with one tap; only where the demo is installed',
    body: demoSignInSchema,
    answer: sessionSchema,
    handle: async ({ body, req, db, config }) => {
      const member = (await demoMembers(db, config)).find((m) => m.signInName === body.signInName);
      if (!member) throw new Refusal(403, say('refusals.this-is-no-demo-sign-in'));
      await startSession(req, member.id);
      return describeSession(req, db, config);
    },
  }),
  memberRoute({
    method: 'delete',
    path: '/api/session',
    access: 'viewer',
    whilePasswordIsDue: true,
    summary: 'Sign out',
    handle: async ({ req }) => {
      await endSession(req);
    },
  }),
  publicRoute({
    method: 'post',
    path: '/api/first-run',
    summary: 'Make the workshop and its first lead; only while there is no member at all',
    body: firstRunSchema,
    answer: sessionSchema,
    handle: async ({ body, req, db, config }) => {
      if (await hasRealPeople(db.manager)) throw alreadyPeople();
      await refuseWeakPassword(body.password, [body.name, body.signInName, body.workshopName]);
      const passwordHash = await hashPassword(body.password);
      await db.transaction(async (manager) => {
        // One first run only, also when two browsers press at once.
        await manager.query('SELECT pg_advisory_xact_lock(470001)');
        if (await hasRealPeople(manager)) throw alreadyPeople();
        await manager.insert(WorkshopEntity, { id: body.workshopId, name: body.workshopName });
        await manager.insert(MemberEntity, {
          ...NEW_MEMBER,
          id: body.memberId,
          workshopId: body.workshopId,
          name: body.name,
          signInName: body.signInName,
          passwordHash,
          role: 'lead',
          contentHash: contentHash({ ...body, password: undefined }),
        });
      });
      await startSession(req, body.memberId);
      return describeSession(req, db, config);
    },
  }),
];

const alreadyPeople = (): Refusal =>
  new Refusal(
    409,
    say('refusals.this-installation-already-has-people'),
    say('refusals.ask-a-lead-to-add-you'),
  );
