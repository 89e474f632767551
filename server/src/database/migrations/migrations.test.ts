import type { DataSource } from 'typeorm';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { createDataSource, MIGRATIONS } from '../dataSource.ts';
import { freshDatabase } from '../../testing/testApp.ts';

let db: DataSource;
beforeAll(async () => {
  db = await createDataSource(await freshDatabase()).initialize();
});
afterAll(() => db.destroy());

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
