import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { basename, join, resolve } from 'node:path';
import { isRoot } from './debian.ts';

/** As root a system folder named after the clone (the database's user must reach it); else a git-ignored one in it. */
export function defaultDataFolder(root: string): string {
  if (!isRoot()) return join(root, '.data');
  const mark = createHash('sha256').update(resolve(root)).digest('hex').slice(0, 8);
  return `/var/lib/white-ember/${basename(root)}-${mark}`;
}

export interface Holder {
  readonly pid: number;
  readonly address: string;
}

const lockFile = (folder: string): string => join(folder, 'running.json');

const isStart = (pid: number): boolean => {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').match(/dist\/start\.js|launch\/start/) !== null;
  } catch {
    return false;
  }
};

/** The start that already serves this folder, if one really runs. A file left by a killed one does not count. */
export function holderOf(folder: string): Holder | undefined {
  if (!existsSync(lockFile(folder))) return undefined;
  try {
    const holder = JSON.parse(readFileSync(lockFile(folder), 'utf8')) as Holder;
    return holder.pid !== process.pid && isStart(holder.pid) ? holder : undefined;
  } catch {
    return undefined;
  }
}

/** Whether a start was killed here and left its file; what it had started may need a moment to go. */
export const wasKilled = (folder: string): boolean =>
  existsSync(lockFile(folder)) && holderOf(folder) === undefined;

export function hold(folder: string, address: string): void {
  mkdirSync(folder, { recursive: true });
  writeFileSync(lockFile(folder), JSON.stringify({ pid: process.pid, address } satisfies Holder));
}

export const release = (folder: string): void => rmSync(lockFile(folder), { force: true });
