import type { Recording } from '../recording.ts';
import { TIME_HEADING, tidyRows, tidyTable } from './tidyTable.ts';

export const LOG_OUTPUTS = ['csv', 'json', 'parquet'] as const;
export type LogOutput = (typeof LOG_OUTPUTS)[number];

const PIECE_ROWS = 5000;

const quoted = (cell: string): string => (/[",\r\n]/.test(cell) ? `"${cell.replaceAll('"', '""')}"` : cell);

function* csv(recording: Recording): Generator<string> {
  const table = tidyTable(recording);
  let lines = [[TIME_HEADING, ...table.columns.map(({ heading }) => heading)].map(quoted).join(',')];
  for (const [t, cells] of tidyRows(table)) {
    lines.push(`${t},${cells.map((cell) => cell ?? '').join(',')}`);
    if (lines.length < PIECE_ROWS) continue;
    yield `${lines.join('\n')}\n`;
    lines = [];
  }
  if (lines.length > 0) yield `${lines.join('\n')}\n`;
}

/** Rows as objects; what was not read at a time is absent. */
function* json(recording: Recording): Generator<string> {
  const table = tidyTable(recording);
  const keys = [TIME_HEADING, ...table.columns.map(({ heading }) => heading)].map(
    (key) => `${JSON.stringify(key)}:`,
  );
  let rows: string[] = [];
  let first = true;
  yield '[';
  for (const [t, cells] of tidyRows(table)) {
    const fields = cells.flatMap((cell, i) => (cell === undefined ? [] : [`${keys[i + 1]}${cell}`]));
    rows.push(`{${[`${keys[0]}${t}`, ...fields].join(',')}}`);
    if (rows.length < PIECE_ROWS) continue;
    yield `${first ? '\n' : ',\n'}${rows.join(',\n')}`;
    first = false;
    rows = [];
  }
  yield `${rows.length > 0 ? `${first ? '\n' : ',\n'}${rows.join(',\n')}` : ''}\n]\n`;
}

async function parquet(recording: Recording): Promise<Uint8Array> {
  const { parquetWriteBuffer } = await import('hyparquet-writer');
  const table = tidyTable(recording);
  const times: number[] = [];
  const columns: (number | null)[][] = table.columns.map(() => []);
  for (const [t, cells] of tidyRows(table)) {
    times.push(t);
    cells.forEach((cell, c) => columns[c]?.push(cell ?? null));
  }
  return new Uint8Array(
    parquetWriteBuffer({
      columnData: [
        { name: TIME_HEADING, data: times, type: 'DOUBLE', nullable: false },
        ...table.columns.map(({ heading }, c) => ({
          name: heading,
          data: columns[c] ?? [],
          type: 'DOUBLE' as const,
        })),
      ],
    }),
  );
}

/**
 * A recording as one tidy wide table: time in seconds, channels by their role in base units (named in the headings),
 * columns without a role as they were read. Given in pieces, so that a long log is never held as one text.
 */
export async function* writeLog(recording: Recording, to: LogOutput): AsyncGenerator<Uint8Array> {
  if (to === 'parquet') {
    yield await parquet(recording);
    return;
  }
  for (const piece of to === 'csv' ? csv(recording) : json(recording)) yield utf8(piece);
}

const utf8 = (text: string): Uint8Array => new TextEncoder().encode(text);
