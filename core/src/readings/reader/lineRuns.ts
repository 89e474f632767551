import type { LineShape } from './lineShape.ts';

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
  /** One whole line of the table's cells without quotes: looked for first, as it is found several times as fast. */
  private readonly plainLine: RegExp;

  constructor(
    private readonly shape: LineShape,
    private readonly emit: (run: LineRun) => void,
  ) {
    this.delimiter = shape.delimiter.charCodeAt(0);
    this.newline = shape.newline.charCodeAt(0);
    const [d, n] = [
      `\\x${this.delimiter.toString(16).padStart(2, '0')}`,
      `\\x${this.newline.toString(16).padStart(2, '0')}`,
    ];
    this.plainLine = new RegExp(`(?:[^${d}${n}"]*${d}){${shape.width - 1}}[^${d}${n}"]*${n}`, 'y');
  }

  /** Characters that wait for the end of their line. */
  get waiting(): number {
    return this.rest.length;
  }

  push(piece: string): void {
    let from = 0;
    // What waits is completed to a line of its own, so that the piece itself is read where it stands: a string put
    // together from two is several times slower to look through.
    while (this.rest !== '') {
      const end = piece.indexOf(this.shape.newline, from) + 1;
      if (end === 0) {
        this.rest += from === 0 ? piece : piece.slice(from);
        return;
      }
      const line = this.rest + piece.slice(from, end);
      this.rest = '';
      this.cut(line, 0);
      from = end;
    }
    this.cut(piece, from);
  }

  finish(): void {
    if (this.rest === '') return;
    const text = this.rest + this.shape.newline;
    this.rest = '';
    this.cut(text, 0);
    if (this.rest === '') return;
    // Still waiting for the end of a quote that never comes.
    this.quotes = false;
    this.cut(this.rest, 0);
  }

  private cut(text: string, from: number): void {
    const { delimiter, newline } = this;
    const width = this.shape.width;
    const length = text.length;
    let line = this.line;
    let runStart = from;
    let runLine = line;
    let lineStart = from;
    let cells = 1;
    let quoted = false;
    let inside = 0;
    let cellStart = true;
    const { plainLine } = this;
    for (let i = from; i < length; i++) {
      if (i === lineStart) {
        plainLine.lastIndex = i;
        while (plainLine.test(text)) {
          line++;
          lineStart = plainLine.lastIndex;
        }
        i = lineStart;
        if (i >= length) break;
      }
      const code = text.charCodeAt(i);
      if (quoted) {
        if (code === QUOTE) quoted = false;
        else if (code === newline && ++inside > MAX_LINES_IN_CELL) {
          this.flush(text, runStart, lineStart, runLine);
          runStart = lineStart;
          runLine = line;
          this.quotes = false;
          i = lineStart - 1;
          cells = 1;
          inside = 0;
          quoted = false;
          cellStart = true;
        }
      } else if (code === delimiter) {
        cells++;
        cellStart = true;
      } else if (code === newline) {
        const blank = i - lineStart <= 1 && (i === lineStart || text.charCodeAt(lineStart) === 13);
        const next = line + 1 + inside;
        if (blank || cells !== width || inside > 0) {
          this.flush(text, runStart, lineStart, runLine);
          if (!blank) {
            const odd = text.slice(lineStart, i + 1);
            this.emit({ text: odd, firstLine: line, even: cells === width, cells, quotes: this.quotes });
          }
          runStart = i + 1;
          runLine = next;
        }
        line = next;
        lineStart = i + 1;
        cells = 1;
        inside = 0;
        cellStart = true;
      } else if (cellStart) {
        quoted = code === QUOTE && this.quotes;
        cellStart = false;
      }
    }
    this.flush(text, runStart, lineStart, runLine);
    this.line = line;
    this.rest = text.slice(lineStart);
  }

  private flush(text: string, from: number, to: number, firstLine: number): void {
    if (to > from) this.emit({ text: text.slice(from, to), firstLine, even: true, quotes: this.quotes });
  }
}
