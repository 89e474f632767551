import { say } from '../../words/index.ts';
import { median } from '../../quantities/index.ts';
import { roleName, type ChannelRole } from '../channelRoles.ts';
import { spanOf } from '../features.ts';
import { channelBetween, seriesBetween, seriesOf, type Series } from '../recording.ts';
import { meanIn, windowsOf, type Detector, type Finding, type FindingContext } from './finding.ts';

const EGT_ROLES = ['egt1', 'egt2', 'egt3', 'egt4'] as const satisfies readonly ChannelRole[];
type EgtRole = (typeof EGT_ROLES)[number];

const OPEN_SHARE = 0.9;
const FEW = 10;

/** A sensor that stands at an end of its scale, judged once a context: all the others ask for it. */
const openSensors = new WeakMap<
  FindingContext,
  Map<EgtRole, { share: number; middle: number } | undefined>
>();

function isOpen(context: FindingContext, role: EgtRole): { share: number; middle: number } | undefined {
  let known = openSensors.get(context);
  if (!known) {
    known = new Map(EGT_ROLES.map((one) => [one, atEndOfScale(context, one)]));
    openSensors.set(context, known);
  }
  return known.get(role);
}

function atEndOfScale(
  { recording, limits }: FindingContext,
  role: EgtRole,
): { share: number; middle: number } | undefined {
  const { values } = seriesOf(recording, role);
  if (values.length < FEW) return undefined;
  let out = 0;
  const { egtOpenLowC, egtOpenHighC } = limits;
  for (let i = 0; i < values.length; i++) {
    const value = values[i] as number;
    if (value <= egtOpenLowC || value >= egtOpenHighC) out++;
  }
  return out / values.length > OPEN_SHARE
    ? { share: out / values.length, middle: median(values) ?? 0 }
    : undefined;
}

const open: Detector = (context) =>
  EGT_ROLES.flatMap((role): Finding[] => {
    const found = isOpen(context, role);
    if (!found) return [];
    const { egtOpenLowC, egtOpenHighC } = context.limits;
    return [
      {
        id: `${role}-open`,
        level: 'fault',
        channel: role,
        evidence: {
          sharePercent: 100 * found.share,
          readC: found.middle,
          limitLowC: egtOpenLowC,
          limitHighC: egtOpenHighC,
        },
        text: say('findings.shows-c', {
          label: roleName(role),
          middle: found.middle,
          share: 100 * found.share,
          egtOpenLowC,
          egtOpenHighC,
        }),
      },
    ];
  });

const MIN_FOR_STUCK_S = 60;

const stuck: Detector = (context) => {
  const { recording, limits } = context;
  const { egtStuckRangeC, egtOthersMoveC } = limits;
  const sound = EGT_ROLES.filter((role) => !isOpen(context, role));
  const ranges = new Map(sound.map((role) => [role, spanOf(seriesOf(recording, role).values)]));
  return sound.flatMap((role): Finding[] => {
    const series = seriesOf(recording, role);
    const span = (series.timeS.at(-1) ?? 0) - (series.timeS[0] ?? 0);
    if (series.values.length < FEW || span < MIN_FOR_STUCK_S) return [];
    const range = ranges.get(role) ?? 0;
    const others = [...ranges].filter(([other]) => other !== role).map(([, its]) => its);
    const most = Math.max(0, ...others);
    if (range >= egtStuckRangeC || most <= egtOthersMoveC) return [];
    const middle = median(series.values) ?? 0;
    return [
      {
        id: `${role}-stuck`,
        level: 'fault',
        channel: role,
        evidence: {
          rangeC: range,
          readC: middle,
          othersC: most,
          limitC: egtStuckRangeC,
          limitOthersC: egtOthersMoveC,
        },
        text: say('findings.stays-at-c-range-c', {
          label: roleName(role),
          middle,
          range,
          egtStuckRangeC,
          most,
          egtOthersMoveC,
        }),
      },
    ];
  });
};

const COLD_WITHIN_C = 8;

