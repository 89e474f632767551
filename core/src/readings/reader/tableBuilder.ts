import { say, type Said } from '../../words/index.ts';
import { success, type Result } from '../../quantities/index.ts';
import { splitUnit } from './columnHeading.ts';
import { plainNumber } from './cellValue.ts';
import { unreadable } from './decodeText.ts';
import { NumberList } from './numberList.ts';
import { READ_BOUNDS } from './readBounds.ts';
import type { LogWarning, RawColumn, RawLog, StatedFacts } from './rawLog.ts';
import { TOO_SHORT, type LongShape, type TableShape, type WideShape } from './tableShape.ts';
import { settleTimes, spreadCoarse, type LineOf, type SettledTimes } from './timeAxis.ts';
import { TimeCells } from './timeCells.ts';
import { RowNotes, ColumnReader, Tally } from './columnReader.ts';

/** Takes the rows of a table in order, and makes a log of them. */
export interface TableBuilder {
  readonly row: (cells: readonly string[], line: number) => void;
  /** A line that has another number of cells than the table. */
  readonly oddLine: (line: number) => void;
  readonly finish: (format: Said) => Result<RawLog>;
}

interface Axis {
  readonly raw: NumberList;
  readonly read: (cells: readonly string[]) => number;
  readonly settle: (lineOf: LineOf) => SettledTimes;
  /** Whether the row leaves this axis out, as where each channel brings its own times. */
  readonly silent: (cells: readonly string[]) => boolean;
}

function axisOf(time: WideShape['times'][number], shape: TableShape, alone: boolean): Axis {
  const raw = new NumberList();
  if (!('column' in time)) {
    let row = 0;
    return {
      raw,
      silent: () => false,
      read: (cells) => {
        const numbered =
          time.sampleColumn === undefined
            ? row++
            : plainNumber((cells[time.sampleColumn] ?? '').trim(), shape.mark);
        return numbered / time.hz;
      },
      settle: (lineOf) => settleTimes(raw.take(), lineOf),
    };
  }
  const cells = new TimeCells(shape.mark, shape.dayFirst);
  const { column, dateColumn } = time;
  return {
    raw,
    silent: (row) => !alone && (row[column] ?? '').trim() === '',
    read: (row) =>
      cells.read(row[column] ?? '', dateColumn === undefined ? undefined : (row[dateColumn] ?? '')),
    settle: (lineOf) => {
      const times = raw.take();
      cells.scale(times, time.unitText);
      return settleTimes(times, lineOf);
    },
  };
}

const coarse = (count: number, line: number): LogWarning => ({
  code: 'time-coarse',
  text: say('logs.readings-share-their-time-with-others', { count }),
  row: line,
});

const facts = (stated: StatedFacts): StatedFacts => stated;

/** One column a channel, one row a moment; cells may be empty. */
class WideBuilder implements TableBuilder {
  private readonly notes: RowNotes;
  private readonly axes: Axis[];
  private readonly columns: (ColumnReader | undefined)[];
  private tooLarge = false;

  constructor(
    private readonly shape: WideShape,
    headingRows: readonly string[][],
  ) {
    this.notes = new RowNotes(headingRows);
    this.axes = shape.times.map((time) => axisOf(time, shape, shape.times.length === 1));
    this.columns = shape.headings.map(({ name, unitText }, column) =>
      (shape.axisOf[column] ?? -1) < 0
        ? undefined
        : new ColumnReader(name, name.replace(/ \(\d+\)$/, ''), unitText, shape.mark),
    );
  }

  row(cells: readonly string[], line: number): void {
    if (this.notes.stopped || this.tooLarge) return;
    const { axes, columns } = this;
    for (let k = 0; k < axes.length; k++) {
      const axis = axes[k] as Axis;
      const time = axis.silent(cells) ? Number.NaN : axis.read(cells);
      if (time !== time && k === 0 && this.notes.isHeading(cells, line)) return;
      axis.raw.push(time);
    }
    this.notes.lines.push(line);
    if (this.notes.lines.length * columns.length > READ_BOUNDS.cells) {
      this.tooLarge = true;
      return;
    }
    for (let c = 0; c < columns.length; c++) columns[c]?.add(cells[c] ?? '', line);
  }

