import { mkdirSync } from 'node:fs';
import { readdir, rm, stat, statfs } from 'node:fs/promises';
import { join } from 'node:path';
import type { RequestHandler } from 'express';
import multer from 'multer';
import type { Logger } from 'pino';
import { Refusal } from './problem.ts';

const MEGABYTE = 1024 * 1024;
/** A body of which nothing comes for so long is given up; how long it takes as a whole does not matter. */
const STALL_MS = 30_000;
const LOOK_EVERY_MS = 5000;
/** Left for the database when an upload is taken. */
const LEAST_FREE_BYTES = 200 * MEGABYTE;
/** Below this whoever leads a workshop is told. */
const LITTLE_FREE_BYTES = 1024 * MEGABYTE;
/** An upload that lies longer was left behind by a server that was killed. */
const LEFT_AFTER_MS = 24 * 3_600_000;
const SWEEP_EVERY_MS = 3_600_000;

/** Ends requests whose body stalls, such as those of a phone that went into a tunnel, or of somebody who holds connections. */
export const stallLimit: RequestHandler = (req, res, next) => {
  let seen = req.socket.bytesRead;
  let stalledMs = 0;
  const timer = setInterval(() => {
    if (req.complete || res.writableEnded) {
      clearInterval(timer);
      return;
    }
    stalledMs = req.socket.bytesRead > seen ? 0 : stalledMs + LOOK_EVERY_MS;
    seen = req.socket.bytesRead;
    if (stalledMs >= STALL_MS) {
      clearInterval(timer);
      req.destroy(new Error('the upload stalled'));
    }
  }, LOOK_EVERY_MS);
  timer.unref();
  res.once('close', () => clearInterval(timer));
  next();
};

/** Bytes free where uploads and, with the private database, everything else is kept. */
async function freeBytes(folder: string): Promise<number> {
  const { bavail, bsize } = await statfs(folder);
  return bavail * bsize;
}

/** A word for whoever can make room, before there is none. */
export async function diskWarning(folder: string): Promise<string | undefined> {
  const free = await freeBytes(folder).catch(() => Number.POSITIVE_INFINITY);
  return free < LITTLE_FREE_BYTES
    ? `The disk of the server is nearly full: ${Math.round(free / MEGABYTE)} MB are left. Make room, or nothing can be stored soon.`
    : undefined;
}

const refuseWithoutRoom =
  (folder: string): RequestHandler =>
  async (req, _res, next) => {
    const wanted = Number(req.headers['content-length'] ?? 0);
    // The file lies here while it is taken in, and in the database after that.
    const missing = 2 * wanted + LEAST_FREE_BYTES - (await freeBytes(folder));
    if (missing > 0)
      throw new Refusal(
        507,
        'The disk of the server is full',
        `${Math.ceil(missing / MEGABYTE)} MB are missing for this file. Nothing was kept; somebody has to make room.`,
      );
    next();
  };

/** Takes one file into the folder of uploads. */
export function uploadTaker(folder: string, fileSize: number): RequestHandler[] {
  mkdirSync(folder, { recursive: true });
  return [
    refuseWithoutRoom(folder),
    multer({
      storage: multer.diskStorage({ destination: folder }),
      limits: { fileSize, files: 1, fields: 2, fieldSize: 100_000 },
    }).single('file'),
  ];
}

async function sweep(folder: string): Promise<void> {
  for (const name of await readdir(folder)) {
    const path = join(folder, name);
    const { mtimeMs } = await stat(path);
    if (Date.now() - mtimeMs > LEFT_AFTER_MS) await rm(path, { force: true });
  }
}

/** Sweeps what was left behind, now and every hour. Gives what ends it. */
export function keepSwept(folder: string, log: Logger): () => void {
  const now = (): void => {
    sweep(folder).catch((error: unknown) => log.warn({ err: error }, 'uploads not swept'));
  };
  now();
  const timer = setInterval(now, SWEEP_EVERY_MS);
  timer.unref();
  return () => clearInterval(timer);
}
