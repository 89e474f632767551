import { readCode } from './readCode.ts';

/** One code of a scan as it was read or typed. */
export interface ListedCode {
  readonly code: string;
  readonly status?: string | undefined;
  readonly module?: string | undefined;
}

export interface CodeList {
  readonly codes: readonly ListedCode[];
  /** Lines in which no code was found; kept, so that nothing is swallowed. */
  readonly leftOver: readonly string[];
}

const AT_START = new RegExp(
  [
    String.raw`^SPN\s*:?\s*\d{1,6}\s*(?:FMI|\/|[-:])\s*:?\s*\d{1,2}`,
    String.raw`^\d{1,6}\s*\/\s*\d{1,2}`,
    String.raw`^[PCBU][0-3O][0-9A-FO]{3}(?:[-: .]?[0-9A-F]{2})?`,
    String.raw`^(?:0x|\$)[0-9A-F]{4}(?:[0-9A-F]{2})?`,
    String.raw`^[0-9A-F]{2} [0-9A-F]{2}(?: [0-9A-F]{2})?`,
    String.raw`^[0-9A-F]{6}H?`,
    String.raw`^[0-9A-F]{4}H?`,
    String.raw`^\d{5}`,
  ]
    .map((pattern) => String.raw`(?:${pattern}(?![\w]))`)
    .join('|'),
  'i',
);

/** A code may stand behind a number in a list, a bullet or a bracket. */
const LEAD = /^(?:\d{1,2}[.)]\s+|[-*•[(]\s*)+/;
const EDGE = /^[\s:;,|\-–—[\]()]+|[\s:;,|\-–—[\]()]+$/g;

/** As long as a code may be that is kept. */
const LONGEST_NAME = 40;

/** The name of a module that stands alone above its codes. */
const HEADING = /^[\p{L}][\p{L}\d \-/()]{1,38}:?$/u;
const isHeading = (line: string): boolean => HEADING.test(line) && !/\d{3}/.test(line);
/** What a tool says of a module without codes. */
const NONE = /^(no (codes|faults)( stored| found)?|none|ok)\.?$/i;

/**
 * Reads a list of codes as tools print or people type it: one a line or with commas, with words of status behind, and the
 * module's name above. What holds no code is given back as left over.
 */
export function readCodeList(text: string): CodeList {
  const codes: ListedCode[] = [];
  const leftOver: string[] = [];
  let module: string | undefined;
  // A heading with nothing under it was none: it is given back.
  let alone: string | undefined;
  for (const line of text.split(/[\r\n;]+/)) {
    // Behind a code a comma may part it from its status, or from the next code.
    let before: ListedCode | undefined;
    for (const piece of line.split(',')) {
      const words = piece.trim().replace(LEAD, '').trim();
      if (words === '') continue;
      const found = AT_START.exec(words)?.[0];
      if (found !== undefined || NONE.test(words)) alone = undefined;
      if (found !== undefined) {
        before = withStatus(found.trim(), words.slice(found.length), module);
        codes.push(before);
      } else if (before) {
        codes.pop();
        before = withStatus(before.code, `${before.status ?? ''}, ${words}`, module);
        codes.push(before);
      } else if (NONE.test(words)) continue;
      else if (readCode(words).notation === 'name') {
        // Some tools name faults and give no numbers.
        codes.push(withStatus(words.slice(0, LONGEST_NAME), '', module));
        alone = undefined;
      } else if (isHeading(words)) {
        if (alone !== undefined) leftOver.push(alone);
        alone = words;
        module = words.replace(/:$/, '').trim();
      } else leftOver.push(words);
    }
  }
  if (alone !== undefined) leftOver.push(alone);
  return { codes, leftOver };
}

function withStatus(code: string, words: string, module: string | undefined): ListedCode {
  const status = words.replace(EDGE, '').slice(0, 60);
  return { code, ...(status === '' ? {} : { status }), ...(module === undefined ? {} : { module }) };
}

/** A code that is there now: not one that only is remembered, or not confirmed yet. */
export function isActive({ status }: ListedCode): boolean {
  const words = (status ?? '').toLowerCase();
  return !/(not present|inactive|history|historic|past|passive|pending|sporadic)/.test(words);
}

/** The same code in whatever notation; a failure type is left aside, as not every tool gives it. */
export const sameCode = (a: string, b: string): boolean => readCode(a).code === readCode(b).code;
