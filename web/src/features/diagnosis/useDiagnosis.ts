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

/** What is asked of a job; undefined while nothing is known, and where what was likely is sealed with it. */
function useQuestion({ derived, limits, vehicle, sealed }: OpenJob): DiagnosisQuestion | undefined {
  return useMemo(
    () => (sealed ? undefined : questionOfJob(derived, limits, vehicleFactsOf(vehicle))),
    [derived, limits, vehicle, sealed],
  );
}

/** What is likely behind a job; undefined while nothing is known. */
export function useDiagnosis(open: OpenJob): Diagnosis | undefined {
  const [diagnosis, setDiagnosis] = useState<Diagnosis>();
  const question = useQuestion(open);
  useEffect(() => {
    let wanted = true;
    if (question)
      void worker()
        .diagnose(question)
        .then((answer) => wanted && setDiagnosis(answer));
    return () => {
      wanted = false;
    };
  }, [question]);
  if (open.sealed) return open.sealed.diagnosis;
  return question ? diagnosis : undefined;
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
