import * as common from '@white-ember/core/words/screens/common';
import * as wording from '@white-ember/core/words/screens/checks';
import { useEffect } from 'react';
import { entriesOfKind, PART_STATES, type PartId } from '@white-ember/core/ledger';
import { useWords } from '../../data/words.ts';
import { ChoiceField, SaveButton, TextField } from '../../form/FieldForm.tsx';
import { choice, text } from '../../form/kinds.ts';
import { StateMark } from '../../ui/StateMark.tsx';
import { EntryForm } from '../../job/EntryForm.tsx';
import { partOptions } from '../../job/partOptions.ts';
import { useEntryForm, type FieldsOf, type EntryForm as OfEntry } from '../../job/useEntryForm.ts';
import type { OpenJob } from '../../job/useJob.ts';

const FIELDS: FieldsOf<'part-state'> = { part: choice('dp-sensor'), state: choice('sound'), why: text() };

/** What was found at each part; a part is chosen here or by tapping it on the line. */
export function PartForm({ open, part }: { open: OpenJob; part: PartId | undefined }) {
  const words = useWords();
  const form = useEntryForm(open, 'part-state', FIELDS, {
    corrects: true,
    draft: 'part',
    start: { part: part ?? 'dp-sensor' },
  });
  const { setValue } = form.form;
  useEffect(() => {
    if (part) setValue('part', part);
  }, [part, setValue]);
  const chosen = form.typed('part') as PartId;
  const state = form.typed('state');
  const found = entriesOfKind(open.derived.entries, 'part-state').filter(
    (entry) => entry.body.part === chosen,
  );
  return (
    <div className="grid gap-4">
      <EntryForm of={form} className="grid gap-4">
        <ChoiceField name="part" label={common.part} options={partOptions(open, words)} />
        <FoundChoice state={state} form={form} />
        <TextField name="why" label={common.howYouKnow} hint={wording.aFigureWithItsUnitIsBest} rows={2} />
        <SaveButton main>{wording.enterFor(words.name('parts', chosen))}</SaveButton>
      </EntryForm>
      {found.length > 0 ? (
        <ul className="border-t-2 border-ink">
          {found.map((entry) => (
            <li key={entry.id} className="py-2 border-b-2 border-rule flex gap-2">
              <StateMark state={entry.body.state} />
              <span>
                {entry.body.why}
                <span className="block text-sm text-ink2">
                  {entry.authorName}, {words.clock(entry.deviceTime)}
                </span>
              </span>
            </li>
          ))}
        </ul>
      ) : null}
    </div>
  );
}

/** In which state the part was found. */
function FoundChoice({ state, form }: { state: unknown; form: OfEntry<'part-state'> }) {
  const words = useWords();
  return (
    <fieldset>
      <legend className="mb-1">{wording.found}</legend>
      <div className="grid grid-cols-2 sm:grid-cols-3 gap-2">
        {PART_STATES.filter((s) => s !== 'not-looked-at').map((s) => (
          <label
            key={s}
            className={`flex items-center gap-2 min-h-11 px-3 border-2 rounded-sm ${state === s ? 'border-ink bg-card font-bold' : 'border-rule'}`}
          >
            <input type="radio" value={s} className="sr-only" {...form.form.register('state')} />
            <StateMark state={s} />
            {words.name('partStates', s)}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
