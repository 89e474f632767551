import { fromBase, unitLabel, type Unit } from '@white-ember/core/quantities';

/** Figures short enough to read at a glance: three figures, no false precision. */
export function shortNumber(value: number): string {
  const size = Math.abs(value);
  if (size >= 100) return value.toFixed(0);
  if (size >= 10) return value.toFixed(value % 1 === 0 ? 0 : 0);
  return value.toFixed(1);
}

export const withUnit = (value: number, unit: Unit): string =>
  `${shortNumber(fromBase(value, unit))} ${unitLabel(unit)}`;

/** A number as typed in a van: comma or point, spaces ignored; undefined where empty, NaN where it is no number. */
export function typedNumber(text: string | undefined): number | undefined {
  const cleaned = (text ?? '').replace(/\s/g, '').replace(',', '.').replace('−', '-');
  if (cleaned === '') return undefined;
  return /^[+-]?(\d+\.?\d*|\.\d+)$/.test(cleaned) ? Number(cleaned) : Number.NaN;
}

const thousands = new Intl.NumberFormat('en', { useGrouping: true, maximumFractionDigits: 0 });
export const spacedNumber = (value: number): string => thousands.format(value).replaceAll(',', '\u202f');
