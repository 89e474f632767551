import { sortCodes } from '../codes/index.ts';
import {
  entriesOfKind,
  happenedAt,
  RESETS,
  type Entry,
  type EntryOf,
  type PartId,
  type PartState,
  type Reset,
  type ResetValue,
  type WorkType,
} from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';
import { pressureText, type Unit } from '../quantities/index.ts';
import { proofKind, type ProofKind } from './evidence.ts';

/** What the ECU is asked for by a reset; what can release or mislead a regeneration has interlocks. */
export const RESET_COMMANDS: Readonly<Partial<Record<Reset, 'reset-counter' | 'clear-codes'>>> = {
  'reset-oil': 'reset-counter',
  'reset-soot': 'reset-counter',
  'new-filter': 'reset-counter',
  'clear-codes': 'clear-codes',
};

export interface ResetFacts {
  /** Entries that count, in the order in which they happened. */
  readonly entries: readonly Entry[];
  readonly parts: ReadonlyMap<PartId, { readonly state: PartState }>;
  readonly causes: readonly { readonly cause: string; readonly state: string }[];
  /** The pressure is shown to be right at equal flow. */
  readonly shownAtEqualFlow: boolean;
  readonly limits: Limits;
  /** What the interlocks of the treatment hold off, as sentences. */
  readonly held: (command: 'reset-counter' | 'clear-codes') => readonly string[];
  readonly pressureUnit?: Unit;
}

export interface ResetStep {
  readonly reset: Reset;
  readonly need: 'due' | 'not-due' | 'done';
  /** Why it is due or not. */
  readonly why: string;
  /** What blocks it; nothing where it may be done. */
  readonly held: readonly string[];
  /** What it would hide; it may be done all the same, with the reason written down. */
  readonly warnings: readonly string[];
  /** What is read first and kept. */
  readonly keep: readonly ResetValue[];
  /** What has to be so, and what is done after it, in order. */
  readonly how: readonly string[];
  /** The last time it was done on this job, and what its figures are worth. */
  readonly done?: EntryOf<'reset'>;
  readonly worth?: string;
}

interface Seen extends ResetFacts {
  readonly kind: ProofKind;
  /** When work was done last, by its kind; 0 where it was not. */
  readonly workedAt: (works: ReadonlySet<WorkType>, part?: PartId) => number;
  readonly doneAt: (reset: Reset) => number;
}

interface Rule {
  readonly keep: readonly ResetValue[];
  readonly how: (limits: Limits) => readonly string[];
  readonly due: (seen: Seen) => { readonly due: boolean; readonly why: string };
  /** Its own reasons to hold it off, beside the interlocks. */
  readonly held?: (seen: Seen) => readonly string[];
  readonly warnings?: (seen: Seen) => readonly string[];
}

const SENSOR_REPLACED: ReadonlySet<WorkType> = new Set<WorkType>(['sensor-replaced']);
const OIL_CHANGED: ReadonlySet<WorkType> = new Set<WorkType>(['oil-changed']);
const SOOT_OUT: ReadonlySet<WorkType> = new Set<WorkType>(['chemical-clean', 'off-vehicle-clean']);
const EXCHANGED: ReadonlySet<WorkType> = new Set<WorkType>(['filter-exchanged']);
const ASH_OUT: ReadonlySet<WorkType> = new Set<WorkType>(['off-vehicle-clean', 'filter-exchanged']);
const REPAIRED: ReadonlySet<WorkType> = new Set<WorkType>([
  'cause-repaired',
  'sensor-replaced',
  'pipe-cleared',
  'filter-exchanged',
]);

/** Causes after whose repair the engine has to learn its air anew. */
const AIR_CAUSES: ReadonlySet<string> = new Set([
  'intake-leak',
  'charge-leak',
  'air-meter-failed',
  'egr-stuck-open',
  'turbocharger-worn',
  'vanes-stuck',
]);

const off = ({ resetKeyOffS }: Limits, cycles: number): string =>
  `Then ignition off for ${resetKeyOffS} s and on again${cycles > 1 ? `, ${cycles} times` : ''}, and check it.`;
const KEY_ON = 'Engine off, ignition on, battery support on.';

/** Zero that the last reading shows at rest, mbar. */
function zeroNow(entries: readonly Entry[]): number | undefined {
  const samples = entriesOfKind(entries, 'reading').findLast(({ body }) =>
    body.samples.some(({ kind }) => kind === 'key-off'),
  )?.body.samples;
  return samples?.findLast(({ kind }) => kind === 'key-off')?.dpMbar;
}

const lastCounter = (entries: readonly Entry[]): number | undefined =>
  entriesOfKind(entries, 'reading').findLast(({ body }) => body.sootCounterG !== undefined)?.body
    .sootCounterG;

const lastScan = (entries: readonly Entry[]): EntryOf<'code-scan'> | undefined =>
  entriesOfKind(entries, 'code-scan').at(-1);

const BEFORE_PROOF =
  'Not yet proved at equal flow: prove it first. If reset early, the figures before it are kept.';

