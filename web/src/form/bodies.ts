import { get, set, type FieldValues } from 'react-hook-form';
import type { UnitChoice } from '@white-ember/core/words';
import type { Fields } from './kinds.ts';

/** In which units a draft was typed; it may be taken up in others. */
export const TYPED_IN = 'typedIn';

/** What stands in the fields for a body, or for none. */
export function typedFrom(fields: Fields, body: unknown, units: UnitChoice): FieldValues {
  const values: FieldValues = { [TYPED_IN]: units };
  for (const [path, kind] of Object.entries(fields)) {
    const value: unknown = get(body, path);
    set(values, path, value === undefined || value === null ? kind.empty : kind.write(value, units));
  }
  return values;
}

/** What was typed, as a body. What was not touched stays exactly what it was, however it is shown. */
export function bodyFrom(
  fields: Fields,
  values: FieldValues,
  units: UnitChoice,
  original?: unknown,
): Record<string, unknown> {
  const body: Record<string, unknown> = {};
  for (const [path, kind] of Object.entries(fields)) {
    const typed: unknown = get(values, path) ?? kind.empty;
    const was: unknown = get(original, path);
    const value = was !== undefined && kind.write(was, units) === typed ? was : kind.read(typed, units);
    if (value !== undefined) set(body, path, value);
  }
  return body;
}

/** The same figures in other units: who switches while typing goes on with what is there. */
export function retyped(fields: Fields, values: FieldValues, from: UnitChoice, to: UnitChoice): FieldValues {
  const next: FieldValues = { [TYPED_IN]: to };
  for (const [path, kind] of Object.entries(fields)) {
    const typed: unknown = get(values, path);
    const value = kind.unit && kind.unit(from) !== kind.unit(to) ? kind.read(typed, from) : undefined;
    set(next, path, typeof value === 'number' && !Number.isNaN(value) ? kind.write(value, to) : typed);
  }
  return next;
}
