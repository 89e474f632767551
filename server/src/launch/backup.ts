import { spawn } from 'node:child_process';
import {
  closeSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import { join } from 'node:path';
import pg from 'pg';
import { LaunchError, postgresPrograms } from './debian.ts';

const NAME = /^white-ember-\d{4}-\d{2}-\d{2}T\d{6}Z\.dump$/;

/** A program of PostgreSQL; its words on failure, without passwords, as they are never on its command line. */
function run(program: string, args: readonly string[], url: string): Promise<string> {
  const { username, password, hostname, port, pathname } = new URL(url);
  return new Promise((resolve, reject) => {
    const child = spawn(join(postgresPrograms(), program), args, {
      cwd: '/',
      stdio: ['ignore', 'pipe', 'pipe'],
      env: {
        PATH: process.env['PATH'] ?? '',
        PGHOST: hostname,
        PGPORT: port === '' ? '5432' : port,
        PGUSER: decodeURIComponent(username),
        PGPASSWORD: decodeURIComponent(password),
        PGDATABASE: pathname.slice(1),
      },
    });
    const said: Record<'out' | 'err', string> = { out: '', err: '' };
    child.stdout.on('data', (chunk: Buffer) => (said.out += chunk.toString()));
    child.stderr.on('data', (chunk: Buffer) => (said.err += chunk.toString()));
    child.once('error', reject);
    child.once('close', (status) =>
      status === 0
        ? resolve(said.out)
        : reject(new LaunchError(`${program}: ${said.err.trim().split('\n')[0] ?? 'it failed'}`)),
    );
  });
}

/** Whether a file is a whole backup of ours: its list of contents can be read and names our tables. */
async function checkBackup(file: string, url: string): Promise<void> {
  const list = await run('pg_restore', ['--list', file], url).catch(() => '');
  for (const table of ['workshop', 'job', 'entry', 'blob_chunk', 'migrations'])
    if (!new RegExp(`TABLE DATA public ${table} `).test(list))
      throw new LaunchError(`${file} is no backup of White Ember, or it was cut short.`);
}

export interface Backup {
  readonly path: string;
  readonly bytes: number;
  /** Older ones that were removed. */
  readonly removed: readonly string[];
}

/**
 * Backs the whole database up into a folder: people and passwords, raw files, sessions and links, as they stood at one moment,
 * while the application goes on. The file has its name only when it is whole and was read through; the newest `keep` stay.
 */
export async function backUp(
  url: string,
  folder: string,
  { keep, now = new Date() }: { readonly keep: number; readonly now?: Date },
): Promise<Backup> {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const name = `white-ember-${now.toISOString().slice(0, 19).replaceAll(':', '')}Z.dump`;
  const path = join(folder, name);
  const part = `${path}.part`;
  try {
    // Nobody else may read it: it holds what people entered, and their passwords as hashes.
    closeSync(openSync(part, 'w', 0o600));
    await run('pg_dump', ['--format=custom', '--no-owner', '--no-privileges', `--file=${part}`], url);
    await checkBackup(part, url);
    const file = openSync(part, 'r');
    fsyncSync(file);
    closeSync(file);
    renameSync(part, path);
  } catch (error) {
    rmSync(part, { force: true });
    throw error;
  }
  const older = readdirSync(folder)
    .filter((one) => NAME.test(one) && one !== name)
    .sort()
    .reverse()
    .slice(keep - 1);
  for (const one of older) rmSync(join(folder, one));
  return { path, bytes: statSync(path).size, removed: older };
}

export interface Restored {
  /** Where the database went that was there before. */
  readonly before: string;
  readonly workshops: number;
  readonly jobs: number;
}

/**
 * Puts a backup in the place of a database. It is restored beside it and looked at first; then the two change places, so
 * that what was there before is still there under another name, and a backup that cannot be restored changes nothing.
 */
export async function restoreBackup(url: string, file: string, now = new Date()): Promise<Restored> {
  await checkBackup(file, url);
  const database = new URL(url).pathname.slice(1);
  const mark = now.toISOString().slice(0, 19).replaceAll(/\D/g, '');
  const [fresh, before] = [`${database}_restored_${mark}`, `${database}_before_${mark}`];
  const at = (name: string): string => {
    const other = new URL(url);
    other.pathname = `/${name}`;
    return other.href;
  };
  const admin = new pg.Client({ connectionString: at('postgres') });
  await admin.connect();
  try {
    await admin.query(`CREATE DATABASE "${fresh}"`);
    let counts: { workshops: number; jobs: number };
    try {
      await run(
        'pg_restore',
        [
          '--exit-on-error',
          '--no-owner',
          '--no-privileges',
          '--single-transaction',
          `--dbname=${fresh}`,
          file,
        ],
        at(fresh),
      );
      const client = new pg.Client({ connectionString: at(fresh) });
      await client.connect();
      const { rows } = await client.query<{ workshops: number; jobs: number }>(
        'SELECT (SELECT count(*)::int FROM workshop) AS workshops, (SELECT count(*)::int FROM job) AS jobs',
      );
      await client.end();
      counts = rows[0] as { workshops: number; jobs: number };
      // Renaming wants nobody in it: the application has to be stopped.
      await admin.query(`ALTER DATABASE "${database}" RENAME TO "${before}"`);
    } catch (error) {
      await admin.query(`DROP DATABASE IF EXISTS "${fresh}"`);
      if ((error as { code?: string }).code === '55006')
        throw new LaunchError('The database is in use: stop White Ember first, then restore.');
      throw error;
    }
    await admin.query(`ALTER DATABASE "${fresh}" RENAME TO "${database}"`);
    return { before, ...counts };
  } finally {
    await admin.end();
  }
}
