import { say } from '../words/index.ts';
import { filterVolumeL } from '../filter/index.ts';
import type { Limits } from '../limits/index.ts';
import { failed, success, type Result } from '../quantities/index.ts';
import { bedLimits } from './bed.ts';
import { simulateBranching, simulateBurn } from './burnModel.ts';
import type { BurnOptions, BurnRun } from './burnRun.ts';
import { plannedBurn, type BurnPlan } from './plannedBurn.ts';
import { MOST_SOOT_G_PER_L, ProfileReader, type BurnScenario, type InletPoint } from './scenario.ts';

/** The exhaust of an engine that has dropped to idle. */
export interface IdleExhaust {
  readonly kgPerS: number;
  readonly oxygenPercent: number;
  readonly inletC: number;
}

/** Air of an idling diesel per litre of displacement: 800 rpm, three quarters filled. */
const IDLE_KG_PER_S_L = 0.006;

/** Idle of an engine of this size, without load and throttle. */
export const idleExhaust = (displacementL: number): IdleExhaust => ({
  kgPerS: IDLE_KG_PER_S_L * displacementL,
  oxygenPercent: 18,
  inletC: 200,
});

/** The foot leaves the pedal in a second or two; what stands before the filter gives its heat away over minutes. */
const FALL_S = 2;
const LINE_COOLS_S = 150;
const AFTER_S = 420;

/** The scenario in which the engine drops to idle at a moment of it, and stays there. */
export function withDropToIdle(scenario: BurnScenario, atS: number, idle: IdleExhaust): BurnScenario {
  const { celsius, kgPerS, oxygen, no2 } = new ProfileReader(scenario.profile).read(atS);
  const at = (afterS: number, inletC: number): InletPoint => ({
    atS: atS + afterS,
    inletC,
    exhaustKgPerS: Math.min(idle.kgPerS, kgPerS),
    oxygenPercent: Math.max(idle.oxygenPercent, oxygen * 100),
    no2Ppm: no2 * 1e6,
  });
  return {
    ...scenario,
    profile: [
      ...scenario.profile.filter((point) => point.atS < atS),
      { atS, inletC: celsius, exhaustKgPerS: kgPerS, oxygenPercent: oxygen * 100, no2Ppm: no2 * 1e6 },
      at(FALL_S, celsius),
      at(LINE_COOLS_S, Math.min(celsius, idle.inletC + 0.25 * (celsius - idle.inletC))),
      at(AFTER_S, Math.min(celsius, idle.inletC)),
    ],
    endS: atS + AFTER_S,
  };
}

/** Shares of the soot after which the drop is tried: just after ignition is the worst in most beds, not in all. */
const TRIED_SHARES = [0.03, 0.08, 0.15, 0.25, 0.4] as const;

export interface WorstDrop {
  /** The burn that goes as planned. */
  readonly planned: BurnRun;
  /** The drop that gets hottest; the planned one where nothing burns. */
  readonly worst: BurnRun;
  readonly atS: number;
}

interface TriedDrops {
  readonly planned: BurnRun;
  /** The one that gets hottest, run until it cools; none where nothing burns. */
  readonly worst?: { readonly scenario: BurnScenario; readonly atS: number; readonly run: BurnRun };
}

/** A front that is too thin for the cells shows a peak too low by up to this over their number, °C: which drop is the worst is open within it. */
const OPEN_C = 1200;

/** The planned burn, and which of the drops after ignition gets hottest; the first one found above `enoughC` will do. */
function tryDrops(
  scenario: BurnScenario,
  idle: IdleExhaust,
  limits: Limits,
  options: BurnOptions,
  enoughC = Number.POSITIVE_INFINITY,
): Result<TriedDrops> {
  const tried = simulateBranching(scenario, limits, options, {
    shares: TRIED_SHARES,
    to: (atS) => withDropToIdle(scenario, atS, idle),
    until: 'cooling',
  });
  if (!tried.ok) return tried;
  const { run: planned, branches } = tried.value;
  const byPeak = branches.toSorted((a, b) => b.run.peakBedC - a.run.peakBedC);
  const openFromC = (byPeak[0]?.run.peakBedC ?? 0) - OPEN_C / planned.cells;
  let worst: TriedDrops['worst'];
  for (const { run, coarse, ...drop } of byPeak) {
    if (run.peakBedC < openFromC || (worst?.run.peakBedC ?? 0) > enoughC) break;
    const fine = coarse
      ? simulateBurn(drop.scenario, limits, { ...options, until: 'cooling' })
      : success(run);
    if (!fine.ok) return fine;
    if (fine.value.peakBedC > (worst?.run.peakBedC ?? 0)) worst = { ...drop, run: fine.value };
  }
  return success({ planned, ...(worst ? { worst } : {}) });
}

