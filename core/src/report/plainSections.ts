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
    ? `At the same flow of exhaust the filter holds back ${percent(comparison.removedPercent.value)} less than before.`
    : '';
  switch (verdict) {
    case 'proved':
      if (proof?.falseAlarm)
        return {
          headline: 'It was not the filter, and it is put right',
          text: 'What measures the filter was wrong. It is repaired, and read right the filter is good. A drive and a scan after it showed nothing more.',
        };
      if (proof?.newFilter)
        return {
          headline: 'The new filter is in order',
          text: 'What it holds back is as it should be, and a drive and a scan after it showed nothing more.',
        };
      return {
        headline: 'It is cured, and that is shown',
        text: `${fell} A drive and a scan after it showed nothing more.`,
      };
    case 'equal-flow':
      return {
        headline: 'The filter is free again; something is still to be shown',
        text: proof?.falseAlarm
          ? 'What measures the filter was wrong. Read right the filter is good. What is still to be shown stands below.'
          : `${fell} What is still to be shown stands below.`,
      };
    case 'reopened':
      return {
        headline: 'It has come back',
        text: 'The work had helped, but the next visit found the filter full again so soon that its cause is still there.',
      };
    case 'better':
      return { headline: 'It is better, and not yet good', text: `${fell} That is not enough yet.` };
    case 'worse':
      return {
        headline: 'It is not better',
        text: 'The filter holds back more than before. It is not finished.',
      };
    case 'not-proved':
      return proof?.nothingToRemove
        ? {
            headline: 'The filter is good',
            text: 'It was good when it came: there was nothing to clean.',
          }
        : {
            headline: 'It cannot be said yet whether it helped',
            text: 'What is missing stands below.',
          };
    case 'open':
      return {
        headline: 'The work is not finished',
        text: 'Whether it helped is shown by a reading before and one after the work.',
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
                  lead: state === 'put-right' ? 'Found and put right:' : 'Found:',
                  text: `${sentenceOf(cause)}.`,
                }))
              : repaired
                ? []
                : [{ text: 'No other cause was found than what is in the filter.' }]),
          ]),
        ],
      },
      { title: 'What was done', half: true, blocks: [lines(workLines(facts))] },
      ...(picture
        ? [
            {
              title: 'What the filter holds back, before and after',
              blocks: [
                { kind: 'chart', picture } as const,
                ...(equal
                  ? [
                      lines([
                        {
                          text: `At one and the same flow: ${words.pressure(equal.beforeMbar)} before, ${words.pressure(equal.afterMbar)} after.`,
                        },
                      ]),
                    ]
                  : []),
              ],
            },
          ]
        : []),
      ...(open.length > 0 ? [{ title: 'Still to be shown', blocks: [lines(open)] }] : []),
      ...(photos.length > 0 ? [{ title: 'Photos', blocks: [{ kind: 'photos', photos } as const] }] : []),
      { title: 'What remains', blocks: [lines(remainsLines(facts, words))] },
      ...(ahead.length > 0 ? [{ title: 'When it will be back', blocks: [lines(ahead)] }] : []),
      { title: 'Please note', blocks: [lines([{ text: LAMP_CAUTION }])] },
    ],
  };
}
