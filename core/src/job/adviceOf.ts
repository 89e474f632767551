import type { Advice } from '../contract/index.ts';
import type { JobJudgement } from './judgeJob.ts';
import { stepTitle } from './stepTitle.ts';

/** What of a judgement stands in the list of jobs. */
export function adviceOf({ derived, next, standsOut, drive }: JobJudgement, by: string): Advice {
  const confirmed = derived.causes.some(({ cause, state }) => cause === next?.id && state === 'confirmed');
  return {
    ...(next ? { next: { ...next, title: stepTitle(next, confirmed) } } : {}),
    ...(standsOut ? { likely: standsOut } : {}),
    drive: drive.verdict,
    by,
  };
}
