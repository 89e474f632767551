import { BURN_END_WORDS } from '../job/index.ts';
import { burnsOf, offVehicleWork } from '../treatment/index.ts';
import type { ReportFacts } from './report.ts';
import type { ReportWords } from './words.ts';

/** What burns came to and what was found off the vehicle: figures, torques, what broke. */
export function treatmentLines({ derived, limits }: ReportFacts, words: ReportWords): string[] {
  const { entries, sootBefore } = derived;
  const off = offVehicleWork({ entries, limits, ...(sootBefore ? { soot: sootBefore } : {}) });
  const signed = off.parts.flatMap(({ off: { body }, signed: by }) =>
    [...by.values()].map(
      (entry) => `${body.what} ${entry.body.number}: ${entry.body.torqueNm} N·m, ${entry.authorName}`,
    ),
  );
  return [
    ...burnsOf(entries).flatMap(({ ended, goesOn }, i) => {
      // One that was entered as done stands among the work.
      if (!ended) return goesOn ? [`Burn ${i + 1}: end not entered.`] : [];
      const { how, why, minutes, peakInletC, peakBedC, counterBeforeG, counterAfterG } = ended.body;
      return [
        `Burn ${i + 1} ${BURN_END_WORDS[how]}${why ? ` (${why})` : ''} after ${minutes.toFixed(0)} min`,
        ...(peakInletC === undefined ? [] : [`${words.temperature(peakInletC)} before the filter`]),
        ...(peakBedC === undefined ? [] : [`bed ${words.temperature(peakBedC)} by the burn model`]),
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
            ? `${off.parts.length} parts removed and refitted in reverse order.`
            : `${off.parts.length} parts removed; still to refit: ${off.refit.map(({ off: { body } }) => body.what).join(', ')}.`,
        ]
      : []),
    ...(signed.length > 0 ? [`Safety-critical fasteners signed off: ${signed.join('; ')}.`] : []),
    ...off.broken.map(
      ({ body }) => `Broke: ${body.what}${body.order ? `; on order: ${body.order.name}` : ''}.`,
    ),
  ];
}
