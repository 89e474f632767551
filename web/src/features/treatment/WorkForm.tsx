import * as wording from '@white-ember/core/words/screens/treatment';
import * as common from '@white-ember/core/words/screens/common';
import { CAUTION_FOR_WORK } from '@white-ember/core/job';
import { WORK_TYPES, type Treatment, type WorkType } from '@white-ember/core/ledger';
import { useWords } from '../../data/words.ts';
import { ChoiceField, FigureField, SaveButton, TextField } from '../../form/FieldForm.tsx';
import { choice, figure, optionalText, text } from '../../form/kinds.ts';
import { CautionCard } from '../../ui/CautionCard.tsx';
import { Notice } from '../../ui/Notice.tsx';
import { Say } from '../../ui/Say.tsx';
import { useJudgement } from '../diagnosis/useDiagnosis.ts';
import { EntryForm } from '../../job/EntryForm.tsx';
import { partOptions } from '../../job/partOptions.ts';
import { useCaution } from '../../job/useCaution.ts';
import { useEntryForm, type FieldsOf } from '../../job/useEntryForm.ts';
import type { OpenJob } from '../../job/useJob.ts';

const FIELDS: FieldsOf<'work'> = {
  work: choice('chemical-clean'),
  what: text(),
  fluid: optionalText(),
  fluidL: figure('L'),
  dwellMin: figure('min'),
  part: choice(),
  sootBeforeG: figure('g'),
  sootAfterG: figure('g'),
};
/** Work that is one of the treatments which are offered or held off. */
const TREATMENT_OF: Readonly<Partial<Record<WorkType, Treatment>>> = {
  'chemical-clean': 'chemical',
  'drive-regeneration': 'drive',
  'standing-regeneration': 'standing',
  'off-vehicle-clean': 'off-vehicle',
  'filter-exchanged': 'exchange',
};
const WITH_SOOT = new Set<WorkType>(['drive-regeneration', 'standing-regeneration']);
const WITH_FLUID = new Set<WorkType>(['chemical-clean', 'off-vehicle-clean']);
const WITH_PART = new Set<WorkType>(['pipe-cleared', 'sensor-replaced', 'cause-repaired']);

/** What some work has no use for is not stored, though it was typed before the work was chosen. */
const OF_OTHER_WORK: readonly (readonly [has: ReadonlySet<WorkType>, paths: readonly string[]])[] = [
  [WITH_FLUID, ['fluid', 'fluidL', 'dwellMin']],
  [WITH_SOOT, ['sootBeforeG', 'sootAfterG']],
  [WITH_PART, ['part']],
];

/** Work of any kind, with its caution, fluid and dwell. */
export function WorkForm({ open }: { open: OpenJob }) {
  const words = useWords();
  const judgement = useJudgement(open);
  const form = useEntryForm(open, 'work', FIELDS, {
    corrects: true,
    finish: (typed, { original }) => {
      if (!caution.acknowledged) return { wrong: { work: wording.readTheCautionAboveFirst } };
      const none = OF_OTHER_WORK.flatMap(([has, paths]) => (has.has(typed['work'] as WorkType) ? [] : paths));
      return {
        // What the guided clean has entered with it stays with a corrected entry.
        ...original,
        ...(heldBy.length > 0 && !original ? { against: heldBy } : {}),
        ...Object.fromEntries(Object.entries(typed).filter(([path]) => !none.includes(path))),
      };
    },
  });
  const work = form.typed('work') as WorkType;
  const cautionId = CAUTION_FOR_WORK[work];
  const caution = useCaution(open, cautionId, work);
  const offered = judgement?.choice.find(({ treatment }) => treatment === TREATMENT_OF[work]);
  const heldBy = [
    ...(offered && !offered.allowed ? offered.heldBy : []),
    ...(offered && !offered.allowed && judgement?.notJudged ? [judgement.notJudged] : []),
  ].map(({ text: why }) => why);
  return (
    <EntryForm of={form} className="grid gap-4 sm:grid-cols-2">
      <ChoiceField
        name="work"
        label={common.work}
        className="sm:col-span-2"
        options={WORK_TYPES.map((type) => [type, words.name('works', type)])}
      />
      {cautionId ? (
        <div className="sm:col-span-2">
          <CautionCard
            id={cautionId}
            acknowledged={caution.acknowledged}
            onAcknowledge={caution.acknowledge}
          />
        </div>
      ) : null}
      {heldBy.length > 0 ? (
        <div className="sm:col-span-2">
          <Notice title={wording.notAdvised}>
            <ul className="list-disc pl-5 mb-1">
              {heldBy.map((why, i) => (
                <li key={i}>
                  <Say it={why} />
                </li>
              ))}
            </ul>
            {wording.saveItOnlyIfItWasDone}
          </Notice>
        </div>
      ) : null}
      <TextField name="what" label={wording.whatExactly} className="sm:col-span-2" rows={2} />
      {WITH_FLUID.has(work) ? (
        <>
          <TextField name="fluid" label={wording.fluid} />
          <div className="grid grid-cols-2 gap-4">
            <FigureField name="fluidL" label={wording.quantity} />
            <FigureField name="dwellMin" label={common.dwell} hint={wording.startsNow} />
          </div>
        </>
      ) : null}
      {WITH_SOOT.has(work) ? (
        <div className="grid grid-cols-2 gap-4 sm:col-span-2">
          <FigureField name="sootBeforeG" label={wording.sootCountedBefore} />
          <FigureField name="sootAfterG" label={wording.sootCountedAfter} />
        </div>
      ) : null}
      {WITH_PART.has(work) ? (
        <ChoiceField
          name="part"
          label={common.part}
          className="sm:col-span-2"
          options={partOptions(open, words, wording.noneOfTheLine)}
        />
      ) : null}
      <SaveButton main className="sm:col-span-2 w-full">
        {wording.saveTheWork}
      </SaveButton>
    </EntryForm>
  );
}
