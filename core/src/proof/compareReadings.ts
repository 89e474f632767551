import {
  conditionWithDrive,
  fitFlow,
  flowDrive,
  outletFlowM3PerH,
  pressureFromFit,
  restrictionRatio,
  sootFromPressure,
  type FilterGeometry,
  type FlowCondition,
  type FlowFit,
  type SootEstimate,
} from '../filter/index.ts';
import type { ReadingBody } from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';
import { mean, studentT90 } from '../quantities/index.ts';
import type { FlowContext } from '../readings/index.ts';
import { judgeReading, type JudgedReading, type JudgedSample } from './readingPoints.ts';

export interface Interval {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

export interface ComparisonRow {
  readonly label: string;
  readonly rpm: number;
  /** Flow at which both are stated, m³/h. */
  readonly flowM3PerH: number;
  readonly beforeMbar?: number;
  readonly afterMbar?: number;
  /** As read at that speed, at whatever flow it was; not to be compared with each other. */
  readonly beforeReadMbar?: number;
  readonly afterReadMbar?: number;
  readonly goodMbar?: number;
  readonly restrictionBefore?: number;
  readonly restrictionAfter?: number;
}

/** The flow at which before and after are set against each other. */
export interface EqualFlow extends FlowCondition {
  readonly flowM3PerH: number;
  readonly beforeMbar: number;
  readonly afterMbar: number;
}

export interface Comparison {
  readonly before: JudgedReading;
  readonly after: JudgedReading;
  readonly beforeFit?: FlowFit;
  readonly afterFit?: FlowFit;
  readonly equalFlow?: EqualFlow;
  readonly removedPercent?: Interval;
  readonly restrictionBefore?: Interval;
  readonly restrictionAfter?: Interval;
  readonly sootBefore?: SootEstimate;
  readonly sootAfter?: SootEstimate;
  readonly rows: readonly ComparisonRow[];
  /** Why no comparison could be made, as sentences. */
  readonly obstacles: readonly string[];
}

export interface ProofContext extends FlowContext {
  readonly geometry?: FilterGeometry;
}

/** How far beyond the measured flows a fit may still be asked. */
const REACH = 1.15;
/** With one and the same kind of flow figure most of its error is shared by before and after; this part is not. */
const UNSHARED_FLOW_DOUBT = 0.03;

const strongest = (reading: JudgedReading): JudgedSample | undefined =>
  [...reading.samples].sort((a, b) => flowDrive(b.flow) - flowDrive(a.flow))[0];

/** Whether a flow lies within what a reading covers; a fit through one flow reaches only near that flow. */
function covers(reading: JudgedReading, at: number): boolean {
  const drives = reading.samples.map((sample) => flowDrive(sample.flow));
  return drives.length > 0 && at <= Math.max(...drives) * REACH && at >= Math.min(...drives) / REACH;
}

interface Side {
  readonly reading: JudgedReading;
  readonly fit: FlowFit;
}

/** ΔP of one side with its standard deviation from fit and zero. */
function at({ reading, fit }: Side, condition: FlowCondition): { dpMbar: number; sdMbar: number } {
  const { dpMbar, sdMbar } = pressureFromFit(fit, condition);
  return { dpMbar, sdMbar: Math.hypot(sdMbar, reading.zeroSdMbar) };
}

function removed(before: Side, after: Side, condition: FlowCondition): Interval | undefined {
  const b = at(before, condition);
  const a = at(after, condition);
  if (b.dpMbar <= 0.2) return undefined;
  const ratio = a.dpMbar / b.dpMbar;
  const sources = [before, after].map((side) => strongest(side.reading)?.flow);
  const same = sources[0]?.airSource === sources[1]?.airSource;
  const flowDoubt = same
    ? UNSHARED_FLOW_DOUBT
    : Math.hypot(sources[0]?.flowDoubt ?? 0, sources[1]?.flowDoubt ?? 0) / 1.645;
  const sd = Math.hypot(a.sdMbar / b.dpMbar, (ratio * b.sdMbar) / b.dpMbar, ratio * flowDoubt);
  // Hand readings rest on a stated spread, not on one estimated from few points: no t factor for them.
  const degrees = Math.min(before.fit.degrees, after.fit.degrees);
  const t = degrees >= 4 ? studentT90(degrees) : 1.645;
  return { value: 100 * (1 - ratio), low: 100 * (1 - ratio - t * sd), high: 100 * (1 - ratio + t * sd) };
}

function restriction(
  side: Side,
  condition: FlowCondition,
  geometry: FilterGeometry | undefined,
): Interval | undefined {
  if (!geometry) return undefined;
  const { dpMbar, sdMbar } = at(side, condition);
  const ratio = restrictionRatio(geometry, condition, dpMbar);
  if (!ratio.ok) return undefined;
  const doubt = Math.hypot(
    (1.645 * sdMbar) / ratio.value.cleanMbar,
    ratio.value.ratio * (strongest(side.reading)?.flow.flowDoubt ?? 0),
  );
  return {
    value: ratio.value.ratio,
    low: Math.max(0, ratio.value.ratio - doubt),
    high: ratio.value.ratio + doubt,
  };
}

function soot(
  side: Side,
  condition: FlowCondition,
  geometry: FilterGeometry | undefined,
): SootEstimate | undefined {
  if (!geometry) return undefined;
  const { dpMbar, sdMbar } = at(side, condition);
  const flowShare = dpMbar * (strongest(side.reading)?.flow.flowDoubt ?? 0);
  const estimate = sootFromPressure({
    geometry,
    gas: condition,
    dpMbar: Math.max(dpMbar, 0),
    dpDoubtMbar: Math.hypot(1.645 * sdMbar, flowShare),
  });
  return estimate.ok ? estimate.value : undefined;
}

interface Step {
  readonly label: string;
  readonly belongs: (sample: JudgedSample) => boolean;
  readonly rpm?: number;
  readonly good?: (limits: Limits) => number;
}

const near =
  (rpm: number) =>
  (sample: JudgedSample): boolean =>
    sample.kind === 'hold' && Math.abs(sample.rpm - rpm) <= 200;

const STEPS: readonly Step[] = [
  { label: 'idle', belongs: (sample) => sample.kind === 'idle', good: (limits) => limits.dpIdleGoodMbar },
  { label: '2500 rpm', rpm: 2500, belongs: near(2500), good: (limits) => limits.dp2500GoodMbar },
  { label: '3000 rpm', rpm: 3000, belongs: near(3000), good: (limits) => limits.dp3000GoodMbar },
];

function otherSteps(samples: readonly JudgedSample[]): Step[] {
  const others = samples.filter((sample) => !STEPS.some((step) => step.belongs(sample)));
  const speeds = [...new Set(others.map((sample) => Math.round(sample.rpm / 250) * 250))].sort(
    (a, b) => a - b,
  );
  return speeds.slice(0, 4).map((rpm) => ({
    label: `${rpm} rpm`,
    rpm,
    belongs: (sample) => sample.kind === 'hold' && Math.round(sample.rpm / 250) * 250 === rpm,
  }));
}

function rowFor(step: Step, before: Side, after: Side, context: ProofContext): ComparisonRow | undefined {
  const mine = before.reading.samples.filter(step.belongs);
  const theirs = after.reading.samples.filter(step.belongs);
  const all = [...mine, ...theirs];
  if (all.length === 0) return undefined;
  const average = (pick: (sample: JudgedSample) => number, of: readonly JudgedSample[]): number | undefined =>
    mean(of.map(pick));
  const temperatureC = average((s) => s.flow.temperatureC, all) ?? 0;
  const outletPa = average((s) => s.flow.outletPressurePa, all) ?? 101_325;
  const driven = average((s) => flowDrive(s.flow), all) ?? 0;
  const condition = conditionWithDrive(driven, temperatureC, outletPa);
  const stated = (side: Side): number | undefined =>
    covers(side.reading, driven) ? at(side, condition).dpMbar : undefined;
  const beforeMbar = stated(before);
  const afterMbar = stated(after);
  const ratioOf = (dpMbar: number | undefined): number | undefined => {
    if (dpMbar === undefined || !context.geometry) return undefined;
    const ratio = restrictionRatio(context.geometry, condition, dpMbar);
    return ratio.ok ? ratio.value.ratio : undefined;
  };
  const fields = {
    beforeMbar,
    afterMbar,
    beforeReadMbar: average((s) => s.rawMbar, mine),
    afterReadMbar: average((s) => s.rawMbar, theirs),
    goodMbar: step.good?.(context.limits),
    restrictionBefore: ratioOf(beforeMbar),
    restrictionAfter: ratioOf(afterMbar),
  };
  const known = Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined));
  return {
    label: step.label,
    rpm: step.rpm ?? average((s) => s.rpm, all) ?? 0,
    flowM3PerH: outletFlowM3PerH(condition),
    ...known,
  };
}

