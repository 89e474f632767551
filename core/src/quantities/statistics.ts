import { quantile as quantileOf, sampleCorrelation } from 'simple-statistics';

/*
 * The one policy for missing numbers: they are left out, and where nothing remains the answer is `undefined`
 * (for a spread or correlation: 0), never NaN. Quantiles and correlation are the library's.
 */

/** A plain loop: `Array.from` on a typed array of a million readings takes ten times as long. */
function finite(values: ArrayLike<number>): number[] {
  const kept: number[] = [];
  for (let i = 0; i < values.length; i++) {
    const value = values[i] as number;
    if (Number.isFinite(value)) kept.push(value);
  }
  return kept;
}

/** Mean of the finite numbers. Worked value: [1, NaN, 3] → 2. A plain loop: channels hold a million readings. */
export function mean(values: ArrayLike<number>): number | undefined {
  let sum = 0;
  let count = 0;
  for (let i = 0; i < values.length; i++) {
    const value = values[i] as number;
    if (!Number.isFinite(value)) continue;
    sum += value;
    count++;
  }
  return count === 0 ? undefined : sum / count;
}

/** Sample standard deviation (n − 1) of the finite numbers; 0 for fewer than two. In two passes, so that nothing cancels. */
export function standardDeviation(values: ArrayLike<number>): number {
  const middle = mean(values);
  if (middle === undefined) return 0;
  let sum = 0;
  let count = 0;
  for (let i = 0; i < values.length; i++) {
    const value = values[i] as number;
    if (!Number.isFinite(value)) continue;
    sum += (value - middle) ** 2;
    count++;
  }
  return count < 2 ? 0 : Math.sqrt(sum / (count - 1));
}

/** Quantile `p` (0–1) of the finite numbers. */
export function quantile(values: ArrayLike<number>, p: number): number | undefined {
  const kept = finite(values);
  return kept.length === 0 ? undefined : quantileOf(kept, Math.min(Math.max(p, 0), 1));
}

export const median = (values: ArrayLike<number>): number | undefined => quantile(values, 0.5);

/** Pearson correlation over the pairs in which both numbers are finite; 0 if either series is constant. */
export function correlation(x: ArrayLike<number>, y: ArrayLike<number>): number {
  const xs: number[] = [];
  const ys: number[] = [];
  for (let i = 0; i < Math.min(x.length, y.length); i++) {
    const a = x[i] as number;
    const b = y[i] as number;
    if (Number.isFinite(a) && Number.isFinite(b)) {
      xs.push(a);
      ys.push(b);
    }
  }
  if (xs.length < 3) return 0;
  const r = sampleCorrelation(xs, ys);
  return Number.isFinite(r) ? r : 0;
}

/**
 * Two-sided 90 % point of Student's t (its 0.95 quantile) for `degrees` ≥ 1 of freedom, by the expansion of
 * Cornish and Fisher (Abramowitz & Stegun 26.7.5), exact for 1 and 2. Worked value: 10 → 1.812.
 */
export function studentT90(degrees: number): number {
  if (degrees <= 1) return 6.314;
  if (degrees <= 2) return 2.92;
  const z = 1.6448536;
  const z3 = z ** 3;
  const z5 = z ** 5;
  const g1 = (z3 + z) / 4;
  const g2 = (5 * z5 + 16 * z3 + 3 * z) / 96;
  const g3 = (3 * z ** 7 + 19 * z5 + 17 * z3 - 15 * z) / 384;
  return z + g1 / degrees + g2 / degrees ** 2 + g3 / degrees ** 3;
}

/**
 * Slope of y over x as the median of the slopes of all pairs that lie at least `apart` in x (Theil 1950, Sen 1968): up to 29 %
 * of wild readings do not move it. Undefined where there is no such pair. Worked value: (0,0) (1,2) (2,4) → 2.
 */
export function medianSlope(x: readonly number[], y: readonly number[], apart = 0): number | undefined {
  const slopes: number[] = [];
  for (let i = 0; i < x.length; i++)
    for (let j = i + 1; j < x.length; j++) {
      const dx = (x[j] as number) - (x[i] as number);
      if (Math.abs(dx) > apart) slopes.push(((y[j] as number) - (y[i] as number)) / dx);
    }
  return median(slopes);
}
