import { describeFailure, distinct, say, type Said } from '../words/index.ts';
import { flowDrive, type FlowPoint } from '../filter/index.ts';
import { steadySamplesOf, type ReadingBody, type SteadySample } from '../ledger/index.ts';
import { manifoldTrustOf, steadyFlow, type FlowContext, type SteadyFlow } from '../readings/index.ts';
import { mean } from '../quantities/index.ts';

/** One steady sample with its zero taken off and its flow worked out. */
export interface JudgedSample {
  readonly kind: SteadySample['kind'];
  readonly rpm: number;
  /** As read. */
  readonly rawMbar: number;
  /** Zero subtracted. */
  readonly dpMbar: number;
  readonly flow: SteadyFlow;
}

export interface CloudPoint {
  /** How hard the filter was driven, Pa·m³ (see `flowDrive`): places points of any temperature on one axis. */
  readonly drive: number;
  readonly dpMbar: number;
}

/** A reading made ready for comparison. */
export interface JudgedReading {
  readonly zeroMbar: number;
  /** Standard deviation of the zero, mbar; it shifts all samples alike. */
  readonly zeroSdMbar: number;
  readonly zeroRead: boolean;
  readonly samples: readonly JudgedSample[];
  readonly points: readonly FlowPoint[];
  readonly cloud: readonly CloudPoint[];
  /** Steady readings behind it. */
  readonly readings: number;
  readonly assumptions: readonly Said[];
  /** Samples that could not be placed on the flow axis, with the reason. */
  readonly unplaced: readonly Said[];
}

/** 90 % of a normal spread lies within this many standard deviations. */
export const Z90 = 1.645;
/** No reading is finer than this, whatever its spread: the step of usual sensors as logged. */
const RESOLUTION_MBAR = 0.1;

function zeroOf(
  reading: ReadingBody,
  context: FlowContext,
): Pick<JudgedReading, 'zeroMbar' | 'zeroSdMbar' | 'zeroRead'> {
  const off = steadySamplesOf(reading.samples).filter((sample) => sample.kind === 'key-off');
  const zeroMbar = mean(off.map((sample) => sample.dpMbar));
  if (zeroMbar === undefined) {
    return { zeroMbar: 0, zeroSdMbar: context.limits.dpZeroDoubtMbar / Z90, zeroRead: false };
  }
  const spread =
    mean(off.map((sample) => (sample.dpSdMbar ?? RESOLUTION_MBAR * 3) / Math.sqrt(sample.count ?? 1))) ?? 0;
  return { zeroMbar, zeroSdMbar: Math.max(spread, RESOLUTION_MBAR), zeroRead: true };
}

/** The blocks of a logged window as samples of their own; a hand reading is its own single block. */
function blocksOf(sample: SteadySample): SteadySample[] {
  if (!sample.blocks || sample.blocks.length === 0) return [sample];
  return sample.blocks.map(([air, rpm, filterC, manifold, dpMbar]) => ({
    kind: sample.kind,
    rpm,
    dpMbar,
    ...(air === null ? {} : { airMassGPerS: air }),
    ...(manifold === null ? {} : { manifoldMbar: manifold }),
    ...(filterC === null ? {} : { filterC }),
    ...(sample.intakeAirC === undefined ? {} : { intakeAirC: sample.intakeAirC }),
  }));
}

/** Spread of one point: of a block, what its window shows between readings; of a hand figure, the assumed share. */
function pointSd(sample: SteadySample, dpMbar: number, context: FlowContext): number {
  const readBlocks = sample.blocks?.length ?? 0;
  const own =
    readBlocks > 0
      ? (sample.dpSdMbar ?? 0) / Math.sqrt(Math.max((sample.count ?? 1) / readBlocks, 1))
      : ((context.limits.handSpreadPercent / 100) * Math.abs(dpMbar)) / Z90;
  return Math.max(own, RESOLUTION_MBAR);
}

/**
 * Share by which a point may lie beside the law alone, as its flow is told worse than that of the others (standard deviation): an idle
 * by engine speed, where nobody knows how much is recirculated, weighs little beside holds.
 */
