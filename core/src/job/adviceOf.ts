import type { Advice } from '../contract/index.ts';
import type { JobJudgement } from './judgeJob.ts';
import { stepTitle } from './stepTitle.ts';

/** From here on a cause stands out. */
const STANDS_OUT = 0.5;

/** What of a judgement stands in the list of jobs. */
export function adviceOf({ derived, next, known, diagnosis, drive }: JobJudgement, by: string): Advice {
  const confirmed = derived.causes.some(({ cause, state }) => cause === next?.id && state === 'confirmed');
  const [likely] = known ? diagnosis.posterior.causes : [];
  return {
    ...(next ? { next: { ...next, title: stepTitle(next, confirmed) } } : {}),
    ...(likely && likely.probability >= STANDS_OUT
      ? { likely: { cause: likely.id, probability: likely.probability } }
      : {}),
    drive: drive.verdict,
    by,
  };
}
