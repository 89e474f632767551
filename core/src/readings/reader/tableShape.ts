import { say } from '../../words/index.ts';
import { parseUnit, success, type Result } from '../../quantities/index.ts';
import { namesRole } from '../lexicon/index.ts';
import { splitUnit, type ColumnHeading } from './columnHeading.ts';
import { looksLikeData, readCell, type DecimalMark } from './cellValue.ts';
import { unreadable } from './decodeText.ts';
import { READ_BOUNDS } from './readBounds.ts';
import { statedFacts } from './statedFacts.ts';
import { isDateName, isSampleName } from './timeCells.ts';
import { type CommonShape, type TimeColumn, type Data, timeColumns, cellsOf, rises } from './timeColumns.ts';

export const TOO_SHORT = say('logs.holds-a-heading-but-fewer-than');

export interface WideShape extends CommonShape {
  readonly layout: 'wide';
  /** Axis of each column, or −1 where the column holds no readings (times, units, numbering). */
  readonly axisOf: readonly number[];
  readonly times: readonly (
    | TimeColumn
    | { readonly sampleColumn: number | undefined; readonly hz: number }
  )[];
}

export interface LongShape extends CommonShape {
  readonly layout: 'long';
  readonly time: TimeColumn;
  readonly nameColumn: number;
  readonly valueColumn: number;
  readonly unitColumn?: number;
}

export type TableShape = WideShape | LongShape;

const filledIn = (row: readonly string[]): string[] => row.filter((cell) => cell.trim() !== '');

const isUnitText = (cell: string): boolean => parseUnit(cell.replace(/[[\](){}]/g, '')).ok;

export function isUnitRow(row: readonly string[]): boolean {
  const filled = filledIn(row).filter((cell) => !/^[-–—.]+$/.test(cell.trim()));
  return filled.length > 0 && filled.filter(isUnitText).length >= 0.6 * filled.length;
}

export function isHeadingRow(row: readonly string[]): boolean {
  const filled = filledIn(row);
  return filled.length >= 2 && filled.filter(looksLikeData).length <= 0.2 * filled.length;
}

const isDataRow = (row: readonly string[]): boolean => {
  const filled = filledIn(row);
  return filled.length > 0 && filled.filter(looksLikeData).length > 0.2 * filled.length;
};

/** Decimal commas, by what the cells look like: more 1,5 than 1.5. */
function decimalMark(rows: readonly (readonly string[])[]): DecimalMark {
  let commas = 0;
  let dots = 0;
  for (const row of rows) {
    for (const cell of row) {
      if (/^\s*[+-]?\d*,\d+(?:\s*\D{1,8})?\s*$/.test(cell)) commas++;
      else if (/^\s*[+-]?\d*\.\d+(?:\s*\D{1,8})?\s*$/.test(cell)) dots++;
    }
  }
  return commas > dots ? ',' : '.';
}

/** 13/04 cannot be a month: the day stands first unless a cell shows the other way, or AM and PM are written. */
function daysFirst(cells: readonly string[]): boolean {
  for (const cell of cells) {
    const m = /^\s*(\d{1,2})[-./](\d{1,2})[-./]\d{2,4}/.exec(cell);
    if (m && Number(m[1]) > 12) return true;
    if (m && Number(m[2]) > 12) return false;
  }
  return !cells.some((cell) => /\d\s*[ap]\.?m/i.test(cell));
}

/** The rows of a head as they stand, and where headings and data begin. */
export interface HeadRows {
  /** Rows with their line in the file, counted from 1. */
  readonly rows: readonly { readonly line: number; readonly cells: readonly string[] }[];
  readonly preamble: string;
}

/** What a table's beginning says of its layout. Rows are those of the table's width, a cell more or less allowed. */
export function sniffTable(
  { rows, preamble }: HeadRows,
  width: number,
  about = '',
): Result<TableShape & { readonly firstDataLine: number; readonly headingRows: readonly string[][] }> {
  if (width > READ_BOUNDS.columns)
    return unreadable(say('logs.has-columns-up-to-are-read', { columns: width, most: READ_BOUNDS.columns }));
  const firstData = rows.findIndex(
    ({ cells }, i) =>
      isDataRow(cells) &&
      (i + 1 >= rows.length ||
        isDataRow(rows[i + 1]?.cells ?? []) ||
        sameCells(rows[i + 1]?.cells ?? [], rows[i - 1]?.cells ?? [])) &&
      headingsBefore(rows, i) > 0,
  );
  if (
    firstData < 0 &&
    rows.some(({ cells }) => isHeadingRow(cells)) &&
    !rows.some(({ cells }) => isDataRow(cells))
  ) {
    return unreadable(TOO_SHORT);
  }
  if (firstData < 0) {
    return unreadable(say('logs.has-no-heading-line-that-names'));
  }
  const count = headingsBefore(rows, firstData);
  const above = rows.slice(firstData - count, firstData).map(({ cells }) => [...cells]);
  const headings = readHeadings(above, width);
  const firstHeadingLine = rows[firstData - count]?.line ?? 1;
  const text = preamble
    .split('\n')
    .slice(0, firstHeadingLine - 1)
    .join('\n');
  const data = rows.slice(firstData, firstData + 300).map(({ cells }) => cells);
  const common = {
    headings,
    mark: decimalMark(data),
    dayFirst: daysFirst(data.flatMap((cells) => cells.slice(0, 4))),
    facts: statedFacts(`${about}\n${text}`),
  };
  const shape = longShape(common, data) ?? wideShape(common, data);
  if (!shape.ok) return shape;
  return success({ ...shape.value, firstDataLine: rows[firstData]?.line ?? 1, headingRows: above });
}

