import * as wording from '@white-ember/core/words/screens/burn';
import * as common from '@white-ember/core/words/screens/common';
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
  rpm: wording.engineSpeed,
  egt1C: wording.egt1BeforeTurbo,
  egt2C: wording.egt2BeforeCatalyst,
  egt3C: wording.egt3BeforeFilter,
  egt4C: wording.egt4AfterFilter,
  coolantC: wording.coolant,
  sootG: wording.sootCounter,
  airGPerS: common.airMass,
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
            {wording.theToolReportsTheEnd}
          </Button>
          <Field label={wording.stoppedWhy} hint={wording.dosingOffFlowKeptUp}>
            <input className="input-box" value={why} onChange={(event) => setWhy(event.target.value)} />
          </Field>
          <Button
            onClick={() =>
              void end(
                seen.fire ? 'fire' : 'stopped',
                why.trim() || (judged.broken ? spokenNow(judged.broken.label) : wording.stoppedByHand),
              )
            }
          >
            {wording.iHaveStoppedTheDosing}
          </Button>
          <div className="flex gap-2">
            <Button
              className="grow"
              aria-pressed={seen.oilSmoke === true}
              onClick={() => setSeen((old) => ({ ...old, oilSmoke: true }))}
            >
              {wording.blueSmoke}
            </Button>
            <Button
              className="grow"
              aria-pressed={seen.fire === true}
              onClick={() => setSeen((old) => ({ ...old, fire: true }))}
            >
              {wording.flames}
            </Button>
          </div>
        </>
      }
    >
      <section aria-label={wording.whatTheToolShows} className="border-2 border-ink bg-card p-3 grid gap-3">
        <h2 className="text-xl">
          {wording.whatTheToolShowsMinIntoIt(Math.floor(nowS / 60))}
          {sinceMin > ASK_AFTER_MIN ? (
            <span className="text-ember-text"> {wording.lastReadMinAgo(Math.floor(sinceMin))}</span>
          ) : null}
        </h2>
        <EntryForm of={form} className="grid grid-cols-2 sm:grid-cols-4 gap-3">
          {Object.entries(LABELS)
            .filter(([name]) => !name.startsWith('egt') || vehicle.fitted.includes(name.slice(0, 4) as never))
            .map(([name, label]) => (
              <FigureField key={name} name={name} label={label} />
            ))}
          <SaveButton className="col-span-full">{wording.saveTheseValues}</SaveButton>
        </EntryForm>
      </section>
    </WatchDesk>
  );
}
