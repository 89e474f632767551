import { correlation, mean, median, pressureText, quantile, type Unit } from '../quantities/index.ts';
import type { Limits } from '../limits/index.ts';
import { speedDensityGPerS } from '../filter/index.ts';
import { channelBetween, type Recording } from './recording.ts';
import type { LogWindow } from './windows.ts';
import type { ChannelRole } from './channelRoles.ts';

export type FindingLevel = 'info' | 'watch' | 'fault';

export interface Finding {
  readonly id: string;
  readonly level: FindingLevel;
  readonly channel?: ChannelRole;
  readonly startS?: number;
  readonly endS?: number;
  /** Figures behind it, units in the names. */
  readonly evidence: Readonly<Record<string, number>>;
  readonly text: string;
}

export interface FindingContext {
  readonly recording: Recording;
  readonly windows: readonly LogWindow[];
  readonly limits: Limits;
  readonly displacementL?: number;
  /** Unit in which sentences state pressures. */
  readonly pressureUnit?: Unit;
}

/** What all detectors share, worked out once a log. */
interface SharedContext extends FindingContext {
  readonly dp: DpBehaviour | undefined;
}

type Detector = (context: SharedContext) => Finding[];

const windowsOf = (context: FindingContext, kind: LogWindow['kind']): LogWindow[] =>
  context.windows.filter((window) => window.kind === kind);

const meanIn = (context: FindingContext, role: ChannelRole, window: LogWindow): number | undefined =>
  mean(channelBetween(context.recording, role, window.startS, window.endS));

/** What the pressure channel does as a whole; the ground on which its readings may be believed. */
interface DpBehaviour {
  readonly range: number;
  readonly step: number;
  readonly mean: number;
  readonly rpmRange: number;
  readonly withSpeed: number;
}

/** Smallest step between values that occur: the sensor's resolution as logged. */
function smallestStep(values: ArrayLike<number>): number {
  const seen = new Set<number>();
  for (let i = 0; i < values.length && seen.size < 50_000; i++) seen.add(values[i] as number);
  const distinct = [...seen].sort((a, b) => a - b);
  let step = Number.POSITIVE_INFINITY;
  for (let i = 1; i < Math.min(distinct.length, 2000); i++) {
    const gap = (distinct[i] as number) - (distinct[i - 1] as number);
    if (gap > 1e-6) step = Math.min(step, gap);
  }
  return Number.isFinite(step) ? step : 0;
}

function dpBehaviour({ recording }: FindingContext): DpBehaviour | undefined {
  const dp = recording.channels.get('dpfDeltaP');
  const rpm = recording.channels.get('engineSpeed');
  if (!dp || !rpm) return undefined;
  const finiteDp = dp.filter(Number.isFinite);
  const finiteRpm = rpm.filter(Number.isFinite);
  if (finiteDp.length < 10 || finiteRpm.length < 10) return undefined;
  // Rows of asynchronous logs hold one or the other: the last speed stands until the next.
  const heldRpm = new Float64Array(rpm.length);
  let last = Number.NaN;
  for (let i = 0; i < rpm.length; i++) {
    if (Number.isFinite(rpm[i])) last = rpm[i] as number;
    heldRpm[i] = last;
  }
  return {
    range: (quantile(finiteDp, 0.999) ?? 0) - (quantile(finiteDp, 0.001) ?? 0),
    step: smallestStep(finiteDp),
    mean: mean(finiteDp) ?? 0,
    rpmRange: (quantile(finiteRpm, 0.99) ?? 0) - (quantile(finiteRpm, 0.01) ?? 0),
    withSpeed: correlation(heldRpm, dp),
  };
}

const dpNoResponse: Detector = (context) => {
  const b = context.dp;
  if (!b || b.rpmRange <= 1000 || b.withSpeed >= 0.2 || b.range > 3 * Math.max(b.step, 0.1) || b.mean >= 10)
    return [];
  return [
    {
      id: 'dp-no-response',
      level: 'fault',
      channel: 'dpfDeltaP',
      evidence: { rangeMbar: b.range, meanMbar: b.mean, rpmRange: b.rpmRange, correlation: b.withSpeed },
      text: `ΔP stays at ${pressureText(b.mean, context.pressureUnit)} while engine speed moves by ${Math.round(b.rpmRange)} rpm: sensor, wiring or both pipes; nothing can be said about the filter.`,
    },
  ];
};

const dpStuckHigh: Detector = (context) => {
  const b = context.dp;
  const limit = context.limits.dpStuckHighMbar;
  if (!b || b.mean <= limit || b.withSpeed >= 0.5) return [];
  if (b.range >= Math.max(0.05 * b.mean, 3 * b.step) || b.rpmRange <= 1000) return [];
  return [
    {
      id: 'dp-stuck-high',
      level: 'fault',
      channel: 'dpfDeltaP',
      evidence: { meanMbar: b.mean, rangeMbar: b.range, limitMbar: limit },
      text: `ΔP is frozen at ${pressureText(b.mean, context.pressureUnit)} (range ${pressureText(b.range, context.pressureUnit)}) whatever the engine does: no pressure behaves so.`,
    },
  ];
};

