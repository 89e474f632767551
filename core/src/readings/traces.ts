import { indexAt } from './indexAt.ts';
import type { Series } from './recording.ts';

/** A series as a picture of so many points across shows it, and what it does in that stretch. */
export interface Trace {
  readonly timeS: Float64Array;
  readonly values: Float64Array;
  /** Over the readings of the stretch itself; absent where there are none. */
  readonly stats?: { readonly n: number; readonly min: number; readonly mean: number; readonly max: number };
}

/**
 * The readings between two times, thinned for a picture `points` wide: of each column of the picture its lowest and
 * highest reading in their order, so that no spike is lost. Short stretches come as they are. One reading more at each
 * side, so that a line reaches the edge.
 */
export function traceOf(series: Series, fromS: number, toS: number, points: number): Trace {
  const from = indexAt(series.timeS, fromS);
  const to = indexAt(series.timeS, toS, true);
  const first = Math.max(0, from - 1);
  const last = Math.min(series.timeS.length, to + 1);
  const stats = statsOf(series.values, from, to);
  const shown =
    last - first <= 2 * points + 2
      ? { timeS: series.timeS.slice(first, last), values: series.values.slice(first, last) }
      : thinned(series, first, last, points);
  return { ...shown, ...(stats ? { stats } : {}) };
}

function thinned(
  { timeS, values }: Series,
  first: number,
  last: number,
  points: number,
): Omit<Trace, 'stats'> {
  const outTime = new Float64Array(2 * points + 2);
  const outValue = new Float64Array(2 * points + 2);
  let n = 0;
  const push = (i: number): void => {
    outTime[n] = timeS[i] as number;
    outValue[n++] = values[i] as number;
  };
  const size = (last - first) / points;
  for (let p = 0; p < points; p++) {
    const a = first + Math.floor(p * size);
    const b = Math.min(last, first + Math.floor((p + 1) * size));
    if (b <= a) continue;
    let low = a;
    let high = a;
    for (let i = a + 1; i < b; i++) {
      if ((values[i] as number) < (values[low] as number)) low = i;
      if ((values[i] as number) > (values[high] as number)) high = i;
    }
    push(Math.min(low, high));
    if (low !== high) push(Math.max(low, high));
  }
  return { timeS: outTime.slice(0, n), values: outValue.slice(0, n) };
}

function statsOf(values: Float64Array, from: number, to: number): Trace['stats'] {
  if (to <= from) return undefined;
  let [min, max, sum] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY, 0];
  for (let i = from; i < to; i++) {
    const value = values[i] as number;
    if (value < min) min = value;
    if (value > max) max = value;
    sum += value;
  }
  return { n: to - from, min, mean: sum / (to - from), max };
}
