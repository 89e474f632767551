import { useEffect, useMemo, useState } from 'react';
import {
  burnOfJob,
  rankTreatments,
  type BurnForecast,
  type JobBurn,
  type TreatmentOption,
  type TreatmentQuestion,
} from '@white-ember/core/treatment';
import type { Limits } from '@white-ember/core/limits';
import type { Diagnosis } from '@white-ember/core/diagnosis';
import type { OpenJob } from '../job/useJob.ts';
import { burnRemote } from './burnRemote.ts';

export interface Treatments {
  readonly options: readonly TreatmentOption[];
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

/** What may be done to the filter of a job, ranked; the burn model's answer comes a moment later and is taken in then. */
export function useTreatments(open: OpenJob, diagnosis: Diagnosis | undefined): Treatments {
  const { derived, vehicle, limits } = open;
  const question = useMemo(
    (): TreatmentQuestion => ({
      derived,
      limits,
      filter: vehicle.filter,
      ...(vehicle.displacementL === undefined ? {} : { displacementL: vehicle.displacementL }),
      ...(diagnosis
        ? {
            likely: new Map(diagnosis.posterior.causes.map(({ id, probability }) => [id, probability])),
            inhibitors: diagnosis.inhibitors,
          }
        : {}),
    }),
    [derived, limits, vehicle, diagnosis],
  );
  const burn = useMemo(() => burnOfJob(question), [question]);
  const { forecast, forecasting } = useForecast(burn, limits);
  const options = useMemo(
    () => rankTreatments({ ...question, ...(forecast ? { forecast } : {}) }),
    [question, forecast],
  );
  return { options, burn, forecast, forecasting };
}
