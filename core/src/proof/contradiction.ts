import { say, type Said } from '../words/index.ts';
import type { Limits } from '../limits/index.ts';
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
  readonly text: Said;
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
): Contradiction | undefined {
  const { limits } = context;
  if (!soon(next, limits)) return undefined;
  const { removedPercent, restrictionAfter, equalFlow, rows } = compareReadings(after, next.before, context);
  if (!removedPercent || !equalFlow || removedPercent.high >= 0) return undefined;
  const hold = rows.find(({ kind, rpm }) => kind === 'hold' && rpm === 3000)?.afterReadMbar;
  const stillGood = restrictionAfter
    ? restrictionAfter.value <= limits.restrictionGoodRatio
    : hold === undefined || hold <= limits.dp3000GoodMbar;
  if (stillGood) return undefined;
  return {
    jobId: next.jobId,
    number: next.number,
    text: say('proof.next-job-contradicts', {
      number: next.number,
      days: next.days,
      km: next.km,
      withinDays: limits.comesBackWithinDays,
      withinKm: limits.comesBackWithinKm,
      readsMbar: equalFlow.afterMbar,
      leftMbar: equalFlow.beforeMbar,
      flowM3PerH: equalFlow.flowM3PerH,
      ratio: restrictionAfter?.value,
      goodRatio: limits.restrictionGoodRatio,
    }),
  };
}
