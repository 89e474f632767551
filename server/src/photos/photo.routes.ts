import { say } from '@white-ember/core/words';
import { v7 as uuidv7 } from 'uuid';
import { z } from 'zod';
import { photoSchema } from '@white-ember/core/contract';
import { idSchema } from '@white-ember/core/ledger';
import { conflict, notFound, Refusal } from '../http/problem.ts';
import { memberRoute, type Route } from '../http/route.ts';
import { fileStream, uploadedFile, type UploadedFile } from '../uploads/uploadTaker.ts';
import { headOf, sha256Of, storeBlobBytes } from '../blobs/blob.service.ts';
import { contentHash, insertOnce } from '../http/once.ts';
import { JobEntity } from '../database/entities/job.entity.ts';
import { PhotoEntity } from '../database/entities/photo.entity.ts';
import { FileNotReadable, type FileReaders } from '../reading/fileReaders.ts';
import { PhotoCopyEntity } from '../database/entities/photoCopy.entity.ts';
import { makeCopies, sendPhoto } from './photo.service.ts';

const HEAD_BYTES = 16;
const MOST_BYTES = 24 * 1024 * 1024;

/** What a picture begins with, whatever its name says: JPEG, PNG, WebP. */
const KINDS: readonly ((head: Buffer) => boolean)[] = [
  (head) => head[0] === 0xff && head[1] === 0xd8 && head[2] === 0xff,
  (head) => head.subarray(0, 8).equals(Buffer.from('89504e470d0a1a0a', 'hex')),
  (head) => head.toString('latin1', 0, 4) === 'RIFF' && head.toString('latin1', 8, 12) === 'WEBP',
];

/** A photo is kept as it is shown: upright, without place and device, in the smaller of two forms. */
async function madeAnew(
  readers: FileReaders,
  person: string,
  file: UploadedFile,
): Promise<Awaited<ReturnType<typeof makeCopies>>> {
  try {
    return await makeCopies(
      readers,
      person,
      () => fileStream(file, 1024 * 1024) as AsyncIterable<Uint8Array>,
    );
  } catch (error) {
    if (!(error instanceof FileNotReadable)) throw error;
    throw new Refusal(
      422,
      say('refusals.this-photo-cannot-be-read'),
      say('refusals.why-nothing-was-kept', { why: error.message }),
    );
  }
}

export const photoRoutes: Route[] = [
  memberRoute({
    method: 'post',
    path: '/api/jobs/:id/photos',
    access: 'technician',
    summary:
      'Keep a photo with a job, made anew without what a device wrote into it: JPEG, PNG or WebP; multipart with `file` and `fields` = {"id": UUIDv7}',
    params: z.object({ id: idSchema }),
    body: z.object({ id: idSchema }),
    answer: photoSchema,
    status: 201,
    upload: true,
    handle: async ({ params, body, req, db, workshopId, member, readers }) => {
      const file = uploadedFile(req);
      if (file.sizeBytes > MOST_BYTES)
        throw new Refusal(
          413,
          say('refusals.this-photo-is-too-large'),
          say('refusals.at-most-24-mb-nothing-was'),
        );
      const head = await headOf(file, HEAD_BYTES);
      if (!KINDS.some((begins) => begins(head)))
        throw new Refusal(
          422,
          say('refusals.this-file-is-no-photo'),
          say('refusals.jpeg-png-or-webp-are-kept'),
        );
      const hash = contentHash({ jobId: params.id, sha256: await sha256Of(file) });
      const known = await db.manager.findOneBy(PhotoEntity, { id: body.id });
      if (known && (known.workshopId !== workshopId || known.contentHash !== hash))
        throw conflict(say('refusals.this-id-is-already-in-use'));
      if (known) return { id: known.id, jobId: known.jobId, mediaType: known.mediaType };
      const copies = await madeAnew(readers, member.id, file);
      const [full, ...smaller] = copies;
      if (!full)
        throw new Refusal(422, say('refusals.this-photo-cannot-be-read'), say('refusals.nothing-was-kept'));
      return db.transaction(async (manager) => {
        if (!(await manager.existsBy(JobEntity, { id: params.id, workshopId })))
          throw notFound(say('refusals.the-job'));
        const blobId = uuidv7();
        await storeBlobBytes(manager, { id: blobId, workshopId }, full.bytes);
        const { row } = await insertOnce(manager, PhotoEntity, {
          id: body.id,
          workshopId,
          jobId: params.id,
          blobId,
          mediaType: full.mediaType,
          uploadedAt: new Date(),
          contentHash: hash,
          cleaned: true,
          unreadable: null,
        });
        await manager.insert(
          PhotoCopyEntity,
          smaller.map((copy) => ({ ...copy, photoId: row.id })),
        );
        return { id: row.id, jobId: row.jobId, mediaType: row.mediaType };
      });
    },
  }),
  memberRoute({
    method: 'get',
    path: '/api/photos/:id',
    access: 'viewer',
    summary: 'A photo as it is shown, or a small one for lists',
    params: z.object({ id: idSchema }),
    query: z.object({ size: z.enum(['full', 'thumb']).default('full') }),
    handle: ({ params, query, db, readers, workshopId, res }) =>
      sendPhoto(db, readers, { id: params.id, workshopId }, query.size, res),
  }),
];