  oddLine(line: number): void {
    this.notes.oddLine(line);
  }

  finish(format: Said): Result<RawLog> {
    if (this.tooLarge)
      return unreadable(
        say('logs.holds-more-than-million-cells-record', { millions: READ_BOUNDS.cells / 1e6 }),
      );
    const lines = this.notes.lines.take();
    if (lines.length < 2) return unreadable(TOO_SHORT);
    const lineOf: LineOf = (row) => lines[row] ?? 0;
    const settled = this.axes.map((axis) => axis.settle(lineOf));
    const warnings: LogWarning[] = [...this.notes.warnings()];
    const axes = settled.map(({ timeS, order }) => {
      const times = order ? Float64Array.from(order, (row) => timeS[row] as number) : timeS;
      const moved = spreadCoarse(times);
      if (moved > 0) warnings.push(coarse(moved, lineOf(0)));
      return { times, order };
    });
    // With several axes an empty time is no fault: the shorter channels simply end.
    for (const one of settled) warnings.push(...one.warnings.filter(() => this.axes.length === 1));
    if (axes.every(({ times }) => times.length < 2)) {
      return unreadable(say('logs.has-no-usable-times-in-its', { column: this.timeName() }));
    }
    const columns = this.columns.flatMap((reader, c): RawColumn[] => {
      if (!reader) return [];
      const axis = axes[this.shape.axisOf[c] as number];
      if (!axis) return [];
      warnings.push(...reader.warnings());
      const column = rawColumn(reader, axis.times, axis.order);
      // A separator behind the last heading makes a column without name or readings.
      return column.values.length === 0 && column.name === `column ${c + 1}` ? [] : [column];
    });
    if (columns.every(({ values }) => values.length === 0))
      return unreadable(say('logs.holds-no-column-of-numbers-beside'));
    const [time] = this.shape.times;
    if (time && 'column' in time && time.guessed) {
      warnings.push({
        code: 'time-guessed',
        text: say('logs.no-column-is-named-as-a', { column: this.timeName() }),
      });
    }
    return success({
      format,
      durationS: Math.max(...axes.map(({ times }) => times.at(-1) ?? 0)),
      columns,
      facts: facts(this.shape.facts),
      warnings,
    });
  }

  private timeName(): string {
    const [time] = this.shape.times;
    const column = time === undefined ? undefined : 'column' in time ? time.column : time.sampleColumn;
    return column === undefined ? '' : (this.shape.headings[column]?.name ?? '');
  }
}

/** A column without gaps shares its axis; one with gaps gets its own times. */
function rawColumn(reader: ColumnReader, times: Float64Array, order: Int32Array | undefined): RawColumn {
  const all = reader.numbers.take();
  const about = {
    name: reader.name,
    source: reader.source,
    ...(reader.unitText === undefined ? {} : { unitText: reader.unitText }),
  };
  if (reader.filled === all.length) {
    return {
      ...about,
      timeS: times,
      values: order ? Float64Array.from(order, (row) => all[row] as number) : all,
    };
  }
  const values = new Float64Array(Math.min(reader.filled, times.length));
  const own = new Float64Array(values.length);
  let n = 0;
  for (let k = 0; k < times.length; k++) {
    const value = all[order?.[k] ?? k] as number;
    if (value !== value) continue;
    values[n] = value;
    own[n++] = times[k] as number;
  }
  return { ...about, timeS: own.slice(0, n), values: values.slice(0, n) };
}

interface LongColumn {
  readonly reader: ColumnReader;
  readonly rows: NumberList;
}

/** One reading a row: its time, the name of its channel, its value and perhaps its unit. */
class LongBuilder implements TableBuilder {
  private readonly notes: RowNotes;
  private readonly axis: Axis;
  private readonly columns = new Map<string, LongColumn>();
  private count = 0;
  private readonly unnamed = new Tally();

  constructor(
    private readonly shape: LongShape,
    headingRows: readonly string[][],
  ) {
    this.notes = new RowNotes(headingRows);
    this.axis = axisOf(shape.time, shape, true);
  }

