import * as wording from '@white-ember/core/words/screens/job';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { choicesOf, stateNow, type JobState } from '@white-ember/core/job';
import { happenedAt, type ClockKind, type Stage } from '@white-ember/core/ledger';
import { useWords } from '../../data/words.ts';
import type { OpenJob } from '../../job/useJob.ts';
import { useNow } from '../../ui/useNow.ts';
import { RunningClock } from '../clocks/ClockList.tsx';
import { Offer } from '../treatment/ChoiceForm.tsx';
import { OpenRepair } from '../treatment/TemporaryRepairs.tsx';

/** What a job is in the middle of now. */
export function useStateNow({ inCodes }: OpenJob): JobState | undefined {
  const now = useNow(30_000);
  return stateNow(inCodes, now);
}

/** What can be done while one waits, by what is waited for. */
const MEANWHILE: Partial<Record<ClockKind, readonly string[]>> = {
  cooling: wording.whileItCools,
  soak: wording.whileItSoaks,
  drying: wording.whileItSoaks,
  steam: wording.whileItSteams,
  'warm-up': wording.whileItWarmsUp,
};

/** First on its stage: a wait, a burn, a choice or a part that the job stands still for, and the one thing that ends it. */
export function StateNow({ open, state, canEnter }: { open: OpenJob; state: JobState; canEnter: boolean }) {
  const words = useWords();
  const { entries } = open.derived;
  switch (state.is) {
    case 'burning':
    case 'on-the-road': {
      const road = state.is === 'on-the-road';
      return (
        <State title={road ? wording.onTheRoad : wording.itBurns}>
          <p>
            {wording.begunAt(words.clock(happenedAt(state.burn.begun)), state.burn.begun.authorName)}{' '}
            {road ? wording.oneDrivesTheOtherReads : wording.nobodyLeavesIt}
          </p>
          <Link
            to={`/jobs/${open.job.id}/burn`}
            className="font-head font-semibold text-lg rounded-sm px-4 min-h-14 bg-ember-button text-ember-button-text inline-grid place-items-center justify-self-start"
          >
            {wording.watchIt}
          </Link>
        </State>
      );
    }
    case 'waiting': {
      const meanwhile = MEANWHILE[state.clock.clock] ?? [];
      return (
        <State title={wording.waitFor(words.name('clocks', state.clock.clock))}>
          <RunningClock clock={state.clock} open={open} canEnter={canEnter} large />
          {meanwhile.length > 0 ? (
            <div className="border-l-8 border-steel bg-card p-3">
              <p className="font-head font-semibold">{wording.meanwhile}</p>
              <ul className="list-disc pl-5">
                {meanwhile.map((text) => (
                  <li key={text}>{text}</li>
                ))}
              </ul>
            </div>
          ) : null}
        </State>
      );
    }
    case 'choice': {
      const choice = choicesOf(entries).find(({ offer }) => offer.id === state.matter.entry.id);
      return choice ? (
        <State title={wording.theCustomerDecides}>
          <p className="text-ink2">{wording.offeredOn(words.moment(happenedAt(state.matter.entry)))}</p>
          <Offer choice={choice} open={open} canEnter={canEnter} />
        </State>
      ) : null;
    }
    case 'part':
      return (
        <State title={wording.aPartIsAwaited}>
          <OpenRepair matter={state.matter} open={open} canEnter={canEnter} />
        </State>
      );
  }
}

function State({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section aria-label={title} className="grid gap-3 max-w-3xl mb-8">
      <h2 className="text-2xl">{title}</h2>
      {children}
    </section>
  );
}

/** The stage at which a job opens where nobody asked for one. */
export const stageToOpen = ({ inCodes, derived }: OpenJob, nowMs: number): Stage =>
  stateNow(inCodes, nowMs)?.stage ?? derived.stage;
