import { say, type Said } from '../../words/index.ts';
import type { Result } from '../../quantities/index.ts';
import { unreadable } from './decodeText.ts';
import type { RawLog } from './rawLog.ts';
import { cutTo, READ_BOUNDS } from './readBounds.ts';
import { tableBuilder, type TableBuilder } from './tableBuilder.ts';
import { sniffTable, type TableShape } from './tableShape.ts';

export type Json = null | boolean | number | string | readonly Json[] | { readonly [key: string]: Json };
export type JsonObject = { readonly [key: string]: Json };

export const isObject = (value: Json | undefined): value is JsonObject =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
export const isArray = (value: Json | undefined): value is readonly Json[] => Array.isArray(value);

/** What an object has of its own under a key: a key of a file may be called like something that every object has. */
export const own = (object: JsonObject, key: string): Json | undefined =>
  Object.hasOwn(object, key) ? object[key] : undefined;

/** A cell as the table reader expects it: text, a value in an object unwrapped. */
export function cellText(value: Json | undefined): string {
  if (value === null || value === undefined) return '';
  if (isObject(value)) return cellText(own(value, 'value') ?? own(value, 'v') ?? null);
  if (isArray(value)) return '';
  return String(value);
}

/** A table whose cells are no text; its rows come some at a time. */
export interface Cells {
  readonly headings: readonly string[];
  readonly rows: AsyncIterable<readonly (readonly Json[])[]> | Iterable<readonly (readonly Json[])[]>;
  readonly preamble: string;
}

/** Rows by which the layout is told. */
const SNIFF_ROWS = 400;

/** Reads a table of cells like one of text. */
export async function readCells({ headings, rows, preamble }: Cells, format: Said): Promise<Result<RawLog>> {
  if (headings.length > READ_BOUNDS.columns)
    return unreadable(
      say('logs.has-columns-up-to-are-read', { columns: headings.length, most: READ_BOUNDS.columns }),
    );
  const textOf = (row: readonly Json[]): string[] =>
    headings.map((_, column) => cellText(row[column] ?? null));
  const names = headings.map((heading) => cutTo(heading, READ_BOUNDS.headingLength));
  let shape: TableShape | undefined;
  let builder: TableBuilder | undefined;
  let waiting: (readonly Json[])[] = [];
  let count = 0;
  const begin = (): Result<RawLog> | undefined => {
    const head = [names, ...waiting.slice(0, SNIFF_ROWS).map(textOf)];
    const sniffed = sniffTable(
      { rows: head.map((cells, i) => ({ line: i + 1, cells })), preamble: '' },
      names.length,
      preamble,
    );
    if (!sniffed.ok) return sniffed;
    shape = sniffed.value;
    builder = tableBuilder(shape, [[...names]]);
    for (const row of waiting) builder.row(textOf(row), ++count + 1);
    waiting = [];
    return undefined;
  };
  for await (const some of rows) {
    if (builder) for (const row of some) builder.row(textOf(row), ++count + 1);
    else {
      waiting = waiting.concat(some);
      if (waiting.length < SNIFF_ROWS) continue;
      const failure = begin();
      if (failure) return failure;
    }
  }
  const failure = builder ? undefined : begin();
  if (failure) return failure;
  return builder && shape
    ? builder.finish(shape.layout === 'long' ? say('logs.one-reading-a-row', { format }) : format)
    : unreadable(say('logs.is-empty'));
}
