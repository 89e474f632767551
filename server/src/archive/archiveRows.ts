import { plainly, type Said, say } from '@white-ember/core/words';
import type { EntityManager } from 'typeorm';
import type { z } from 'zod';
import { linesIn, type OpenZip } from '@white-ember/bounded';
import { LedgerCheck, type HashedEntry } from '@white-ember/core/ledger';
import { conflict, Refusal } from '../http/problem.ts';
import { sha256 } from '../http/once.ts';
import {
  ARCHIVE_TABLES,
  columnsOf,
  keyOf,
  tableFile,
  UNCHANGING,
  type ArchiveTable,
} from './archiveFormat.ts';

export const notReadable = (why: Said): Refusal =>
  new Refusal(
    422,
    say('refusals.this-file-cannot-be-read-as'),
    say('refusals.why-nothing-was-kept', { why }),
  );

const inLine = (file: string, line: number, fault: Said): Said =>
  say('refusals.in-line', { file, line, fault });

export const firstIssue = (error: z.ZodError): string => {
  const [issue] = error.issues;
  return issue
    ? `${issue.path.join('.')}${issue.path.length > 0 ? ': ' : ''}${issue.message}`
    : plainly(say('faults.not-right'));
};

export type Row = Record<string, unknown> & { readonly id?: string };

/** The ledger as it stands in the archive, entry by entry: what was changed, left out or put in is refused by its line. */
export class CheckedLedger {
  private readonly check = new LedgerCheck(sha256);
  private readonly stated: { readonly jobId: string; readonly count: number; readonly line: number }[] = [];

  job(row: Row, line: number): void {
    this.stated.push({ jobId: String(row.id), count: Number(row['entry_count']), line });
  }

  /** The row with its link, which archives of the first version do not have. */
  entry(row: Row, line: number): Row {
    const { fault, chainHash } = this.check.next({
      id: String(row.id),
      jobId: String(row['job_id']),
      seq: Number(row['seq']),
      authorId: String(row['author_id']),
      authorName: String(row['author_name']),
      deviceTime: String(row['device_time']),
      serverTime: String(row['server_time']),
      supersedes: row['supersedes'] as string | null,
      body: row['body'],
      contentHash: String(row['content_hash']),
      chainHash: row['chain_hash'] as string | undefined,
    } satisfies HashedEntry);
    if (fault) throw notReadable(inLine(tableFile('entry'), line, fault.what));
    return { ...row, chain_hash: chainHash };
  }

  /** Once all entries are read: a job whose last ones were cut off has fewer than it says. */
  end(): void {
    for (const { jobId, count, line } of this.stated) {
      const fault = this.check.count(jobId, count);
      if (fault) throw notReadable(inLine(tableFile('job'), line, fault.what));
    }
  }
}

/** The rows of a table, checked one by one. */
export async function* rowsIn(zip: OpenZip, table: ArchiveTable, ledger: CheckedLedger): AsyncGenerator<Row> {
  const name = tableFile(table);
  // An archive of the first version has no seals.
  if (table === 'job_seal' && !zip.has(name)) return;
  for await (const [line, number] of linesIn(zip, name)) {
    let value: unknown;
    try {
      value = JSON.parse(line);
    } catch {
      throw notReadable(inLine(name, number, say('refusals.no-json')));
    }
    const parsed = ARCHIVE_TABLES[table].safeParse(value);
    if (!parsed.success) throw notReadable(inLine(name, number, firstIssue(parsed.error)));
    // As it stands there: what an older version wrote and this one does not ask for stays with it.
    const row = value as Row;
    if (table === 'job') ledger.job(row, number);
    yield table === 'entry' ? ledger.entry(row, number) : row;
  }
}

/** Columns that are not in the archive and must not be empty. */
const FILLED: Partial<Record<ArchiveTable, string>> = {
  member: `'' AS password_hash`,
  // Worked out anew when its entries are in.
  job: `'{}'::jsonb AS summary`,
  entry: 'now() AS imported_at',
};

/** By what a row that never changes is known to be another one, where it is not its hash. */
const CLASHES: Partial<Record<ArchiveTable, string>> = {
  blob: 't.sha256 <> r.sha256',
  entry: 't.chain_hash <> r.chain_hash',
};

/** Adds rows that are not here yet; those that are stay. Rows that never change must be the same. */
export async function addRows(
  manager: EntityManager,
  workshopId: string,
  table: ArchiveTable,
  rows: readonly Row[],
): Promise<number> {
  const columns = columnsOf(table);
  const filled = FILLED[table];
  const target = [...columns, 'workshop_id', ...(filled ? [filled.split(' AS ')[1] as string] : [])];
  const added = await manager.query<{ key: string }[]>(
    `INSERT INTO ${table} (${target.join(', ')})
     SELECT ${columns.map((column) => `r.${column}`).join(', ')}, $1::uuid${filled ? `, ${filled.split(' AS ')[0] ?? ''}` : ''}
       FROM jsonb_populate_recordset(NULL::${table}, $2::jsonb) r
     ON CONFLICT (${table === 'channel_correction' ? 'workshop_id, heading' : keyOf(table)}) DO NOTHING RETURNING ${keyOf(table)}::text AS key`,
    [workshopId, JSON.stringify(rows)],
  );
  if (added.length === rows.length) return added.length;
  const isNew = new Set(added.map(({ key }) => key));
  const others = rows.filter((row) => !isNew.has(row[keyOf(table)] as string));
  const [clash] = await manager.query<{ id: string }[]>(
    table === 'channel_correction'
      ? 'SELECT NULL AS id WHERE false'
      : `SELECT t.${keyOf(table)} AS id FROM ${table} t JOIN jsonb_populate_recordset(NULL::${table}, $2::jsonb) r ON r.${keyOf(table)} = t.${keyOf(table)}
          WHERE t.workshop_id <> $1${
            UNCHANGING.has(table) ? ` OR ${CLASHES[table] ?? 't.content_hash <> r.content_hash'}` : ''
          } LIMIT 1`,
    table === 'channel_correction' ? [] : [workshopId, JSON.stringify(others)],
  );
  if (clash) throw conflict(say('refusals.the-archive-has-a-row-of', { table, id: clash.id }));
  return added.length;
}
