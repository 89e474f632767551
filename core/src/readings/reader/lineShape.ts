const DELIMITERS = ['\t', ';', '|', ','] as const;
const SNIFF_LINES = 400;

/** How the lines of a text are cut into cells. */
export interface LineShape {
  readonly delimiter: string;
  readonly newline: '\n' | '\r';
  /** Cells in the commonest line. */
  readonly width: number;
}

/** Cells in a line; a quote opens only at the beginning of a cell. */
function countCells(line: string, delimiter: string): number {
  let cells = 1;
  let quoted = false;
  let start = true;
  for (const char of line) {
    if (quoted) quoted = char !== '"';
    else if (char === delimiter) {
      cells++;
      start = true;
      continue;
    } else if (char === '"' && start) quoted = true;
    start = false;
  }
  return cells;
}

/**
 * The delimiter under which most lines have one and the same number of cells. A comma comes last: in a file with
 * decimal commas it divides as regularly as the true delimiter.
 */
export function sniffLines(head: string): LineShape | undefined {
  const newline = head.includes('\n') || !head.includes('\r') ? '\n' : '\r';
  const lines = head
    .split(newline, SNIFF_LINES)
    .map((line) => line.slice(0, 50_000))
    .filter((line) => line.trim() !== '');
  let best: (LineShape & { score: number }) | undefined;
  for (const delimiter of DELIMITERS) {
    const counts = new Map<number, number>();
    for (const line of lines) {
      const cells = countCells(line, delimiter);
      counts.set(cells, (counts.get(cells) ?? 0) + 1);
    }
    counts.delete(1);
    const [width, hits] = [...counts].sort((a, b) => b[1] - a[1] || b[0] - a[0])[0] ?? [1, 0];
    const agreement = hits / Math.max(lines.length, 1);
    if (width < 2 || agreement < 0.4) continue;
    const score = agreement * Math.log(width + 1) * (delimiter === ',' && best && agreement < 0.95 ? 0.5 : 1);
    if (delimiter === ',' && best && splitsDecimals(lines, best.delimiter)) continue;
    if (!best || score > best.score) best = { delimiter, newline, width, score };
  }
  return best;
}

/** Whether commas stand only inside the numbers of cells that another delimiter cuts. */
const splitsDecimals = (lines: readonly string[], delimiter: string): boolean => {
  const cells = lines.slice(-100).flatMap((line) => line.split(delimiter));
  const withComma = cells.filter((cell) => cell.includes(','));
  return (
    withComma.length > 0 &&
    withComma.filter((cell) => /^\s*"?[+-]?\d*,\d+/.test(cell)).length > 0.8 * withComma.length
  );
};
