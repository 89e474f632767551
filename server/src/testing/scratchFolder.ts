import { existsSync, mkdirSync, readdirSync, rmSync, statfsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { defaultDataFolder } from '../launch/dataFolder.ts';

const MEMORY = '/dev/shm';
/** All databases of a whole run together are a third of it. */
const ENOUGH_BYTES = 6 * 1024 ** 3;
const NAME = /^white-ember-(test|browser)-(\d+)$/;

function roomInMemory(): boolean {
  if (!existsSync(MEMORY)) return false;
  const { bavail, bsize } = statfsSync(MEMORY);
  return bavail * bsize >= ENOUGH_BYTES;
}

/** What runs that were killed left there would fill the memory. */
function sweep(): void {
  for (const name of readdirSync(MEMORY)) {
    const pid = NAME.exec(name)?.[2];
    if (pid !== undefined && !existsSync(`/proc/${pid}`))
      rmSync(join(MEMORY, name), { recursive: true, force: true });
  }
}

/**
 * A folder for the throw-away databases of this run, reachable for the database’s user. In memory where there is plenty of it:
 * a hundred databases are made and removed again, which on a disk takes longer than what they are made for.
 */
export function scratchFolder(root: string, kind: 'test' | 'browser'): string {
  const inMemory = roomInMemory();
  if (inMemory) sweep();
  const folder = inMemory
    ? join(MEMORY, `white-ember-${kind}-${process.pid}`)
    : join(dirname(defaultDataFolder(root)), `${kind}-${process.pid}`);
  mkdirSync(folder, { recursive: true, mode: 0o711 });
  return folder;
}
