import { say } from '@white-ember/core/words';
import { createHash } from 'node:crypto';
import type { DataSource, EntityManager } from 'typeorm';
import { linesIn, openZip, ZipNotReadable, type OpenZip } from '@white-ember/bounded';
import { conflict, Refusal } from '../http/problem.ts';
import { refreshSummary } from '../judging/jobSummary.ts';
import { sealOldSignOffs } from '../jobs/seals.ts';
import {
  keyOf,
  MANIFEST_NAME,
  manifestSchema,
  rawFile,
  REFERENCES,
  TABLE_NAMES,
  tableFile,
  type ArchiveTable,
  type Manifest,
} from './archiveFormat.ts';
import { Pace } from './pace.ts';
import { notReadable, firstIssue, type Row, CheckedLedger, addRows, rowsIn } from './archiveRows.ts';

const PAGE_ROWS = 200;
const CHUNK_BYTES = 1024 * 1024;

/** What came of taking an archive in. */
export interface TakenIn {
  /** Rows by table: new here, and those that were here before and stay as they are. */
  readonly added: Record<ArchiveTable, number>;
  readonly known: Record<ArchiveTable, number>;
  /** People whose sign-in name is taken here: they got another one. */
  readonly renamed: { name: string; signInName: string }[];
}

async function readManifest(zip: OpenZip): Promise<Manifest> {
  let text = '';
  for await (const [line] of linesIn(zip, MANIFEST_NAME)) text += line;
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw notReadable(say('refusals.is-no-json', { where: MANIFEST_NAME }));
  }
  const parsed = manifestSchema.safeParse(value);
  if (!parsed.success)
    throw notReadable(
      say('refusals.field-and-fault', { field: MANIFEST_NAME, fault: firstIssue(parsed.error) }),
    );
  return parsed.data;
}

/** People whose sign-in name somebody else has here get another one; nobody is signed in by an archive. */
async function withFreeNames(
  manager: EntityManager,
  rows: readonly Row[],
  renamed: TakenIn['renamed'],
): Promise<Row[]> {
  const taken = await manager.query<{ id: string; name: string }[]>(
    `SELECT id, lower(sign_in_name) AS name FROM member WHERE lower(sign_in_name) = ANY($1)`,
    [rows.map((row) => String(row['sign_in_name']).toLowerCase())],
  );
  return rows.map((row) => {
    const signInName = String(row['sign_in_name']);
    const other = taken.find(({ id, name }) => name === signInName.toLowerCase() && id !== row.id);
    if (!other) return row;
    const free = `${signInName}-${String(row.id).slice(-6)}`;
    renamed.push({ name: String(row['name']), signInName: free });
    return { ...row, sign_in_name: free };
  });
}

/** A raw file, in pieces of the size in which they are kept, held against its length and its hash. */
async function addRawFile(manager: EntityManager, zip: OpenZip, row: Row, pace: Pace): Promise<void> {
  const [id, size, sha256] = [String(row.id), Number(row['size_bytes']), String(row['sha256'])];
  const name = rawFile(id);
  const hash = createHash('sha256');
  let [position, bytes, kept] = [0, 0, Buffer.alloc(0)];
  const keep = async (piece: Buffer): Promise<void> => {
    await manager.query('INSERT INTO blob_chunk (blob_id, position, bytes) VALUES ($1, $2, $3)', [
      id,
      position++,
      piece,
    ]);
    await pace.rest();
  };
  for await (const piece of await zip.read(name)) {
    const buffer = piece as Buffer;
    hash.update(buffer);
    bytes += buffer.length;
    if (bytes > size) break;
    kept = Buffer.concat([kept, buffer]);
    while (kept.length >= CHUNK_BYTES) {
      await keep(kept.subarray(0, CHUNK_BYTES));
      kept = kept.subarray(CHUNK_BYTES);
    }
  }
  if (kept.length > 0) await keep(kept);
  if (bytes !== size || hash.digest('hex') !== sha256)
    throw notReadable(say('refusals.other-than-was-put-in', { name }));
}

async function takeTable(
  manager: EntityManager,
  zip: OpenZip,
  workshopId: string,
  table: ArchiveTable,
  renamed: TakenIn['renamed'],
  ledger: CheckedLedger,
  pace: Pace,
): Promise<{ added: number; rows: number }> {
  let [added, rows] = [0, 0];
  let page: Row[] = [];
  const flush = async (): Promise<void> => {
    if (page.length === 0) return;
    rows += page.length;
    const fit = table === 'member' ? await withFreeNames(manager, page, renamed) : page;
    if (table === 'blob') {
      // Only of new ones the bytes are read.
      const known = new Set(
        (
          await manager.query<{ id: string }[]>('SELECT id FROM blob WHERE id = ANY($1::uuid[])', [
            fit.map(({ id }) => id),
          ])
        ).map(({ id }) => id),
      );
      added += await addRows(manager, workshopId, table, fit);
      for (const row of fit) if (!known.has(String(row.id))) await addRawFile(manager, zip, row, pace);
    } else added += await addRows(manager, workshopId, table, fit);
    page = [];
    await pace.rest();
  };
  for await (const row of rowsIn(zip, table, ledger)) {
    page.push(row);
    if (page.length >= PAGE_ROWS) await flush();
  }
  await flush();
  return { added, rows };
}