/**
 * The planned burn (to the end of its soot where `options` say so), and the same with the drop to idle at the worst of several moments
 * after ignition, on cells as fine as `options` let them be.
 */
export function worstDropToIdle(
  scenario: BurnScenario,
  idle: IdleExhaust,
  limits: Limits,
  options: BurnOptions = {},
): Result<WorstDrop> {
  const tried = tryDrops(scenario, idle, limits, options);
  if (!tried.ok) return tried;
  const { planned, worst } = tried.value;
  if (!worst || worst.run.peakBedC <= planned.peakBedC)
    return success({ planned, worst: planned, atS: scenario.endS });
  if (options.until) return success({ planned, worst: worst.run, atS: worst.atS });
  const whole = simulateBurn(worst.scenario, limits, options);
  return whole.ok ? success({ planned, worst: whole.value, atS: worst.atS }) : whole;
}

export interface DropPeak {
  /** The burn that goes as planned. */
  readonly planned: BurnRun;
  /** The hottest that the worst drop to idle gets, °C; the planned peak where no drop gets hotter. */
  readonly peakC: number;
}

/** As `worstDropToIdle` where only the peak is asked for; above `enoughC` it need not be that of the worst. */
export function worstDropPeak(
  scenario: BurnScenario,
  idle: IdleExhaust,
  limits: Limits,
  options: BurnOptions,
  enoughC?: number,
): Result<DropPeak> {
  const tried = tryDrops(scenario, idle, limits, options, enoughC);
  if (!tried.ok) return tried;
  const { planned, worst } = tried.value;
  return success({ planned, peakC: Math.max(planned.peakBedC, worst?.run.peakBedC ?? 0) });
}

export interface SafeSoot {
  readonly gPerL: number;
  readonly grams: number;
  /** Bed limit that the drop to idle just keeps, °C. */
  readonly limitC: number;
  /** Whether the search ended at the most that the model covers, so that the truth may lie above. */
  readonly capped: boolean;
}

const SEARCH_G_PER_L = 0.05;
/** What lies far over the limit need not be known exactly there. */
const SEARCH_FINER = 2;

/**
 * The most soot with which the worst drop to idle stays under the bed limit, by halving: a bed with more soot
 * gets hotter (a property that the tests check). The planned soot is left aside.
 */
export function safeSootLimit(plan: BurnPlan, idle: IdleExhaust, limits: Limits): Result<SafeSoot> {
  const limitC = bedLimits(limits, plan.filter.material).peakC;
  const volumeL = filterVolumeL(plan.filter);
  const peakAt = (gPerL: number): Result<number> => {
    const scenario = plannedBurn({ ...plan, sootG: gPerL * volumeL });
    const options: BurnOptions = { mostFiner: SEARCH_FINER, until: 'burnt' };
    const drop = worstDropPeak(scenario, idle, limits, options, limitC);
    return drop.ok ? success(drop.value.peakC) : drop;
  };
  const bare = peakAt(0);
  if (!bare.ok) return bare;
  if (bare.value > limitC)
    return failed({
      code: 'impossible',
      field: say('burn.the-target'),
      requirement: say('burn.brings-the-bed-above', { limitC }),
      value: plan.targetC,
    });
  let low = 0;
  let high = MOST_SOOT_G_PER_L;
  while (high - low > SEARCH_G_PER_L) {
    const middle = (low + high) / 2;
    const peak = peakAt(middle);
    if (!peak.ok) return peak;
    if (peak.value > limitC) high = middle;
    else low = middle;
  }
  return success({ gPerL: low, grams: low * volumeL, limitC, capped: high === MOST_SOOT_G_PER_L });
}
