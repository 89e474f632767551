import type { FieldPath, FieldValues } from 'react-hook-form';
import type { BodyOf, EntryBody, EntryKind, EntryOf } from '@white-ember/core/ledger';
import type { FieldKind, Fields } from '../form/kinds.ts';
import { useFieldForm, type FieldForm, type Problems } from '../form/useFieldForm.ts';
import { useAddEntry } from './useAddEntry.ts';
import { useCorrecting, type Correcting } from './useCorrecting.ts';
import type { OpenJob } from './useJob.ts';

/** Fields of a body by their path in it: a path that the ledger does not know fails the type check. */
export type FieldsOf<K extends EntryKind> = { readonly [P in FieldPath<BodyOf<K>>]?: FieldKind };

export interface EntryForm<K extends EntryKind> extends FieldForm {
  readonly correcting: Correcting<K> | undefined;
  /** Stores what is typed; true when it was. `also` is what a button beside the form says. */
  readonly save: (also?: Partial<BodyOf<K>>) => Promise<boolean>;
}

interface How<K extends EntryKind> {
  /** Where its draft lies; of a kind with several forms each has its own. */
  readonly draft?: string;
  /** What is known already. */
  readonly start?: Partial<BodyOf<K>>;
  /** It takes up an entry that is to be corrected. */
  readonly corrects?: boolean | ((entry: EntryOf<K>) => boolean);
  /** What no field of it shows. */
  readonly fixed?: Partial<BodyOf<K>>;
  /** What is left to be put in its place before it is stored; or what is wrong. */
  readonly finish?: (
    body: Record<string, unknown>,
    of: { readonly values: FieldValues; readonly original: BodyOf<K> | undefined },
  ) => Record<string, unknown> | { readonly wrong: Problems };
  readonly onSaved?: () => void;
}

const isWrong = (made: Record<string, unknown>): made is { readonly wrong: Problems } => 'wrong' in made;

/** The form of an entry: draft, units, correction, faults and saving of all of them. */
export function useEntryForm<K extends EntryKind>(
  open: OpenJob,
  kind: K,
  fields: FieldsOf<K>,
  { draft = kind, start, corrects = false, fixed, finish, onSaved }: How<K> = {},
): EntryForm<K> {
  const addEntry = useAddEntry(open.job.id);
  const correcting = useCorrecting(open, kind, (entry) =>
    typeof corrects === 'function' ? corrects(entry) : corrects,
  );
  const form = useFieldForm(
    fields as Fields,
    correcting ? `correction ${correcting.entry.id}` : `${draft} ${open.job.id}`,
    correcting ? correcting.entry.body : start,
  );
  const save = async (also?: Partial<BodyOf<K>>): Promise<boolean> => {
    const values = form.form.getValues();
    const typed = { kind, ...fixed, ...form.read(), ...also };
    const made = finish ? finish(typed, { values, original: correcting?.entry.body }) : typed;
    const wrong = isWrong(made)
      ? made.wrong
      : await addEntry(made as unknown as EntryBody, correcting?.entry.id, { told: true });
    form.setProblems(wrong ?? {});
    if (wrong) return false;
    form.done(values);
    correcting?.leave();
    onSaved?.();
    return true;
  };
  return { ...form, correcting, save };
}
