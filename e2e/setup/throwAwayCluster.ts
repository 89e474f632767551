import { rmSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import pg from 'pg';
import { pino } from 'pino';
import { createDataSource } from '../../server/src/database/dataSource.ts';
import { ensureDemo } from '../../server/src/database/demo/ensureDemo.ts';
import { buildServer, buildWeb } from '../../server/src/launch/build.ts';
import { openCluster } from '../../server/src/launch/cluster.ts';
import { defaultDataFolder } from '../../server/src/launch/dataFolder.ts';

const root = resolve(import.meta.dirname, '../..');

/** A database with the demo workshop in it, of which every installation of the tests is a copy. */
export const TEMPLATE = 'with_demo';

async function makeTemplate(adminUrl: string, url: string): Promise<void> {
  const admin = new pg.Client({ connectionString: adminUrl });
  await admin.connect();
  await admin.query(`CREATE DATABASE ${TEMPLATE}`);
  await admin.end();
  const db = await createDataSource(url, pino({ level: 'silent' })).initialize();
  await db.runMigrations({ transaction: 'each' });
  await ensureDemo(db, { reset: false });
  await db.destroy();
}

/** Builds what is served and makes a PostgreSQL of its own for the browser tests; both the real ones. */
export default async function throwAwayCluster(): Promise<() => Promise<void>> {
  const folder = join(dirname(defaultDataFolder(root)), `browser-${process.pid}`);
  process.env['WHITE_EMBER_E2E_WEB'] = await buildWeb(root);
  process.env['WHITE_EMBER_E2E_SERVER'] = await buildServer(root);
  const cluster = await openCluster(folder);
  process.env['WHITE_EMBER_E2E_CLUSTER'] = cluster.url('DATABASE');
  await makeTemplate(cluster.url('postgres'), cluster.url(TEMPLATE));
  return async () => {
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  };
}
