import { say, type Said } from '../words/index.ts';
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
  readonly held: (command: 'reset-counter' | 'clear-codes') => readonly Said[];
}

export interface ResetStep {
  readonly reset: Reset;
  readonly need: 'due' | 'not-due' | 'done';
  /** Why it is due or not. */
  readonly why: Said;
  /** What blocks it; nothing where it may be done. */
  readonly held: readonly Said[];
  /** What it would hide; it may be done all the same, with the reason written down. */
  readonly warnings: readonly Said[];
  /** What is read first and kept. */
  readonly keep: readonly ResetValue[];
  /** What has to be so, and what is done after it, in order. */
  readonly how: readonly Said[];
  /** The last time it was done on this job, and what its figures are worth. */
  readonly done?: EntryOf<'reset'>;
  readonly worth?: Said;
}

interface Seen extends ResetFacts {
  readonly kind: ProofKind;
  /** When work was done last, by its kind; 0 where it was not. */
  readonly workedAt: (works: ReadonlySet<WorkType>, part?: PartId) => number;
  readonly doneAt: (reset: Reset) => number;
}

interface Rule {
  readonly keep: readonly ResetValue[];
  readonly how: (limits: Limits) => readonly Said[];
  readonly due: (seen: Seen) => { readonly due: boolean; readonly why: Said };
  /** Its own reasons to hold it off, beside the interlocks. */
  readonly held?: (seen: Seen) => readonly Said[];
  readonly warnings?: (seen: Seen) => readonly Said[];
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

const off = ({ resetKeyOffS }: Limits, cycles: number): Said =>
  say('proof.then-ignition-off', { resetKeyOffS, cycles });
const KEY_ON = say('proof.engine-off-ignition-on-battery');

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

const BEFORE_PROOF = say('proof.not-yet-proved-at-equal');

const RULES: Readonly<Record<Reset, Rule>> = {
  'adapt-delta-p': {
    keep: ['deltaPZeroMbar'],
    how: (limits) => [
      say('proof.engine-off-for-at-least', { resetRestMin: limits.resetRestMin }),
      KEY_ON,
      off(limits, 1),
    ],
    due: ({ workedAt, doneAt }) =>
      workedAt(SENSOR_REPLACED, 'dp-sensor') > doneAt('adapt-delta-p')
        ? { due: true, why: say('proof.the-dp-sensor-was-replaced') }
        : { due: false, why: say('proof.only-after-a-new-dp') },
    held: ({ parts }) =>
      (['high-pipe', 'low-pipe'] as const)
        .filter((part) => ['doubtful', 'failed'].includes(parts.get(part)?.state ?? ''))
        .map((part) =>
          say('proof.trapped-gas-would-be-learned', { part, state: parts.get(part)?.state ?? '' }),
        ),
    warnings: ({ entries, limits, workedAt }) => {
      const zero = zeroNow(entries);
      if (zero === undefined || Math.abs(zero) <= limits.dpZeroOffsetMbar) return [];
      if (workedAt(SENSOR_REPLACED, 'dp-sensor') > 0) return [];
      return [say('proof.at-rest-it-shows-good', { zero, dpZeroOffsetMbar: limits.dpZeroOffsetMbar })];
    },
  },
  'reset-oil': {
    keep: ['oilLifePercent'],
    how: (limits) => [say('proof.oil-and-its-filter-changed'), KEY_ON, off(limits, 1)],
    due: ({ workedAt, doneAt }) =>
      workedAt(OIL_CHANGED) > doneAt('reset-oil')
        ? { due: true, why: say('proof.the-oil-was-changed') }
        : { due: false, why: say('proof.only-after-a-real-oil') },
    held: ({ workedAt }) => (workedAt(OIL_CHANGED) > 0 ? [] : [say('proof.no-oil-change')]),
  },
  'reset-soot': {
    keep: ['sootG'],
    how: (limits) => [say('proof.note-the-soot-and-ash'), KEY_ON, off(limits, 1)],
    due: ({ workedAt, doneAt, entries, limits, kind }) => {
      const out = workedAt(SOOT_OUT);
      const counter = lastCounter(entries);
      if (kind === 'exchange') return { due: false, why: say('proof.register-the-new-filter') };
      if (out === 0)
        return {
          due: false,
          why: say('proof.no-soot-was-removed'),
        };
      if (doneAt('reset-soot') >= out || doneAt('new-filter') >= out)
        return { due: false, why: say('proof.done-since-the-last-clean') };
      return counter !== undefined && counter <= limits.sootRiseFreeG
        ? { due: false, why: say('proof.the-counter-is-at-g', { counter }) }
        : {
            due: true,
            why: say('proof.soot-removed-unknown-to-ecu', { counterG: counter }),
          };
    },
    warnings: ({ shownAtEqualFlow, workedAt, entries }) => [
      ...(shownAtEqualFlow ? [] : [BEFORE_PROOF]),
      ...(workedAt(SOOT_OUT) === 0 && entriesOfKind(entries, 'work').length > 0
        ? [say('proof.no-soot-was-removed-on')]
        : []),
    ],
  },
  'new-filter': {
    keep: ['sootG', 'ashG'],
    how: (limits) => [say('proof.note-the-filters-number'), KEY_ON, off(limits, 1)],
    due: ({ workedAt, doneAt }) => {
      const exchanged = workedAt(EXCHANGED);
      return exchanged > doneAt('new-filter')
        ? { due: true, why: say('proof.a-replacement-filter-is-fitted') }
        : {
            due: false,
            why: say('proof.only-for-a-replacement-filter'),
          };
    },
    held: ({ workedAt }) => (workedAt(ASH_OUT) > 0 ? [] : [say('proof.the-filter-was-not-off')]),
    warnings: ({ shownAtEqualFlow, workedAt }) => [
      ...(shownAtEqualFlow ? [] : [BEFORE_PROOF]),
      ...(workedAt(EXCHANGED) === 0 ? [say('proof.the-old-filter-is-refitted')] : []),
    ],
  },
  'learned-values': {
    keep: [],
    how: (limits) => [KEY_ON, off(limits, 1), say('proof.idle-two-minutes-warm-all')],
    due: ({ causes, doneAt }) => {
      const air = causes.some(({ cause, state }) => AIR_CAUSES.has(cause) && state === 'put-right');
      return air && doneAt('learned-values') === 0
        ? { due: true, why: say('proof.the-air-path-was-repaired') }
        : { due: false, why: say('proof.only-after-a-repair') };
    },
    warnings: ({ causes }) =>
      causes.some(({ cause, state }) => AIR_CAUSES.has(cause) && state === 'confirmed')
        ? [say('proof.an-air-path-fault')]
        : [],
  },
  'clear-codes': {
    keep: ['codes'],
    how: (limits) => [
      say('proof.save-the-whole-list'),
      KEY_ON,
      off(limits, limits.resetKeyCycles),
      say('proof.self-tests-restart-scan-again'),
    ],
    due: ({ entries, doneAt }) => {
      const scan = lastScan(entries);
      const worked = entriesOfKind(entries, 'work').length > 0;
      if (!scan) return { due: false, why: say('proof.no-codes-saved') };
      if (scan.body.codes.length === 0) return { due: false, why: say('proof.no-codes-in-the-last') };
      if (doneAt('clear-codes') >= happenedAt(scan))
        return { due: false, why: say('proof.done-since-the-last-scan') };
      return worked
        ? {
            due: true,
            why: say('proof.codes-in-the-last-scan', { codes: scan.body.codes.length }),
          }
        : { due: false, why: say('proof.nothing-repaired-yet-the-codes') };
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
          ? [say('proof.active-and-nothing-repaired', { codes: hidden })]
          : []),
        ...(shownAtEqualFlow ? [] : [BEFORE_PROOF]),
      ];
    },
  },
};

