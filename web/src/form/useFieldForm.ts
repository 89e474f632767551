import { useCallback, useEffect, useMemo, useState } from 'react';
import type { FieldValues, UseFormReturn } from 'react-hook-form';
import type { z } from 'zod';
import type { UnitChoice } from '@white-ember/core/words';
import { useAppSelector } from '../data/store.ts';
import { useDraftForm } from '../ui/useDraft.ts';
import { bodyFrom, retyped, typedFrom, TYPED_IN } from './bodies.ts';
import type { Fields } from './kinds.ts';

/** What is wrong, by the path of its field. */
export type Problems = Readonly<Record<string, string>>;

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
