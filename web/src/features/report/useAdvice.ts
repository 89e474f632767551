import { useMemo } from 'react';
import type { Advice } from '@white-ember/core/contract';
import { adviceOf } from '@white-ember/core/job';
import { SOFTWARE } from '@white-ember/core/report';
import type { OpenJob } from '../../job/useJob.ts';
import { useJudgementInCodes } from '../diagnosis/useDiagnosis.ts';

/** What a job comes to now, as the list and the PDF say it; undefined until it is worked out, and where it is sealed. */
export function useAdvice(open: OpenJob): Advice | undefined {
  const judgement = useJudgementInCodes(open);
  const { inCodes, limits } = open;
  return useMemo(
    () => (judgement ? adviceOf({ ...judgement, derived: inCodes }, limits, SOFTWARE) : undefined),
    [judgement, inCodes, limits],
  );
}
