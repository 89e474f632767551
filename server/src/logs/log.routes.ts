import { say } from '@white-ember/core/words';
import { pipeline } from 'node:stream/promises';
import { Readable } from 'node:stream';
import { z } from 'zod';
import { logSchema } from '@white-ember/core/contract';
import { idSchema } from '@white-ember/core/ledger';
import { notFound, Refusal } from '../http/problem.ts';
import { memberRoute, type Route } from '../http/route.ts';
import { uploadedFile } from '../uploads/uploadTaker.ts';
import { LogEntity } from '../database/entities/log.entity.ts';
import { columnStream, ensureColumns, readAgain } from './logColumns.service.ts';
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
    handle: async ({ params, body, req, db, workshopId, member, readers }) => {
      const log = await storeLog(db, { workshopId, jobId: params.id, id: body.id }, uploadedFile(req));
      // The file is kept; its columns are made beside it while nobody waits. Whoever asks sooner makes them.
      ensureColumns(db, readers, { workshopId, logId: log.id, memberId: member.id }).catch(
        (error: unknown) => {
          if (!(error instanceof Refusal))
            req.log.warn({ err: error, log: log.id }, 'columns of a log not made yet');
        },
      );
      return log;
    },
  }),
  memberRoute({
    method: 'get',
    path: '/api/logs/:id/raw',
    access: 'viewer',
    summary: 'The recorded file as it came, byte for byte',
    params: z.object({ id: idSchema }),
    handle: async ({ params, db, workshopId, res }) => {
      const row = await db.manager.findOneBy(LogEntity, { id: params.id, workshopId });
      if (!row) throw notFound(say('refusals.the-log'));
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
    handle: async ({ params, db, workshopId, member, readers, res }) => {
      const row = await ensureColumns(db, readers, { workshopId, logId: params.id, memberId: member.id });
      res.type('application/octet-stream');
      await pipeline(Readable.from(columnStream(db, row)), res);
    },
  }),
  memberRoute({
    method: 'post',
    path: '/api/logs/:id/read-again',
    access: 'technician',
    summary: 'Try once more to read a file that could not be read',
    params: z.object({ id: idSchema }),
    handle: ({ params, db, workshopId, member, readers }) =>
      readAgain(db, readers, { workshopId, logId: params.id, memberId: member.id }),
  }),
];
