import { readdir, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import type { Logger } from 'pino';

/** An upload that lies longer was given up, or left behind by a server that was killed. */
const LEFT_AFTER_MS = 24 * 3_600_000;
const SWEEP_EVERY_MS = 3_600_000;

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
