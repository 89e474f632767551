import { say, type Said } from '../../words/index.ts';
import type { LogWarning } from './rawLog.ts';
import { medianStep } from './timeCells.ts';

const MAX_RESTARTS = 10;
/** A recorder's rows may stand out of order by this much; further back than that its clock was set back. */
const JITTER_S = 2;
/** A single time that stands this far ahead of its neighbours on both sides is damage. */
const LEAP_S = 60;
const MAX_SPAN_S = 60 * 86_400;

export interface SettledTimes {
  /** Seconds since the first usable row, for each row read; NaN where the row has no usable time. */
  readonly timeS: Float64Array;
  /** Rows to use in the order of their times; absent where that is simply all of them as they stand. */
  readonly order?: Int32Array;
  readonly warnings: readonly LogWarning[];
}

/** Where the rows of a log stand in its file, for warnings. */
export type LineOf = (row: number) => number;

class Repair {
  private count = 0;
  private first: number | undefined;
  add(row: number): void {
    this.count++;
    this.first ??= row;
  }
  warning(code: string, text: (rows: number) => Said, lineOf: LineOf): LogWarning[] {
    if (this.first === undefined) return [];
    return [{ code, text: text(this.count), row: lineOf(this.first) }];
  }
}

/**
 * Makes a time axis usable, in place, in this order: times that leap far ahead for one row are dropped; a clock that was
 * set back goes on from where it stood; rows slightly out of order are sorted. Every repair is a warning with its first
 * line.
 */
export function settleTimes(timeS: Float64Array, lineOf: LineOf): SettledTimes {
  const missing = new Repair();
  const leaps = new Repair();
  const restarts = new Repair();
  const disorder = new Repair();
  const usable: number[] | undefined = rises(timeS) ? undefined : [];
  let origin = timeS[0] ?? 0;

  if (usable) {
    dropLeaps(timeS, leaps);
    joinRestarts(timeS, restarts);
    let last = Number.NEGATIVE_INFINITY;
    for (let i = 0; i < timeS.length; i++) {
      const t = timeS[i] as number;
      if (!Number.isFinite(t)) {
        if (t !== t) missing.add(i);
        continue;
      }
      usable.push(i);
      if (t < last) disorder.add(i);
      else last = t;
    }
    usable.sort((a, b) => (timeS[a] as number) - (timeS[b] as number) || a - b);
    origin = timeS[usable[0] ?? 0] as number;
  }
  for (let i = 0; i < timeS.length; i++) {
    const t = timeS[i] as number;
    timeS[i] = Number.isFinite(t) ? t - origin : Number.NaN;
  }
  const order = usable === undefined ? undefined : Int32Array.from(usable);
  const left = (rows: number): Said => say('logs.left-out-no-time-that-can', { rows });
  return {
    timeS,
    ...(order ? { order } : {}),
    warnings: [
      ...leaps.warning('time-repaired', (rows) => say('logs.left-out-the-time-leaps-away', { rows }), lineOf),
      ...restarts.warning(
        'time-repaired',
        (rows) => say('logs.the-clock-jumped-back-at-the', { rows }),
        lineOf,
      ),
      ...missing.warning('time-repaired', left, lineOf),
      ...disorder.warning(
        'time-repaired',
        (rows) => say('logs.stood-out-of-order-and-were', { rows }),
        lineOf,
      ),
    ],
  };
}

/** Whether all times are numbers that never fall, over a span that a log can have. */
function rises(times: Float64Array): boolean {
  for (let i = 1; i < times.length; i++) {
    if (!((times[i] as number) >= (times[i - 1] as number))) return false;
  }
  const span = (times.at(-1) ?? 0) - (times[0] ?? 0);
  return span <= MAX_SPAN_S;
}

function dropLeaps(times: Float64Array, leaps: Repair): void {
  const finite = times.filter(Number.isFinite).sort();
  const middle = finite[finite.length >> 1] ?? 0;
  let before = Number.NaN;
  for (let i = 0; i < times.length; i++) {
    const t = times[i] as number;
    if (!Number.isFinite(t)) continue;
    let next = i + 1;
    while (next < times.length && !Number.isFinite(times[next])) next++;
    const after = times[next] ?? Number.NaN;
    const ahead = t - before > LEAP_S && t - after > LEAP_S && after >= before;
    const behind = before - t > JITTER_S && after >= before;
    if (ahead || behind || Math.abs(t - middle) > MAX_SPAN_S) {
      // Not a number but known why: it is counted once.
      times[i] = Number.POSITIVE_INFINITY;
      leaps.add(i);
    } else before = t;
  }
}

function joinRestarts(times: Float64Array, restarts: Repair): void {
  const step = medianStep(times);
  const starts: number[] = [];
  let last = Number.NEGATIVE_INFINITY;
  for (let i = 0; i < times.length; i++) {
    const t = times[i] as number;
    if (!Number.isFinite(t)) continue;
    if (t >= last - Math.max(JITTER_S, 20 * step)) {
      last = Math.max(last, t);
      continue;
    }
    // Set back for good only if the rows that follow rise from there.
    let stays = 0;
    for (let k = i + 1, seen = t; k < Math.min(times.length, i + 6); k++) {
      if ((times[k] as number) >= seen) stays++;
      seen = times[k] as number;
    }
    if (stays < Math.max(2, Math.min(4, times.length - i - 1))) continue;
    starts.push(i);
    last = t;
  }
  if (starts.length > MAX_RESTARTS) return;
  for (const start of starts) {
    let before = start - 1;
    while (before >= 0 && !Number.isFinite(times[before])) before--;
    const offset = (times[before] as number) + step - (times[start] as number);
    for (let i = start; i < times.length; i++) times[i] = (times[i] as number) + offset;
    restarts.add(start);
  }
}

/**
 * Several readings a second under stamps of whole seconds: each group is spread up to the next stamp, in place.
 * @returns how many readings were moved; 0 where the stamps are fine enough
 */
export function spreadCoarse(timeS: Float64Array): number {
  let repeated = 0;
  for (let i = 1; i < timeS.length; i++) if (timeS[i] === timeS[i - 1]) repeated++;
  if (timeS.length < 4 || repeated < 0.4 * timeS.length) return 0;
  let from = 0;
  let lastStep = 1;
  while (from < timeS.length) {
    const t = timeS[from] as number;
    let to = from + 1;
    while (to < timeS.length && timeS[to] === t) to++;
    const step = to < timeS.length ? Math.min((timeS[to] as number) - t, 5) : lastStep;
    for (let i = from + 1; i < to; i++) timeS[i] = t + (step * (i - from)) / (to - from);
    lastStep = step;
    from = to;
  }
  return repeated;
}
