import { say } from '@white-ember/core/words';
import { z } from 'zod';
import {
  jobListQuerySchema,
  jobListSchema,
  jobSchema,
  newJobSchema,
  runningClocksSchema,
  type JobListItem,
} from '@white-ember/core/contract';
import { idSchema } from '@white-ember/core/ledger';
import { DEFAULT_LIMITS } from '@white-ember/core/limits';
import { deriveJob, summariseJob } from '@white-ember/core/job';
import { notFound, Refusal, refuseMoment } from '../http/problem.ts';
import { memberRoute, type Route } from '../http/route.ts';
import { contentHash, insertOnce } from '../http/once.ts';
import { WorkshopEntity } from '../database/entities/member.entity.ts';
import { VehicleEntity } from '../database/entities/vehicle.entity.ts';
import { ADVICE_NOW } from '../judging/advisor.ts';
import { JobEntity } from '../database/entities/job.entity.ts';
import { presentJob } from './job.service.ts';

interface ListRow {
  id: string;
  number: number;
  opened_at: Date;
  last_entry_at: Date;
  entry_count: number;
  summary: JobListItem['summary'];
  advice: JobListItem['advice'] | null;
  plate: string;
  model: string;
  customer_name: string | null;
}

export const jobRoutes: Route[] = [
  memberRoute({
    method: 'get',
    path: '/api/jobs',
    access: 'viewer',
    summary: 'Jobs, the latest worked on first: open ones, today’s, or all; `before` pages back',
    query: jobListQuerySchema,
    answer: jobListSchema,
    handle: async ({ query, db, workshopId }) => {
      const conditions = ['j.workshop_id = $1'];
      const values: unknown[] = [workshopId];
      const value = (v: unknown): string => `$${values.push(v)}`;
      if (query.show === 'open') conditions.push("(j.summary->>'signedOff') = 'false'");
      if (query.show === 'today') conditions.push("j.last_entry_at >= date_trunc('day', now())");
      if (query.before) {
        // Time and id together: jobs of one moment must not fall between two pages.
        const [time, id] = query.before.split('_');
        conditions.push(`(j.last_entry_at, j.id) < (${value(time)}::timestamptz, ${value(id)}::uuid)`);
      }
      if (query.vehicleId) conditions.push(`j.vehicle_id = ${value(query.vehicleId)}`);
      if (query.find) {
        const find = value(`%${query.find.toLowerCase().replace(/[\\%_]/g, '\\$&')}%`);
        conditions.push(
          `j.vehicle_id IN (
             SELECT id FROM vehicle WHERE workshop_id = $1 AND search LIKE ${find}
             UNION SELECT v.id FROM vehicle v JOIN customer c ON c.id = v.customer_id
              WHERE c.workshop_id = $1 AND lower(c.name) LIKE ${find})`,
        );
      }
      // The page is cut by the index first and joined after, so that its cost does not grow with the number of jobs.
      const rows = await db.query<ListRow[]>(
        `WITH page AS MATERIALIZED (
           SELECT j.id, j.number, j.opened_at, j.last_entry_at, j.entry_count, j.summary, j.vehicle_id,
                  ${ADVICE_NOW} AS advice
             FROM job j WHERE ${conditions.join(' AND ')}
            ORDER BY j.last_entry_at DESC, j.id DESC LIMIT ${value(query.limit + 1)})
         SELECT p.*, v.plate, v.model, c.name AS customer_name
           FROM page p JOIN vehicle v ON v.id = p.vehicle_id LEFT JOIN customer c ON c.id = v.customer_id
          ORDER BY p.last_entry_at DESC, p.id DESC`,
        values,
      );
      const page = rows.slice(0, query.limit);
      const last = page.at(-1);
      return {
        jobs: page.map((row) => ({
          id: row.id,
          number: row.number,
          openedAt: row.opened_at.toISOString(),
          lastEntryAt: row.last_entry_at.toISOString(),
          entryCount: row.entry_count,
          plate: row.plate,
          model: row.model,
          summary: row.summary,
          ...(row.advice === null ? {} : { advice: row.advice }),
          ...(row.customer_name === null ? {} : { customerName: row.customer_name }),
        })),
        ...(rows.length > query.limit && last
          ? { next: `${last.last_entry_at.toISOString()}_${last.id}` }
          : {}),
      };
    },
  }),
  memberRoute({
    method: 'get',
    path: '/api/clocks',
    access: 'viewer',
    summary: 'Waits of the workshop that are not ended, the nearest end first, with the time of the server',
    answer: runningClocksSchema,
    handle: async ({ db, workshopId, member }) => {
      const rows = await db.query<
        {
          id: string;
          plate: string;
          number: number;
          mine: boolean;
          clocks: JobListItem['summary']['clocks'];
        }[]
      >(
        `SELECT j.id, j.number, v.plate, j.summary->'clocks' AS clocks,
                EXISTS (SELECT 1 FROM entry e
                         WHERE e.job_id = j.id AND e.author_id = $2
                           AND e.server_time > now() - interval '1 day') AS mine
           FROM job j JOIN vehicle v ON v.id = j.vehicle_id
          WHERE j.workshop_id = $1 AND (j.summary->>'signedOff') = 'false'
            AND jsonb_array_length(j.summary->'clocks') > 0`,
        [workshopId, member.id],
      );
      return {
        now: new Date().toISOString(),
        clocks: rows
          .flatMap(({ id, plate, number, mine, clocks }) =>
            clocks.map((clock) => ({ ...clock, jobId: id, plate, number, mine })),
          )
          .sort((a, b) => a.until.localeCompare(b.until)),
      };
    },
  }),
  memberRoute({
    method: 'post',
    path: '/api/jobs',
    access: 'technician',
    summary: 'New job on a vehicle',
    body: newJobSchema,
    answer: jobSchema,
    status: 201,
    handle: async ({ body, db, workshopId }) =>
      db.transaction(async (manager) => {
        refuseMoment('openedAt', body.openedAt);
        if (!(await manager.existsBy(VehicleEntity, { id: body.vehicleId, workshopId }))) {
          throw new Refusal(400, say('refusals.this-vehicle-is-not-known'), undefined, {
            vehicleId: say('refusals.is-not-known'),
          });
        }
        // Holding the workshop's row makes numbers run without gaps or twins.
        const workshop = await manager.findOneOrFail(WorkshopEntity, {
          where: { id: workshopId },
          lock: { mode: 'for_no_key_update' },
        });
        const openedAt = new Date(body.openedAt);
        const { created } = await insertOnce(manager, JobEntity, {
          id: body.id,
          workshopId,
          vehicleId: body.vehicleId,
          number: workshop.nextJobNumber,
          openedAt,
          lastEntryAt: openedAt,
          entryCount: 0,
          summary: summariseJob(deriveJob({ entries: [], limits: DEFAULT_LIMITS })),
          visit: null,
          followUps: [],
          advice: null,
          adviceOf: null,
          contentHash: contentHash(body),
        });
        if (created) {
          await manager.update(
            WorkshopEntity,
            { id: workshopId },
            { nextJobNumber: workshop.nextJobNumber + 1 },
          );
        }
        return presentJob(manager, workshopId, body.id);
      }),
  }),
  memberRoute({
    method: 'get',
    path: '/api/jobs/:id',
    access: 'viewer',
    summary: 'One job with its whole ledger, vehicle, limits and logs',
    params: z.object({ id: idSchema }),
    answer: jobSchema,
    handle: async ({ params, db, workshopId }) => {
      const job = await presentJob(db.manager, workshopId, params.id);
      if (!job) throw notFound(say('refusals.the-job'));
      return job;
    },
  }),
];
