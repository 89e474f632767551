import { say, type Said } from '../words/index.ts';
import { sentenceOf } from '../diagnosis/index.ts';
import { clockOutcome, entryFigure, stageOf, verdictLine, wasFound } from '../job/index.ts';
import { entriesOfKind, happenedAt, type PartState } from '../ledger/index.ts';
import { LIMIT_DEFINITIONS, type LimitId } from '../limits/index.ts';
import type { Evidence, FlowPicture } from '../proof/index.ts';
import { aheadLines, followUpLines } from './aheadLines.ts';
import type { ReportFacts, ReportPhoto, SaidBlock, SaidLine, SaidSection } from './report.ts';
import { treatmentLines } from './treatmentLines.ts';

export interface ReportParts {
  readonly facts: ReportFacts;
  readonly picture: FlowPicture | undefined;
  readonly photos: readonly ReportPhoto[];
}

export interface Told {
  readonly headline: Said;
  readonly under: Said;
  readonly sections: readonly SaidSection[];
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

export const LAMP_CAUTION = say('report.a-lamp-that-is-off');

const EVIDENCE_MARKS: Readonly<Record<Evidence['state'], PartState>> = {
  shown: 'sound',
  open: 'not-looked-at',
  failed: 'failed',
};

const joined = (parts: readonly Said[], by: string): Said => say('text.joined', { parts, by });
const lines = (list: readonly SaidLine[]): SaidBlock => ({ kind: 'lines', lines: list });
const told = (...texts: readonly Said[]): SaidBlock => lines(texts.map((text) => ({ text })));

/** Every row at one flow, beside its limit. */
function compareBlock({ derived, limits }: ReportFacts): SaidBlock[] {
  const { comparison } = derived;
  if (!comparison) return [];
  const show = (mbar: number | undefined): Said =>
    mbar === undefined ? '–' : say('text.pressure', { mbar });
  return [
    {
      kind: 'table',
      columns: [
        say('report.column-at'),
        say('report.column-flow'),
        say('report.column-before'),
        say('report.column-after'),
        say('report.column-good'),
      ],
      rows: [
        ...comparison.rows.map((row) => [
          row.label,
          say('text.volume-flow', { m3PerH: row.flowM3PerH }),
          show(row.beforeMbar),
          show(row.afterMbar),
          show(row.goodMbar),
        ]),
        ...(comparison.restrictionBefore && comparison.restrictionAfter
          ? [
              [
                say('report.clean'),
                '',
                say('text.ratio', { ratio: comparison.restrictionBefore.value }),
                say('text.ratio', { ratio: comparison.restrictionAfter.value }),
                say('text.number', { value: limits.restrictionGoodRatio }),
              ],
            ]
          : []),
      ],
      note: say('report.table-note'),
    },
  ];
}

/** What was read before and after resets: the figures of before are not lost with the counter. */
const resetLines = ({ derived }: ReportFacts): SaidLine[] =>
  entriesOfKind(derived.entries, 'reset').map(({ body: { reset, before, after, why, against } }) => ({
    lead: say('text.sentence', { of: say(`resets.${reset}`) }),
    text: joined(
      [
        before.sootG === undefined
          ? ''
          : say('report.soot-went', { beforeG: before.sootG, afterG: after?.sootG }),
        why ?? '',
        against?.length ? say('report.done-although-blocked', { against }) : '',
      ],
      ' ',
    ),
  }));

export function workLines({ derived }: ReportFacts): SaidLine[] {
  return entriesOfKind(derived.entries, 'work').map(({ body }) => ({
    lead: say('text.sentence', { of: say(`works.${body.work}`) }),
    text: joined(
      [
        say('report.fluid', { what: body.what, fluid: body.fluid, fluidL: body.fluidL }),
        body.sootBeforeG === undefined
          ? ''
          : say('report.soot-counted', { beforeG: body.sootBeforeG, afterG: body.sootAfterG }),
        body.against?.length ? say('report.done-although-blocked', { against: body.against }) : '',
      ],
      '. ',
    ),
  }));
}

/** As a job that is not over stands: what is likely, what comes next, and whether it may be driven, by what is known. */
function standsLines({ advice, derived }: ReportFacts): SaidLine[] {
  if (!advice || derived.signedOff) return [];
  const { likely, next, drive } = advice;
  return [
    ...(likely
      ? [
          {
            lead: say('report.most-likely'),
            text: say('report.on-present-evidence', {
              cause: sentenceOf(likely.cause),
              probability: likely.probability,
            }),
          },
        ]
      : []),
    ...(next ? [{ lead: say('report.next'), text: joined([next.title, next.why], '. ') }] : []),
    ...(derived.drivable ? [] : [{ lead: say('report.proposed'), text: say(`drivable.${drive}`) }]),
  ];
}

/** What was noted for the customer, what holds for now only, and what is to be done after. */
export function remainsLines(facts: ReportFacts): SaidLine[] {
  const { drivable, signedOff, open } = facts.derived;
  const remains = signedOff?.body.remains;
  const lines: SaidLine[] = [
    ...(remains ? [{ text: remains }] : []),
    ...(drivable
      ? [
          {
            lead: say('text.lead', { of: say(`drivable.${drivable.body.verdict}`) }),
            text: joined([drivable.body.why, drivable.body.limits ?? ''], '. '),
          },
        ]
      : []),
    ...open.map(({ text, waitsFor, due }) => ({
      lead: say('report.open'),
      text: say('report.open-matter', { what: text, waitsFor, due }),
    })),
    ...followUpLines(facts),
  ];
  return lines.length > 0 ? lines : [{ text: say('report.nothing-noted') }];
}

/** For the next technician: what was found and done, every figure with its limit, what is on record. */
export function technicalSections({ facts, picture, photos }: ReportParts): Told {
  const { derived, limits, vehicle, limitsProfile } = facts;
  const { proof, confidence, contradiction } = derived;
  const complaints = entriesOfKind(derived.entries, 'complaint').filter(({ body }) => body.text !== '');
  const ahead = aheadLines(facts);
  const scans = entriesOfKind(derived.entries, 'code-scan');
  const history = derived.entries.filter(
    (entry) => stageOf(entry) !== undefined || entry.body.kind === 'note',
  );
  const clocks = derived.clocks.flatMap((clock) => {
    const outcome = clockOutcome(clock, limits);
    return outcome && outcome.state !== 'on-time' ? [say('text.sentence', { of: outcome.text })] : [];
  });
  return {
    headline: derived.headline,
    under: verdictLine(derived),
    sections: [
      {
        title: say('report.readings'),
        blocks: [
          told(
            ...(contradiction ? [contradiction.text] : []),
            ...(proof
              ? [...proof.missing.map((text) => say('report.missing', { text })), ...proof.reasons]
              : []),
            ...(confidence && confidence.reasons.length > 0
              ? [say('report.confidence-lowered', { by: confidence.reasons })]
              : []),
          ),
          ...(picture ? [{ kind: 'chart', picture } as const] : []),
        ],
      },
      { title: say('report.before-and-after-at-equal'), blocks: compareBlock(facts), half: true },
      {
        title: say('report.evidence-outstanding-and-complete'),
        half: true,
        blocks: [
          lines(
            derived.evidence.map(({ state, text }) => ({
              mark: EVIDENCE_MARKS[state],
              text: say('report.evidence', { evidence: text, state }),
            })),
          ),
        ],
      },
      {
        title: say('report.complaint-and-work-done'),
        half: true,
        blocks: [
          lines([
            ...complaints.map(({ body }) => ({ text: say('text.quoted', { words: body.text }) })),
            ...derived.causes.filter(wasFound).map(({ cause, state, why }) => ({
              lead: say('report.cause', { cause: sentenceOf(cause), repaired: state === 'put-right' }),
              text: why,
            })),
            ...workLines(facts),
            ...treatmentLines(facts).map((text) => ({ text })),
            ...resetLines(facts),
            ...clocks.map((text) => ({ text })),
            ...(scans.length > 0
              ? [
                  {
                    lead: say('report.codes'),
                    text: say('report.scans', {
                      scans: scans.map(({ body }) => ({
                        before: body.when === 'before',
                        codes: body.codes.map(({ code }) => code),
                      })),
                    }),
                  },
                ]
              : []),
          ]),
        ],
      },
      {
        title: say('report.parts-looked'),
        half: true,
        blocks: [
          derived.parts.size === 0
            ? told(say('report.none-on-record'))
            : lines(
                [...derived.parts].map(([part, { state, why }]) => ({
                  mark: state,
                  lead: say('report.part', { part: say(`parts.${part}`) }),
                  text: say('text.because', { what: say(`partStates.${state}`), why }),
                })),
              ),
        ],
      },
      ...(photos.length > 0
        ? [{ title: say('report.photos'), blocks: [{ kind: 'photos', photos } as const] }]
        : []),
      {
        title: say('report.what-remains'),
        blocks: [lines([...standsLines(facts), ...remainsLines(facts), { text: LAMP_CAUTION }])],
      },
      ...(ahead.length > 0 ? [{ title: say('report.when-it-is-due-again'), blocks: [lines(ahead)] }] : []),
      {
        title: say('report.on-record'),
        blocks: [
          {
            kind: 'record',
            lines: history.map((entry) =>
              say('report.record', { at: happenedAt(entry), what: entryFigure(entry), by: entry.authorName }),
            ),
          },
        ],
      },
      {
        title: say('report.limits-used'),
        blocks: [
          told(
            say('report.limits-and-filter', {
              profile: limitsProfile && { family: limitsProfile.family, version: limitsProfile.version },
              limits: USED_LIMITS.map((id) => ({
                label: LIMIT_DEFINITIONS[id].label,
                value: limits[id],
                unit: LIMIT_DEFINITIONS[id].unit,
              })),
              filter: vehicle.filter,
            }),
          ),
        ],
      },
    ],
  };
}
