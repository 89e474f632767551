import { say } from '../../words/index.ts';
import { failed, success, type Result } from '../../quantities/index.ts';

/** How a value comes back after it was let go. */
export interface Decay {
  /** Time in which it comes to within 1/e of where it ends, s. With `atMost` the sampling shows no more than that. */
  readonly timeS: number;
  readonly atMost: boolean;
  /** The fall was not over when the reading ended: it is at least this slow. */
  readonly atLeast: boolean;
  /** Where it starts and ends by the fit. */
  readonly from: number;
  readonly to: number;
  /** Share of the movement that the fit explains, 0–1. */
  readonly explained: number;
  readonly intervalS: number;
}

const SHORTEST_S = 0.01;
const LONGEST_S = 600;

/** Best offset and height of `to + height·exp(−t/τ)` for one τ, by least squares, and what is left over. */
function fitFor(times: readonly number[], values: readonly number[], timeS: number) {
  const n = times.length;
  const shape = times.map((t) => Math.exp(-t / timeS));
  const meanE = shape.reduce((a, b) => a + b, 0) / n;
  const meanV = values.reduce((a, b) => a + b, 0) / n;
  let [see, sev] = [0, 0];
  shape.forEach((e, i) => {
    see += (e - meanE) ** 2;
    sev += (e - meanE) * ((values[i] as number) - meanV);
  });
  const height = see > 0 ? sev / see : 0;
  const to = meanV - height * meanE;
  let left = 0;
  shape.forEach((e, i) => {
    left += ((values[i] as number) - to - height * e) ** 2;
  });
  return { height, to, left };
}

/**
 * Time constant of a release: `v = to + height·exp(−t/τ)` by least squares, τ sought on a logarithmic scale (golden section;
 * for one τ the rest is linear). Times from the moment of release, s, values in any unit. Says when the sampling cannot show
 * it: a τ below the interval of the readings is only “at most the interval”; one longer than the reading “at least”.
 * Worked value: 100·exp(−t/2) read every 0.2 s for 8 s → 2.0 s.
 */
export function fitDecay(times: readonly number[], values: readonly number[]): Result<Decay> {
  const order = times
    .map((t, i) => [t, values[i] as number] as const)
    .filter(([t, v]) => Number.isFinite(t) && Number.isFinite(v))
    .sort((a, b) => a[0] - b[0]);
  const [t, v] = [order.map(([at]) => at), order.map(([, value]) => value)];
  const lengthS = (t.at(-1) ?? 0) - (t[0] ?? 0);
  if (t.length < 4 || lengthS <= 0)
    return failed({
      code: 'not-enough-data',
      field: say('checks.the-release'),
      requirement: say('checks.needs-four-readings-or-more'),
      value: t.length,
    });
  const intervalS = lengthS / (t.length - 1);
  const since = t.map((at) => at - (t[0] as number));
  let [low, high] = [Math.log(SHORTEST_S), Math.log(LONGEST_S)];
  const golden = (Math.sqrt(5) - 1) / 2;
  const leftAt = (logTime: number): number => fitFor(since, v, Math.exp(logTime)).left;
  for (let i = 0; i < 60; i++) {
    const a = high - golden * (high - low);
    const b = low + golden * (high - low);
    if (leftAt(a) < leftAt(b)) high = b;
    else low = a;
  }
  const timeS = Math.exp((low + high) / 2);
  const { height, to, left } = fitFor(since, v, timeS);
  const meanV = v.reduce((a, b) => a + b, 0) / v.length;
  const total = v.reduce((sum, value) => sum + (value - meanV) ** 2, 0);
  return success({
    timeS: Math.max(timeS, intervalS),
    atMost: timeS < intervalS,
    atLeast: timeS > lengthS,
    from: to + height,
    to,
    explained: total > 0 ? 1 - left / total : 0,
    intervalS,
  });
}
