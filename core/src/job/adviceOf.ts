import type { Advice } from '../contract/index.ts';
import type { Limits } from '../limits/index.ts';
import type { JobJudgement } from './judgeJob.ts';
import { stepTitle } from './stepTitle.ts';
import { toldCauses } from './toldCauses.ts';

/** What of a judgement stands in the list of jobs, and on a job’s page until it has judged it itself. */
export function adviceOf(
  { derived, next, standsOut, drive, known, diagnosis }: JobJudgement,
  limits: Pick<Limits, 'toldPercent'>,
  by: string,
): Advice {
  const causes = toldCauses(diagnosis, limits).map(({ id, form, probability }) => ({
    id,
    ...(form === undefined ? {} : { form }),
    probability,
  }));
  const confirmed = derived.causes.some(({ cause, state }) => cause === next?.id && state === 'confirmed');
  return {
    ...(next ? { next: { ...next, title: stepTitle(next, confirmed) } } : {}),
    ...(standsOut ? { likely: standsOut } : {}),
    ...(known ? { causes } : {}),
    drive: drive.verdict,
    by,
  };
}
