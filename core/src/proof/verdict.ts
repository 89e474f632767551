import { say, type Said } from '../words/index.ts';
import { LIMIT_DEFINITIONS, type LimitId, type Limits } from '../limits/index.ts';
import { SENSOR_UNPROVEN } from '../readings/index.ts';
import type { Comparison, ComparisonRow } from './compareReadings.ts';
import type { Readings } from './pooled.ts';

export const VERDICTS = ['proved', 'better', 'not-proved', 'worse'] as const;
export type Verdict = (typeof VERDICTS)[number];

/** One figure set against its limit. */
export interface Judgement {
  readonly name: Said;
  readonly value: number;
  readonly unit: Said;
  readonly limit: number;
  readonly sense: 'at most' | 'at least';
  readonly holds: boolean;
  readonly reason: Said;
}

export interface Proof {
  readonly verdict: Verdict;
  /** The before reading was good already: no treatment of the filter can be proved, and none was needed. */
  readonly nothingToRemove: boolean;
  /** The filter was not touched: the sensor or its pipes had lied, and what is read since their repair is good. */
  readonly falseAlarm?: boolean;
  /** Another filter was put in, and what it reads is good, whatever the old one read. */
  readonly newFilter?: boolean;
  /** What must still be read before more can be said, as sentences. */
  readonly missing: readonly Said[];
  readonly reasons: readonly Said[];
  readonly judgements: readonly Judgement[];
}

export interface ProofReadings {
  readonly before: Readings;
  readonly after: Readings;
  /** What was done to the ΔP sensor or its pipes between the two, in words. */
  readonly pathChanged?: Said;
  /** Nothing was done to the filter between the two. */
  readonly filterUntouched?: boolean;
  /** Another filter was put in between the two: what counts is what that one reads. */
  readonly newFilter?: boolean;
}

function judged(
  name: Said,
  value: number,
  limitId: LimitId,
  limits: Limits,
  sense: Judgement['sense'] = 'at most',
): Judgement {
  const limit = limits[limitId];
  return {
    name,
    value,
    unit: LIMIT_DEFINITIONS[limitId].unit,
    limit,
    sense,
    holds: sense === 'at most' ? value <= limit : value >= limit,
    reason: LIMIT_DEFINITIONS[limitId].reason,
  };
}

const goodLimitOf = ({ kind, rpm }: ComparisonRow): LimitId | undefined =>
  kind === 'idle'
    ? 'dpIdleGoodMbar'
    : rpm === 2500
      ? 'dp2500GoodMbar'
      : rpm === 3000
        ? 'dp3000GoodMbar'
        : undefined;

/** The after state against the limits: the restriction ratio where the filter size is known, bare mbar beside it. */
function afterJudgements(comparison: Comparison, limits: Limits): Judgement[] {
  const list: Judgement[] = [];
  if (comparison.restrictionAfter) {
    list.push(
      judged(
        say('proof.restriction-after'),
        comparison.restrictionAfter.value,
        'restrictionGoodRatio',
        limits,
      ),
    );
  }
  for (const row of comparison.rows) {
    const id = goodLimitOf(row);
    const value = row.afterMbar ?? row.afterReadMbar;
    if (id && value !== undefined)
      list.push(judged(say('proof.dp-after', { at: row.label }), value, id, limits));
  }
  return list;
}

function beforeWasGood(comparison: Comparison, limits: Limits): boolean {
  if (comparison.restrictionBefore) return comparison.restrictionBefore.value <= limits.restrictionGoodRatio;
  const hold = comparison.rows.find(({ kind, rpm }) => kind === 'hold' && rpm === 3000);
  const idle = comparison.rows.find(({ kind }) => kind === 'idle');
  const seen = [
    [hold?.beforeReadMbar, limits.dp3000GoodMbar],
    [idle?.beforeReadMbar, limits.dpIdleGoodMbar],
  ] as const;
  const known = seen.filter(([value]) => value !== undefined);
  return known.length > 0 && known.every(([value, limit]) => (value as number) <= limit);
}

/** Whether a log among the readings shows a finding. */
const shows = (readings: Readings, is: (finding: string) => boolean): boolean =>
  readings.some(({ origin }) => origin.type === 'log' && origin.findings.some(is));

/** Reasons why the after reading cannot carry a verdict, whatever its figures: a lying sensor looks like a cure. */
function unbelievable(comparison: Comparison, after: Readings, limits: Limits): Said[] {
  const missing: Said[] = [];
  if (shows(after, (id) => SENSOR_UNPROVEN.has(id))) missing.push(say('proof.an-after-reading-from-a'));
  if (shows(after, (id) => id === 'dp-falling')) {
    missing.push(say('proof.an-after-reading-on-the'));
  }
  const { restrictionAfter, equalFlow } = comparison;
  if (restrictionAfter && restrictionAfter.high < limits.restrictionImplausibleRatio) {
    missing.push(
      say('proof.a-plausible-reading-after-reads', {
        restrictionAfterValue: restrictionAfter.value,
        restrictionImplausibleRatio: limits.restrictionImplausibleRatio,
      }),
    );
  } else if (
    !restrictionAfter &&
    equalFlow &&
    equalFlow.flowM3PerH > 100 &&
    equalFlow.afterMbar < limits.dpLowForFlowMbar
  ) {
    missing.push(
      say('proof.a-plausible-reading-at-m3', {
        afterMbar: equalFlow.afterMbar,
        flowM3PerH: equalFlow.flowM3PerH,
        dpLowForFlowMbar: limits.dpLowForFlowMbar,
      }),
    );
  }
  return missing;
}

