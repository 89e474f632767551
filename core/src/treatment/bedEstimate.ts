import { say } from '../words/index.ts';
import {
  idleExhaust,
  simulateBurn,
  withDropToIdle,
  type BurnRun,
  type BurnScenario,
  type InletPoint,
} from '../burn/index.ts';
import { exhaustMassGPerS } from '../filter/index.ts';
import type { Limits } from '../limits/index.ts';
import { failed, success, type Result } from '../quantities/index.ts';
import type { BedEstimate, BurnMoment } from './burnRules.ts';
import type { JobBurn } from './forecast.ts';

export interface RunEstimate {
  readonly bed: BedEstimate;
  /** The burn from its beginning to now, and as it goes on if nothing changes. */
  readonly run: BurnRun;
  readonly nowS: number;
}

/** How far ahead it is looked, s; and how the model is asked for a live answer. */
const AHEAD_S = 1200;
const POINTS = 240;
/** A sensor’s tip behind the filter follows within this, s. */
const TIP_LAG_S = 90;
const LIVE = { mostFiner: 2, points: POINTS } as const;
/** The model takes so many moments; more of them say nothing more. */
const MOST_POINTS = 400;

/**
 * What the bed is at after the moments of a burn so far, by the burn model with what was really read before the filter, and what
 * would come: if nothing changes, and if the engine dropped to idle now. Where there is no air mass the flow of the plan is
 * taken, by the revs.
 * @returns a failure where nothing was read before the filter
 */
export function estimateBed(
  moments: readonly BurnMoment[],
  { plan, displacementL }: JobBurn,
  limits: Limits,
): Result<RunEstimate> {
  const profile = inletProfile(moments, plan.exhaustKgPerS, plan.oxygenPercent, limits);
  const [first, last] = [profile[0], profile.at(-1)];
  if (!first || !last)
    return failed({
      code: 'not-enough-data',
      field: say('treatment.the-bed'),
      requirement: say('treatment.needs-the-temperature-before'),
    });
  const startC = moments.find(({ egt4C }) => egt4C !== undefined)?.egt4C ?? first.inletC;
  const nowS = last.atS;
  const scenario: BurnScenario = {
    filter: plan.filter,
    catalyst: plan.catalyst,
    sootG: plan.sootG,
    ashG: plan.ashG,
    ambientC: plan.ambientC ?? 20,
    startC: Math.max(-40, Math.min(800, startC)),
    cells: 30,
    profile: [...profile],
    endS: nowS + AHEAD_S,
  };
  const run = simulateBurn(scenario, limits, { ...LIVE, keepBed: true });
  if (!run.ok) return run;
  const drop = simulateBurn(withDropToIdle(scenario, nowS, idleExhaust(displacementL)), limits, LIVE);
  if (!drop.ok) return drop;
  const { timeS, peakC, outletC, sootG } = run.value.series;
  const now = Math.max(
    0,
    timeS.findIndex((time) => time >= nowS - 1e-6),
  );
  const cleanAt = sootG.findIndex((grams, i) => i >= now && grams <= limits.sootAfterCleanG);
  const lately = outletC.filter(
    (_, i) => i <= now && (i === now || (timeS[i] as number) >= nowS - TIP_LAG_S),
  );
  const soFar = peakC.slice(0, now + 1);
  return success({
    run: run.value,
    nowS,
    bed: {
      bedC: peakC[now] as number,
      peakC: Math.max(...soFar),
      peakAtMm: run.value.peakAtMm,
      outletLowC: Math.min(...lately),
      outletHighC: Math.max(...lately),
      sootG: sootG[now] as number,
      ...(cleanAt < 0 ? {} : { cleanInS: Math.max(0, (timeS[cleanAt] as number) - nowS) }),
      dropNowC: Math.max(
        ...drop.value.series.peakC.filter((_, i) => (drop.value.series.timeS[i] as number) >= nowS),
      ),
    },
  });
}

/** What came into the filter, by what was read; thinned where there is much of it. */
function inletProfile(
  moments: readonly BurnMoment[],
  plannedKgPerS: number,
  oxygenPercent: number,
  limits: Limits,
): InletPoint[] {
  const read = moments.filter(({ egt3C }) => egt3C !== undefined);
  const plannedRpm = Math.max(...read.map(({ rpm }) => rpm ?? 0), 1);
  const every = Math.ceil(read.length / MOST_POINTS);
  return read
    .filter((_, i) => i % every === 0 || i === read.length - 1)
    .map(({ atS, egt3C, airGPerS, rpm }) => ({
      atS,
      inletC: Math.min(1000, Math.max(-40, egt3C as number)),
      exhaustKgPerS:
        airGPerS === undefined
          ? plannedKgPerS * Math.min(1, (rpm ?? plannedRpm) / plannedRpm)
          : Math.min(2, exhaustMassGPerS(Math.max(0, airGPerS), limits.airFuelRatioUnloaded) / 1000),
      oxygenPercent,
      no2Ppm: 0,
    }));
}
