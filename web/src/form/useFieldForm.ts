import { useCallback, useEffect, useMemo, useState } from 'react';
import { get, set, type FieldValues, type UseFormReturn } from 'react-hook-form';
import type { z } from 'zod';
import type { UnitChoice } from '@white-ember/core/words';
import { useAppSelector } from '../data/store.ts';
import { useDraftForm } from '../ui/useDraft.ts';
import type { Fields } from './kinds.ts';

/** What is wrong, by the path of its field. */
export type Problems = Readonly<Record<string, string>>;

/** In which units a draft was typed; it may be taken up in others. */
const TYPED_IN = 'typedIn';

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

export interface FieldForm {
  readonly fields: Fields;
  readonly form: UseFormReturn;
  readonly units: UnitChoice;
  readonly problems: Problems;
  readonly setProblems: (problems: Problems) => void;
  /** Paths of the fields that are on the screen: a fault of another one is said at the top. */
  readonly shown: Set<string>;
  readonly read: () => Record<string, unknown>;
  readonly done: (stored?: FieldValues) => void;
  /** What stands typed in a field. */
  readonly typed: (path: string) => unknown;
}

/** A form by its fields: draft, units and faults of all of them. */
export function useFieldForm(fields: Fields, draft: string, start?: unknown): FieldForm {
  const units = useAppSelector((state) => state.preferences.units);
  const empty = useMemo(() => typedFrom(fields, undefined, units), [fields, units]);
  const [first] = useState(() => (start === undefined ? empty : typedFrom(fields, start, units)));
  const { form, done } = useDraftForm<FieldValues>(draft, first, empty);
  const [problems, setProblems] = useState<Problems>({});
  const [shown] = useState(() => new Set<string>());
  useEffect(() => {
    const values = form.getValues();
    const typedIn = (values[TYPED_IN] as UnitChoice | undefined) ?? units;
    if (Object.keys(units).some((of) => units[of as keyof UnitChoice] !== typedIn[of as keyof UnitChoice]))
      form.reset(retyped(fields, values, typedIn, units));
  }, [form, fields, units]);
  const read = useCallback(
    () => bodyFrom(fields, form.getValues(), units, start),
    [fields, form, units, start],
  );
  return {
    fields,
    form,
    units,
    problems,
    setProblems,
    shown,
    read,
    done,
    typed: (path) => form.watch(path) as unknown,
  };
}

/** What is typed, as the schema of a request takes it; nothing where it does not, and then its fields say why. */
export function checked<T>(
  form: FieldForm,
  schema: z.ZodType<T>,
  also: Record<string, unknown> = {},
): T | undefined {
  const parsed = schema.safeParse({ ...form.read(), ...also });
  form.setProblems(
    parsed.success
      ? {}
      : Object.fromEntries(parsed.error.issues.map(({ path, message }) => [path.join('.'), message])),
  );
  return parsed.success ? parsed.data : undefined;
}
