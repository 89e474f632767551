import { existsSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { urlFromPg } from '../http/config.ts';
import { backUp, restoreBackup } from './backup.ts';
import { ensureDatabase, openCluster } from './cluster.ts';
import { defaultDataFolder, holderOf } from './dataFolder.ts';
import { LaunchError } from './debian.ts';

const HELP = {
  backup: `bin/backup — backs the whole database up, while White Ember runs or not

  --to DIR    folder of the backups (default: backups in the data folder)
  --keep N    so many of the newest stay, older ones are removed (default 14)
  --data DIR  folder of the private database
  --help      this

Every night, for example by cron:  15 2 * * *  /path/to/white-ember/bin/backup --to /mnt/other-disk
Without DATABASE_URL or PG* it is the private database of bin/start.
`,
  restore: `bin/restore FILE — puts a backup in the place of the database; White Ember has to be stopped

  --data DIR  folder of the private database
  --help      this

What was there before stays under another name, which is told.
`,
} as const;

/** Where the command was called: names of files are meant from there. */
const here = process.env['WHITE_EMBER_FROM'] ?? process.cwd();

/** The commands of bin go to the root of the installation before they begin. */
const root = process.cwd();

/** Does something with the database: that of the environment, or the private one, which is started for it where it rests. */
async function withDatabase<T>(data: string, work: (url: string) => Promise<T>): Promise<T> {
  const external = process.env['DATABASE_URL'] ?? urlFromPg(process.env);
  if (external) return work(external);
  if (!existsSync(join(data, 'cluster', 'PG_VERSION')))
    throw new LaunchError(`There is no database in ${data}. Name its folder with --data.`);
  const inUse = holderOf(data) !== undefined;
  const cluster = await openCluster(data);
  try {
    return await work(await ensureDatabase(cluster, 'white_ember'));
  } finally {
    if (!inUse) await cluster.stop();
  }
}

async function main(command: string | undefined): Promise<void> {
  if (command !== 'backup' && command !== 'restore') throw new LaunchError('bin/backup or bin/restore');
  let parsed;
  try {
    parsed = parseArgs({
      args: process.argv.slice(3),
      allowPositionals: command === 'restore',
      options: {
        data: { type: 'string' },
        ...(command === 'backup'
          ? { to: { type: 'string' as const }, keep: { type: 'string' as const, default: '14' } }
          : {}),
        help: { type: 'boolean', default: false },
      },
    });
  } catch (error) {
    throw new LaunchError(
      `${(error as Error).message.split('\n')[0] ?? ''}\nbin/${command} --help tells the options.`,
    );
  }
  const values = parsed.values as { data?: string; to?: string; keep?: string; help: boolean };
  if (values.help) {
    process.stdout.write(HELP[command]);
    return;
  }
  const data = resolve(values.data ?? defaultDataFolder(root));
  const begin = Date.now();
  if (command === 'backup') {
    const keep = Number(values.keep);
    if (!Number.isInteger(keep) || keep < 1)
      throw new LaunchError(`--keep must be a whole number above 0 (it is "${values.keep ?? ''}").`);
    const folder = values.to === undefined ? join(data, 'backups') : resolve(here, values.to);
    const { path, bytes, removed } = await withDatabase(data, (url) => backUp(url, folder, { keep }));
    process.stdout.write(
      `Backed up: ${path}, ${(bytes / 1e6).toFixed(1)} MB in ${((Date.now() - begin) / 1000).toFixed(1)} s${
        removed.length > 0 ? `; removed ${removed.length} older` : ''
      }\n`,
    );
    return;
  }
  const [file] = parsed.positionals;
  if (file === undefined) throw new LaunchError('Name the file to restore: bin/restore FILE');
  const path = resolve(here, file);
  if (!existsSync(path)) throw new LaunchError(`There is no file ${file}.`);
  const holder = process.env['DATABASE_URL'] || urlFromPg(process.env) ? undefined : holderOf(data);
  if (holder)
    throw new LaunchError(
      `White Ember runs at ${holder.address} (process ${holder.pid}): stop it first, then restore.`,
    );
  const { before, workshops, jobs } = await withDatabase(data, (url) => restoreBackup(url, path));
  process.stdout.write(
    `Restored: ${workshops} ${workshops === 1 ? 'workshop' : 'workshops'} with ${jobs} ${jobs === 1 ? 'job' : 'jobs'} in ${((Date.now() - begin) / 1000).toFixed(1)} s. What was there before is in the database ${before}.\n`,
  );
}

try {
  await main(process.argv[2]);
} catch (error) {
  process.stderr.write(`${error instanceof LaunchError ? error.message : String((error as Error).stack)}\n`);
  process.exit(1);
}
