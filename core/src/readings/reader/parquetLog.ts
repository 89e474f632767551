import { say } from '../../words/index.ts';
import {
  parquetMetadataAsync,
  parquetRead,
  parquetSchema,
  type AsyncBuffer,
  type Compressors,
  type DecodedArray,
  type FileMetaData,
} from 'hyparquet';
import {
  decompressBrotli,
  decompressGzip,
  decompressLz4,
  decompressLz4Raw,
  decompressZstd,
} from 'hyparquet-compressors';
import type { Result } from '../../quantities/index.ts';
import { unreadable } from './decodeText.ts';
import { readCells, type Cells } from './cellTable.ts';
import { checkPages, ImpossibleClaim, mostUnpacked, statedCount } from './parquetPages.ts';
import type { RawLog } from './rawLog.ts';
import { READ_BOUNDS } from './readBounds.ts';
import { decompressSnappy } from './snappyPages.ts';

type Cell = null | boolean | number | string;

/** Whatever a column can hold, as a cell of a table. */
function cellOf(value: unknown): Cell {
  if (typeof value === 'number') return Number.isFinite(value) ? value : null;
  if (typeof value === 'bigint') return Number(value);
  if (value instanceof Date) return Number.isFinite(value.getTime()) ? value.toISOString() : null;
  return typeof value === 'string' || typeof value === 'boolean' ? value : null;
}

/** A method of packing whose output is never larger than its input can hold. */
const bounded =
  (decompress: (input: Uint8Array, outputLength: number) => Uint8Array) =>
  (input: Uint8Array, outputLength: number): Uint8Array => {
    if (outputLength > mostUnpacked(input.length))
      throw new ImpossibleClaim(
        say('logs.a-page-of-bytes-claims-to', { bytes: input.length, claimed: outputLength }),
      );
    const output = decompress(input, outputLength);
    if (output.length > mostUnpacked(input.length))
      throw new ImpossibleClaim(say('logs.a-page-unpacks-to-more-than'));
    return output;
  };

const COMPRESSORS: Compressors = {
  // Not the reader's own: that one follows a length beyond the end of the page.
  SNAPPY: bounded(decompressSnappy),
  GZIP: bounded(decompressGzip),
  BROTLI: bounded(decompressBrotli),
  ZSTD: bounded((input) => decompressZstd(input)),
  LZ4: bounded(decompressLz4),
  LZ4_RAW: bounded(decompressLz4Raw),
};

/** What the file says of itself, held against its size before anything is made by it. */
function checkClaims(bytes: Uint8Array, metadata: FileMetaData): { names: string[]; rows: number } {
  const root = parquetSchema(metadata);
  // Lists and records inside a cell are no readings.
  const flat = root.children.filter(
    ({ children, element }) => children.length === 0 && element.repetition_type !== 'REPEATED',
  );
  const names = flat.map(({ element }) => element.name);
  const optional = new Set(
    flat.filter(({ element }) => element.repetition_type !== 'REQUIRED').map(({ element }) => element.name),
  );
  const rows = statedCount(metadata.num_rows);
  if (names.length === 0 || names.length > READ_BOUNDS.columns)
    throw new ImpossibleClaim(
      say('logs.it-has-columns-up-to-are', { columns: names.length, most: READ_BOUNDS.columns }),
    );
  if (new Set(names).size < names.length) throw new ImpossibleClaim(say('logs.two-of-its-columns-have-the'));
  const cells = rows * names.length;
  if (rows > READ_BOUNDS.rows || cells > READ_BOUNDS.cells || cells > mostCells(bytes.length))
    throw new ImpossibleClaim(
      say('logs.it-claims-rows-of-columns-in', {
        rows,
        columns: names.length,
        bytes: bytes.length,
      }),
    );
  let inGroups = 0;
  for (const group of metadata.row_groups) {
    const groupRows = statedCount(group.num_rows);
    inGroups += groupRows;
    let packed = 0;
    for (const { meta_data: column } of group.columns) {
      if (!column) throw new ImpossibleClaim(say('logs.a-column-has-no-description'));
      const start = statedCount(column.dictionary_page_offset ?? column.data_page_offset);
      const size = statedCount(column.total_compressed_size);
      packed += size;
      if (start + size > bytes.length || packed > bytes.length)
        throw new ImpossibleClaim(say('logs.a-column-lies-outside-the-file'));
      const [name] = column.path_in_schema;
      if (name !== undefined && names.includes(name) && column.path_in_schema.length === 1)
        checkPages(bytes.subarray(start, start + size), groupRows, column, optional.has(name), COMPRESSORS);
    }
  }
  if (inGroups !== rows) throw new ImpossibleClaim(say('logs.its-parts-hold-another-number-of'));
  return { names, rows };
}

const mostCells = (sizeBytes: number): number => READ_BOUNDS.parquetCellsPerByte * sizeBytes;

/** So many rows are in memory as cells at a time. */
const SLICE_ROWS = 65_536;

/** The rows of a file, some at a time. */
async function* slices(
  file: AsyncBuffer,
  metadata: FileMetaData,
  names: readonly string[],
  rows: number,
): AsyncGenerator<Cell[][]> {
  for (let from = 0; from < rows; from += SLICE_ROWS) {
    const to = Math.min(from + SLICE_ROWS, rows);
    const slice = Array.from({ length: to - from }, () => new Array<Cell>(names.length).fill(null));
    // A column after the other: what fails in one is not left behind while another still goes on.
    for (const [at, name] of names.entries()) {
      const chunks: [data: DecodedArray, rowStart: number][] = [];
      await parquetRead({
        file,
        metadata,
        columns: [name],
        rowStart: from,
        rowEnd: to,
        compressors: COMPRESSORS,
        onChunk: ({ columnData, rowStart }) => void chunks.push([columnData, rowStart]),
      });
      for (const [data, rowStart] of chunks)
        for (let i = 0; i < data.length; i++) {
          const row = slice[rowStart + i - from];
          if (row) row[at] = cellOf(data[i]);
        }
    }
    yield slice;
  }
}

/** A Parquet file whose columns are a table like those of text: one column a channel, or one reading a row. */
export async function readParquet(bytes: Uint8Array): Promise<Result<RawLog>> {
  const buffer = bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength) as ArrayBuffer;
  const file: AsyncBuffer = {
    byteLength: buffer.byteLength,
    slice: (start, end) => Promise.resolve(buffer.slice(start, end)),
  };
  try {
    const metadata = await parquetMetadataAsync(file);
    const { names, rows } = checkClaims(new Uint8Array(buffer), metadata);
    const table: Cells = { headings: names, rows: slices(file, metadata, names, rows), preamble: '' };
    return await readCells(table, 'Parquet');
  } catch (error) {
    const why = error instanceof ImpossibleClaim ? error.why : say('logs.it-is-damaged-or-of-a');
    return unreadable(say('logs.is-a-parquet-file-that-cannot', { why }));
  }
}
