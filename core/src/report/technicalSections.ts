import { sentenceOf } from '../diagnosis/index.ts';
import {
  clockOutcome,
  DRIVABLE_WORDS,
  entryFigure,
  RESET_LABELS,
  stageOf,
  verdictLine,
  wasFound,
  WORK_LABELS,
} from '../job/index.ts';
import { entriesOfKind, PART_LABELS, PART_STATE_WORDS, type PartState } from '../ledger/index.ts';
import { LIMIT_DEFINITIONS, type LimitId } from '../limits/index.ts';
import type { Evidence, FlowPicture } from '../proof/index.ts';
import { aheadLines, followUpLines } from './aheadLines.ts';
import type { ReportBlock, ReportFacts, ReportLine, ReportPhoto, ReportSection } from './report.ts';
import { treatmentLines } from './treatmentLines.ts';
import type { ReportWords } from './words.ts';

export interface ReportParts {
  readonly facts: ReportFacts;
  readonly words: ReportWords;
  readonly picture: FlowPicture | undefined;
  readonly photos: readonly ReportPhoto[];
}

export interface Told {
  readonly headline: string;
  readonly under: string;
  readonly sections: readonly ReportSection[];
}

const USED_LIMITS: readonly LimitId[] = [
  'removedProvedPercent',
  'restrictionGoodRatio',
  'dpIdleGoodMbar',
  'dp2500GoodMbar',
  'dp3000GoodMbar',
  'sootAfterCleanG',
  'egtWillingC',
  'driveLeastKm',
  'dueRestrictionRatio',
  'comesBackWithinKm',
];

export const LAMP_CAUTION =
  'A lamp that is off and a counter at zero prove nothing by themselves. If the lamp comes back, do not keep driving under load: the filter can overheat. Removing or gutting a filter is illegal in most places.';

const EVIDENCE_MARKS: Readonly<Record<Evidence['state'], PartState>> = {
  shown: 'sound',
  open: 'not-looked-at',
  failed: 'failed',
};

const lines = (list: readonly ReportLine[]): ReportBlock => ({ kind: 'lines', lines: list });
const said = (...texts: readonly string[]): ReportBlock => lines(texts.map((text) => ({ text })));

/** Every row at one flow, beside its limit. */
function compareBlock({ derived, limits }: ReportFacts, words: ReportWords): ReportBlock[] {
  const { comparison } = derived;
  if (!comparison) return [];
  const show = (mbar: number | undefined): string => (mbar === undefined ? '–' : words.pressureFigure(mbar));
  return [
    {
      kind: 'table',
      columns: ['at', 'flow, m³/h', 'before', 'after', 'good to'],
      rows: [
        ...comparison.rows.map((row) => [
          row.label,
          String(Math.round(row.flowM3PerH)),
          show(row.beforeMbar),
          show(row.afterMbar),
          show(row.goodMbar),
        ]),
        ...(comparison.restrictionBefore && comparison.restrictionAfter
          ? [
              [
                '× clean',
                '',
                comparison.restrictionBefore.value.toFixed(1),
                comparison.restrictionAfter.value.toFixed(1),
                String(limits.restrictionGoodRatio),
              ],
            ]
          : []),
      ],
      note: `ΔP in ${words.pressureUnit}, zero removed; dash: not read near this flow.`,
    },
  ];
}

/** What was read before and after resets: the figures of before are not lost with the counter. */
const resetLines = ({ derived }: ReportFacts): ReportLine[] =>
  entriesOfKind(derived.entries, 'reset').map(({ body }) => {
    const soot =
      body.before.sootG === undefined
        ? ''
        : `: ${body.before.sootG.toFixed(1)} → ${body.after?.sootG?.toFixed(1) ?? '?'} g`;
    return {
      lead: `${RESET_LABELS[body.reset]}.`,
      text: [
        soot.replace(/^: /, ''),
        body.why ?? '',
        ...(body.against?.length ? [`Done although blocked: ${body.against.join(' ')}`] : []),
      ]
        .filter(Boolean)
        .join(' '),
    };
  });

export function workLines({ derived }: ReportFacts): ReportLine[] {
  return entriesOfKind(derived.entries, 'work').map(({ body }) => ({
    lead: `${WORK_LABELS[body.work]}.`,
    text: [
      `${body.what}${body.fluid ? ` (${body.fluid}${body.fluidL === undefined ? '' : `, ${body.fluidL} L`})` : ''}`,
      body.sootBeforeG === undefined
        ? ''
        : `Soot counted: ${body.sootBeforeG.toFixed(1)} → ${body.sootAfterG?.toFixed(1) ?? '?'} g`,
      body.against?.length ? `Done although blocked: ${body.against.join(' ')}` : '',
    ]
      .filter(Boolean)
      .join('. '),
  }));
}

/** As a job that is not over stands: what is likely, what comes next, and whether it may be driven, by what is known. */
function standsLines({ advice, derived }: ReportFacts): ReportLine[] {
  if (!advice || derived.signedOff) return [];
  const { likely, next, drive } = advice;
  return [
    ...(likely
      ? [
          {
            lead: 'Most likely:',
            text: `${sentenceOf(likely.cause)}, ${Math.round(100 * likely.probability)} % on present evidence`,
          },
        ]
      : []),
    ...(next ? [{ lead: 'Next:', text: `${next.title}. ${next.why}` }] : []),
    ...(derived.drivable ? [] : [{ lead: 'Proposed:', text: DRIVABLE_WORDS[drive] }]),
  ];
}

