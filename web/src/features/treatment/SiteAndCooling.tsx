import { useState } from 'react';
import { coolingMinutes, type Readiness } from '@white-ember/core/treatment';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { typedNumber } from '../../ui/format.ts';
import { askToNotify } from '../clocks/bell.ts';
import { useAddEntry } from '../job/useAddEntry.ts';
import type { OpenJob } from '../job/useJob.ts';

/** What can be waited for before fluid goes in: a filter that cools, another site. Each is a task with its clock. */
export function SiteAndCooling({
  open,
  readiness,
  upToC,
}: {
  open: OpenJob;
  readiness: Readiness;
  /** Hottest filter that the fluid may go into. */
  upToC: number;
}) {
  const running = new Set(
    open.derived.clocks.filter(({ endedMs }) => endedMs === undefined).map(({ clock }) => clock),
  );
  const filterC = readiness.entry?.body.answers['filterC'];
  const hot = readiness.held.some(({ id }) => id === 'filter-hot') && typeof filterC === 'number';
  const elsewhere = readiness.held.some(({ id }) => id === 'site-unsafe');
  return (
    <>
      {hot && !running.has('cooling') ? <Cooling open={open} fromC={filterC} upToC={upToC} /> : null}
      {elsewhere && !running.has('site') ? <OtherSite open={open} /> : null}
      {running.has('cooling') || running.has('site') ? (
        <p className="border-l-8 border-steel pl-3">
          {running.has('cooling') ? 'Cooling. ' : ''}
          {running.has('site') ? 'At another site. ' : ''}
          When the timer rings, answer again.
        </p>
      ) : null}
    </>
  );
}

function Cooling({ open, fromC, upToC }: { open: OpenJob; fromC: number; upToC: number }) {
  const addEntry = useAddEntry(open.job.id);
  const minutes = Math.max(1, Math.ceil(coolingMinutes(fromC, upToC, open.limits)));
  return (
    <p className="flex flex-wrap gap-3 items-center border-l-8 border-steel bg-card p-3">
      <span className="grow">
        From {fromC.toFixed(0)} to {upToC} °C a parked filter takes about{' '}
        <b className="figure-text">{minutes} min</b>: two thirds of its heat are gone in{' '}
        {open.limits.filterCoolsMin} min.
      </span>
      <Button
        onClick={() => {
          askToNotify();
          void addEntry({
            kind: 'clock-started',
            clock: 'cooling',
            minutes,
            what: `the filter, from ${fromC.toFixed(0)} to ${upToC} °C`,
            next: 'measure it and dose',
          });
        }}
      >
        Let it cool
      </Button>
    </p>
  );
}

function OtherSite({ open }: { open: OpenJob }) {
  const addEntry = useAddEntry(open.job.id);
  const [where, setWhere] = useState('');
  const [minutes, setMinutes] = useState(String(open.limits.clockSiteMin));
  const [problems, setProblems] = useState<Record<string, string>>({});
  const go = async (): Promise<void> => {
    askToNotify();
    const wrong = await addEntry({
      kind: 'clock-started',
      clock: 'site',
      minutes: typedNumber(minutes) ?? Number.NaN,
      what: where,
      next: 'check the site, then dose',
    });
    setProblems(wrong ?? {});
  };
  return (
    <div className="grid sm:grid-cols-[1fr_8rem_auto] gap-3 items-end border-l-8 border-steel bg-card p-3">
      <Field label="Another site" hint="Where smoke is no nuisance" error={problems['what']}>
        <input className="input-box" value={where} onChange={(event) => setWhere(event.target.value)} />
      </Field>
      <Field label="There in" unit="min" error={problems['minutes']}>
        <input
          className="input-box"
          inputMode="decimal"
          value={minutes}
          onChange={(event) => setMinutes(event.target.value)}
        />
      </Field>
      <Button onClick={() => void go()}>Change the site</Button>
    </div>
  );
}
