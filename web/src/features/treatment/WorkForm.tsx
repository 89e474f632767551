import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { CAUTION_FOR_WORK, WORK_LABELS } from '@white-ember/core/job';
import {
  PART_LABELS,
  WORK_TYPES,
  type BodyOf,
  type PartId,
  type Treatment,
  type WorkType,
} from '@white-ember/core/ledger';
import { Button } from '../../ui/Button.tsx';
import { CautionCard } from '../../ui/CautionCard.tsx';
import { Field } from '../../ui/Field.tsx';
import { typedNumber } from '../../ui/format.ts';
import { Notice } from '../../ui/Notice.tsx';
import { useJudgement } from '../diagnosis/useDiagnosis.ts';
import { CorrectingNotice } from '../job/CorrectingNotice.tsx';
import { useAddEntry } from '../job/useAddEntry.ts';
import { useCaution } from '../job/useCaution.ts';
import { useCorrecting } from '../job/useCorrecting.ts';
import { useEntryForm } from '../job/useEntryForm.ts';
import type { OpenJob } from '../job/useJob.ts';

const EMPTY = {
  work: 'chemical-clean' as WorkType,
  what: '',
  fluid: '',
  fluidL: '',
  dwellMin: '',
  part: '',
  sootBeforeG: '',
  sootAfterG: '',
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

/** What only the guided clean enters: no field of this form shows it. */
const guidedPart = ({
  fluidId,
  concentrateL,
  bursts,
  by,
  step,
  begun,
  wasteL,
  against,
}: BodyOf<'work'>): Partial<BodyOf<'work'>> => ({
  ...(fluidId === undefined ? {} : { fluidId }),
  ...(concentrateL === undefined ? {} : { concentrateL }),
  ...(bursts === undefined ? {} : { bursts }),
  ...(by === undefined ? {} : { by }),
  ...(step === undefined ? {} : { step }),
  ...(begun === undefined ? {} : { begun }),
  ...(wasteL === undefined ? {} : { wasteL }),
  ...(against === undefined ? {} : { against }),
});

/** Work of any kind, with its caution, fluid and dwell. */
export function WorkForm({ open }: { open: OpenJob }) {
  const { job, vehicle } = open;
  const addEntry = useAddEntry(job.id);
  const correcting = useCorrecting(open, 'work');
  const { form, done, supersedes } = useEntryForm({
    draft: `work ${job.id}`,
    empty: EMPTY,
    correcting,
    valuesOf: (body) => ({
      work: body.work,
      what: body.what,
      fluid: body.fluid ?? '',
      fluidL: String(body.fluidL ?? ''),
      dwellMin: String(body.dwellMin ?? ''),
      part: body.part ?? '',
      sootBeforeG: String(body.sootBeforeG ?? ''),
      sootAfterG: String(body.sootAfterG ?? ''),
    }),
  });
  const work = useWatch({ control: form.control, name: 'work' });
  const [problems, setProblems] = useState<Record<string, string>>({});
  const cautionId = CAUTION_FOR_WORK[work];
  const caution = useCaution(open, cautionId, work);
  const judgement = useJudgement(open);
  const offered = judgement?.choice.find(({ treatment }) => treatment === TREATMENT_OF[work]);
  const heldBy = [
    ...(offered && !offered.allowed ? offered.heldBy : []),
    ...(offered && !offered.allowed && judgement?.notJudged ? [judgement.notJudged] : []),
  ].map(({ text }) => text);
  const submit = form.handleSubmit(async (values) => {
    if (!caution.acknowledged) {
      setProblems({ work: 'Read the caution above first' });
      return;
    }
    const fluidL = WITH_FLUID.has(work) ? typedNumber(values.fluidL) : undefined;
    const dwellMin = WITH_FLUID.has(work) ? typedNumber(values.dwellMin) : undefined;
    const [sootBeforeG, sootAfterG] = WITH_SOOT.has(work)
      ? [typedNumber(values.sootBeforeG), typedNumber(values.sootAfterG)]
      : [undefined, undefined];
    const wrong = await addEntry(
      {
        // What the guided clean has entered with it stays with a corrected entry.
        ...(correcting ? guidedPart(correcting.entry.body) : {}),
        kind: 'work',
        work: values.work,
        what: values.what,
        ...(WITH_FLUID.has(work) && values.fluid ? { fluid: values.fluid } : {}),
        ...(fluidL === undefined ? {} : { fluidL }),
        ...(dwellMin === undefined ? {} : { dwellMin }),
        ...(sootBeforeG === undefined ? {} : { sootBeforeG }),
        ...(sootAfterG === undefined ? {} : { sootAfterG }),
        ...(heldBy.length > 0 && !correcting ? { against: heldBy.map((text) => text.slice(0, 400)) } : {}),
        ...(WITH_PART.has(work) && values.part ? { part: values.part as PartId } : {}),
      },
      supersedes,
    );
    setProblems(wrong ?? {});
    if (!wrong) done();
  });
  return (
    <form onSubmit={(event) => void submit(event)} className="grid gap-4 sm:grid-cols-2" noValidate>
      {correcting ? (
        <div className="sm:col-span-2">
          <CorrectingNotice correcting={correcting} />
        </div>
      ) : null}
      <Field label="Work" className="sm:col-span-2" error={problems['work']}>
        <select className="input-box" {...form.register('work')}>
          {WORK_TYPES.map((type) => (
            <option key={type} value={type}>
              {WORK_LABELS[type]}
            </option>
          ))}
        </select>
      </Field>
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
          <Notice title="Not advised">
            <ul className="list-disc pl-5 mb-1">
              {heldBy.map((text) => (
                <li key={text}>{text}</li>
              ))}
            </ul>
            Save it only if it was done anyway, with any tool: the advice is kept with it.
          </Notice>
        </div>
      ) : null}
      <Field label="What exactly" className="sm:col-span-2" error={problems['what']}>
        <textarea className="input-box" rows={2} {...form.register('what')} />
      </Field>
      {WITH_FLUID.has(work) ? (
        <>
          <Field label="Fluid" error={problems['fluid']}>
            <input className="input-box" {...form.register('fluid')} />
          </Field>
          <div className="grid grid-cols-2 gap-4">
            <Field label="Quantity" unit="L" error={problems['fluidL']}>
              <input className="input-box" inputMode="decimal" {...form.register('fluidL')} />
            </Field>
            <Field label="Dwell" unit="min" hint="Starts now" error={problems['dwellMin']}>
              <input className="input-box" inputMode="numeric" {...form.register('dwellMin')} />
            </Field>
          </div>
        </>
      ) : null}
      {WITH_SOOT.has(work) ? (
        <div className="grid grid-cols-2 gap-4 sm:col-span-2">
          <Field label="Soot counted before" unit="g" error={problems['sootBeforeG']}>
            <input className="input-box" inputMode="decimal" {...form.register('sootBeforeG')} />
          </Field>
          <Field label="Soot counted after" unit="g" error={problems['sootAfterG']}>
            <input className="input-box" inputMode="decimal" {...form.register('sootAfterG')} />
          </Field>
        </div>
      ) : null}
      {WITH_PART.has(work) ? (
        <Field label="Part" className="sm:col-span-2">
          <select className="input-box" {...form.register('part')}>
            <option value="">none of the line</option>
            {vehicle.fitted.map((id) => (
              <option key={id} value={id}>
                {PART_LABELS[id]}
              </option>
            ))}
          </select>
        </Field>
      ) : null}
      <div className="sm:col-span-2">
        <Button type="submit" weight="main" className="w-full">
          Save the work
        </Button>
      </div>
    </form>
  );
}
