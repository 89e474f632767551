import type { PartId } from '@white-ember/core/ledger';
import { useWords } from '../../data/words.ts';
import { ChoiceField, SaveButton, TextField, TickField } from '../../form/FieldForm.tsx';
import { choice, flag, optionalText, text } from '../../form/kinds.ts';
import { EntryForm } from '../../job/EntryForm.tsx';
import { partOptions } from '../../job/partOptions.ts';
import { useEntryForm, type FieldsOf } from '../../job/useEntryForm.ts';
import type { OpenJob } from '../../job/useJob.ts';

const FIELDS: FieldsOf<'substitution'> = {
  part: choice(),
  what: text(),
  changed: choice('no'),
  putBack: flag(true),
  note: optionalText(),
};

/** A known-good part held in the place of a suspected one: did it change anything, and is the old one back? */
export function SubstitutionForm({ open, part }: { open: OpenJob; part: PartId | undefined }) {
  const words = useWords();
  const form = useEntryForm(open, 'substitution', FIELDS, {
    start: { part: part ?? 'dp-sensor' },
  });
  return (
    <EntryForm of={form} className="grid gap-3">
      <ChoiceField name="part" label="In the place of" options={partOptions(open, words)} />
      <TextField name="what" label="What was put in" hint="Kind, part number, where from" />
      <ChoiceField
        name="changed"
        label="Did it change anything?"
        options={[
          ['no', 'no: the old one is not at fault'],
          ['yes', 'yes: the old one is at fault'],
          ['unclear', 'not clear'],
        ]}
      />
      <TextField name="note" label="Values, old and known-good" />
      <TickField name="putBack" label="Old part refitted" />
      <SaveButton>Save the test</SaveButton>
    </EntryForm>
  );
}