const idleDoubt = ({ kind }: SteadySample, { airSource, flowDoubt }: SteadyFlow): number =>
  kind === 'idle' && airSource === 'speed-density' ? flowDoubt / Z90 : 0;

/** Its own barometer, and how far its manifold sensor agrees with it. */
function contextOf({ barometerMbar, samples }: ReadingBody, context: FlowContext): FlowContext {
  const own = barometerMbar === undefined ? context : { ...context, barometerMbar };
  const manifoldTrust = manifoldTrustOf(samples, own);
  return manifoldTrust < 1 ? { ...own, manifoldTrust } : own;
}

/** Brings a reading onto the flow axis: zero off, flow for each sample and block, what was assumed. */
export function judgeReading(reading: ReadingBody, context: FlowContext): JudgedReading {
  const withBarometer = contextOf(reading, context);
  const zero = zeroOf(reading, context);
  const samples: JudgedSample[] = [];
  const points: FlowPoint[] = [];
  const cloud: CloudPoint[] = [];
  const assumptions: Said[] = [];
  const unplaced: Said[] = [];
  let readings = 0;
  for (const sample of steadySamplesOf(reading.samples)) {
    if (sample.kind === 'key-off') continue;
    const zeroed = { ...sample, dpMbar: sample.dpMbar - zero.zeroMbar };
    const flow = steadyFlow(zeroed, withBarometer);
    if (!flow.ok) {
      unplaced.push(describeFailure(flow.failure));
      continue;
    }
    assumptions.push(...flow.value.assumptions);
    samples.push({
      kind: sample.kind,
      rpm: sample.rpm,
      rawMbar: sample.dpMbar,
      dpMbar: zeroed.dpMbar,
      flow: flow.value,
    });
    readings += sample.count ?? 1;
    for (const block of blocksOf(sample)) {
      const dpMbar = block.dpMbar - zero.zeroMbar;
      const blockFlow = steadyFlow({ ...block, dpMbar }, withBarometer);
      if (!blockFlow.ok) continue;
      points.push({
        viscous: blockFlow.value.viscous,
        inertial: blockFlow.value.inertial,
        dpMbar,
        sdMbar: Math.hypot(
          pointSd(sample, dpMbar, context),
          idleDoubt(sample, blockFlow.value) * Math.abs(dpMbar),
        ),
      });
      cloud.push({ drive: flowDrive(blockFlow.value), dpMbar });
    }
  }
  if (!zero.zeroRead) {
    assumptions.push(say('proof.dp-zero-not-read', { dpZeroDoubtMbar: context.limits.dpZeroDoubtMbar }));
  }
  return { ...zero, samples, points, cloud, readings, assumptions: distinct(assumptions), unplaced };
}

/**
 * Several readings of one state as one: samples and points together. Each keeps its own zero taken off; the doubts of the zeros, which
 * are not of one another, fall as the shares of the readings in the whole.
 */
export function togetherRead(readings: readonly [JudgedReading, ...JudgedReading[]]): JudgedReading {
  const [first] = readings;
  if (readings.length === 1) return first;
  const count = readings.reduce((sum, { points }) => sum + points.length, 0);
  const share = ({ points }: JudgedReading): number =>
    count === 0 ? 1 / readings.length : points.length / count;
  return {
    zeroMbar: readings.reduce((sum, reading) => sum + share(reading) * reading.zeroMbar, 0),
    zeroSdMbar: Math.hypot(...readings.map((reading) => share(reading) * reading.zeroSdMbar)),
    zeroRead: readings.every(({ zeroRead }) => zeroRead),
    samples: readings.flatMap(({ samples }) => samples),
    points: readings.flatMap(({ points }) => points),
    cloud: readings.flatMap(({ cloud }) => cloud),
    readings: readings.reduce((sum, reading) => sum + reading.readings, 0),
    assumptions: distinct(readings.flatMap(({ assumptions }) => assumptions)),
    unplaced: readings.flatMap(({ unplaced }) => unplaced),
  };
}
