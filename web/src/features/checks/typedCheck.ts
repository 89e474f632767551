import * as common from '@white-ember/core/words/screens/common';
import * as wording from '@white-ember/core/words/screens/checks';
import type { CheckCard, CheckValue, CheckValues, Field, RowsField } from '@white-ember/core/checks';
import { fromBase, toBase, unitLabel, type Unit } from '@white-ember/core/quantities';
import { chosenUnit, type UnitChoice } from '@white-ember/core/words';
import { typedNumber } from '../../ui/format.ts';

/** A check as it is typed: text everywhere, so that a half-typed figure is kept as it is. */
export interface TypedCheck {
  readonly single: Record<string, string>;
  readonly rows: Record<string, string[][]>;
  readonly sure: boolean;
  readonly note: string;
}

export const shownUnit = (unit: Unit | undefined, shown: UnitChoice): Unit | undefined =>
  unit === undefined ? undefined : chosenUnit(unit, shown);

export const unitText = (unit: Unit | undefined, suffix: string | undefined, shown: UnitChoice): string => {
  const its = shownUnit(unit, shown);
  return its === undefined ? (suffix ?? '') : unitLabel(its);
};

/** A figure in base units as it is written into a box. */
export const asTyped = (value: number, unit: Unit | undefined, shown: UnitChoice): string => {
  const its = shownUnit(unit, shown);
  return String(Number((its === undefined ? value : fromBase(value, its)).toPrecision(4)));
};

const startRows = ({ columns, start }: RowsField, shown: UnitChoice): string[][] =>
  (start ?? []).map((first) => columns.map(({ unit }, c) => (c === 0 ? asTyped(first, unit, shown) : '')));

export const emptyCheck = ({ fields }: CheckCard, shown: UnitChoice): TypedCheck => ({
  single: Object.fromEntries(fields.filter(({ kind }) => kind !== 'rows').map(({ id }) => [id, ''])),
  rows: Object.fromEntries(
    fields.flatMap((field) => (field.kind === 'rows' ? [[field.id, startRows(field, shown)]] : [])),
  ),
  sure: false,
  note: '',
});

const fromTyped = (
  text: string | undefined,
  unit: Unit | undefined,
  shown: UnitChoice,
): number | undefined => {
  const value = typedNumber(text);
  const its = shownUnit(unit, shown);
  return value === undefined || its === undefined ? value : toBase(value, its);
};

interface ReadCheck {
  readonly values: CheckValues;
  /** What is no number, by field. */
  readonly problems: Readonly<Record<string, string>>;
}

function valueOf(
  field: Field,
  typed: TypedCheck,
  shown: UnitChoice,
): { value?: CheckValue; problem?: string } {
  if (field.kind === 'choice') {
    const choice = typed.single[field.id];
    return choice ? { value: choice } : {};
  }
  if (field.kind === 'number') {
    const value = fromTyped(typed.single[field.id], field.unit, shown);
    if (value === undefined) return {};
    return Number.isNaN(value) ? { problem: common.enterANumber } : { value };
  }
  const cells = (typed.rows[field.id] ?? []).map((row) =>
    field.columns.map(({ unit }, c) => fromTyped(row[c], unit, shown) ?? null),
  );
  if (cells.some((row) => row.some((cell) => Number.isNaN(cell)))) return { problem: wording.enterNumbers };
  // A row in which nothing but its first cell stands was not read.
  const read = cells.filter((row) => row.some((cell, c) => cell !== null && (c > 0 || row.length === 1)));
  return read.length > 0 ? { value: read } : {};
}

/** What was typed, in base units; what was left empty is not there. */
export function readTyped(card: CheckCard, typed: TypedCheck, shown: UnitChoice): ReadCheck {
  const values: Record<string, CheckValue> = {};
  const problems: Record<string, string> = {};
  for (const field of card.fields) {
    const { value, problem } = valueOf(field, typed, shown);
    if (problem !== undefined) problems[field.id] = problem;
    if (value !== undefined) values[field.id] = value;
  }
  return { values, problems };
}

/** Stored or measured values as they are typed, to be corrected or looked over. */
export function typedFrom(
  card: CheckCard,
  {
    values,
    sure = false,
    note = '',
  }: { values: CheckValues; sure?: boolean | undefined; note?: string | undefined },
  shown: UnitChoice,
): TypedCheck {
  const typed = emptyCheck(card, shown);
  for (const field of card.fields) {
    const value = values[field.id];
    if (value === undefined) continue;
    if (field.kind === 'rows' && Array.isArray(value)) {
      typed.rows[field.id] = (value as readonly (readonly (number | null)[])[]).map((row) =>
        field.columns.map(({ unit }, c) => {
          const cell = row[c];
          return cell === null || cell === undefined ? '' : asTyped(cell, unit, shown);
        }),
      );
    } else if (field.kind === 'number' && typeof value === 'number')
      typed.single[field.id] = asTyped(value, field.unit, shown);
    else if (field.kind === 'choice' && typeof value === 'string') typed.single[field.id] = value;
  }
  return { ...typed, sure, note };
}
