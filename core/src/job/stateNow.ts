import { entriesOfKind, happenedAt, type Entry, type EntryKind, type Stage } from '../ledger/index.ts';
import type { Step } from '../guide/index.ts';
import { say, type Said } from '../words/index.ts';
import { burnsOf, type JobBurnRun } from '../treatment/index.ts';
import { RINGS_MS, type JobClock } from './clocks.ts';
import type { OpenMatter } from './openMatters.ts';

/** What a job is in the middle of, and the stage at which that is. */
export type JobState =
  | { readonly is: 'burning' | 'on-the-road'; readonly stage: Stage; readonly burn: JobBurnRun }
  | { readonly is: 'waiting'; readonly stage: Stage; readonly clock: JobClock }
  | { readonly is: 'choice' | 'part'; readonly stage: Stage; readonly matter: OpenMatter };

/** Whoever did one of these since does not stand and wait. */
const GOES_ON: readonly EntryKind[] = ['reading', 'check', 'work', 'code-scan', 'drive', 'treatment-chosen'];

/**
 * What a job is in the middle of: a burn that runs, a wait whose timer goes, a choice that the customer has, a part that is on order.
 * A choice and a part hold the job up only until something else is done on it; a burn whose end nobody entered is over by then, too.
 * A job that is signed off is in the middle of nothing: what stays open on it is a follow-up.
 * @param nowMs by the clock of the server
 */
export function stateNow(
  {
    entries,
    clocks,
    open,
    signedOff,
  }: {
    readonly entries: readonly Entry[];
    readonly clocks: readonly JobClock[];
    readonly open: readonly OpenMatter[];
    readonly signedOff?: unknown;
  },
  nowMs: number,
): JobState | undefined {
  if (signedOff !== undefined) return undefined;
  const last = Math.max(
    0,
    ...GOES_ON.flatMap((kind) => entriesOfKind(entries, kind)).map((entry) => happenedAt(entry)),
  );
  const burn = burnsOf(entries).findLast(({ goesOn, begun }) => goesOn && happenedAt(begun) >= last);
  if (burn)
    return {
      is: burn.begun.body.work === 'drive-regeneration' ? 'on-the-road' : 'burning',
      stage: 'treat',
      burn,
    };
  const clock = clocks
    .filter(({ endedMs, endMs }) => endedMs === undefined && nowMs < endMs + RINGS_MS)
    .toSorted((a, b) => a.endMs - b.endMs)
    .at(0);
  if (clock) return { is: 'waiting', stage: 'treat', clock };
  const held = open.filter(({ entry }) => happenedAt(entry) >= last);
  const choice = held.findLast(({ kind }) => kind === 'choice');
  if (choice) return { is: 'choice', stage: 'decide', matter: choice };
  const part = held.findLast(({ waitsFor }) => waitsFor !== undefined);
  return part && { is: 'part', stage: 'treat', matter: part };
}

/** What a state without a timer asks for before everything else. */
const ASKED: Readonly<Record<'burning' | 'on-the-road' | 'choice' | 'part', string>> = {
  burning: 'burn',
  'on-the-road': 'burn',
  choice: 'choice',
  part: 'part',
};

/** Steps with what the job is in the middle of before them; a wait with a timer is put there by `whileWaiting`. */
export function stepsInState(steps: readonly Step[], state: JobState | undefined): readonly Step[] {
  if (!state || state.is === 'waiting') return steps;
  return [{ do: 'wait', id: ASKED[state.is], why: whyOf(state) }, ...steps];
}

const whyOf = (state: Exclude<JobState, { readonly is: 'waiting' }>): Said =>
  'burn' in state
    ? say('guide.it-runs-until-its-end')
    : state.is === 'choice'
      ? state.matter.text
      : say('guide.on-order', { part: state.matter.waitsFor ?? '' });
