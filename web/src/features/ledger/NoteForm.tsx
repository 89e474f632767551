import * as wording from '@white-ember/core/words/screens/ledger';
import { SaveButton, TextField } from '../../form/FieldForm.tsx';
import { text } from '../../form/kinds.ts';
import { EntryForm } from '../../job/EntryForm.tsx';
import { useEntryForm, type FieldsOf } from '../../job/useEntryForm.ts';
import type { OpenJob } from '../../job/useJob.ts';

const FIELDS: FieldsOf<'note'> = { text: text() };

/** A remark for the record, at any stage and also after the sign-off. */
export function NoteForm({ open }: { open: OpenJob }) {
  const form = useEntryForm(open, 'note', FIELDS);
  return (
    <EntryForm of={form} className="grid gap-2">
      <TextField name="text" label={wording.noteForTheRecord} rows={2} />
      <SaveButton>{wording.addNote}</SaveButton>
    </EntryForm>
  );
}
