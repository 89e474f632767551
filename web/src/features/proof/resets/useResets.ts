import { useMemo } from 'react';
import { planResets, type ResetStep } from '@white-ember/core/proof';
import { burnOfJob, commandInterlocks } from '@white-ember/core/treatment';
import { useAppSelector } from '../../../app/store.ts';
import { useForecast } from '../../burn/useTreatments.ts';
import { useDiagnosis } from '../../diagnosis/useDiagnosis.ts';
import type { OpenJob } from '../../job/useJob.ts';

/**
 * What is to be set back on a job, in its order. What is cleared or set back can release a burn: the drop to idle of that burn holds it
 * off too, and is known a moment later.
 */
export function useResets(open: OpenJob): {
  readonly steps: readonly ResetStep[];
  readonly forecasting: boolean;
} {
  const { derived, limits, vehicle } = open;
  const pressureUnit = useAppSelector((app) => app.preferences.pressureUnit);
  const diagnosis = useDiagnosis(open);
  const facts = useMemo(
    () => ({
      derived,
      limits,
      filter: vehicle.filter,
      ...(vehicle.displacementL === undefined ? {} : { displacementL: vehicle.displacementL }),
      ...(diagnosis
        ? { likely: new Map(diagnosis.posterior.causes.map(({ id, probability }) => [id, probability])) }
        : {}),
    }),
    [derived, limits, vehicle, diagnosis],
  );
  const { forecast, forecasting } = useForecast(
    useMemo(() => burnOfJob(facts, 'reset-counter'), [facts]),
    limits,
  );
  const steps = useMemo(
    () =>
      planResets({
        entries: derived.entries,
        parts: derived.parts,
        causes: derived.causes,
        shownAtEqualFlow: derived.proof?.verdict === 'proved',
        limits,
        pressureUnit,
        held: (command) =>
          commandInterlocks(command, { ...facts, ...(forecast ? { forecast } : {}) }).map(({ text }) => text),
      }),
    [derived, limits, facts, forecast, pressureUnit],
  );
  return { steps, forecasting };
}
