import { say, type Said } from '../words/index.ts';
import type { Step } from './nextSteps.ts';

/** A wait of a job, as far as it says what is next. */
interface Wait {
  readonly what: Said;
  readonly next: Said | undefined;
  readonly endMs: number;
  readonly endedMs?: number;
}

const MINUTE_MS = 60_000;

/** A dwell or soak that runs is waited for before what comes after it. */
export function whileWaiting(
  steps: readonly Step[],
  clocks: readonly Wait[],
  nowMs: number,
): readonly Step[] {
  const runs = clocks.find(({ endedMs, endMs }) => endedMs === undefined && endMs > nowMs);
  if (!runs) return steps;
  return [
    {
      do: 'wait',
      minutes: Math.ceil((runs.endMs - nowMs) / MINUTE_MS),
      why: runs.next === undefined ? runs.what : say('guide.then', { what: runs.what, next: runs.next }),
    },
    ...steps,
  ];
}