/**
 * Sets an after reading against a before reading at equal mass flow and temperature. Both are fitted by
 * ΔP = A·μQ + B·ρQ²; the comparison stands at the highest flow that both cover. The interval (90 %) carries the spread
 * of the readings, the doubt of the two zeros and the part of the flow's doubt that the two do not share.
 * Where the flows do not overlap, nothing is compared and the obstacle is named.
 */
export function compareReadings(before: ReadingBody, after: ReadingBody, context: ProofContext): Comparison {
  const judgedBefore = judgeReading(before, context);
  const judgedAfter = judgeReading(after, context);
  const beforeFit = fitFlow(judgedBefore.points);
  const afterFit = fitFlow(judgedAfter.points);
  const base = {
    before: judgedBefore,
    after: judgedAfter,
    ...(beforeFit.ok ? { beforeFit: beforeFit.value } : {}),
    ...(afterFit.ok ? { afterFit: afterFit.value } : {}),
  };
  const obstacles = [
    ...(beforeFit.ok
      ? []
      : ['The before reading has no sample with a known flow.', ...judgedBefore.unplaced]),
    ...(afterFit.ok ? [] : ['The after reading has no sample with a known flow.', ...judgedAfter.unplaced]),
  ];
  const strongBefore = strongest(judgedBefore);
  const strongAfter = strongest(judgedAfter);
  if (!beforeFit.ok || !afterFit.ok || !strongBefore || !strongAfter) return { ...base, rows: [], obstacles };

  const sides = [
    { reading: judgedBefore, fit: beforeFit.value },
    { reading: judgedAfter, fit: afterFit.value },
  ] as const;
  const rows = [...STEPS, ...otherSteps([...judgedBefore.samples, ...judgedAfter.samples])]
    .map((step) => rowFor(step, sides[0], sides[1], context))
    .filter((row) => row !== undefined)
    .sort((a, b) => a.flowM3PerH - b.flowM3PerH);

  const driven = Math.min(flowDrive(strongBefore.flow), flowDrive(strongAfter.flow));
  if (!covers(judgedBefore, driven) || !covers(judgedAfter, driven)) {
    return {
      ...base,
      rows,
      obstacles: [
        `The two readings have no flow in common: before up to ${Math.round(strongBefore.flow.flowM3PerH)} m³/h, after up to ${Math.round(strongAfter.flow.flowM3PerH)} m³/h. Read both at the same speeds.`,
      ],
    };
  }
  const condition = conditionWithDrive(
    driven,
    (strongBefore.flow.temperatureC + strongAfter.flow.temperatureC) / 2,
    (strongBefore.flow.outletPressurePa + strongAfter.flow.outletPressurePa) / 2,
  );
  const optional = <K extends string, V>(key: K, value: V | undefined): Partial<Record<K, V>> =>
    value === undefined ? {} : ({ [key]: value } as Record<K, V>);
  return {
    ...base,
    rows,
    obstacles: [],
    equalFlow: {
      ...condition,
      flowM3PerH: outletFlowM3PerH(condition),
      beforeMbar: at(sides[0], condition).dpMbar,
      afterMbar: at(sides[1], condition).dpMbar,
    },
    ...optional('removedPercent', removed(sides[0], sides[1], condition)),
    ...optional('restrictionBefore', restriction(sides[0], condition, context.geometry)),
    ...optional('restrictionAfter', restriction(sides[1], condition, context.geometry)),
    ...optional('sootBefore', soot(sides[0], condition, context.geometry)),
    ...optional('sootAfter', soot(sides[1], condition, context.geometry)),
  };
}
