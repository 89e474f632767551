import type { LineShape } from './tableShape.ts';

export interface LineRun {
  /** Whole lines, the last one ended too. */
  readonly text: string;
  readonly firstLine: number;
  /** Whether each line holds the table's number of cells; otherwise it is a single odd line. */
  readonly even: boolean;
  /** Cells of an odd line. */
  readonly cells?: number;
  /** Whether quotes enclose cells; otherwise they are characters like others. */
  readonly quotes: boolean;
}

const QUOTE = 34;
/** No cell of a log holds more lines than this: a quote left open is then a character, as in 12" pipe. */
const MAX_LINES_IN_CELL = 20;

/**
 * Cuts text that comes in pieces into runs of lines with the table's number of cells, and the odd lines between them,
 * so that a reader of even rows can be given the runs whole. Blank lines are passed over. A quote opens only at the
 * beginning of a cell, and then lines and delimiters inside it do not count.
 */
export class LineRuns {
  private rest = '';
  private line = 1;
  private quotes = true;
  private readonly delimiter: number;
  private readonly newline: number;

  constructor(
    private readonly shape: LineShape,
    private readonly emit: (run: LineRun) => void,
  ) {
    this.delimiter = shape.delimiter.charCodeAt(0);
    this.newline = shape.newline.charCodeAt(0);
  }

  /** Characters that wait for the end of their line. */
  get waiting(): number {
    return this.rest.length;
  }

  push(piece: string): void {
    this.cut(this.rest === '' ? piece : this.rest + piece);
  }

  finish(): void {
    if (this.rest === '') return;
    const { newline } = this.shape;
    this.cut(this.rest + newline);
    if (this.rest === '') return;
    // Still waiting for the end of a quote that never comes.
    this.quotes = false;
    this.cut(this.rest);
  }

  private cut(text: string): void {
    const { delimiter, newline } = this;
    const width = this.shape.width;
    let runStart = 0;
    let runLine = this.line;
    let lineStart = 0;
    let cells = 1;
    let quoted = false;
    let inside = 0;
    let cellStart = true;
    const flush = (end: number): void => {
      if (end > runStart)
        this.emit({ text: text.slice(runStart, end), firstLine: runLine, even: true, quotes: this.quotes });
    };
    for (let i = 0; i < text.length; i++) {
      const code = text.charCodeAt(i);
      if (quoted) {
        if (code === QUOTE) quoted = false;
        else if (code === newline && ++inside > MAX_LINES_IN_CELL) {
          flush(lineStart);
          runStart = lineStart;
          runLine = this.line;
          this.quotes = false;
          i = lineStart - 1;
          cells = 1;
          inside = 0;
          quoted = false;
          cellStart = true;
        }
        continue;
      }
      if (code === delimiter) {
        cells++;
        cellStart = true;
        continue;
      }
      if (code !== newline) {
        if (cellStart) {
          quoted = this.quotes && code === QUOTE;
          cellStart = false;
        }
        continue;
      }
      const blank = i - lineStart <= 1 && (i === lineStart || text.charCodeAt(lineStart) === 13);
      const next = this.line + 1 + inside;
      if (blank || cells !== width || inside > 0) {
        flush(lineStart);
        if (!blank) {
          const line = text.slice(lineStart, i + 1);
          this.emit({ text: line, firstLine: this.line, even: cells === width, cells, quotes: this.quotes });
        }
        runStart = i + 1;
        runLine = next;
      }
      this.line = next;
      lineStart = i + 1;
      cells = 1;
      inside = 0;
      cellStart = true;
    }
    flush(lineStart);
    this.rest = text.slice(lineStart);
  }
}
