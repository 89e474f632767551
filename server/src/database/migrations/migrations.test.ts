import { afterAll, beforeAll, expect, it } from 'vitest';
import { v7 as uuidv7 } from 'uuid';
import { DataSource } from 'typeorm';
import { createDataSource, ENTITIES, MIGRATIONS } from '../dataSource.ts';
import { Ground1732400000000 } from './1732400000000-Ground.ts';
import { Clocks1764300000000 } from './1764300000000-Clocks.ts';
import { Fleet1764350000000 } from './1764350000000-Fleet.ts';
import { HandOver1764330000000 } from './1764330000000-HandOver.ts';
import { LogColumns1764000000000 } from './1764000000000-LogColumns.ts';
import { freshDatabase } from '../../testing/testApp.ts';

let db: DataSource;
beforeAll(async () => {
  db = await createDataSource(await freshDatabase()).initialize();
});
afterAll(() => db.destroy());

/** What a database had run before a migration came. */
const before = (migration: (typeof MIGRATIONS)[number]): typeof MIGRATIONS =>
  MIGRATIONS.slice(0, MIGRATIONS.indexOf(migration));

/** Undoes a migration and all that came after it. */
async function undo(db: DataSource, migration: (typeof MIGRATIONS)[number]): Promise<void> {
  for (let i = MIGRATIONS.length; i > MIGRATIONS.indexOf(migration); i--) await db.undoLastMigration();
}

const tables = async (): Promise<string[]> =>
  (
    await db.query<{ name: string }[]>(
      `SELECT table_name AS name FROM information_schema.tables WHERE table_schema = 'public' ORDER BY 1`,
    )
  ).map(({ name }) => name);

it('build the schema on an empty database, run twice without harm, and can be undone', async () => {
  expect(await db.runMigrations({ transaction: 'each' })).toHaveLength(MIGRATIONS.length);
  expect(await db.runMigrations({ transaction: 'each' })).toHaveLength(0);
  for (const entity of db.entityMetadatas) expect(await tables()).toContain(entity.tableName);
  for (let i = 0; i < MIGRATIONS.length; i++) await db.undoLastMigration();
  expect((await tables()).filter((name) => name !== 'migrations')).toEqual([]);
  await db.runMigrations({ transaction: 'each' });
});

it('give every column that the entities read and write, with its kind and whether it may be empty', async () => {
  for (const entity of db.entityMetadatas) {
    const columns = await db.query<{ column_name: string; data_type: string; is_nullable: string }[]>(
      'SELECT column_name, data_type, is_nullable FROM information_schema.columns WHERE table_name = $1 AND is_generated = $2',
      [entity.tableName, 'NEVER'],
    );
    const inDatabase = Object.fromEntries(
      columns.map((c) => [
        c.column_name,
        [c.data_type.replace('timestamp with time zone', 'timestamptz'), c.is_nullable === 'YES'],
      ]),
    );
    const inCode = Object.fromEntries(
      entity.columns.map((c) => [c.databaseName, [String(c.type), c.isNullable]]),
    );
    expect(inDatabase, entity.tableName).toEqual(inCode);
  }
});

it('add the columns of logs to a database that holds logs, and leave those as they are', async () => {
  const url = await freshDatabase();
  const old = await new DataSource({
    type: 'postgres',
    url,
    entities: ENTITIES,
    migrations: [Ground1732400000000],
  }).initialize();
  await old.runMigrations({ transaction: 'each' });
  const [workshop, vehicle, job, blob, log] = Array.from({ length: 5 }, () => uuidv7());
  await old.query(`INSERT INTO workshop (id, name) VALUES ($1, 'Reedmere')`, [workshop]);
  await old.query(
    `INSERT INTO vehicle (id, workshop_id, plate, model, family, fitted, content_hash)
       VALUES ($1, $2, 'RM 1', 'Tarn 2.0', 'Tarn', '{}', 'x')`,
    [vehicle, workshop],
  );
  await old.query(
    `INSERT INTO job (id, workshop_id, vehicle_id, number, opened_at, last_entry_at, summary, content_hash)
       VALUES ($1, $2, $3, 1, now(), now(), '{}', 'x')`,
    [job, workshop, vehicle],
  );
  await old.query(`INSERT INTO blob (id, workshop_id, size_bytes, sha256) VALUES ($1, $2, 3, 'abc')`, [
    blob,
    workshop,
  ]);
  await old.query(
    `INSERT INTO log (id, workshop_id, job_id, blob_id, file_name, content_hash) VALUES ($1, $2, $3, $4, 'a.csv', 'x')`,
    [log, workshop, job, blob],
  );
  await old.destroy();
  const now = await createDataSource(url).initialize();
  expect(await now.runMigrations({ transaction: 'each' })).toHaveLength(MIGRATIONS.length - 1);
  expect(await now.query('SELECT id, file_name FROM log')).toEqual([{ id: log, file_name: 'a.csv' }]);
  await now.query(
    `INSERT INTO log_columns (log_id, workshop_id, reader_version, header) VALUES ($1, $2, 1, '{}')`,
    [log, workshop],
  );
  await now.query('DELETE FROM log WHERE id = $1', [log]);
  expect(await now.query('SELECT * FROM log_columns')).toEqual([]);
  await now.destroy();
});

