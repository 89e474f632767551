import { parseUnit } from '../../quantities/index.ts';

/** Words that stand for yes and no in status columns, folded to 1 and 0. */
const YES =
  'on yes true active aktiv ja an ein running|in progress|oui actif active en cours|si sí activo activa|attivo attiva|tak aktywny aktywna włączony';
const NO =
  'off no false inactive inaktiv nein aus|not active|not running|non inactif arrêt|inactivo inactiva|inattivo inattiva|nie nieaktywny wyłączony';
const words = (text: string): string[] =>
  text
    .split('|')
    .flatMap((part) => (part.includes('in progress') || part.startsWith('not ') ? [part] : part.split(' ')));
const WORDS: ReadonlyMap<string, number> = new Map([
  ...words(YES).map((word) => [word, 1] as const),
  ...words(NO).map((word) => [word, 0] as const),
]);

const PLACEHOLDER =
  /^(?:[-–—_.*?#]+|n\/?a|n\.a\.?|#n\/a|#div\/0!|nan|null|none|nil|err(?:or)?|inf|invalid|unavailable|not available|not supported|unsupported|no data|nodata|timeout|missing|undefined|void|k\.a\.?|n\.v\.?|nicht verfügbar|ungültig|fehler|indisponible|non dispo(?:nible)?|no disponible|non disponibile|brak|niedostępny)$/i;

/** Beyond this a number is damage, not a measurement. */
const ABSURD = 1e9;

const POWERS_OF_TEN = Array.from({ length: 16 }, (_, i) => 10 ** i);

export type DecimalMark = '.' | ',';

/**
 * A plain decimal number of at most 15 digits; NaN for anything else. Several times as fast as the language's own
 * conversion and equal to it: digits below 2⁵³ and a power of ten below 10²³ are exact, and one division rounds once.
 */
export function plainNumber(cell: string, mark: DecimalMark): number {
  const length = cell.length;
  if (length === 0 || length > 16) return Number.NaN;
  const markCode = mark === ',' ? 44 : 46;
  const first = cell.charCodeAt(0);
  let at = first === 45 || first === 43 ? 1 : 0;
  let digits = 0;
  let mantissa = 0;
  let decimals = -1;
  for (; at < length; at++) {
    const code = cell.charCodeAt(at);
    if (code >= 48 && code <= 57) {
      mantissa = mantissa * 10 + (code - 48);
      digits++;
    } else if (code === markCode && decimals < 0) decimals = length - 1 - at;
    else return Number.NaN;
  }
  if (digits === 0 || digits > 15) return Number.NaN;
  const value = decimals > 0 ? mantissa / (POWERS_OF_TEN[decimals] as number) : mantissa;
  return first === 45 ? -value : value;
}

export type CellReading =
  | { readonly kind: 'number'; readonly value: number; readonly unitText?: string }
  | { readonly kind: 'missing' }
  | { readonly kind: 'unusable' };

const MISSING: CellReading = { kind: 'missing' };
const UNUSABLE: CellReading = { kind: 'unusable' };
const NUMBER = /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i;
const WITH_UNIT = /^([+-]?[\d.,]+(?:e[+-]?\d+)?)\s*([^\d\s.,;+-][^\d;,]*\d?)$/i;
const THOUSANDS = {
  '.': /^([+-]?\d{1,3})((?:[, '\u00a0\u202f]\d{3})+)(\.\d+)?$/,
  ',': /^([+-]?\d{1,3})((?:[. '\u00a0\u202f]\d{3})+)(,\d+)?$/,
};

function numberIn(text: string, mark: DecimalMark): number | undefined {
  const grouped = THOUSANDS[mark].exec(text);
  const plain = grouped ? `${grouped[1]}${(grouped[2] ?? '').replace(/\D/g, '')}${grouped[3] ?? ''}` : text;
  const dotted = mark === ',' ? plain.replace(',', '.') : plain;
  return NUMBER.test(dotted) ? Number(dotted) : undefined;
}

/** A cell as a number, as deliberately empty, or as something that is neither. A unit may stand behind the number. */
export function readCell(cell: string, mark: DecimalMark): CellReading {
  const trimmed = cell.trim().replace(/^[−–](?=\d)/, '-');
  if (trimmed === '') return MISSING;
  const value = numberIn(trimmed, mark);
  if (value !== undefined) return Math.abs(value) < ABSURD ? { kind: 'number', value } : UNUSABLE;
  if (PLACEHOLDER.test(trimmed)) return MISSING;
  const known = WORDS.get(trimmed.toLowerCase());
  if (known !== undefined) return { kind: 'number', value: known };
  const united = WITH_UNIT.exec(trimmed);
  if (united?.[1] !== undefined && united[2] !== undefined && parseUnit(united[2]).ok) {
    const inner = numberIn(united[1], mark);
    if (inner !== undefined && Math.abs(inner) < ABSURD)
      return { kind: 'number', value: inner, unitText: united[2].trim() };
  }
  return UNUSABLE;
}

const CLOCK_OR_DATE = /^(?:\d{1,4}[-./]\d{1,2}[-./]\d{1,4}|\d{1,2}:\d{2})/;

/** Whether a cell looks like data (number, clock, date, placeholder, yes or no) rather than a heading. */
export function looksLikeData(cell: string): boolean {
  const trimmed = cell.trim();
  // "1/min" is a unit, not one of something.
  if (trimmed === '' || parseUnit(trimmed).ok) return false;
  return (
    CLOCK_OR_DATE.test(trimmed) ||
    readCell(trimmed, '.').kind !== 'unusable' ||
    readCell(trimmed, ',').kind !== 'unusable'
  );
}
