/** Ends and round steps of an axis that holds these values; never without a length. */
export function axisFor(values: readonly number[], most = 5): { from: number; to: number; ticks: number[] } {
  const [low, high] = [Math.min(0, ...values), Math.max(0, ...values)];
  const span = high - low || 1;
  const rough = span / most;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = ([1, 2, 5, 10].find((times) => times * power >= rough) ?? 10) * power;
  const first = Math.floor(low / step + 1e-9);
  const last = Math.ceil((low + span) / step - 1e-9);
  return {
    from: first * step,
    to: last * step,
    ticks: Array.from({ length: last - first + 1 }, (_, i) => (first + i) * step),
  };
}
