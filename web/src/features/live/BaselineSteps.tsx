import * as wording from '@white-ember/core/words/screens/live';
import type { BaselineStep, BaselineStepId } from '@white-ember/core/readings';
import { Say } from '../../ui/Say.tsx';

const NAMES: Readonly<Record<BaselineStepId, string>> = {
  'key-on': wording.keyOn,
  'cold-idle': wording.coldIdle,
  'warm-idle': wording.warmIdle,
  'hold-low': wording.firstHold,
  'hold-high': wording.secondHold,
  snaps: wording.snaps,
  'key-off': wording.keyOff,
};

const WORDS: Readonly<Record<BaselineStep['state'], string>> = {
  done: 'done',
  now: 'now',
  'to-do': wording.toDo,
  'not-needed': wording.notNeeded,
};

/** The guided baseline: each step is recognised by itself; what is missing is said. */
export function BaselineSteps({ steps }: { steps: readonly BaselineStep[] }) {
  return (
    <ol aria-label={wording.baseline} className="grid gap-1">
      {steps.map(({ id, state, share, text }) => (
        <li
          key={id}
          aria-current={state === 'now' ? 'step' : undefined}
          className={
            state === 'now'
              ? 'border-2 border-ink bg-card px-3 py-2 grid gap-1'
              : 'border-b-2 border-rule px-1 py-1.5 flex flex-wrap gap-x-2'
          }
        >
          <span className="flex justify-between gap-3 font-head font-semibold grow">
            <span>{NAMES[id]}</span>
            <span className={state === 'now' ? 'text-ember-text' : 'text-ink2'}>{WORDS[state]}</span>
          </span>
          {state === 'to-do' ? null : (
            <span className={state === 'now' ? 'text-lg' : 'text-[15px] text-ink2 w-full'}>
              <Say it={text} />
            </span>
          )}
          {state === 'now' ? (
            <span aria-hidden className="block h-2 bg-rule">
              <span className="block h-2 bg-ember" style={{ width: `${Math.round(100 * share)}%` }} />
            </span>
          ) : null}
        </li>
      ))}
    </ol>
  );
}
