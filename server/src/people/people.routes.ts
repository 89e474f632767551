import type { Request } from 'express';
import type { DataSource, EntityManager } from 'typeorm';
import { z } from 'zod';
import {
  demoSignInSchema,
  firstRunSchema,
  memberSchema,
  newMemberSchema,
  newPasswordSchema,
  sessionSchema,
  workshopSchema,
  workshopUpdateSchema,
  signInSchema,
  type Member as MemberView,
  type Role,
  type Session,
  type Workshop as WorkshopView,
} from '@white-ember/core/contract';
import { idSchema } from '@white-ember/core/ledger';
import type { Config } from '../app/config.ts';
import { notFound, Refusal } from '../app/problem.ts';
import { memberRoute, publicRoute, type Route } from '../app/route.ts';
import { csrfTokenOf, endSession, startSession } from '../app/session.ts';
import { contentHash, insertOnce } from '../database/once.ts';
import { MemberEntity, WorkshopEntity, type Member, type Workshop } from './member.entity.ts';
import { hashPassword, verifyPassword } from './passwords.ts';

const toWorkshop = ({ id, name, signOffBy }: Workshop): WorkshopView => ({ id, name, signOffBy });

const toView = ({ id, name, signInName, role, passwordHash }: Member): MemberView => ({
  id,
  name,
  signInName,
  role,
  maySignIn: passwordHash !== '',
});

/** The member of a session, fresh from the database, so that a changed role or removed member counts at once. */
export async function memberOf(req: Request, db: DataSource): Promise<Member | undefined> {
  const memberId = req.session.memberId;
  if (!memberId) return undefined;
  // On every request: plain SQL, as building the query would take longer than running it.
  const [member] = await db.query<Member[]>(
    `SELECT id, workshop_id AS "workshopId", name, sign_in_name AS "signInName", password_hash AS "passwordHash", role,
            content_hash AS "contentHash" FROM member WHERE id = $1`,
    [memberId],
  );
  return member;
}

const bySignInName = (db: DataSource, signInName: string): Promise<Member | null> =>
  db.manager
    .createQueryBuilder(MemberEntity, 'm')
    .where('lower(m.sign_in_name) = lower(:signInName)', { signInName })
    .getOne();

/** Whether anybody belongs to a workshop that is not the demo: then the first run is over. */
const hasRealPeople = (manager: EntityManager): Promise<boolean> =>
  manager
    .createQueryBuilder(MemberEntity, 'm')
    .innerJoin('workshop', 'w', 'w.id = m.workshop_id AND NOT w.is_demo')
    .getExists();

async function demoMembers(db: DataSource, config: Config): Promise<Member[]> {
  if (!config.demo) return [];
  const workshop = await db.manager.findOneBy(WorkshopEntity, { isDemo: true });
  return workshop ? db.manager.findBy(MemberEntity, { workshopId: workshop.id }) : [];
}

/** Who most people look around as comes first. */
const DEMO_ORDER: readonly Role[] = ['technician', 'lead', 'viewer'];

async function describeSession(req: Request, db: DataSource, config: Config): Promise<Session> {
  const member = await memberOf(req, db);
  const csrfToken = csrfTokenOf(req);
  if (member) {
    const workshop = await db.manager.findOneByOrFail(WorkshopEntity, { id: member.workshopId });
    return {
      csrfToken,
      maxUploadBytes: config.maxUploadBytes,
      firstRun: false,
      member: toView(member),
      workshop: toWorkshop(workshop),
    };
  }
  const demo = await demoMembers(db, config);
  return {
    csrfToken,
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

export const peopleRoutes: Route[] = [
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
    summary: 'Sign in',
    body: signInSchema,
    answer: sessionSchema,
    limiter: 'sign-in',
    handle: async ({ body, req, db, config }) => {
      const member = await bySignInName(db, body.signInName);
      if (!(await verifyPassword(member?.passwordHash, body.password)) || !member) {
        throw new Refusal(401, 'Sign-in name or password is not right');
      }
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
    limiter: 'sign-in',
    handle: async ({ body, req, db, config }) => {
      const member = (await demoMembers(db, config)).find((m) => m.signInName === body.signInName);
      if (!member) throw new Refusal(403, 'This is no demo sign-in');
      await startSession(req, member.id);
      return describeSession(req, db, config);
    },
  }),
  memberRoute({
    method: 'delete',
    path: '/api/session',
    access: 'viewer',
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
    limiter: 'sign-in',
    handle: async ({ body, req, db, config }) => {
      const passwordHash = await hashPassword(body.password);
      await db.transaction(async (manager) => {
        // One first run only, also when two browsers press at once.
        await manager.query('SELECT pg_advisory_xact_lock(470001)');
        if (await hasRealPeople(manager)) {
          throw new Refusal(409, 'This installation already has people', 'Ask a lead to add you.');
        }
        await manager.insert(WorkshopEntity, { id: body.workshopId, name: body.workshopName });
        await manager.insert(MemberEntity, {
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
  memberRoute({
    method: 'put',
    path: '/api/workshop',
    access: 'lead',
    summary: 'Say who signs jobs off in this workshop',
    body: workshopUpdateSchema,
    answer: workshopSchema,
    handle: async ({ body, db, workshopId }) => {
      await db.manager.update(WorkshopEntity, { id: workshopId }, body);
      return toWorkshop(await db.manager.findOneByOrFail(WorkshopEntity, { id: workshopId }));
    },
  }),
  memberRoute({
    method: 'get',
    path: '/api/members',
    access: 'lead',
    summary: 'People of the workshop',
    answer: z.array(memberSchema),
    handle: async ({ db, workshopId }) =>
      (await db.manager.find(MemberEntity, { where: { workshopId }, order: { name: 'ASC' } })).map(toView),
  }),
  memberRoute({
    method: 'put',
    path: '/api/members/:id/password',
    access: 'lead',
    summary: 'Set a new password for a person; whoever is signed in as them is signed out',
    params: z.object({ id: idSchema }),
    body: z.object({ password: newPasswordSchema }),
    answer: memberSchema,
    handle: async ({ params, body, db, workshopId }) => {
      const member = await db.manager.findOneBy(MemberEntity, { id: params.id, workshopId });
      if (!member) throw notFound('The person');
      const passwordHash = await hashPassword(body.password);
      await db.transaction(async (manager) => {
        await manager.update(MemberEntity, { id: member.id }, { passwordHash });
        await manager.query(`DELETE FROM session WHERE sess->>'memberId' = $1`, [member.id]);
      });
      return toView({ ...member, passwordHash });
    },
  }),
  memberRoute({
    method: 'post',
    path: '/api/members',
    access: 'lead',
    summary: 'Add a person',
    body: newMemberSchema,
    answer: memberSchema,
    status: 201,
    handle: async ({ body, db, workshopId }) => {
      const { password, ...content } = body;
      const taken = await bySignInName(db, body.signInName);
      if (taken && taken.id !== body.id) {
        throw new Refusal(409, 'This sign-in name is taken', undefined, { signInName: 'is taken' });
      }
      const { row } = await insertOnce(db.manager, MemberEntity, {
        ...content,
        workshopId,
        passwordHash: await hashPassword(password),
        contentHash: contentHash(content),
      });
      return toView(row);
    },
  }),
];