/** What was noted for the customer, what holds for now only, and what is to be done after. */
export function remainsLines(facts: ReportFacts, words: ReportWords): ReportLine[] {
  const { drivable, signedOff, open } = facts.derived;
  const remains = signedOff?.body.remains;
  const lines: ReportLine[] = [
    ...(remains ? [{ text: remains }] : []),
    ...(drivable
      ? [
          {
            lead: `${DRIVABLE_WORDS[drivable.body.verdict]}:`,
            text: `${drivable.body.why}${drivable.body.limits ? `. ${drivable.body.limits}` : ''}`,
          },
        ]
      : []),
    ...open.map(({ text, waitsFor, due }) => ({
      lead: 'Open:',
      text: `${text}${waitsFor ? `; on order: ${waitsFor}${due ? `, due ${due}` : ''}` : ''}`,
    })),
    ...followUpLines(facts, words),
  ];
  return lines.length > 0 ? lines : [{ text: 'Nothing noted.' }];
}

/** For the next technician: what was found and done, every figure with its limit, what is on record. */
export function technicalSections({ facts, words, picture, photos }: ReportParts): Told {
  const { derived, limits, vehicle, limitsProfile } = facts;
  const { proof, confidence, contradiction } = derived;
  const complaints = entriesOfKind(derived.entries, 'complaint').filter(({ body }) => body.text !== '');
  const ahead = aheadLines(facts, words);
  const scans = entriesOfKind(derived.entries, 'code-scan');
  const history = derived.entries.filter(
    (entry) => stageOf(entry) !== undefined || entry.body.kind === 'note',
  );
  const clocks = derived.clocks.flatMap((clock) => {
    const outcome = clockOutcome(clock, limits);
    return outcome && outcome.state !== 'on-time' ? [`${outcome.text}.`] : [];
  });
  return {
    headline: derived.headline,
    under: verdictLine(derived),
    sections: [
      {
        title: 'Readings',
        blocks: [
          said(
            ...(contradiction ? [contradiction.text] : []),
            ...(proof ? [...proof.missing.map((text) => `Missing: ${text}`), ...proof.reasons] : []),
            ...(confidence && confidence.reasons.length > 0
              ? [`Confidence lowered by: ${confidence.reasons.join('; ')}.`]
              : []),
          ),
          ...(picture ? [{ kind: 'chart', picture } as const] : []),
        ],
      },
      { title: 'Before and after at equal flow', blocks: compareBlock(facts, words), half: true },
      {
        title: 'Evidence: outstanding and complete',
        half: true,
        blocks: [
          lines(
            derived.evidence.map(({ state, text }) => ({
              mark: EVIDENCE_MARKS[state],
              text: `${text}${state === 'open' ? ' (outstanding)' : state === 'failed' ? ' (failed)' : ''}`,
            })),
          ),
        ],
      },
      {
        title: 'Complaint and work done',
        half: true,
        blocks: [
          lines([
            ...complaints.map(({ body }) => ({ text: `“${body.text}”` })),
            ...derived.causes.filter(wasFound).map(({ cause, state, why }) => ({
              lead: `Cause${state === 'put-right' ? ', repaired' : ''}: ${sentenceOf(cause)}.`,
              text: why,
            })),
            ...workLines(facts),
            ...treatmentLines(facts, words).map((text) => ({ text })),
            ...resetLines(facts),
            ...clocks.map((text) => ({ text })),
            ...(scans.length > 0
              ? [
                  {
                    lead: 'Codes:',
                    text: scans
                      .map(
                        ({ body }) =>
                          `${body.when === 'before' ? 'before' : 'after'} ${body.codes.map(({ code }) => code).join(', ') || 'none'}`,
                      )
                      .join('; '),
                  },
                ]
              : []),
          ]),
        ],
      },
      {
        title: 'Parts looked at',
        half: true,
        blocks: [
          derived.parts.size === 0
            ? said('None on record.')
            : lines(
                [...derived.parts].map(([part, { state, why }]) => ({
                  mark: state,
                  lead: `${PART_LABELS[part]},`,
                  text: `${PART_STATE_WORDS[state]}${why === '' ? '' : `: ${why}`}`,
                })),
              ),
        ],
      },
      ...(photos.length > 0 ? [{ title: 'Photos', blocks: [{ kind: 'photos', photos } as const] }] : []),
      {
        title: 'What remains',
        blocks: [lines([...standsLines(facts), ...remainsLines(facts, words), { text: LAMP_CAUTION }])],
      },
      ...(ahead.length > 0 ? [{ title: 'When it is due again', blocks: [lines(ahead)] }] : []),
      {
        title: 'On record',
        blocks: [
          {
            kind: 'record',
            lines: history.map(
              (entry) => `${words.moment(entry)} · ${entryFigure(entry)} · ${entry.authorName}`,
            ),
          },
        ],
      },
      {
        title: 'Limits used',
        blocks: [
          said(
            `${limitsProfile ? `Profile ${limitsProfile.family ?? 'general'}, version ${limitsProfile.version}.` : 'Starting values.'} ${USED_LIMITS.map(
              (id) => `${LIMIT_DEFINITIONS[id].label} ${limits[id]} ${LIMIT_DEFINITIONS[id].unit}`,
            ).join('; ')}. Filter: ${
              vehicle.filter
                ? `${vehicle.filter.diameterMm} × ${vehicle.filter.lengthMm} mm, ${vehicle.filter.cpsi} cells per square inch, wall ${vehicle.filter.wallMm} mm (${vehicle.filter.basis})`
                : 'size not known'
            }.`,
          ),
        ],
      },
    ],
  };
}
