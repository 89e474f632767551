import { say, type Said } from '../../words/index.ts';
import type { ColumnMetaData, Compressors, DataReader, PageHeader } from 'hyparquet';
import { parquetHeader } from 'hyparquet/src/column.js';
import { decompressPage } from 'hyparquet/src/datapage.js';
import { readVarInt } from 'hyparquet/src/thrift.js';
import { READ_BOUNDS } from './readBounds.ts';

/** What a file states that cannot be; all else that reading it throws comes from the library and says little to a person. */
export class ImpossibleClaim extends Error {
  constructor(readonly why: Said) {
    super(typeof why === 'string' ? why : why.say);
  }
}

/** Most bytes that a packed page may unpack to. */
export const mostUnpacked = (packed: number): number => READ_BOUNDS.unpackedTimes * packed + 65_536;

/** A count that a file states; a file may state anything. */
export function statedCount(value: number | bigint | undefined): number {
  const number = Number(value ?? Number.NaN);
  if (!Number.isSafeInteger(number) || number < 0)
    throw new ImpossibleClaim(say('logs.it-states-a-count-that-is'));
  return number;
}

const readerOf = (bytes: Uint8Array): DataReader => ({
  view: new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength),
  offset: 0,
});

/**
 * The runs of a run-length encoding (Parquet, *RLE / bit-packing hybrid*): the library writes as many values as a run
 * claims, so their counts are looked at before. Where some values are empty there are fewer than `values`: then the runs
 * may end early.
 * @param values how many it may stand for, ≥ 0
 */
function checkRuns(reader: DataReader, bitWidth: number, values: number): void {
  if (bitWidth > 32) throw new ImpossibleClaim(say('logs.a-page-states-a-width-of'));
  let seen = 0;
  while (seen < values && reader.offset < reader.view.byteLength) {
    const header = readVarInt(reader);
    const packed = (header & 1) === 1;
    const count = packed ? 8 * (header >> 1) : header >>> 1;
    // Runs of bits are whole groups of eight: the last may stand for more than there are.
    if (count < 0 || count >= values - seen + 8)
      throw new ImpossibleClaim(say('logs.a-run-of-a-page-claims'));
    reader.offset += packed ? (count / 8) * bitWidth : (bitWidth + 7) >> 3;
    seen += count;
  }
}

/** Definition levels of a column that is no list: one bit each, before the values. */
function checkDataPage(
  bytes: Uint8Array,
  { data_page_header: v1, data_page_header_v2: v2, ...header }: PageHeader,
  { type, codec }: ColumnMetaData,
  optional: boolean,
  compressors: Compressors,
): void {
  const values = statedCount((v1 ?? v2)?.num_values);
  let reader: DataReader;
  if (v2) {
    const repetition = statedCount(v2.repetition_levels_byte_length);
    const levels = statedCount(v2.definition_levels_byte_length);
    if (repetition !== 0 || levels > bytes.length || statedCount(v2.num_nulls) > values)
      throw new ImpossibleClaim(say('logs.a-page-states-levels-that-it'));
    if (optional) checkRuns(readerOf(bytes), 1, values);
    const rest = bytes.subarray(levels);
    reader = readerOf(
      v2.is_compressed === false
        ? rest
        : decompressPage(rest, statedCount(header.uncompressed_page_size) - levels, codec, compressors),
    );
  } else {
    reader = readerOf(decompressPage(bytes, statedCount(header.uncompressed_page_size), codec, compressors));
    if (optional) {
      const length = reader.view.getUint32(0, true);
      reader.offset = 4;
      checkRuns(reader, 1, values);
      reader.offset = 4 + length;
    }
  }
  const encoding = (v1 ?? v2)?.encoding;
  const nulls = v2 ? statedCount(v2.num_nulls) : 0;
  if (encoding === 'RLE' || (type === 'BOOLEAN' && encoding?.includes('DICTIONARY'))) {
    reader.offset += 4;
    checkRuns(reader, 1, values - nulls);
  } else if (encoding === 'PLAIN_DICTIONARY' || encoding === 'RLE_DICTIONARY') {
    const width = reader.view.getUint8(reader.offset++);
    if (width > 0) checkRuns(reader, width, values - nulls);
  }
}

/**
 * What each page of a column claims: its values, its size, and the runs in it.
 * @param column the bytes of one column of one part of the file
 * @param rows rows of that part
 * @param optional whether cells may be empty
 * @throws ImpossibleClaim that says what is wrong
 */
export function checkPages(
  column: Uint8Array,
  rows: number,
  about: ColumnMetaData,
  optional: boolean,
  compressors: Compressors,
): void {
  const reader = readerOf(column);
  let values = 0;
  while (reader.offset < column.length - 1 && values < rows) {
    const header = parquetHeader(reader);
    const packed = statedCount(header.compressed_page_size);
    const page = column.subarray(reader.offset, reader.offset + packed);
    const claimed = statedCount((header.data_page_header ?? header.data_page_header_v2)?.num_values ?? 0);
    values += claimed;
    if (
      page.length < packed ||
      values > rows ||
      statedCount(header.data_page_header_v2?.num_rows ?? 0) > claimed ||
      statedCount(header.uncompressed_page_size) > mostUnpacked(packed) ||
      statedCount(header.dictionary_page_header?.num_values ?? 0) > mostUnpacked(packed)
    )
      throw new ImpossibleClaim(say('logs.a-page-claims-more-than-it'));
    if (claimed > 0) checkDataPage(page, header, about, optional, compressors);
    reader.offset += packed;
  }
}
