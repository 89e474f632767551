import { BURN_END_WORDS } from '@white-ember/core/job';
import { burnsOf } from '@white-ember/core/treatment';
import { useAppSelector } from '../../app/store.ts';
import { withUnit } from '../../ui/format.ts';
import type { OpenJob } from '../job/useJob.ts';
import { offVehicleOf } from '../treatment/offVehicle/offVehicleOf.ts';

/** What burns came to and what was found off the vehicle, as the report states it: figures, torques, what broke. */
export function TreatmentLines({ open }: { open: OpenJob }) {
  const { derived } = open;
  const unit = useAppSelector((app) => app.preferences.temperatureUnit);
  const off = offVehicleOf(open);
  const signed = off.parts.flatMap(({ off: { body }, signed: by }) =>
    [...by.values()].map(
      (entry) => `${body.what} ${entry.body.number}: ${entry.body.torqueNm} N·m, ${entry.authorName}`,
    ),
  );
  const lines = [
    ...burnsOf(derived.entries).flatMap(({ ended, goesOn }, i) => {
      // One that was entered as done stands among the work.
      if (!ended) return goesOn ? [`Burn ${i + 1}: its end was not entered.`] : [];
      const { how, why, minutes, peakInletC, peakBedC, counterBeforeG, counterAfterG } = ended.body;
      return [
        `Burn ${i + 1} ${BURN_END_WORDS[how]}${why ? ` (${why})` : ''} after ${minutes.toFixed(0)} min`,
        ...(peakInletC === undefined ? [] : [`${withUnit(peakInletC, unit)} before the filter`]),
        ...(peakBedC === undefined ? [] : [`bed ${withUnit(peakBedC, unit)} by the burn model`]),
        ...(counterBeforeG === undefined || counterAfterG === undefined
          ? []
          : [`soot counter ${counterBeforeG.toFixed(1)} → ${counterAfterG.toFixed(1)} g`]),
      ]
        .join(', ')
        .concat('.');
    }),
    ...off.weighed.sentences,
    ...(off.parts.length > 0
      ? [
          off.complete
            ? `${off.parts.length} parts came off and are on again in reverse order.`
            : `${off.parts.length} parts came off; still to go on: ${off.refit.map(({ off: { body } }) => body.what).join(', ')}.`,
        ]
      : []),
    ...(signed.length > 0 ? [`Safety-critical fasteners signed for: ${signed.join('; ')}.`] : []),
    ...off.broken.map(
      ({ body }) => `Broke: ${body.what}${body.order ? `; on order: ${body.order.name}` : ''}.`,
    ),
  ];
  return (
    <>
      {lines.map((text) => (
        <p key={text} className="mt-1">
          {text}
        </p>
      ))}
    </>
  );
}
