import { fromBase, toBase, unitLabel, type Unit } from '@white-ember/core/quantities';
import { chosenUnit, type UnitChoice, type UnitChoiceOf } from '@white-ember/core/words';
import { typedNumber } from '../ui/format.ts';

/** How a field stands in a form, and how it is put in a body of the ledger or in a request. */
export interface FieldKind {
  /** What stands there where nothing was typed. */
  readonly empty: unknown;
  /** In the base units of core; undefined where it is left out. */
  readonly read: (typed: unknown, units: UnitChoice) => unknown;
  readonly write: (value: unknown, units: UnitChoice) => unknown;
  /** Of a figure: what it is written in by this person. */
  readonly unit?: (units: UnitChoice) => Unit;
}

/** Fields by their path in the body. */
export type Fields = Readonly<Record<string, FieldKind>>;

const asText = (value: unknown): string => (typeof value === 'string' ? value : '');

/** Words that the body wants, be they empty. */
export const text = (empty = ''): FieldKind => ({ empty, read: asText, write: asText });

/** Words that are left out where there are none. */
export const optionalText = (empty = ''): FieldKind => ({
  empty,
  read: (typed) => (asText(typed).trim() === '' ? undefined : asText(typed)),
  write: asText,
});

/** One of a list; left out where nothing is chosen. */
export const choice = optionalText;

/** Said, or left open. */
export const yesNo = (yes = 'yes', no = 'no'): FieldKind => ({
  empty: '',
  read: (typed) => (typed === yes ? true : typed === no ? false : undefined),
  write: (value) => (value === undefined ? '' : value === true ? yes : no),
});

/** Ticked or not: both are said. */
export const flag = (empty = false): FieldKind => ({
  empty,
  read: (typed) => typed === true,
  write: (value) => value === true,
});

/** Ticked, or not said. */
export const tick = (): FieldKind => ({
  empty: false,
  read: (typed) => (typed === true ? true : undefined),
  write: (value) => value === true,
});

/** One value where it is ticked, another where it is not. */
export const either = (ticked: string, unticked: string): FieldKind => ({
  empty: false,
  read: (typed) => (typed === true ? ticked : unticked),
  write: (value) => value === ticked,
});

const isEmpty = (value: unknown): boolean =>
  value === undefined ||
  value === '' ||
  (typeof value === 'object' && value !== null && Object.keys(value).length === 0);

/** As it is in the body: a list, or what is chosen by chips. Left out where it is empty. */
export const asIs = (empty: unknown): FieldKind => ({
  empty,
  read: (typed) => (isEmpty(typed) ? undefined : typed),
  write: (value) => value ?? empty,
});

/** Names with commas between them. */
export const commaList = (): FieldKind => ({
  empty: '',
  read: (typed) => {
    const parts = asText(typed)
      .split(',')
      .map((part) => part.trim())
      .filter((part) => part !== '');
    return parts.length > 0 ? parts : undefined;
  },
  write: (value) => (Array.isArray(value) ? value.join(', ') : ''),
});

/** So fine is what was converted kept, and so fine it is shown. */
const KEPT_DIGITS = 8;
const SHOWN_DIGITS = 5;
const rounded = (value: number, digits: number): number => Number(value.toPrecision(digits));
/** As it can be typed: what is next to nothing would stand there with an exponent. */
const asTyped = (value: number): string => String(Math.abs(value) < 1e-6 ? 0 : value);

/**
 * A figure that the body holds in `held`, written in the unit that this person reads it in; some kinds are chosen by themselves (`of`).
 * What is no number becomes NaN: the schema refuses it by the name of its field.
 */
export function figure(held: Unit, of?: UnitChoiceOf): FieldKind {
  const unit = (units: UnitChoice): Unit => (of === undefined ? chosenUnit(held, units) : units[of]);
  return {
    empty: '',
    unit,
    read: (typed, units) => {
      const value = typedNumber(asText(typed));
      if (value === undefined || Number.isNaN(value) || unit(units) === held) return value;
      return rounded(fromBase(toBase(value, unit(units)), held), KEPT_DIGITS);
    },
    write: (value, units) => {
      if (typeof value !== 'number') return '';
      return asTyped(
        unit(units) === held ? value : rounded(fromBase(toBase(value, held), unit(units)), SHOWN_DIGITS),
      );
    },
  };
}

/** A number without a unit. */
export const number = (empty = ''): FieldKind => ({
  empty,
  read: (typed) => typedNumber(asText(typed)),
  write: (value) => (typeof value === 'number' ? String(value) : ''),
});

export const unitOf = ({ unit }: FieldKind, units: UnitChoice): string | undefined =>
  unit === undefined ? undefined : unitLabel(unit(units));
