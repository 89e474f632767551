import { bedLimits } from '../burn/index.ts';
import type { FilterMaterial } from '../filter/index.ts';
import type { Limits } from '../limits/index.ts';
import type { ChannelRole } from '../readings/index.ts';
import { medianSlope } from '../quantities/index.ts';

/** One moment of a burn, in base units, as far as it was read. */
export interface BurnMoment {
  readonly atS: number;
  readonly rpm?: number;
  readonly kmPerH?: number;
  readonly airGPerS?: number;
  readonly egt1C?: number;
  readonly egt2C?: number;
  readonly egt3C?: number;
  readonly egt4C?: number;
  readonly coolantC?: number;
  readonly sootG?: number;
}

/** The channel that each figure of a moment is read from. */
export const BURN_CHANNELS: readonly (readonly [Exclude<keyof BurnMoment, 'atS'>, ChannelRole])[] = [
  ['rpm', 'engineSpeed'],
  ['kmPerH', 'vehicleSpeed'],
  ['airGPerS', 'massAirFlow'],
  ['egt1C', 'egt1'],
  ['egt2C', 'egt2'],
  ['egt3C', 'egt3'],
  ['egt4C', 'egt4'],
  ['coolantC', 'coolantTemp'],
  ['sootG', 'sootMass'],
];

/** What the burn model makes of the moments so far. */
export interface BedEstimate {
  /** Hottest place of the bed now, and in the burn so far, °C. */
  readonly bedC: number;
  readonly peakC: number;
  /** Place of the peak behind the inlet face, mm. */
  readonly peakAtMm: number;
  /** Behind the filter: lowest and highest of the last minute and a half, as a sensor’s tip takes its time. */
  readonly outletLowC: number;
  readonly outletHighC: number;
  readonly sootG: number;
  /** If all stays as it is: until it is clean, s; absent where it does not get there within the longest burn. */
  readonly cleanInS?: number;
  /** What the bed would come to if the engine dropped to idle now, °C. */
  readonly dropNowC: number;
}

export type BurnPhase = 'heating' | 'burning' | 'cooling' | 'cold';

/** What is to be done where a rule is broken. */
export type BurnAct = 'stop' | 'flow-up' | 'leave';

export interface BurnRule {
  readonly id:
    | 'fire'
    | 'oil-smoke'
    | 'bed'
    | 'egt-rate'
    | 'inlet'
    | 'flow'
    | 'catalyst'
    | 'no-heat'
    | 'coolant'
    | 'soot'
    | 'too-long';
  readonly label: string;
  readonly state: 'kept' | 'near' | 'broken' | 'not-read';
  /** Now, and what it is judged by; with units. */
  readonly value: string;
  readonly limit: string;
  /** Why it matters and what is to be done. */
  readonly reason: string;
  readonly act: BurnAct;
}

export interface BurnWatch {
  readonly limits: Limits;
  readonly material: FilterMaterial;
  readonly estimate?: BedEstimate;
  /** Since when the dosing is off, s; absent while it burns. */
  readonly stoppedAtS?: number;
  /** What a person sees. */
  readonly seen?: { readonly oilSmoke?: boolean; readonly fire?: boolean };
}

export interface BurnState {
  readonly phase: BurnPhase;
  readonly rules: readonly BurnRule[];
  /** The worst rule that is broken. */
  readonly broken?: BurnRule;
  /** Hottest bed by model or sensor, °C; absent where neither is known. */
  readonly bedC?: number;
  /** Model and sensor behind the filter are too far apart to believe the model. */
  readonly doubt?: string;
  /** What to do now, in a sentence. */
  readonly text: string;
}

/** A slope over less is noise of the sensor, over more it comes too late, s. */
const RATE_WINDOW_S = 12;
const minutes = (seconds: number): string => `${(seconds / 60).toFixed(seconds < 600 ? 1 : 0)} min`;
const degrees = (celsius: number | undefined): string =>
  celsius === undefined ? 'not read' : `${celsius.toFixed(0)} °C`;

