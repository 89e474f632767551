import { Readable } from 'node:stream';
import pg from 'pg';
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

/** Longest that whoever fetches an archive may leave it standing, ms. */
const STALL_MS = 600_000;

async function manifestOf(client: pg.Client, workshopId: string, now: Date): Promise<Manifest> {
  const workshop = await client.query<Manifest['workshop']>(
    'SELECT name, sign_off_by, next_job_number FROM workshop WHERE id = $1',
    [workshopId],
  );
  const rows: Record<string, number> = {};
  for (const table of TABLE_NAMES) {
    const counted = await client.query<{ n: number }>(
      `SELECT count(*)::int AS n FROM ${table} WHERE workshop_id = $1`,
      [workshopId],
    );
    rows[table] = counted.rows[0]?.n ?? 0;
  }
  return {
    format: ARCHIVE_FORMAT,
    version: ARCHIVE_VERSION,
    software: SOFTWARE,
    madeAt: now.toISOString(),
    workshop: workshop.rows[0] as Manifest['workshop'],
    rows,
  };
}

/** In which order rows are written: entries by their job, so that each comes after the one that it corrects. */
const orderOf = (table: ArchiveTable): readonly string[] =>
  table === 'entry' ? ['job_id', 'seq'] : [keyOf(table)];

/**
 * The rows of a table as lines, a page in memory at a time. They come through a cursor: put in order once, whatever the
 * database knows of its tables. Asked for page by page after the last one's place, a database without statistics of them
 * sorted the whole table for each page.
 */
async function* linesOf(client: pg.Client, workshopId: string, table: ArchiveTable): AsyncGenerator<string> {
  const row = columnsOf(table)
    .map((column) => `'${column}', t.${column}`)
    .join(', ');
  const order = orderOf(table)
    .map((column) => `t.${column}`)
    .join(', ');
  await client.query(
    `DECLARE archived NO SCROLL CURSOR FOR
     SELECT jsonb_build_object(${row})::text AS line FROM ${table} t
      WHERE workshop_id = ${client.escapeLiteral(workshopId)} ORDER BY ${order}`,
  );
  for (;;) {
    const { rows } = await client.query<{ line: string }>(`FETCH ${PAGE_ROWS} FROM archived`);
    for (const { line } of rows) yield `${line}\n`;
    if (rows.length < PAGE_ROWS) break;
  }
  await client.query('CLOSE archived');
}

/** A raw file, a piece of it in memory at a time. */
async function* piecesOf(client: pg.Client, blobId: string): AsyncGenerator<Buffer> {
  for (let position = 0; ; position++) {
    const { rows } = await client.query<{ bytes: Buffer }>(
      'SELECT bytes FROM blob_chunk WHERE blob_id = $1 AND position = $2',
      [blobId, position],
    );
    if (!rows[0]) return;
    yield rows[0].bytes;
  }
}

/**
 * A whole workshop as a zip: JSON Lines of its tables and its raw files, byte for byte, as they all stood at one moment. It
 * is made while it is read: nothing of it lies in memory or on disk as a whole.
 */
export async function writeArchive(
  databaseUrl: string,
  workshopId: string,
  now = new Date(),
): Promise<NodeJS.ReadableStream> {
  // A connection of its own: it is held as long as somebody fetches, and no request waits for it.
  const client = new pg.Client({
    connectionString: databaseUrl,
    connectionTimeoutMillis: 5000,
    idle_in_transaction_session_timeout: STALL_MS,
  });
  client.on('error', () => undefined);
  await client.connect();
  const close = (): void => void client.end().catch(() => undefined);
  try {
    // One picture of all tables, whatever is written meanwhile.
    await client.query('BEGIN ISOLATION LEVEL REPEATABLE READ READ ONLY');
    // Moments come in one zone, whatever the database's own is.
    await client.query(`SET LOCAL TIME ZONE 'UTC'`);
    const zip = new ZipFile();
    const file = (name: string, make: () => AsyncGenerator<string | Buffer>, compress = true): void => {
      zip.addReadStreamLazy(name, { compress, mtime: now }, (give) => {
        const stream = Readable.from(make());
        stream.once('error', (error) => (zip.outputStream as Readable).destroy(error));
        give(null, stream);
      });
    };
    const manifest = await manifestOf(client, workshopId, now);
    zip.addBuffer(Buffer.from(`${JSON.stringify(manifest, null, 1)}\n`), MANIFEST_NAME, { mtime: now });
    for (const table of TABLE_NAMES) file(tableFile(table), () => linesOf(client, workshopId, table));
    const { rows: blobs } = await client.query<{ id: string; packed: boolean }>(
      `SELECT b.id, p.blob_id IS NOT NULL AS packed
         FROM blob b LEFT JOIN (SELECT DISTINCT blob_id FROM photo WHERE workshop_id = $1) p ON p.blob_id = b.id
        WHERE b.workshop_id = $1 ORDER BY b.id`,
      [workshopId],
    );
    // Photos are packed already.
    for (const { id, packed } of blobs) file(rawFile(id), () => piecesOf(client, id), !packed);
    zip.end();
    const output = zip.outputStream as Readable;
    output.once('close', close);
    return output;
  } catch (error) {
    close();
    throw error;
  }
}
