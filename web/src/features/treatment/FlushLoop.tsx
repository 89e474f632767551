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
  'Read and save the counters: soot, distance since regeneration, oil.',
  'Scan again and save codes set by unplugging.',
  'Clean the sensor’s ports and hoses; look at the clips.',
  'Collect the run-off.',
];

/** What is waited for once the engine runs again, with the limit that says how long. */
const WARM_WAITS = [
  ['warm-up', 'clockWarmUpMin', 'Warm it up', 'read when the pressure is steady'],
  ['steam', 'clockSteamMin', 'Boiling off', 'check whether it has ended'],
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
    void addEntry({ kind: 'clock-started', clock, minutes: limits[limit], what: 'after the clean', next });
  };
  const dwelling = derived.clocks.some(({ endedMs, clock }) => endedMs === undefined && clock === 'dwell');
  return (
    <div className="grid gap-3">
      {dwelling ? (
        <div className="border-l-8 border-steel bg-card p-3">
          <p className="font-head font-semibold">While it dwells</p>
          <ul className="list-disc pl-5">
            {WHILE_IT_DWELLS.map((text) => (
              <li key={text}>{text}</li>
            ))}
          </ul>
        </div>
      ) : null}
      <h3 className="text-xl border-b-2 border-ink">Flush by flush</h3>
      {steps.length > 0 ? (
        <table className="w-full text-right [&_td]:py-1">
          <thead className="border-b-2 border-ink">
            <tr>
              <th className="text-left">after</th>
              <th>at flow</th>
              <th>× clean</th>
              <th>fell by</th>
            </tr>
          </thead>
          <tbody>
            {advice.steps.map(({ ratio, lowRatio, highRatio, fellPercent, told }, i) => (
              <tr key={steps[i]?.entry.id} className="border-b-2 border-rule">
                <td className="text-left">
                  {steps[i]?.fills === 0 ? 'before' : `fill ${steps[i]?.fills ?? ''}`}
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
                  {told === false ? ', within uncertainty' : ''}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      ) : null}
      <p role="status" className="font-bold">
        {dwelling
          ? 'Let it dwell, then read. '
          : advice.another === 'yes'
            ? 'Another fill. '
            : advice.another === 'no'
              ? 'No other fill. '
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
            Refit, start, idle, then warm to {words.temperature(limits.coolantWarmC)} and hold 2500–3000:
            pressure rises while wet, then falls. Read when steady. Steam and smoke for about ten minutes.
          </p>
          <div className="flex flex-wrap gap-3">
            {WARM_WAITS.map(([clock, limit, label, next]) =>
              running.has(clock) ? null : (
                <Button key={clock} onClick={() => begin(clock, limit, next)}>
                  {label}: {limits[limit]} min
                </Button>
              ),
            )}
            <Button onClick={() => setReading((old) => !old)}>
              {reading ? 'Not now' : `Read after fill ${fills}`}
            </Button>
            <Button onClick={() => onStage('prove')}>Continue to the proof</Button>
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
    fixed: { work: 'other', what: 'Run-off collected for disposal' },
    // Without a figure there is nothing to enter.
    finish: (typed) => ({ wasteL: Number.NaN, ...typed }),
  });
  return (
    <EntryForm
      of={form}
      className="grid grid-cols-[1fr_auto] sm:grid-cols-[14rem_auto] gap-3 items-end justify-start"
    >
      <FigureField name="wasteL" label="Run-off collected" />
      <SaveButton>Enter it</SaveButton>
    </EntryForm>
  );
}
