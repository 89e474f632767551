import { say, type Said } from '../words/index.ts';
import { GENERIC } from './codeTable.ts';
import { namedFault } from './namedFaults.ts';

/** How a code was written. */
export const NOTATIONS = ['j2012', 'hexadecimal', 'spn-fmi', 'maker', 'name', 'unknown'] as const;
export type Notation = (typeof NOTATIONS)[number];

export interface ReadCode {
  /** As it was typed or came from a tool. */
  readonly text: string;
  readonly notation: Notation;
  /** In one notation for all: `P2463`, `SPN 3251 FMI 0`; of a name the code that says the same; else the text itself. */
  readonly code: string;
  /** Two hexadecimal digits (SAE J2012), where they were given. */
  readonly failureType?: string;
  readonly spn?: number;
  readonly fmi?: number;
  /** What the same figures mean in another notation, where they could be that as well. */
  readonly couldBe?: Said;
}

const LETTERS = ['P', 'C', 'B', 'U'] as const;

/** A code of two bytes: letter from the first two bits, digits from the rest (SAE J2012, ISO 15031-6). */
const ofBytes = (value: number): string =>
  `${LETTERS[value >> 14] ?? 'P'}${((value >> 12) & 3).toString()}${(value & 0xfff).toString(16).toUpperCase().padStart(3, '0')}`;

const J2012 = /^([PCBU])([0-3O])([0-9A-FO]{3})(?:[-: .]?([0-9A-F]{2}))?$/;
const SPN_FMI = /^(?:SPN)?\s*:?\s*(\d{1,6})\s*(?:FMI|\/|[-:])\s*:?\s*(\d{1,2})$/;
const MOST_SPN = 524_287;

const clean = (text: string): string => text.trim().toUpperCase().replace(/\s+/g, ' ');

function asJ2012(text: string): ReadCode | undefined {
  const match = J2012.exec(clean(text));
  if (!match) return undefined;
  const [, letter = '', first = '', rest = '', failureType] = match;
  // A letter O among the digits is a nought that was typed or printed so.
  const digits = `${first}${rest}`.replaceAll('O', '0');
  return {
    text,
    notation: 'j2012',
    code: `${letter}${digits}`,
    ...(failureType === undefined ? {} : { failureType }),
  };
}

function asSpnFmi(text: string): ReadCode | undefined {
  const match = SPN_FMI.exec(clean(text));
  if (!match) return undefined;
  const [spn, fmi] = [Number(match[1]), Number(match[2])];
  if (spn > MOST_SPN || fmi > 31) return undefined;
  return { text, notation: 'spn-fmi', code: `SPN ${spn} FMI ${fmi}`, spn, fmi };
}

/** Two or three bytes, marked as hexadecimal by a prefix, a suffix, spaces between bytes or a digit beyond 9. */
function asHexadecimal(text: string): ReadCode | undefined {
  const bare = clean(text);
  const marked = /^0X|H$|^\$|^[0-9A-F]{2}( [0-9A-F]{2}){1,2}$/.test(bare);
  const digits = bare.replace(/^0X|^\$|H$/g, '').replaceAll(' ', '');
  if (!/^([0-9A-F]{4}|[0-9A-F]{6})$/.test(digits)) return undefined;
  if (!marked && !/[A-F]/.test(digits)) return undefined;
  return { text, notation: 'hexadecimal', ...fromHex(digits) };
}

const fromHex = (digits: string): { code: string; failureType?: string } => ({
  code: ofBytes(Number.parseInt(digits.slice(0, 4), 16)),
  ...(digits.length === 6 ? { failureType: digits.slice(4) } : {}),
});

/** Four to six plain digits: a maker's own number, which only its own table can read. */
function asMakerNumber(text: string): ReadCode | undefined {
  const bare = clean(text);
  if (!/^\d{4,6}$/.test(bare)) return undefined;
  const { code, failureType } = fromHex(bare.length === 6 ? bare : bare.slice(0, 4));
  return {
    text,
    notation: 'maker',
    code: bare,
    ...(bare.length === 5
      ? {}
      : {
          couldBe: say('codes.if-hexadecimal', {
            code: `${code}${failureType === undefined ? '' : `-${failureType}`}`,
          }),
        }),
  };
}

/** A code with its failure type in plain digits, as some tools print it: taken as such where our own tables know just this code. */
function asPlainDigits(text: string): ReadCode | undefined {
  const bare = clean(text);
  if (!/^\d{6}$/.test(bare)) return undefined;
  const read = fromHex(bare);
  return GENERIC.has(read.code)
    ? { text, notation: 'hexadecimal', ...read, couldBe: say('codes.the-makers-number', { number: bare }) }
    : undefined;
}

function asName(text: string): ReadCode | undefined {
  const code = namedFault(text);
  return code === undefined ? undefined : { text, notation: 'name', code };
}

/** Reads one code in whatever notation it comes, or a fault by its name; what fits none is kept as it is. */
export function readCode(text: string): ReadCode {
  return (
    asJ2012(text) ??
    asSpnFmi(text) ??
    asHexadecimal(text) ??
    asPlainDigits(text) ??
    asMakerNumber(text) ??
    asName(text) ?? { text, notation: 'unknown', code: text.trim() }
  );
}
