import { correlation, quantile } from '../quantities/index.ts';
import { indexAt } from './indexAt.ts';
import { seriesOf, type Recording, type Series } from './recording.ts';

/**
 * What stands for the flow when responses are judged: the MAF sensor where it follows engine speed, else engine speed.
 * Undefined without engine speed.
 */
export interface FlowSignal {
  readonly series: Series;
  readonly source: 'massAirFlow' | 'engineSpeed';
  /** Range of engine speed in the log, 1st to 99th per cent, rpm. */
  readonly speedRangeRpm: number;
}

export function flowSignal(recording: Recording): FlowSignal | undefined {
  const speed = seriesOf(recording, 'engineSpeed');
  if (speed.values.length < 10) return undefined;
  const thin = strided(speed.values);
  const speedRangeRpm = (quantile(thin, 0.99) ?? 0) - (quantile(thin, 0.01) ?? 0);
  const air = seriesOf(recording, 'massAirFlow');
  const dense = air.values.length > 0.3 * speed.values.length;
  const usable = dense && withFlow(air, speed) > 0.7;
  return { series: usable ? air : speed, source: usable ? 'massAirFlow' : 'engineSpeed', speedRangeRpm };
}

const MOST = 10_000;
/** At most 10,000 readings, evenly taken: a correlation needs no more. */
function strided(values: Float64Array): Float64Array {
  if (values.length <= MOST) return values;
  const step = values.length / MOST;
  return Float64Array.from({ length: MOST }, (_, i) => values[Math.floor(i * step)] as number);
}

/** Pearson correlation of a channel with another that is held between its readings; 0 where either is constant. */
export function withFlow(channel: Series, flow: Series): number {
  const step = Math.max(1, channel.values.length / MOST);
  const xs: number[] = [];
  const ys: number[] = [];
  if (flow.values.length === 0) return 0;
  let at = 0;
  for (let k = 0; k < channel.values.length; k += step) {
    const i = Math.floor(k);
    // Both go forward in time: the reading that is held is found by going along.
    const t = channel.timeS[i] as number;
    while (at < flow.timeS.length - 1 && (flow.timeS[at + 1] as number) <= t) at++;
    xs.push(flow.values[at] as number);
    ys.push(channel.values[i] as number);
  }
  return correlation(xs, ys);
}

/** A stretch around one or more quick changes of engine speed. */
interface Transient {
  readonly startS: number;
  readonly endS: number;
}

const JUMP_RPM = 500;
const JUMP_WITHIN_S = 1.5;
const BEFORE_S = 3;
const AFTER_S = 12;

/** Where engine speed moves by more than 500 rpm within 1.5 s: the pedal was stepped on or let go. */
export function findTransients(speed: Series): Transient[] {
  const { timeS, values } = speed;
  const found: { startS: number; endS: number }[] = [];
  let ahead = 0;
  for (let i = 0; i < values.length; i++) {
    const t = timeS[i] as number;
    while (ahead < values.length - 1 && (timeS[ahead + 1] as number) <= t + JUMP_WITHIN_S) ahead++;
    // A log slower than this has its change between two rows.
    const to = Math.max(ahead, Math.min(i + 1, values.length - 1));
    if ((timeS[to] as number) - t > 4 || Math.abs((values[to] as number) - (values[i] as number)) < JUMP_RPM)
      continue;
    const last = found.at(-1);
    const startS = t - BEFORE_S;
    const endS = (timeS[to] as number) + AFTER_S;
    if (last && startS <= last.endS) last.endS = endS;
    else found.push({ startS, endS });
  }
  return found;
}

/** Lags that are tried, s; a channel is said to lag by what lies between them too. */
const LAGS_S = [0, 0.1, 0.2, 0.3, 0.45, 0.65, 0.9, 1.2, 1.6, 2, 2.5, 3.2, 4, 5, 6.5, 8, 10, 13, 17, 22, 30];
/** Enough to tell a lag; a longer log does not make it surer. */
const MOST_TRANSIENTS = 16;
/** Within this a channel counts as prompt. */
const PROMPT_S = 1;

export interface Response {
  /** First-order lag behind the flow that explains the channel best, s. */
  readonly lagS: number;
  /** Share of the channel's movement in the transients that the lagged flow explains, 0–1. */
  readonly explained: number;
  /** How many times more is left unexplained if the channel were prompt (lag up to 1 s). */
  readonly worseIfPrompt: number;
  readonly transients: number;
  /** Middle time between readings, s: a lag much under it cannot be shown. */
  readonly intervalS: number;
}

/**
 * First-order lag of a channel behind the flow, from every quick change of engine speed together. In each transient the
 * channel is offset + gain · flow(t) lagged by τ, with an offset and a gain of the transient's own, so that a filter
 * which opens or warms during the log does not pass for a lag. The τ with the smallest sum of squares is taken.
 * Undefined where nothing quick happened or too few readings fall into it.
 */
