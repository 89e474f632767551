import { fromBase, pressureFigure, quantityOf, unitLabel, type Unit } from '@white-ember/core/quantities';
import { figuresNow } from '../data/lastWords.ts';

/** A number as this person writes it, with so many decimals. */
export const fixed = (value: number, decimals = 0): string => figuresNow().number(value, decimals);

/** The same with no more decimals than it needs. */
export const atMost = (value: number, decimals: number): string =>
  figuresNow().number(Number(value.toFixed(decimals)));

/** Figures short enough to read at a glance: no false precision. */
export const shortNumber = (value: number): string => fixed(value, Math.abs(value) >= 10 ? 0 : 1);

/** With the decimals that a pressure is worth in its unit. */
export function pressureNumber(mbar: number, unit: Unit): string {
  const plain = pressureFigure(mbar, unit);
  return fixed(Number(plain), plain.split('.')[1]?.length ?? 0);
}

/** A value in base units as a person reads it, in their unit. */
export const withUnit = (value: number, unit: Unit): string =>
  quantityOf(unit) === 'pressure'
    ? `${pressureNumber(value, unit)} ${unitLabel(unit)}`
    : `${shortNumber(fromBase(value, unit))} ${unitLabel(unit)}`;

/** A number as typed in a van: comma or point, spaces ignored; undefined where empty, NaN where it is no number. */
export function typedNumber(text: string | undefined): number | undefined {
  const cleaned = (text ?? '').replace(/\s/g, '').replace(',', '.').replace('−', '-');
  if (cleaned === '') return undefined;
  return /^[+-]?(\d+\.?\d*|\.\d+)$/.test(cleaned) ? Number(cleaned) : Number.NaN;
}
