import Papa from 'papaparse';
import { failed, parseUnit, success, type Result } from '../quantities/index.ts';
import { looksLikeData, readCell } from './cellValue.ts';
import { isSampleName, isTimeName, readTimes, repairTimes } from './timeAxis.ts';
import type { LogFormat, LogWarning, RawColumn, RawLog, StatedFacts } from './rawLog.ts';

const DELIMITERS = [',', ';', '\t', '|'] as const;
const SNIFF_LINES = 200;
const MAX_COLUMNS = 2000;

interface Shape {
  readonly delimiter: string;
  /** Cells in the commonest line. */
  readonly width: number;
  /** Share of the lines that have that width. */
  readonly agreement: number;
}

const countCells = (line: string, delimiter: string): number => {
  let cells = 1;
  let quoted = false;
  for (const char of line) {
    if (char === '"') quoted = !quoted;
    else if (char === delimiter && !quoted) cells++;
  }
  return cells;
};

/** The delimiter under which most lines have one and the same number of cells. */
function sniffShape(text: string): Shape | undefined {
  const lines = text
    .slice(0, 400_000)
    .split(/\r\n|\n|\r/, SNIFF_LINES)
    .filter((line) => line.trim() !== '');
  let best: Shape | undefined;
  for (const delimiter of DELIMITERS) {
    const counts = new Map<number, number>();
    for (const line of lines) {
      const cells = countCells(line.slice(0, 100_000), delimiter);
      counts.set(cells, (counts.get(cells) ?? 0) + 1);
    }
    const [width, hits] = [...counts].sort((a, b) => b[1] - a[1])[0] ?? [1, 0];
    const shape = { delimiter, width, agreement: hits / Math.max(lines.length, 1) };
    if (
      width > 1 &&
      (!best || shape.agreement * Math.log(shape.width + 1) > best.agreement * Math.log(best.width + 1))
    ) {
      best = shape;
    }
  }
  return best;
}

const UNIT_IN_NAME = /^(.*\S)\s*[[(]\s*([^\])]*)\s*[\])]\s*$/;

/** "Mass air flow (g/s)" → name and unit; brackets that hold no unit stay part of the name. */
export function splitUnit(heading: string): { name: string; unitText?: string } {
  const match = UNIT_IN_NAME.exec(heading.trim());
  if (match?.[1] !== undefined && match[2] !== undefined && (match[2] === '' || parseUnit(match[2]).ok)) {
    return { name: match[1].trim(), unitText: match[2] };
  }
  return { name: heading.trim() };
}

/** Facts stated in lines above the table: vehicle, engine size, sample rate. */
function statedFacts(preamble: readonly string[]): StatedFacts {
  const text = preamble.join('\n');
  const size =
    /(?:displacement|engine size|hubraum|cylindr[ée]e)\D{0,20}?(\d+(?:[.,]\d+)?)\s*(cm3|cm³|ccm|cc|ml|l|litre|liter)\b/i.exec(
      text,
    );
  const rate =
    /(?:sample rate|sampling|abtastrate|rate)\D{0,15}?(\d+(?:[.,]\d+)?)\s*(hz|\/s|per second)/i.exec(text);
  const vehicle = /^(?:vehicle|fahrzeug|car)\s*[:;,\t]?\s*(.+)$/im.exec(text);
  const number = (value: string): number => Number(value.replace(',', '.'));
  const litres = size?.[1] ? number(size[1]) / (/^l/i.test(size[2] ?? '') ? 1 : 1000) : undefined;
  return {
    ...(vehicle?.[1] ? { vehicle: vehicle[1].replace(/[;,\t]+$/, '').trim() } : {}),
    ...(litres !== undefined && litres > 0.3 && litres < 30 ? { displacementL: litres } : {}),
    ...(rate?.[1] && number(rate[1]) > 0 ? { sampleHz: number(rate[1]) } : {}),
  };
}

function findHeader(rows: readonly string[][], width: number): number {
  for (let i = 0; i < Math.min(rows.length, SNIFF_LINES); i++) {
    const row = rows[i] as string[];
    if (row.length !== width) continue;
    const filled = row.filter((cell) => cell.trim() !== '');
    if (filled.length >= 2 && filled.filter(looksLikeData).length <= 0.2 * filled.length) return i;
  }
  return -1;
}

const isUnitRow = (row: readonly string[] | undefined): boolean => {
  if (!row) return false;
  const filled = row.filter((cell) => cell.trim() !== '');
  return (
    filled.length > 0 &&
    filled.filter((cell) => parseUnit(cell.replace(/[[\]()]/g, '')).ok).length >= 0.6 * filled.length
  );
};

/** Decimal commas, by what the cells look like: more 1,5 than 1.5. */
function usesDecimalComma(rows: readonly string[][], delimiter: string): boolean {
  if (delimiter === ',') return false;
  let commas = 0;
  let dots = 0;
  for (const row of rows.slice(0, 300)) {
    for (const cell of row) {
      if (/^\s*-?\d+,\d+\s*$/.test(cell)) commas++;
      else if (/^\s*-?\d+\.\d+\s*$/.test(cell)) dots++;
    }
  }
  return commas > dots;
}

function unreadable(requirement: string): ReturnType<typeof failed> {
  return failed({ code: 'unreadable', field: 'The file', requirement });
}

