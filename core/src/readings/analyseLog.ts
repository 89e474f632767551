import { mean, median, standardDeviation, success, type Result, type Unit } from '../quantities/index.ts';
import {
  fitFlow,
  restrictionRatio,
  sootFromPressure,
  type FilterGeometry,
  type FlowPoint,
} from '../filter/index.ts';
import { DEFAULT_LIMITS, type Limits } from '../limits/index.ts';
import type { SteadySample } from '../ledger/index.ts';
import { findFaults, type Finding } from './findings.ts';
import type { MappingCorrections } from './mapChannels.ts';
import { readLog } from './readLog.ts';
import { channelBetween, toRecording, type Recording } from './recording.ts';
import { steadyFlow } from './steadyFlow.ts';
import { windowSample } from './windowSample.ts';
import { findWindows, type LogWindow } from './windows.ts';
import type { LogWarning } from './rawLog.ts';

export interface AnalyseOptions {
  readonly limits?: Limits;
  /** Overrides what the file states. */
  readonly displacementL?: number;
  readonly corrections?: MappingCorrections;
  /** Where it is known, the steady windows get their restriction ratio and soot load. */
  readonly geometry?: FilterGeometry;
  /** Unit in which sentences state pressures; mbar unless a person chose another. */
  readonly pressureUnit?: Unit;
}

export interface Spread {
  readonly mean: number;
  readonly sd: number;
  readonly n?: number;
}

export interface AnalysedWindow {
  readonly kind: LogWindow['kind'];
  readonly startS: number;
  readonly endS: number;
  readonly rpm: Spread;
  readonly dpfDeltaP?: Spread;
  readonly flowM3PerH?: Spread;
  /** Measured ÷ clean at this flow, the log's own zero taken off; only where the filter size was given. */
  readonly restrictionRatio?: number;
  /** Soot that would explain the pressure if there is no ash, 90 % interval; only where the filter size was given. */
  readonly soot?: {
    readonly sootG: number;
    readonly lowG: number;
    readonly highG: number;
    readonly capped: boolean;
  };
}

export interface LogAnalysis {
  readonly format: string;
  readonly durationS: number;
  readonly channels: readonly {
    role: string;
    unit: string;
    source: string;
    sampleHz: number;
    confidence: number;
    reason: string;
    gauge?: true;
  }[];
  readonly unmapped: readonly string[];
  readonly warnings: readonly LogWarning[];
  readonly windows: readonly AnalysedWindow[];
  readonly findings: readonly Finding[];
  readonly fit?: { readonly A: number; readonly B: number; readonly r2: number };
  readonly stated: { readonly vehicle?: string; readonly displacementL?: number };
}

export interface AnalysedLog {
  readonly recording: Recording;
  readonly analysis: LogAnalysis;
  /** The windows that can be taken over as readings. */
  readonly samples: readonly SteadySample[];
}

function sampleRate(recording: Recording, values: Float64Array): number {
  let count = 0;
  for (const value of values) if (Number.isFinite(value)) count++;
  const duration = (recording.timeS.at(-1) ?? 0) - (recording.timeS[0] ?? 0);
  return duration > 0 ? Number((count / duration).toFixed(2)) : 0;
}

/** Points of the flow–pressure law from the block means of the samples. */
function flowPoints(
  samples: readonly SteadySample[],
  context: Parameters<typeof steadyFlow>[1],
): FlowPoint[] {
  return samples.flatMap((sample) => {
    if (sample.kind === 'key-off') return [];
    const flow = steadyFlow(sample, context);
    if (!flow.ok) return [];
    const sdMbar = Math.max(0.3, (sample.dpSdMbar ?? 0) / Math.sqrt(Math.max((sample.count ?? 1) / 10, 1)));
    return [{ viscous: flow.value.viscous, inertial: flow.value.inertial, dpMbar: sample.dpMbar, sdMbar }];
  });
}

/**
 * A log from its bytes to what it shows: channels, windows, findings and the flow–pressure fit. Pure and the same in
 * browser, worker, server and command line. Fails with a described failure where the file is no log that can be read.
 */
