/** First index whose time is ≥ `target`, or > `target` where `after`. */
export function indexAt(timeS: Float64Array, target: number, after = false): number {
  let low = 0;
  let high = timeS.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    const t = timeS[middle] as number;
    if (after ? t <= target : t < target) low = middle + 1;
    else high = middle;
  }
  return low;
}
