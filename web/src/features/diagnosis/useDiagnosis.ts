import { wrap, type Remote } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import { factsOfJob } from '@white-ember/core/diagnosis';
import { entriesOfKind } from '@white-ember/core/ledger';
import type { Diagnosis, DiagnosisWorker } from '../../workers/diagnosisWorker.ts';
import type { OpenJob } from '../job/useJob.ts';

let shared: Remote<DiagnosisWorker> | undefined;
const worker = (): Remote<DiagnosisWorker> =>
  (shared ??= wrap<DiagnosisWorker>(
    new Worker(new URL('../../workers/diagnosisWorker.ts', import.meta.url), { type: 'module' }),
  ));

/** What is likely behind a job, by its first scan, its before reading and its complaint; undefined while nothing is known. */
export function useDiagnosis({ derived, limits }: OpenJob): Diagnosis | undefined {
  const [diagnosis, setDiagnosis] = useState<Diagnosis>();
  const { entries, before } = derived;
  const asked = useMemo(() => {
    const facts = factsOfJob(entries, before?.body);
    const distanceKm = entriesOfKind(entries, 'complaint').at(-1)?.body.distanceKm;
    const nothing = !facts.codes && !facts.readings && Object.keys(facts.findings ?? {}).length < 2;
    return nothing ? undefined : { facts, vehicle: distanceKm === undefined ? {} : { distanceKm } };
  }, [entries, before]);
  useEffect(() => {
    let wanted = true;
    if (asked)
      void worker()
        .diagnose(asked.facts, asked.vehicle, limits)
        .then((answer) => wanted && setDiagnosis(answer));
    return () => {
      wanted = false;
    };
  }, [asked, limits]);
  return asked ? diagnosis : undefined;
}
