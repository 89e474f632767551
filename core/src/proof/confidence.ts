import { say, type Said } from '../words/index.ts';
import type { Limits } from '../limits/index.ts';
import type { Comparison, Interval } from './compareReadings.ts';
import type { Evidence } from './evidenceItem.ts';
import { Z90 } from './readingPoints.ts';
import type { Proof } from './verdict.ts';

/** How sure a verdict is, and by what it is less sure than it could be. */
export interface Confidence {
  readonly level: 'high' | 'fair' | 'low';
  /** Chance by the spread of the readings that every figure is on the right side of its limit, %. */
  readonly percent: number;
  /** What lowers it, as parts of a sentence. */
  readonly reasons: readonly Said[];
}

/**
 * The normal distribution up to `z`, by the approximation of Abramowitz & Stegun 26.2.17 (error below 7.5e-8).
 * Worked value: 1.645 → 0.950.
 */
export function normalUpTo(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z >= 0 ? 1 - tail : tail;
}

/** Chance that the true figure of a 90 % interval lies at or below a limit. */
function chanceBelow({ value, low, high }: Interval, limit: number): number {
  const sd = Math.max((high - low) / (2 * Z90), 1e-9);
  return normalUpTo((limit - value) / sd);
}

/** From so many weak pieces on the level is one lower than the figures alone make it. */
const WEAK_PIECES = 2;

/**
 * Confidence in what a proof says. The chance is that of the worst of its figures, as their errors go together; evidence that is
 * weaker than it could be takes a level off. Nothing where nothing was compared.
 */
export function confidenceOf(
  proof: Proof,
  comparison: Comparison,
  evidence: readonly Evidence[],
  limits: Limits,
): Confidence | undefined {
  const { removedPercent, restrictionAfter } = comparison;
  if (!removedPercent) return undefined;
  const removedEnough = 1 - chanceBelow(removedPercent, limits.removedProvedPercent);
  const leftGood = restrictionAfter ? chanceBelow(restrictionAfter, limits.restrictionGoodRatio) : 1;
  const counts = proof.falseAlarm || proof.newFilter ? [leftGood] : [removedEnough, leftGood];
  const chance = Math.min(...counts);
  // What was not reached is as sure as it is unlikely to have been.
  const percent = 100 * (proof.verdict === 'proved' ? chance : Math.max(1 - chance, 0));
  const hand = [comparison.before, comparison.after].some(
    ({ readings, samples }) => readings === samples.length,
  );
  const reasons = [
    ...(comparison.before.zeroRead && comparison.after.zeroRead ? [] : [say('proof.the-zero-of-dp')]),
    ...(hand ? [say('proof.single-figures-read-by-eye')] : []),
    ...(restrictionAfter ? [] : [say('proof.filter-size-unknown')]),
    ...evidence.flatMap(({ state, weak }) => (state === 'shown' && weak ? [weak] : [])),
  ];
  const byFigures =
    percent >= limits.confidenceHighPercent ? 2 : percent >= limits.confidenceFairPercent ? 1 : 0;
  const level = Math.max(0, byFigures - (reasons.length >= WEAK_PIECES ? 1 : 0));
  return { level: (['low', 'fair', 'high'] as const)[level] ?? 'low', percent, reasons };
}
