import { say } from '../../words/index.ts';
import type { Limits } from '../../limits/index.ts';
import { mean } from '../../quantities/index.ts';
import type { Behaviour } from '../features.ts';
import type { LogWindow } from '../windows.ts';
import { meanIn, speedMoved, windowsOf, type Detector, type FindingContext } from './finding.ts';

export const about = { channel: 'dpfDeltaP' } as const;

/** Smallest range that counts as movement: three steps of the sensor as logged, and the noise that a dead one may show. */
const threeSteps = (dp: Behaviour, { dpNoiseMbar }: Limits): number => Math.max(3 * dp.step, dpNoiseMbar);

export const noResponse: Detector = (context) => {
  const { dp, flow } = context.features;
  const { flowCorrelationNone, dpIdleGoodMbar } = context.limits;
  if (!dp || !flow || !speedMoved(context) || dp.correlation >= flowCorrelationNone) return [];
  if (dp.range > threeSteps(dp, context.limits) || dp.mean >= dpIdleGoodMbar) return [];
  return [
    {
      ...about,
      id: 'dp-no-response',
      level: 'fault',
      evidence: {
        rangeMbar: dp.range,
        meanMbar: dp.mean,
        speedRangeRpm: flow.speedRangeRpm,
        correlation: dp.correlation,
        limitCorrelation: flowCorrelationNone,
      },
      text: say('findings.dp-stays-at-while-engine', { mean: dp.mean, speedRangeRpm: flow.speedRangeRpm }),
    },
  ];
};

export const stuckHigh: Detector = (context) => {
  const { dp } = context.features;
  const limit = context.limits.dpStuckHighMbar;
  if (!dp || !speedMoved(context) || dp.mean <= limit || Math.abs(dp.correlation) >= 0.5) return [];
  if (dp.range >= Math.max(0.05 * dp.mean, 3 * dp.step)) return [];
  return [
    {
      ...about,
      id: 'dp-stuck-high',
      level: 'fault',
      evidence: { meanMbar: dp.mean, rangeMbar: dp.range, limitMbar: limit },
      text: say('findings.dp-is-frozen-at-range', { mean: dp.mean, range: dp.range, limit }),
    },
  ];
};

const meanOver = (context: FindingContext, windows: readonly LogWindow[]): number | undefined =>
  mean(windows.map((window) => meanIn(context, 'dpfDeltaP', window) ?? Number.NaN));

export const reversed: Detector = (context) => {
  const { dp } = context.features;
  const limit = -context.limits.flowCorrelationReversed;
  const hold = meanOver(context, windowsOf(context, 'hold'));
  const idle = meanOver(context, windowsOf(context, 'idle'));
  if (!dp || hold === undefined || dp.correlation > limit || hold > -5 || hold > (idle ?? 0) - 5) return [];
  return [
    {
      ...about,
      id: 'dp-reversed',
      level: 'fault',
      evidence: { holdMbar: hold, correlation: dp.correlation, limitCorrelation: limit },
      text: say('findings.dp-falls', { hold, correlation: dp.correlation, limit }),
    },
  ];
};

export const zeroOffset: Detector = (context) => {
  const { dp, zeroMbar, zeroRead } = context.features;
  const limit = context.limits.dpZeroOffsetMbar;
  if (!dp || !zeroRead || Math.abs(zeroMbar) <= limit || Math.abs(dp.correlation) < 0.5) return [];
  return [
    {
      ...about,
      id: 'dp-zero-offset',
      level: 'fault',
      evidence: { zeroMbar, limitMbar: limit },
      text: say('findings.with-the-engine-off-dp', { zeroMbar, limit }),
    },
  ];
};

const SATURATED_READINGS = 15;

export const saturated: Detector = (context) => {
  const { dp } = context.features;
  const limit = context.limits.dpSaturationMbar;
  if (!dp) return [];
  const at = (value: number): boolean => Math.abs(value - limit) <= 0.01 * limit;
  let count = 0;
  let first: number | undefined;
  let last = 0;
  dp.series.values.forEach((value, i) => {
    if (!at(value)) return;
    count++;
    first ??= dp.series.timeS[i] as number;
    last = dp.series.timeS[i] as number;
  });
  const quiet = [...windowsOf(context, 'idle'), ...windowsOf(context, 'engine-off')].map(
    (window) => meanIn(context, 'dpfDeltaP', window) ?? 0,
  );
  if (count < SATURATED_READINGS || first === undefined || quiet.some((value) => value > 0.98 * limit))
    return [];
  if (quiet.length === 0 && dp.range < 0.05 * limit) return [];
  return [
    {
      ...about,
      id: 'dp-saturated',
      level: 'fault',
      startS: first,
      endS: last,
      evidence: { readings: count, limitMbar: limit, limitReadings: SATURATED_READINGS },
      text: say('findings.readings-are-at-full-scale', { count, limit }),
    },
  ];
};

/** Ids that say: this sensor tells nothing about the filter. */
export const SENSOR_UNPROVEN = new Set([
  'dp-no-response',
  'dp-stuck-high',
  'dp-reversed',
  'dp-slow-response',
  'dp-low-for-flow',
]);
