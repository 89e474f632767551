import type { Advice } from '../contract/index.ts';
import type { Limits } from '../limits/index.ts';
import type { JobJudgement } from './judgeJob.ts';
import { stepTitle } from './stepTitle.ts';
import { stateNow, stepsInState } from './stateNow.ts';
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
  // A timer is not asked for here: it runs on while this stands, and the list shows it beside.
  const [first] = stepsInState(next ? [next] : [], stateNow(derived, Number.POSITIVE_INFINITY));
  return {
    ...(first ? { next: { ...first, title: stepTitle(first, confirmed) } } : {}),
    ...(standsOut ? { likely: standsOut } : {}),
    ...(known ? { causes } : {}),
    drive: drive.verdict,
    by,
  };
}