/**
 * Where a burn stands and whether it may go on: each rule with its value and limit. Dosing is stopped and the flow kept up
 * where one is broken; only a fire has another rule. Nothing is concluded from a channel that is not read.
 */
export function judgeBurnRun(moments: readonly BurnMoment[], watch: BurnWatch): BurnState {
  const { limits, estimate, stoppedAtS } = watch;
  const now = moments.at(-1);
  const sensorC = now?.egt4C;
  const bedC =
    estimate || sensorC !== undefined ? Math.max(estimate?.bedC ?? -60, sensorC ?? -60) : undefined;
  const phase = phaseOf(moments, watch, bedC);
  const rules = rulesOf(moments, watch, { phase, bedC });
  const broken = rules.find(({ state }) => state === 'broken');
  const apart =
    estimate !== undefined &&
    sensorC !== undefined &&
    (sensorC > estimate.outletHighC + limits.modelOffC || sensorC < estimate.outletLowC - limits.modelOffC);
  return {
    phase,
    rules,
    ...(broken ? { broken } : {}),
    ...(bedC === undefined ? {} : { bedC }),
    ...(apart
      ? {
          doubt: `Model: ${estimate.outletLowC.toFixed(0)} to ${estimate.outletHighC.toFixed(0)} °C after the filter; sensor: ${degrees(sensorC)}; over ${limits.modelOffC} °C difference the model is not trusted.`,
        }
      : {}),
    text: broken ? actText(broken) : phaseText(phase, watch, bedC, stoppedAtS, now?.atS ?? 0),
  };
}

function phaseOf(
  moments: readonly BurnMoment[],
  { limits, stoppedAtS }: BurnWatch,
  bedC: number | undefined,
): BurnPhase {
  if (stoppedAtS !== undefined) return bedC !== undefined && bedC <= limits.cooledBedC ? 'cold' : 'cooling';
  const reached = moments.some(({ egt3C }) => egt3C !== undefined && egt3C >= limits.regenEgt3C);
  return reached ? 'burning' : 'heating';
}

function phaseText(
  phase: BurnPhase,
  { limits, estimate }: BurnWatch,
  bedC: number | undefined,
  stoppedAtS: number | undefined,
  nowS: number,
): string {
  switch (phase) {
    case 'heating':
      return `Heating up: soot burns from ${limits.regenEgt3C} °C before the filter.`;
    case 'burning':
      return estimate?.cleanInS === undefined
        ? 'Keep it as it is.'
        : `Clean in about ${minutes(estimate.cleanInS)} at this rate.`;
    case 'cooling':
      return bedC === undefined
        ? `Dosing off for ${minutes(nowS - (stoppedAtS ?? nowS))}. The bed’s temperature is not read: keep the flow up for at least ${limits.clockBurnCoolingMin} min.`
        : `Keep the revs up: bed at ${bedC.toFixed(0)} °C. Do not drop to idle above ${limits.cooledBedC} °C.`;
    case 'cold':
      return `Cooled: the bed is at ${degrees(bedC)}, under ${limits.cooledBedC} °C. Idle a while, then it may be switched off.`;
  }
}

const actText = ({ act, label, value, limit }: BurnRule): string => {
  switch (act) {
    case 'leave':
      return 'Everybody away from the vehicle. Call the emergency services. Use the extinguisher only from a distance, your exit behind you.';
    case 'flow-up':
      return `${label}: ${value}, ${limit}. Get the revs back up now; never idle, never off, until the bed is cool.`;
    case 'stop':
      return `${label}: ${value}, ${limit}. Stop the dosing and keep the flow up until the bed is cool.`;
  }
};

interface Now {
  readonly phase: BurnPhase;
  readonly bedC: number | undefined;
}