const coldMismatch: Detector = (context) => {
  const { recording, features, limits } = context;
  const limit = limits.egtColdMismatchC;
  const [rest] = features.atRest;
  if (!rest) return [];
  const at = (role: ChannelRole): number | undefined =>
    median(channelBetween(recording, role, rest.startS, rest.endS));
  const coolant = at('coolantTemp');
  const ambient = at('ambientTemp') ?? at('intakeAirTemp');
  if (coolant === undefined || ambient === undefined || Math.abs(coolant - ambient) > COLD_WITHIN_C)
    return [];
  const sound = EGT_ROLES.filter((role) => !isOpen(context, role));
  const others: ChannelRole[] = ['coolantTemp', 'ambientTemp', 'intakeAirTemp'];
  return sound.flatMap((role): Finding[] => {
    const value = at(role);
    const around = median(
      [...sound, ...others].filter((other) => other !== role).flatMap((other) => at(other) ?? []),
    );
    if (value === undefined || around === undefined || Math.abs(value - around) <= limit) return [];
    return [
      {
        id: `${role}-cold-mismatch`,
        level: 'fault',
        channel: role,
        startS: rest.startS,
        endS: rest.endS,
        evidence: { readC: value, othersC: around, offC: value - around, limitC: limit },
        text: say('findings.with-the-engine-cold', { label: roleName(role), value, around, limit }),
      },
    ];
  });
};

const ORDER_MIN_S = 60;
/** A part that still gives off heat from before: its own temperature falls. */
const COOLING_C_PER_MIN = 5;

function fallsBy(series: Series): number {
  const span = (series.timeS.at(-1) ?? 0) - (series.timeS[0] ?? 0);
  const part = Math.max(1, Math.floor(series.values.length / 4));
  const start = median(series.values.subarray(0, part));
  const end = median(series.values.subarray(-part));
  return start === undefined || end === undefined || span <= 0 ? 0 : ((start - end) / (0.75 * span)) * 60;
}

const order: Detector = (context) => {
  const { recording, limits } = context;
  const limit = limits.egtOrderC;
  const fitted = EGT_ROLES.filter(
    (role) => seriesOf(recording, role).values.length >= FEW && !isOpen(context, role),
  );
  return windowsOf(context, 'hold').flatMap((window): Finding[] => {
    if (window.endS - window.startS < ORDER_MIN_S) return [];
    if (
      (meanIn(context, 'egt3', window) ?? 0) > limits.regenEgt3C ||
      (meanIn(context, 'regenActive', window) ?? 0) > 0.1
    )
      return [];
    const later = { startS: (window.startS + window.endS) / 2, endS: window.endS };
    return fitted.slice(1).flatMap((role, i): Finding[] => {
      const neighbour = fitted[i] as EgtRole;
      const [value, before] = [meanIn(context, role, later), meanIn(context, neighbour, later)];
      if (value === undefined || before === undefined || value - before <= limit) return [];
      const cooling = [role, neighbour].some(
        (one) =>
          fallsBy(seriesBetween(seriesOf(recording, one), window.startS, window.endS)) > COOLING_C_PER_MIN,
      );
      if (cooling) return [];
      return [
        {
          id: 'egt-order',
          level: 'fault',
          channel: role,
          startS: window.startS,
          endS: window.endS,
          evidence: { readC: value, towardsEngineC: before, limitC: limit },
          text: say('findings.in-a-steady-hold-shows', {
            label: roleName(role),
            value,
            label2: roleName(neighbour),
            before,
            limit,
          }),
        },
      ];
    });
  });
};

const RUNNING_RPM = 450;
const PLATEAU_S = 120;
const PLATEAU_C = 1;
const LONG_RUN_S = 600;
/** Coolant this near to the outside air has only begun to warm. */
const JUST_STARTED_C = 10;

