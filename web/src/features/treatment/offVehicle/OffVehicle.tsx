import * as wording from '@white-ember/core/words/screens/treatment';
import * as common from '@white-ember/core/words/screens/common';
import type { Spoken } from '@white-ember/core/words';
import { useSpoken } from '../../../data/words.ts';
import { useMemo, useState } from 'react';
import type { Fluid } from '@white-ember/core/contract';
import { entriesOfKind, type ClockKind } from '@white-ember/core/ledger';
import type { LimitId } from '@white-ember/core/limits';
import type { OffVehicleWork } from '@white-ember/core/treatment';
import { useFluidsQuery } from '../../../data/api.ts';
import { Button } from '../../../ui/Button.tsx';
import { CautionCard } from '../../../ui/CautionCard.tsx';
import { SaveButton, TextField } from '../../../form/FieldForm.tsx';
import { FigureInput } from '../../../form/FigureInput.tsx';
import { text } from '../../../form/kinds.ts';
import { useTypedFigure } from '../../../form/useTypedFigure.ts';
import { Field } from '../../../ui/Field.tsx';
import { EntryForm } from '../../../job/EntryForm.tsx';
import { useEntryForm, type FieldsOf } from '../../../job/useEntryForm.ts';
import { typedNumber } from '../../../ui/format.ts';
import { askToNotify } from '../../clocks/bell.ts';
import { useAddEntry } from '../../../job/useAddEntry.ts';
import { useCaution } from '../../../job/useCaution.ts';
import type { OpenJob } from '../../../job/useJob.ts';
import { MadeReady, useReadiness } from '../../burn/MadeReady.tsx';
import { BrokeForm } from './BrokeForm.tsx';
import { FilterOffForm } from './FilterOffForm.tsx';
import { offVehicleOf } from './offVehicleOf.ts';
import { PartOffForm } from './PartOffForm.tsx';
import { RefitList } from './RefitList.tsx';

/** Off the vehicle: what came off is recorded as it comes, the filter weighed, soaked, rinsed and dried, and all goes on again in reverse. */
export function OffVehicle({
  open,
  exchange,
  onStage,
}: {
  open: OpenJob;
  /** Another filter goes in; nothing is soaked. */
  exchange: boolean;
  onStage: (stage: 'prove') => void;
}) {
  const work = useSpoken(useMemo(() => offVehicleOf(open), [open]));
  const readiness = useReadiness(open, exchange ? 'exchange' : 'off-vehicle');
  const caution = useCaution(open, 'hot', exchange ? 'filter-exchanged' : 'off-vehicle-clean');
  const ready = readiness.held.length === 0 && readiness.missing.length === 0 && caution.acknowledged;
  const begun = work.parts.length > 0;
  return (
    <section aria-label={wording.offTheVehicle} className="grid gap-6">
      <Step title={wording.off} note={begun ? wording.offSoFar(work.parts.length) : undefined}>
        <MadeReady open={open} treatment={exchange ? 'exchange' : 'off-vehicle'} readiness={readiness} />
        <CautionCard id="hot" acknowledged={caution.acknowledged} onAcknowledge={caution.acknowledge} />
        {begun ? (
          <ol aria-label={wording.offSoFarTitle} className="border-t-2 border-ink">
            {work.parts.map(({ off, number }) => (
              <li key={off.id} className="flex gap-3 border-b-2 border-rule py-1 items-baseline">
                <span className="figure-text text-lg w-6 text-right">{number}</span>
                <span>
                  {off.body.what}
                  {off.body.safetyCritical ? wording.safetyCritical : ''}
                </span>
              </li>
            ))}
          </ol>
        ) : null}
        {ready || begun ? (
          <PartOffForm open={open} number={work.parts.length + 1} />
        ) : (
          <p className="text-ink2">{wording.answerTheQuestionsAndReadThe}</p>
        )}
        <BrokeForm open={open} />
      </Step>
      {exchange ? null : (
        <>
          <Step title={wording.onTheScalesBefore}>
            <FilterOffForm open={open} when="before" />
          </Step>
          <Step title={wording.soakRinseDry}>
            <Wet open={open} />
          </Step>
          <Step title={wording.onTheScalesAfter}>
            <FilterOffForm open={open} when="after" />
            <ul className="list-disc pl-5">
              {work.weighed.sentences.map((text) => (
                <li key={text}>{text}</li>
              ))}
            </ul>
          </Step>
        </>
      )}
      {exchange ? <Exchanged open={open} /> : null}
      {begun ? (
        <>
          <Step
            title={wording.neededBeforeRefitting}
            note={work.toBuy.length === 0 ? wording.nothing : undefined}
          >
            <ToBuy work={work} />
          </Step>
          <Step
            title={wording.onAgain}
            note={work.complete ? wording.allOn : wording.ofToGo(work.refit.length, work.parts.length)}
          >
            {work.held.map((text) => (
              <p key={text} className="border-l-8 border-ember pl-3 font-bold">
                {text}
              </p>
            ))}
            <RefitList
              open={open}
              refit={work.refit}
              done={work.parts.filter(({ missing }) => missing.length === 0)}
              canEnter={work.held.length === 0}
            />
            {work.complete ? (
              <div className="grid gap-3 justify-items-start">
                <p>{wording.everythingIsRefittedStartItCheck}</p>
                <Button onClick={() => onStage('prove')}>{common.continueToTheProof}</Button>
              </div>
            ) : null}
          </Step>
        </>
      ) : null}
    </section>
  );
}

