import type { FieldValues, UseFormReturn } from 'react-hook-form';
import type { EntryKind, EntryOf } from '@white-ember/core/ledger';
import { useDraftForm } from '../ui/useDraft.ts';
import type { Correcting } from './useCorrecting.ts';

/** A form that is a table or a text of its own, as codes, readings and checks are: empty or with its draft, or filled from the entry that it corrects. */
export function useTypedForm<T extends FieldValues, K extends EntryKind>({
  draft,
  empty,
  correcting,
  valuesOf,
}: {
  draft: string;
  empty: T;
  correcting: Correcting<K> | undefined;
  valuesOf: (body: EntryOf<K>['body']) => T;
}): { form: UseFormReturn<T>; done: () => void; supersedes: string | undefined } {
  const { form, done } = useDraftForm(
    correcting ? `correction ${correcting.entry.id}` : draft,
    correcting ? valuesOf(correcting.entry.body) : empty,
    empty,
  );
  return {
    form,
    done: () => {
      done();
      correcting?.leave();
    },
    supersedes: correcting?.entry.id,
  };
}
