import { initParser } from 'udsv';
import type { LineShape } from './lineShape.ts';

/** `quotes`: whether they enclose cells. */
type RowReader = (text: string, quotes: boolean, each: (cells: string[]) => void) => void;

/**
 * Whole lines of `width` cells → their cells, by the CSV library. Its conversion of types is not used: it would take
 * text for numbers, compile code in the page, and know no decimal comma.
 */
export function rowReader({ delimiter, newline, width }: LineShape): RowReader {
  const cols = Array.from({ length: width }, (_, i) => ({
    name: String(i),
    type: 's' as const,
    repl: { empty: undefined, null: undefined, NaN: undefined },
  }));
  const base = { skip: 0, col: delimiter, row: newline, trim: false, cols };
  const plain = initParser({ ...base, encl: '', esc: '' });
  const quoted = initParser({ ...base, encl: '"', esc: '"' });
  return (text, quotes, each) => {
    const withQuotes = quotes && text.includes('"');
    // A closing quote must stand right before the end of its line.
    const clean = withQuotes && newline === '\n' ? text.replaceAll('\r\n', '\n') : text;
    (withQuotes ? quoted : plain).stringArrs(clean, (cells) => {
      each(cells);
      return true;
    });
  };
}
