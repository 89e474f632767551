import { Readable } from 'node:stream';
import type { DataSource, QueryRunner } from 'typeorm';
import { ZipFile } from 'yazl';
import { SOFTWARE } from '@white-ember/core/report';
import {
  ARCHIVE_FORMAT,
  ARCHIVE_VERSION,
  columnsOf,
  keyOf,
  MANIFEST_NAME,
  rawFile,
  TABLE_NAMES,
  tableFile,
  type ArchiveTable,
  type Manifest,
} from './archiveFormat.ts';

/** So many rows are in memory at a time. */
const PAGE_ROWS = 200;

async function manifestOf(runner: QueryRunner, workshopId: string, now: Date): Promise<Manifest> {
  const [workshop] = (await runner.query(
    'SELECT name, sign_off_by, next_job_number FROM workshop WHERE id = $1',
    [workshopId],
  )) as [Manifest['workshop']];
  const rows: Record<string, number> = {};
  for (const table of TABLE_NAMES) {
    const [counted] = (await runner.query(`SELECT count(*)::int AS n FROM ${table} WHERE workshop_id = $1`, [
      workshopId,
    ])) as [{ n: number }];
    rows[table] = counted.n;
  }
  return {
    format: ARCHIVE_FORMAT,
    version: ARCHIVE_VERSION,
    software: SOFTWARE,
    madeAt: now.toISOString(),
    workshop,
    rows,
  };
}

/** In which order rows are written: entries by their job, so that each comes after the one that it corrects. */
const orderOf = (table: ArchiveTable): readonly string[] =>
  table === 'entry' ? ['job_id', 'seq'] : [keyOf(table)];

/** The rows of a table as lines, a page in memory at a time. */
async function* linesOf(
  runner: QueryRunner,
  workshopId: string,
  table: ArchiveTable,
): AsyncGenerator<string> {
  const order = orderOf(table);
  const row = columnsOf(table)
    .map((column) => `'${column}', t.${column}`)
    .join(', ');
  const place = order.map((column) => `t.${column}`).join(', ');
  let after: unknown[] = [];
  for (;;) {
    const from =
      after.length === 0 ? '' : ` AND (${place}) > (${after.map((_, i) => `$${i + 3}`).join(', ')})`;
    const rows = (await runner.query(
      `SELECT jsonb_build_object(${row})::text AS line, jsonb_build_array(${place}) AS place FROM ${table} t
        WHERE workshop_id = $1${from} ORDER BY ${place} LIMIT $2`,
      [workshopId, PAGE_ROWS, ...after],
    )) as { line: string; place: unknown[] }[];
    for (const { line } of rows) yield `${line}\n`;
    if (rows.length < PAGE_ROWS) return;
    after = rows.at(-1)?.place ?? [];
  }
}

/** A raw file, a piece of it in memory at a time. */
async function* piecesOf(runner: QueryRunner, blobId: string): AsyncGenerator<Buffer> {
  for (let position = 0; ; position++) {
    const [chunk] = (await runner.query('SELECT bytes FROM blob_chunk WHERE blob_id = $1 AND position = $2', [
      blobId,
      position,
    ])) as { bytes: Buffer }[];
    if (!chunk) return;
    yield chunk.bytes;
  }
}

/**
 * A whole workshop as a zip: JSON Lines of its tables and its raw files, byte for byte, as they all stood at one moment. It
 * is made while it is read: nothing of it lies in memory or on disk as a whole.
 */
export async function writeArchive(
  db: DataSource,
  workshopId: string,
  now = new Date(),
): Promise<NodeJS.ReadableStream> {
  const runner = db.createQueryRunner();
  await runner.connect();
  const close = (): void => void runner.release().catch(() => undefined);
  try {
    // One picture of all tables, whatever is written meanwhile.
    await runner.query('BEGIN ISOLATION LEVEL REPEATABLE READ READ ONLY');
    const zip = new ZipFile();
    const file = (name: string, make: () => AsyncGenerator<string | Buffer>, compress = true): void => {
      zip.addReadStreamLazy(name, { compress, mtime: now }, (give) => {
        const stream = Readable.from(make());
        stream.once('error', (error) => (zip.outputStream as Readable).destroy(error));
        give(null, stream);
      });
    };
    const manifest = await manifestOf(runner, workshopId, now);
    zip.addBuffer(Buffer.from(`${JSON.stringify(manifest, null, 1)}\n`), MANIFEST_NAME, { mtime: now });
    for (const table of TABLE_NAMES) file(tableFile(table), () => linesOf(runner, workshopId, table));
    const blobs = (await runner.query(
      `SELECT b.id, EXISTS (SELECT 1 FROM photo p WHERE p.blob_id = b.id) AS packed
         FROM blob b WHERE b.workshop_id = $1 ORDER BY b.id`,
      [workshopId],
    )) as { id: string; packed: boolean }[];
    // Photos are packed already.
    for (const { id, packed } of blobs) file(rawFile(id), () => piecesOf(runner, id), !packed);
    zip.end();
    const output = zip.outputStream as Readable;
    output.once('close', () => {
      void runner.query('COMMIT').then(close, close);
    });
    return output;
  } catch (error) {
    close();
    throw error;
  }
}
