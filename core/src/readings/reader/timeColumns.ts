import { type ColumnHeading } from './columnHeading.ts';
import { type DecimalMark } from './cellValue.ts';
import type { StatedFacts } from './rawLog.ts';
import { isDateName, isTimeName, TimeCells } from './timeCells.ts';

/** A time axis: its column, and the column of its date where that stands apart. */
export interface TimeColumn {
  readonly column: number;
  readonly dateColumn?: number;
  readonly unitText?: string;
  /** Taken for the time only because it rises from row to row. */
  readonly guessed?: true;
}

export interface CommonShape {
  readonly headings: readonly ColumnHeading[];
  readonly mark: DecimalMark;
  readonly dayFirst: boolean;
  readonly facts: StatedFacts;
}

export type Data = readonly (readonly string[])[];

export const cellsOf = (data: Data, column: number): string[] =>
  data.map((row) => (row[column] ?? '').trim()).filter((cell) => cell !== '');

/** Whether nearly all cells can be read as times. */
function holdsTimes(data: Data, column: number, mark: DecimalMark, dateColumn?: number): boolean {
  const reader = new TimeCells(mark);
  const cells = cellsOf(data, column);
  const good = cells.filter((cell) =>
    Number.isFinite(reader.read(cell, dateColumn === undefined ? undefined : '')),
  );
  return cells.length > 0 && good.length >= 0.6 * cells.length;
}

const looksLikeClock = (cell: string): boolean => /\d:\d{2}/.test(cell) || /^\d{4}-\d\d-\d\d/.test(cell);

/** Columns of time: by name and content, or by content alone. */
export function timeColumns({ headings, mark }: CommonShape, data: Data): TimeColumn[] {
  const all = headings.map((_, column) => column).filter((column) => holdsTimes(data, column, mark));
  const named = all.filter((column) => {
    const name = headings[column]?.name ?? '';
    return (
      isTimeName(name) ||
      (/^(?:time|zeit|temps|tiempo|tempo|czas)\b/i.test(name) && rises(data, column, mark))
    );
  });
  const unnamed = all.filter((column) => cellsOf(data, column).some(looksLikeClock));
  const found = named.length > 0 ? named : unnamed;
  const isDate = (column: number): boolean =>
    isDateName(headings[column]?.name ?? '') &&
    cellsOf(data, column).every((cell) => !/\d:\d/.test(cell) && !/^\d+$/.test(cell));
  const dateColumn = found.find(isDate);
  const rest = found.filter((column) => column !== dateColumn);
  const usable = rest.length > 0 ? rest : found;
  return usable.map((column) => {
    const unitText = headings[column]?.unitText;
    const apart =
      dateColumn !== undefined &&
      dateColumn !== column &&
      cellsOf(data, column).some((cell) => cell.includes(':'));
    return {
      column,
      ...(apart ? { dateColumn } : {}),
      ...(unitText === undefined ? {} : { unitText }),
    };
  });
}

/** Whether a column's numbers go forward from row to row, as times do. */
export function rises(data: Data, column: number, mark: DecimalMark): boolean {
  const reader = new TimeCells(mark);
  const times = cellsOf(data, column).map((cell) => reader.read(cell));
  return (
    times.length > 1 &&
    times.every((time, i) => i === 0 || time >= (times[i - 1] as number)) &&
    (times.at(-1) as number) > (times[0] as number)
  );
}
