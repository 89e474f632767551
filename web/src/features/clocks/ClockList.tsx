import * as common from '@white-ember/core/words/screens/common';
import * as wording from '@white-ember/core/words/screens/clocks';
import { useWords } from '../../data/words.ts';
import { Say } from '../../ui/Say.tsx';
import { useEffect, useState } from 'react';
import { clockOutcome, type JobClock } from '@white-ember/core/job';
import { CLOCKS, type ClockKind } from '@white-ember/core/ledger';
import type { LimitId } from '@white-ember/core/limits';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { ChoiceField, FigureField, TextField } from '../../form/FieldForm.tsx';
import { choice, figure, optionalText } from '../../form/kinds.ts';
import { useNow } from '../../ui/useNow.ts';
import { useAddEntry } from '../../job/useAddEntry.ts';
import { EntryForm } from '../../job/EntryForm.tsx';
import { useEntryForm, type FieldsOf } from '../../job/useEntryForm.ts';
import type { OpenJob } from '../../job/useJob.ts';
import { askToNotify } from './bell.ts';
import { clockName } from './clockName.ts';
import { isLate, leftText } from './clocks.ts';
import { askToRing, useAsked } from './rung.ts';
import { useClocks } from './useClocks.ts';

/** The waits of a job: those that run, how the others went, and one more. */
export function ClockList({
  open,
  canEnter,
  elsewhere,
}: {
  open: OpenJob;
  canEnter: boolean;
  /** One that runs large on the same page. */
  elsewhere?: JobClock | undefined;
}) {
  const clocks = open.derived.clocks.filter(({ entryId }) => entryId !== elsewhere?.entryId);
  return (
    <section className="grid gap-3" aria-label={common.timers}>
      <h2 className="text-xl border-b-2 border-ink">{common.timers}</h2>
      {clocks.length === 0 ? (
        <p className="text-ink2">{elsewhere ? wording.noOther : common.noneYet}</p>
      ) : null}
      <ul className="grid gap-2">
        {clocks.map((clock) => (
          <li key={clock.entryId}>
            {clock.endedMs === undefined ? (
              <RunningClock clock={clock} open={open} canEnter={canEnter} />
            ) : (
              <p
                className={
                  clockOutcome(clock, open.limits)?.state === 'on-time' ? '' : 'text-ember-text font-bold'
                }
              >
                <Say it={clockOutcome(clock, open.limits)?.text ?? ''} />
              </p>
            )}
          </li>
        ))}
      </ul>
      {canEnter ? <StartForm open={open} /> : null}
    </section>
  );
}

/** A wait that runs: what is left of it, what comes then, and its end. */
export function RunningClock({
  clock,
  open,
  canEnter,
  large = false,
}: {
  clock: JobClock;
  open: OpenJob;
  canEnter: boolean;
  large?: boolean;
}) {
  const words = useWords();
  const now = useNow(1000);
  const addEntry = useAddEntry(open.job.id);
  const [why, setWhy] = useState('');
  const leftMs = clock.endMs - now;
  const early = leftMs > 60_000;
  const end = (): void =>
    void addEntry({ kind: 'clock-ended', entry: clock.entryId, ...(why.trim() ? { why: why.trim() } : {}) });
  return (
    <div className="border-l-8 border-steel bg-card p-3 grid gap-2">
      <p className="flex items-baseline gap-3">
        <span className={`figure-text ${large ? 'text-6xl' : 'text-2xl'}`}>{leftText(leftMs)}</span>
        <span className={`grow ${large ? 'text-lg' : ''}`}>
          <Say it={words.name('clocks', clock.clock)} />, <Say it={clock.what} />
          {clock.next ? (
            <span className="text-ink2">
              {' '}
              {wording.next} <Say it={clock.next} />
            </span>
          ) : null}
        </span>
      </p>
      {canEnter ? <EndTimer early={early} why={why} setWhy={setWhy} end={end} /> : null}
      <RingHere entryId={clock.entryId} />
    </div>
  );
}

/** Whoever does not work on a job may ask to hear its timer, too. */
function RingHere({ entryId }: { entryId: string }) {
  const clock = useClocks().find((one) => one.entryId === entryId);
  const asked = useAsked().includes(entryId);
  if (!clock || clock.mine || isLate(clock)) return null;
  return (
    <label className="flex items-center gap-3 min-h-11">
      <input
        type="checkbox"
        className="size-6"
        checked={asked}
        onChange={({ target }) => {
          askToRing(entryId, target.checked);
          if (target.checked) askToNotify();
        }}
      />
      {wording.ringOnThisDeviceToo}
    </label>
  );
}

/** Ends a timer, with the reason where it is early. */
function EndTimer({
  early,
  why,
  setWhy,
  end,
}: {
  early: boolean;
  why: string;
  setWhy: (value: string) => void;
  end: () => void;
}) {
  return (
    <div className="grid sm:grid-cols-[1fr_auto] gap-3 items-end">
      {early ? (
        <Field label={wording.reasonForEndingEarly} hint={common.shownInTheReport}>
          <input className="input-box" value={why} onChange={(event) => setWhy(event.target.value)} />
        </Field>
      ) : (
        <span />
      )}
      <Button onClick={end}>{early ? wording.endItEarly : wording.endIt}</Button>
    </div>
  );
}

/** The limit that says how long each kind usually takes. */
const USUAL = {
  dwell: 'chemicalDwellMin',
  soak: 'clockSoakMin',
  rinse: 'clockRinseMin',
  drying: 'clockDryingMin',
  cooling: 'clockCoolingMin',
  'warm-up': 'clockWarmUpMin',
  steam: 'clockSteamMin',
  site: 'clockSiteMin',
} as const satisfies Record<ClockKind, LimitId>;

const FIELDS: FieldsOf<'clock-started'> = {
  clock: choice('cooling'),
  minutes: figure('min'),
  what: optionalText(),
  next: optionalText(),
};

function StartForm({ open }: { open: OpenJob }) {
  const usual = (clock: ClockKind): number => open.limits[USUAL[clock]];
  const form = useEntryForm(open, 'clock-started', FIELDS, {
    start: { clock: 'cooling', minutes: usual('cooling') },
    finish: (typed) => ({ what: wording.theFilter, minutes: usual(typed['clock'] as ClockKind), ...typed }),
  });
  const clock = form.typed('clock') as ClockKind;
  const { setValue } = form.form;
  const usualMin = usual(clock);
  useEffect(() => setValue('minutes', String(usualMin)), [clock, usualMin, setValue]);
  return (
    <details className="border-2 border-rule bg-card">
      <summary className="font-head font-semibold min-h-12 px-3 content-center">
        {wording.startATimer}
      </summary>
      <EntryForm of={form} className="grid grid-cols-[1fr_7rem] gap-3 p-3 pt-0">
        <ChoiceField
          name="clock"
          label={common.wait}
          options={CLOCKS.map((kind) => [kind, clockName({ clock: kind })])}
        />
        <FigureField name="minutes" label={common.time} />
        <TextField
          name="what"
          label={wording.whatFor}
          hint={wording.theFilterIfLeftEmpty}
          className="col-span-2"
        />
        <TextField name="next" label={wording.whatComesNext} className="col-span-2" />
        <Button type="submit" className="col-span-2" onClick={askToNotify}>
          {wording.startIt}
        </Button>
      </EntryForm>
    </details>
  );
}