export function findResponse(
  channel: Series,
  flow: Series,
  transients: readonly Transient[],
): Response | undefined {
  const left = new Float64Array(LAGS_S.length);
  let total = 0;
  let readings = 0;
  let used = 0;
  const every = Math.max(1, transients.length / MOST_TRANSIENTS);
  for (let pick = 0; pick < transients.length; pick += every) {
    const { startS, endS } = transients[Math.floor(pick)] as Transient;
    const from = indexAt(channel.timeS, startS);
    const to = indexAt(channel.timeS, endS, true);
    if (to - from < 6) continue;
    const sums = squaresLeft(channel, from, to, flow, startS, endS);
    if (sums.total <= 0) continue;
    used++;
    readings += to - from;
    total += sums.total;
    for (let k = 0; k < left.length; k++) left[k] = (left[k] as number) + (sums.left[k] as number);
  }
  if (used === 0 || readings < 20 || total <= 0) return undefined;
  let best = 0;
  for (let k = 1; k < left.length; k++) if ((left[k] as number) < (left[best] as number)) best = k;
  const prompt = Math.min(
    ...LAGS_S.map((lag, k) => (lag <= PROMPT_S ? (left[k] as number) : Number.POSITIVE_INFINITY)),
  );
  const least = Math.max(left[best] as number, 1e-9 * total);
  return {
    lagS: between(left, best),
    explained: 1 - least / total,
    worseIfPrompt: prompt / least,
    transients: used,
    intervalS: middleInterval(channel.timeS),
  };
}

/** The lowest point of a parabola through the best lag and its neighbours, in the order in which they are tried. */
function between(left: Float64Array, best: number): number {
  const here = LAGS_S[best] as number;
  const [a, b, c] = [left[best - 1], left[best] as number, left[best + 1]];
  if (a === undefined || c === undefined) return here;
  const curve = a - 2 * b + c;
  const shift = curve > 0 ? (0.5 * (a - c)) / curve : 0;
  const next = LAGS_S[best + (shift > 0 ? 1 : -1)] as number;
  return here + Math.abs(shift) * (next - here);
}

/** Sum of squares about the mean, and what a straight line on the lagged flow leaves of it, for each lag. */
function squaresLeft(
  channel: Series,
  from: number,
  to: number,
  flow: Series,
  startS: number,
  endS: number,
): { total: number; left: Float64Array } {
  const first = Math.max(0, indexAt(flow.timeS, startS - 10) - 1);
  const last = Math.min(flow.timeS.length, indexAt(flow.timeS, endS, true) + 1);
  const times = flow.timeS.subarray(first, last);
  const values = flow.values.subarray(first, last);
  const left = new Float64Array(LAGS_S.length);
  let total = 0;
  const lagged = new Float64Array(values.length);
  for (let k = 0; k < LAGS_S.length; k++) {
    lagBehind(times, values, LAGS_S[k] as number, lagged);
    let at = 0;
    let [n, x1, y1, xx, yy, xy] = [0, 0, 0, 0, 0, 0];
    for (let i = from; i < to; i++) {
      const t = channel.timeS[i] as number;
      while (at < times.length - 2 && (times[at + 1] as number) <= t) at++;
      const y = (channel.values[i] as number) - (channel.values[from] as number);
      const x = interpolated(times, lagged, at, t);
      n++;
      x1 += x;
      y1 += y;
      xx += x * x;
      yy += y * y;
      xy += x * y;
    }
    const syy = yy - (y1 * y1) / n;
    const sxx = xx - (x1 * x1) / n;
    const sxy = xy - (x1 * y1) / n;
    total = Math.max(syy, 0);
    // A channel that goes against the flow does not follow it at any lag.
    left[k] = sxx > 0 && sxy > 0 ? Math.max(syy - (sxy * sxy) / sxx, 0) : total;
  }
  return { total, left };
}

function interpolated(times: Float64Array, values: Float64Array, at: number, t: number): number {
  const [t0, t1] = [times[at] as number, times[at + 1] ?? (times[at] as number)];
  const [v0, v1] = [values[at] as number, values[at + 1] ?? (values[at] as number)];
  if (t <= t0 || t1 <= t0) return v0;
  return t >= t1 ? v1 : v0 + ((v1 - v0) * (t - t0)) / (t1 - t0);
}

/** First-order lag of a signal that runs straight between its readings: dx/dt = (u − x)/τ. */
function lagBehind(times: Float64Array, values: Float64Array, lagS: number, into: Float64Array): void {
  let state = values[0] ?? 0;
  into[0] = state;
  // Rows come at even steps nearly always: the exponential is worked out again only where the step changes.
  let knownStep = Number.NaN;
  let keeps = 0;
  for (let i = 1; i < values.length; i++) {
    const u = values[i] as number;
    const step = (times[i] as number) - (times[i - 1] as number);
    if (lagS <= 0) state = u;
    else {
      const middle = (u + (values[i - 1] as number)) / 2;
      if (step !== knownStep) {
        knownStep = step;
        keeps = Math.exp(-step / lagS);
      }
      state = middle + (state - middle) * keeps;
    }
    into[i] = state;
  }
}

function middleInterval(timeS: Float64Array): number {
  const steps: number[] = [];
  for (let i = 1; i < timeS.length && steps.length < 2000; i++)
    steps.push((timeS[i] as number) - (timeS[i - 1] as number));
  return quantile(steps, 0.5) ?? 0;
}
