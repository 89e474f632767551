import type { Limits } from '../limits/index.ts';
import { ashLine } from './ashLine.ts';
import { comeBacksOf } from './comeBacks.ts';
import { FARTHEST_KM } from './due.ts';
import { dueDate, kmPerDay } from './dueDate.ts';
import type { GrowthPrior } from './growthKernel.ts';
import { outlookOf } from './outlook.ts';
import type { VehicleOutlook } from './outlookContract.ts';
import { regenerationTrend } from './regenerations.ts';
import { sootRateOf } from './sootRate.ts';
import type { Visit } from './visit.ts';

/**
 * All that the visits of a vehicle say, in the order of time: when its filter is due again, its ash line, whether
 * regenerations come closer together and which cleans did not hold. `prior` is what its kind has taught.
 */
export function tellOutlook(
  family: string,
  visits: readonly Visit[],
  prior: GrowthPrior,
  limits: Limits,
): VehicleOutlook {
  const outlook = outlookOf(visits, prior, limits);
  const perDay = kmPerDay(visits);
  const due =
    outlook.known && perDay !== undefined && outlook.dueKm.value < FARTHEST_KM
      ? dueDate(outlook.from, outlook.dueKm, perDay, limits)
      : undefined;
  const regenerations = regenerationTrend(
    visits.flatMap(({ at, regenEveryKm }) =>
      regenEveryKm === undefined ? [] : [{ at, betweenKm: regenEveryKm }],
    ),
    limits,
  );
  const sootRate = sootRateOf(visits);
  return {
    visits,
    outlook,
    ash: ashLine(visits, limits),
    ...(due ? { dueDate: due } : {}),
    ...(perDay === undefined ? {} : { kmPerDay: perDay }),
    comeBacks: comeBacksOf(visits, limits).map(({ to, from: _from, ...rest }) => ({
      jobId: to.jobId,
      number: to.number,
      at: to.at,
      ...rest,
    })),
    ...(regenerations ? { regenerations } : {}),
    ...(sootRate ? { sootRate } : {}),
    kind: { family, vehicles: prior.vehicles },
  } as VehicleOutlook;
}
