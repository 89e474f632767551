import { say, type Said } from '../../words/index.ts';
import { READ_BOUNDS } from './readBounds.ts';

const QUOTE = 34;
const BACKSLASH = 92;
const COMMA = 44;

/**
 * Looks through JSON that comes in pieces before it is parsed as a whole: a parser allocates for each bracket what a file
 * of brackets claims. One pass, no memory.
 */
export class JsonDepth {
  private depth = 0;
  private values = 1;
  private quoted = false;
  private escaped = false;
  /** Why the file is not parsed; absent while nothing speaks against it. */
  refusal: Said | undefined;

  push(text: string): void {
    if (this.refusal !== undefined) return;
    for (let i = 0; i < text.length; i++) {
      const code = text.charCodeAt(i);
      if (this.quoted) {
        if (this.escaped) this.escaped = false;
        else if (code === BACKSLASH) this.escaped = true;
        else if (code === QUOTE) this.quoted = false;
      } else if (code === QUOTE) this.quoted = true;
      else if (code === 91 || code === 123) {
        this.values++;
        if (++this.depth > READ_BOUNDS.depth) {
          this.refusal = say('logs.is-json-with-lists-or-objects', { depth: READ_BOUNDS.depth });
          return;
        }
      } else if (code === 93 || code === 125) this.depth--;
      else if (code === COMMA) this.values++;
    }
    if (this.values > READ_BOUNDS.jsonValues)
      this.refusal = say('logs.is-json-with-more-than-million', { millions: READ_BOUNDS.jsonValues / 1e6 });
  }
}
