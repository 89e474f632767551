import { mean, quantile, standardDeviation } from '../quantities/index.ts';
import { channelBetween, seriesOf, type Recording } from './recording.ts';

export const WINDOW_KINDS = ['engine-off', 'idle', 'hold', 'snap', 'drive'] as const;
export type WindowKind = (typeof WINDOW_KINDS)[number];

export interface LogWindow {
  readonly kind: WindowKind;
  readonly startS: number;
  readonly endS: number;
  readonly rpm: { readonly mean: number; readonly sd: number };
}

/** Below this the engine is not running; cranking lies above it. */
export const OFF_RPM = 50;
export const RUNNING_RPM = 450;
/** A pedal hold wanders by 60–150 rpm; a segment goes on while the speed stays within this of its own mean. */
export const HOLD_TOLERANCE_RPM = 170;
export const HOLD_TOLERANCE_SHARE = 0.07;
/** Edges of a hold still carry the ramp and the lag of the gas path. */
export const SETTLE_S = 1.2;
const MIN_STEADY_S = 5;
const MIN_OFF_S = 1.5;
const SNAP_RISE_RPM = 700;
const SNAP_MAX_S = 8;
const DRIVING_KM_H = 3;

/** Speeds up to here still count as idle of an engine that idles so. Worked value: 820 → 1000 rpm. */
export const idleCeilingRpm = (idleRpm: number): number => Math.min(idleRpm + 180, 1250);

interface Series {
  readonly t: Float64Array;
  readonly rpm: Float64Array;
}

const speedSeries = (recording: Recording): Series => {
  const { timeS, values } = seriesOf(recording, 'engineSpeed');
  return { t: timeS, rpm: values };
};

/** Runs of samples whose engine speed stays near the run's own mean. */
function steadyRuns({ t, rpm }: Series): [number, number][] {
  const runs: [number, number][] = [];
  let start = 0;
  let sum = rpm[0] ?? 0;
  for (let i = 1; i <= rpm.length; i++) {
    const level = sum / (i - start);
    const value = rpm[i] as number;
    const off = level < OFF_RPM;
    const tolerance = off ? OFF_RPM : Math.max(HOLD_TOLERANCE_RPM, HOLD_TOLERANCE_SHARE * level);
    const gap = i < rpm.length && (t[i] as number) - (t[i - 1] as number) > 10;
    if (i < rpm.length && !gap && Math.abs(value - level) <= tolerance) {
      sum += value;
      continue;
    }
    runs.push([start, i]);
    start = i;
    sum = value;
  }
  return runs;
}

/**
 * Engine off, idle, steady hold, snap and drive, found from engine speed (and vehicle speed where it is logged).
 * Windows are trimmed by the settling time at their edges, so that a mean over them is a steady mean.
 * A log without engine speed has none.
 */
export function findWindows(recording: Recording): LogWindow[] {
  const series = speedSeries(recording);
  if (series.t.length < 3) return [];
  const { t, rpm } = series;
  const running = rpm.filter((value) => value >= RUNNING_RPM);
  // The lowest speed that is really dwelt on; snaps and holds lie well above it.
  const idleRpm = quantile(running, 0.08) ?? 800;
  const idleCeiling = idleCeilingRpm(idleRpm);
  const windows: LogWindow[] = [];

  const moving = (startS: number, endS: number): boolean =>
    (mean(channelBetween(recording, 'vehicleSpeed', startS, endS)) ?? 0) > DRIVING_KM_H;

  const push = (kind: WindowKind, from: number, to: number): void => {
    const values = rpm.subarray(from, to);
    windows.push({
      kind,
      startS: t[from] as number,
      endS: t[to - 1] as number,
      rpm: { mean: mean(values) ?? 0, sd: standardDeviation(values) },
    });
  };

  for (const [from, to] of steadyRuns(series)) {
    const level = mean(rpm.subarray(from, to)) ?? 0;
    const off = level < OFF_RPM;
    if (!off && level < RUNNING_RPM) continue;
    const settle = off ? 0.3 : SETTLE_S;
    let a = from;
    let b = to;
    const startS = t[from] as number;
    const endS = t[to - 1] as number;
    while (a < b && (t[a] as number) < startS + settle) a++;
    while (b > a && (t[b - 1] as number) > endS - settle) b--;
    if (b - a < 3) continue;
    const seconds = (t[b - 1] as number) - (t[a] as number);
    if (seconds < (off ? MIN_OFF_S : MIN_STEADY_S)) continue;
    if (off) push('engine-off', a, b);
    else if (moving(t[a] as number, t[b - 1] as number)) push('drive', a, b);
    else push(level <= idleCeiling ? 'idle' : 'hold', a, b);
  }

  // Snaps: short excursions from idle between the steady stretches.
  let i = 0;
  while (i < rpm.length) {
    if ((rpm[i] as number) < RUNNING_RPM || (rpm[i] as number) < idleCeiling + 100) {
      i++;
      continue;
    }
    let end = i;
    let peak = 0;
    while (end < rpm.length && (rpm[end] as number) >= idleCeiling + 100) {
      peak = Math.max(peak, rpm[end] as number);
      end++;
    }
    const seconds = (t[Math.min(end, t.length - 1)] as number) - (t[i] as number);
    if (
      end - i >= 2 &&
      seconds <= SNAP_MAX_S &&
      peak > idleRpm + SNAP_RISE_RPM &&
      !moving(t[i] as number, t[end - 1] as number)
    ) {
      push('snap', i, end);
    }
    i = end;
  }
  return windows.sort((a, b) => a.startS - b.startS);
}
