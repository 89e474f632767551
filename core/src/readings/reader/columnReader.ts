import { say, type Said } from '../../words/index.ts';
import { plainNumber, readCell, type DecimalMark } from './cellValue.ts';
import { NumberList } from './numberList.ts';
import { READ_BOUNDS } from './readBounds.ts';
import type { LogWarning } from './rawLog.ts';
import { isHeadingRow, isUnitRow } from './tableShape.ts';

/** Counts things of one kind and remembers the first line. */
export class Tally {
  count = 0;
  first: number | undefined;
  add(line: number): void {
    this.count++;
    this.first ??= line;
  }
  warning(code: string, text: (count: number) => Said): LogWarning[] {
    return this.first === undefined ? [] : [{ code, text: text(this.count), row: this.first }];
  }
}

/** One growing column: numbers where there are some, and what could not be read. */
export class ColumnReader {
  readonly numbers = new NumberList();
  private readonly unusable = new Tally();
  unitText: string | undefined;
  filled = 0;

  constructor(
    readonly name: string,
    readonly source: string,
    unitText: string | undefined,
    private readonly mark: DecimalMark,
  ) {
    this.unitText = unitText;
  }

  /** The cell as a number, NaN where it holds none. */
  parse(cell: string, line: number): number {
    const plain = plainNumber(cell, this.mark);
    if (plain === plain) return plain;
    if (cell === '') return Number.NaN;
    if (cell.length > READ_BOUNDS.cellLength) {
      this.unusable.add(line);
      return Number.NaN;
    }
    const read = readCell(cell, this.mark);
    if (read.kind === 'unusable') this.unusable.add(line);
    if (read.kind !== 'number') return Number.NaN;
    if (read.unitText !== undefined) this.unitText ??= read.unitText;
    return read.value;
  }

  add(cell: string, line: number): void {
    const value = this.parse(cell, line);
    if (value === value) this.filled++;
    this.numbers.push(value);
  }

  warnings(): LogWarning[] {
    return this.unusable.warning('cell-unreadable', (count) =>
      say('logs.of-hold-neither-a-number-nor', {
        count,
        name: this.name,
      }),
    );
  }
}

/** What both layouts share: odd lines, headings that stand again, and the rows' places in the file. */
export class RowNotes {
  readonly lines = new NumberList();
  private readonly odd = new Tally();
  private readonly repeated = new Tally();
  private stoppedAt: number | undefined;

  constructor(private readonly headingRows: readonly (readonly string[])[]) {}

  oddLine(line: number): void {
    if (this.stoppedAt === undefined) this.odd.add(line);
  }

  get stopped(): boolean {
    return this.stoppedAt !== undefined;
  }

  /** Whether a row without a time is a heading again. Another heading than the first ends the table. */
  isHeading(cells: readonly string[], line: number): boolean {
    const same = this.headingRows.some((row) =>
      row.every((cell, i) => cell.trim() === (cells[i] ?? '').trim()),
    );
    if (same || isUnitRow(cells)) {
      this.repeated.add(line);
      return true;
    }
    if (isHeadingRow(cells) && cells.filter((cell) => cell.trim() !== '').length > cells.length / 2) {
      this.stoppedAt = line;
      return true;
    }
    return false;
  }

  warnings(): LogWarning[] {
    return [
      ...this.repeated.warning('header-repeated', () => say('logs.the-heading-stands-again-inside-the')),
      ...this.odd.warning('row-incomplete', (count) =>
        say('logs.another-number-of-cells-than-the', { count }),
      ),
      ...(this.stoppedAt === undefined
        ? []
        : [
            {
              code: 'table-changes',
              text: say('logs.another-heading-stands-here-what-follows'),
              row: this.stoppedAt,
            },
          ]),
    ];
  }
}
