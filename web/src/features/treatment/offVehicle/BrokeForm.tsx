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
  'snapped-sensor': 'A sensor snapped',
  'stripped-thread': 'A thread or boss stripped',
  'snapped-fastener': 'A bolt or nut snapped',
  other: 'Something else',
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
      <summary className="font-head font-semibold min-h-12 px-3 content-center">Something broke</summary>
      <EntryForm of={form} label="Something broke" className="grid sm:grid-cols-2 gap-3 p-3 pt-0">
        <ChoiceField
          name="broke"
          label="What happened"
          options={BREAKS.map((one) => [one, BREAK_LABELS[one]])}
        />
        <TextField name="what" label="Which" />
        <ChoiceField name="part" label="On the line" options={partOptions(open, words, 'none of the line')} />
        {hasBoss(broke) ? (
          <>
            <TextField name="thread" label="Thread" hint="Pitch, by the gauge" placeholder="M14 × 1.5" />
            <TextField name="position" label="Where the boss is" />
            <FigureField name="reachMm" label="Cable reaches" />
          </>
        ) : null}
        <ul className="sm:col-span-2 list-disc pl-5 border-l-8 border-ink">
          {BREAK_ADVICE[broke].map((advice, i) => (
            <li key={i} className="ml-3">
              <Say it={advice} />
            </li>
          ))}
        </ul>
        <OrderFields hint="Left empty, nothing is" />
        <SaveButton className="sm:col-span-2">Save; open until settled</SaveButton>
      </EntryForm>
    </details>
  );
}

const hasBoss = (broke: unknown): boolean => broke === 'snapped-sensor' || broke === 'stripped-thread';