export function analyseLog(bytes: Uint8Array, options: AnalyseOptions = {}): Result<AnalysedLog> {
  const raw = readLog(bytes);
  if (!raw.ok) return raw;
  const recording = toRecording(raw.value, options.corrections);
  const limits = options.limits ?? DEFAULT_LIMITS;
  const displacementL = options.displacementL ?? recording.facts.displacementL;
  const windows = findWindows(recording);
  const samples = windows.map((window) => windowSample(recording, window));
  const steady = samples.filter((sample) => sample !== undefined);
  const barometerMbar = mean(recording.channels.get('barometricPressure') ?? []);
  const flowContext = {
    limits,
    ...(displacementL === undefined ? {} : { displacementL }),
    ...(barometerMbar === undefined ? {} : { barometerMbar }),
  };
  const warnings = [...recording.warnings];
  if (!recording.channels.has('engineSpeed')) {
    warnings.push({
      code: 'engine-speed-missing',
      text: 'No column was recognised as engine speed, so no idle or hold can be found. Say which column it is.',
    });
  }
  if (!recording.channels.has('dpfDeltaP')) {
    warnings.push({
      code: 'dp-missing',
      text: 'No column was recognised as pressure drop across the filter.',
    });
  }
  if (displacementL === undefined && recording.channels.has('massAirFlow')) {
    warnings.push({
      code: 'displacement-unknown',
      text: 'The engine size is not known, so the air meter cannot be compared with engine speed and an intake leak cannot be judged.',
    });
  }
  const fit = fitFlow(flowPoints(steady, flowContext));
  const zeroMbar =
    median(steady.flatMap((sample) => (sample.kind === 'key-off' ? [sample.dpMbar] : []))) ?? 0;
  return success({
    recording,
    samples: steady,
    analysis: {
      format: recording.format,
      durationS: Number(((recording.timeS.at(-1) ?? 0) - (recording.timeS[0] ?? 0)).toFixed(3)),
      channels: recording.mapping.channels.map((channel) => ({
        role: channel.role,
        unit: channel.unitLabel,
        source: channel.source,
        sampleHz: sampleRate(recording, recording.channels.get(channel.role) ?? new Float64Array()),
        confidence: Number(channel.confidence.toFixed(2)),
        reason: channel.reason,
        ...(channel.gauge ? { gauge: true as const } : {}),
      })),
      unmapped: recording.mapping.unmapped,
      warnings,
      windows: windows.map((window, i) => ({
        ...analysedWindow(recording, window, samples[i], flowContext),
        ...filterLoad(samples[i], zeroMbar, flowContext, options.geometry),
      })),
      findings: findFaults({
        recording,
        windows,
        limits,
        ...(options.pressureUnit === undefined ? {} : { pressureUnit: options.pressureUnit }),
        ...(displacementL === undefined ? {} : { displacementL }),
      }),
      ...(fit.ok && fit.value.points >= 2
        ? { fit: { A: fit.value.a, B: fit.value.b, r2: fit.value.r2 } }
        : {}),
      stated: {
        ...(recording.facts.vehicle === undefined ? {} : { vehicle: recording.facts.vehicle }),
        ...(recording.facts.displacementL === undefined
          ? {}
          : { displacementL: recording.facts.displacementL }),
      },
    },
  });
}

/** What a steady window says of a filter of known size. */
function filterLoad(
  sample: SteadySample | undefined,
  zeroMbar: number,
  context: Parameters<typeof steadyFlow>[1],
  geometry: FilterGeometry | undefined,
): Pick<AnalysedWindow, 'restrictionRatio' | 'soot'> {
  if (!geometry || !sample || sample.kind === 'key-off') return {};
  const dpMbar = sample.dpMbar - zeroMbar;
  const flow = steadyFlow({ ...sample, dpMbar }, context);
  if (!flow.ok) return {};
  const ratio = restrictionRatio(geometry, flow.value, dpMbar);
  const soot = sootFromPressure({
    geometry,
    gas: flow.value,
    dpMbar: Math.max(dpMbar, 0),
    dpDoubtMbar: Math.abs(dpMbar) * flow.value.flowDoubt,
  });
  return {
    ...(ratio.ok ? { restrictionRatio: ratio.value.ratio } : {}),
    ...(soot.ok
      ? {
          soot: {
            sootG: soot.value.sootG,
            lowG: soot.value.lowG,
            highG: soot.value.highG,
            capped: soot.value.capped,
          },
        }
      : {}),
  };
}

function analysedWindow(
  recording: Recording,
  window: LogWindow,
  sample: SteadySample | undefined,
  context: Parameters<typeof steadyFlow>[1],
): AnalysedWindow {
  const dp = channelBetween(recording, 'dpfDeltaP', window.startS, window.endS);
  const dpMean = mean(dp);
  const blockFlows = (sample?.blocks ?? []).flatMap(([air, rpm, filterC, manifold, dpMbar]) => {
    const flow = steadyFlow(
      {
        kind: sample?.kind ?? 'hold',
        rpm,
        dpMbar,
        ...(air === null ? {} : { airMassGPerS: air }),
        ...(manifold === null ? {} : { manifoldMbar: manifold }),
        ...(filterC === null ? {} : { filterC }),
        ...(sample?.intakeAirC === undefined ? {} : { intakeAirC: sample.intakeAirC }),
      },
      context,
    );
    return flow.ok ? [flow.value.flowM3PerH] : [];
  });
  const flowMean = mean(blockFlows);
  return {
    ...window,
    ...(dpMean === undefined ? {} : { dpfDeltaP: { mean: dpMean, sd: standardDeviation(dp), n: dp.length } }),
    ...(flowMean === undefined ? {} : { flowM3PerH: { mean: flowMean, sd: standardDeviation(blockFlows) } }),
  };
}
