import { Say } from '../../ui/Say.tsx';
import { useWords } from '../../data/words.ts';
import { sentenceOf } from '@white-ember/core/diagnosis';
import { FARTHEST_KM, type VehicleOutlook } from '@white-ember/core/outlook';
import { problemOf, useVehicleOutlookQuery } from '../../data/api.ts';
import { serverNow } from '../../data/serverClock.ts';
import { shortNumber } from '../../ui/format.ts';
import { Notice, ProblemNotice } from '../../ui/Notice.tsx';
import { RestrictionTrend } from './RestrictionTrend.tsx';

/** What a distance is rounded to: no more figures than the interval has. */
/** When the filter of a vehicle is due again, how sure that is and why, and what its ash does. */
export function OutlookPanel({ vehicleId }: { vehicleId: string }) {
  const told = useVehicleOutlookQuery(vehicleId);
  if (told.error) return <ProblemNotice problem={problemOf(told.error)} />;
  if (!told.data) return null;
  return (
    <section aria-label="When it is due again" className="grid gap-3 min-w-0">
      <h2 className="text-2xl">When it is due again</h2>
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
    km >= FARTHEST_KM ? 'beyond the forecast' : words.roughDistance(km);
  const between = (km: number): string => words.distance(Math.round(km / 10) * 10);
  const late = dueDate !== undefined && Date.parse(dueDate.value) < serverNow();
  const { dueKm, now, limitRatio, stretches, openCauses, comeBack, from } = outlook;
  return (
    <>
      {dueKm.value === 0 ? (
        <p className="text-xl font-head font-semibold">
          Due now: {shortNumber(now.value)} × clean, due at {limitRatio} ×
        </p>
      ) : (
        <div>
          <p className="text-xl font-head font-semibold">
            {late ? 'By its trend it was due after about ' : 'In about '}
            {distance(dueKm.value)}
            {dueDate ? `, around ${words.shortDate(dueDate.value)}` : ''}
          </p>
          <p>
            80 % range: {distance(dueKm.low)} to {distance(dueKm.high)}
            {dueDate ? `, ${words.shortDate(dueDate.low)} and ${words.shortDate(dueDate.high)}` : ''}, counted
            from job {from.number}.
          </p>
        </div>
      )}
      <p className="text-ink2">
        {shortNumber(now.value)} × clean then, due at {limitRatio} ×.{' '}
        {stretches > 0
          ? `By ${stretches} ${stretches === 1 ? 'stretch' : 'stretches'} of its own road`
          : 'No distance between two readings yet: by vehicle type alone'}
        {kind.vehicles > 0
          ? `, and ${kind.vehicles} other ${kind.family}`
          : `, and what is assumed, as no other ${kind.family} was read twice`}
        .
      </p>
      {openCauses.length > 0 ? (
        <Notice
          title={`Back within ${distance(comeBack.withinKm)}, chance ${Math.round(100 * comeBack.chance)} %`}
        >
          {openCauses.map((cause) => `${words.say(sentenceOf(cause))}: not repaired yet.`).join(' ')}
        </Notice>
      ) : (
        <p>
          Back within {distance(comeBack.withinKm)}:{' '}
          {comeBack.chance < 0.01 ? 'under 1' : Math.round(100 * comeBack.chance)} %.
        </p>
      )}
      {told.sootRate ? (
        <p>
          Soot that no regeneration takes: {words.sootRate(told.sootRate.gPer100Km.value, 2)} (
          {words.sootRate(told.sootRate.gPer100Km.low, 2)} to{' '}
          {words.sootRate(told.sootRate.gPer100Km.high, 2)}), by the pressures of {told.sootRate.stretches}{' '}
          {told.sootRate.stretches === 1 ? 'stretch' : 'stretches'}.
        </p>
      ) : null}
      {told.regenerations ? (
        told.regenerations.closer ? (
          <Notice title={`Regenerations more frequent: every ${between(told.regenerations.lastKm)}`}>
            {between(told.regenerations.earlierKm)} before, so {Math.round(told.regenerations.percent)} %;
            warning below {told.regenerations.limitPercent} %.
          </Notice>
        ) : (
          <p>
            Regenerates every {between(told.regenerations.lastKm)}, {between(told.regenerations.earlierKm)}{' '}
            before.
          </p>
        )
      ) : null}
      <RestrictionTrend told={told} />
      <p className="text-sm text-ink2">
        {ash.known
          ? `Ash: the residual after a clean rises by ${ash.rise.value.toFixed(2)} × on ${distance(10_000)} (${ash.rise.low.toFixed(2)} to ${ash.rise.high.toFixed(2)}).${
              ash.reachesKm
                ? ` From about ${distance(ash.reachesKm.value)} a clean no longer brings it below ${ash.limitRatio} ×${ash.reachesKm.high === undefined ? ', if it rises at all' : ''}.`
                : ''
            }`
          : `Ash line: ${words.say(ash.why)}`}
      </p>
    </>
  );
}
