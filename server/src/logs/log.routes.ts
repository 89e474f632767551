import { pipeline } from 'node:stream/promises';
import { Readable } from 'node:stream';
import { z } from 'zod';
import { logSchema } from '@white-ember/core/contract';
import { idSchema } from '@white-ember/core/ledger';
import { notFound } from '../app/problem.ts';
import { memberRoute, uploadedFile, type Route } from '../app/route.ts';
import { LogEntity } from './log.entity.ts';
import { columnStream, ensureColumns } from './logColumns.service.ts';
import { readLogBytes, storeLog } from './log.service.ts';

export const logRoutes: Route[] = [
  memberRoute({
    method: 'post',
    path: '/api/jobs/:id/logs',
    access: 'technician',
    summary: 'Keep a recorded log file with a job; multipart with `file` and `fields` = {"id": UUIDv7}',
    params: z.object({ id: idSchema }),
    body: z.object({ id: idSchema }),
    answer: logSchema,
    status: 201,
    upload: true,
    handle: ({ params, body, req, db, workshopId }) =>
      storeLog(db, { workshopId, jobId: params.id, id: body.id }, uploadedFile(req)),
  }),
  memberRoute({
    method: 'get',
    path: '/api/logs/:id/raw',
    access: 'viewer',
    summary: 'The recorded file as it came, byte for byte',
    params: z.object({ id: idSchema }),
    handle: async ({ params, db, workshopId, res }) => {
      const row = await db.manager.findOneBy(LogEntity, { id: params.id, workshopId });
      if (!row) throw notFound('The log');
      // The name would set its own type: said after it, so that no browser opens the file as a page.
      res.attachment(row.fileName).type('application/octet-stream');
      await pipeline(Readable.from(readLogBytes(db, workshopId, params.id)), res);
    },
  }),
  memberRoute({
    method: 'get',
    path: '/api/logs/:id/columns',
    access: 'viewer',
    summary:
      'The columns of a recorded file: a header and compressed arrays of numbers, each with its length before it',
    params: z.object({ id: idSchema }),
    handle: async ({ params, db, workshopId, res }) => {
      const row = await ensureColumns(db, workshopId, params.id);
      res.type('application/octet-stream');
      await pipeline(Readable.from(columnStream(db, row)), res);
    },
  }),
];