const dpReversed: Detector = (context) => {
  const b = context.dp;
  const hold = mean(windowsOf(context, 'hold').map((w) => meanIn(context, 'dpfDeltaP', w) ?? Number.NaN));
  const idle = mean(windowsOf(context, 'idle').map((w) => meanIn(context, 'dpfDeltaP', w) ?? Number.NaN));
  if (!b || hold === undefined || b.withSpeed > -0.7 || hold > -5 || hold > (idle ?? 0) - 5) return [];
  return [
    {
      id: 'dp-reversed',
      level: 'fault',
      channel: 'dpfDeltaP',
      evidence: { holdMbar: hold, correlation: b.withSpeed },
      text: `ΔP falls to ${pressureText(hold, context.pressureUnit)} as the flow rises: the hoses are crossed or the sensor is fitted the wrong way round.`,
    },
  ];
};

const dpZeroOffset: Detector = (context) => {
  const limit = context.limits.dpZeroOffsetMbar;
  const b = context.dp;
  const zero = measuredZero(context);
  if (Math.abs(zero) <= limit || !b || Math.abs(b.withSpeed) < 0.5) return [];
  return [
    {
      id: 'dp-zero-offset',
      level: 'fault',
      channel: 'dpfDeltaP',
      evidence: { zeroMbar: zero, limitMbar: limit },
      text: `With the engine off ΔP shows ${pressureText(zero, context.pressureUnit)} instead of 0 (limit ±${pressureText(limit, context.pressureUnit)}); it is subtracted from every reading.`,
    },
  ];
};

/** What the sensor shows at rest in this log; 0 where it was not logged. A pressure is judged with it taken off. */
const measuredZero = (context: FindingContext): number =>
  median(windowsOf(context, 'engine-off').map((w) => meanIn(context, 'dpfDeltaP', w) ?? Number.NaN)) ?? 0;

const lessZero = (zeroMbar: number, unit: Unit | undefined): string =>
  Math.abs(zeroMbar) < 1 ? '' : `, its zero of ${pressureText(zeroMbar, unit)} taken off`;

/** Ids that say: this sensor tells nothing about the filter. */
export const SENSOR_UNPROVEN = new Set([
  'dp-no-response',
  'dp-stuck-high',
  'dp-reversed',
  'dp-slow-response',
  'dp-low-for-flow',
]);

const sensorBelievable = (context: SharedContext): boolean =>
  [dpNoResponse, dpStuckHigh, dpReversed].every((detect) => detect(context).length === 0);

const dpHighIdle: Detector = (context) => {
  if (!sensorBelievable(context)) return [];
  const limit = context.limits.dpIdleBlockedMbar;
  const zeroMbar = measuredZero(context);
  return windowsOf(context, 'idle').flatMap((window) => {
    const read = meanIn(context, 'dpfDeltaP', window);
    const value = read === undefined ? undefined : read - zeroMbar;
    const coolant = meanIn(context, 'coolantTemp', window);
    if (value === undefined || value <= limit || (coolant !== undefined && coolant < 60)) return [];
    return [
      {
        id: 'dp-high-idle',
        level: 'fault',
        channel: 'dpfDeltaP',
        startS: window.startS,
        endS: window.endS,
        evidence: { meanMbar: value, zeroMbar, limitMbar: limit, rpm: window.rpm.mean },
        text: `ΔP at idle is ${pressureText(value, context.pressureUnit)}${lessZero(zeroMbar, context.pressureUnit)}; blocked above ${pressureText(limit, context.pressureUnit)}.`,
      },
    ];
  });
};

const dpHighHold: Detector = (context) => {
  if (!sensorBelievable(context)) return [];
  const zeroMbar = measuredZero(context);
  return windowsOf(context, 'hold').flatMap((window) => {
    const read = meanIn(context, 'dpfDeltaP', window);
    const value = read === undefined ? undefined : read - zeroMbar;
    // Without load the flow goes with engine speed: the 3000 rpm limit is brought to the speed that was held.
    const limit = context.limits.dp3000BlockedMbar * (window.rpm.mean / 3000);
    if (value === undefined || value <= limit) return [];
    return [
      {
        id: 'dp-high-hold',
        level: 'fault',
        channel: 'dpfDeltaP',
        startS: window.startS,
        endS: window.endS,
        evidence: { meanMbar: value, zeroMbar, limitMbar: limit, rpm: window.rpm.mean },
        text: `ΔP at ${Math.round(window.rpm.mean)} rpm is ${pressureText(value, context.pressureUnit)}${lessZero(zeroMbar, context.pressureUnit)}; at this flow blocked above ${pressureText(limit, context.pressureUnit)} (${pressureText(context.limits.dp3000BlockedMbar, context.pressureUnit)} at 3000 rpm).`,
      },
    ];
  });
};

