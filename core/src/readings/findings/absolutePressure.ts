import { median, quantile } from '../../quantities/index.ts';
import type { ChannelRole } from '../channelRoles.ts';
import { restingMean, type Behaviour } from '../features.ts';
import { heldAt, seriesOf } from '../recording.ts';
import { inUnit, speedMoved, type Detector, type Finding, type FindingContext } from './finding.ts';
import { slowResponse } from './response.ts';

interface Absolute {
  readonly prefix: 'ebp' | 'map';
  readonly channel: 'exhaustBackPressure' | 'manifoldPressure';
  readonly what: string;
  readonly pipe: string;
}

const BACK_PRESSURE: Absolute = {
  prefix: 'ebp',
  channel: 'exhaustBackPressure',
  what: 'The pressure before the turbo',
  pipe: 'its pipe is blocked or the sensor has failed',
};
const MANIFOLD: Absolute = {
  prefix: 'map',
  channel: 'manifoldPressure',
  what: 'Manifold pressure',
  pipe: 'its pipe is blocked or the sensor has failed',
};

const behaviourOf = ({ features }: FindingContext, { prefix }: Absolute): Behaviour | undefined =>
  prefix === 'ebp' ? features.backPressure : features.manifold;

function noResponse(context: FindingContext, absolute: Absolute): Finding[] {
  const behaviour = behaviourOf(context, absolute);
  const limit = context.limits.absoluteNoResponseMbar;
  if (!behaviour || !speedMoved(context) || behaviour.range >= limit) return [];
  const speed = context.features.flow?.speedRangeRpm ?? 0;
  return [
    {
      id: `${absolute.prefix}-no-response`,
      level: 'fault',
      channel: absolute.channel,
      evidence: {
        rangeMbar: behaviour.range,
        limitMbar: limit,
        meanMbar: behaviour.mean,
        speedRangeRpm: speed,
      },
      text: `${absolute.what} moves by only ${inUnit(context, behaviour.range)} (limit ${inUnit(context, limit)}) while engine speed moves by ${Math.round(speed)} rpm: ${absolute.pipe}.`,
    },
  ];
}

const slow = (context: FindingContext, absolute: Absolute): Finding[] =>
  slowResponse(context, behaviourOf(context, absolute), {
    id: `${absolute.prefix}-slow-decay`,
    channel: absolute.channel,
    what: absolute.what,
    means: 'its pipe is restricted',
  });

/** The barometer as logged; without one, manifold pressure with the engine off stands for it, if that is about one atmosphere. */
function atmosphere(context: FindingContext, channel: ChannelRole): { mbar: number; by: string } | undefined {
  const { features, recording } = context;
  if (features.barometerRead) return { mbar: features.barometerMbar, by: 'the barometer' };
  const other = channel === 'manifoldPressure' ? 'exhaustBackPressure' : 'manifoldPressure';
  const manifold = restingMean(recording, features, other);
  if (manifold === undefined || manifold < 650 || manifold > 1080) return undefined;
  return {
    mbar: manifold,
    by: other === 'manifoldPressure' ? 'manifold pressure' : 'the pressure before the turbo',
  };
}

function keyOnMismatch(context: FindingContext, absolute: Absolute): Finding[] {
  const value = restingMean(context.recording, context.features, absolute.channel);
  const reference = atmosphere(context, absolute.channel);
  const limit = context.limits.keyOnPercent;
  if (value === undefined || !reference) return [];
  const off = (100 * (value - reference.mbar)) / reference.mbar;
  if (Math.abs(off) <= limit) return [];
  const [first] = context.features.atRest;
  return [
    {
      id: `${absolute.prefix}-key-on-mismatch`,
      level: 'fault',
      channel: absolute.channel,
      ...(first ? { startS: first.startS, endS: first.endS } : {}),
      evidence: { meanMbar: value, barometerMbar: reference.mbar, offPercent: off, limitPercent: limit },
      text: `With the engine off ${absolute.what.toLowerCase()} shows ${inUnit(context, value)} where ${reference.by} shows ${inUnit(context, reference.mbar)}: off by ${off.toFixed(0)} % (limit ${limit} %). Repeat it hot and cold.`,
    },
  ];
}

/** Manifold pressure of a full-load pull: well into boost. */
const FULL_LOAD_MBAR = 1800;
const FULL_LOAD_RPM = 1500;
const FULL_LOAD_READINGS = 3;

const lowForBoost: Detector = (context) => {
  const { recording, limits, features } = context;
  const back = features.backPressure?.series;
  const limit = limits.ebpLowForBoostMbar;
  if (!back || !features.manifold) return [];
  const manifold = features.manifold.series;
  const speed = seriesOf(recording, 'engineSpeed');
  const gaps: number[] = [];
  const times: number[] = [];
  for (let i = 0; i < manifold.values.length; i++) {
    const value = manifold.values[i] as number;
    if (value < FULL_LOAD_MBAR) continue;
    const t = manifold.timeS[i] as number;
    const behind = heldAt(back, t);
    if (behind === undefined || (heldAt(speed, t) ?? 0) < FULL_LOAD_RPM) continue;
    gaps.push(value - behind);
    times.push(t);
  }
  const gap = median(gaps);
  if (
    gaps.length < FULL_LOAD_READINGS ||
    gap === undefined ||
    gap <= limit ||
    (quantile(gaps, 0.25) ?? 0) < limit / 2
  )
    return [];
  return [
    {
      id: 'ebp-low-for-boost',
      level: 'fault',
      channel: 'exhaustBackPressure',
      startS: times[0] ?? 0,
      endS: times.at(-1) ?? 0,
      evidence: { belowMbar: gap, limitMbar: limit, readings: gaps.length },
      text: `At full load the pressure before the turbo is ${inUnit(context, gap)} below manifold pressure (limit ${inUnit(context, limit)}): a turbo making this boost must have more before it. Look for a cracked or clogged pipe, even without a code.`,
    },
  ];
};

/** Whether manifold pressure can be used in a comparison with the MAF sensor. */
export const manifoldBelievable = (context: FindingContext): boolean =>
  [noResponse, slow, keyOnMismatch].every((detect) => detect(context, MANIFOLD).length === 0);

export const ABSOLUTE_PRESSURE: readonly Detector[] = [
  ...[BACK_PRESSURE, MANIFOLD].flatMap((absolute) =>
    [noResponse, slow, keyOnMismatch].map(
      (detect): Detector =>
        (context) =>
          detect(context, absolute),
    ),
  ),
  lowForBoost,
];
