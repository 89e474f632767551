import { say } from '@white-ember/core/words';
import { z } from 'zod';
import { notFound } from '../http/problem.ts';
import { memberRoute, type Route } from '../http/route.ts';
import { isOf, uploadIdSchema, UPLOADS_PATH } from './keptUploads.ts';

const params = z.object({ id: uploadIdSchema });

const STEPS = [
  ['head', 'How much of a file has arrived'],
  ['patch', 'The next bytes of a file'],
  ['delete', 'Give a file up that was begun'],
] as const;

/** Uploads that go on after a broken connection: the tus protocol, version 1.0.0. */
export const uploadRoutes: Route[] = [
  memberRoute({
    method: 'post',
    path: UPLOADS_PATH,
    access: 'technician',
    summary: 'Begin to send a file (tus 1.0.0); `Location` is its address',
    status: 201,
    handle: ({ uploads, req, res }) => uploads.serve(req, res),
  }),
  ...STEPS.map(([method, summary]) =>
    memberRoute({
      method,
      path: `${UPLOADS_PATH}/:id`,
      access: 'technician',
      summary: `${summary} (tus 1.0.0)`,
      params,
      handle: ({ uploads, params: { id }, member, req, res }) => {
        if (!isOf(member, id)) throw notFound(say('refusals.the-upload'));
        return uploads.serve(req, res);
      },
    }),
  ),
];
