import { sentenceOf } from '../diagnosis/index.ts';
import { followUpsOf } from '../job/index.ts';
import { FARTHEST_KM } from '../outlook/index.ts';
import type { ReportFacts, ReportLine } from './report.ts';
import type { ReportWords } from './words.ts';

/** What is still to be done after the job, with its day or distance. */
export const followUpLines = ({ derived, limits }: ReportFacts, words: ReportWords): ReportLine[] =>
  followUpsOf(derived, limits)
    .filter(({ done, kind }) => done === undefined && kind !== 'part' && kind !== 'choice')
    .map(({ what, why, due, dueKm }) => ({
      lead: 'To do:',
      text: [
        what,
        ...(dueKm === undefined ? [] : [`at ${words.distance(dueKm)}`]),
        ...(due === undefined ? [] : [`by ${words.date(`${due}T12:00:00.000Z`)}`]),
        ...(why === undefined ? [] : [`(${why.replace(/\.$/, '')})`]),
      ]
        .join(', ')
        .replace(', (', ' ('),
    }));

/**
 * When the filter will be due again, by the outlook that begins at this job. Nothing where the vehicle was here since, or
 * nothing was read.
 */
export function aheadLines({ told, job }: ReportFacts, words: ReportWords): ReportLine[] {
  if (!told?.outlook.known || told.outlook.from.number !== job.number) return [];
  const { outlook, dueDate } = told;
  const { dueKm, openCauses, comeBack, limitRatio } = outlook;
  const back = openCauses.map((cause): ReportLine => ({
    lead: 'Not repaired yet:',
    text: `${sentenceOf(cause)}. Back within ${words.distance(comeBack.withinKm)}, chance ${Math.round(100 * comeBack.chance)} %.`,
  }));
  if (dueKm.value === 0) return [...back, { text: `Due now: over ${limitRatio} × a clean filter.` }];
  if (dueKm.value >= FARTHEST_KM) return [...back, { text: 'Not within the forecast distance.' }];
  const far = (km: number): string => (km >= FARTHEST_KM ? 'beyond the forecast' : words.roundDistance(km));
  return [
    ...back,
    {
      text: `At its loading rate so far, due again in about ${far(dueKm.value)}${
        dueDate ? `, around ${words.date(dueDate.value)}` : ''
      } (80 % range ${far(dueKm.low)} to ${far(dueKm.high)}); due at ${limitRatio} × a clean filter.`,
    },
  ];
}