const sameCells = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && a.every((cell, i) => cell.trim() === (b[i] ?? '').trim());

/** Rows of words directly above a row: up to four make up the heading. */
function headingsBefore(rows: HeadRows['rows'], at: number): number {
  let count = 0;
  while (count < 4 && count < at) {
    const above = rows[at - count - 1]?.cells ?? [];
    if (!(isHeadingRow(above) || (count === 0 && isUnitRow(above)))) break;
    count++;
  }
  return count > 0 && rows.slice(at - count, at).some(({ cells }) => isHeadingRow(cells)) ? count : 0;
}

/** Of the rows above the data: one of units, if any, and of the others the one whose names are known best. */
function readHeadings(above: readonly string[][], width: number): ColumnHeading[] {
  const unitRow = above.length > 1 ? above.findLast(isUnitRow) : undefined;
  const others = above.filter((row) => row !== unitRow);
  const known = (row: readonly string[]): number =>
    row.filter((cell) => namesRole(splitUnit(cell).name)).length;
  const names = [...others]
    .reverse()
    .reduce((best, row) => (known(row) > known(best) ? row : best), others.at(-1) ?? []);
  const used = new Map<string, number>();
  return Array.from({ length: width }, (_, column) => {
    const heading = splitUnit(nameIn(names, others, column));
    const name = heading.name === '' ? `column ${column + 1}` : heading.name;
    const times = (used.get(name) ?? 0) + 1;
    used.set(name, times);
    const unitText = heading.unitText ?? (unitRow?.[column]?.replace(/[[\](){}]/g, '').trim() || undefined);
    return {
      name: times > 1 ? `${name} (${times})` : name,
      ...(unitText === undefined ? {} : { unitText }),
    };
  });
}

/** The chosen row's cell, or another row's where it holds no name. */
function nameIn(names: readonly string[], others: readonly (readonly string[])[], column: number): string {
  const isName = (cell: string | undefined): cell is string =>
    cell !== undefined && cell.trim() !== '' && !isUnitText(cell);
  return [names, ...others].map((row) => row[column]).find(isName) ?? names[column] ?? '';
}

const NAME_COLUMN =
  /^(?:(?:channel|signal|parameter|param|sensor|measurement|variable|data|pid|item|quantity)(?: ?(?:name|label|id))?|name|label|description|bezeichnung|kanal|signalname|messgrosse|messgröße|größe|groesse|parametre|paramètre|grandeur|nom|nombre|parametro|parámetro|señal|grandezza|nome|segnale|nazwa|kanał|parametr|sygnał|what)$/i;

const VALUE_COLUMN =
  /^(?:value|reading|val|wert|messwert|istwert|valeur|mesure|valor|valore|wartość|wartosc|measured|data|result|y)$/i;

const UNIT_COLUMN =
  /^(?:units?|uom|einheit(?:en)?|unités?|unidad(?:es)?|unità|unita|jednostka|dim(?:ension)?)$/i;