function rulesOf(moments: readonly BurnMoment[], watch: BurnWatch, { phase, bedC }: Now): BurnRule[] {
  const { limits, material, estimate, seen, stoppedAtS } = watch;
  const now = moments.at(-1);
  const nowS = now?.atS ?? 0;
  const dosing = stoppedAtS === undefined;
  const bedLimitC = bedLimits(limits, material).peakC;
  const rule = (
    id: BurnRule['id'],
    label: string,
    state: BurnRule['state'],
    value: string,
    limit: string,
    reason: string,
    act: BurnAct = 'stop',
  ): BurnRule => ({ id, label, state, value, limit, reason, act });
  const against = (value: number | undefined, most: number, near = most): BurnRule['state'] =>
    value === undefined ? 'not-read' : value > most ? 'broken' : value >= near ? 'near' : 'kept';

  const rate = rateOf(moments);
  const flow = flowOf(moments);
  const hot = bedC === undefined || bedC > limits.cooledBedC;
  const rise =
    now?.egt2C !== undefined && now.egt3C !== undefined && phase === 'burning'
      ? now.egt3C - now.egt2C
      : undefined;
  const hotS = hotFor(moments, limits);
  const burnt = burntOf(moments, estimate);
  return [
    rule(
      'fire',
      'Flames outside, or an oil-fed fire',
      seen?.fire ? 'broken' : 'kept',
      seen?.fire ? 'seen' : 'none seen',
      'none',
      'It has its own rule: stopping the dosing does not end it. Nobody stays near the vehicle.',
      'leave',
    ),
    rule(
      'oil-smoke',
      'Blue smoke, oil',
      seen?.oilSmoke ? 'broken' : 'kept',
      seen?.oilSmoke ? 'seen' : 'none seen',
      'none',
      'Oil feeds the fire and cannot be switched off.',
    ),
    rule(
      'bed',
      'Hottest bed',
      against(bedC, bedLimitC, (limits.bedNearPercent / 100) * bedLimitC),
      degrees(bedC),
      `at most ${bedLimitC} °C`,
      'From the burn model, or the sensor after the filter if hotter. Above it the brick cracks or melts.',
    ),
    rule(
      'egt-rate',
      'Rise after the filter',
      rate === undefined
        ? 'not-read'
        : against((now?.egt4C ?? 0) > limits.egtRateFromC ? rate : 0, limits.egtRateCPerS),
      rate === undefined ? 'not read' : `${rate.toFixed(1)} °C/s`,
      `at most ${limits.egtRateCPerS} °C/s over ${limits.egtRateFromC} °C`,
      'A runaway bed heats faster than the dosing can.',
    ),
    rule(
      'inlet',
      'Gas before the filter',
      against(now?.egt3C, limits.inletMostC),
      degrees(now?.egt3C),
      `at most ${limits.inletMostC} °C`,
      'Above target means a dosing fault.',
    ),
    rule(
      'flow',
      'Flow through the hot bed',
      flow === undefined
        ? 'not-read'
        : hot && (phase !== 'heating' || (bedC ?? 0) > limits.cooledBedC)
          ? flow.percent < limits.flowKeptPercent
            ? 'broken'
            : 'kept'
          : 'kept',
      flow === undefined ? 'not read' : flow.text,
      `at least ${limits.flowKeptPercent} % of the highest while over ${limits.cooledBedC} °C`,
      estimate
        ? `The gas carries the heat away. Idle now would bring the bed to ${estimate.dropNowC.toFixed(0)} °C.`
        : 'The gas carries the heat away: idle is the dangerous case.',
      'flow-up',
    ),
    rule(
      'catalyst',
      'Heat from the catalyst',
      rise === undefined || !dosing ? 'not-read' : rise < limits.catalystRiseC ? 'broken' : 'kept',
      rise === undefined ? 'not read' : `+${rise.toFixed(0)} °C`,
      `at least +${limits.catalystRiseC} °C`,
      'Fuel that does not burn in the catalyst burns in the filter, or gathers.',
    ),
    rule(
      'no-heat',
      'Time to heat up',
      phase === 'heating' && now?.egt3C !== undefined
        ? against(nowS, 60 * limits.heatedWithinMin)
        : now?.egt3C === undefined
          ? 'not-read'
          : 'kept',
      phase === 'heating' ? `${degrees(now?.egt3C)} after ${minutes(nowS)}` : 'hot',
      `${limits.regenEgt3C} °C within ${limits.heatedWithinMin} min`,
      'Fuel that does not heat gathers in the exhaust or goes into the oil.',
    ),
    rule(
      'coolant',
      'Coolant',
      against(now?.coolantC, limits.coolantMostC),
      degrees(now?.coolantC),
      `at most ${limits.coolantMostC} °C`,
      'Long holds with little wind.',
    ),
    rule(
      'soot',
      'Soot falling',
      burnt === undefined
        ? 'not-read'
        : dosing && hotS > 60 * limits.sootFallsWithinMin && !burnt.fell
          ? 'broken'
          : 'kept',
      burnt === undefined ? 'not read' : burnt.text,
      `less after ${limits.sootFallsWithinMin} min over ${limits.regenEgt3C} °C`,
      'If nothing burns, it is ash, or the counter is wrong.',
    ),
    rule(
      'too-long',
      'Length of this regeneration',
      dosing ? against(nowS, 60 * limits.burnLongestMin) : 'kept',
      minutes(stoppedAtS ?? nowS),
      `at most ${limits.burnLongestMin} min`,
      'Stop, inspect, then run again if needed.',
    ),
  ];
}

