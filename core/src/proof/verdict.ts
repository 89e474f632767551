import { LIMIT_DEFINITIONS, type LimitId, type Limits } from '../limits/index.ts';
import { SENSOR_UNPROVEN } from '../readings/index.ts';
import { pressureText, withoutMinusZero, type Unit } from '../quantities/index.ts';
import type { Comparison } from './compareReadings.ts';
import type { Readings } from './pooled.ts';

export const VERDICTS = ['proved', 'better', 'not-proved', 'worse'] as const;
export type Verdict = (typeof VERDICTS)[number];

/** One figure set against its limit. */
export interface Judgement {
  readonly name: string;
  readonly value: number;
  readonly unit: string;
  readonly limit: number;
  readonly sense: 'at most' | 'at least';
  readonly holds: boolean;
  readonly reason: string;
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
  readonly missing: readonly string[];
  readonly reasons: readonly string[];
  readonly judgements: readonly Judgement[];
}

export interface ProofReadings {
  readonly before: Readings;
  readonly after: Readings;
  /** What was done to the ΔP sensor or its pipes between the two, in words. */
  readonly pathChanged?: string;
  /** Nothing was done to the filter between the two. */
  readonly filterUntouched?: boolean;
  /** Another filter was put in between the two: what counts is what that one reads. */
  readonly newFilter?: boolean;
}

const percent = (value: number): string => `${Math.round(value)} %`;