it('add photos to a database that holds jobs, and leave those as they are', async () => {
  const url = await freshDatabase();
  const old = await new DataSource({
    type: 'postgres',
    url,
    entities: ENTITIES,
    migrations: [Ground1732400000000, LogColumns1764000000000],
  }).initialize();
  await old.runMigrations({ transaction: 'each' });
  const [workshop, vehicle, job, blob] = Array.from({ length: 4 }, () => uuidv7());
  await old.query(`INSERT INTO workshop (id, name) VALUES ($1, 'Reedmere')`, [workshop]);
  await old.query(
    `INSERT INTO vehicle (id, workshop_id, plate, model, family, fitted, content_hash)
       VALUES ($1, $2, 'RM 1', 'Tarn 2.0', 'Tarn', '{}', 'x')`,
    [vehicle, workshop],
  );
  await old.query(
    `INSERT INTO job (id, workshop_id, vehicle_id, number, opened_at, last_entry_at, summary, content_hash)
       VALUES ($1, $2, $3, 1, now(), now(), '{}', 'x')`,
    [job, workshop, vehicle],
  );
  await old.query(`INSERT INTO blob (id, workshop_id, size_bytes, sha256) VALUES ($1, $2, 3, 'abc')`, [
    blob,
    workshop,
  ]);
  await old.destroy();
  const now = await createDataSource(url).initialize();
  expect(await now.runMigrations({ transaction: 'each' })).toHaveLength(MIGRATIONS.length - 2);
  expect(await now.query('SELECT id FROM job')).toEqual([{ id: job }]);
  await now.query(
    `INSERT INTO photo (id, workshop_id, job_id, blob_id, media_type, content_hash) VALUES ($1, $2, $3, $4, 'image/png', 'x')`,
    [uuidv7(), workshop, job, blob],
  );
  expect(await now.query('SELECT media_type FROM photo')).toEqual([{ media_type: 'image/png' }]);
  await now.destroy();
});

it('turn the one dwell of a job’s line into its clocks, and back', async () => {
  const url = await freshDatabase();
  const old = await new DataSource({
    type: 'postgres',
    url,
    entities: ENTITIES,
    migrations: before(Clocks1764300000000),
  }).initialize();
  await old.runMigrations({ transaction: 'each' });
  const [workshop, member, vehicle, standing, idle, entry] = Array.from({ length: 6 }, () => uuidv7());
  await old.query(`INSERT INTO workshop (id, name) VALUES ($1, 'Reedmere')`, [workshop]);
  await old.query(
    `INSERT INTO member (id, workshop_id, name, sign_in_name, role, password_hash, content_hash) VALUES ($1, $2, 'Wren', 'wren', 'lead', 'x', '')`,
    [member, workshop],
  );
  await old.query(
    `INSERT INTO vehicle (id, workshop_id, plate, model, family, fitted, content_hash) VALUES ($1, $2, 'AB 12 CD', 'van', 'Tarn 2.0', '[]', '')`,
    [vehicle, workshop],
  );
  const summary = { stage: 'treat', headline: 'x', verdict: 'open', signedOff: false };
  const until = '2026-05-11T08:40:00.000Z';
  for (const [id, number, line] of [
    [standing, 1, { ...summary, dwellUntil: until }],
    [idle, 2, summary],
  ] as const)
    await old.query(
      `INSERT INTO job (id, workshop_id, vehicle_id, number, opened_at, last_entry_at, entry_count, summary, content_hash)
       VALUES ($1, $2, $3, $4, now(), now(), 1, $5, '')`,
      [id, workshop, vehicle, number, JSON.stringify(line)],
    );
  await old.query(
    `INSERT INTO entry (id, workshop_id, job_id, seq, author_name, author_id, device_time, server_time, body, content_hash)
     VALUES ($1, $5, $2, 1, 'Wren', $3, '2026-05-11T08:10:00Z', now(), $4, '')`,
    [
      entry,
      standing,
      member,
      JSON.stringify({ kind: 'work', work: 'chemical-clean', what: 'One fill', dwellMin: 30 }),
      workshop,
    ],
  );
  await old.destroy();

  const now = await createDataSource(url).initialize();
  await now.runMigrations({ transaction: 'each' });
  const lines = async () =>
    Object.fromEntries(
      (await now.query<{ id: string; summary: unknown }[]>('SELECT id, summary FROM job')).map((row) => [
        row.id,
        row.summary,
      ]),
    );
  expect(await lines()).toEqual({
    [standing as string]: {
      ...summary,
      clocks: [{ entryId: entry, clock: 'dwell', what: 'One fill', next: 'flush and read', until }],
    },
    [idle as string]: { ...summary, clocks: [] },
  });
  await undo(now, Clocks1764300000000);
  expect(await lines()).toEqual({
    [standing as string]: { ...summary, dwellUntil: until },
    [idle as string]: summary,
  });
  await now.destroy();
});

