/** Words that stand for yes and no in status columns, folded to 1 and 0. */
const WORDS: ReadonlyMap<string, number> = new Map([
  ...['on', 'yes', 'true', 'active', 'aktiv', 'ja', 'an', 'ein', 'running', 'in progress'].map(
    (w) => [w, 1] as const,
  ),
  ...['off', 'no', 'false', 'inactive', 'not active', 'inaktiv', 'nein', 'aus'].map((w) => [w, 0] as const),
]);

const PLACEHOLDERS = new Set([
  '',
  '-',
  '--',
  '---',
  '----',
  'n/a',
  'na',
  'n.a.',
  'nan',
  'null',
  'none',
  'err',
  'error',
  'invalid',
  '#n/a',
  '?',
  'nicht verfügbar',
]);

/** Beyond this a number is damage, not a measurement. */
const ABSURD = 1e9;

export type CellReading =
  | { readonly kind: 'number'; readonly value: number }
  | { readonly kind: 'missing' }
  | { readonly kind: 'unusable' };

const MISSING: CellReading = { kind: 'missing' };
const UNUSABLE: CellReading = { kind: 'unusable' };
const NUMBER = /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i;

/** A cell as a number, as deliberately empty, or as something that is neither. */
export function readCell(cell: string, decimalComma: boolean): CellReading {
  const trimmed = cell.trim();
  if (trimmed === '') return MISSING;
  const dotted = decimalComma ? trimmed.replace(',', '.') : trimmed;
  if (NUMBER.test(dotted)) {
    const value = Number(dotted);
    return Math.abs(value) < ABSURD ? { kind: 'number', value } : UNUSABLE;
  }
  const word = trimmed.toLowerCase();
  if (PLACEHOLDERS.has(word)) return MISSING;
  const known = WORDS.get(word);
  return known === undefined ? UNUSABLE : { kind: 'number', value: known };
}

/** Whether a cell looks like data (number or clock) rather than a heading. */
export const looksLikeData = (cell: string): boolean =>
  /^[+-]?[\d.,:]+(e[+-]?\d+)?$/i.test(cell.trim()) || /^\d{4}-\d\d-\d\d/.test(cell.trim());