function Step({
  title,
  note,
  children,
}: {
  title: string;
  note?: string | undefined;
  children: React.ReactNode;
}) {
  return (
    <section aria-label={title} className="grid gap-3">
      <h2 className="text-2xl border-b-2 border-ink flex justify-between items-baseline gap-3">
        {title}
        {note ? <span className="text-base text-ink2 font-medium">{note}</span> : null}
      </h2>
      {children}
    </section>
  );
}

function ToBuy({ work: { toBuy } }: { work: Spoken<OffVehicleWork> }) {
  return (
    <ul aria-label={wording.partsToHave}>
      {toBuy.map(({ name, count, number, onOrder }, i) => (
        <li key={`${name} ${i}`} className="flex gap-3 border-b-2 border-rule py-1.5">
          <span className="figure-text text-lg">{count} ×</span>
          <span>
            {name}
            <span className="text-ink2">
              {number ? wording.no(number) : ''}
              {onOrder === undefined ? '' : wording.onOrderWithPart(onOrder ? `: ${onOrder}` : '')}
            </span>
          </span>
        </li>
      ))}
    </ul>
  );
}

const WAITS: readonly (readonly [ClockKind, LimitId, string, string, string])[] = [
  ['soak', 'clockSoakMin', wording.soakTime, wording.startTheSoak, wording.backFlushUntilClear],
  ['rinse', 'clockRinseMin', wording.rinseTime, wording.startTheRinse, wording.dryIt],
  ['drying', 'clockDryingMin', wording.dryingTime, wording.startTheDrying, wording.weighItDry],
];

