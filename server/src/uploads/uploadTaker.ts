import { say } from '@white-ember/core/words';
import { createReadStream, mkdirSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import { basename } from 'node:path';
import type { Request, RequestHandler, Response } from 'express';
import multer from 'multer';
import { z } from 'zod';
import { invalidInput, Refusal, tooLarge } from '../http/problem.ts';
import type { Member } from '../database/entities/member.entity.ts';
import { refuseWithoutRoom } from './disk.ts';
import { uploadIdSchema, type KeptUploads } from './keptUploads.ts';

export interface UploadedFile {
  readonly path: string;
  readonly name: string;
  readonly sizeBytes: number;
}

/** What a request says that names a file which came in pieces before. */
const namedUploadSchema = z.object({
  upload: z.object({ id: uploadIdSchema, name: z.string().min(1).max(500) }),
  fields: z.unknown(),
});

/** Takes the one file of a request: it comes with it as multipart, or has come in pieces before and is named. */
export function uploadTaker(uploads: KeptUploads, fileSize: number): RequestHandler[] {
  const { folder } = uploads;
  mkdirSync(folder, { recursive: true });
  const multipart = multer({
    storage: multer.diskStorage({ destination: folder }),
    limits: { fileSize, files: 1, fields: 2, fieldSize: 100_000 },
  }).single('file');
  const named = async (req: Request, res: Response): Promise<void> => {
    const said = namedUploadSchema.safeParse(req.body);
    if (!said.success) throw invalidInput(said.error, 'body');
    const { id, name } = said.data.upload;
    const file = await uploads.taken(res.locals['member'] as Member, id);
    if (file.sizeBytes > fileSize) {
      await uploads.discard(id);
      throw tooLarge();
    }
    res.locals['file'] = { ...file, name } satisfies UploadedFile;
  };
  return [
    async (req, _res, next) => {
      await refuseWithoutRoom(folder, Number(req.headers['content-length'] ?? 0));
      next();
    },
    async (req, res, next) => {
      if (!req.is('application/json')) {
        multipart(req, res, next);
        return;
      }
      await named(req, res);
      next();
    },
  ];
}

export function uploadedFile(req: Request): UploadedFile {
  const named = req.res?.locals['file'] as UploadedFile | undefined;
  if (named) return named;
  if (!req.file)
    throw new Refusal(
      400,
      say('refusals.no-file-came-with-the-upload'),
      say('refusals.send-one-file-in-the-field'),
    );
  // Multer reads multipart names as Latin-1; browsers send UTF-8.
  const name = Buffer.from(req.file.originalname, 'latin1').toString('utf8');
  return { path: req.file.path, name, sizeBytes: req.file.size };
}

export const fileStream = (file: UploadedFile, chunkBytes: number): ReturnType<typeof createReadStream> =>
  createReadStream(file.path, { highWaterMark: chunkBytes });

/** Fields of an upload: with multipart they travel as one JSON text, so that they meet the same schemas as any other input. */
export function uploadFields(req: Request): unknown {
  const { fields } = (req.body ?? {}) as { fields?: unknown };
  if (typeof fields !== 'string') return fields ?? {};
  try {
    return JSON.parse(fields) as unknown;
  } catch {
    throw new Refusal(400, say('refusals.the-uploads-fields-are-not-json'));
  }
}

/** What came with the request goes; what came before stays for another try where this one failed by the server’s own fault. */
export async function endUpload(req: Request, uploads: KeptUploads, answered: boolean): Promise<void> {
  if (req.file) await rm(req.file.path, { force: true });
  const named = req.res?.locals['file'] as UploadedFile | undefined;
  if (named && answered) await uploads.discard(basename(named.path));
}
