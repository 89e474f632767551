import { v7 as uuidv7 } from 'uuid';
import { z } from 'zod';
import { photoSchema } from '@white-ember/core/contract';
import { idSchema } from '@white-ember/core/ledger';
import { notFound, Refusal } from '../app/problem.ts';
import { memberRoute, uploadedFile, type Route } from '../app/route.ts';
import { headOf, sha256Of, storeBlob } from '../blobs/blob.service.ts';
import { contentHash, insertOnce } from '../database/once.ts';
import { JobEntity } from '../jobs/job.entity.ts';
import { PhotoEntity } from './photo.entity.ts';
import { sendPhoto } from './photo.service.ts';

const HEAD_BYTES = 16;
const MOST_BYTES = 12 * 1024 * 1024;

/** What a picture begins with, whatever its name says. */
const KINDS: readonly (readonly [mediaType: string, begins: (head: Buffer) => boolean])[] = [
  ['image/jpeg', (head) => head[0] === 0xff && head[1] === 0xd8 && head[2] === 0xff],
  ['image/png', (head) => head.subarray(0, 8).equals(Buffer.from('89504e470d0a1a0a', 'hex'))],
  [
    'image/webp',
    (head) => head.toString('latin1', 0, 4) === 'RIFF' && head.toString('latin1', 8, 12) === 'WEBP',
  ],
];

export const photoRoutes: Route[] = [
  memberRoute({
    method: 'post',
    path: '/api/jobs/:id/photos',
    access: 'technician',
    summary:
      'Keep a photo with a job: JPEG, PNG or WebP; multipart with `file` and `fields` = {"id": UUIDv7}',
    params: z.object({ id: idSchema }),
    body: z.object({ id: idSchema }),
    answer: photoSchema,
    status: 201,
    upload: true,
    handle: async ({ params, body, req, db, workshopId }) => {
      const file = uploadedFile(req);
      if (file.sizeBytes > MOST_BYTES)
        throw new Refusal(413, 'This photo is too large', 'At most 12 MB. Nothing was kept.');
      const head = await headOf(file, HEAD_BYTES);
      const mediaType = KINDS.find(([, begins]) => begins(head))?.[0];
      if (!mediaType)
        throw new Refusal(422, 'This file is no photo', 'JPEG, PNG or WebP are kept. Nothing was kept.');
      const sha256 = await sha256Of(file);
      return db.transaction(async (manager) => {
        if (!(await manager.existsBy(JobEntity, { id: params.id, workshopId }))) throw notFound('The job');
        const known = await manager.findOneBy(PhotoEntity, { id: body.id });
        const blobId = known?.blobId ?? uuidv7();
        if (!known)
          await storeBlob(manager, { id: blobId, workshopId, sizeBytes: file.sizeBytes, sha256 }, file);
        const { row } = await insertOnce(manager, PhotoEntity, {
          id: body.id,
          workshopId,
          jobId: params.id,
          blobId,
          mediaType,
          uploadedAt: new Date(),
          contentHash: contentHash({ jobId: params.id, sha256 }),
        });
        return { id: row.id, jobId: row.jobId, mediaType: row.mediaType };
      });
    },
  }),
  memberRoute({
    method: 'get',
    path: '/api/photos/:id',
    access: 'viewer',
    summary: 'A photo, byte for byte',
    params: z.object({ id: idSchema }),
    handle: ({ params, db, workshopId, res }) => sendPhoto(db, { id: params.id, workshopId }, res),
  }),
];