/** Soaked, rinsed against the working direction, dried: each wait with its clock, fluid and water kept apart. */
function Wet({ open }: { open: OpenJob }) {
  const addEntry = useAddEntry(open.job.id);
  const caution = useCaution(open, 'chemicals', 'off-vehicle-clean');
  const shelf = useFluidsQuery().data ?? [];
  const [fluidId, setFluid] = useState('');
  const [mixed, runOff] = [useTypedFigure('L'), useTypedFigure('L')];
  const [hours, setHours] = useState<Record<string, string>>({});
  const [problems, setProblems] = useState<Record<string, string>>({});
  const fluid = shelf.find(({ id }) => id === fluidId);
  const running = new Set(
    open.derived.clocks.filter(({ endedMs }) => endedMs === undefined).map(({ clock }) => clock),
  );
  const cleaned = entriesOfKind(open.derived.entries, 'work').some(
    ({ body }) => body.work === 'off-vehicle-clean',
  );
  const begin = async (clock: ClockKind, limit: LimitId, next: string): Promise<void> => {
    askToNotify();
    const wrong = await addEntry({
      kind: 'clock-started',
      clock,
      minutes: 60 * (typedNumber(hours[clock] ?? String(open.limits[limit] / 60)) ?? Number.NaN),
      what: wording.theFilterOffTheVehicle,
      next,
    });
    setProblems(wrong ?? {});
  };
  const enter = async (): Promise<void> => {
    const [fluidL, waste] = [mixed.value, runOff.value];
    const wrong = await addEntry({
      kind: 'work',
      work: 'off-vehicle-clean',
      what: wording.soakedBackFlushedUntilClear,
      ...(fluid ? { fluid: fluid.name, fluidId: fluid.id } : {}),
      ...(fluidL === undefined ? {} : { fluidL, ...concentrateOf(fluid, fluidL) }),
      ...(waste === undefined ? {} : { wasteL: waste }),
    });
    setProblems(wrong ?? {});
    if (!wrong) mixed.put();
  };
  return (
    <div className="grid gap-3">
      <CautionCard id="chemicals" acknowledged={caution.acknowledged} onAcknowledge={caution.acknowledge} />
      <ul className="list-disc pl-5">
        <li>{wording.flowAgainstTheWorkingDirectionInAt}</li>
        <li>{wording.lowPressureFromADistanceUntilIt}</li>
        <li>{wording.allRunOffIsHazardousWasteCollect}</li>
      </ul>
      <div className="grid sm:grid-cols-3 gap-3">
        {WAITS.map(([clock, limit, time, label, next]) => (
          <div key={clock} className="grid gap-2 content-start">
            <Field label={time} unit="h">
              <input
                className="input-box"
                inputMode="decimal"
                value={hours[clock] ?? String(Number((open.limits[limit] / 60).toFixed(2)))}
                onChange={(event) => setHours((old) => ({ ...old, [clock]: event.target.value }))}
              />
            </Field>
            <Button
              disabled={!caution.acknowledged || running.has(clock)}
              onClick={() => void begin(clock, limit, next)}
            >
              {running.has(clock) ? wording.itRuns : label}
            </Button>
          </div>
        ))}
      </div>
      <div className="grid grid-cols-2 sm:grid-cols-4 gap-3 items-end">
        <Field label={wording.fluid} className="col-span-2 sm:col-span-1">
          <select className="input-box" value={fluidId} onChange={(event) => setFluid(event.target.value)}>
            <option value="">{wording.waterOnly}</option>
            {shelf.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </Field>
        <FigureInput of={mixed} label={common.mixed} error={problems['fluidL']} />
        <FigureInput of={runOff} label={wording.runOff} error={problems['wasteL']} />
        <Button disabled={!caution.acknowledged} onClick={() => void enter()}>
          {cleaned ? wording.cleanedOnceMore : wording.runsClearCleaned}
        </Button>
      </div>
      {problems['minutes'] ? <p className="text-ember-text font-bold">✕ {problems['minutes']}</p> : null}
    </div>
  );
}

/** What of a mixture comes off the shelf. */
const concentrateOf = (fluid: Fluid | undefined, litres: number): { concentrateL?: number } =>
  fluid ? { concentrateL: Number((litres / (1 + fluid.waterParts)).toFixed(3)) } : {};

const EXCHANGED: FieldsOf<'work'> = { what: text() };

function Exchanged({ open }: { open: OpenJob }) {
  const form = useEntryForm(open, 'work', EXCHANGED, {
    draft: 'exchanged',
    fixed: { work: 'filter-exchanged' },
  });
  const done = entriesOfKind(open.derived.entries, 'work').some(
    ({ body }) => body.work === 'filter-exchanged',
  );
  return (
    <Step title={wording.anotherFilter} note={done ? wording.entered : undefined}>
      <EntryForm of={form} className="grid sm:grid-cols-[1fr_auto] gap-3 items-end">
        <TextField name="what" label={wording.whichOne} hint={wording.numberNewOrReconditionedWhereFrom} />
        <SaveButton>{wording.fitted}</SaveButton>
      </EntryForm>
    </Step>
  );
}