async function checkReferences(manager: EntityManager, workshopId: string): Promise<void> {
  for (const [table, column, to] of REFERENCES) {
    const [foreign] = await manager.query<{ id: string }[]>(
      `SELECT t.${keyOf(table)}::text AS id FROM ${table} t JOIN ${to} o ON o.id = t.${column}
        WHERE t.workshop_id = $1 AND o.workshop_id <> $1 LIMIT 1`,
      [workshopId],
    );
    if (foreign)
      throw notReadable(
        say('refusals.names-what-is-not-there', { where: `${tableFile(table)}: ${foreign.id}`, to }),
      );
  }
}

/** What the database itself refuses, in words. */
function inWords(error: unknown): unknown {
  const { code, detail, table } = error as { code?: string; detail?: string; table?: string };
  if (code === '23505') {
    // “Key (workshop_id, number)=(…, 12) already exists.”: the name of the column and its value are what a person knows.
    const [, column, value] = /\((?:[\w, ()]+, )?(\w+)\)*\)=\((?:.*, )?(.*?)\)/.exec(detail ?? '') ?? [];
    return conflict(
      say('refusals.the-of-a-in-the-archive', {
        name: column ?? 'name',
        value: value ?? '',
        row: table ?? 'row',
      }),
    );
  }
  if (code === '23503') return notReadable(say('refusals.a-row-names-another', { table }));
  if (code?.startsWith('22') || code === '23514' || code === '23502')
    return notReadable(say('refusals.a-value-is-not-right', { table }));
  return error;
}

/** New jobs first, which nobody else sees yet, then those that were here with fewer entries. */
async function judgeAdded(manager: EntityManager, workshopId: string, pace: Pace): Promise<void> {
  const jobs = await manager.query<{ id: string }[]>(
    `SELECT j.id FROM job j LEFT JOIN LATERAL (SELECT count(*)::int AS n FROM entry WHERE job_id = j.id) e ON true
      WHERE j.workshop_id = $1 AND (j.summary = '{}'::jsonb OR j.entry_count <> e.n)
      ORDER BY j.summary = '{}'::jsonb DESC`,
    [workshopId],
  );
  for (const { id } of jobs) {
    await manager.query(
      `UPDATE job SET entry_count = e.n, last_entry_at = greatest(last_entry_at, e.last)
         FROM (SELECT count(*)::int AS n, max(server_time) AS last FROM entry WHERE job_id = $1) e WHERE id = $1`,
      [id],
    );
    await refreshSummary(manager, workshopId, id);
    await pace.rest();
  }
}

/** Unpacked an archive may be so many times its own size: JSON packs well, and a bomb better. */
const MOST_UNPACKED = 200;

/**
 * Takes an archive into a workshop, all of it or nothing. What is here already stays as it is; what never changes has to be
 * the same. An empty workshop takes over the name and the settings, too.
 */
export async function readArchive(
  db: DataSource,
  workshopId: string,
  file: { readonly path: string; readonly sizeBytes: number },
): Promise<TakenIn> {
  const zip = await openZip(file.path).catch((error: unknown) => {
    throw error instanceof ZipNotReadable ? notReadable(error.message) : error;
  });
  try {
    const manifest = await readManifest(zip);
    const unpacked = zip.names.reduce((sum, name) => sum + zip.sizeOf(name), 0);
    if (unpacked > MOST_UNPACKED * file.sizeBytes) throw notReadable(say('refusals.it-unpacks-to-far-more'));
    const result: TakenIn = {
      added: {} as TakenIn['added'],
      known: {} as TakenIn['known'],
      renamed: [],
    };
    await db.transaction(async (manager) => {
      // Others may work on: only another archive for the same workshop waits.
      await manager.query('SELECT pg_advisory_xact_lock(hashtext($1))', [`archive ${workshopId}`]);
      const [before] = await manager.query<[{ empty: boolean }]>(
        'SELECT NOT EXISTS (SELECT 1 FROM vehicle WHERE workshop_id = $1) AS empty',
        [workshopId],
      );
      const ledger = new CheckedLedger();
      const pace = new Pace();
      for (const table of TABLE_NAMES) {
        const { added, rows } = await takeTable(
          manager,
          zip,
          workshopId,
          table,
          result.renamed,
          ledger,
          pace,
        );
        if (rows !== (manifest.rows[table] ?? (table === 'job_seal' ? 0 : undefined)))
          throw notReadable(
            say('refusals.was-cut-short', { file: tableFile(table), rows, wanted: manifest.rows[table] }),
          );
        if (table === 'entry') ledger.end();
        result.added[table] = added;
        result.known[table] = rows - added;
      }
      await checkReferences(manager, workshopId);
      await judgeAdded(manager, workshopId, pace);
      // The row of the workshop last: whoever opens a job meanwhile needs it.
      await manager.query(
        `UPDATE workshop SET next_job_number = greatest(next_job_number, $2)${before.empty ? ', name = $3, sign_off_by = $4' : ''}
          WHERE id = $1`,
        [
          workshopId,
          manifest.workshop.next_job_number,
          ...(before.empty ? [manifest.workshop.name, manifest.workshop.sign_off_by] : []),
        ],
      );
    });
    await sealOldSignOffs(db, workshopId);
    return result;
  } catch (error) {
    throw error instanceof ZipNotReadable
      ? notReadable(error.message)
      : error instanceof Refusal
        ? error
        : inWords(error);
  } finally {
    zip.close();
  }
}
