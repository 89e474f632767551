import { say, type Said } from '../words/index.ts';
import { mean, standardDeviation, success, type Result } from '../quantities/index.ts';
import {
  fitFlow,
  restrictionRatio,
  filterVolumeL,
  sootFromPressure,
  type FilterGeometry,
  type FlowPoint,
} from '../filter/index.ts';
import { DEFAULT_LIMITS, type Limits } from '../limits/index.ts';
import type { SteadySample } from '../ledger/index.ts';
import { findFaults, type Finding } from './findings/index.ts';
import { showsResponse } from './findings/response.ts';
import type { MappingCorrections, MappingQuestion, WithoutRole } from './mapping/mapChannels.ts';
import type { RawLog } from './reader/rawLog.ts';
import { readLog } from './reader/openLog.ts';
import { channelBetween, seriesOf, toRecording, type Recording, type Series } from './recording.ts';
import { steadyFlow } from './steadyFlow.ts';
import { windowSample } from './windowSample.ts';
import { findWindows, type LogWindow } from './windows.ts';
import { logFeatures, type LogFeatures } from './features.ts';
import type { LogWarning } from './reader/rawLog.ts';
import { type ShownFeatures, shownFeatures, rounded } from './shownFeatures.ts';

export interface AnalyseOptions {
  readonly limits?: Limits;
  /** Overrides what the file states. */
  readonly displacementL?: number;
  readonly corrections?: MappingCorrections;
  /** What the workshop said of headings in earlier logs. */
  readonly remembered?: MappingCorrections;
  /** Where it is known, the steady windows get their restriction ratio and soot load. */
  readonly geometry?: FilterGeometry;
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
  /** How ΔP moves within a steady window of 20 s or more, mbar a minute. */
  readonly dpfDeltaPTrendMbarPerMin?: number;
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
  readonly format: Said;
  readonly durationS: number;
  readonly channels: readonly {
    role: string;
    unit: string;
    source: string;
    column: string;
    sampleHz: number;
    confidence: number;
    reason: Said;
    gauge?: true;
  }[];
  readonly unmapped: readonly string[];
  /** What the headings of those were read as, and why they have no role. */
  readonly without?: readonly WithoutRole[];
  /** Roles that several columns claim with equal right. */
  readonly questions?: readonly MappingQuestion[];
  readonly warnings: readonly LogWarning[];
  readonly windows: readonly AnalysedWindow[];
  readonly findings: readonly Finding[];
  readonly fit?: { readonly A: number; readonly B: number; readonly r2: number };
  readonly features: ShownFeatures;
  readonly stated: { readonly vehicle?: string; readonly displacementL?: number };
}

export interface AnalysedLog {
  readonly recording: Recording;
  readonly analysis: LogAnalysis;
  /** The windows that can be taken over as readings. */
  readonly samples: readonly SteadySample[];
}

