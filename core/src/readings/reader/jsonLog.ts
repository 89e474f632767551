import { isMessage, say, type Said } from '../../words/index.ts';
import { success, type Result } from '../../quantities/index.ts';
import { cellText, isArray, isObject, own, readCells, type Json, type JsonObject } from './cellTable.ts';
import { unreadable } from './decodeText.ts';
import { JsonDepth } from './jsonDepth.ts';
import type { LogFormat, RawLog } from './rawLog.ts';
import { READ_BOUNDS } from './readBounds.ts';

interface JsonTable {
  readonly headings: readonly string[];
  readonly rows: readonly (readonly Json[])[];
  readonly preamble: string;
}

/** Rows by which columns and units are told. */
const LOOKED_AT = 1000;

const isSaid = (it: JsonTable | Said): it is Said => typeof it === 'string' || isMessage(it);

/** Why a table is not made, where it would have more cells than are read. */
function tooMany(columns: number, rows: number): Said | undefined {
  if (columns > READ_BOUNDS.columns)
    return say('logs.has-more-than-columns-up-to', { columns: READ_BOUNDS.columns });
  return rows > READ_BOUNDS.rows || rows * columns > READ_BOUNDS.cells
    ? say('logs.holds-rows-of-columns-up-to', {
        rows,
        columns,
        most: READ_BOUNDS.rows,
        millions: READ_BOUNDS.cells / 1e6,
      })
    : undefined;
}

/** Rows as objects: every key that occurs in the first thousand is a column. A unit may stand beside a value. */
function ofObjects(rows: readonly JsonObject[], preamble: string): JsonTable | Said {
  const keys = new Set<string>();
  const first = rows.slice(0, LOOKED_AT);
  for (const row of first) for (const key of Object.keys(row)) keys.add(key);
  const names = [...keys].slice(0, READ_BOUNDS.columns + 1);
  const headings = names.map((name) => {
    const sample = first.map((row) => own(row, name)).find(isObject);
    const unit = sample && own(sample, 'unit');
    return typeof unit === 'string' ? `${name} (${unit})` : name;
  });
  const tooMuch = tooMany(names.length, rows.length);
  if (tooMuch !== undefined) return tooMuch;
  return { headings, rows: rows.map((row) => names.map((name) => own(row, name) ?? null)), preamble };
}

/** Columns as arrays of one length. */
function ofColumns(
  columns: readonly (readonly [string, readonly Json[]])[],
  preamble: string,
): JsonTable | Said | undefined {
  const length = columns[0]?.[1].length ?? 0;
  if (columns.length < 2 || length < 2 || columns.some(([, values]) => values.length !== length))
    return undefined;
  const tooMuch = tooMany(columns.length, length);
  if (tooMuch !== undefined) return tooMuch;
  return {
    headings: columns.map(([name]) => name),
    rows: Array.from({ length }, (_, row) => columns.map(([, values]) => values[row] ?? null)),
    preamble,
  };
}

/** Times and values of a channel: as two lists, as pairs, or as points with a time and a value each. */
function seriesIn(channel: JsonObject): [Json | undefined, Json | undefined] {
  const points =
    own(channel, 'samples') ?? own(channel, 'points') ?? own(channel, 'readings') ?? own(channel, 'data');
  if (isArray(points) && points.length > 0 && points.every((point) => isArray(point) && point.length === 2)) {
    const pairs = points as readonly (readonly Json[])[];
    return [pairs.map(([time]) => time ?? null), pairs.map(([, value]) => value ?? null)];
  }
  if (isArray(points) && points.length > 0 && points.every(isObject)) {
    const of = (point: JsonObject, ...keys: readonly string[]): Json => {
      const key = keys.find((one) => Object.hasOwn(point, one));
      return key === undefined ? null : (own(point, key) ?? null);
    };
    return [
      points.map((point) => of(point, 't', 'time', 'timeS', 'timestamp', 'ts')),
      points.map((point) => of(point, 'v', 'value', 'y')),
    ];
  }
  return [
    own(channel, 'timeS') ?? own(channel, 'time') ?? own(channel, 'times') ?? own(channel, 't'),
    own(channel, 'values') ?? own(channel, 'data') ?? own(channel, 'v'),
  ];
}

/** Channels that each bring their times: one reading a row. */
function ofChannels(channels: readonly JsonObject[], preamble: string): JsonTable | undefined {
  const rows: Json[][] = [];
  for (const channel of channels) {
    const name =
      own(channel, 'name') ?? own(channel, 'role') ?? own(channel, 'channel') ?? own(channel, 'label');
    const [times, values] = seriesIn(channel);
    if (typeof name !== 'string' || !isArray(times) || !isArray(values) || times.length !== values.length)
      return undefined;
    for (let i = 0; i < times.length; i++)
      rows.push([times[i] ?? null, name, values[i] ?? null, own(channel, 'unit') ?? null]);
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

/** The table in a value; a text says why there is one that is not read. */
function tableIn(value: Json, preamble = '', depth = 0): JsonTable | Said | undefined {
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
  const names =
    own(value, 'columns') ?? own(value, 'header') ?? own(value, 'headings') ?? own(value, 'fields');
  const body = own(value, 'data') ?? own(value, 'rows') ?? own(value, 'values');
  if (isArray(names) && isArray(body) && body.every(isArray)) {
    const headings = names.map((name) =>
      isObject(name)
        ? `${cellText(own(name, 'name'))}${own(name, 'unit') ? ` (${cellText(own(name, 'unit'))})` : ''}`
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
    .reduce<JsonTable | Said | undefined>(
      (found, [, inner]) => found ?? tableIn(inner, about, depth + 1),
      undefined,
    );
}

function parseLines(text: string): Json | undefined {
  const lines = text.split('\n').filter((line) => line.trim() !== '');
  try {
    return lines.map((line) => JSON.parse(line) as Json);
  } catch {
    return undefined;
  }
}

function read(text: string): Result<RawLog> | Promise<Result<RawLog>> {
  let value: Json | undefined;
  let fault = '';
  try {
    value = JSON.parse(text) as Json;
  } catch (error) {
    fault = (error as Error).message;
    value = parseLines(text);
  }
  if (value === undefined)
    return unreadable(say('logs.begins-like-json-but-is-not', { fault: fault.slice(0, 120) }));
  const table = tableIn(value);
  if (!table) return unreadable(say('logs.is-json-but-holds-no-table'));
  if (isSaid(table)) return unreadable(table);
  const tooMuch = tooMany(table.headings.length, table.rows.length);
  if (tooMuch !== undefined) return unreadable(tooMuch);
  return readCells({ ...table, rows: [table.rows] }, 'JSON');
}

/** JSON: rows as objects, columns as arrays, channels with their times, one object a line. */
export const jsonLog: LogFormat = {
  id: 'json',
  recognise: (head) => (/^\s*(?:\{\s*["}]|\[\s*[[{\]])/.test(head) ? 0.9 : 0),
  open: () => {
    const pieces: string[] = [];
    const depth = new JsonDepth();
    return success({
      push: (text) => {
        depth.push(text);
        if (depth.refusal === undefined) pieces.push(text);
        else pieces.length = 0;
      },
      finish: () => (depth.refusal === undefined ? read(pieces.join('')) : unreadable(depth.refusal)),
    });
  },
};
