import * as wording from '@white-ember/core/words/screens/checks';
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
      <ChoiceField name="part" label={wording.inThePlaceOf} options={partOptions(open, words)} />
      <TextField name="what" label={wording.whatWasPutIn} hint={wording.kindPartNumberWhereFrom} />
      <ChoiceField
        name="changed"
        label={wording.didItChangeAnything}
        options={[
          ['no', wording.noTheOldOneIsNotAt],
          ['yes', wording.yesTheOldOneIsAtFault],
          ['unclear', wording.notClear],
        ]}
      />
      <TextField name="note" label={wording.valuesOldAndKnownGood} />
      <TickField name="putBack" label={wording.oldPartRefitted} />
      <SaveButton>{wording.saveTheTest}</SaveButton>
    </EntryForm>
  );
}
