import { describeFailure, inEnglish, say } from '@white-ember/core/words';
import { z } from 'zod';
import { filterModelSchema, newFilterModelSchema, type FilterModel } from '@white-ember/core/contract';
import { filterCells } from '@white-ember/core/filter';
import { Refusal } from '../http/problem.ts';
import { memberRoute, type Route } from '../http/route.ts';
import { contentHash, insertOnce } from '../http/once.ts';
import { FilterModelEntity, type FilterModelRow } from '../database/entities/filterModel.entity.ts';

export const toFilterModel = (row: FilterModelRow): FilterModel => ({
  id: row.id,
  name: row.name,
  diameterMm: row.diameterMm,
  lengthMm: row.lengthMm,
  cpsi: row.cpsi,
  wallMm: row.wallMm,
  material: row.material,
  basis: row.basis,
  ...(row.catalyst === null ? {} : { catalyst: row.catalyst }),
});

export const filterModelRoutes: Route[] = [
  memberRoute({
    method: 'get',
    path: '/api/filters',
    access: 'viewer',
    summary: 'Filter models by name',
    answer: z.array(filterModelSchema),
    handle: async ({ db, workshopId }) =>
      (await db.manager.find(FilterModelEntity, { where: { workshopId }, order: { name: 'ASC' } })).map(
        toFilterModel,
      ),
  }),
  memberRoute({
    method: 'post',
    path: '/api/filters',
    access: 'technician',
    summary: 'Add a filter model',
    body: newFilterModelSchema,
    answer: filterModelSchema,
    status: 201,
    handle: async ({ body, db, workshopId }) => {
      const cells = filterCells(body);
      if (!cells.ok) {
        const why = inEnglish(describeFailure(cells.failure));
        throw new Refusal(400, say('refusals.this-filter-cannot-exist'), why, {
          [inEnglish(cells.failure.field)]: why,
        });
      }
      const { row } = await insertOnce(db.manager, FilterModelEntity, {
        ...body,
        catalyst: body.catalyst ?? null,
        workshopId,
        contentHash: contentHash(body),
      });
      return toFilterModel(row);
    },
  }),
];
