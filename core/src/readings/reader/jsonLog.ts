import { success, type Result } from '../../quantities/index.ts';
import { unreadable } from './decodeText.ts';
import type { LogFormat, RawLog } from './rawLog.ts';
import { tableBuilder } from './tableBuilder.ts';
import { sniffTable } from './tableShape.ts';

type Json = null | boolean | number | string | readonly Json[] | { readonly [key: string]: Json };
type JsonObject = { readonly [key: string]: Json };

const isObject = (value: Json | undefined): value is JsonObject =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isArray = (value: Json | undefined): value is readonly Json[] => Array.isArray(value);

/** A cell as the table reader expects it: text, a value in an object unwrapped. */
function cellText(value: Json | undefined): string {
  if (value === null || value === undefined) return '';
  if (isObject(value)) return cellText(value['value'] ?? value['v'] ?? null);
  if (isArray(value)) return '';
  return String(value);
}

interface JsonTable {
  readonly headings: readonly string[];
  readonly rows: readonly (readonly Json[])[];
  readonly preamble: string;
}

const MAX_ROWS = 5_000_000;

/** Rows as objects: every key that occurs in the first thousand is a column. A unit may stand beside a value. */
function ofObjects(rows: readonly JsonObject[], preamble: string): JsonTable {
  const keys = new Set<string>();
  for (const row of rows.slice(0, 1000)) for (const key of Object.keys(row)) keys.add(key);
  const names = [...keys];
  const headings = names.map((name) => {
    const sample = rows.find((row) => isObject(row[name]))?.[name];
    const unit = isObject(sample) ? sample['unit'] : undefined;
    return typeof unit === 'string' ? `${name} (${unit})` : name;
  });
  return { headings, rows: rows.map((row) => names.map((name) => row[name] ?? null)), preamble };
}

/** Columns as arrays of one length. */
function ofColumns(
  columns: readonly (readonly [string, readonly Json[]])[],
  preamble: string,
): JsonTable | undefined {
  const length = columns[0]?.[1].length ?? 0;
  if (columns.length < 2 || length < 2 || columns.some(([, values]) => values.length !== length))
    return undefined;
  return {
    headings: columns.map(([name]) => name),
    rows: Array.from({ length }, (_, row) => columns.map(([, values]) => values[row] ?? null)),
    preamble,
  };
}

/** Times and values of a channel: as two lists, as pairs, or as points with a time and a value each. */
function seriesIn(channel: JsonObject): [Json | undefined, Json | undefined] {
  const points = channel['samples'] ?? channel['points'] ?? channel['readings'] ?? channel['data'];
  if (isArray(points) && points.length > 0 && points.every((point) => isArray(point) && point.length === 2)) {
    const pairs = points as readonly (readonly Json[])[];
    return [pairs.map(([time]) => time ?? null), pairs.map(([, value]) => value ?? null)];
  }
  if (isArray(points) && points.length > 0 && points.every(isObject)) {
    const of = (point: JsonObject, ...keys: readonly string[]): Json => {
      const key = keys.find((one) => Object.hasOwn(point, one));
      return key === undefined ? null : (point[key] ?? null);
    };
    return [
      points.map((point) => of(point, 't', 'time', 'timeS', 'timestamp', 'ts')),
      points.map((point) => of(point, 'v', 'value', 'y')),
    ];
  }
  return [
    channel['timeS'] ?? channel['time'] ?? channel['times'] ?? channel['t'],
    channel['values'] ?? channel['data'] ?? channel['v'],
  ];
}

/** Channels that each bring their times: one reading a row. */
function ofChannels(channels: readonly JsonObject[], preamble: string): JsonTable | undefined {
  const rows: Json[][] = [];
  for (const channel of channels) {
    const name = channel['name'] ?? channel['role'] ?? channel['channel'] ?? channel['label'];
    const [times, values] = seriesIn(channel);
    if (typeof name !== 'string' || !isArray(times) || !isArray(values) || times.length !== values.length)
      return undefined;
    for (let i = 0; i < times.length; i++)
      rows.push([times[i] ?? null, name, values[i] ?? null, channel['unit'] ?? null]);
  }
  if (rows.length < 2) return undefined;
  return {
    headings: ['time', 'name', 'value', 'unit'],
    rows: rows.sort((a, b) => Number(a[0]) - Number(b[0])),
    preamble,
  };
}

/** Facts beside the data, as lines like those above a table. */
const preambleOf = (object: JsonObject): string =>
  Object.entries(object)
    .flatMap(([key, value]): string[] =>
      isObject(value)
        ? [preambleOf(value)]
        : typeof value === 'string' || typeof value === 'number'
          ? [`${key.replace(/([a-z])([A-Z])/g, '$1 $2')}: ${value}`]
          : [],
    )
    .join('\n');