function read(text: string): Result<RawLog> {
  const shape = sniffShape(text);
  if (!shape || shape.agreement < 0.4) {
    return unreadable(
      'is not a table: no separator (comma, semicolon, tab, bar) gives lines of equal length',
    );
  }
  if (shape.width > MAX_COLUMNS)
    return unreadable(`has ${shape.width} columns; up to ${MAX_COLUMNS} are read`);
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    delimiter: shape.delimiter,
    skipEmptyLines: false,
  });
  const rows = parsed.data;
  const headerAt = findHeader(rows, shape.width);
  if (headerAt < 0) {
    return unreadable('has no heading line that names its columns; without names nothing can be told apart');
  }
  const warnings: LogWarning[] = [];
  const headings = (rows[headerAt] as string[]).map(splitUnit);
  const unitRow = isUnitRow(rows[headerAt + 1]) ? (rows[headerAt + 1] as string[]) : undefined;
  const firstData = headerAt + (unitRow ? 2 : 1);
  const width = shape.width;

  const lines: number[] = [];
  let ragged = 0;
  let firstRagged: number | undefined;
  let repeatedHeader: number | undefined;
  const headerText = (rows[headerAt] as string[]).join('\u0000');
  for (let i = firstData; i < rows.length; i++) {
    const row = rows[i] as string[];
    if (row.length === 1 && (row[0] ?? '').trim() === '') continue;
    if (row.join('\u0000') === headerText) {
      repeatedHeader ??= i + 1;
      continue;
    }
    if (unitRow && isUnitRow(row)) continue;
    // A trailing separator gives one empty cell more; anything else cannot be placed under the headings.
    const trailing = row.length === width + 1 && row[width]?.trim() === '';
    if (row.length !== width && !trailing) {
      ragged++;
      firstRagged ??= i + 1;
      continue;
    }
    lines.push(i);
  }
  if (repeatedHeader !== undefined) {
    warnings.push({
      code: 'header-repeated',
      text: 'The heading stands again inside the data and was passed over.',
      row: repeatedHeader,
    });
  }
  if (ragged > 0) {
    warnings.push({
      code: 'row-incomplete',
      text: `${ragged} ${ragged === 1 ? 'row has' : 'rows have'} another number of cells than the heading and ${ragged === 1 ? 'was' : 'were'} left out.`,
      ...(firstRagged === undefined ? {} : { row: firstRagged }),
    });
  }
  if (lines.length < 2) return unreadable('holds a heading but fewer than two complete rows of data');

  const facts = statedFacts(rows.slice(0, headerAt).map((row) => row.join('\t')));
  const decimalComma = usesDecimalComma(
    lines.slice(0, 300).map((i) => rows[i] as string[]),
    shape.delimiter,
  );
  const cellsOf = (column: number): string[] => lines.map((i) => (rows[i] as string[])[column] ?? '');
  const unitOf = (column: number): string | undefined =>
    headings[column]?.unitText ?? (unitRow?.[column]?.trim() || undefined);

  let timeColumn = headings.findIndex((h) => isTimeName(h.name));
  let times: Float64Array;
  if (timeColumn >= 0) {
    times = readTimes(cellsOf(timeColumn), unitOf(timeColumn), decimalComma);
  } else {
    timeColumn = headings.findIndex((h) => isSampleName(h.name));
    const hz = facts.sampleHz;
    if (hz === undefined) {
      return unreadable(
        'has neither a time column nor a stated sample rate, so no duration or response can be told',
      );
    }
    const numbers = timeColumn >= 0 ? cellsOf(timeColumn).map(Number) : lines.map((_, i) => i);
    const start = numbers[0] ?? 0;
    times = Float64Array.from(numbers, (n) => (n - start) / hz);
  }
  const { keep, warnings: timeWarnings } = repairTimes(times, (lines[0] ?? 0) + 1);
  warnings.push(...timeWarnings);
  if (keep.length < 2)
    return unreadable(`has no usable times in its column “${headings[timeColumn]?.name ?? ''}”`);

  const columns: RawColumn[] = [];
  for (let c = 0; c < width; c++) {
    const heading = headings[c];
    if (c === timeColumn || !heading || heading.name === '') continue;
    const values = new Float64Array(keep.length).fill(Number.NaN);
    let unusable = 0;
    let firstUnusable: number | undefined;
    for (let k = 0; k < keep.length; k++) {
      const line = lines[keep[k] as number] as number;
      const cell = readCell((rows[line] as string[])[c] ?? '', decimalComma);
      if (cell.kind === 'number') values[k] = cell.value;
      else if (cell.kind === 'unusable') {
        unusable++;
        firstUnusable ??= line + 1;
      }
    }
    if (unusable > 0) {
      warnings.push({
        code: 'cell-unreadable',
        text: `${unusable} ${unusable === 1 ? 'cell' : 'cells'} of “${heading.name}” hold neither a number nor a known placeholder and count as not read.`,
        ...(firstUnusable === undefined ? {} : { row: firstUnusable }),
      });
    }
    const unitText = unitOf(c);
    columns.push({ name: heading.name, values, ...(unitText === undefined ? {} : { unitText }) });
  }
  return success({
    format: `delimited (${shape.delimiter === '\t' ? 'tab' : shape.delimiter}${decimalComma ? ', decimal comma' : ''})`,
    timeS: Float64Array.from(keep, (i) => times[i] as number),
    columns,
    facts,
    warnings,
  });
}

/** Wide tables of text: one column a channel, one row a moment; cells may be empty. */
export const delimitedLog: LogFormat = {
  id: 'delimited',
  recognise: (head) => {
    const shape = sniffShape(head);
    return shape ? Math.min(0.6, shape.agreement) : 0;
  },
  read,
};
