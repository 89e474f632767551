import * as common from '@white-ember/core/words/screens/common';
import * as wording from '@white-ember/core/words/screens/vehicles';
import { Say } from '../../ui/Say.tsx';
import { useWords } from '../../data/words.ts';
import { sentenceOf } from '@white-ember/core/diagnosis';
import { FARTHEST_KM, type VehicleOutlook } from '@white-ember/core/outlook';
import { problemOf, useVehicleOutlookQuery } from '../../data/api.ts';
import { serverNow } from '../../data/serverClock.ts';
import { shortNumber, atMost, fixed } from '../../ui/format.ts';
import { Notice, ProblemNotice } from '../../ui/Notice.tsx';
import { RestrictionTrend } from './RestrictionTrend.tsx';

/** What a distance is rounded to: no more figures than the interval has. */
/** When the filter of a vehicle is due again, how sure that is and why, and what its ash does. */
export function OutlookPanel({ vehicleId }: { vehicleId: string }) {
  const told = useVehicleOutlookQuery(vehicleId);
  if (told.error) return <ProblemNotice problem={problemOf(told.error)} />;
  if (!told.data) return null;
  return (
    <section aria-label={common.whenItIsDueAgain} className="grid gap-3 min-w-0">
      <h2 className="text-2xl">{common.whenItIsDueAgain}</h2>
      <Told told={told.data} />
    </section>
  );
}

export function Told({ told }: { told: VehicleOutlook }) {
  const words = useWords();
  const { outlook, ash, dueDate, kind } = told;
  if (!outlook.known)
    return (
      <p className="text-ink2">
        <Say it={outlook.why} />
      </p>
    );
  const distance = (km: number): string =>
    km >= FARTHEST_KM ? wording.beyondTheForecast : words.roughDistance(km);
  const between = (km: number): string => words.distance(Math.round(km / 10) * 10);
  const late = dueDate !== undefined && Date.parse(dueDate.value) < serverNow();
  const { dueKm, now, limitRatio, stretches, openCauses, comeBack, from } = outlook;
  return (
    <>
      {dueKm.value === 0 ? (
        <p className="text-xl font-head font-semibold">
          {wording.dueNowCleanDueAt(shortNumber(now.value), atMost(limitRatio, 2))}
        </p>
      ) : (
        <div>
          <p className="text-xl font-head font-semibold">
            {late ? wording.byItsTrendItWasDueAfter : wording.inAbout}
            {distance(dueKm.value)}
            {dueDate ? wording.around(words.shortDate(dueDate.value)) : ''}
          </p>
          <p>
            {wording.n80RangeToCountedFromJob(
              distance(dueKm.low),
              distance(dueKm.high),
              dueDate ? wording.and(words.shortDate(dueDate.low), words.shortDate(dueDate.high)) : '',
              from.number,
            )}
          </p>
        </div>
      )}
      <p className="text-ink2">
        {wording.cleanThenDueAt(
          shortNumber(now.value),
          atMost(limitRatio, 2),
          stretches > 0
            ? wording.byOfItsOwnRoad(stretches, stretches === 1 ? wording.stretch : wording.stretches)
            : wording.noDistanceBetweenTwoReadingsYetBy,
          kind.vehicles > 0
            ? wording.andOther(kind.vehicles, kind.family)
            : wording.andWhatIsAssumedAsNoOther(kind.family),
        )}
      </p>
      {openCauses.length > 0 ? (
        <Notice
          title={wording.backWithinChance(distance(comeBack.withinKm), Math.round(100 * comeBack.chance))}
        >
          {openCauses.map((cause) => wording.notRepairedYet(words.say(sentenceOf(cause)))).join(' ')}
        </Notice>
      ) : (
        <p>
          {wording.backWithin(
            distance(comeBack.withinKm),
            comeBack.chance < 0.01 ? wording.under1 : Math.round(100 * comeBack.chance),
          )}
        </p>
      )}
      {told.sootRate ? (
        <p>
          {wording.sootThatNoRegenerationTakesToBy(
            words.sootRate(told.sootRate.gPer100Km.value, 2),
            words.sootRate(told.sootRate.gPer100Km.low, 2),
            words.sootRate(told.sootRate.gPer100Km.high, 2),
            told.sootRate.stretches,
            told.sootRate.stretches === 1 ? wording.stretch : wording.stretches,
          )}
        </p>
      ) : null}
      {told.regenerations ? (
        told.regenerations.closer ? (
          <Notice title={wording.regenerationsMoreFrequentEvery(between(told.regenerations.lastKm))}>
            {wording.beforeSoWarningBelow(
              between(told.regenerations.earlierKm),
              fixed(told.regenerations.percent),
              atMost(told.regenerations.limitPercent, 1),
            )}
          </Notice>
        ) : (
          <p>
            {wording.regeneratesEveryBefore(
              between(told.regenerations.lastKm),
              between(told.regenerations.earlierKm),
            )}
          </p>
        )
      ) : null}
      <RestrictionTrend told={told} />
      <p className="text-sm text-ink2">
        {ash.known
          ? wording.ashTheResidualAfterACleanRises(
              fixed(ash.rise.value, 2),
              distance(10_000),
              fixed(ash.rise.low, 2),
              fixed(ash.rise.high, 2),
              ash.reachesKm
                ? wording.fromAboutACleanNoLongerBrings(
                    distance(ash.reachesKm.value),
                    atMost(ash.limitRatio, 2),
                    ash.reachesKm.high === undefined ? wording.ifItRisesAtAll : '',
                  )
                : '',
            )
          : wording.ashLine(words.say(ash.why))}
      </p>
    </>
  );
}
