import { EntitySchema } from 'typeorm';
import type { Entry, EntryBody } from '@white-ember/core/ledger';

/** A row of the ledger. Rows are inserted and never changed; the database refuses updates (see the migration). */
export interface EntryRow {
  id: string;
  workshopId: string;
  jobId: string;
  seq: number;
  authorId: string;
  authorName: string;
  deviceTime: Date;
  serverTime: Date;
  supersedes: string | null;
  body: EntryBody;
  contentHash: string;
  /** Hash of this entry and of the one before it on its job. */
  chainHash: string;
  /** When it came with an archive; null where it was made here. */
  importedAt: Date | null;
}

export const EntryEntity = new EntitySchema<EntryRow>({
  name: 'Entry',
  tableName: 'entry',
  columns: {
    id: { type: 'uuid', primary: true },
    workshopId: { type: 'uuid', name: 'workshop_id' },
    jobId: { type: 'uuid', name: 'job_id' },
    seq: { type: 'integer' },
    authorId: { type: 'uuid', name: 'author_id' },
    authorName: { type: 'text', name: 'author_name' },
    deviceTime: { type: 'timestamptz', name: 'device_time' },
    serverTime: { type: 'timestamptz', name: 'server_time' },
    supersedes: { type: 'uuid', nullable: true },
    body: { type: 'jsonb' },
    contentHash: { type: 'text', name: 'content_hash' },
    chainHash: { type: 'text', name: 'chain_hash' },
    importedAt: { type: 'timestamptz', name: 'imported_at', nullable: true },
  },
});

export const toEntry = (row: EntryRow): Entry => ({
  id: row.id,
  jobId: row.jobId,
  seq: row.seq,
  authorId: row.authorId,
  authorName: row.authorName,
  deviceTime: row.deviceTime.toISOString(),
  serverTime: row.serverTime.toISOString(),
  ...(row.supersedes === null ? {} : { supersedes: row.supersedes }),
  ...(row.importedAt === null ? {} : { imported: true }),
  body: row.body,
});
