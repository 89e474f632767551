import { say, type Said } from '../../words/index.ts';
import { kelvin, mean, median, quantile } from '../../quantities/index.ts';
import { channelBetween } from '../recording.ts';
import type { LogWindow } from '../windows.ts';
import { meanIn, windowsOf, type Detector, type Finding, type FindingContext } from './finding.ts';
import { slowResponse } from './response.ts';
import { noResponse, stuckHigh, reversed, about, zeroOffset, saturated } from './sensorAtRest.ts';

const slow: Detector = (context) =>
  slowResponse(context, context.features.dp, {
    id: 'dp-slow-response',
    channel: 'dpfDeltaP',
    what: 'ΔP',
    means: say('findings.a-pipe-to-the-sensor'),
  });

const believable = (context: FindingContext): boolean =>
  [noResponse, stuckHigh, reversed].every((detect) => detect(context).length === 0);

const lessZero = (context: FindingContext, zeroMbar: number): Said =>
  Math.abs(zeroMbar) < 1 ? '' : say('findings.its-zero-of-removed', { zeroMbar });

/** Gas this hot is a regeneration: its volume is twice that of a warm hold, and so is the pressure. */
const HOT_FILTER_C = 420;

/** Under load flow is not that of the stationary limits. */
const LOADED_MANIFOLD_MBAR = 1700;

const unloaded = (context: FindingContext, window: LogWindow): boolean =>
  (meanIn(context, 'egt3', window) ?? 0) < HOT_FILTER_C &&
  (meanIn(context, 'manifoldPressure', window) ?? 0) < LOADED_MANIFOLD_MBAR;

/** Above the temperature that the limits are meant for by more than this, gas is so much larger that it must be counted. */
const WARMER_BY_C = 60;

/**
 * How many times the viscosity × volume of the gas is that at which the limits are meant, for a filter still hot from
 * work; 1 for one that is not. Volume goes with absolute temperature, viscosity with about its 0.7th power.
 */
function hotGas(context: FindingContext, window: LogWindow, meantC: number): number {
  const filterC = mean([
    meanIn(context, 'egt3', window) ?? Number.NaN,
    meanIn(context, 'egt4', window) ?? Number.NaN,
  ]);
  return filterC === undefined ? 1 : Math.max(1, (kelvin(filterC) / kelvin(meantC + WARMER_BY_C)) ** 1.7);
}

const forHotGas = (factor: number): Said =>
  factor > 1.02 ? say('findings.the-limit-as-the-filter', { factor }) : '';

const WARM_ENOUGH_FOR_IDLE_C = 60;

const highIdle: Detector = (context) => {
  if (!believable(context)) return [];
  const { dpIdleBlockedMbar, filterTempIdleC } = context.limits;
  const { zeroMbar } = context.features;
  return windowsOf(context, 'idle').flatMap((window): Finding[] => {
    const factor = hotGas(context, window, filterTempIdleC);
    const limit = dpIdleBlockedMbar * factor;
    const read = meanIn(context, 'dpfDeltaP', window);
    const value = read === undefined ? undefined : read - zeroMbar;
    const coolant = meanIn(context, 'coolantTemp', window);
    if (value === undefined || value <= limit || (coolant !== undefined && coolant < WARM_ENOUGH_FOR_IDLE_C))
      return [];
    if (!unloaded(context, window)) return [];
    return [
      {
        ...about,
        id: 'dp-high-idle',
        level: 'fault',
        startS: window.startS,
        endS: window.endS,
        evidence: { meanMbar: value, zeroMbar, limitMbar: limit, rpm: window.rpm.mean },
        text: say('findings.dp-at-idle-is-blocked', {
          value,
          lessZero: lessZero(context, zeroMbar),
          limit,
          forHotGas: forHotGas(factor),
        }),
      },
    ];
  });
};

const highHold: Detector = (context) => {
  if (!believable(context)) return [];
  const { zeroMbar } = context.features;
  const at3000 = context.limits.dp3000BlockedMbar;
  return windowsOf(context, 'hold').flatMap((window): Finding[] => {
    const read = meanIn(context, 'dpfDeltaP', window);
    const value = read === undefined ? undefined : read - zeroMbar;
    // Without load the flow goes with engine speed: the 3000 rpm limit is brought to the speed that was held.
    const factor = hotGas(context, window, context.limits.filterTempHoldC);
    const limit = at3000 * (window.rpm.mean / 3000) * factor;
    if (value === undefined || value <= limit || !unloaded(context, window)) return [];
    return [
      {
        ...about,
        id: 'dp-high-hold',
        level: 'fault',
        startS: window.startS,
        endS: window.endS,
        evidence: { meanMbar: value, zeroMbar, limitMbar: limit, rpm: window.rpm.mean },
        text: say('findings.dp-at-rpm', {
          mean: window.rpm.mean,
          value,
          lessZero: lessZero(context, zeroMbar),
          limit,
          at3000,
          forHotGas: forHotGas(factor),
        }),
      },
    ];
  });
};

