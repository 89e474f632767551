import { randomBytes } from 'node:crypto';
import type { DataSource } from 'typeorm';

/** A secret of this installation, made once and kept in the database, so that all its processes share it. */
export async function keptSecret(db: DataSource, name: 'session-secret' | 'share-secret'): Promise<string> {
  await db.query(`INSERT INTO setting (name, value) VALUES ($1, $2) ON CONFLICT DO NOTHING`, [
    name,
    randomBytes(32).toString('base64url'),
  ]);
  const rows = await db.query<{ value: string }[]>(`SELECT value FROM setting WHERE name = $1`, [name]);
  return (rows[0] as { value: string }).value;
}
