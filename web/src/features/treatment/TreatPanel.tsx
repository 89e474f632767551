import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { CAUTION_FOR_WORK, WORK_LABELS } from '@white-ember/core/job';
import { entriesOfKind, WORK_TYPES, type PartId, type WorkType } from '@white-ember/core/ledger';
import { Button } from '../../ui/Button.tsx';
import { CautionCard } from '../../ui/CautionCard.tsx';
import { Field } from '../../ui/Field.tsx';
import { typedNumber } from '../../ui/format.ts';
import { Notice } from '../../ui/Notice.tsx';
import type { StageProps } from '../job/StageWork.tsx';
import { ClockList } from '../clocks/ClockList.tsx';
import { ChemicalClean } from './ChemicalClean.tsx';
import { TemporaryRepairs } from './TemporaryRepairs.tsx';
import { CorrectingNotice } from '../job/CorrectingNotice.tsx';
import { useAddEntry } from '../job/useAddEntry.ts';
import { useCaution } from '../job/useCaution.ts';
import { useCorrecting } from '../job/useCorrecting.ts';
import { useEntryForm } from '../job/useEntryForm.ts';
import { PartsBefore } from '../intake/PartsBefore.tsx';
import { PART_LABELS } from '../line/partLabels.ts';

const EMPTY = { work: 'chemical-clean' as WorkType, what: '', fluid: '', fluidL: '', dwellMin: '', part: '' };
const WITH_FLUID = new Set<WorkType>(['chemical-clean', 'off-vehicle-clean']);
const WITH_PART = new Set<WorkType>(['pipe-cleared', 'sensor-replaced', 'cause-repaired']);

export function TreatPanel({ open, canEnter, onStage }: StageProps) {
  const { job, derived, vehicle } = open;
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
    }),
  });
  const work = useWatch({ control: form.control, name: 'work' });
  const [problems, setProblems] = useState<Record<string, string>>({});
  const cautionId = CAUTION_FOR_WORK[work];
  const caution = useCaution(open, cautionId, work);
  const works = entriesOfKind(derived.entries, 'work');
  const submit = form.handleSubmit(async (values) => {
    if (!caution.acknowledged) {
      setProblems({ work: 'Read the caution first; it stands above' });
      return;
    }
    const fluidL = WITH_FLUID.has(work) ? typedNumber(values.fluidL) : undefined;
    const dwellMin = WITH_FLUID.has(work) ? typedNumber(values.dwellMin) : undefined;
    const wrong = await addEntry(
      {
        kind: 'work',
        work: values.work,
        what: values.what,
        ...(WITH_FLUID.has(work) && values.fluid ? { fluid: values.fluid } : {}),
        ...(fluidL === undefined ? {} : { fluidL }),
        ...(dwellMin === undefined ? {} : { dwellMin }),
        ...(WITH_PART.has(work) && values.part ? { part: values.part as PartId } : {}),
      },
      supersedes,
    );
    setProblems(wrong ?? {});
    if (!wrong) done();
  });
  return (
    <div className="grid gap-6 xl:grid-cols-[1.2fr_1fr]">
      <div className="grid gap-8 content-start">
        {canEnter && derived.treatment?.body.treatment === 'chemical' ? (
          <ChemicalClean open={open} onStage={onStage} />
        ) : null}
        <section className="grid gap-4 content-start">
          <h2 className="text-2xl">What is done</h2>
          {!derived.before ? (
            <Notice title="There is no before reading">
              Work that is done now cannot be proved later. Five minutes of reading come before any fluid.{' '}
              <button className="underline underline-offset-4" onClick={() => onStage('baseline')}>
                Take it
              </button>
            </Notice>
          ) : null}
          {canEnter ? (
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
                  Enter the work
                </Button>
              </div>
            </form>
          ) : null}
        </section>
      </div>
      <section className="grid gap-6 content-start">
        <div>
          <h2 className="text-2xl mb-2">Done so far</h2>
          {works.length === 0 ? <p className="text-ink2">Nothing yet.</p> : null}
          <ol className="border-t-2 border-ink">
            {works.map((entry) => (
              <li key={entry.id} className="py-2 border-b-2 border-rule">
                <p className="font-head font-semibold">{WORK_LABELS[entry.body.work]}</p>
                <p>{entry.body.what}</p>
                <p className="text-sm text-ink2">
                  {new Date(entry.deviceTime).toLocaleTimeString('en-GB', {
                    hour: '2-digit',
                    minute: '2-digit',
                  })}
                  , {entry.authorName}
                  {entry.body.fluid ? ` · ${entry.body.fluid}` : ''}
                  {entry.body.fluidL === undefined ? '' : ` ${entry.body.fluidL} L`}
                  {entry.body.dwellMin === undefined ? '' : ` · dwell ${entry.body.dwellMin} min`}
                  {entry.body.wasteL === undefined ? '' : ` · ${entry.body.wasteL} L`}
                </p>
              </li>
            ))}
          </ol>
        </div>
        <ClockList open={open} canEnter={canEnter} />
        <TemporaryRepairs open={open} canEnter={canEnter} />
        <PartsBefore open={open} canEnter={canEnter} where="here" />
      </section>
    </div>
  );
}