it('leave a workshop that is there with technicians who sign off, as they did', async () => {
  const url = await freshDatabase();
  const old = await new DataSource({
    type: 'postgres',
    url,
    migrations: before(HandOver1764330000000),
  }).initialize();
  await old.runMigrations({ transaction: 'each' });
  await old.query(`INSERT INTO workshop (id, name) VALUES ($1, 'Reedmere')`, [uuidv7()]);
  await old.destroy();

  const now = await createDataSource(url).initialize();
  await now.runMigrations({ transaction: 'each' });
  expect(await now.query('SELECT name, sign_off_by FROM workshop')).toEqual([
    { name: 'Reedmere', sign_off_by: 'technician' },
  ]);
  await undo(now, HandOver1764330000000);
  expect(Object.keys((await now.query<object[]>('SELECT * FROM workshop'))[0] ?? {})).not.toContain(
    'sign_off_by',
  );
  await now.destroy();
});

it('forget what jobs left with their vehicles, as they tell more now, and count every later change', async () => {
  const url = await freshDatabase();
  const old = await new DataSource({
    type: 'postgres',
    url,
    migrations: before(Fleet1764350000000),
  }).initialize();
  await old.runMigrations({ transaction: 'each' });
  const [workshop, vehicle, job] = [uuidv7(), uuidv7(), uuidv7()];
  await old.query(`INSERT INTO workshop (id, name) VALUES ($1, 'Reedmere')`, [workshop]);
  await old.query(
    `INSERT INTO vehicle (id, workshop_id, plate, model, family, fitted, content_hash) VALUES ($1, $2, 'AB 12 CD', 'van', 'Tarn 2.0', '[]', '')`,
    [vehicle, workshop],
  );
  await old.query(
    `INSERT INTO job (id, workshop_id, vehicle_id, number, opened_at, last_entry_at, entry_count, summary, visit, content_hash)
     VALUES ($1, $2, $3, 1, now(), now(), 1, '{}', '{"number": 1, "causes": []}', '')`,
    [job, workshop, vehicle],
  );
  await old.destroy();

  const now = await createDataSource(url).initialize();
  await now.runMigrations({ transaction: 'each' });
  expect(await now.query('SELECT visit, follow_ups FROM job')).toEqual([{ visit: null, follow_ups: [] }]);
  const changes = async (): Promise<number | undefined> =>
    (await now.query<{ changes: number }[]>('SELECT changes FROM vehicle_outlook'))[0]?.changes;
  const set = (visit: string) => now.query('UPDATE job SET visit = $1', [visit]);
  await set('{"number": 1}');
  expect(await changes()).toBe(1);
  // The same again is no change.
  await set('{"number": 1}');
  expect(await changes()).toBe(1);
  await set('{"number": 1, "km": 9}');
  await now.query(`UPDATE vehicle SET family = 'Harrow 3.0'`);
  expect(await changes()).toBe(3);
  await now.query(
    `INSERT INTO limits_profile (id, workshop_id, family, version, overrides, created_by, content_hash) VALUES ($1, $2, 'Tarn 2.0', 1, '{}', 'x', '')`,
    [uuidv7(), workshop],
  );
  expect(await changes()).toBe(3);
  await now.query(
    `INSERT INTO limits_profile (id, workshop_id, family, version, overrides, created_by, content_hash) VALUES ($1, $2, '', 1, '{}', 'x', '')`,
    [uuidv7(), workshop],
  );
  expect(await changes()).toBe(4);
  await undo(now, Fleet1764350000000);
  expect(Object.keys((await now.query<object[]>('SELECT * FROM job'))[0] ?? {})).not.toContain('follow_ups');
  await now.destroy();
});
