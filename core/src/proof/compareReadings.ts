import { say, type Said } from '../words/index.ts';
import {
  conditionWithDrive,
  fitFlow,
  flowDrive,
  outletFlowM3PerH,
  restrictionRatio,
  sootFromPressure,
  type FilterGeometry,
  type FlowCondition,
  type FlowFit,
  type SootEstimate,
} from '../filter/index.ts';
import type { Limits } from '../limits/index.ts';
import { mean } from '../quantities/index.ts';
import type { FlowContext } from '../readings/index.ts';
import {
  commonCondition,
  covers,
  flowDoubtBetween,
  poolReadings,
  pressureAt,
  strongest,
  type Readings,
  type Side,
} from './pooled.ts';
import { Z90, type JudgedReading, type JudgedSample } from './readingPoints.ts';

export interface Interval {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

export interface ComparisonRow {
  readonly label: Said;
  readonly kind: 'idle' | 'hold';
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
  /** Readings that do not agree with the latest of their side and so do not count, as sentences. */
  readonly leftOut: readonly Said[];
  /** Why no comparison could be made, as sentences. */
  readonly obstacles: readonly Said[];
}

export interface ProofContext extends FlowContext {
  readonly geometry?: FilterGeometry;
}

function removed(before: Side, after: Side, condition: FlowCondition, limits: Limits): Interval | undefined {
  const b = pressureAt(before, condition, limits);
  const a = pressureAt(after, condition, limits);
  if (b.dpMbar <= 0.2) return undefined;
  const ratio = a.dpMbar / b.dpMbar;
  const flowDoubt = flowDoubtBetween([before.reading, after.reading], condition, limits);
  const sd = Math.hypot(a.sdMbar / b.dpMbar, (ratio * b.sdMbar) / b.dpMbar, ratio * flowDoubt);
  return { value: 100 * (1 - ratio), low: 100 * (1 - ratio - Z90 * sd), high: 100 * (1 - ratio + Z90 * sd) };
}

function restriction(
  side: Side,
  condition: FlowCondition,
  { geometry, limits }: ProofContext,
): Interval | undefined {
  if (!geometry) return undefined;
  const { dpMbar, sdMbar } = pressureAt(side, condition, limits);
  const ratio = restrictionRatio(geometry, condition, dpMbar);
  if (!ratio.ok) return undefined;
  const doubt = Math.hypot(
    (Z90 * sdMbar) / ratio.value.cleanMbar,
    ratio.value.ratio * (strongest(side.reading)?.flow.flowDoubt ?? 0),
  );
  return {
    value: ratio.value.ratio,
    low: Math.max(0, ratio.value.ratio - doubt),
    high: ratio.value.ratio + doubt,
  };
}

/** What one side alone says of the filter. */
export interface FilterLoad {
  /** × clean, with its 90 % interval. */
  readonly restriction: Interval | undefined;
  /** By the pressure, with its 90 % interval; as if there were no ash. */
  readonly soot: SootEstimate | undefined;
}

/** How full the filter is by one side alone, at the highest flow that it was read at. */
export function filterLoadOf(
  readings: Readings,
  side: 'before' | 'after',
  context: ProofContext,
): FilterLoad | undefined {
  const { reading } = poolReadings(readings, context, side);
  const fit = fitFlow(reading.points);
  const strong = strongest(reading);
  if (!fit.ok || !strong) return undefined;
  const read = { reading, fit: fit.value };
  return {
    restriction: restriction(read, strong.flow, context),
    soot: soot(read, strong.flow, context),
  };
}

function soot(
  side: Side,
  condition: FlowCondition,
  { geometry, limits }: ProofContext,
): SootEstimate | undefined {
  if (!geometry) return undefined;
  const { dpMbar, sdMbar } = pressureAt(side, condition, limits);
  const flowShare = dpMbar * (strongest(side.reading)?.flow.flowDoubt ?? 0);
  const estimate = sootFromPressure({
    geometry,
    gas: condition,
    dpMbar: Math.max(dpMbar, 0),
    dpDoubtMbar: Math.hypot(Z90 * sdMbar, flowShare),
  });
  return estimate.ok ? estimate.value : undefined;
}

const MORE_FLOW = say('proof.after-was-read-at-more');

/**
 * Without a flow in common: pressure never falls as the flow rises, so that less at more flow surely fell. At the flow of before the
 * after pressure is no more than what was read, and between what it would be by a law of the square and by a straight line.
 */
function fellAtMoreFlow(
  [before, after]: readonly [Side, Side],
  strongBefore: JudgedSample,
  context: ProofContext,
): Pick<Comparison, 'equalFlow' | 'removedPercent' | 'restrictionBefore' | 'restrictionAfter'> | undefined {
  const weakAfter = [...after.reading.samples].sort((a, b) => flowDrive(a.flow) - flowDrive(b.flow))[0];
  if (!weakAfter) return undefined;
  const share = flowDrive(strongBefore.flow) / flowDrive(weakAfter.flow);
  if (share >= 1) return undefined;
  const b = pressureAt(before, strongBefore.flow, context.limits);
  const a = pressureAt(after, weakAfter.flow, context.limits);
  const ratio = a.dpMbar / b.dpMbar;
  const spread = Z90 * Math.hypot(a.sdMbar / b.dpMbar, (ratio * b.sdMbar) / b.dpMbar);
  if (b.dpMbar <= 0.2 || ratio + spread >= 1) return undefined;
  const restrictionBefore = restriction(before, strongBefore.flow, context);
  const restrictionAfter = restriction(after, weakAfter.flow, context);
  return {
    equalFlow: {
      ...strongBefore.flow,
      flowM3PerH: strongBefore.flow.flowM3PerH,
      beforeMbar: b.dpMbar,
      afterMbar: a.dpMbar * share,
    },
    removedPercent: {
      value: 100 * (1 - ratio * share),
      low: 100 * (1 - ratio - spread),
      high: 100 * (1 - Math.max(0, ratio - spread) * share ** 2),
    },
    ...(restrictionBefore ? { restrictionBefore } : {}),
    ...(restrictionAfter ? { restrictionAfter } : {}),
  };
}

interface Step {
  readonly label: Said;
  readonly kind: ComparisonRow['kind'];
  readonly belongs: (sample: JudgedSample) => boolean;
  readonly rpm?: number;
  readonly good?: (limits: Limits) => number;
}

const near =
  (rpm: number) =>
  (sample: JudgedSample): boolean =>
    sample.kind === 'hold' && Math.abs(sample.rpm - rpm) <= 200;

const STEPS: readonly Step[] = [
  {
    label: say('proof.idle'),
    kind: 'idle',
    belongs: (sample) => sample.kind === 'idle',
    good: (limits) => limits.dpIdleGoodMbar,
  },
  {
    label: say('proof.rpm', { rpm: 2500 }),
    kind: 'hold',
    rpm: 2500,
    belongs: near(2500),
    good: (limits) => limits.dp2500GoodMbar,
  },
  {
    label: say('proof.rpm', { rpm: 3000 }),
    kind: 'hold',
    rpm: 3000,
    belongs: near(3000),
    good: (limits) => limits.dp3000GoodMbar,
  },
];

function otherSteps(samples: readonly JudgedSample[]): Step[] {
  const others = samples.filter((sample) => !STEPS.some((step) => step.belongs(sample)));
  const speeds = [...new Set(others.map((sample) => Math.round(sample.rpm / 250) * 250))].sort(
    (a, b) => a - b,
  );
  return speeds.slice(0, 4).map((rpm) => ({
    label: say('proof.rpm', { rpm }),
    kind: 'hold',
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
    covers(side.reading, driven) ? pressureAt(side, condition, context.limits).dpMbar : undefined;
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
    kind: step.kind,
    rpm: step.rpm ?? average((s) => s.rpm, all) ?? 0,
    flowM3PerH: outletFlowM3PerH(condition),
    ...known,
  };
}

/**
 * Sets after readings against before readings at equal mass flow and temperature. Both are fitted by
 * ΔP = A·μQ + B·ρQ²; the comparison stands at the highest flow that both cover. The interval (90 %) carries the spread
 * of the readings, the doubt of the two zeros and the part of the flow's doubt that the two do not share.
 * Where the flows do not overlap, nothing is compared and the obstacle is named.
 */
export function compareReadings(before: Readings, after: Readings, context: ProofContext): Comparison {
  const { limits } = context;
  const pooledBefore = poolReadings(before, context, 'before');
  const pooledAfter = poolReadings(after, context, 'after');
  const judgedBefore = pooledBefore.reading;
  const judgedAfter = pooledAfter.reading;
  const beforeFit = fitFlow(judgedBefore.points);
  const afterFit = fitFlow(judgedAfter.points);
  const base = {
    before: judgedBefore,
    after: judgedAfter,
    leftOut: [...pooledBefore.leftOut, ...pooledAfter.leftOut],
    ...(beforeFit.ok ? { beforeFit: beforeFit.value } : {}),
    ...(afterFit.ok ? { afterFit: afterFit.value } : {}),
  };
  const obstacles = [
    ...(beforeFit.ok ? [] : [say('proof.the-before-reading'), ...judgedBefore.unplaced]),
    ...(afterFit.ok ? [] : [say('proof.the-after-reading'), ...judgedAfter.unplaced]),
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

  const condition = commonCondition(judgedBefore, judgedAfter);
  if (!condition) {
    const fell = fellAtMoreFlow(sides, strongBefore, context);
    if (fell) return { ...base, rows, obstacles: [], ...fell, leftOut: [...base.leftOut, MORE_FLOW] };
    return {
      ...base,
      rows,
      obstacles: [
        say('proof.the-two-readings-share', {
          beforeM3PerH: strongBefore.flow.flowM3PerH,
          afterM3PerH: strongAfter.flow.flowM3PerH,
        }),
      ],
    };
  }
  const optional = <K extends string, V>(key: K, value: V | undefined): Partial<Record<K, V>> =>
    value === undefined ? {} : ({ [key]: value } as Record<K, V>);
  return {
    ...base,
    rows,
    obstacles: [],
    equalFlow: {
      ...condition,
      flowM3PerH: outletFlowM3PerH(condition),
      beforeMbar: pressureAt(sides[0], condition, limits).dpMbar,
      afterMbar: pressureAt(sides[1], condition, limits).dpMbar,
    },
    ...optional('removedPercent', removed(sides[0], sides[1], condition, limits)),
    ...optional('restrictionBefore', restriction(sides[0], condition, context)),
    ...optional('restrictionAfter', restriction(sides[1], condition, context)),
    ...optional('sootBefore', soot(sides[0], condition, context)),
    ...optional('sootAfter', soot(sides[1], condition, context)),
  };
}
