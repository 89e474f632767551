import { say } from '@white-ember/core/words';
import type { EntityManager } from 'typeorm';
import { z } from 'zod';
import {
  fluidSchema,
  fluidUpdateSchema,
  newFluidSchema,
  type Fluid,
  type NewFluid,
} from '@white-ember/core/contract';
import { idSchema } from '@white-ember/core/ledger';
import { conflict, notFound, refuseMoment } from '../http/problem.ts';
import { memberRoute, type Route } from '../http/route.ts';
import { contentHash, insertOnce } from '../http/once.ts';
import { FluidEntity, type FluidRow } from '../database/entities/fluid.entity.ts';

const columns = ({ name, countedL, countedAt, ...sheet }: Omit<NewFluid, 'id'>) => {
  refuseMoment('countedAt', countedAt);
  return {
    name,
    sheet,
    countedL,
    countedAt: new Date(countedAt),
  };
};

const contentOf = ({ name, sheet, countedL, countedAt }: FluidRow): Omit<NewFluid, 'id'> => ({
  name,
  ...sheet,
  countedL,
  countedAt: countedAt.toISOString(),
});

/**
 * Fluids with what is left of each: as counted, less what entries that count have used since. Nothing is booked twice, and a
 * withdrawn or corrected entry gives back what it took.
 */
async function present(manager: EntityManager, workshopId: string, id?: string): Promise<Fluid[]> {
  const rows = await manager.find(FluidEntity, {
    where: { workshopId, ...(id === undefined ? {} : { id }) },
    order: { name: 'ASC' },
  });
  const used = await manager.query<{ id: string; litres: number }[]>(
    `SELECT f.id, sum((e.body->>'concentrateL')::float8) AS litres
       FROM fluid f JOIN entry e ON e.workshop_id = f.workshop_id AND e.body->>'fluidId' = f.id::text
      WHERE f.workshop_id = $1 AND e.device_time > f.counted_at AND e.body ? 'concentrateL'
        AND NOT EXISTS (SELECT 1 FROM entry later WHERE later.supersedes = e.id)
      GROUP BY f.id`,
    [workshopId],
  );
  const usedOf = new Map(used.map(({ id: fluid, litres }) => [fluid, litres]));
  return rows.map((row) => ({
    id: row.id,
    ...contentOf(row),
    revision: row.revision,
    stockL: Math.max(0, row.countedL - (usedOf.get(row.id) ?? 0)),
  }));
}

async function presentOne(manager: EntityManager, workshopId: string, id: string): Promise<Fluid> {
  const [fluid] = await present(manager, workshopId, id);
  if (!fluid) throw notFound(say('refusals.the-fluid'));
  return fluid;
}

export const fluidRoutes: Route[] = [
  memberRoute({
    method: 'get',
    path: '/api/fluids',
    access: 'viewer',
    summary: 'Fluids on the shelf with their data sheets and what is left',
    answer: z.array(fluidSchema),
    handle: ({ db, workshopId }) => present(db.manager, workshopId),
  }),
  memberRoute({
    method: 'post',
    path: '/api/fluids',
    access: 'technician',
    summary: 'Put a fluid on the shelf',
    body: newFluidSchema,
    answer: fluidSchema,
    status: 201,
    handle: async ({ body, db, workshopId }) => {
      const { id, ...content } = body;
      await insertOnce(db.manager, FluidEntity, {
        id,
        workshopId,
        ...columns(content),
        revision: 1,
        contentHash: contentHash(body),
      });
      return presentOne(db.manager, workshopId, id);
    },
  }),
  memberRoute({
    method: 'put',
    path: '/api/fluids/:id',
    access: 'technician',
    summary: 'Change a fluid or count it anew; names the revision it was changed from',
    params: z.object({ id: idSchema }),
    body: fluidUpdateSchema,
    answer: fluidSchema,
    handle: async ({ params, body, db, workshopId }) =>
      db.transaction(async (manager) => {
        const stored = await manager.findOne(FluidEntity, {
          where: { id: params.id, workshopId },
          lock: { mode: 'pessimistic_write' },
        });
        if (!stored) throw notFound(say('refusals.the-fluid'));
        const { revision, ...content } = body;
        const repeated =
          stored.revision === revision + 1 &&
          contentHash(columns(content)) === contentHash(columns(contentOf(stored)));
        if (!repeated) {
          if (stored.revision !== revision)
            throw conflict(say('refusals.somebody-else-has-changed-this-fluid'));
          await manager.update(
            FluidEntity,
            { id: params.id },
            { ...columns(content), revision: revision + 1 },
          );
        }
        return presentOne(manager, workshopId, params.id);
      }),
  }),
];
