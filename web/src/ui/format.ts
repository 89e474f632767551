import {
  fromBase,
  pressureText,
  quantityOf,
  unitLabel,
  withoutMinusZero,
  type Unit,
} from '@white-ember/core/quantities';

/** Figures short enough to read at a glance: no false precision. */
export const shortNumber = (value: number): string =>
  withoutMinusZero(value.toFixed(Math.abs(value) >= 10 ? 0 : 1));

/** A value in base units as a person reads it, in their unit. */
export const withUnit = (value: number, unit: Unit): string =>
  quantityOf(unit) === 'pressure'
    ? pressureText(value, unit)
    : `${shortNumber(fromBase(value, unit))} ${unitLabel(unit)}`;

/** A number as typed in a van: comma or point, spaces ignored; undefined where empty, NaN where it is no number. */
export function typedNumber(text: string | undefined): number | undefined {
  const cleaned = (text ?? '').replace(/\s/g, '').replace(',', '.').replace('−', '-');
  if (cleaned === '') return undefined;
  return /^[+-]?(\d+\.?\d*|\.\d+)$/.test(cleaned) ? Number(cleaned) : Number.NaN;
}

const thousands = new Intl.NumberFormat('en', { useGrouping: true, maximumFractionDigits: 0 });
export const spacedNumber = (value: number): string => thousands.format(value).replaceAll(',', '\u202f');
