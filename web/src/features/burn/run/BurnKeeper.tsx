import * as wording from '@white-ember/core/words/screens/burn';
import { say } from '@white-ember/core/words';
import { useWords } from '../../../data/words.ts';
import { Say } from '../../../ui/Say.tsx';
import { useEffect, useRef } from 'react';
import { burnsOf } from '@white-ember/core/treatment';
import type { EntryBody } from '@white-ember/core/ledger';
import { Link, useLocation } from 'react-router';
import { clockText } from '../../readings/logs/traceLanes.ts';
import { useAddEntry } from '../../../job/useAddEntry.ts';
import { useJob } from '../../../job/useJob.ts';
import { ring } from '../../clocks/bell.ts';
import { burnEndBody } from './burnEnd.ts';
import type { BurnWatch, WatchState } from './burnWatch.ts';
import { useWatchState } from './openWatch.ts';

const endOf = (burn: string, watch: BurnWatch, state: WatchState): EntryBody =>
  burnEndBody(
    { burn, how: state.how ?? 'unknown', why: state.why, source: 'live', endedAtS: state.stoppedAtS ?? 0 },
    { ...state, burn: watch.facts.burn },
  );

/** Stores how a watched burn ended, wherever on the page a person is; once more when the bed is cool, with its whole course. */
export function BurnKeeper({ watch }: { watch: BurnWatch }) {
  const words = useWords();
  const { jobId } = watch.facts;
  const state = useWatchState(watch);
  const { open } = useJob(jobId);
  const add = useAddEntry(jobId);
  const addEntry = (body: EntryBody, supersedes?: string) => add(body, supersedes, { quiet: true });
  const { pathname } = useLocation();
  const last = open ? burnsOf(open.derived.entries).at(-1) : undefined;
  const stored = useRef<'no' | 'stopped' | 'cold'>('no');
  const rang = useRef('');
  const phase = state?.judged.phase;
  const cooling = open?.derived.clocks.findLast(
    ({ clock, endedMs }) => clock === 'cooling' && endedMs === undefined,
  );

  useEffect(() => {
    const broken = state?.judged.broken?.id ?? (state?.away ? 'away' : '');
    if (broken !== '' && broken !== rang.current) ring();
    rang.current = broken;
  }, [state?.judged.broken?.id, state?.away]);

  useEffect(() => {
    if (!state || !open || !last || state.stoppedAtS === undefined) return;
    if (stored.current === 'no' && last.goesOn) {
      stored.current = 'stopped';
      void addEntry(endOf(last.begun.id, watch, state)).then(() =>
        addEntry({
          kind: 'clock-started',
          clock: 'cooling',
          minutes: open.limits.clockBurnCoolingMin,
          what: say('job.revs-kept-up'),
          next: say('job.idle-when-cool', { belowC: open.limits.cooledBedC }),
        }),
      );
    }
    if (stored.current === 'stopped' && last.ended && phase === 'cold') {
      stored.current = 'cold';
      void addEntry(endOf(last.begun.id, watch, state), last.ended.id).then(() =>
        cooling
          ? addEntry({
              kind: 'clock-ended',
              entry: cooling.entryId,
              why: say('job.bed-is-at', { bedC: state.judged.bedC }),
            })
          : undefined,
      );
    }
    // oxlint-disable-next-line react-hooks/exhaustive-deps -- what is stored depends on these alone
  }, [state?.stoppedAtS, phase, last?.begun.id, last?.ended?.id]);

  if (!state || pathname === `/jobs/${jobId}/burn`) return null;
  const bed = state.judged.bedC;
  return (
    <Link
      to={`/jobs/${jobId}/burn`}
      className={`fixed bottom-3 right-3 z-30 border-2 bg-card px-3 min-h-12 flex items-center gap-3 font-head font-semibold ${state.judged.broken || state.away ? 'border-ember' : 'border-ink'}`}
    >
      <span aria-hidden className="size-3 bg-ember" />
      {state.judged.broken ? (
        <Say it={state.judged.broken.label} />
      ) : state.away ? (
        wording.regenerationNoLiveValues
      ) : (
        wording.burn(phase ?? '')
      )}
      <span className="figure-text text-lg">
        {clockText(state.moments.at(-1)?.atS ?? 0)}
        {bed === undefined ? '' : wording.bed(words.temperature(bed))}
      </span>
    </Link>
  );
}
