import { useEffect, useState } from 'react';
import type { OfferedTreatment } from '@white-ember/core/job';
import type { Limits } from '@white-ember/core/limits';
import type { BurnForecast, JobBurn } from '@white-ember/core/treatment';
import { useJudgement } from '../diagnosis/useDiagnosis.ts';
import type { OpenJob } from '../../job/useJob.ts';
import { burnRemote } from '../../workers/burnRemote.ts';

export interface Treatments {
  readonly options: readonly OfferedTreatment[];
  /** Why nothing may be offered yet. */
  readonly notJudged: string | undefined;
  readonly burn: JobBurn | undefined;
  readonly forecast: BurnForecast | undefined;
  /** The burn model has not answered yet: what it may hold off is not known. */
  readonly forecasting: boolean;
}

/** The burn model's answer on a burn; it comes a moment later. */
export function useForecast(
  burn: JobBurn | undefined,
  limits: Limits,
): { readonly forecast: BurnForecast | undefined; readonly forecasting: boolean } {
  const [answer, setAnswer] = useState<{ key: string; forecast: BurnForecast | undefined }>();
  // The same burn is not run again for every entry of the ledger.
  const key = burn ? JSON.stringify([burn.plan, burn.displacementL, limits]) : '';
  useEffect(() => {
    let wanted = true;
    if (burn)
      void burnRemote()
        .forecast(burn, limits)
        .then((told) => wanted && setAnswer({ key, forecast: told.ok ? told.value : undefined }));
    return () => {
      wanted = false;
    };
    // oxlint-disable-next-line react-hooks/exhaustive-deps -- the key stands for burn and limits
  }, [key]);
  return {
    forecast: answer?.key === key ? answer.forecast : undefined,
    forecasting: burn !== undefined && answer?.key !== key,
  };
}

const NONE: readonly OfferedTreatment[] = [];

/** What may be done to the filter of a job, ranked; what the burn model says of it comes a moment later. */
export function useTreatments(open: OpenJob): Treatments {
  const judgement = useJudgement(open);
  return {
    options: judgement?.choice ?? NONE,
    notJudged: judgement?.notJudged?.text,
    burn: judgement?.burn,
    forecast: judgement?.forecast,
    forecasting: !open.sealed && (judgement?.forecasting ?? true),
  };
}
