import type { Limits } from '../limits/index.ts';
import { pressureText, type Unit } from '../quantities/index.ts';
import { compareReadings, type ProofContext } from './compareReadings.ts';
import type { Readings } from './pooled.ts';

/** The visit after the one that was proved, as far as it bears on that. */
export interface NextVisit {
  readonly jobId: string;
  readonly number: number;
  /** What was read before anything was done on it. */
  readonly before: Readings;
  readonly days: number;
  /** Driven in between, km; absent where one of the two distances is not known. */
  readonly km?: number;
}

/** The next visit shows that what was proved does not hold. */
export interface Contradiction {
  readonly jobId: string;
  readonly number: number;
  readonly text: string;
}

/** Whether the next visit came so soon that it bears on this one’s proof. */
function soon({ km, days }: NextVisit, limits: Limits): boolean {
  return km === undefined ? days <= limits.comesBackWithinDays : km <= limits.comesBackWithinKm;
}

/**
 * The rule by which a proof is opened again: the next visit comes soon, its before reading lies surely above this one’s after reading at
 * equal flow, and it is not good any more. A filter that fills slowly again in its usual distance contradicts nothing.
 */
export function contradictionBy(
  next: NextVisit,
  after: Readings,
  context: ProofContext,
  pressureUnit?: Unit,
): Contradiction | undefined {
  const { limits } = context;
  if (!soon(next, limits)) return undefined;
  const { removedPercent, restrictionAfter, equalFlow, rows } = compareReadings(after, next.before, context);
  if (!removedPercent || !equalFlow || removedPercent.high >= 0) return undefined;
  const hold = rows.find(({ label }) => label === '3000 rpm')?.afterReadMbar;
  const stillGood = restrictionAfter
    ? restrictionAfter.value <= limits.restrictionGoodRatio
    : hold === undefined || hold <= limits.dp3000GoodMbar;
  if (stillGood) return undefined;
  const when =
    next.km === undefined
      ? `${next.days} days later (within ${limits.comesBackWithinDays} days it cancels the proof)`
      : `${Math.round(next.km)} km later (within ${limits.comesBackWithinKm} km it cancels the proof)`;
  const ratio = restrictionAfter
    ? `, ${restrictionAfter.value.toFixed(1)} × clean, good up to ${limits.restrictionGoodRatio}`
    : '';
  return {
    jobId: next.jobId,
    number: next.number,
    text: `Job ${next.number}, ${when}, reads ${pressureText(equalFlow.afterMbar, pressureUnit)} where this one left ${pressureText(equalFlow.beforeMbar, pressureUnit)} at ${Math.round(equalFlow.flowM3PerH)} m³/h${ratio}.`,
  };
}