const RULES: Readonly<Record<Reset, Rule>> = {
  'adapt-delta-p': {
    keep: ['deltaPZeroMbar'],
    how: (limits) => [
      `Engine off for at least ${limits.resetRestMin} min so no gas stays in the pipes; both hoses on.`,
      KEY_ON,
      off(limits, 1),
    ],
    due: ({ workedAt, doneAt }) =>
      workedAt(SENSOR_REPLACED, 'dp-sensor') > doneAt('adapt-delta-p')
        ? { due: true, why: 'The ΔP sensor was replaced: the ECU does not know its zero.' }
        : { due: false, why: 'Only after a new ΔP sensor; every reading has its offset removed anyway.' },
    held: ({ parts }) =>
      (['high-pipe', 'low-pipe'] as const)
        .filter((part) => ['doubtful', 'failed'].includes(parts.get(part)?.state ?? ''))
        .map(
          (part) =>
            `The ${part.replace('-', ' ')} is ${parts.get(part)?.state ?? ''}: trapped gas would be learned as zero.`,
        ),
    warnings: ({ entries, limits, workedAt, pressureUnit }) => {
      const zero = zeroNow(entries);
      if (zero === undefined || Math.abs(zero) <= limits.dpZeroOffsetMbar) return [];
      if (workedAt(SENSOR_REPLACED, 'dp-sensor') > 0) return [];
      return [
        `At rest it shows ${pressureText(zero, pressureUnit)}, good is ±${pressureText(limits.dpZeroOffsetMbar, pressureUnit)}: learning this would hide a drifting sensor.`,
      ];
    },
  },
  'reset-oil': {
    keep: ['oilLifePercent'],
    how: (limits) => ['Oil and its filter changed, level between the marks.', KEY_ON, off(limits, 1)],
    due: ({ workedAt, doneAt }) =>
      workedAt(OIL_CHANGED) > doneAt('reset-oil')
        ? { due: true, why: 'The oil was changed on this job.' }
        : { due: false, why: 'Only after a real oil change.' },
    held: ({ workedAt }) =>
      workedAt(OIL_CHANGED) > 0
        ? []
        : ['No oil change on this job: a reset would hide old oil, or fuel in it.'],
  },
  'reset-soot': {
    keep: ['sootG'],
    how: (limits) => ['Note the soot and ash values first.', KEY_ON, off(limits, 1)],
    due: ({ workedAt, doneAt, entries, limits, kind }) => {
      const out = workedAt(SOOT_OUT);
      const counter = lastCounter(entries);
      if (kind === 'exchange') return { due: false, why: 'Register the new filter in the ECU instead.' };
      if (out === 0)
        return {
          due: false,
          why: 'No soot was removed by hand: a regeneration lowers the counter itself; a reset would hide what is there.',
        };
      if (doneAt('reset-soot') >= out || doneAt('new-filter') >= out)
        return { due: false, why: 'Done since the last clean.' };
      return counter !== undefined && counter <= limits.sootRiseFreeG
        ? { due: false, why: `The counter is at ${counter.toFixed(1)} g already.` }
        : {
            due: true,
            why: `Soot was removed without the ECU knowing${counter === undefined ? '' : `: it is at ${counter.toFixed(1)} g`}.`,
          };
    },
    warnings: ({ shownAtEqualFlow, workedAt, entries }) => [
      ...(shownAtEqualFlow ? [] : [BEFORE_PROOF]),
      ...(workedAt(SOOT_OUT) === 0 && entriesOfKind(entries, 'work').length > 0
        ? ['No soot was removed on this job: a reset would hide what is in the filter.']
        : []),
    ],
  },
  'new-filter': {
    keep: ['sootG', 'ashG'],
    how: (limits) => ['Note the filter’s number, and soot and ash values.', KEY_ON, off(limits, 1)],
    due: ({ workedAt, doneAt }) => {
      const exchanged = workedAt(EXCHANGED);
      return exchanged > doneAt('new-filter')
        ? { due: true, why: 'A replacement filter is fitted: its ash starts at zero.' }
        : {
            due: false,
            why: 'Only for a replacement filter, or one whose ash was flushed out off the vehicle.',
          };
    },
    held: ({ workedAt }) =>
      workedAt(ASH_OUT) > 0
        ? []
        : [
            'The filter was not off the vehicle: ash neither burns nor comes out in place; a reset would hide it.',
          ],
    warnings: ({ shownAtEqualFlow, workedAt }) => [
      ...(shownAtEqualFlow ? [] : [BEFORE_PROOF]),
      ...(workedAt(EXCHANGED) === 0
        ? ['The old filter is refitted: the ash still in it is no longer counted.']
        : []),
    ],
  },
  'learned-values': {
    keep: [],
    how: (limits) => [KEY_ON, off(limits, 1), 'Idle two minutes, warm, all loads off; then a gentle drive.'],
    due: ({ causes, doneAt }) => {
      const air = causes.some(({ cause, state }) => AIR_CAUSES.has(cause) && state === 'put-right');
      return air && doneAt('learned-values') === 0
        ? { due: true, why: 'The air path was repaired: the learned values are wrong now.' }
        : { due: false, why: 'Only after a repair to the air path.' };
    },
    warnings: ({ causes }) =>
      causes.some(({ cause, state }) => AIR_CAUSES.has(cause) && state === 'confirmed')
        ? ['An air path fault is not repaired: it would be learned again and hidden.']
        : [],
  },
  'clear-codes': {
    keep: ['codes'],
    how: (limits) => [
      'Save the whole list and its freeze frames with the job.',
      KEY_ON,
      off(limits, limits.resetKeyCycles),
      'Self-tests restart: scan again after the drive, not before.',
    ],
    due: ({ entries, doneAt }) => {
      const scan = lastScan(entries);
      const worked = entriesOfKind(entries, 'work').length > 0;
      if (!scan) return { due: false, why: 'No codes saved with the job.' };
      if (scan.body.codes.length === 0) return { due: false, why: 'No codes in the last scan.' };
      if (doneAt('clear-codes') >= happenedAt(scan)) return { due: false, why: 'Done since the last scan.' };
      return worked
        ? {
            due: true,
            why: `${scan.body.codes.length} ${scan.body.codes.length === 1 ? 'code' : 'codes'} in the last scan, from before the work or from unplugging.`,
          }
        : { due: false, why: 'Nothing repaired yet: the codes are your evidence.' };
    },
    warnings: ({ entries, shownAtEqualFlow }) => {
      const scan = lastScan(entries);
      if (!scan) return [];
      const repaired = entriesOfKind(entries, 'work').some(({ body }) => REPAIRED.has(body.work));
      const hidden = sortCodes(scan.body.codes)
        .filter(({ active, group }) => active && (group === 'cause' || group === 'holds-regeneration-off'))
        .map(({ code }) => code);
      return [
        ...(hidden.length > 0 && !repaired
          ? [
              `${hidden.join(', ')} ${hidden.length === 1 ? 'is' : 'are'} active and nothing repaired: clearing hides the fault until its self-test has run.`,
            ]
          : []),
        ...(shownAtEqualFlow ? [] : [BEFORE_PROOF]),
      ];
    },
  },
};