function tableIn(value: Json, preamble = '', depth = 0): JsonTable | undefined {
  if (depth > 4) return undefined;
  if (isArray(value)) {
    const objects = value.filter(isObject);
    if (objects.length >= 2 && objects.length === value.length) {
      return ofChannels(objects, preamble) ?? ofObjects(objects, preamble);
    }
    const [first, ...rest] = value.filter(isArray);
    if (first && rest.length >= 2 && first.every((cell) => typeof cell === 'string')) {
      return { headings: first.map(cellText), rows: rest, preamble };
    }
    return objects.length === 1 && objects[0] ? tableIn(objects[0], preamble, depth + 1) : undefined;
  }
  if (!isObject(value)) return undefined;
  const about = `${preamble}\n${preambleOf(value)}`;
  const entries = Object.entries(value);
  const names = value['columns'] ?? value['header'] ?? value['headings'] ?? value['fields'];
  const body = value['data'] ?? value['rows'] ?? value['values'];
  if (isArray(names) && isArray(body) && body.every(isArray)) {
    const headings = names.map((name) =>
      isObject(name)
        ? `${cellText(name['name'])}${name['unit'] ? ` (${cellText(name['unit'])})` : ''}`
        : cellText(name),
    );
    return { headings, rows: body, preamble: about };
  }
  const arrays = entries.filter(
    (entry): entry is [string, readonly Json[]] => isArray(entry[1]) && !entry[1].some(isObject),
  );
  const columns = ofColumns(arrays, about);
  if (columns) return columns;
  const named = entries.filter((entry): entry is [string, JsonObject] => isObject(entry[1]));
  const channels =
    named.length > 1
      ? ofChannels(
          named.map(([name, channel]) => ({ name, ...channel })),
          about,
        )
      : undefined;
  if (channels) return channels;
  // The table stands somewhere inside; the longest list is tried first.
  return entries
    .filter(([, inner]) => typeof inner === 'object' && inner !== null)
    .sort((a, b) => Object.keys(b[1] as object).length - Object.keys(a[1] as object).length)
    .reduce<JsonTable | undefined>(
      (found, [, inner]) => found ?? tableIn(inner, about, depth + 1),
      undefined,
    );
}

/** A table of cells that are not text, read like one that is. */
export function readCells(
  table: JsonTable,
  format: string,
  cell: (value: Json) => string = cellText,
): Result<RawLog> {
  const { headings, rows, preamble } = table;
  if (rows.length > MAX_ROWS) return unreadable(`holds ${rows.length} rows; up to ${MAX_ROWS} are read`);
  const head = [
    headings.map((heading) => heading.slice(0, 500)),
    ...rows.slice(0, 400).map((row) => headings.map((_, i) => cell(row[i] ?? null))),
  ];
  const sniffed = sniffTable(
    { rows: head.map((cells, i) => ({ line: i + 1, cells })), preamble: '' },
    headings.length,
    preamble,
  );
  if (!sniffed.ok) return sniffed;
  const builder = tableBuilder(sniffed.value, [[...headings]]);
  rows.forEach((row, i) =>
    builder.row(
      headings.map((_, column) => cell(row[column] ?? null)),
      i + 2,
    ),
  );
  return builder.finish(sniffed.value.layout === 'long' ? `${format}, one reading a row` : format);
}

function parseLines(text: string): Json | undefined {
  const lines = text.split('\n').filter((line) => line.trim() !== '');
  try {
    return lines.map((line) => JSON.parse(line) as Json);
  } catch {
    return undefined;
  }
}

function read(text: string): Result<RawLog> {
  let value: Json | undefined;
  let fault = '';
  try {
    value = JSON.parse(text) as Json;
  } catch (error) {
    fault = (error as Error).message;
    value = parseLines(text);
  }
  if (value === undefined) return unreadable(`begins like JSON but is not: ${fault.slice(0, 120)}`);
  const table = tableIn(value);
  if (!table)
    return unreadable(
      'is JSON, but holds no table: neither rows, nor columns of one length, nor channels with times',
    );
  return readCells(table, 'JSON');
}

/** JSON: rows as objects, columns as arrays, channels with their times, one object a line. */
export const jsonLog: LogFormat = {
  id: 'json',
  recognise: (head) => (/^\s*(?:\{\s*["}]|\[\s*[[{\]])/.test(head) ? 0.9 : 0),
  open: () => {
    const pieces: string[] = [];
    return success({ push: (text) => void pieces.push(text), finish: () => read(pieces.join('')) });
  },
};
