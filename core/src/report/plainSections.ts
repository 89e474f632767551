import { sentenceOf } from '../diagnosis/index.ts';
import { wasFound, type DerivedJob } from '../job/index.ts';
import { entriesOfKind, type WorkType } from '../ledger/index.ts';
import { aheadLines } from './aheadLines.ts';
import type { ReportLine } from './report.ts';
import { LAMP_CAUTION, remainsLines, workLines, type ReportParts, type Told } from './technicalSections.ts';

/** Work by which a cause was found and put right, even if nobody gave it its name. */
const REPAIRS: ReadonlySet<WorkType> = new Set<WorkType>([
  'cause-repaired',
  'sensor-replaced',
  'pipe-cleared',
]);

const percent = (value: number): string => `${Math.round(Math.abs(value))} %`;

/** The verdict as a customer asks for it: is it fixed? */
function inShort({ verdict, comparison, proof }: DerivedJob): { headline: string; text: string } {
  const fell = comparison?.removedPercent
    ? `At the same exhaust flow the filter holds back ${percent(comparison.removedPercent.value)} less than before.`
    : '';
  switch (verdict) {
    case 'proved':
      if (proof?.falseAlarm)
        return {
          headline: 'It was not the filter, and it is repaired',
          text: 'The sensor or its pipes were at fault and are repaired. Correctly read, the filter is good. A drive and a scan found nothing more.',
        };
      if (proof?.newFilter)
        return {
          headline: 'The new filter is in order',
          text: 'Its pressure is as it should be. A drive and a scan found nothing more.',
        };
      return {
        headline: 'Fixed, and proved',
        text: `${fell} A drive and a scan found nothing more.`,
      };
    case 'equal-flow':
      return {
        headline: 'The filter is free again; final checks are outstanding',
        text: proof?.falseAlarm
          ? 'The sensor or its pipes were at fault. Correctly read, the filter is good. Outstanding checks are listed below.'
          : `${fell} Outstanding checks are listed below.`,
      };
    case 'reopened':
      return {
        headline: 'The problem has come back',
        text: 'The work helped, but the filter was full again so soon that the cause must still be there.',
      };
    case 'better':
      return { headline: 'Better, but not good yet', text: `${fell} That is not enough yet.` };
    case 'worse':
      return {
        headline: 'Not better',
        text: 'The filter is more blocked than before. The work is not finished.',
      };
    case 'not-proved':
      return proof?.nothingToRemove
        ? {
            headline: 'The filter is good',
            text: 'It was good on arrival: nothing to clean.',
          }
        : {
            headline: 'Result not known yet',
            text: 'What is missing is listed below.',
          };
    case 'open':
      return {
        headline: 'The work is not finished',
        text: 'A reading before and one after the work will show whether it helped.',
      };
  }
}

/** For the customer: was it the filter, what was done, is it fixed, what remains. No table, one picture. */
export function plainSections({ facts, picture, photos, words }: ReportParts): Told {
  const { derived } = facts;
  const { headline, text } = inShort(derived);
  const complaints = entriesOfKind(derived.entries, 'complaint').filter(({ body }) => body.text !== '');
  const causes = derived.causes.filter(wasFound);
  const repaired = entriesOfKind(derived.entries, 'work').some(({ body }) => REPAIRS.has(body.work));
  const open: readonly ReportLine[] = [
    ...(derived.proof?.missing ?? []).map((missing) => ({ text: missing })),
    ...derived.evidence
      .filter(({ state }) => state !== 'shown')
      .map(({ state, text: what }) => ({
        mark: state === 'failed' ? ('failed' as const) : ('not-looked-at' as const),
        text: what,
      })),
  ];
  const equal = derived.comparison?.equalFlow;
  const ahead = aheadLines(facts, words);
  const lines = (list: readonly ReportLine[]) => ({ kind: 'lines', lines: list }) as const;
  return {
    headline,
    under: text,
    sections: [
      {
        title: 'Why it came',
        half: true,
        blocks: [
          lines([
            ...complaints.map(({ body }) => ({ text: `“${body.text}”` })),
            ...(causes.length > 0
              ? causes.map(({ cause, state }) => ({
                  lead: state === 'put-right' ? 'Found and repaired:' : 'Found:',
                  text: `${sentenceOf(cause)}.`,
                }))
              : repaired
                ? []
                : [{ text: 'No cause was found other than the filter’s load.' }]),
          ]),
        ],
      },
      { title: 'What was done', half: true, blocks: [lines(workLines(facts))] },
      ...(picture
        ? [
            {
              title: 'How blocked the filter was, before and after',
              blocks: [
                { kind: 'chart', picture } as const,
                ...(equal
                  ? [
                      lines([
                        {
                          text: `At the same flow: ${words.pressure(equal.beforeMbar)} before, ${words.pressure(equal.afterMbar)} after.`,
                        },
                      ]),
                    ]
                  : []),
              ],
            },
          ]
        : []),
      ...(open.length > 0 ? [{ title: 'Outstanding checks', blocks: [lines(open)] }] : []),
      ...(photos.length > 0 ? [{ title: 'Photos', blocks: [{ kind: 'photos', photos } as const] }] : []),
      { title: 'What remains', blocks: [lines(remainsLines(facts, words))] },
      ...(ahead.length > 0 ? [{ title: 'When it is due again', blocks: [lines(ahead)] }] : []),
      { title: 'Please note', blocks: [lines([{ text: LAMP_CAUTION }])] },
    ],
  };
}
