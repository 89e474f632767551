import type { Advice } from '../contract/index.ts';
import type { JobJudgement } from './judgeJob.ts';
import { stepTitle } from './stepTitle.ts';

/** Causes that are told before the whole judgement is there, and the least chance of one. */
const TOLD_CAUSES = 3;
export const LEAST_TOLD = 0.12;

/** What of a judgement stands in the list of jobs, and on a job’s page until it has judged it itself. */
export function adviceOf(
  { derived, next, standsOut, drive, known, diagnosis }: JobJudgement,
  by: string,
): Advice {
  const causes = diagnosis.posterior.causes
    .filter(({ probability }) => probability >= LEAST_TOLD)
    .slice(0, TOLD_CAUSES)
    .map(({ id, form, probability }) => ({ id, ...(form === undefined ? {} : { form }), probability }));
  const confirmed = derived.causes.some(({ cause, state }) => cause === next?.id && state === 'confirmed');
  return {
    ...(next ? { next: { ...next, title: stepTitle(next, confirmed) } } : {}),
    ...(standsOut ? { likely: standsOut } : {}),
    ...(known ? { causes } : {}),
    drive: drive.verdict,
    by,
  };
}
