import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Photo } from '@white-ember/core/contract';
import { madeReading } from '@white-ember/core/testing';
import { madePhoto } from '../testing/madePhoto.ts';
import { entry, makeWorkshop, PASSWORD, startTestApp, type TestWorkshop } from '../testing/testApp.ts';
import { backUp, restoreBackup } from './backup.ts';

const root = resolve(import.meta.dirname, '../../..');
const folder = mkdtempSync(join(tmpdir(), 'white-ember-backup-'));
const PNG = await madePhoto();
let url: string;
let workshop: TestWorkshop;
let file: string;
let whole: Record<string, unknown[]>;

/** Every row of every table, as the database writes it. */
async function everyRow(of: string): Promise<Record<string, unknown[]>> {
  const client = new pg.Client({ connectionString: of });
  await client.connect();
  const tables = await client.query<{ name: string }>(
    `SELECT table_name AS name FROM information_schema.tables WHERE table_schema = 'public' ORDER BY 1`,
  );
  const all: Record<string, unknown[]> = {};
  for (const { name } of tables.rows)
    all[name] = (await client.query(`SELECT to_jsonb(t)::text AS row FROM "${name}" t ORDER BY 1`)).rows;
  await client.end();
  return all;
}
const query = async (text: string): Promise<void> => {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  await client.query(text);
  await client.end();
};

beforeAll(async () => {
  const app = await startTestApp();
  url = app.databaseUrl;
  workshop = await makeWorkshop(app, 'Reedmere');
  const path = `/api/jobs/${workshop.ids.job}`;
  await workshop.technician.upload<Photo>(`${path}/photos`, { name: 'a.png', bytes: PNG });
  await workshop.technician.post(`${path}/entries`, entry(madeReading('before', { sootG: 30 })));
  // While the application runs.
  file = (await backUp(url, folder, { keep: 14, now: new Date('2026-05-11T02:15:00Z') })).path;
  await app.close();
  whole = await everyRow(url);
});
afterAll(() => rmSync(folder, { recursive: true }));

describe('a backup', () => {
  it('has its name only when it is whole, is read by nobody else, and leaves nothing beside it', () => {
    expect(readdirSync(folder)).toEqual(['white-ember-2026-05-11T021500Z.dump']);
    expect(statSync(file).mode & 0o077).toBe(0);
  });

  it('brings back every row, also where more was entered since or much was lost', async () => {
    await query(`UPDATE vehicle SET plate = 'LOST'; DELETE FROM photo; DELETE FROM blob`);
    expect(await everyRow(url)).not.toEqual(whole);
    const { before, workshops, jobs } = await restoreBackup(url, file, new Date('2026-05-11T07:00:00Z'));
    expect([workshops, jobs]).toEqual([1, 1]);
    expect(await everyRow(url)).toEqual(whole);
    // What was there before is still there.
    const old = new URL(url);
    old.pathname = `/${before}`;
    expect(JSON.stringify((await everyRow(old.href))['vehicle'])).toContain('LOST');

    // The application runs on it as it did: people, sessions, the photo byte for byte.
    const app = await startTestApp({}, url);
    try {
      const client = app.client();
      expect((await client.signIn('reedmere-technician', PASSWORD)).status).toBe(200);
      workshop.technician.address = app.address;
      expect((await workshop.technician.get('/api/jobs')).status).toBe(200);
      await workshop.technician.post(
        `/api/jobs/${workshop.ids.job}/entries`,
        entry({ kind: 'note', text: 'On' }),
      );
      // The ledger is append-only there, too.
      await expect(app.db.query('DELETE FROM entry')).rejects.toThrow(/never changed or deleted/);
    } finally {
      await app.close();
    }
  });

  it('that is cut short or is something else changes nothing', async () => {
    const before = await everyRow(url);
    const half = join(folder, 'half.dump');
    const bytes = readFileSync(file);
    for (const [content, words] of [
      [bytes.subarray(0, 400), /no backup of White Ember, or it was cut short/],
      [Buffer.from('a letter'), /no backup of White Ember/],
      // Its list is whole, its rows are not.
      [bytes.subarray(0, Math.floor(bytes.length * 0.8)), /pg_restore|no backup/],
    ] as const) {
      writeFileSync(half, content);
      await expect(restoreBackup(url, half)).rejects.toThrow(words);
      expect(await everyRow(url)).toEqual(before);
    }
    rmSync(half);
  });

  it('is refused while the application is in the database', async () => {
    const client = new pg.Client({ connectionString: url });
    await client.connect();
    try {
      await expect(restoreBackup(url, file)).rejects.toThrow(/in use: stop White Ember first/);
    } finally {
      await client.end();
    }
  });

  it('makes room: only so many of the newest stay, and no other file is touched', async () => {
    writeFileSync(join(folder, 'letter.txt'), 'mine');
    for (const day of ['12', '13', '14'])
      await backUp(url, folder, { keep: 2, now: new Date(`2026-05-${day}T02:15:00Z`) });
    expect(readdirSync(folder).sort()).toEqual([
      'letter.txt',
      'white-ember-2026-05-13T021500Z.dump',
      'white-ember-2026-05-14T021500Z.dump',
    ]);
  });
});

describe('the commands', () => {
  const call = (command: string, ...args: string[]) =>
    spawnSync(join(root, 'bin', command), args, {
      encoding: 'utf8',
      env: { PATH: process.env['PATH'], HOME: process.env['HOME'], DATABASE_URL: url },
    });

  it('back up and restore the database that the environment names', async () => {
    const before = await everyRow(url);
    const made = call('backup', '--to', join(folder, 'nightly'));
    expect(made.stderr).toBe('');
    const path = /Backed up: (\S+), [\d.]+ MB in/.exec(made.stdout)?.[1] ?? '';
    expect(existsSync(path)).toBe(true);
    await query(`UPDATE vehicle SET plate = 'LOST AGAIN'`);
    const restored = call('restore', path);
    expect(restored.stdout).toMatch(
      /Restored: 1 workshop with 1 job in .* is in the database \w+_before_\d+/,
    );
    expect(await everyRow(url)).toEqual(before);
  });

  it.each([
    ['backup', ['--keep', '0'], /--keep must be a whole number above 0/],
    ['backup', ['--often'], /--often/],
    ['restore', [], /Name the file to restore/],
    ['restore', ['nowhere.dump'], /There is no file/],
  ] as const)('%s %j says what is wrong, without a stack', (command, args, words) => {
    const { status, stderr } = call(command, ...args);
    expect(status).toBe(1);
    expect(stderr).toMatch(words);
    expect(stderr).not.toMatch(/ at .*\.ts/);
  });
});
