import * as wording from '@white-ember/core/words/screens/treatment';
import { useWords } from '../../data/words.ts';
import { useState } from 'react';
import { useFieldArray } from 'react-hook-form';
import { choicesOf, type MadeChoice } from '@white-ember/core/job';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { typedNumber } from '../../ui/format.ts';
import { Notice } from '../../ui/Notice.tsx';
import { SaveButton, TextField } from '../../form/FieldForm.tsx';
import { asIs, text } from '../../form/kinds.ts';
import { useSessionQuery } from '../../data/api.ts';
import { EntryForm } from '../../job/EntryForm.tsx';
import { useEntryForm, type FieldsOf } from '../../job/useEntryForm.ts';
import { useAddEntry } from '../../job/useAddEntry.ts';
import type { OpenJob } from '../../job/useJob.ts';

const row = (what: string) => ({ what, price: '', remark: '' });
const OPTIONS = [row(wording.cleanInPlace), row(wording.sendOutToBeCleaned), row(wording.newPart)];
const MOST_OPTIONS = 6;
const FIELDS: FieldsOf<'choice-offered'> = { question: text(), currency: text(), options: asIs(OPTIONS) };

const HOW_WORDS = {
  'in-person': wording.inPerson,
  phone: wording.byPhone,
  message: wording.byMessage,
  signature: wording.bySignature,
} as const;
type How = keyof typeof HOW_WORDS;

/** What the customer chooses from, with prices; until the choice is recorded the job waits for it. */
export function ChoiceForm({
  open,
  canEnter,
  elsewhere,
}: {
  open: OpenJob;
  canEnter: boolean;
  /** An offer that stands first on the same page. */
  elsewhere?: string | undefined;
}) {
  const choices = choicesOf(open.derived.entries).filter(({ offer }) => offer.id !== elsewhere);
  return (
    <section className="grid gap-3">
      <h3 className="text-xl border-b-2 border-ink">{wording.choiceOfTheCustomer}</h3>
      {choices.map((choice) => (
        <Offer key={choice.offer.id} choice={choice} open={open} canEnter={canEnter} />
      ))}
      {canEnter ? <OfferForm open={open} /> : null}
    </section>
  );
}

/** An offer: what was chosen from it, or what there is to choose from. */
export function Offer({
  choice: { offer, made },
  open,
  canEnter,
}: {
  choice: MadeChoice;
  open: OpenJob;
  canEnter: boolean;
}) {
  const words = useWords();
  const addEntry = useAddEntry(open.job.id);
  const [option, setOption] = useState(offer.body.options[0]?.id ?? '');
  const [by, setBy] = useState(open.vehicle.customer?.name ?? '');
  const [how, setHow] = useState<How>('phone');
  const [problem, setProblem] = useState<string>();
  const { question, options, currency } = offer.body;
  const chosen = made ? options.find(({ id }) => id === made.body.option) : undefined;
  const record = async (): Promise<void> => {
    const wrong = await addEntry({ kind: 'choice-made', offer: offer.id, option, by, how });
    setProblem(wrong ? Object.values(wrong)[0] : undefined);
  };
  if (made)
    return (
      <Notice title={`${question} ${chosen?.what ?? made.body.option}`}>
        {wording.approvedBy(
          chosen ? `${words.money(chosen.price, currency)}, ` : '',
          made.body.by,
          HOW_WORDS[made.body.how],
          words.moment(made.deviceTime),
        )}
      </Notice>
    );
  return (
    <fieldset className="border-l-8 border-ember bg-card p-3 grid gap-2">
      <legend className="sr-only">{question}</legend>
      <p className="font-head font-semibold">{wording.waitsForTheCustomer(question)}</p>
      {options.map(({ id, what, price, remark }) => (
        <label key={id} className="flex gap-3 min-h-11 items-center">
          <input
            type="radio"
            name={offer.id}
            className="size-5 accent-[var(--ember-button)]"
            checked={option === id}
            disabled={!canEnter}
            onChange={() => setOption(id)}
          />
          <span className="grow">
            {what}
            {remark ? <span className="text-sm text-ink2"> · {remark}</span> : null}
          </span>
          <span className="figure-text">{words.money(price, currency)}</span>
        </label>
      ))}
      {canEnter ? (
        <div className="grid sm:grid-cols-[1fr_1fr_auto] gap-3 items-end">
          <Field label={wording.approvedByTitle} error={problem}>
            <input className="input-box" value={by} onChange={(event) => setBy(event.target.value)} />
          </Field>
          <Field label={wording.how}>
            <select className="input-box" value={how} onChange={(event) => setHow(event.target.value as How)}>
              {Object.entries(HOW_WORDS).map(([id, label]) => (
                <option key={id} value={id}>
                  {label}
                </option>
              ))}
            </select>
          </Field>
          <Button onClick={() => void record()}>{wording.recordTheApproval}</Button>
        </div>
      ) : null}
    </fieldset>
  );
}

type Row = ReturnType<typeof row>;

function OfferForm({ open }: { open: OpenJob }) {
  const currency = useSessionQuery().data?.workshop?.currency ?? '';
  const form = useEntryForm(open, 'choice-offered', FIELDS, {
    draft: 'offer',
    start: { currency },
    finish: (typed) => ({
      ...typed,
      options: ((typed['options'] ?? []) as Row[])
        .filter(({ what, price }) => what !== '' && price !== '')
        .map(({ what, price, remark }, i) => ({
          id: String.fromCharCode(97 + i),
          what,
          price: typedNumber(price),
          ...(remark === '' ? {} : { remark }),
        })),
    }),
  });
  const { fields, append } = useFieldArray({ control: form.form.control, name: 'options' });
  return (
    <details className="border-2 border-rule bg-card">
      <summary className="font-head font-semibold min-h-12 px-3 content-center">
        {wording.offerAChoiceWithPrices}
      </summary>
      <EntryForm of={form} className="grid gap-3 p-3 pt-0">
        <div className="grid grid-cols-[1fr_6rem] gap-3">
          <TextField name="question" label={wording.whatIsToBeDecided} />
          <TextField name="currency" label={wording.currency} />
        </div>
        {fields.map((field, i) => (
          <OptionFields key={field.id} i={i} />
        ))}
        <div className="flex gap-3">
          <SaveButton>{wording.offerItTheJobWaits}</SaveButton>
          {fields.length < MOST_OPTIONS ? (
            <Button weight="quiet" onClick={() => append(row(''))}>
              {wording.anotherOption}
            </Button>
          ) : null}
        </div>
      </EntryForm>
    </details>
  );
}

/** One option with its price. */
function OptionFields({ i }: { i: number }) {
  return (
    <div className="grid grid-cols-[1fr_6rem] sm:grid-cols-[1.4fr_6rem_1fr] gap-3">
      <TextField name={`options.${i}.what`} label={wording.option(i + 1)} />
      <TextField name={`options.${i}.price`} label={wording.price} />
      <TextField name={`options.${i}.remark`} label={wording.remark} className="max-sm:col-span-2" />
    </div>
  );
}
