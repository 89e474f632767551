import { plainly, say } from '@white-ember/core/words';
import { statfs } from 'node:fs/promises';
import { Refusal } from '../http/problem.ts';

const MEGABYTE = 1024 * 1024;
/** Left for the database when an upload is taken. */
const LEAST_FREE_BYTES = 200 * MEGABYTE;
/** Below this whoever leads a workshop is told. */
const LITTLE_FREE_BYTES = 1024 * MEGABYTE;

/** Bytes free where uploads and, with the private database, everything else is kept. */
async function freeBytes(folder: string): Promise<number> {
  const { bavail, bsize } = await statfs(folder);
  return bavail * bsize;
}

/** A word for whoever can make room, before there is none. */
export async function diskWarning(folder: string): Promise<string | undefined> {
  const free = await freeBytes(folder).catch(() => Number.POSITIVE_INFINITY);
  return free < LITTLE_FREE_BYTES
    ? plainly(say('faults.disk-nearly-full', { megabytes: Math.round(free / MEGABYTE) }))
    : undefined;
}

/** Refuses a file before it is imported: it lies here first, and in the database after that. */
export async function refuseWithoutRoom(folder: string, sizeBytes: number): Promise<void> {
  const missing = 2 * sizeBytes + LEAST_FREE_BYTES - (await freeBytes(folder));
  if (missing > 0)
    throw new Refusal(
      507,
      say('refusals.the-disk-of-the-server-is'),
      say('refusals.mb-are-missing-for-this-file', { megabytes: Math.ceil(missing / MEGABYTE) }),
    );
}
