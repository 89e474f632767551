import { say } from '@white-ember/core/words';
import type { EntityManager } from 'typeorm';
import { z } from 'zod';
import {
  memberSchema,
  memberUpdateSchema,
  newMemberSchema,
  newPasswordSchema,
  workshopSchema,
  workshopUpdateSchema,
} from '@white-ember/core/contract';
import { idSchema } from '@white-ember/core/ledger';
import { conflict, notFound, Refusal } from '../http/problem.ts';
import { memberRoute, type Route } from '../http/route.ts';
import { contentHash, insertOnce } from '../http/once.ts';
import {
  MemberEntity,
  NEW_MEMBER,
  toWorkshop,
  WorkshopEntity,
  type Member,
} from '../database/entities/member.entity.ts';
import { bySignInName, endSessionsOf, toMemberView } from './members.ts';
import { hashPassword } from './passwords.ts';
import { refuseWeakPassword } from './passwordStrength.ts';

/** A person of the workshop who has not left. With the workshop's row held: two leads do not take each other's role away. */
async function heldMember(manager: EntityManager, workshopId: string, id: string): Promise<Member> {
  await manager.query('SELECT id FROM workshop WHERE id = $1 FOR NO KEY UPDATE', [workshopId]);
  const member = await manager.findOneBy(MemberEntity, { id, workshopId });
  if (!member || member.removedAt !== null) throw notFound(say('refusals.the-person'));
  return member;
}

/** Somebody has to be left who can add people and set passwords. */
async function refuseWithoutLead(manager: EntityManager, workshopId: string): Promise<void> {
  const [left] = await manager.query<[{ n: number }]>(
    `SELECT count(*)::int AS n FROM member WHERE workshop_id = $1 AND role = 'lead' AND removed_at IS NULL
        AND suspended_at IS NULL AND password_hash <> ''`,
    [workshopId],
  );
  if (left.n === 0) throw conflict(say('refusals.a-workshop-needs-a-lead-who'));
}

const notYourself = (id: string, own: string): void => {
  if (id === own) throw conflict(say('refusals.ask-another-lead-nobody-suspends-removes'));
};

export const peopleRoutes: Route[] = [
  memberRoute({
    method: 'put',
    path: '/api/workshop',
    access: 'lead',
    summary: 'Say who signs jobs off in this workshop, and in which money it counts',
    body: workshopUpdateSchema,
    answer: workshopSchema,
    handle: async ({ body, db, workshopId }) => {
      const { signOffBy, currency } = body;
      await db.manager.update(
        WorkshopEntity,
        { id: workshopId },
        {
          ...(signOffBy === undefined ? {} : { signOffBy }),
          ...(currency === undefined ? {} : { currency }),
        },
      );
      return toWorkshop(await db.manager.findOneByOrFail(WorkshopEntity, { id: workshopId }));
    },
  }),
  memberRoute({
    method: 'get',
    path: '/api/members',
    access: 'lead',
    summary: 'People of the workshop; those who left are not among them',
    answer: z.array(memberSchema),
    handle: async ({ db, workshopId }) =>
      (await db.manager.find(MemberEntity, { where: { workshopId }, order: { name: 'ASC' } }))
        .filter(({ removedAt }) => removedAt === null)
        .map(toMemberView),
  }),
  memberRoute({
    method: 'put',
    path: '/api/members/:id',
    access: 'lead',
    summary: 'Change a person’s role, suspend them or let them in again',
    params: z.object({ id: idSchema }),
    body: memberUpdateSchema,
    answer: memberSchema,
    handle: ({ params, body, db, workshopId, member: own }) => {
      notYourself(params.id, own.id);
      return db.transaction(async (manager) => {
        const member = await heldMember(manager, workshopId, params.id);
        const changed = {
          role: body.role ?? member.role,
          suspendedAt:
            body.suspended === undefined
              ? member.suspendedAt
              : body.suspended
                ? (member.suspendedAt ?? new Date())
                : null,
        };
        await manager.update(MemberEntity, { id: member.id }, changed);
        await refuseWithoutLead(manager, workshopId);
        if (changed.suspendedAt !== null) await endSessionsOf(manager, member.id);
        return toMemberView({ ...member, ...changed });
      });
    },
  }),
  memberRoute({
    method: 'delete',
    path: '/api/members/:id',
    access: 'lead',
    summary: 'Remove a person: they sign in no more, what they entered stays, their sign-in name is free',
    params: z.object({ id: idSchema }),
    handle: ({ params, db, workshopId, member: own }) => {
      notYourself(params.id, own.id);
      return db.transaction(async (manager) => {
        const member = await heldMember(manager, workshopId, params.id);
        await manager.update(
          MemberEntity,
          { id: member.id },
          {
            removedAt: new Date(),
            signInName: `${member.signInName.slice(0, 60)} (left ${member.id.slice(-6)})`,
            passwordHash: '',
            totpSecret: null,
            totpStep: null,
            recoveryHashes: [],
          },
        );
        await refuseWithoutLead(manager, workshopId);
        await endSessionsOf(manager, member.id);
      });
    },
  }),
  memberRoute({
    method: 'put',
    path: '/api/members/:id/password',
    access: 'lead',
    summary:
      'Set a password for a person, who chooses their own with it; whoever is signed in as them is signed out',
    params: z.object({ id: idSchema }),
    body: z.object({ password: newPasswordSchema }),
    answer: memberSchema,
    handle: async ({ params, body, db, workshopId, member: own }) => {
      const known = await db.manager.findOneBy(MemberEntity, { id: params.id, workshopId });
      if (!known || known.removedAt !== null) throw notFound(say('refusals.the-person'));
      await refuseWeakPassword(body.password, [known.name, known.signInName]);
      const passwordHash = await hashPassword(body.password);
      // Who has lost their authenticator, too, sets it up anew.
      const changed = {
        passwordHash,
        mustChangePassword: known.id !== own.id,
        totpSecret: null,
        totpStep: null,
        recoveryHashes: [],
      };
      await db.transaction(async (manager) => {
        await manager.update(MemberEntity, { id: known.id }, changed);
        await endSessionsOf(manager, known.id);
      });
      return toMemberView({ ...known, ...changed });
    },
  }),
  memberRoute({
    method: 'post',
    path: '/api/members',
    access: 'lead',
    summary: 'Add a person, who chooses their own password at the first sign-in',
    body: newMemberSchema,
    answer: memberSchema,
    status: 201,
    handle: async ({ body, db, workshopId }) => {
      const { password, ...content } = body;
      const taken = await bySignInName(db.manager, body.signInName);
      if (taken && taken.id !== body.id) {
        throw new Refusal(409, say('refusals.this-sign-in-name-is-taken'), undefined, {
          signInName: say('refusals.is-taken'),
        });
      }
      await refuseWeakPassword(password, [body.name, body.signInName]);
      const { row } = await insertOnce(db.manager, MemberEntity, {
        ...NEW_MEMBER,
        ...content,
        mustChangePassword: true,
        workshopId,
        passwordHash: await hashPassword(password),
        contentHash: contentHash(content),
      });
      return toMemberView(row);
    },
  }),
];
