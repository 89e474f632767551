import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import pg from 'pg';
import { pino } from 'pino';
import { createDataSource } from '../database/dataSource.ts';
import { ensureDemo } from '../demo/ensureDemo.ts';
import { Advisor } from '../judging/advisor.ts';
import { sealOldSignOffs } from '../jobs/seals.ts';
import type { Cluster } from '../launch/cluster.ts';
import { postgresPrograms } from '../launch/debian.ts';

/** A database that is migrated and empty, and one with the demo workshop in it: tests begin on copies of them. */
export const MIGRATED = 'migrated';
export const WITH_DEMO = 'with_demo';

function sourcesIn(folder: string): string[] {
  return readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts'))
    .sort()
    .map((name) => join(folder, name));
}

/** One name for the same demo: the sources that make it, and the day, as some of its jobs are of today. */
function demoKey(root: string): string {
  const hash = createHash('sha256').update(new Date().toISOString().slice(0, 10));
  for (const path of [...sourcesIn(join(root, 'core/src')), ...sourcesIn(join(root, 'server/src'))])
    hash.update(path.slice(root.length)).update(readFileSync(path));
  return hash.digest('hex').slice(0, 24);
}

async function createDatabase(cluster: Cluster, name: string, template?: string): Promise<void> {
  const admin = new pg.Client({ connectionString: cluster.url('postgres') });
  await admin.connect();
  await admin.query(`CREATE DATABASE ${name}${template === undefined ? '' : ` TEMPLATE ${template}`}`);
  await admin.end();
}

async function within(
  url: string,
  work: (db: ReturnType<typeof createDataSource>) => Promise<unknown>,
): Promise<void> {
  const db = await createDataSource(url, pino({ level: 'silent' }), { statementTimeoutMs: 0 }).initialize();
  try {
    await work(db);
  } finally {
    await db.destroy();
  }
}

export async function makeMigrated(cluster: Cluster): Promise<void> {
  await createDatabase(cluster, MIGRATED);
  await within(cluster.url(MIGRATED), (db) => db.runMigrations({ transaction: 'each' }));
}

const program = (name: string, ...args: string[]): void => {
  const { status, stderr } = spawnSync(join(postgresPrograms(), name), args, { encoding: 'utf8' });
  if (status !== 0) throw new Error(`${name}: ${stderr}`);
};

/** A dwell of the demo runs out twenty minutes after it was made: an older one would ring in the midst of the tests. */
const FRESH_MS = 5 * 60_000;
const isFresh = (dump: string): boolean => existsSync(dump) && Date.now() - statSync(dump).mtimeMs < FRESH_MS;

/** The demo, built once for the same sources and kept as a dump; needs the migrated template. */
export async function makeWithDemo(cluster: Cluster, root: string): Promise<void> {
  const folder = join(root, '.cache/demo');
  const dump = join(folder, `${demoKey(root)}.dump`);
  if (isFresh(dump)) {
    await createDatabase(cluster, WITH_DEMO);
    program('pg_restore', '--no-owner', '--exit-on-error', '--dbname', cluster.url(WITH_DEMO), dump);
    return;
  }
  await createDatabase(cluster, WITH_DEMO, MIGRATED);
  await within(cluster.url(WITH_DEMO), async (db) => {
    await ensureDemo(db, { reset: false });
    await sealOldSignOffs(db);
    const advisor = new Advisor(db, join(root, 'server/dist'), pino({ level: 'silent' }));
    await advisor.settled();
    await advisor.close();
  });
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  program(
    'pg_dump',
    '--format=custom',
    '--compress=1',
    '--file',
    `${dump}.${process.pid}`,
    cluster.url(WITH_DEMO),
  );
  renameSync(`${dump}.${process.pid}`, dump);
}
