import * as wording from '@white-ember/core/words/screens/diagnosis';
import * as common from '@white-ember/core/words/screens/common';
import { useEffect } from 'react';
import { useSearchParams } from 'react-router';
import { KNOWN_CAUSES, sentenceOf } from '@white-ember/core/diagnosis';
import { CAUSE_STATES } from '@white-ember/core/ledger';
import { useFamilyBookQuery } from '../../data/api.ts';
import { useWords } from '../../data/words.ts';
import { ChoiceField, SaveButton, TextField } from '../../form/FieldForm.tsx';
import { choice, text } from '../../form/kinds.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { StateMark } from '../../ui/StateMark.tsx';
import { EntryForm } from '../../job/EntryForm.tsx';
import { useAddEntry, type AddEntry } from '../../job/useAddEntry.ts';
import { useEntryForm, type FieldsOf, type EntryForm as OfEntry } from '../../job/useEntryForm.ts';
import type { OpenJob } from '../../job/useJob.ts';
import { useDiagnosis } from './useDiagnosis.ts';

type CauseState = (typeof CAUSE_STATES)[number];
const STATE_WORDS: Record<CauseState, string> = {
  confirmed: 'confirmed',
  suspected: 'suspected',
  'ruled-out': wording.ruledOut,
  'put-right': 'repaired',
};
const STATE_MARKS = {
  confirmed: 'failed',
  suspected: 'doubtful',
  'ruled-out': 'proven-clear',
  'put-right': 'replaced',
} as const;

const FIELDS: FieldsOf<'cause'> = { cause: text(), state: choice('confirmed'), why: text() };
const IN_OWN_WORDS = '';
/** From this chance on it stands beside the cause. */
const LIKELY_ENOUGH = 0.05;

/** What is behind it, as the technician says: from the likely ones or in own words, with the reason. */
export function CauseForm({ open, canEnter }: { open: OpenJob; canEnter: boolean }) {
  const addEntry = useAddEntry(open.job.id);
  const diagnosis = useDiagnosis(open);
  const form = useEntryForm(open, 'cause', FIELDS, { corrects: true });
  // Found by its name from anywhere.
  const found = useSearchParams()[0].get('cause');
  const { setValue } = form.form;
  useEffect(() => {
    if (found !== null) setValue('cause', found);
  }, [found, setValue]);
  const order = diagnosis?.posterior.causes ?? KNOWN_CAUSES.map(({ id }) => ({ id, probability: 0 }));
  const cause = String(form.typed('cause'));
  const known = KNOWN_CAUSES.some(({ id }) => id === cause);
  return (
    <section className="grid gap-3">
      <h3 className="text-xl border-b-2 border-ink">{wording.cause}</h3>
      <KnownCauses open={open} canEnter={canEnter} addEntry={addEntry} />
      {canEnter ? <CauseFields form={form} known={known} cause={cause} order={order} /> : null}
    </section>
  );
}

/** Causes that were confirmed. */
function KnownCauses({ open, canEnter, addEntry }: { open: OpenJob; canEnter: boolean; addEntry: AddEntry }) {
  const words = useWords();
  return (
    <ul className="grid gap-2" aria-label={wording.causes}>
      {open.derived.causes.map(({ cause, state, why, entry, forNow }) => (
        <li key={entry.id} className="flex gap-3 items-start">
          <StateMark state={STATE_MARKS[state]} size={20} />
          <span>
            <b>{words.say(sentenceOf(cause))}</b>: {forNow ? wording.repairedForNow : STATE_WORDS[state]}.{' '}
            {why}
            {state === 'confirmed' || state === 'put-right' ? <OnOthers open={open} /> : null}
            {state === 'confirmed' && canEnter ? (
              <Button
                type="button"
                weight="quiet"
                onClick={() => void addEntry({ kind: 'cause', cause, state: 'put-right', why })}
              >
                {wording.repairedLookForWhatItHid}
              </Button>
            ) : null}
          </span>
        </li>
      ))}
    </ul>
  );
}

/** Which cause, and how it was found. */
function CauseFields({
  form,
  known,
  cause,
  order,
}: {
  form: OfEntry<'cause'>;
  known: boolean;
  cause: string;
  order: readonly { readonly id: string; readonly probability: number }[];
}) {
  const words = useWords();
  return (
    <EntryForm of={form} className="grid sm:grid-cols-2 gap-3">
      <Field label={common.itIs}>
        <select
          className="input-box"
          value={known ? cause : IN_OWN_WORDS}
          onChange={(event) => form.form.setValue('cause', event.target.value)}
        >
          <option value={IN_OWN_WORDS}>{wording.somethingElseInOwnWords}</option>
          {order.map(({ id, probability }) => (
            <option key={id} value={id}>
              {words.say(sentenceOf(id))}
              {probability >= LIKELY_ENOUGH ? ` (${words.percent(100 * probability, 0)})` : ''}
            </option>
          ))}
        </select>
      </Field>
      <ChoiceField
        name="state"
        label={wording.thatIs}
        options={CAUSE_STATES.map((id) => [id, STATE_WORDS[id]])}
      />
      {known ? null : <TextField name="cause" label={wording.inOwnWords} className="sm:col-span-2" />}
      <TextField name="why" label={common.howYouKnow} className="sm:col-span-2" rows={2} />
      <SaveButton className="sm:col-span-2">{wording.saveTheCause}</SaveButton>
    </EntryForm>
  );
}

/** A confirmed cause is worth a look on the customer's others of the family. */
function OnOthers({ open }: { open: OpenJob }) {
  const { data } = useFamilyBookQuery(open.vehicle.id);
  if (!data || data.others.length === 0) return null;
  return (
    <span className="block text-sm text-ink2">
      {wording.suggestedAsAQuickCheckOnOf(data.others.map(({ plate }) => plate).join(', '))}
    </span>
  );
}
