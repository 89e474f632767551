import { useState } from 'react';
import { PART_LABELS, type PartId } from '@white-ember/core/ledger';
import { Button } from '../../ui/Button.tsx';
import { useDraftForm } from '../../ui/useDraft.ts';
import { Field } from '../../ui/Field.tsx';
import { useAddEntry } from '../job/useAddEntry.ts';
import type { OpenJob } from '../job/useJob.ts';

const EMPTY = { part: '', what: '', changed: 'no' as 'yes' | 'no' | 'unclear', putBack: true, note: '' };

/** A known-good part held in the place of a suspected one: did it change anything, and is the old one back? */
export function SubstitutionForm({ open, part }: { open: OpenJob; part: PartId | undefined }) {
  const addEntry = useAddEntry(open.job.id);
  const { form, done } = useDraftForm(`substitution ${open.job.id}`, EMPTY);
  const [problem, setProblem] = useState<string>();
  const submit = form.handleSubmit(async ({ part: chosen, what, changed, putBack, note }) => {
    const wrong = await addEntry({
      kind: 'substitution',
      part: (chosen || part || 'dp-sensor') as PartId,
      what,
      changed,
      putBack,
      ...(note === '' ? {} : { note }),
    });
    setProblem(wrong?.['what'] ?? (wrong ? Object.values(wrong)[0] : undefined));
    if (!wrong) done();
  });
  return (
    <form onSubmit={(event) => void submit(event)} className="grid gap-3" noValidate>
      <Field label="In the place of">
        <select className="input-box" {...form.register('part')}>
          {open.vehicle.fitted.map((id) => (
            <option key={id} value={id}>
              {PART_LABELS[id]}
            </option>
          ))}
        </select>
      </Field>
      <Field label="What was put in" hint="Kind, part number, where from" error={problem}>
        <input className="input-box" {...form.register('what')} />
      </Field>
      <Field label="Did it change anything?">
        <select className="input-box" {...form.register('changed')}>
          <option value="no">no: the old one is not at fault</option>
          <option value="yes">yes: the old one is at fault</option>
          <option value="unclear">not clear</option>
        </select>
      </Field>
      <Field label="Values, old and known-good">
        <input className="input-box" {...form.register('note')} />
      </Field>
      <label className="flex items-center gap-3 min-h-11">
        <input
          type="checkbox"
          className="size-6 accent-[var(--ember-button)]"
          {...form.register('putBack')}
        />
        Old part refitted
      </label>
      <Button type="submit">Save the test</Button>
    </form>
  );
}
