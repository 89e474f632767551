import { say, type Said } from '../words/index.ts';
import { burnsOf, offVehicleWork } from '../treatment/index.ts';
import type { ReportFacts } from './report.ts';

/** What burns came to and what was found off the vehicle: figures, torques, what broke. */
export function treatmentLines({ derived, limits }: ReportFacts): Said[] {
  const { entries, sootBefore } = derived;
  const off = offVehicleWork({ entries, limits, ...(sootBefore ? { soot: sootBefore } : {}) });
  const signed = off.parts.flatMap(({ off: { body }, signed: by }) =>
    [...by.values()].map((entry) => ({
      what: body.what,
      number: entry.body.number,
      torqueNm: entry.body.torqueNm,
      by: entry.authorName,
    })),
  );
  return [
    ...burnsOf(entries).flatMap(({ ended, goesOn }, i): Said[] => {
      // One that was entered as done stands among the work.
      if (!ended) return goesOn ? [say('report.burn-end-not-entered', { i: i + 1 })] : [];
      const { how, why, minutes, peakInletC, peakBedC, counterBeforeG, counterAfterG } = ended.body;
      return [
        say('report.burn', {
          number: i + 1,
          how: say(`burnEnds.${how}`),
          why,
          minutes,
          peakInletC,
          peakBedC,
          counterBeforeG,
          counterAfterG,
        }),
      ];
    }),
    ...off.weighed.sentences,
    ...(off.parts.length > 0
      ? [
          off.complete
            ? say('report.parts-refitted', { count: off.parts.length })
            : say('report.parts-to-refit', {
                count: off.parts.length,
                left: off.refit.map(({ off: { body } }) => body.what),
              }),
        ]
      : []),
    ...(signed.length > 0 ? [say('report.fasteners', { signed })] : []),
    ...off.broken.map(({ body }) => say('report.broke', { what: body.what, order: body.order?.name })),
  ];
}