/** What the figures of a reset are worth by themselves: nothing, whether they stand at 0 or where the computer begins to count. */
function worthOf({ body: { reset, before, after } }: EntryOf<'reset'>): Said {
  const grams = after?.sootG;
  if (reset === 'reset-soot' || reset === 'new-filter') {
    const wasG = before.sootG;
    if (grams === undefined) return say('proof.counter-not-noted', { wasG });
    return grams === 0
      ? say('proof.counter-at-zero', { wasG })
      : say('proof.counter-at-its-start', { wasG, nowG: grams });
  }
  if (reset === 'clear-codes') return say('proof.no-codes-right-after-clearing');
  if (reset === 'reset-oil')
    return say('proof.oil-counter-proves-nothing', { wasPercent: before.oilLifePercent });
  return say('proof.read-it-again-before-relying');
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
        ...(due && first.length > 0
          ? [say('proof.in-this-order-comes-first', { first: ORDER_WORDS[first[0] as Reset] })]
          : []),
        ...(rule.warnings?.(seen) ?? []),
      ],
      keep: rule.keep,
      how: rule.how(facts.limits),
      ...(last ? { done: last, worth: worthOf(last) } : {}),
    };
  });
}

const ORDER_WORDS: Readonly<Record<Reset, Said>> = {
  'adapt-delta-p': say('proof.the-zero-of-the-dp'),
  'reset-oil': say('proof.the-oil-life'),
  'reset-soot': say('proof.the-soot-counter'),
  'new-filter': say('proof.the-new-filter'),
  'learned-values': say('proof.what-the-engine-learned'),
  'clear-codes': say('proof.clearing-the-codes'),
};