/** What the figures of a reset are worth by themselves: nothing, whether they stand at 0 or where the computer begins to count. */
function worthOf({ body: { reset, before, after } }: EntryOf<'reset'>): string {
  const grams = after?.sootG;
  if (reset === 'reset-soot' || reset === 'new-filter') {
    const was = before.sootG === undefined ? '' : `It was at ${before.sootG.toFixed(1)} g. `;
    if (grams === undefined) return `${was}The value now was not noted.`;
    return grams === 0
      ? `${was}At 0 g now: that proves nothing; the drive does.`
      : `${was}At ${grams.toFixed(1)} g now, where this ECU starts counting: no soot, and no proof.`;
  }
  if (reset === 'clear-codes')
    return 'No codes right after clearing proves nothing: the self-tests have not run.';
  if (reset === 'reset-oil')
    return `${before.oilLifePercent === undefined ? '' : `It was at ${before.oilLifePercent.toFixed(0)} %. `}The counter says nothing about the oil itself.`;
  return 'Read it again before relying on it.';
}

/**
 * What is to be set back on a job and in which order, with what has to be so, what is kept, what holds it off and what it would hide.
 * What is due first is warned of at all that come after it.
 */
export function planResets(facts: ResetFacts): ResetStep[] {
  const { entries } = facts;
  const done = entriesOfKind(entries, 'reset');
  const seen: Seen = {
    ...facts,
    kind: proofKind(entries),
    workedAt: (works, part) => {
      const last = entriesOfKind(entries, 'work').findLast(
        ({ body }) => works.has(body.work) && (part === undefined || body.part === part),
      );
      return last ? happenedAt(last) : 0;
    },
    doneAt: (reset) => {
      const last = done.findLast(({ body }) => body.reset === reset);
      return last ? happenedAt(last) : 0;
    },
  };
  const waiting: Reset[] = [];
  return RESETS.map((reset): ResetStep => {
    const rule = RULES[reset];
    const { due, why } = rule.due(seen);
    const command = RESET_COMMANDS[reset];
    const last = done.findLast(({ body }) => body.reset === reset);
    const first = waiting.slice();
    if (due) waiting.push(reset);
    return {
      reset,
      need: due ? 'due' : last ? 'done' : 'not-due',
      why,
      held: [...(rule.held?.(seen) ?? []), ...(command ? facts.held(command) : [])],
      warnings: [
        ...(due && first.length > 0 ? [`In this order: ${ORDER_WORDS[first[0] as Reset]} comes first.`] : []),
        ...(rule.warnings?.(seen) ?? []),
      ],
      keep: rule.keep,
      how: rule.how(facts.limits),
      ...(last ? { done: last, worth: worthOf(last) } : {}),
    };
  });
}

const ORDER_WORDS: Readonly<Record<Reset, string>> = {
  'adapt-delta-p': 'the zero of the ΔP sensor',
  'reset-oil': 'the oil life',
  'reset-soot': 'the soot counter',
  'new-filter': 'the new filter',
  'learned-values': 'what the engine learned',
  'clear-codes': 'clearing the codes',
};
