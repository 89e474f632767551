import { rmSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import type { TestProject } from 'vitest/node';
import { buildServer } from '../launch/build.ts';
import { openCluster } from '../launch/cluster.ts';
import { scratchFolder } from './scratchFolder.ts';
import { makeMigrated } from './templates.ts';

declare module 'vitest' {
  interface ProvidedContext {
    /** Address of the throw-away cluster, with `DATABASE` in the place of a database's name. */
    clusterUrl: string;
    /** A folder in which tests may make data folders that the database's user can reach. */
    scratchFolder: string;
    /** Where the programs lie that read files from outside. */
    programFolder: string;
  }
}

const root = resolve(import.meta.dirname, '../../..');

/** A real PostgreSQL of its own for the tests, never the user's data; gone when they are over. */
export default async function throwAwayCluster(project: TestProject): Promise<() => Promise<void>> {
  const folder = scratchFolder(root, 'test');
  const cluster = await openCluster(join(folder, 'shared'), { lasting: false });
  project.provide('clusterUrl', cluster.url('DATABASE'));
  await makeMigrated(cluster);
  project.provide('scratchFolder', folder);
  project.provide('programFolder', dirname(await buildServer(root)));
  return async () => {
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  };
}
