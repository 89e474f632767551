import { describeFailure, inEnglish, say } from '@white-ember/core/words';
import { z } from 'zod';
import { limitsProfileSchema, newLimitsProfileSchema } from '@white-ember/core/contract';
import { resolveLimits } from '@white-ember/core/limits';
import { Refusal } from '../http/problem.ts';
import { memberRoute, type Route } from '../http/route.ts';
import { contentHash, insertOnce } from '../http/once.ts';
import { refreshSummaries } from '../judging/jobSummary.ts';
import { LimitsProfileEntity } from '../database/entities/limitsProfile.entity.ts';
import { toLimitsProfile } from '../judging/limitsInForce.ts';

export const limitsRoutes: Route[] = [
  memberRoute({
    method: 'get',
    path: '/api/limits',
    access: 'viewer',
    summary: 'The limits profiles in force, one for each engine family and the general one',
    answer: z.array(limitsProfileSchema),
    handle: async ({ db, workshopId }) => {
      const rows = await db.manager
        .createQueryBuilder(LimitsProfileEntity, 'p')
        .distinctOn(['p.family'])
        .where('p.workshop_id = :workshopId', { workshopId })
        .orderBy('p.family', 'ASC')
        .addOrderBy('p.version', 'DESC')
        .getMany();
      return rows.map(toLimitsProfile);
    },
  }),
  memberRoute({
    method: 'post',
    path: '/api/limits',
    access: 'lead',
    summary: 'Put a new version of a limits profile in force',
    body: newLimitsProfileSchema,
    answer: limitsProfileSchema,
    status: 201,
    handle: async ({ body, db, workshopId, member }) => {
      const resolved = resolveLimits(body.overrides);
      if (!resolved.ok) {
        throw new Refusal(
          400,
          say('refusals.these-limits-contradict-each-other'),
          inEnglish(describeFailure(resolved.failure)),
        );
      }
      return db.transaction(async (manager) => {
        const family = body.family ?? '';
        await manager.query('SELECT pg_advisory_xact_lock(hashtext($1))', [`limits ${workshopId}`]);
        const latest = await manager.findOne(LimitsProfileEntity, {
          where: { workshopId, family },
          order: { version: 'DESC' },
        });
        const { row, created } = await insertOnce(manager, LimitsProfileEntity, {
          id: body.id,
          workshopId,
          family,
          version: (latest?.version ?? 0) + 1,
          overrides: body.overrides,
          sourceNote: body.sourceNote ?? null,
          createdAt: new Date(),
          createdBy: member.name,
          contentHash: contentHash(body),
        });
        if (created) await refreshSummaries(manager, family === '' ? { workshopId } : { workshopId, family });
        return toLimitsProfile(row);
      });
    },
  }),
];
