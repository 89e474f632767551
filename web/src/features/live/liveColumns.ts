import type { LiveTrace } from './liveSession.ts';

/** First index at or after a time. */
function indexFrom(timeS: readonly number[], from: number): number {
  let [low, high] = [0, timeS.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((timeS[middle] as number) < from) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** The lowest and highest reading of each pixel, so that thirty minutes draw as quickly as one. */
export function columnsOf(
  { timeS, values }: LiveTrace,
  fromS: number,
  toS: number,
  width: number,
): { x: number; low: number; high: number }[] {
  const columns: { x: number; low: number; high: number }[] = [];
  const perS = width / (toS - fromS);
  for (let i = indexFrom(timeS, fromS); i < timeS.length; i++) {
    const x = Math.floor(((timeS[i] as number) - fromS) * perS);
    const value = values[i] as number;
    const last = columns.at(-1);
    if (last?.x === x) {
      if (value < last.low) last.low = value;
      if (value > last.high) last.high = value;
    } else columns.push({ x, low: value, high: value });
  }
  return columns;
}
