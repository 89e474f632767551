import { say } from '@white-ember/core/words';
import { createHash } from 'node:crypto';
import type { EntityManager, EntitySchema, ObjectLiteral } from 'typeorm';
import { canonicalJson } from '@white-ember/core/ledger';
import { conflict } from './problem.ts';

export const sha256 = (text: string): string => createHash('sha256').update(text).digest('hex');

/** One hash for equal content: tells a repeated write from another write under the same id. */
export const contentHash = (content: unknown): string => sha256(canonicalJson(content));

interface Stored extends ObjectLiteral {
  id: string;
  workshopId: string;
  contentHash: string;
}

/**
 * Inserts a row under its client-made id, once: repeating the same write changes nothing and returns the stored row;
 * the same id with other content is refused.
 */
export async function insertOnce<T extends Stored>(
  manager: EntityManager,
  entity: EntitySchema<T>,
  row: T,
): Promise<{ row: T; created: boolean }> {
  const inserted = await manager
    .createQueryBuilder()
    .insert()
    .into(entity)
    .values(row)
    .orIgnore()
    .returning('id')
    .execute();
  const stored = await manager.findOneBy(entity, { id: row.id } as never);
  if ((inserted.raw as unknown[]).length > 0 && stored) return { row: stored, created: true };
  if (!stored) {
    throw conflict(say('refusals.another-record-already-has-one-of'));
  }
  if (stored.workshopId !== row.workshopId || stored.contentHash !== row.contentHash) {
    throw conflict(say('refusals.this-id-is-already-in-use'));
  }
  return { row: stored, created: false };
}
