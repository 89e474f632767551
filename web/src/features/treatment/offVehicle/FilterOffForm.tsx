import * as wording from '@white-ember/core/words/screens/treatment';
import * as common from '@white-ember/core/words/screens/common';
import { entriesOfKind, FACES, toldBy } from '@white-ember/core/ledger';
import { useWords } from '../../../data/words.ts';
import { ChoiceField, FigureField, SaveButton, TextField } from '../../../form/FieldForm.tsx';
import { choice, figure, optionalText, yesNo } from '../../../form/kinds.ts';
import { Say } from '../../../ui/Say.tsx';
import { EntryForm } from '../../../job/EntryForm.tsx';
import { useEntryForm, type FieldsOf } from '../../../job/useEntryForm.ts';
import type { OpenJob } from '../../../job/useJob.ts';

const FIELDS: FieldsOf<'filter-off'> = {
  massKg: figure('kg'),
  dry: yesNo('dry', 'wet'),
  newMassKg: figure('kg'),
  inlet: choice(),
  outlet: choice(),
  note: optionalText(),
};

/** The filter on the scales and its faces, before the clean or after it. */
export function FilterOffForm({ open, when }: { open: OpenJob; when: 'before' | 'after' }) {
  const words = useWords();
  const form = useEntryForm(open, 'filter-off', FIELDS, { draft: `filter off ${when}`, fixed: { when } });
  const said = entriesOfKind(open.derived.entries, 'filter-off').filter(({ body }) => body.when === when);
  const faces = [['', '–'] as const, ...FACES.map((look) => [look, words.name('faces', look)] as const)];
  return (
    <div className="grid gap-2">
      {said.map((entry) => (
        <p key={entry.id} className="border-b-2 border-rule py-1">
          <Say it={toldBy(entry)} />
        </p>
      ))}
      <EntryForm
        of={form}
        label={wording.filterTheClean(when)}
        className="grid grid-cols-2 sm:grid-cols-4 gap-3 items-start"
      >
        <FigureField name="massKg" label={wording.mass} />
        <ChoiceField
          name="dry"
          label={common.itIs}
          options={[
            ['', '–'],
            ['dry', 'dry'],
            ['wet', wording.notDry],
          ]}
        />
        <ChoiceField name="inlet" label={wording.inletFace} options={faces} />
        <ChoiceField name="outlet" label={wording.outletFace} options={faces} />
        {when === 'after' ? (
          <FigureField name="newMassKg" label={wording.aNewOneWeighs} hint={wording.labelOrMakersData} />
        ) : null}
        <TextField
          name="note"
          label={common.note}
          className={when === 'after' ? 'sm:col-span-2' : 'col-span-2 sm:col-span-3'}
        />
        <SaveButton className="self-end">{wording.enterIt}</SaveButton>
      </EntryForm>
    </div>
  );
}
