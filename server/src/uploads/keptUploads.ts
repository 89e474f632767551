import { say } from '@white-ember/core/words';
import { randomBytes } from 'node:crypto';
import { rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import type { Request, Response } from 'express';
import { FileStore } from '@tus/file-store';
import { Server, type ServerOptions } from '@tus/server';
import { z } from 'zod';
import { notFound, Refusal, toProblem } from '../http/problem.ts';
import type { Member } from '../database/entities/member.entity.ts';
import { refuseWithoutRoom } from './disk.ts';

export const UPLOADS_PATH = '/api/uploads';

/** A name of an upload: whose it is, and which. */
export const uploadIdSchema = z.string().regex(/^[0-9a-f-]{36}\.[0-9a-f]{32}$/);

type TusRequest = Parameters<NonNullable<ServerOptions['onUploadCreate']>>[0];

export interface UploadSizes {
  /** Of a log or a photo. */
  readonly file: number;
  /** Of an archive; only a lead brings one. */
  readonly archive: number;
}

const memberOf = (request: TusRequest): Member => {
  const { res } = request.runtime?.node?.req as unknown as Request;
  return res?.locals['member'] as Member;
};

/**
 * Files that come in pieces, by the tus protocol: what has arrived stays when a connection breaks, and the next request goes on
 * where it broke off. A file that is whole waits here for the request that names it.
 */
export class KeptUploads {
  readonly #server: Server;

  constructor(
    readonly folder: string,
    sizes: UploadSizes,
  ) {
    this.#server = new Server({
      path: UPLOADS_PATH,
      relativeLocation: true,
      datastore: new FileStore({ directory: folder }),
      // Only pages of this installation send here.
      allowedOrigins: () => false,
      maxSize: (request) => (memberOf(request).role === 'lead' ? sizes.archive : sizes.file),
      namingFunction: (request) => `${memberOf(request).id}.${randomBytes(16).toString('hex')}`,
      onUploadCreate: async (_request, { size }) => {
        await refuseWithoutRoom(folder, size ?? 0);
        return {};
      },
      onResponseError: (_request, error) => {
        const problem = toProblem(error);
        return problem && { status_code: problem.status, body: JSON.stringify(problem) };
      },
    });
  }

  /** Answers a request of the protocol. */
  async serve(req: Request, res: Response): Promise<void> {
    await this.#server.handle(req, res);
  }

  /** A whole file of this person, to be read once. */
  async taken(member: Member, id: string): Promise<{ readonly path: string; readonly sizeBytes: number }> {
    if (!isOf(member, id)) throw notFound(say('refusals.the-upload'));
    const kept = await this.#server.datastore.getUpload(id).catch(() => {
      throw notFound(say('refusals.the-upload'));
    });
    const path = join(this.folder, id);
    const { size: sizeBytes } = await stat(path);
    if (kept.size === undefined || sizeBytes < kept.size)
      throw new Refusal(
        409,
        say('refusals.the-file-is-not-whole-yet'),
        say('refusals.of-bytes-are-here', { here: sizeBytes, wanted: kept.size ?? 0 }),
      );
    return { path, sizeBytes };
  }

  async discard(id: string): Promise<void> {
    await Promise.all([id, `${id}.json`].map((name) => rm(join(this.folder, name), { force: true })));
  }
}

/** Another's upload is as if it were not there. */
export const isOf = (member: Member, id: string): boolean => id.startsWith(`${member.id}.`);
