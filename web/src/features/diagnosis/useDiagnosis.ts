import { wrap, type Remote } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import type { Diagnosis, DiagnosisQuestion } from '@white-ember/core/diagnosis';
import { questionOfJob, vehicleFactsOf } from '@white-ember/core/job';
import type { DiagnosisWorker, WhatIf } from '../../workers/diagnosisWorker.ts';
import type { OpenJob } from '../job/useJob.ts';

let shared: Remote<DiagnosisWorker> | undefined;
const worker = (): Remote<DiagnosisWorker> =>
  (shared ??= wrap<DiagnosisWorker>(
    new Worker(new URL('../../workers/diagnosisWorker.ts', import.meta.url), { type: 'module' }),
  ));

/**
 * What is asked of a job; undefined while nothing is known, and where what was likely is sealed with it. A job that is fetched again
 * and is the same asks nothing anew: on a slow device the answer would never come.
 */
function useQuestion({ derived, limits, vehicle, sealed }: OpenJob): DiagnosisQuestion | undefined {
  const question = useMemo(
    () => (sealed ? undefined : questionOfJob(derived, limits, vehicleFactsOf(vehicle))),
    [derived, limits, vehicle, sealed],
  );
  const words = useMemo(() => JSON.stringify(question), [question]);
  const [asked, setAsked] = useState({ words, question });
  if (asked.words !== words) setAsked({ words, question });
  return asked.question;
}

/** What is likely behind a job; undefined while nothing is known. */
export function useDiagnosis(open: OpenJob): Diagnosis | undefined {
  const [answer, setAnswer] = useState<{ readonly of: string; readonly diagnosis: Diagnosis }>();
  const question = useQuestion(open);
  const { id } = open.job;
  // Answers come in the order of their questions: one of a moment ago stands until the next is there.
  useEffect(() => {
    let wanted = true;
    if (question)
      void worker()
        .diagnose(question)
        .then((diagnosis) => wanted && setAnswer({ of: id, diagnosis }));
    return () => {
      wanted = false;
    };
  }, [question, id]);
  if (open.sealed) return open.sealed.diagnosis;
  return question && answer?.of === id ? answer.diagnosis : undefined;
}

/** What would be likely after each outcome of a check, once it is asked for. */
export function useWhatIf(open: OpenJob, check: string | undefined): readonly WhatIf[] {
  const [answer, setAnswer] = useState<{ check: string; whatIf: readonly WhatIf[] }>();
  const question = useQuestion(open);
  useEffect(() => {
    let wanted = true;
    if (check && question)
      void worker()
        .whatIf(question, check)
        .then((whatIf) => wanted && setAnswer({ check, whatIf }));
    return () => {
      wanted = false;
    };
  }, [check, question]);
  return answer && answer.check === check ? answer.whatIf : [];
}