const coolantCold: Detector = (context) => {
  const { recording, limits } = context;
  const speed = seriesOf(recording, 'engineSpeed');
  const running = lastRun(speed);
  if (!running) return [];
  const coolant = seriesBetween(seriesOf(recording, 'coolantTemp'), running.startS, running.endS);
  if (coolant.values.length < FEW) return [];
  const ranS = running.endS - running.startS;
  const tail = seriesBetween(coolant, running.endS - PLATEAU_S, running.endS);
  const part = (fromS: number): number | undefined =>
    median(seriesBetween(tail, running.endS - fromS, running.endS - fromS + 20).values);
  const [start, end] = [part(PLATEAU_S), part(20)];
  if (end === undefined || end >= limits.coolantWarmC) return [];
  const plateau = ranS >= PLATEAU_S && start !== undefined && Math.abs(end - start) < PLATEAU_C;
  if (!plateau && ranS <= LONG_RUN_S) return [];
  // A large engine without load warms for half an hour: while it still does, no thermostat is to blame.
  if (start !== undefined && end - start >= PLATEAU_C) return [];
  const outside =
    median(seriesOf(recording, 'ambientTemp').values) ?? median(seriesOf(recording, 'intakeAirTemp').values);
  if (ranS <= LONG_RUN_S && outside !== undefined && end - outside < JUST_STARTED_C) return [];
  const fault = end < limits.coolantRegenMinC;
  const limit = fault ? limits.coolantRegenMinC : limits.coolantWarmC;
  return [
    {
      id: 'coolant-below-regen-temperature',
      level: fault ? 'fault' : 'watch',
      channel: 'coolantTemp',
      startS: running.startS,
      endS: running.endS,
      evidence: { coolantC: end, limitC: limit, ranS },
      text: say('findings.coolant-at-c-after-min', {
        what: plateau ? 'settled' : `is`,
        end,
        ranMin: ranS / 60,
        what2: fault ? say('findings.regeneration-is-inhibited') : say('findings.not-warm-enough-to-judge'),
        limit,
      }),
    },
  ];
};

/** The last stretch in which the engine ran without a stop. */
function lastRun({ timeS, values }: Series): { startS: number; endS: number } | undefined {
  let end = values.length - 1;
  while (end >= 0 && (values[end] as number) < RUNNING_RPM) end--;
  let start = end;
  while (start > 0 && (values[start - 1] as number) >= RUNNING_RPM) start--;
  return end < 0 ? undefined : { startS: timeS[start] as number, endS: timeS[end] as number };
}

/** A dip below the limit this short does not end a regeneration. */
const REGEN_GAP_S = 20;

const regeneration: Detector = (context) => {
  const { recording, limits } = context;
  const { timeS, values } = seriesOf(recording, 'egt3');
  if (isOpen(context, 'egt3')) return [];
  const events: { startS: number; endS: number; peakC: number }[] = [];
  for (let i = 0; i < values.length; i++) {
    const value = values[i] as number;
    if (value <= limits.regenEgt3C) continue;
    const t = timeS[i] as number;
    const last = events.at(-1);
    if (last && t - last.endS <= REGEN_GAP_S) {
      last.endS = t;
      last.peakC = Math.max(last.peakC, value);
    } else events.push({ startS: t, endS: t, peakC: value });
  }
  return events
    .filter(({ startS, endS }) => endS - startS > limits.regenMinS)
    .map(({ startS, endS, peakC }): Finding => {
      const soot = seriesOf(recording, 'sootMass');
      const before = median(seriesBetween(soot, startS - 60, startS).values);
      const after = median(seriesBetween(soot, endS, endS + 60).values);
      const counted =
        before === undefined || after === undefined
          ? ''
          : say('findings.the-soot-value-goes', { before, after });
      return {
        id: 'regen-event',
        level: 'info',
        channel: 'egt3',
        startS,
        endS,
        evidence: {
          durationS: endS - startS,
          peakC,
          limitC: limits.regenEgt3C,
          limitS: limits.regenMinS,
          ...(before === undefined ? {} : { sootBeforeG: before }),
          ...(after === undefined ? {} : { sootAfterG: after }),
        },
        text: say('findings.a-regeneration-before-the-filter', {
          regenEgt3C: limits.regenEgt3C,
          lastedMin: (endS - startS) / 60,
          peakC,
          counted,
        }),
      };
    });
};

export const TEMPERATURES: readonly Detector[] = [
  open,
  stuck,
  coldMismatch,
  order,
  coolantCold,
  regeneration,
];