const dpFalling: Detector = (context) => {
  const { dpFallingDropMbar, dpFallingDropPercent } = context.limits;
  return windowsOf(context, 'hold').flatMap((window) => {
    const third = (window.endS - window.startS) / 8;
    const start = quantile(
      channelBetween(context.recording, 'dpfDeltaP', window.startS, window.startS + third),
      0.9,
    );
    const end = median(channelBetween(context.recording, 'dpfDeltaP', window.endS - third, window.endS));
    if (start === undefined || end === undefined || window.endS - window.startS < 20) return [];
    const drop = start - end;
    if (drop <= dpFallingDropMbar || drop <= (dpFallingDropPercent / 100) * start) return [];
    return [
      {
        id: 'dp-falling',
        level: 'info',
        channel: 'dpfDeltaP',
        startS: window.startS,
        endS: window.endS,
        evidence: {
          fromMbar: start,
          toMbar: end,
          limitMbar: dpFallingDropMbar,
          limitPercent: dpFallingDropPercent,
        },
        text: `During one hold ΔP falls from ${pressureText(start, context.pressureUnit)} to ${pressureText(end, context.pressureUnit)}: the filter is opening.`,
      },
    ];
  });
};

const sootHigh: Detector = (context) => {
  const value = median(context.recording.channels.get('sootMass') ?? []);
  const limit = context.limits.sootHighG;
  if (value === undefined || value <= limit) return [];
  return [
    {
      id: 'soot-high',
      level: 'fault',
      channel: 'sootMass',
      evidence: { sootG: value, limitG: limit },
      text: `The engine computer counts ${value.toFixed(0)} g of soot, high above ${limit} g.`,
    },
  ];
};

const sootDisagrees: Detector = (context) => {
  const value = median(context.recording.channels.get('sootMass') ?? []);
  const limit = context.limits.sootLowForDisagreementG;
  const high = [...dpHighIdle(context), ...dpHighHold(context)];
  const [first] = high;
  if (value === undefined || value >= limit || !first) return [];
  return [
    {
      id: 'soot-disagrees-with-pressure',
      level: 'watch',
      channel: 'sootMass',
      evidence: { sootG: value, limitG: limit, dpMbar: first.evidence['meanMbar'] ?? 0 },
      text: `The soot value is ${value.toFixed(0)} g although the pressure is that of a blocked filter: the counter was reset, or ash, a pipe or a sensor is behind it.`,
    },
  ];
};

const airMeter: Detector = (context) => {
  const { recording, limits } = context;
  const hold = windowsOf(context, 'hold').sort((a, b) => b.rpm.mean - a.rpm.mean)[0];
  if (!hold || context.displacementL === undefined) return [];
  const metered = meanIn(context, 'massAirFlow', hold);
  const manifoldMbar = meanIn(context, 'manifoldPressure', hold);
  if (metered === undefined || manifoldMbar === undefined) return [];
  const expected = speedDensityGPerS({
    displacementL: context.displacementL,
    rpm: hold.rpm.mean,
    manifoldMbar,
    manifoldC: mean(channelBetween(recording, 'intakeAirTemp', hold.startS, hold.endS)) ?? 30,
    volumetricEfficiency: limits.volumetricEfficiency,
  });
  if (!expected.ok || expected.value <= 0) return [];
  const ratio = metered / expected.value;
  const low = ratio < limits.mafToSpeedDensityLow;
  if (!low && ratio <= limits.mafToSpeedDensityHigh) return [];
  return [
    {
      id: low ? 'maf-low-for-speed' : 'maf-high-for-speed',
      level: 'fault',
      channel: 'massAirFlow',
      startS: hold.startS,
      endS: hold.endS,
      evidence: {
        meteredGPerS: metered,
        expectedGPerS: expected.value,
        ratio,
        limitRatio: low ? limits.mafToSpeedDensityLow : limits.mafToSpeedDensityHigh,
      },
      text: `At ${Math.round(hold.rpm.mean)} rpm the air meter shows ${metered.toFixed(1)} g/s; engine speed and manifold pressure call for ${expected.value.toFixed(1)} g/s (ratio ${ratio.toFixed(2)}): ${low ? 'air gets in after the meter, or the meter reads low' : 'air is lost after the meter, or the meter reads high'}.`,
    },
  ];
};

/** All detectors; a new finding is a function and a line here. */
const DETECTORS: readonly Detector[] = [
  dpNoResponse,
  dpStuckHigh,
  dpReversed,
  dpZeroOffset,
  dpHighIdle,
  dpHighHold,
  dpFalling,
  sootHigh,
  sootDisagrees,
  airMeter,
];

export function findFaults(context: FindingContext): Finding[] {
  const shared: SharedContext = { ...context, dp: dpBehaviour(context) };
  return DETECTORS.flatMap((detect) => detect(shared));
}
