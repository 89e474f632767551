import { correlation, quantile } from '../../quantities/index.ts';
import type { RawColumn } from '../reader/rawLog.ts';

/** Between which values nearly all readings of a column lie, as written. */
export interface Range {
  readonly low: number;
  readonly middle: number;
  readonly high: number;
}

/** Enough of a column to judge it. */
const SAMPLE = 2000;

/** At most two thousand readings of a column, evenly over the log. */
export function sampleOf(values: Float64Array): Float64Array {
  if (values.length <= SAMPLE) return values;
  const step = values.length / SAMPLE;
  return Float64Array.from({ length: SAMPLE }, (_, i) => values[Math.floor(i * step)] as number);
}

/** Undefined for a column without a number. */
export function rangeOf(column: RawColumn): Range | undefined {
  const sample = sampleOf(column.values);
  const low = quantile(sample, 0.02);
  const middle = quantile(sample, 0.5);
  const high = quantile(sample, 0.98);
  return low === undefined || middle === undefined || high === undefined ? undefined : { low, middle, high };
}

/** Less than this share of what it shows is no movement. */
const STILL = 0.01;

/** Whether a column shows one value throughout, as a channel that is not fitted does. */
export const standsStill = (range: Range | undefined): boolean =>
  range !== undefined && range.high - range.low <= STILL * Math.max(Math.abs(range.middle), 1);

/** Whether two columns show the same thing, so that either will do. */
export function sameReadings(a: RawColumn, b: RawColumn): boolean {
  if (a.values.length !== b.values.length) return false;
  const [first, second] = [sampleOf(a.values), sampleOf(b.values)];
  let apart = 0;
  let scale = 0;
  for (let i = 0; i < first.length; i++) {
    apart = Math.max(apart, Math.abs((first[i] as number) - (second[i] as number)));
    scale = Math.max(scale, Math.abs(first[i] as number));
  }
  return apart <= 0.02 * scale && (scale === 0 || correlation(first, second) > 0.99 || apart === 0);
}
