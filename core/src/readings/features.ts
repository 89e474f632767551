import { mean, median } from '../quantities/index.ts';
import type { ChannelRole } from './channelRoles.ts';
import {
  findResponse,
  findTransients,
  flowSignal,
  withFlow,
  type FlowSignal,
  type Response,
} from './flowSignal.ts';
import {
  channelBetween,
  seriesBetween,
  seriesOf,
  STANDARD_BAROMETER_MBAR,
  type Recording,
  type Series,
} from './recording.ts';
import type { LogWindow } from './windows.ts';

/** What a pressure channel does as a whole; the ground on which its readings may be believed. */
export interface Behaviour {
  readonly series: Series;
  /** 0.1st to 99.9th per cent, mbar. */
  readonly range: number;
  /** Smallest step between values that occur: the resolution as logged, mbar. */
  readonly step: number;
  readonly mean: number;
  readonly correlation: number;
  readonly response: Response | undefined;
}

export interface LogFeatures {
  readonly flow: FlowSignal | undefined;
  readonly dp: Behaviour | undefined;
  readonly backPressure: Behaviour | undefined;
  readonly manifold: Behaviour | undefined;
  /** What ΔP shows at rest, mbar; 0 where the log has no rest. */
  readonly zeroMbar: number;
  readonly zeroRead: boolean;
  /** Stretches with the engine off in which pressures have come to rest. */
  readonly atRest: readonly { readonly startS: number; readonly endS: number }[];
  readonly barometerMbar: number;
  readonly barometerRead: boolean;
}

const SAMPLE = 5000;

/** At most so many readings, evenly taken. */
function thinned(values: Float64Array): Float64Array {
  if (values.length <= 2 * SAMPLE) return values;
  const step = values.length / SAMPLE;
  return Float64Array.from({ length: SAMPLE }, (_, i) => values[Math.floor(i * step)] as number);
}

/** 0.1st to 99.9th per cent: how far a channel moves, single glitches left out. */
export function spanOf(values: Float64Array): number {
  const sorted = thinned(values).slice().sort();
  const at = (p: number): number => sorted[Math.round(p * (sorted.length - 1))] ?? 0;
  return at(0.999) - at(0.001);
}

function smallestStep(values: Float64Array): number {
  const stride = Math.max(1, Math.floor(values.length / SAMPLE));
  const seen = new Set<number>();
  for (let i = 0; i < values.length; i += stride) seen.add(values[i] as number);
  const distinct = Float64Array.from(seen).sort();
  let step = Number.POSITIVE_INFINITY;
  for (let i = 1; i < distinct.length; i++) {
    const gap = (distinct[i] as number) - (distinct[i - 1] as number);
    if (gap > 1e-6) step = Math.min(step, gap);
  }
  return Number.isFinite(step) ? step : 0;
}

function behaviour(
  recording: Recording,
  role: ChannelRole,
  flow: FlowSignal | undefined,
  transients: ReturnType<typeof findTransients>,
): Behaviour | undefined {
  const series = seriesOf(recording, role);
  if (series.values.length < 10) return undefined;
  const middle = mean(series.values);
  return {
    series,
    range: spanOf(series.values),
    step: smallestStep(series.values),
    mean: middle ?? 0,
    correlation: flow ? withFlow(series, flow.series) : 0,
    response: flow ? findResponse(series, flow.series, transients) : undefined,
  };
}

/**
 * Engine-off stretches whose pressures are at rest: those before the engine runs, else the last third of those after it,
 * since a restricted pipe still holds what was in it.
 */
function restingStretches(windows: readonly LogWindow[]): { startS: number; endS: number }[] {
  const off = windows.filter((window) => window.kind === 'engine-off');
  const firstRunning =
    windows.find((window) => window.kind !== 'engine-off')?.startS ?? Number.POSITIVE_INFINITY;
  const before = off.filter((window) => window.endS <= firstRunning);
  const chosen =
    before.length > 0
      ? before
      : off.map(({ startS, endS }) => ({ startS: endS - (endS - startS) / 3, endS }));
  return chosen.map(({ startS, endS }) => ({ startS, endS }));
}

/** What all findings are judged from, worked out once a log. */
export function logFeatures(recording: Recording, windows: readonly LogWindow[]): LogFeatures {
  const flow = flowSignal(recording);
  const transients = findTransients(seriesOf(recording, 'engineSpeed'));
  const atRest = restingStretches(windows);
  const rest = (role: ChannelRole): number | undefined =>
    median(
      atRest.map(({ startS, endS }) => mean(channelBetween(recording, role, startS, endS)) ?? Number.NaN),
    );
  const zero = rest('dpfDeltaP');
  const barometer = median(seriesOf(recording, 'barometricPressure').values) ?? undefined;
  return {
    flow,
    dp: behaviour(recording, 'dpfDeltaP', flow, transients),
    backPressure: behaviour(recording, 'exhaustBackPressure', flow, transients),
    manifold: behaviour(recording, 'manifoldPressure', flow, transients),
    zeroMbar: zero ?? 0,
    zeroRead: zero !== undefined,
    atRest,
    barometerMbar: barometer ?? STANDARD_BAROMETER_MBAR,
    barometerRead: barometer !== undefined,
  };
}

/** Mean of a channel over the resting stretches. */
export const restingMean = (
  recording: Recording,
  { atRest }: LogFeatures,
  role: ChannelRole,
): number | undefined =>
  median(
    atRest.map(
      ({ startS, endS }) => mean(seriesBetween(seriesOf(recording, role), startS, endS).values) ?? Number.NaN,
    ),
  );
