import { useState } from 'react';
import { CLOCK_LABELS, clockOutcome, type JobClock } from '@white-ember/core/job';
import { CLOCKS, type ClockKind } from '@white-ember/core/ledger';
import type { LimitId } from '@white-ember/core/limits';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { typedNumber } from '../../ui/format.ts';
import { useNow } from '../../ui/useNow.ts';
import { useAddEntry } from '../job/useAddEntry.ts';
import type { OpenJob } from '../job/useJob.ts';
import { askToNotify } from './bell.ts';
import { leftText } from './clocks.ts';

/** The waits of a job: those that run, how the others went, and one more. */
export function ClockList({ open, canEnter }: { open: OpenJob; canEnter: boolean }) {
  const { clocks } = open.derived;
  return (
    <section className="grid gap-3">
      <h2 className="text-xl border-b-2 border-ink">Waits</h2>
      {clocks.length === 0 ? <p className="text-ink2">None yet.</p> : null}
      <ul className="grid gap-2">
        {clocks.map((clock) => (
          <li key={clock.entryId}>
            {clock.endedMs === undefined ? (
              <Running clock={clock} open={open} canEnter={canEnter} />
            ) : (
              <p
                className={
                  clockOutcome(clock, open.limits)?.state === 'on-time' ? '' : 'text-ember-text font-bold'
                }
              >
                {clockOutcome(clock, open.limits)?.text}
              </p>
            )}
          </li>
        ))}
      </ul>
      {canEnter ? <StartForm open={open} /> : null}
    </section>
  );
}

function Running({ clock, open, canEnter }: { clock: JobClock; open: OpenJob; canEnter: boolean }) {
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
        <span className="figure-text text-2xl">{leftText(leftMs)}</span>
        <span className="grow">
          {CLOCK_LABELS[clock.clock]}, {clock.what}
          {clock.next ? <span className="text-ink2"> · next: {clock.next}</span> : null}
        </span>
      </p>
      {canEnter ? (
        <div className="grid sm:grid-cols-[1fr_auto] gap-3 items-end">
          {early ? (
            <Field label="Reason for ending early" hint="Shown in the report">
              <input className="input-box" value={why} onChange={(event) => setWhy(event.target.value)} />
            </Field>
          ) : (
            <span />
          )}
          <Button onClick={end}>{early ? 'End it early' : 'End it'}</Button>
        </div>
      ) : null}
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

function StartForm({ open }: { open: OpenJob }) {
  const addEntry = useAddEntry(open.job.id);
  const [clock, setClock] = useState<ClockKind>('cooling');
  const [minutes, setMinutes] = useState<string>();
  const [what, setWhat] = useState('');
  const [next, setNext] = useState('');
  const [problems, setProblems] = useState<Record<string, string>>({});
  const usual = open.limits[USUAL[clock]];
  const start = async (): Promise<void> => {
    askToNotify();
    const wrong = await addEntry({
      kind: 'clock-started',
      clock,
      minutes: typedNumber(minutes ?? String(usual)) ?? Number.NaN,
      what: what.trim() || 'the filter',
      ...(next.trim() ? { next: next.trim() } : {}),
    });
    setProblems(wrong ?? {});
    if (wrong) return;
    setMinutes(undefined);
    setWhat('');
    setNext('');
  };
  return (
    <details className="border-2 border-rule bg-card">
      <summary className="font-head font-semibold min-h-12 px-3 content-center">Start a timer</summary>
      <div className="grid grid-cols-[1fr_7rem] gap-3 p-3 pt-0">
        <Field label="Wait">
          <select
            className="input-box"
            value={clock}
            onChange={(event) => {
              setClock(event.target.value as ClockKind);
              setMinutes(undefined);
            }}
          >
            {CLOCKS.map((kind) => (
              <option key={kind} value={kind}>
                {CLOCK_LABELS[kind]}
              </option>
            ))}
          </select>
        </Field>
        <Field label="Time" unit="min" error={problems['minutes']}>
          <input
            className="input-box"
            inputMode="decimal"
            value={minutes ?? String(usual)}
            onChange={(event) => setMinutes(event.target.value)}
          />
        </Field>
        <Field label="What for" hint="The filter, if left empty" error={problems['what']}>
          <input className="input-box" value={what} onChange={(event) => setWhat(event.target.value)} />
        </Field>
        <span />
        <Field label="What comes next" className="col-span-2" error={problems['next']}>
          <input className="input-box" value={next} onChange={(event) => setNext(event.target.value)} />
        </Field>
        <Button className="col-span-2" onClick={() => void start()}>
          Start it
        </Button>
      </div>
    </details>
  );
}