function longShape(common: CommonShape, data: Data): Result<LongShape> | undefined {
  const { headings, mark } = common;
  if (headings.length < 3 || headings.length > 12) return undefined;
  const [time] = timeColumns(common, data);
  if (!time) return undefined;
  const texts = headings
    .map((_, column) => column)
    .filter((column) => {
      const cells = cellsOf(data, column);
      return (
        column !== time.column &&
        column !== time.dateColumn &&
        cells.filter((cell) => !looksLikeData(cell)).length > 0.8 * cells.length &&
        cells.length > 0.8 * data.length
      );
    });
  const isNamed = (column: number, pattern: RegExp): boolean =>
    pattern.test(headings[column]?.name.trim() ?? '');
  const unitColumn =
    texts.find((column) => isNamed(column, UNIT_COLUMN)) ??
    headings.findIndex((_, column) => isNamed(column, UNIT_COLUMN));
  const names = texts.filter((column) => column !== unitColumn);
  const distinct = (column: number): number => new Set(cellsOf(data, column)).size;
  const nameColumn =
    names.find((column) => isNamed(column, NAME_COLUMN) && distinct(column) > 1) ??
    names.find(
      (column) =>
        [...new Set(cellsOf(data, column))].filter((cell) => namesRole(splitUnit(cell).name)).length >= 2,
    );
  if (nameColumn === undefined) return undefined;
  const numeric = headings
    .map((_, column) => column)
    .filter((column) => ![time.column, time.dateColumn, nameColumn, unitColumn].includes(column))
    .filter((column) => {
      const cells = cellsOf(data, column);
      return (
        cells.filter((cell) => readCell(cell, mark).kind !== 'unusable').length > 0.5 * cells.length &&
        cells.length > 0
      );
    });
  const valueColumn =
    numeric.find((column) => isNamed(column, VALUE_COLUMN)) ??
    numeric.find((column) => !isSampleName(headings[column]?.name ?? ''));
  if (valueColumn === undefined || distinct(nameColumn) > data.length / 2) return undefined;
  return success({
    ...common,
    layout: 'long',
    time,
    nameColumn,
    valueColumn,
    ...(unitColumn >= 0 ? { unitColumn } : {}),
  });
}

function wideShape(common: CommonShape, data: Data): Result<WideShape> {
  const { headings, facts } = common;
  const units = new Map<number, string>();
  headings.forEach((_, column) => {
    const cells = cellsOf(data, column);
    const [unit] = cells;
    if (column > 0 && unit !== undefined && cells.every((cell) => cell === unit) && isUnitText(unit))
      units.set(column, unit);
  });
  const withUnits = headings.map((heading, column) => {
    const unitText = heading.unitText ?? (units.has(column) ? undefined : units.get(column + 1));
    return { ...heading, ...(unitText === undefined ? {} : { unitText }) };
  });
  const candidates = timeColumns({ ...common, headings: withUnits }, data);
  const held = new Set(candidates.flatMap(({ column, dateColumn }) => [column, dateColumn ?? column]));
  const noReading = (column: number): boolean =>
    held.has(column) ||
    units.has(column) ||
    isSampleName(headings[column]?.name ?? '') ||
    isDateName(headings[column]?.name ?? '');

  if (candidates.length > 1 && arePairs(candidates, headings)) {
    const axisOf = headings.map((_, column) =>
      noReading(column)
        ? -1
        : Math.max(
            0,
            candidates.findLastIndex((time) => time.column < column),
          ),
    );
    return success({ ...common, headings: withUnits, layout: 'wide', axisOf, times: candidates });
  }
  const plain = (time: TimeColumn): number => {
    const [cell] = cellsOf(data, time.column);
    // Seconds since the start need no guess; a date with a clock does not stop at midnight; a bare clock comes last.
    return cell === undefined
      ? 3
      : !cell.includes(':')
        ? 0
        : time.dateColumn !== undefined || cell.length > 12
          ? 1
          : 2;
  };
  const [time] = [...candidates].sort((a, b) => plain(a) - plain(b));
  const axisOf = headings.map((_, column) => (noReading(column) ? -1 : 0));
  if (time) return success({ ...common, headings: withUnits, layout: 'wide', axisOf, times: [time] });
  const hz = facts.sampleHz;
  const [first] = headings;
  if (
    hz === undefined &&
    first &&
    !namesRole(first.name) &&
    !isSampleName(first.name) &&
    rises(data, 0, common.mark)
  ) {
    axisOf[0] = -1;
    const unitText = withUnits[0]?.unitText;
    const guessed = { column: 0, guessed: true as const, ...(unitText === undefined ? {} : { unitText }) };
    return success({ ...common, headings: withUnits, layout: 'wide', axisOf, times: [guessed] });
  }
  if (hz === undefined) {
    return unreadable(say('logs.has-neither-a-time-column-nor'));
  }
  const sampleColumn = headings.findIndex((heading) => isSampleName(heading.name));
  return success({
    ...common,
    headings: withUnits,
    layout: 'wide',
    axisOf,
    times: [{ sampleColumn: sampleColumn < 0 ? undefined : sampleColumn, hz }],
  });
}

/** Several columns of time, each followed by readings of its own: every channel brings its time along. */
const arePairs = (times: readonly TimeColumn[], headings: readonly ColumnHeading[]): boolean => {
  const columns = times.map(({ column }) => column);
  const gaps = columns.map((column, i) => (columns[i + 1] ?? headings.length) - column);
  return (
    gaps.every((gap) => gap >= 2 && gap <= 3) && gaps.every((gap) => gap === gaps[0] || times.length > 3)
  );
};
