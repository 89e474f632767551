import { useState } from 'react';
import {
  entriesOfKind,
  PART_STATES,
  type PartId,
  type PartState,
  PART_LABELS,
  PART_STATE_WORDS,
} from '@white-ember/core/ledger';
import type { OpenJob } from '../job/useJob.ts';
import { CorrectingNotice } from '../job/CorrectingNotice.tsx';
import { useAddEntry } from '../job/useAddEntry.ts';
import { useCorrecting } from '../job/useCorrecting.ts';
import { useEntryForm } from '../job/useEntryForm.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { StateMark } from '../../ui/StateMark.tsx';

const EMPTY = { why: '' };

/** What was found at each part; a part is chosen here or by tapping it on the line. */
export function PartForm({ open, part }: { open: OpenJob; part: PartId | undefined }) {
  const { vehicle, derived, job } = open;
  const correcting = useCorrecting(open, 'part-state');
  const [chosen, setChosen] = useState<PartId>(correcting?.entry.body.part ?? part ?? 'dp-sensor');
  const [state, setState] = useState<PartState>(correcting?.entry.body.state ?? 'sound');
  const [shownPart, setShownPart] = useState(part);
  if (part && part !== shownPart) {
    setShownPart(part);
    setChosen(part);
  }
  const addEntry = useAddEntry(job.id);
  const { form, done, supersedes } = useEntryForm({
    draft: `part ${job.id}`,
    empty: EMPTY,
    correcting,
    valuesOf: ({ why }) => ({ why }),
  });
  const [problem, setProblem] = useState<string>();
  const found = entriesOfKind(derived.entries, 'part-state').filter((entry) => entry.body.part === chosen);
  const submit = form.handleSubmit(async ({ why }) => {
    const wrong = await addEntry({ kind: 'part-state', part: chosen, state, why }, supersedes);
    setProblem(wrong?.['why']);
    if (!wrong) done();
  });
  return (
    <div className="grid gap-4">
      <form onSubmit={(event) => void submit(event)} className="grid gap-4" noValidate>
        <CorrectingNotice correcting={correcting} />
        <Field label="Part">
          <select
            className="input-box"
            value={chosen}
            onChange={(event) => setChosen(event.target.value as PartId)}
          >
            {vehicle.fitted.map((id) => (
              <option key={id} value={id}>
                {PART_LABELS[id]}
              </option>
            ))}
          </select>
        </Field>
        <fieldset>
          <legend className="mb-1">Found</legend>
          <div className="grid grid-cols-2 sm:grid-cols-3 gap-2">
            {PART_STATES.filter((s) => s !== 'not-looked-at').map((s) => (
              <label
                key={s}
                className={`flex items-center gap-2 min-h-11 px-3 border-2 rounded-sm ${state === s ? 'border-ink bg-card font-bold' : 'border-rule'}`}
              >
                <input
                  type="radio"
                  name="state"
                  className="sr-only"
                  checked={state === s}
                  onChange={() => setState(s)}
                />
                <StateMark state={s} />
                {PART_STATE_WORDS[s]}
              </label>
            ))}
          </div>
        </fieldset>
        <Field label="How you know" hint="A figure with its unit is best" error={problem}>
          <textarea className="input-box" rows={2} {...form.register('why')} />
        </Field>
        <Button type="submit" weight="main">
          Enter for {PART_LABELS[chosen]}
        </Button>
      </form>
      {found.length > 0 ? (
        <ul className="border-t-2 border-ink">
          {found.map((entry) => (
            <li key={entry.id} className="py-2 border-b-2 border-rule flex gap-2">
              <StateMark state={entry.body.state} />
              <span>
                {entry.body.why}
                <span className="block text-sm text-ink2">
                  {entry.authorName},{' '}
                  {new Date(entry.deviceTime).toLocaleTimeString('en-GB', {
                    hour: '2-digit',
                    minute: '2-digit',
                  })}
                </span>
              </span>
            </li>
          ))}
        </ul>
      ) : null}
    </div>
  );
}
