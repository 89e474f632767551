import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import type { Diagnosis } from '@white-ember/core/diagnosis';
import { questionOfJob, vehicleFactsOf } from '@white-ember/core/job';
import type { WhatIf } from '../../workers/diagnosisWorker.ts';
import type { Spoken } from '@white-ember/core/words';
import { useSpoken } from '../../data/words.ts';
import type { OpenJob } from '../../job/useJob.ts';
import { ask, diagnosisRemote, judgementOf, subscribe, type Judgement } from './judging.ts';

/** A judgement before it is put into words. */
export function useJudgementInCodes({ job: { id }, facts, sealed }: OpenJob): Judgement | undefined {
  const judgement = useSyncExternalStore(subscribe, () => judgementOf(id));
  useEffect(() => {
    if (!sealed) ask(id, facts);
  }, [id, facts, sealed]);
  return sealed ? undefined : judgement;
}

/** All that is said of a job now; undefined until it is worked out, and where it is sealed. */
export const useJudgement = (open: OpenJob): Spoken<Judgement> | undefined =>
  useSpoken(useJudgementInCodes(open));

/** What is likely behind a job: sealed with it, or as it is judged now; undefined while nothing is known. */
export function useDiagnosis(open: OpenJob): Spoken<Diagnosis> | undefined {
  const judgement = useJudgement(open);
  return open.sealed ? open.sealed.diagnosis : judgement?.known ? judgement.diagnosis : undefined;
}

/** What would be likely after each outcome of a check, once it is asked for. */
export function useWhatIf(
  { derived, limits, vehicle, sealed }: OpenJob,
  check: string | undefined,
): readonly WhatIf[] {
  const [answer, setAnswer] = useState<{ check: string; whatIf: readonly WhatIf[] }>();
  const question = useMemo(
    () => (sealed ? undefined : questionOfJob(derived, limits, vehicleFactsOf(vehicle))),
    [derived, limits, vehicle, sealed],
  );
  useEffect(() => {
    let wanted = true;
    if (check && question)
      void diagnosisRemote()
        .whatIf(question, check)
        .then((whatIf) => wanted && setAnswer({ check, whatIf }));
    return () => {
      wanted = false;
    };
  }, [check, question]);
  return answer && answer.check === check ? answer.whatIf : [];
}
