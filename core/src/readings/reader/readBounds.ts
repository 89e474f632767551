/**
 * What a file from outside may claim, and what reading it may cost. One set for server, command line and pages, so that a
 * file is read everywhere or nowhere. Honest logs stay far below: an hour of forty channels at ten readings a second holds
 * 1.4 million cells.
 */
export const READ_BOUNDS = {
  columns: 2000,
  rows: 5_000_000,
  /** Rows × columns, empty ones included: each takes eight bytes while it is read. */
  cells: 48_000_000,
  /** Characters of a heading or the name of a channel; what is longer is cut. */
  headingLength: 300,
  /** Characters of a cell that may still be a number or a time. */
  cellLength: 200,
  /** Characters of a line. */
  lineLength: 1_000_000,
  /** Characters above a table in which facts about the vehicle are looked for. */
  preambleLength: 20_000,
  /** Objects and lists inside each other, in JSON and in the schema of a Parquet file. */
  depth: 16,
  /** Values of a JSON file, each an object of its own while it is read. */
  jsonValues: 20_000_000,
  /** Cells that one byte of a Parquet file may stand for: columns that repeat pack well, readings with noise do not. */
  parquetCellsPerByte: 64,
  /** A page may unpack to so many times its size: more than any of the usual methods reaches on numbers. */
  unpackedTimes: 1100,
} as const;

const MEGABYTE = 1024 * 1024;

/**
 * Longest time that reading a file may take, ms. A machine of this day reads 10 MB a second; a fifth of that is allowed, and
 * a start of six seconds, so that a small file is answered within ten whatever it holds.
 * @param sizeBytes size of the file, ≥ 0
 */
export const readTimeLimitMs = (sizeBytes: number): number => 6000 + (sizeBytes / (2 * MEGABYTE)) * 1000;

/** Windows, findings and fits of a log that is read, ms: more than any takes. */
const JUDGING_MS = 20_000;

/** The same until a log is read and judged, as pages and command line do it. */
export const openTimeLimitMs = (sizeBytes: number): number => readTimeLimitMs(sizeBytes) + JUDGING_MS;

/**
 * Most memory that the process which reads a file may take, bytes: what the process itself needs, and for each byte of the
 * file its text, its numbers and their packed form.
 * @param sizeBytes size of the file, ≥ 0
 */
export const readMemoryLimitBytes = (sizeBytes: number): number =>
  Math.min(420 * MEGABYTE + 10 * sizeBytes, 2600 * MEGABYTE);

/** A text cut to a length, for what a person reads; the same text where it is short enough. */
export const cutTo = (text: string, length: number): string =>
  text.length > length ? text.slice(0, length) : text;