  row(cells: readonly string[], line: number): void {
    if (this.notes.stopped) return;
    const time = this.axis.read(cells);
    if (time !== time && this.notes.isHeading(cells, line)) return;
    this.axis.raw.push(time);
    this.notes.lines.push(line);
    const row = this.count++;
    const text = (cells[this.shape.nameColumn] ?? '').trim();
    let column = this.columns.get(text);
    if (!column) {
      if (text === '' || this.columns.size >= READ_BOUNDS.columns) {
        this.unnamed.add(line);
        return;
      }
      column = this.open(text, cells);
    }
    const value = column.reader.parse(cells[this.shape.valueColumn] ?? '', line);
    if (value !== value) return;
    column.rows.push(row);
    column.reader.numbers.push(value);
  }

  private open(text: string, cells: readonly string[]): LongColumn {
    const { name, unitText } = splitUnit(text);
    const unit =
      this.shape.unitColumn === undefined ? undefined : (cells[this.shape.unitColumn] ?? '').trim();
    const column = {
      reader: new ColumnReader(name, name, unitText ?? (unit || undefined), this.shape.mark),
      rows: new NumberList(),
    };
    this.columns.set(text, column);
    return column;
  }

  oddLine(line: number): void {
    this.notes.oddLine(line);
  }

  finish(format: Said): Result<RawLog> {
    const lines = this.notes.lines.take();
    if (lines.length < 2) return unreadable(TOO_SHORT);
    const { timeS, warnings: repairs } = this.axis.settle((row) => lines[row] ?? 0);
    const warnings: LogWarning[] = [
      ...this.notes.warnings(),
      ...this.unnamed.warning('name-missing', (count) => say('logs.readings-have-no-name-of-a', { count })),
      ...repairs,
    ];
    let durationS = 0;
    let moved = 0;
    const columns = [...this.columns.values()].flatMap(({ reader, rows }): RawColumn[] => {
      warnings.push(...reader.warnings());
      const column = seriesOf(rows.take(), reader.numbers.take(), timeS);
      moved += spreadCoarse(column.timeS);
      durationS = Math.max(durationS, column.timeS.at(-1) ?? 0);
      return column.values.length === 0
        ? []
        : [
            {
              name: reader.name,
              source: reader.source,
              ...(reader.unitText === undefined ? {} : { unitText: reader.unitText }),
              ...column,
            },
          ];
    });
    if (columns.length === 0) return unreadable(say('logs.holds-names-and-times-but-no'));
    if (moved > 0) warnings.push(coarse(moved, lines[0] ?? 0));
    return success({ format, durationS, columns: unlike(columns), facts: facts(this.shape.facts), warnings });
  }
}

/** Readings by their rows → readings by their times, in order, without those that have none. */
export function seriesOf(
  rows: Float64Array,
  values: Float64Array,
  timeOfRow: Float64Array,
): { timeS: Float64Array; values: Float64Array } {
  const timeS = rows.map((row) => timeOfRow[row] as number);
  let sorted = true;
  for (let i = 0; i < timeS.length && sorted; i++) {
    sorted = i === 0 ? timeS[0] === timeS[0] : (timeS[i] as number) >= (timeS[i - 1] as number);
  }
  if (sorted) return { timeS, values };
  const order = [...timeS.keys()]
    .filter((i) => timeS[i] === timeS[i])
    .sort((a, b) => (timeS[a] as number) - (timeS[b] as number) || a - b);
  return {
    timeS: Float64Array.from(order, (i) => timeS[i] as number),
    values: Float64Array.from(order, (i) => values[i] as number),
  };
}

/** Names made unlike each other by counting on. */
export function unlike(columns: readonly RawColumn[]): RawColumn[] {
  const used = new Map<string, number>();
  return columns.map((column) => {
    const times = (used.get(column.name) ?? 0) + 1;
    used.set(column.name, times);
    return times > 1 ? { ...column, name: `${column.name} (${times})` } : column;
  });
}

export const tableBuilder = (shape: TableShape, headingRows: readonly string[][]): TableBuilder =>
  shape.layout === 'wide' ? new WideBuilder(shape, headingRows) : new LongBuilder(shape, headingRows);