/** How fast the gas behind the filter warms, °C/s, by Theil and Sen over the last seconds; a single jump does not count. */
function rateOf(moments: readonly BurnMoment[]): number | undefined {
  const last = moments.at(-1);
  if (last?.egt4C === undefined) return undefined;
  const recent = moments.filter(({ atS, egt4C }) => egt4C !== undefined && atS >= last.atS - RATE_WINDOW_S);
  if (recent.length < 3) return undefined;
  return medianSlope(
    recent.map(({ atS }) => atS),
    recent.map(({ egt4C }) => egt4C as number),
  );
}

interface Flow {
  readonly percent: number;
  readonly text: string;
}

/** Flow now as a share of the highest in this burn: by air mass, else by revs. */
function flowOf(moments: readonly BurnMoment[]): Flow | undefined {
  const last = moments.at(-1);
  const share = (read: (moment: BurnMoment) => number | undefined, unit: string): Flow | undefined => {
    const value = last && read(last);
    if (value === undefined) return undefined;
    const most = usualHighest(moments.flatMap((moment) => read(moment) ?? []));
    if (most <= 0) return undefined;
    return {
      percent: (100 * value) / most,
      text: `${value.toFixed(0)} ${unit}, ${((100 * value) / most).toFixed(0)} %`,
    };
  };
  return share(({ airGPerS }) => airGPerS, 'g/s of air') ?? share(({ rpm }) => rpm, 'rpm');
}

/** The value that a third of the burn was held at or above: a snap of the pedal does not set it. */
function usualHighest(values: readonly number[]): number {
  const sorted = values.toSorted((a, b) => b - a);
  return sorted[Math.floor(sorted.length / 3)] ?? 0;
}

/** For how long the gas before the filter has been hot enough to burn soot, s. */
function hotFor(moments: readonly BurnMoment[], { regenEgt3C }: Limits): number {
  let hot = 0;
  for (let i = 1; i < moments.length; i++) {
    const [before, moment] = [moments[i - 1] as BurnMoment, moments[i] as BurnMoment];
    if ((before.egt3C ?? 0) >= regenEgt3C && (moment.egt3C ?? 0) >= regenEgt3C)
      hot += moment.atS - before.atS;
  }
  return hot;
}

/** Steps of a counter that are no fall, g. */
const COUNTER_STEP_G = 0.3;

function burntOf(
  moments: readonly BurnMoment[],
  estimate: BedEstimate | undefined,
): { fell: boolean; text: string } | undefined {
  const counted = moments.filter(({ sootG }) => sootG !== undefined);
  const [first, last] = [counted[0]?.sootG, counted.at(-1)?.sootG];
  if (first === undefined || last === undefined)
    return estimate ? { fell: true, text: `${estimate.sootG.toFixed(1)} g by the model` } : undefined;
  return {
    fell: last < first - COUNTER_STEP_G,
    text: `${first.toFixed(1)} → ${last.toFixed(1)} g by the counter${estimate ? `, ${estimate.sootG.toFixed(1)} g by the model` : ''}`,
  };
}
