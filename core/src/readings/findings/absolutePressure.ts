import { say, type Said } from '../../words/index.ts';
import { median, quantile } from '../../quantities/index.ts';
import type { ChannelRole } from '../channelRoles.ts';
import { restingMean, type Behaviour } from '../features.ts';
import { heldAt, seriesOf } from '../recording.ts';
import { speedMoved, type Detector, type Finding, type FindingContext } from './finding.ts';
import { slowResponse } from './response.ts';

interface Absolute {
  readonly prefix: 'ebp' | 'map';
  readonly channel: 'exhaustBackPressure' | 'manifoldPressure';
  readonly what: Said;
  readonly pipe: Said;
}

const BACK_PRESSURE: Absolute = {
  prefix: 'ebp',
  channel: 'exhaustBackPressure',
  what: say('findings.the-pressure-before-the-turbo'),
  pipe: say('findings.its-pipe-is-blocked'),
};
const MANIFOLD: Absolute = {
  prefix: 'map',
  channel: 'manifoldPressure',
  what: say('findings.manifold-pressure'),
  pipe: say('findings.its-pipe-is-blocked'),
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
      text: say('findings.moves-by-only-limit-while', {
        what: absolute.what,
        range: behaviour.range,
        limit,
        speed,
        pipe: absolute.pipe,
      }),
    },
  ];
}

const slow = (context: FindingContext, absolute: Absolute): Finding[] =>
  slowResponse(context, behaviourOf(context, absolute), {
    id: `${absolute.prefix}-slow-decay`,
    channel: absolute.channel,
    what: absolute.what,
    means: say('findings.its-pipe-is-restricted'),
  });

/** The barometer as logged; without one, manifold pressure with the engine off stands for it, if that is about one atmosphere. */
function atmosphere(context: FindingContext, channel: ChannelRole): { mbar: number; by: Said } | undefined {
  const { features, recording } = context;
  if (features.barometerRead) return { mbar: features.barometerMbar, by: say('findings.the-barometer') };
  const other = channel === 'manifoldPressure' ? 'exhaustBackPressure' : 'manifoldPressure';
  const manifold = restingMean(recording, features, other);
  if (manifold === undefined || manifold < 650 || manifold > 1080) return undefined;
  return {
    mbar: manifold,
    by:
      other === 'manifoldPressure'
        ? say('findings.manifold-pressure-2')
        : say('findings.the-pressure-before-the-turbo-2'),
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
      text: say('findings.with-the-engine-off-shows', {
        what: absolute.what,
        value,
        by: reference.by,
        mbar: reference.mbar,
        off,
        limit,
      }),
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
      text: say('findings.at-full-load-the-pressure', { gap, limit }),
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
