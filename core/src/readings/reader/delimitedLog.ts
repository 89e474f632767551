import { say } from '../../words/index.ts';
import { success, type Result } from '../../quantities/index.ts';
import { unreadable } from './decodeText.ts';
import { LineRuns } from './lineRuns.ts';
import type { LogFormat, LogSink } from './rawLog.ts';
import { tableBuilder } from './tableBuilder.ts';
import { rowReader } from './tableRows.ts';
import { cutTo, READ_BOUNDS } from './readBounds.ts';
import { sniffTable, type HeadRows } from './tableShape.ts';
import { sniffLines, type LineShape } from './lineShape.ts';

const SNIFF_ROWS = 800;
/** Longer cells tell no more of the layout. */
const CUT_CELL = 1000;

/** The head's lines of about the table's width, each as its cells. */
function headRows(head: string, shape: LineShape): HeadRows {
  const rows: { line: number; cells: string[] }[] = [];
  const read = (text: string, line: number, cells: number, quotes: boolean): void => {
    let at = line;
    rowReader({ ...shape, width: cells })(text, quotes, (row) => {
      if (rows.length < SNIFF_ROWS)
        rows.push({ line: at++, cells: row.map((cell) => cutTo(cell.replace(/\r$/, ''), CUT_CELL)) });
    });
  };
  const runs = new LineRuns(shape, ({ text, firstLine, even, cells, quotes }) => {
    if (even) read(text, firstLine, shape.width, quotes);
    else if (cells !== undefined && Math.abs(cells - shape.width) === 1 && cells > 1)
      read(text, firstLine, cells, quotes);
  });
  runs.push(head);
  // The last line may be cut off by the end of the head.
  if (rows.length < 3) runs.finish();
  return { rows, preamble: cutTo(head, READ_BOUNDS.preambleLength).replaceAll(shape.newline, '\n') };
}

function open(head: string): Result<LogSink> {
  const lines = sniffLines(head);
  if (!lines) {
    return unreadable(say('logs.is-not-a-table-no-separator'));
  }
  if (lines.width > READ_BOUNDS.columns)
    return unreadable(
      say('logs.has-columns-up-to-are-read', { columns: lines.width, most: READ_BOUNDS.columns }),
    );
  const sniffed = sniffTable(headRows(head, lines), lines.width);
  if (!sniffed.ok) return sniffed;
  const { firstDataLine, headingRows, mark, layout } = sniffed.value;
  const builder = tableBuilder(sniffed.value, headingRows);
  const rows = rowReader(lines);
  const { delimiter, width } = lines;
  let tooLong: number | undefined;
  const runs = new LineRuns(lines, ({ text, firstLine, even, cells, quotes }) => {
    let line = firstLine;
    if (even) {
      rows(text, quotes, (row) => {
        if (line >= firstDataLine) builder.row(row, line);
        line++;
      });
    } else if (firstLine >= firstDataLine) {
      // A separator behind the last cell gives one empty cell more; anything else has no place under the headings.
      const bare = text.replace(/[\r\n]+$/, '');
      if (cells === width + 1 && bare.endsWith(delimiter)) {
        rows(`${bare.slice(0, -1)}${lines.newline}`, quotes, (row) => builder.row(row, line));
      } else builder.oddLine(line);
    }
  });
  const name = delimiter === '\t' ? 'tab' : delimiter;
  return success({
    push: (text) => {
      if (tooLong !== undefined) return;
      runs.push(text);
      if (runs.waiting > READ_BOUNDS.lineLength) tooLong ??= runs.waiting;
    },
    finish: () => {
      if (tooLong !== undefined) {
        return unreadable(say('logs.holds-a-line-of-more-than'));
      }
      runs.finish();
      return builder.finish(
        say(layout === 'long' ? 'logs.delimited-one-reading-a-row' : 'logs.delimited', {
          by: name,
          comma: mark === ',',
        }),
      );
    },
  });
}

/** Tables of text: wide, long or asynchronous, with any of the usual separators. */
export const delimitedLog: LogFormat = {
  id: 'delimited',
  recognise: (head) => (sniffLines(head) ? 0.5 : 0),
  open,
};
