import {
  parquetMetadataAsync,
  parquetRead,
  parquetSchema,
  type AsyncBuffer,
  type DecodedArray,
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
import { readCells } from './jsonLog.ts';
import type { RawLog } from './rawLog.ts';

type Cell = null | boolean | number | string;

/** Whatever a column can hold, as a cell of a table. */
function cellOf(value: unknown): Cell {
  if (typeof value === 'number') return Number.isFinite(value) ? value : null;
  if (typeof value === 'bigint') return Number(value);
  if (value instanceof Date) return Number.isFinite(value.getTime()) ? value.toISOString() : null;
  return typeof value === 'string' || typeof value === 'boolean' ? value : null;
}

const COMPRESSORS = {
  GZIP: decompressGzip,
  BROTLI: decompressBrotli,
  ZSTD: (input: Uint8Array) => decompressZstd(input),
  LZ4: decompressLz4,
  LZ4_RAW: decompressLz4Raw,
};

/** A Parquet file whose columns are a table like those of text: one column a channel, or one reading a row. */
export async function readParquet(bytes: Uint8Array): Promise<Result<RawLog>> {
  const buffer = bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength) as ArrayBuffer;
  const file: AsyncBuffer = {
    byteLength: buffer.byteLength,
    slice: (start, end) => Promise.resolve(buffer.slice(start, end)),
  };
  try {
    const metadata = await parquetMetadataAsync(file);
    const names = parquetSchema(metadata).children.map((child) => child.element.name);
    const columns = new Map<string, Cell[]>(names.map((name) => [name, []]));
    await parquetRead({
      file,
      metadata,
      compressors: COMPRESSORS,
      onChunk: ({
        columnName,
        columnData,
        rowStart,
      }: {
        columnName: string;
        columnData: DecodedArray;
        rowStart: number;
      }) => {
        const column = columns.get(columnName);
        for (let i = 0; column && i < columnData.length; i++) column[rowStart + i] = cellOf(columnData[i]);
      },
    });
    const rows = Array.from({ length: Number(metadata.num_rows) }, (_, row) =>
      names.map((name) => columns.get(name)?.[row] ?? null),
    );
    return readCells({ headings: names, rows, preamble: '' }, 'Parquet');
  } catch (error) {
    return unreadable(`is a Parquet file that cannot be read: ${(error as Error).message.slice(0, 200)}`);
  }
}
