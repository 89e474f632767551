import { useState } from 'react';
import { KNOWN_CAUSES, sentenceOf } from '@white-ember/core/diagnosis';
import { CAUSE_STATES } from '@white-ember/core/ledger';
import { useFamilyBookQuery } from '../../app/api.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { StateMark } from '../../ui/StateMark.tsx';
import { CorrectingNotice } from '../job/CorrectingNotice.tsx';
import { useAddEntry } from '../job/useAddEntry.ts';
import { useCorrecting } from '../job/useCorrecting.ts';
import { useEntryForm } from '../job/useEntryForm.ts';
import type { OpenJob } from '../job/useJob.ts';
import { useDiagnosis } from './useDiagnosis.ts';

type CauseState = (typeof CAUSE_STATES)[number];
const STATE_WORDS: Record<CauseState, string> = {
  confirmed: 'confirmed',
  suspected: 'suspected',
  'ruled-out': 'ruled out',
  'put-right': 'repaired',
};
const STATE_MARKS = {
  confirmed: 'failed',
  suspected: 'doubtful',
  'ruled-out': 'proven-clear',
  'put-right': 'replaced',
} as const;

const EMPTY = { cause: '', own: '', state: 'confirmed' as CauseState, why: '' };

/** What is behind it, as the technician says: from the likely ones or in own words, with the reason. */
export function CauseForm({ open, canEnter }: { open: OpenJob; canEnter: boolean }) {
  const addEntry = useAddEntry(open.job.id);
  const diagnosis = useDiagnosis(open);
  const correcting = useCorrecting(open, 'cause');
  const { form, done, supersedes } = useEntryForm({
    draft: `cause ${open.job.id}`,
    empty: EMPTY,
    correcting,
    valuesOf: ({ cause, state, why }) =>
      KNOWN_CAUSES.some(({ id }) => id === cause)
        ? { cause, own: '', state, why }
        : { cause: '', own: cause, state, why },
  });
  const [problems, setProblems] = useState<Record<string, string>>({});
  const order = diagnosis?.posterior.causes ?? KNOWN_CAUSES.map(({ id }) => ({ id, probability: 0 }));
  const submit = form.handleSubmit(async ({ cause, own, state, why }) => {
    const wrong = await addEntry({ kind: 'cause', cause: cause || own, state, why }, supersedes);
    setProblems(wrong ?? {});
    if (!wrong) done();
  });
  return (
    <section className="grid gap-3">
      <h3 className="text-xl border-b-2 border-ink">Cause</h3>
      <ul className="grid gap-2" aria-label="Causes">
        {open.derived.causes.map(({ cause, state, why, entry, forNow }) => (
          <li key={entry.id} className="flex gap-3 items-start">
            <StateMark state={STATE_MARKS[state]} size={20} />
            <span>
              <b>{sentenceOf(cause)}</b>: {forNow ? 'repaired for now' : STATE_WORDS[state]}. {why}
              {state === 'confirmed' || state === 'put-right' ? <OnOthers open={open} /> : null}
              {state === 'confirmed' && canEnter ? (
                <Button
                  type="button"
                  weight="quiet"
                  onClick={() => void addEntry({ kind: 'cause', cause, state: 'put-right', why })}
                >
                  Repaired: look for what it hid
                </Button>
              ) : null}
            </span>
          </li>
        ))}
      </ul>
      {canEnter ? (
        <form onSubmit={(event) => void submit(event)} className="grid sm:grid-cols-2 gap-3" noValidate>
          <div className="sm:col-span-2">
            <CorrectingNotice correcting={correcting} />
          </div>
          <Field label="It is" error={problems['cause']}>
            <select className="input-box" {...form.register('cause')}>
              <option value="">something else, in own words</option>
              {order.map(({ id, probability }) => (
                <option key={id} value={id}>
                  {sentenceOf(id)}
                  {probability >= 0.05 ? ` (${Math.round(100 * probability)} %)` : ''}
                </option>
              ))}
            </select>
          </Field>
          <Field label="That is">
            <select className="input-box" {...form.register('state')}>
              {CAUSE_STATES.map((id) => (
                <option key={id} value={id}>
                  {STATE_WORDS[id]}
                </option>
              ))}
            </select>
          </Field>
          {form.watch('cause') === '' ? (
            <Field label="In own words" className="sm:col-span-2">
              <input className="input-box" {...form.register('own')} />
            </Field>
          ) : null}
          <Field label="How you know" className="sm:col-span-2" error={problems['why']}>
            <textarea className="input-box" rows={2} {...form.register('why')} />
          </Field>
          <Button type="submit" className="sm:col-span-2">
            Save the cause
          </Button>
        </form>
      ) : null}
    </section>
  );
}

/** A confirmed cause is worth a look on the customer's others of the family. */
function OnOthers({ open }: { open: OpenJob }) {
  const { data } = useFamilyBookQuery(open.vehicle.id);
  if (!data || data.others.length === 0) return null;
  return (
    <span className="block text-sm text-ink2">
      Suggested as a quick check on {data.others.map(({ plate }) => plate).join(', ')}, of the same customer
      and family.
    </span>
  );
}
