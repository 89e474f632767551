import * as wording from '@white-ember/core/words/screens/treatment';
import * as common from '@white-ember/core/words/screens/common';
import { fixed } from '../../ui/format.ts';
import { useWords } from '../../data/words.ts';
import { Say } from '../../ui/Say.tsx';
import { vehicleFactsOf } from '@white-ember/core/job';
import { useMemo, useState } from 'react';
import { useForecast } from '../burn/useTreatments.ts';
import { adviseFlush, burnOfJob, fillsOf, flushReadings, sootLeft } from '@white-ember/core/treatment';
import type { ClockKind } from '@white-ember/core/ledger';
import type { LimitId } from '@white-ember/core/limits';
import { Button } from '../../ui/Button.tsx';
import { FigureField, SaveButton } from '../../form/FieldForm.tsx';
import { figure } from '../../form/kinds.ts';
import { EntryForm } from '../../job/EntryForm.tsx';
import { useEntryForm, type FieldsOf } from '../../job/useEntryForm.ts';
import { askToNotify } from '../clocks/bell.ts';
import { useAddEntry } from '../../job/useAddEntry.ts';
import type { OpenJob } from '../../job/useJob.ts';
import { ReadingPanel } from '../readings/ReadingPanel.tsx';

const WHILE_IT_DWELLS = [
  wording.readAndSaveTheCountersSootDistance,
  wording.scanAgainAndSaveCodesSetBy,
  wording.cleanTheSensorsPortsAndHosesLook,
  wording.collectTheRunOff,
];

/** What is waited for once the engine runs again, with the limit that says how long. */
const WARM_WAITS = [
  ['warm-up', 'clockWarmUpMin', wording.warmItUp, wording.readWhenThePressureIsSteady],
  ['steam', 'clockSteamMin', wording.boilingOff, wording.checkWhetherItHasEnded],
] as const satisfies readonly (readonly [ClockKind, LimitId, string, string])[];

/** After each fill a reading, and from the gain curve whether another fill is worth it. */
export function FlushLoop({ open, onStage }: { open: OpenJob; onStage: (stage: 'prove') => void }) {
  const words = useWords();
  const { derived, vehicle, limits, filter } = open;
  const [reading, setReading] = useState(false);
  // Codes are cleared when it reads good: a drop to idle of what may still be in it counts.
  const { forecast } = useForecast(
    useMemo(
      () =>
        burnOfJob(
          {
            derived,
            limits,
            filter,
            ...(vehicle.displacementL === undefined ? {} : { displacementL: vehicle.displacementL }),
          },
          'reset-counter',
        ),
      [derived, limits, filter, vehicle],
    ),
    limits,
  );
  const { steps, advice } = useMemo(() => {
    const { displacementL } = vehicleFactsOf(vehicle);
    const context = { limits, ...(displacementL === undefined ? {} : { displacementL }) };
    const along = flushReadings(derived.entries, filter, context);
    return {
      steps: along,
      advice: adviseFlush(along, limits, sootLeft(along, filter, context, forecast)),
    };
  }, [derived.entries, vehicle, filter, limits, forecast]);
  const fills = fillsOf(derived.entries).length;
  const running = new Set(
    derived.clocks.filter(({ endedMs }) => endedMs === undefined).map(({ clock }) => clock),
  );
  const addEntry = useAddEntry(open.job.id);
  const begin = (clock: ClockKind, limit: (typeof WARM_WAITS)[number][1], next: string): void => {
    askToNotify();
    void addEntry({
      kind: 'clock-started',
      clock,
      minutes: limits[limit],
      what: wording.afterTheClean,
      next,
    });
  };
  const dwelling = derived.clocks.some(({ endedMs, clock }) => endedMs === undefined && clock === 'dwell');
  return (
    <div className="grid gap-3">
      {dwelling ? (
        <div className="border-l-8 border-steel bg-card p-3">
          <p className="font-head font-semibold">{wording.whileItDwells}</p>
          <ul className="list-disc pl-5">
            {WHILE_IT_DWELLS.map((text) => (
              <li key={text}>{text}</li>
            ))}
          </ul>
        </div>
      ) : null}
      <h3 className="text-xl border-b-2 border-ink">{wording.flushByFlush}</h3>
      {steps.length > 0 ? (
        <table className="w-full text-right [&_td]:py-1">
          <thead className="border-b-2 border-ink">
            <tr>
              <th className="text-left">{common.after}</th>
              <th>{wording.atFlow}</th>
              <th>{common.clean}</th>
              <th>{wording.fellBy}</th>
            </tr>
          </thead>
          <tbody>
            {advice.steps.map(({ ratio, lowRatio, highRatio, fellPercent, told }, i) => (
              <tr key={steps[i]?.entry.id} className="border-b-2 border-rule">
                <td className="text-left">
                  {steps[i]?.fills === 0 ? common.beforeWithin : wording.fillWithWhat(steps[i]?.fills ?? '')}
                </td>
                <td>{words.volumeFlow(steps[i]?.flowM3PerH ?? 0)}</td>
                <td>
                  <span className="figure-text text-lg">{fixed(ratio, 1)}</span>{' '}
                  <span className="text-sm text-ink2">
                    {fixed(lowRatio, 1)}–{fixed(highRatio, 1)}
                  </span>
                </td>
                <td>
                  {fellPercent === undefined ? '' : `${fixed(fellPercent)} %`}
                  {told === false ? wording.withinUncertainty : ''}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      ) : null}
      <p role="status" className="font-bold">
        {dwelling
          ? wording.letItDwellThenRead
          : advice.another === 'yes'
            ? wording.anotherFill
            : advice.another === 'no'
              ? wording.noOtherFill
              : ''}
        {dwelling ? null : (
          <span className="font-normal">
            <Say it={advice.reason} />
          </span>
        )}
      </p>
      {fills > 0 ? (
        <>
          <p className="text-ink2">
            {wording.refitStartIdleThenWarmToAnd(words.temperature(limits.coolantWarmC))}
          </p>
          <div className="flex flex-wrap gap-3">
            {WARM_WAITS.map(([clock, limit, label, next]) =>
              running.has(clock) ? null : (
                <Button key={clock} onClick={() => begin(clock, limit, next)}>
                  {wording.min(label, limits[limit])}
                </Button>
              ),
            )}
            <Button onClick={() => setReading((old) => !old)}>
              {reading ? wording.notNow : wording.readAfterFill(fills)}
            </Button>
            <Button onClick={() => onStage('prove')}>{common.continueToTheProof}</Button>
          </div>
          {reading ? (
            <ReadingPanel
              open={open}
              canEnter
              onStage={() => undefined}
              purpose="between"
              onLead={() => undefined}
              onDone={() => setReading(false)}
            />
          ) : null}
          <Waste open={open} />
        </>
      ) : null}
    </div>
  );
}

const WASTE: FieldsOf<'work'> = { wasteL: figure('L') };

/** Run-off is hazardous waste: how much was collected stands on the job. */
function Waste({ open }: { open: OpenJob }) {
  const form = useEntryForm(open, 'work', WASTE, {
    draft: 'waste',
    fixed: { work: 'other', what: wording.runOffCollectedForDisposal },
    // Without a figure there is nothing to enter.
    finish: (typed) => ({ wasteL: Number.NaN, ...typed }),
  });
  return (
    <EntryForm
      of={form}
      className="grid grid-cols-[1fr_auto] sm:grid-cols-[14rem_auto] gap-3 items-end justify-start"
    >
      <FigureField name="wasteL" label={wording.runOffCollected} />
      <SaveButton>{wording.enterIt}</SaveButton>
    </EntryForm>
  );
}
