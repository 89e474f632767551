import { say } from '../words/index.ts';
import { sentenceOf } from '../diagnosis/index.ts';
import { followUpsOf } from '../job/index.ts';
import { FARTHEST_KM } from '../outlook/index.ts';
import type { ReportFacts, SaidLine } from './report.ts';

/** What is still to be done after the job, with its day or distance. */
export const followUpLines = ({ derived, limits }: ReportFacts): SaidLine[] =>
  followUpsOf(derived, limits)
    .filter(({ done, kind }) => done === undefined && kind !== 'part' && kind !== 'choice')
    .map(({ what, why, due, dueKm }) => ({
      lead: say('report.to-do'),
      text: say('report.to-do-what', { what, why, dueKm, due }),
    }));

/**
 * When the filter will be due again, by the outlook that begins at this job. Nothing where the vehicle was here since, or
 * nothing was read.
 */
export function aheadLines({ told, job }: ReportFacts): SaidLine[] {
  if (!told?.outlook.known || told.outlook.from.number !== job.number) return [];
  const { outlook, dueDate } = told;
  const { dueKm, openCauses, comeBack, limitRatio } = outlook;
  const back = openCauses.map((cause): SaidLine => ({
    lead: say('report.not-repaired-yet'),
    text: say('report.back-within', {
      cause: sentenceOf(cause),
      withinKm: comeBack.withinKm,
      chance: comeBack.chance,
    }),
  }));
  if (dueKm.value === 0) return [...back, { text: say('report.due-now-over-a-clean', { limitRatio }) }];
  if (dueKm.value >= FARTHEST_KM) return [...back, { text: say('report.not-within-the-forecast-distance') }];
  return [
    ...back,
    {
      text: say('report.due-again', {
        dueKm: dueKm.value,
        lowKm: dueKm.low,
        highKm: dueKm.high,
        farthestKm: FARTHEST_KM,
        on: dueDate?.value,
        limitRatio,
      }),
    },
  ];
}
