import { say, type Said } from '../words/index.ts';
import { sentenceOf } from '../diagnosis/index.ts';
import { wasFound, type DerivedJob } from '../job/index.ts';
import { entriesOfKind, type WorkType } from '../ledger/index.ts';
import { aheadLines } from './aheadLines.ts';
import type { SaidLine } from './report.ts';
import { LAMP_CAUTION, remainsLines, workLines, type ReportParts, type Told } from './technicalSections.ts';

/** Work by which a cause was found and put right, even if nobody gave it its name. */
const REPAIRS: ReadonlySet<WorkType> = new Set<WorkType>([
  'cause-repaired',
  'sensor-replaced',
  'pipe-cleared',
]);

/** The verdict as a customer asks for it: is it fixed? */
function inShort({ verdict, comparison, proof }: DerivedJob): { headline: Said; text: Said } {
  const fell = comparison?.removedPercent
    ? say('report.at-the-same-exhaust-flow', { percent: comparison.removedPercent.value })
    : '';
  switch (verdict) {
    case 'proved':
      if (proof?.falseAlarm)
        return {
          headline: say('report.it-was-not-the-filter'),
          text: say('report.the-sensor-or-its-pipes'),
        };
      if (proof?.newFilter)
        return {
          headline: say('report.the-new-filter'),
          text: say('report.its-pressure'),
        };
      return {
        headline: say('report.fixed-and-proved'),
        text: say('report.a-drive-and-a-scan', { fell }),
      };
    case 'equal-flow':
      return {
        headline: say('report.the-filter-is-free-again'),
        text: proof?.falseAlarm
          ? say('report.the-sensor-or-its-pipes-were')
          : say('report.outstanding-checks-are-listed-below', { fell }),
      };
    case 'reopened':
      return {
        headline: say('report.the-problem-has-come-back'),
        text: say('report.the-work-helped-but'),
      };
    case 'better':
      return {
        headline: say('report.better-but-not-good-yet'),
        text: say('report.that-is-not-enough-yet', { fell }),
      };
    case 'worse':
      return {
        headline: say('report.not-better'),
        text: say('report.the-filter-is-more-blocked'),
      };
    case 'not-proved':
      return proof?.nothingToRemove
        ? {
            headline: say('report.the-filter-is-good'),
            text: say('report.it-was-good-on-arrival'),
          }
        : {
            headline: say('report.result-not-known-yet'),
            text: say('report.what-is-missing-is-listed'),
          };
    case 'open':
      return {
        headline: say('report.the-work-is-not-finished'),
        text: say('report.a-reading-before-and-one'),
      };
  }
}

/** For the customer: was it the filter, what was done, is it fixed, what remains. No table, one picture. */
export function plainSections({ facts, picture, photos }: ReportParts): Told {
  const { derived } = facts;
  const { headline, text } = inShort(derived);
  const complaints = entriesOfKind(derived.entries, 'complaint').filter(({ body }) => body.text !== '');
  const causes = derived.causes.filter(wasFound);
  const repaired = entriesOfKind(derived.entries, 'work').some(({ body }) => REPAIRS.has(body.work));
  const open: readonly SaidLine[] = [
    ...(derived.proof?.missing ?? []).map((missing) => ({ text: missing })),
    ...derived.evidence
      .filter(({ state }) => state !== 'shown')
      .map(({ state, text: what }) => ({
        mark: state === 'failed' ? ('failed' as const) : ('not-looked-at' as const),
        text: what,
      })),
  ];
  const equal = derived.comparison?.equalFlow;
  const ahead = aheadLines(facts);
  const lines = (list: readonly SaidLine[]) => ({ kind: 'lines', lines: list }) as const;
  return {
    headline,
    under: text,
    sections: [
      {
        title: say('report.why-it-came'),
        half: true,
        blocks: [
          lines([
            ...complaints.map(({ body }) => ({ text: say('text.quoted', { words: body.text }) })),
            ...(causes.length > 0
              ? causes.map(({ cause, state }) => ({
                  lead: state === 'put-right' ? say('report.found-and-repaired') : say('report.found'),
                  text: say('text.sentence', { of: sentenceOf(cause) }),
                }))
              : repaired
                ? []
                : [{ text: say('report.no-cause-was-found-other') }]),
          ]),
        ],
      },
      { title: say('report.what-was-done'), half: true, blocks: [lines(workLines(facts))] },
      ...(picture
        ? [
            {
              title: say('report.how-blocked-the-filter'),
              blocks: [
                { kind: 'chart', picture } as const,
                ...(equal
                  ? [
                      lines([
                        {
                          text: say('report.at-the-same-flow-before', {
                            beforeMbar: equal.beforeMbar,
                            afterMbar: equal.afterMbar,
                          }),
                        },
                      ]),
                    ]
                  : []),
              ],
            },
          ]
        : []),
      ...(open.length > 0 ? [{ title: say('report.outstanding-checks'), blocks: [lines(open)] }] : []),
      ...(photos.length > 0
        ? [{ title: say('report.photos'), blocks: [{ kind: 'photos', photos } as const] }]
        : []),
      { title: say('report.what-remains'), blocks: [lines(remainsLines(facts))] },
      ...(ahead.length > 0 ? [{ title: say('report.when-it-is-due-again'), blocks: [lines(ahead)] }] : []),
      { title: say('report.please-note'), blocks: [lines([{ text: LAMP_CAUTION }])] },
    ],
  };
}