/** Below this speed a sound small filter shows so little that nothing follows from it. */
const TELLING_HOLD_RPM = 2000;

const lowForFlow: Detector = (context) => {
  const { dp, zeroMbar } = context.features;
  const { dpLowForFlowMbar: limit, dpLowForFlowPercent } = context.limits;
  if (!dp || !believable(context) || dp.correlation < 0.5) return [];
  const holds = windowsOf(context, 'hold').filter((window) => window.rpm.mean >= TELLING_HOLD_RPM);
  const highest = holds.sort((a, b) => b.rpm.mean - a.rpm.mean)[0];
  const read = highest ? meanIn(context, 'dpfDeltaP', highest) : undefined;
  if (!highest || read === undefined) return [];
  const value = read - zeroMbar;
  const clean = context.cleanDpMbar?.(highest);
  if (value >= limit || (clean !== undefined && value >= (dpLowForFlowPercent / 100) * clean)) return [];
  const against = clean === undefined ? '' : say('findings.and-a-clean-filter', { clean });
  return [
    {
      ...about,
      id: 'dp-low-for-flow',
      level: 'fault',
      startS: highest.startS,
      endS: highest.endS,
      evidence: {
        meanMbar: value,
        limitMbar: limit,
        rpm: highest.rpm.mean,
        ...(clean === undefined ? {} : { cleanMbar: clean, limitPercent: dpLowForFlowPercent }),
      },
      text: say('findings.dp-follows-the-flow-but', { value, mean: highest.rpm.mean, limit, against }),
    },
  ];
};

const FALLING_MIN_S = 20;

const falling: Detector = (context) => {
  const { dpFallingDropMbar, dpFallingDropPercent } = context.limits;
  if (slow(context).length > 0) return [];
  return windowsOf(context, 'hold').flatMap((window): Finding[] => {
    const part = (window.endS - window.startS) / 8;
    if (window.endS - window.startS < FALLING_MIN_S) return [];
    const start = quantile(
      channelBetween(context.recording, 'dpfDeltaP', window.startS, window.startS + part),
      0.9,
    );
    const end = median(channelBetween(context.recording, 'dpfDeltaP', window.endS - part, window.endS));
    if (start === undefined || end === undefined) return [];
    const drop = start - end;
    if (drop <= dpFallingDropMbar || drop <= (dpFallingDropPercent / 100) * start) return [];
    return [
      {
        ...about,
        id: 'dp-falling',
        level: 'info',
        startS: window.startS,
        endS: window.endS,
        evidence: {
          fromMbar: start,
          toMbar: end,
          limitMbar: dpFallingDropMbar,
          limitPercent: dpFallingDropPercent,
        },
        text: say('findings.during-one-hold-dp-falls', {
          start,
          end,
          dpFallingDropMbar,
          dpFallingDropPercent,
        }),
      },
    ];
  });
};

const sootNow = ({ recording }: FindingContext): number | undefined => {
  const values = recording.channels.get('sootMass')?.values;
  return values === undefined ? undefined : median(values.subarray(Math.floor(values.length * 0.8)));
};

const sootHigh: Detector = (context) => {
  const value = sootNow(context);
  const { displacementL } = context;
  const { sootHighG, sootHighGPerL, filterPerEngineSize } = context.limits;
  const volume =
    context.filterVolumeL ?? (displacementL === undefined ? undefined : filterPerEngineSize * displacementL);
  const limit = volume === undefined ? sootHighG : sootHighGPerL * volume;
  if (value === undefined || value <= limit) return [];
  const assumed =
    context.filterVolumeL === undefined ? say('findings.the-filter-taken', { filterPerEngineSize }) : '';
  const by = volume === undefined ? '' : say('findings.g-l-in-l', { sootHighGPerL, volume, assumed });
  return [
    {
      id: 'soot-high',
      level: 'fault',
      channel: 'sootMass',
      evidence: { sootG: value, limitG: limit, ...(volume === undefined ? {} : { volumeL: volume }) },
      text: say('findings.the-ecu-counts-g', { value, limit, by }),
    },
  ];
};

const sootDisagrees: Detector = (context) => {
  const value = sootNow(context);
  const limit = context.limits.sootLowForDisagreementG;
  const [first] = [...highIdle(context), ...highHold(context)];
  if (value === undefined || value >= limit || !first) return [];
  return [
    {
      id: 'soot-disagrees-with-pressure',
      level: 'watch',
      channel: 'sootMass',
      evidence: { sootG: value, limitG: limit, dpMbar: first.evidence['meanMbar'] ?? 0 },
      text: say('findings.the-soot-value-is-g', { value, limit }),
    },
  ];
};

export const DIFFERENTIAL_PRESSURE: readonly Detector[] = [
  noResponse,
  stuckHigh,
  reversed,
  zeroOffset,
  slow,
  saturated,
  highIdle,
  highHold,
  lowForFlow,
  falling,
  sootHigh,
  sootDisagrees,
];
