import { spokenNow } from '../../../data/words.ts';
import { useEffect, useMemo, useState } from 'react';
import { happenedAt, type BurnEnd } from '@white-ember/core/ledger';
import {
  judgeBurnRun,
  type BurnMoment,
  type JobBurn,
  type JobBurnRun,
  type RunEstimate,
} from '@white-ember/core/treatment';
import { Button } from '../../../ui/Button.tsx';
import { Field } from '../../../ui/Field.tsx';
import { FigureField, SaveButton } from '../../../form/FieldForm.tsx';
import { figure } from '../../../form/kinds.ts';
import { say } from '@white-ember/core/words';
import { EntryForm } from '../../../job/EntryForm.tsx';
import { useEntryForm, type FieldsOf } from '../../../job/useEntryForm.ts';
import { useNow } from '../../../ui/useNow.ts';
import { useAddEntry } from '../../../job/useAddEntry.ts';
import type { OpenJob } from '../../../job/useJob.ts';
import { burnRemote } from '../../../workers/burnRemote.ts';
import { burnEndBody } from './burnEnd.ts';
import { WatchDesk } from './WatchDesk.tsx';

const LABELS = {
  rpm: 'Engine speed',
  egt1C: 'EGT 1, before turbo',
  egt2C: 'EGT 2, before catalyst',
  egt3C: 'EGT 3, before filter',
  egt4C: 'EGT 4, after filter',
  coolantC: 'Coolant',
  sootG: 'Soot counter',
  airGPerS: 'Air mass',
} as const;
const FIELDS: FieldsOf<'burn-reading'> = {
  rpm: figure('rpm'),
  egt1C: figure('degC'),
  egt2C: figure('degC'),
  egt3C: figure('degC'),
  egt4C: figure('degC'),
  coolantC: figure('degC'),
  sootG: figure('g'),
  airGPerS: figure('gPerS'),
};
/** After so long without a reading one is asked for, min. */
const ASK_AFTER_MIN = 3;

/** A burn that another tool commands: what it shows is typed, and judged by the same rules. */
export function HandBurn({ open, run, burn }: { open: OpenJob; run: JobBurnRun; burn: JobBurn | undefined }) {
  const { job, vehicle, limits } = open;
  const addEntry = useAddEntry(job.id);
  const now = useNow(1000);
  const fromMs = happenedAt(run.begun);
  const moments = useMemo(
    () =>
      run.readings.map((entry): BurnMoment => {
        const { kind: _, burn: __, ...read } = entry.body;
        return { atS: (happenedAt(entry) - fromMs) / 1000, ...read } as BurnMoment;
      }),
    [run.readings, fromMs],
  );
  const [estimate, setEstimate] = useState<RunEstimate>();
  useEffect(() => {
    let wanted = true;
    if (burn && moments.length > 0)
      void burnRemote()
        .estimate(moments, burn, limits)
        .then((told) => wanted && setEstimate(told.ok ? told.value : undefined));
    return () => {
      wanted = false;
    };
  }, [moments, burn, limits]);
  // Seen at the vehicle: its rule stands on the screen until a person says that the dosing is off.
  const [seen, setSeen] = useState<{ oilSmoke?: boolean; fire?: boolean }>({});
  const nowS = (now - fromMs) / 1000;
  const judged = judgeBurnRun(moments, {
    limits,
    material: vehicle.filter?.material ?? 'unknown',
    ...(estimate ? { estimate: estimate.bed } : {}),
    seen,
  });
  const form = useEntryForm(open, 'burn-reading', FIELDS, {
    draft: `burn ${run.begun.id}`,
    fixed: { burn: run.begun.id },
  });
  const [why, setWhy] = useState('');
  const sinceMin = (nowS - (moments.at(-1)?.atS ?? 0)) / 60;
  const end = async (how: BurnEnd, reason?: string): Promise<void> => {
    const wrong = await addEntry(
      burnEndBody(
        { burn: run.begun.id, how, why: reason ?? why, source: 'hand', endedAtS: nowS },
        { moments, estimate, burn },
      ),
    );
    if (wrong) return;
    await addEntry({
      kind: 'clock-started',
      clock: 'cooling',
      minutes: limits.clockBurnCoolingMin,
      what: say('job.revs-kept-up'),
      next: say('job.idle-when-cool', { belowC: limits.cooledBedC }),
    });
  };
  // What is shown as the last moment is as old as it is: the clock goes on beyond it.
  const shown = moments.length > 0 ? moments : [{ atS: Math.max(0, nowS) }];
  return (
    <WatchDesk
      open={open}
      moments={shown}
      judged={judged}
      estimate={estimate}
      stoppedAtS={undefined}
      actions={
        <>
          <Button weight="main" onClick={() => void end('by-itself')}>
            The tool reports the end
          </Button>
          <Field label="Stopped, why" hint="Dosing off, flow kept up">
            <input className="input-box" value={why} onChange={(event) => setWhy(event.target.value)} />
          </Field>
          <Button
            onClick={() =>
              void end(
                seen.fire ? 'fire' : 'stopped',
                why.trim() || (judged.broken ? spokenNow(judged.broken.label) : 'Stopped by hand'),
              )
            }
          >
            I have stopped the dosing
          </Button>
          <div className="flex gap-2">
            <Button
              className="grow"
              aria-pressed={seen.oilSmoke === true}
              onClick={() => setSeen((old) => ({ ...old, oilSmoke: true }))}
            >
              Blue smoke
            </Button>
            <Button
              className="grow"
              aria-pressed={seen.fire === true}
              onClick={() => setSeen((old) => ({ ...old, fire: true }))}
            >
              Flames
            </Button>
          </div>
        </>
      }
    >
      <section aria-label="What the tool shows" className="border-2 border-ink bg-card p-3 grid gap-3">
        <h2 className="text-xl">
          What the tool shows, {Math.floor(nowS / 60)} min into it
          {sinceMin > ASK_AFTER_MIN ? (
            <span className="text-ember-text"> · last read {Math.floor(sinceMin)} min ago</span>
          ) : null}
        </h2>
        <EntryForm of={form} className="grid grid-cols-2 sm:grid-cols-4 gap-3">
          {Object.entries(LABELS)
            .filter(([name]) => !name.startsWith('egt') || vehicle.fitted.includes(name.slice(0, 4) as never))
            .map(([name, label]) => (
              <FigureField key={name} name={name} label={label} />
            ))}
          <SaveButton className="col-span-full">Save these values</SaveButton>
        </EntryForm>
      </section>
    </WatchDesk>
  );
}
