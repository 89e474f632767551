import { rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { buildServer, buildWeb } from '../../server/src/launch/build.ts';
import { openCluster } from '../../server/src/launch/cluster.ts';
import { scratchFolder } from '../../server/src/testing/scratchFolder.ts';
import { makeMigrated, makeWithDemo } from '../../server/src/testing/templates.ts';

const root = resolve(import.meta.dirname, '../..');

/** Builds what is served and makes a PostgreSQL of its own for the browser tests; both the real ones. */
export default async function throwAwayCluster(): Promise<() => Promise<void>> {
  const folder = scratchFolder(root, 'browser');
  process.env['WHITE_EMBER_E2E_WEB'] = await buildWeb(root);
  process.env['WHITE_EMBER_E2E_SERVER'] = await buildServer(root);
  const cluster = await openCluster(folder, { lasting: false });
  process.env['WHITE_EMBER_E2E_CLUSTER'] = cluster.url('DATABASE');
  await makeMigrated(cluster);
  await makeWithDemo(cluster, root);
  return async () => {
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  };
}
