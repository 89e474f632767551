import { say, type Said } from '../words/index.ts';
import { bedLimits } from '../burn/index.ts';
import type { FilterMaterial } from '../filter/index.ts';
import type { Limits } from '../limits/index.ts';
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
  readonly label: Said;
  readonly state: 'kept' | 'near' | 'broken' | 'not-read';
  /** Now, and what it is judged by; with units. */
  readonly value: Said;
  readonly limit: Said;
  /** Why it matters and what is to be done. */
  readonly reason: Said;
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

/** A slope over less is noise of the sensor, over more it comes too late, s. */
const RATE_WINDOW_S = 12;

interface Now {
  readonly phase: BurnPhase;
  readonly bedC: number | undefined;
}

export function rulesOf(moments: readonly BurnMoment[], watch: BurnWatch, { phase, bedC }: Now): BurnRule[] {
  const { limits, material, estimate, seen, stoppedAtS } = watch;
  const now = moments.at(-1);
  const nowS = now?.atS ?? 0;
  const dosing = stoppedAtS === undefined;
  const bedLimitC = bedLimits(limits, material).peakC;
  const rule = (
    id: BurnRule['id'],
    label: Said,
    state: BurnRule['state'],
    value: Said,
    limit: Said,
    reason: Said,
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
      say('treatment.flames-outside-or-an-oil'),
      seen?.fire ? 'broken' : 'kept',
      seen?.fire ? 'seen' : say('treatment.none-seen'),
      'none',
      say('treatment.it-has-its-own-rule'),
      'leave',
    ),
    rule(
      'oil-smoke',
      say('treatment.blue-smoke-oil'),
      seen?.oilSmoke ? 'broken' : 'kept',
      seen?.oilSmoke ? 'seen' : say('treatment.none-seen'),
      'none',
      say('treatment.oil-feeds-the-fire'),
    ),
    rule(
      'bed',
      say('treatment.hottest-bed'),
      against(bedC, bedLimitC, (limits.bedNearPercent / 100) * bedLimitC),
      say('treatment.degrees', { celsius: bedC }),
      say('treatment.at-most-c', { bedLimitC }),
      say('treatment.from-the-burn-model'),
    ),
    rule(
      'egt-rate',
      say('treatment.rise-after-the-filter'),
      rate === undefined
        ? 'not-read'
        : against((now?.egt4C ?? 0) > limits.egtRateFromC ? rate : 0, limits.egtRateCPerS),
      rate === undefined ? say('treatment.not-read') : say('treatment.rate', { cPerS: rate }),
      say('treatment.at-most-c-s-over', {
        egtRateCPerS: limits.egtRateCPerS,
        egtRateFromC: limits.egtRateFromC,
      }),
      say('treatment.a-runaway-bed-heats-faster'),
    ),
    rule(
      'inlet',
      say('treatment.gas-before-the-filter'),
      against(now?.egt3C, limits.inletMostC),
      say('treatment.degrees', { celsius: now?.egt3C }),
      say('treatment.at-most-c-2', { inletMostC: limits.inletMostC }),
      say('treatment.above-target-means-a-dosing'),
    ),
    rule(
      'flow',
      say('treatment.flow-through-the-hot-bed'),
      flow === undefined
        ? 'not-read'
        : hot && (phase !== 'heating' || (bedC ?? 0) > limits.cooledBedC)
          ? flow.percent < limits.flowKeptPercent
            ? 'broken'
            : 'kept'
          : 'kept',
      flow === undefined ? say('treatment.not-read') : flow.text,
      say('treatment.at-least-of-the-highest', {
        flowKeptPercent: limits.flowKeptPercent,
        cooledBedC: limits.cooledBedC,
      }),
      estimate
        ? say('treatment.the-gas-carries-the-heat', { dropNowC: estimate.dropNowC })
        : say('treatment.the-gas-carries-the-heat-away'),
      'flow-up',
    ),
    rule(
      'catalyst',
      say('treatment.heat-from-the-catalyst'),
      rise === undefined || !dosing ? 'not-read' : rise < limits.catalystRiseC ? 'broken' : 'kept',
      rise === undefined ? say('treatment.not-read') : say('treatment.rise', { riseC: rise }),
      say('treatment.at-least-c', { catalystRiseC: limits.catalystRiseC }),
      say('treatment.fuel-that-does-not-burn'),
    ),
    rule(
      'no-heat',
      say('treatment.time-to-heat-up'),
      phase === 'heating' && now?.egt3C !== undefined
        ? against(nowS, 60 * limits.heatedWithinMin)
        : now?.egt3C === undefined
          ? 'not-read'
          : 'kept',
      phase === 'heating' ? say('treatment.after', { egt3C: now?.egt3C, nowS }) : 'hot',
      say('treatment.c-within-min', {
        regenEgt3C: limits.regenEgt3C,
        heatedWithinMin: limits.heatedWithinMin,
      }),
      say('treatment.fuel-that-does-not-heat'),
    ),
    rule(
      'coolant',
      'Coolant',
      against(now?.coolantC, limits.coolantMostC),
      say('treatment.degrees', { celsius: now?.coolantC }),
      say('treatment.at-most-c-3', { coolantMostC: limits.coolantMostC }),
      say('treatment.long-holds-with-little-wind'),
    ),
    rule(
      'soot',
      say('treatment.soot-falling'),
      burnt === undefined
        ? 'not-read'
        : dosing && hotS > 60 * limits.sootFallsWithinMin && !burnt.fell
          ? 'broken'
          : 'kept',
      burnt === undefined ? say('treatment.not-read') : burnt.text,
      say('treatment.less-after-min-over-c', {
        sootFallsWithinMin: limits.sootFallsWithinMin,
        regenEgt3C: limits.regenEgt3C,
      }),
      say('treatment.if-nothing-burns'),
    ),
    rule(
      'too-long',
      say('treatment.length-of-this-regeneration'),
      dosing ? against(nowS, 60 * limits.burnLongestMin) : 'kept',
      say('treatment.minutes', { seconds: stoppedAtS ?? nowS }),
      say('treatment.at-most-min', { burnLongestMin: limits.burnLongestMin }),
      say('treatment.stop-inspect-then-run-again'),
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
  readonly text: Said;
}

/** Flow now as a share of the highest in this burn: by air mass, else by revs. */
function flowOf(moments: readonly BurnMoment[]): Flow | undefined {
  const last = moments.at(-1);
  const share = (
    read: (moment: BurnMoment) => number | undefined,
    of: 'treatment.air-now' | 'treatment.revs-now',
  ): Flow | undefined => {
    const value = last && read(last);
    if (value === undefined) return undefined;
    const most = usualHighest(moments.flatMap((moment) => read(moment) ?? []));
    if (most <= 0) return undefined;
    return {
      percent: (100 * value) / most,
      text: say(of, { value, percent: (100 * value) / most }),
    };
  };
  return (
    share(({ airGPerS }) => airGPerS, 'treatment.air-now') ?? share(({ rpm }) => rpm, 'treatment.revs-now')
  );
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
): { fell: boolean; text: Said } | undefined {
  const counted = moments.filter(({ sootG }) => sootG !== undefined);
  const [first, last] = [counted[0]?.sootG, counted.at(-1)?.sootG];
  if (first === undefined || last === undefined)
    return estimate
      ? { fell: true, text: say('treatment.g-by-the-model', { sootG: estimate.sootG }) }
      : undefined;
  return {
    fell: last < first - COUNTER_STEP_G,
    text: say('treatment.g-by-the-counter', {
      first,
      last,
      modelG: estimate?.sootG,
    }),
  };
}