/** Reasons why the before reading is no measure of what there was: a lying sensor then looks like harm done, or a cure. */
function beforeUnbelievable(
  { restrictionBefore }: Comparison,
  { before, pathChanged }: ProofReadings,
  limits: Limits,
): Said[] {
  if (pathChanged !== undefined) return [say('proof.a-before-reading-with-the', { pathChanged })];
  if (shows(before, (id) => SENSOR_UNPROVEN.has(id))) return [say('proof.a-plausible-before-reading')];
  if (!restrictionBefore || restrictionBefore.high >= limits.restrictionImplausibleRatio) return [];
  return [
    say('proof.a-plausible-before-reading-it', {
      restrictionBeforeValue: restrictionBefore.value,
      restrictionImplausibleRatio: limits.restrictionImplausibleRatio,
    }),
  ];
}

/** It was held before and only idled after: the flow of idle is too small to prove by where more was possible. */
function holdsMissing({ before, after }: ProofReadings, { heldFromRpm }: Limits): boolean {
  const holds = (readings: Readings): boolean =>
    readings.some(({ samples }) => samples.some(({ kind, rpm }) => kind !== 'snap' && rpm >= heldFromRpm));
  return holds(before) && !holds(after);
}

const notTheFilter = ({ pathChanged = '' }: ProofReadings, judgements: readonly Judgement[]): Proof => ({
  verdict: 'proved',
  nothingToRemove: false,
  falseAlarm: true,
  missing: [],
  reasons: [say('proof.the-filter-was-not-touched', { pathChanged })],
  judgements,
});

/**
 * The verdict at equal flow, from the comparison alone: *proved* when the pressure fell by at least the limit at the
 * lower end of its interval and the after state is within its limits; *better* when it surely fell but not to there;
 * *worse* when it surely rose; otherwise *not proved*, with what is missing. What a job needs beyond (drive, re-scan)
 * is added where the job is derived.
 */
export function judgeProof(comparison: Comparison, readings: ProofReadings, limits: Limits): Proof {
  const { removedPercent, equalFlow } = comparison;
  const { after } = readings;
  const state = afterJudgements(comparison, limits);
  const good = state.length > 0 && state.every(({ holds }) => holds);
  const falseAlarm = good && readings.filterUntouched === true && readings.pathChanged !== undefined;
  // A sensor that showed nothing at all cannot be compared with: what it shows since it was put right can be judged.
  const mute = falseAlarm && !removedPercent && unbelievable(comparison, after, limits).length === 0;
  if (mute) return notTheFilter(readings, state);
  if (!removedPercent || !equalFlow) {
    return {
      verdict: 'not-proved',
      nothingToRemove: false,
      missing:
        comparison.obstacles.length > 0 ? comparison.obstacles : [say('proof.a-before-reading-with-a')],
      reasons: [],
      judgements: [],
    };
  }
  const fall = [
    say('proof.pressure-went', {
      flowM3PerH: equalFlow.flowM3PerH,
      beforeMbar: equalFlow.beforeMbar,
      afterMbar: equalFlow.afterMbar,
      removed: removedPercent.value,
      low: removedPercent.low,
      high: removedPercent.high,
    }),
    ...comparison.leftOut,
  ];
  const judgements = [
    judged(say('proof.removed-lower-end'), removedPercent.low, 'removedProvedPercent', limits, 'at least'),
    ...afterJudgements(comparison, limits),
  ];
  const missing = unbelievable(comparison, after, limits);
  if (missing.length > 0)
    return { verdict: 'not-proved', nothingToRemove: false, missing, reasons: fall, judgements };
  if (good && readings.newFilter === true)
    return {
      verdict: 'proved',
      nothingToRemove: false,
      newFilter: true,
      missing: [],
      reasons: [say('proof.replacement-filter-counts'), ...fall],
      judgements: state,
    };
  const noBefore = beforeUnbelievable(comparison, readings, limits);
  if (noBefore.length > 0) {
    if (falseAlarm) return notTheFilter(readings, state);
    return {
      verdict: 'not-proved',
      nothingToRemove: false,
      missing: noBefore,
      reasons: good ? [...fall, say('proof.the-reading-is-now-within')] : fall,
      judgements,
    };
  }

  if (removedPercent.high < 0) {
    return {
      verdict: 'worse',
      nothingToRemove: false,
      missing: [],
      reasons: [...fall, say('proof.the-pressure-rose-by-more')],
      judgements,
    };
  }
  if (removedPercent.low <= 0) {
    const nothingToRemove = beforeWasGood(comparison, limits);
    const why = nothingToRemove
      ? say('proof.the-before-reading-was-already')
      : say('proof.the-difference-is-within');
    return {
      verdict: 'not-proved',
      nothingToRemove,
      missing: nothingToRemove ? [] : [say('proof.longer-holds-or-both-readings')],
      reasons: [...fall, why],
      judgements,
    };
  }
  if (holdsMissing(readings, limits))
    return {
      verdict: 'better',
      nothingToRemove: false,
      missing: [say('proof.repeat-the-holds')],
      reasons: fall,
      judgements,
    };
  const failing = judgements.filter((judgement) => !judgement.holds);
  if (failing.length === 0)
    return { verdict: 'proved', nothingToRemove: false, missing: [], reasons: fall, judgements };
  return {
    verdict: 'better',
    nothingToRemove: false,
    missing: [],
    reasons: [
      ...fall,
      ...failing.map((j) =>
        say('proof.is-wanted', {
          name: j.name,
          value: j.value,
          unit: j.unit,
          sense: j.sense,
          limit: j.limit,
        }),
      ),
    ],
    judgements,
  };
}
