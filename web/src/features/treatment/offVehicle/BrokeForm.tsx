import * as wording from '@white-ember/core/words/screens/treatment';
import * as common from '@white-ember/core/words/screens/common';
import { BREAKS, type Break } from '@white-ember/core/ledger';
import { BREAK_ADVICE } from '@white-ember/core/treatment';
import { useWords } from '../../../data/words.ts';
import { ChoiceField, FigureField, SaveButton, TextField } from '../../../form/FieldForm.tsx';
import { choice, figure, optionalText, text } from '../../../form/kinds.ts';
import { Say } from '../../../ui/Say.tsx';
import { EntryForm } from '../../../job/EntryForm.tsx';
import { OrderFields, ORDER } from '../../../job/OrderFields.tsx';
import { useEntryForm, type FieldsOf } from '../../../job/useEntryForm.ts';
import type { OpenJob } from '../../../job/useJob.ts';
import { partOptions } from '../../../job/partOptions.ts';

const BREAK_LABELS: Readonly<Record<Break, string>> = {
  'snapped-sensor': wording.aSensorSnapped,
  'stripped-thread': wording.aThreadOrBossStripped,
  'snapped-fastener': wording.aBoltOrNutSnapped,
  other: wording.somethingElse,
};
const FIELDS: FieldsOf<'part-broke'> = {
  broke: choice('snapped-sensor'),
  what: text(),
  part: choice(),
  thread: optionalText(),
  position: optionalText(),
  reachMm: figure('mm'),
  ...ORDER,
};
const OF_A_BOSS = ['thread', 'position', 'reachMm'];

/** A part broke in the work: what it needs, and what is on order for it. The job stays open for it. */
export function BrokeForm({ open }: { open: OpenJob }) {
  const words = useWords();
  const form = useEntryForm(open, 'part-broke', FIELDS, {
    draft: 'broke',
    finish: (body) =>
      hasBoss(body['broke'])
        ? body
        : Object.fromEntries(Object.entries(body).filter(([path]) => !OF_A_BOSS.includes(path))),
  });
  const broke = form.typed('broke') as Break;
  return (
    <details className="border-2 border-rule bg-card">
      <summary className="font-head font-semibold min-h-12 px-3 content-center">
        {wording.somethingBroke}
      </summary>
      <EntryForm of={form} label={wording.somethingBroke} className="grid sm:grid-cols-2 gap-3 p-3 pt-0">
        <ChoiceField
          name="broke"
          label={wording.whatHappened}
          options={BREAKS.map((one) => [one, BREAK_LABELS[one]])}
        />
        <TextField name="what" label={wording.which} />
        <ChoiceField
          name="part"
          label={common.onTheLine}
          options={partOptions(open, words, wording.noneOfTheLine)}
        />
        {hasBoss(broke) ? (
          <>
            <TextField
              name="thread"
              label={wording.thread}
              hint={wording.pitchByTheGauge}
              placeholder="M14 × 1.5"
            />
            <TextField name="position" label={wording.whereTheBossIs} />
            <FigureField name="reachMm" label={wording.cableReaches} />
          </>
        ) : null}
        <ul className="sm:col-span-2 list-disc pl-5 border-l-8 border-ink">
          {BREAK_ADVICE[broke].map((advice, i) => (
            <li key={i} className="ml-3">
              <Say it={advice} />
            </li>
          ))}
        </ul>
        <OrderFields hint={wording.leftEmptyNothingIs} />
        <SaveButton className="sm:col-span-2">{wording.saveOpenUntilSettledTitle}</SaveButton>
      </EntryForm>
    </details>
  );
}

const hasBoss = (broke: unknown): boolean => broke === 'snapped-sensor' || broke === 'stripped-thread';
