import * as wording from '@white-ember/core/words/screens/treatment';
import * as common from '@white-ember/core/words/screens/common';
import { KNOWN_CAUSES, sentenceOf } from '@white-ember/core/diagnosis';
import type { OpenMatter } from '@white-ember/core/job';
import { useWords } from '../../data/words.ts';
import { ChoiceField, SaveButton, TextField } from '../../form/FieldForm.tsx';
import { choice, text } from '../../form/kinds.ts';
import { Say } from '../../ui/Say.tsx';
import { useDiagnosis } from '../diagnosis/useDiagnosis.ts';
import { EntryForm } from '../../job/EntryForm.tsx';
import { ORDER, OrderFields } from '../../job/OrderFields.tsx';
import { partOptions } from '../../job/partOptions.ts';
import { useEntryForm, type FieldsOf } from '../../job/useEntryForm.ts';
import type { OpenJob } from '../../job/useJob.ts';

const FIELDS: FieldsOf<'temporary-repair'> = { what: text(), cause: choice(), part: choice(), ...ORDER };
const SETTLED: FieldsOf<'settled'> = { how: text() };
/** Of the likely ones so many are named first. */
const NAMED_FIRST = 6;

/** Repairs that hold for now and what broke: open until they are settled, with the part on order. */
export function TemporaryRepairs({
  open,
  canEnter,
  elsewhere,
}: {
  open: OpenJob;
  canEnter: boolean;
  /** What stands first on the same page. */
  elsewhere?: string | undefined;
}) {
  const words = useWords();
  const form = useEntryForm(open, 'temporary-repair', FIELDS, { draft: 'temporary' });
  const repairs = open.derived.open.filter(({ kind, entry }) => kind !== 'choice' && entry.id !== elsewhere);
  const diagnosis = useDiagnosis(open);
  const found = open.derived.causes.filter(({ state }) => state === 'confirmed').map(({ cause }) => cause);
  const likely = (diagnosis?.posterior.causes ?? []).slice(0, NAMED_FIRST).map(({ id }) => id);
  const causes = [...new Set([...found, ...likely, ...KNOWN_CAUSES.map(({ id }) => id)])];
  return (
    <section className="grid gap-3">
      <h2 className="text-xl border-b-2 border-ink">{wording.temporaryRepairsPartsOnOrder}</h2>
      {repairs.map((matter) => (
        <OpenRepair key={matter.entry.id} matter={matter} open={open} canEnter={canEnter} />
      ))}
      {repairs.length === 0 ? (
        <p className="text-ink2">{elsewhere === undefined ? wording.noneIsOpen : wording.noOtherIsOpen}</p>
      ) : null}
      {canEnter ? (
        <details className="border-2 border-rule bg-card">
          <summary className="font-head font-semibold min-h-12 px-3 content-center">
            {wording.enterATemporaryRepair}
          </summary>
          <EntryForm of={form} className="grid sm:grid-cols-2 gap-3 p-3 pt-0">
            <TextField name="what" label={wording.whatWasDoneForNow} className="sm:col-span-2" />
            <ChoiceField
              name="cause"
              label={wording.causeFixedForNow}
              hint={wording.liftsWhatThisCauseBlocked}
              options={[
                ['', wording.noKnownCause],
                ...causes.map((id) => [id, words.say(sentenceOf(id))] as const),
              ]}
            />
            <ChoiceField
              name="part"
              label={wording.partOfTheLine}
              options={partOptions(open, words, 'none')}
            />
            <OrderFields />
            <SaveButton className="sm:col-span-2">{wording.saveOpenUntilSettled}</SaveButton>
          </EntryForm>
        </details>
      ) : null}
    </section>
  );
}

export function OpenRepair({
  matter,
  open,
  canEnter,
}: {
  matter: OpenMatter;
  open: OpenJob;
  canEnter: boolean;
}) {
  const words = useWords();
  const form = useEntryForm(open, 'settled', SETTLED, {
    draft: `settled ${matter.entry.id}`,
    fixed: { entry: matter.entry.id },
  });
  const { body } = matter.entry;
  const order = body.kind === 'choice-offered' ? undefined : body.order;
  return (
    <div className="border-l-8 border-ember bg-card p-3 grid gap-2">
      <p className="font-head font-semibold">
        <Say it={matter.text} />
      </p>
      {order ? (
        <p className="text-sm text-ink2">
          {[
            wording.onOrder(order.name),
            ...(order.number ? [common.noWithNumber(order.number)] : []),
            ...(order.supplier ? [order.supplier] : []),
            ...(order.due ? [wording.due(words.shortDate(order.due))] : []),
          ].join(' · ')}
        </p>
      ) : (
        <p className="text-sm text-ink2">{wording.noPartOnOrderForIt}</p>
      )}
      {canEnter ? (
        <EntryForm of={form} className="grid sm:grid-cols-[1fr_auto] gap-3 items-end">
          <TextField name="how" label={wording.settledBy} />
          <SaveButton>{wording.settled}</SaveButton>
        </EntryForm>
      ) : null}
    </div>
  );
}