function sampleRate({ durationS }: Recording, { values }: Series): number {
  return durationS > 0 ? Number((values.length / durationS).toFixed(2)) : 0;
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
export async function analyseLog(
  bytes: Uint8Array,
  options: AnalyseOptions = {},
): Promise<Result<AnalysedLog>> {
  const raw = await readLog(bytes);
  return raw.ok ? success(analyseRaw(raw.value, options)) : raw;
}

/** The same for a log that has been read: a correction of a column needs no reading again. */
export function analyseRaw(raw: RawLog, options: AnalyseOptions = {}): AnalysedLog {
  const recording = toRecording(raw, options.corrections, options.remembered);
  const limits = options.limits ?? DEFAULT_LIMITS;
  const displacementL = options.displacementL ?? recording.facts.displacementL;
  const windows = findWindows(recording);
  const features = logFeatures(recording, windows);
  const samples = windows.map((window) => windowSample(recording, window));
  const steady = samples.filter((sample) => sample !== undefined);
  const barometerMbar = mean(seriesOf(recording, 'barometricPressure').values);
  const flowContext = {
    limits,
    ...(displacementL === undefined ? {} : { displacementL }),
    ...(barometerMbar === undefined ? {} : { barometerMbar }),
  };
  const warnings: LogWarning[] = [...recording.warnings];
  if (!recording.channels.has('engineSpeed')) {
    warnings.push({
      code: 'engine-speed-missing',
      text: say('findings.no-engine-speed-column-recognised'),
    });
  }
  if (!recording.channels.has('dpfDeltaP')) {
    warnings.push({
      code: 'dp-missing',
      text: say('findings.no-dp-column-recognised'),
    });
  }
  if (displacementL === undefined && recording.channels.has('massAirFlow')) {
    warnings.push({
      code: 'displacement-unknown',
      text: say('findings.engine-size-unknown-the-maf'),
    });
  }
  warnings.push(...samplingWarnings(features, limits));
  const fit = fitFlow(flowPoints(steady, flowContext));
  const { zeroMbar } = features;
  const { geometry } = options;
  return {
    recording,
    samples: steady,
    analysis: {
      format: recording.format,
      durationS: Number(recording.durationS.toFixed(3)),
      channels: recording.mapping.channels.map((channel) => ({
        role: channel.role,
        unit: channel.unitLabel,
        source: channel.source,
        column: channel.column,
        sampleHz: sampleRate(recording, seriesOf(recording, channel.role)),
        confidence: Number(channel.confidence.toFixed(2)),
        reason: channel.reason,
        ...(channel.gauge ? { gauge: true as const } : {}),
      })),
      unmapped: recording.mapping.unmapped,
      ...(recording.mapping.without.length > 0 ? { without: recording.mapping.without } : {}),
      ...(recording.mapping.questions.length > 0 ? { questions: recording.mapping.questions } : {}),
      warnings,
      windows: windows.map((window, i) => ({
        ...analysedWindow(recording, window, samples[i], flowContext),
        ...filterLoad(samples[i], zeroMbar, flowContext, geometry),
      })),
      findings: findFaults({
        recording,
        windows,
        features,
        limits,
        ...(geometry === undefined
          ? {}
          : {
              filterVolumeL: filterVolumeL(geometry),
              cleanDpMbar: (window: LogWindow) =>
                cleanDp(samples[windows.indexOf(window)], flowContext, geometry),
            }),
        ...(displacementL === undefined ? {} : { displacementL }),
      }),
      features: shownFeatures(recording, features),
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
  };
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

const TREND_MIN_S = 20;

/** From the mean of the first quarter to that of the last, which lie three quarters of the window apart. */
function trendOf(
  dp: Float64Array,
  { kind, startS, endS }: LogWindow,
): Pick<AnalysedWindow, 'dpfDeltaPTrendMbarPerMin'> {
  const spanS = endS - startS;
  const part = Math.floor(dp.length / 4);
  if (spanS < TREND_MIN_S || part < 2 || !['idle', 'hold', 'drive'].includes(kind)) return {};
  const change = (mean(dp.subarray(-part)) ?? 0) - (mean(dp.subarray(0, part)) ?? 0);
  return { dpfDeltaPTrendMbarPerMin: rounded((60 * change) / (0.75 * spanS), 2) };
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
    ...trendOf(dp, window),
    ...(flowMean === undefined ? {} : { flowM3PerH: { mean: flowMean, sd: standardDeviation(blockFlows) } }),
  };
}

/** ΔP of a clean filter at the flow of a window, where the flow is known. */
function cleanDp(
  sample: SteadySample | undefined,
  context: Parameters<typeof steadyFlow>[1],
  geometry: FilterGeometry,
): number | undefined {
  if (!sample) return undefined;
  const flow = steadyFlow(sample, context);
  if (!flow.ok) return undefined;
  const ratio = restrictionRatio(geometry, flow.value, Math.max(sample.dpMbar, 0.1));
  return ratio.ok && ratio.value.ratio > 0 ? Math.max(sample.dpMbar, 0.1) / ratio.value.ratio : undefined;
}

/** Says where the log is too coarse for a pipe to be judged by its response. */
function samplingWarnings(features: LogFeatures, limits: Limits): LogWarning[] {
  const { dp } = features;
  if (!dp?.response || showsResponse(dp, limits.slowResponseS)) return [];
  return [
    {
      code: 'response-not-shown',
      text: say('findings.dp-is-read-every-s', {
        intervalS: dp.response.intervalS,
        slowResponseS: limits.slowResponseS,
      }),
    },
  ];
}
