import { describeFailure, asSentence, type Said } from '@white-ember/core/words';
import { expose } from 'comlink';
import {
  burnBatch,
  idleExhaust,
  judgeBurn,
  plannedBurn,
  safeSootLimit,
  simulateBurn,
  USUAL_DOUBTS,
  withDropToIdle,
  type BurnBatch,
  type BurnPlan,
  type BurnRun,
  type JudgedBurn,
  type SafeSoot,
} from '@white-ember/core/burn';
import { dropToIdle, type Answer, type Settings } from '@white-ember/core/learn';
import type { Limits } from '@white-ember/core/limits';
import { type Result } from '@white-ember/core/quantities';
import {
  estimateBed,
  forecastBurn,
  type BurnForecast,
  type BurnMoment,
  type JobBurn,
  type RunEstimate,
} from '@white-ember/core/treatment';

/** A burn that goes as planned, or one in which the engine drops to idle at a moment of it. */
export interface BurnWish {
  readonly plan: BurnPlan;
  /** Drops to idle at so many seconds, with the idle of an engine of this size. */
  readonly drop?: { readonly atS: number; readonly displacementL: number };
  readonly limits: Limits;
}

export type Told<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly text: Said };

const told = <T>(result: Result<T>): Told<T> =>
  result.ok ? result : { ok: false, text: asSentence(describeFailure(result.failure)) };

const scenarioOf = ({ plan, drop }: BurnWish): ReturnType<typeof plannedBurn> => {
  const planned = plannedBurn(plan);
  return drop ? withDropToIdle(planned, drop.atS, idleExhaust(drop.displacementL)) : planned;
};

/** The page is heard between runs: at least as often as this. */
const BREATH_MS = 80;
let batchWanted = 0;

/** Thousands of steps for each burn: away from the main thread. */
const worker = {
  /** The page that shows what a drop to idle does. */
  learn: (settings: Settings): Answer => dropToIdle.answer(settings),
  burn(wish: BurnWish): Told<{ run: BurnRun; judged: JudgedBurn }> {
    const run = told(simulateBurn(scenarioOf(wish), wish.limits, { keepBed: true, mostFiner: 4 }));
    return run.ok
      ? {
          ok: true,
          value: { run: run.value, judged: judgeBurn(run.value, wish.plan.filter.material, wish.limits) },
        }
      : run;
  },

  forecast: (burn: JobBurn, limits: Limits): Told<BurnForecast> => told(forecastBurn(burn, limits)),

  /** Where the bed is after the moments of a burn that goes on. */
  estimate: (moments: readonly BurnMoment[], burn: JobBurn, limits: Limits): Told<RunEstimate> =>
    told(estimateBed(moments, burn, limits)),

  safeSoot: (plan: BurnPlan, displacementL: number, limits: Limits): Told<SafeSoot> =>
    told(safeSootLimit({ ...plan, cells: 30 }, idleExhaust(displacementL), limits)),

  /** Many doubtful runs; tells how far it is, and ends without an answer when another is begun or it is stopped. */
  async batch(
    wish: BurnWish,
    soot: { readonly lowG: number; readonly highG: number },
    runs: number,
    tell: (done: number) => void,
  ): Promise<Told<BurnBatch> | undefined> {
    const mine = ++batchWanted;
    const batch = burnBatch(
      { ...scenarioOf(wish), cells: 30 },
      { ...USUAL_DOUBTS, sootLowG: soot.lowG, sootHighG: soot.highG },
      wish.limits,
      { runs, seed: 1 },
    );
    let breathedMs = performance.now();
    for (;;) {
      const next = batch.next();
      if (next.done) return told(next.value);
      if (performance.now() - breathedMs < BREATH_MS) continue;
      tell(next.value);
      await new Promise((resolve) => setTimeout(resolve, 0));
      if (mine !== batchWanted) return undefined;
      breathedMs = performance.now();
    }
  },

  stopBatch(): void {
    batchWanted += 1;
  },
};

export type BurnWorker = typeof worker;

expose(worker);