function judged(
  name: string,
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

/** The after state against the limits: the restriction ratio where the filter size is known, bare mbar beside it. */
function afterJudgements(comparison: Comparison, limits: Limits): Judgement[] {
  const list: Judgement[] = [];
  if (comparison.restrictionAfter) {
    list.push(judged('Restriction after', comparison.restrictionAfter.value, 'restrictionGoodRatio', limits));
  }
  const limitOf: Record<string, LimitId> = {
    idle: 'dpIdleGoodMbar',
    '2500 rpm': 'dp2500GoodMbar',
    '3000 rpm': 'dp3000GoodMbar',
  };
  for (const row of comparison.rows) {
    const id = limitOf[row.label];
    const value = row.afterMbar ?? row.afterReadMbar;
    if (id && value !== undefined) list.push(judged(`ΔP after, ${row.label}`, value, id, limits));
  }
  return list;
}

function beforeWasGood(comparison: Comparison, limits: Limits): boolean {
  if (comparison.restrictionBefore) return comparison.restrictionBefore.value <= limits.restrictionGoodRatio;
  const hold = comparison.rows.find((row) => row.label === '3000 rpm');
  const idle = comparison.rows.find((row) => row.label === 'idle');
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
function unbelievable(comparison: Comparison, after: Readings, limits: Limits, pressureUnit: Unit): string[] {
  const missing: string[] = [];
  if (shows(after, (id) => SENSOR_UNPROVEN.has(id)))
    missing.push('An after reading from a sensor that follows flow: in this log it does not.');
  if (shows(after, (id) => id === 'dp-falling')) {
    missing.push('An after reading on the plateau: the pressure was still falling during this hold.');
  }
  const { restrictionAfter, equalFlow } = comparison;
  if (restrictionAfter && restrictionAfter.high < limits.restrictionImplausibleRatio) {
    missing.push(
      `A plausible reading: after reads ${restrictionAfter.value.toFixed(2)} × clean, less than a clean filter can show (limit ${limits.restrictionImplausibleRatio}). Check sensor, hoses and filter size; a cracked filter reads so too.`,
    );
  } else if (
    !restrictionAfter &&
    equalFlow &&
    equalFlow.flowM3PerH > 100 &&
    equalFlow.afterMbar < limits.dpLowForFlowMbar
  ) {
    missing.push(
      `A plausible reading: ${pressureText(equalFlow.afterMbar, pressureUnit)} at ${Math.round(equalFlow.flowM3PerH)} m³/h is under ${pressureText(limits.dpLowForFlowMbar, pressureUnit)}. Check sensor and hoses.`,
    );
  }
  return missing;
}

/** Reasons why the before reading is no measure of what there was: a lying sensor then looks like harm done, or a cure. */
function beforeUnbelievable(
  { restrictionBefore }: Comparison,
  { before, pathChanged }: ProofReadings,
  limits: Limits,
): string[] {
  if (pathChanged !== undefined)
    return [
      `A before reading with the present sensor and lines: ${pathChanged} after the existing one, so the amount removed is unknown. Next time read again before touching the filter.`,
    ];
  if (shows(before, (id) => SENSOR_UNPROVEN.has(id)))
    return [
      'A plausible before reading: in this log sensor or pipe do not follow the flow, so the amount removed is unknown.',
    ];
  if (!restrictionBefore || restrictionBefore.high >= limits.restrictionImplausibleRatio) return [];
  return [
    `A plausible before reading: it reads ${restrictionBefore.value.toFixed(2)} × clean, less than a clean filter can show (limit ${limits.restrictionImplausibleRatio}): sensor, hoses, size, or a cracked filter. The amount removed is unknown.`,
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
  reasons: [
    `The filter was not touched. Since the before reading ${pathChanged} and the reading is now within limits: it was not the filter.`,
  ],
  judgements,
});

/**
 * The verdict at equal flow, from the comparison alone: *proved* when the pressure fell by at least the limit at the
 * lower end of its interval and the after state is within its limits; *better* when it surely fell but not to there;
 * *worse* when it surely rose; otherwise *not proved*, with what is missing. What a job needs beyond (drive, re-scan)
 * is added where the job is derived.
 */
export function judgeProof(
  comparison: Comparison,
  readings: ProofReadings,
  limits: Limits,
  pressureUnit: Unit = 'mbar',
): Proof {
  const { removedPercent, equalFlow } = comparison;
  const { after } = readings;
  const state = afterJudgements(comparison, limits);
  const good = state.length > 0 && state.every(({ holds }) => holds);
  const falseAlarm = good && readings.filterUntouched === true && readings.pathChanged !== undefined;
  // A sensor that showed nothing at all cannot be compared with: what it shows since it was put right can be judged.
  const mute =
    falseAlarm && !removedPercent && unbelievable(comparison, after, limits, pressureUnit).length === 0;
  if (mute) return notTheFilter(readings, state);
  if (!removedPercent || !equalFlow) {
    return {
      verdict: 'not-proved',
      nothingToRemove: false,
      missing:
        comparison.obstacles.length > 0
          ? comparison.obstacles
          : ['A before reading with a pressure above zero.'],
      reasons: [],
      judgements: [],
    };
  }
  const flow = `${Math.round(equalFlow.flowM3PerH)} m³/h`;
  const fallen = `At ${flow} the pressure drop went from ${pressureText(equalFlow.beforeMbar, pressureUnit)} to ${pressureText(equalFlow.afterMbar, pressureUnit)}: ${percent(removedPercent.value)} removed, ${percent(removedPercent.low)} to ${percent(removedPercent.high)} (90 %).`;
  const fall = [fallen, ...comparison.leftOut].join(' ');
  const judgements = [
    judged('Removed, lower end', removedPercent.low, 'removedProvedPercent', limits, 'at least'),
    ...afterJudgements(comparison, limits),
  ];
  const missing = unbelievable(comparison, after, limits, pressureUnit);
  if (missing.length > 0)
    return { verdict: 'not-proved', nothingToRemove: false, missing, reasons: [fall], judgements };
  if (good && readings.newFilter === true)
    return {
      verdict: 'proved',
      nothingToRemove: false,
      newFilter: true,
      missing: [],
      reasons: [`A replacement filter was fitted: its reading counts, and is within limits. ${fall}`],
      judgements: state,
    };
  const noBefore = beforeUnbelievable(comparison, readings, limits);
  if (noBefore.length > 0) {
    if (falseAlarm) return notTheFilter(readings, state);
    return {
      verdict: 'not-proved',
      nothingToRemove: false,
      missing: noBefore,
      reasons: good ? [fall, 'The reading is now within limits.'] : [fall],
      judgements,
    };
  }

  if (removedPercent.high < 0) {
    return {
      verdict: 'worse',
      nothingToRemove: false,
      missing: [],
      reasons: [fall, 'The pressure rose by more than the scatter of the readings.'],
      judgements,
    };
  }
  if (removedPercent.low <= 0) {
    const nothingToRemove = beforeWasGood(comparison, limits);
    const why = nothingToRemove
      ? 'The before reading was already within limits: nothing to remove.'
      : 'The difference is within the uncertainty of the two readings.';
    return {
      verdict: 'not-proved',
      nothingToRemove,
      missing: nothingToRemove ? [] : ['Longer holds, or both readings with the zero read at key off.'],
      reasons: [fall, why],
      judgements,
    };
  }
  if (holdsMissing(readings, limits))
    return {
      verdict: 'better',
      nothingToRemove: false,
      missing: ['Repeat the holds of the before reading: idle alone says little about a filter.'],
      reasons: [fall],
      judgements,
    };
  const failing = judgements.filter((judgement) => !judgement.holds);
  if (failing.length === 0)
    return { verdict: 'proved', nothingToRemove: false, missing: [], reasons: [fall], judgements };
  return {
    verdict: 'better',
    nothingToRemove: false,
    missing: [],
    reasons: [
      fall,
      ...failing.map(
        (j) =>
          `${j.name} is ${figure(j.value, j.unit, pressureUnit)}, wanted ${j.sense} ${figure(j.limit, j.unit, pressureUnit)}.`,
      ),
    ],
    judgements,
  };
}

/** A judged figure with its unit; pressures in the person's own. */
export function figure(value: number, unit: string, pressureUnit: Unit = 'mbar'): string {
  if (unit === 'mbar') return pressureText(value, pressureUnit);
  const digits = unit === '%' || Math.abs(value) >= 10 ? 0 : 1;
  return `${withoutMinusZero(value.toFixed(digits))} ${unit}`;
}
