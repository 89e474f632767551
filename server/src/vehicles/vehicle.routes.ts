import { say } from '@white-ember/core/words';
import { z } from 'zod';
import {
  newVehicleSchema,
  vehicleHistorySchema,
  vehicleSchema,
  vehicleUpdateSchema,
  type NewVehicle,
} from '@white-ember/core/contract';
import { HISTORY_KINDS, vehicleHistory } from '@white-ember/core/job';
import { idSchema } from '@white-ember/core/ledger';
import { conflict, notFound } from '../http/problem.ts';
import { memberRoute, type Route } from '../http/route.ts';
import { contentHash, insertOnce } from '../http/once.ts';
import { JobEntity } from '../database/entities/job.entity.ts';
import { refreshSummaries } from '../judging/jobSummary.ts';
import { readEntries } from '../judging/storedJob.ts';
import { VehicleEntity, type VehicleRow } from '../database/entities/vehicle.entity.ts';
import { checkReferences, presentVehicles } from './vehicle.service.ts';

const idParams = z.object({ id: idSchema });

const columns = (
  body: Omit<NewVehicle, 'id'>,
): Omit<VehicleRow, 'id' | 'workshopId' | 'revision' | 'contentHash'> => ({
  plate: body.plate,
  model: body.model,
  family: body.family,
  displacementL: body.displacementL ?? null,
  filterModelId: body.filterModelId ?? null,
  customerId: body.customerId ?? null,
  fitted: body.fitted,
  note: body.note ?? null,
});

export const vehicleRoutes: Route[] = [
  memberRoute({
    method: 'get',
    path: '/api/vehicles',
    access: 'viewer',
    summary: 'Vehicles by plate; `find` matches a part of plate or model',
    query: z.object({ find: z.string().trim().max(60).optional() }),
    answer: z.array(vehicleSchema),
    handle: async ({ query, db, workshopId }) => {
      const builder = db.manager
        .createQueryBuilder(VehicleEntity, 'v')
        .where('v.workshop_id = :workshopId', { workshopId })
        .orderBy('v.plate', 'ASC')
        .limit(100);
      if (query.find) {
        builder.andWhere('v.search LIKE :find', {
          find: `%${query.find.toLowerCase().replace(/[\\%_]/g, '\\$&')}%`,
        });
      }
      return presentVehicles(db.manager, await builder.getMany());
    },
  }),
  memberRoute({
    method: 'get',
    path: '/api/vehicles/:id',
    access: 'viewer',
    summary: 'One vehicle',
    params: idParams,
    answer: vehicleSchema,
    handle: async ({ params, db, workshopId }) => {
      const row = await db.manager.findOneBy(VehicleEntity, { id: params.id, workshopId });
      const [vehicle] = row ? await presentVehicles(db.manager, [row]) : [];
      if (!vehicle) throw notFound(say('refusals.the-vehicle'));
      return vehicle;
    },
  }),
  memberRoute({
    method: 'get',
    path: '/api/vehicles/:id/history',
    access: 'viewer',
    summary: 'Parts that were fitted to a vehicle and what was remarked about it, over all its jobs',
    params: idParams,
    answer: vehicleHistorySchema,
    handle: async ({ params, db, workshopId }) => {
      if (!(await db.manager.existsBy(VehicleEntity, { id: params.id, workshopId })))
        throw notFound(say('refusals.the-vehicle'));
      const rows = await db.manager.findBy(JobEntity, { vehicleId: params.id, workshopId });
      const jobs = [];
      for (const { id, number } of rows)
        jobs.push({ id, number, entries: await readEntries(db.manager, id, HISTORY_KINDS) });
      return vehicleHistory(jobs);
    },
  }),
  memberRoute({
    method: 'post',
    path: '/api/vehicles',
    access: 'technician',
    summary: 'Add a vehicle',
    body: newVehicleSchema,
    answer: vehicleSchema,
    status: 201,
    handle: async ({ body, db, workshopId }) => {
      await checkReferences(db.manager, workshopId, body);
      const { row } = await insertOnce(db.manager, VehicleEntity, {
        id: body.id,
        workshopId,
        ...columns(body),
        revision: 1,
        contentHash: contentHash(body),
      });
      const [vehicle] = await presentVehicles(db.manager, [row]);
      if (!vehicle) throw notFound(say('refusals.the-vehicle'));
      return vehicle;
    },
  }),
  memberRoute({
    method: 'put',
    path: '/api/vehicles/:id',
    access: 'technician',
    summary: 'Change a vehicle; names the revision it was changed from',
    params: idParams,
    body: vehicleUpdateSchema,
    answer: vehicleSchema,
    handle: async ({ params, body, db, workshopId }) =>
      db.transaction(async (manager) => {
        const stored = await manager.findOne(VehicleEntity, {
          where: { id: params.id, workshopId },
          lock: { mode: 'pessimistic_write' },
        });
        if (!stored) throw notFound(say('refusals.the-vehicle'));
        await checkReferences(manager, workshopId, body);
        const { revision, ...content } = body;
        // The same change sent twice has already made its revision: it answers as before.
        const repeated =
          stored.revision === revision + 1 &&
          contentHash(columns(content)) === contentHash(columns(presentable(stored)));
        if (!repeated) {
          if (stored.revision !== revision) {
            throw conflict(say('refusals.somebody-else-has-changed-this-vehicle'));
          }
          await manager.update(
            VehicleEntity,
            { id: params.id },
            { ...columns(content), revision: revision + 1 },
          );
          await refreshSummaries(manager, { workshopId, vehicleId: params.id });
        }
        const row = await manager.findOneByOrFail(VehicleEntity, { id: params.id });
        const [vehicle] = await presentVehicles(manager, [row]);
        if (!vehicle) throw notFound(say('refusals.the-vehicle'));
        return vehicle;
      }),
  }),
];

const presentable = (row: VehicleRow): Omit<NewVehicle, 'id'> => ({
  plate: row.plate,
  model: row.model,
  family: row.family,
  fitted: row.fitted,
  ...(row.displacementL === null ? {} : { displacementL: row.displacementL }),
  ...(row.filterModelId === null ? {} : { filterModelId: row.filterModelId }),
  ...(row.customerId === null ? {} : { customerId: row.customerId }),
  ...(row.note === null ? {} : { note: row.note }),
});
