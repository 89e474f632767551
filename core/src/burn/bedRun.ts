import { BedState } from './bedState.ts';
import type { BurnAssumptions, BurnOptions, BurnRun } from './burnRun.ts';
import { burnDuration, SeriesWriter } from './burnSeries.ts';
import { ProfileReader, type BurnScenario } from './scenario.ts';

/** A step changes no cell by more than this, nor takes a larger share of its soot than that. */
const MOST_RISE_C = 6;
const MOST_SHARE = 0.15;
const MOST_STEP_S = 1;
/** Of the soot that a run ends with that is over when it is burnt. */
const BURNT_SHARE = 1e-3;
/** What is this far below its peak, °C, and gives this share of the most heat that it gave, gets no hotter. */
const COOLER_C = 25;
const SPENT_SHARE = 0.1;
/** Of the step at which the explicit method would begin to swing. */
const OF_STABLE_STEP = 0.7;

/** A stretch of time that a bed goes through, and what was seen on it. */
interface Way {
  readonly endS: number;
  readonly stepScale: number;
  readonly longest: number;
  readonly startKg: number;
  readonly series: SeriesWriter;
  peakBedC: number;
  peakAtS: number;
  peakCell: number;
  mostReactionW: number;
}

/** One run through the time of a scenario, and what is counted on the way. */
export class BedRun {
  readonly #scenario: BurnScenario;
  readonly #assumptions: BurnAssumptions;
  readonly #options: BurnOptions;
  /** Cells of the run for each one that was asked for. */
  readonly #finer: number;
  readonly #profile: ProfileReader;
  readonly #bed: BedState;
  #timeS = 0;
  /** Told at each step: the time, s, and the soot that is left, g. True ends the run there. */
  onStep?: (timeS: number, sootG: number) => boolean | void;

  constructor(
    scenario: BurnScenario,
    assumptions: BurnAssumptions,
    options: BurnOptions,
    cells: number,
    finer: number,
  ) {
    this.#scenario = scenario;
    this.#assumptions = assumptions;
    this.#options = options;
    this.#finer = finer;
    this.#profile = new ProfileReader(scenario.profile);
    this.#bed = new BedState(scenario, assumptions, cells * finer);
  }

  /** By how much neighbours differed at most, °C. */
  get widestJumpC(): number {
    return this.#bed.widestJumpC;
  }

  /** The same bed at this moment, on another way from here. */
  branch(scenario: BurnScenario, options: BurnOptions): BedRun {
    const cells = this.#bed.cells / this.#finer;
    const run = new BedRun(scenario, this.#assumptions, options, cells, this.#finer);
    run.#timeS = this.#timeS;
    run.#bed.take(this.#bed);
    return run;
  }

  toEnd(): BurnRun {
    return this.advanceTo(this.#scenario.endS);
  }

  /** Lets the time go on; the answer counts from where it stood. */
  advanceTo(endS: number): BurnRun {
    const { profile } = this.#scenario;
    const { maxStepS = MOST_STEP_S, stepScale = 1, points = 300 } = this.#options;
    const bed = this.#bed;
    const n = bed.cells;
    const mostFlow = profile.reduce((most, { exhaustKgPerS }) => Math.max(most, exhaustKgPerS), 0);
    const startJ = bed.heatJ();
    const startKg = bed.sootKg();
    bed.countAnew();
    bed.slopesNow(this.#profile.read(this.#timeS));
    const way: Way = {
      endS,
      stepScale,
      longest: Math.min(maxStepS, OF_STABLE_STEP * bed.stableS(mostFlow)) * stepScale,
      startKg,
      series: new SeriesWriter(
        this.#timeS,
        endS,
        points,
        this.#options.keepBed ? n / this.#finer : 0,
        this.#finer,
      ),
      peakBedC: Number.NEGATIVE_INFINITY,
      peakAtS: 0,
      peakCell: 0,
      mostReactionW: 0,
    };
    while (!this.#isOver(way)) this.#goOn(way);
    const sum = bed.passed;
    const storedJ = bed.heatJ() - startJ;
    const moved = Math.max(Math.abs(sum.inJ), Math.abs(sum.outJ), 1) + sum.reactionJ;
    const leftKg = bed.sootKg();
    const burntG = 1000 * (startKg - leftKg);
    const series = way.series.done();
    const cellM = this.#assumptions.bed.lengthM / n;
    return {
      sootLeftG: 1000 * leftKg,
      peakBedC: way.peakBedC,
      peakAtS: way.peakAtS,
      peakAtMm: 1000 * cellM * (way.peakCell + 0.5),
      maxGradientCPerCm: bed.widestJumpC / (cellM * 100),
      durationS: burnDuration(series, burntG),
      energy: {
        inJ: sum.inJ,
        outJ: sum.outJ,
        reactionJ: sum.reactionJ,
        storedJ,
        lossJ: sum.lossJ,
        residualFraction: (sum.inJ + sum.reactionJ - sum.outJ - storedJ - sum.lossJ) / moved,
      },
      soot: {
        burntG,
        byGasG: 1000 * sum.gasKg,
        residualFraction: startKg > 0 ? (startKg - leftKg - sum.gasKg) / startKg : 0,
      },
      series,
      cells: n / this.#finer,
      lengthMm: this.#scenario.filter.lengthMm,
    };
  }

  // What is done at every step is a method of its own, which then runs fast from the first seconds of a burn on.

  /** Notes what the bed shows now; whether that is the end of the way. */
  #isOver(way: Way): boolean {
    const bed = this.#bed;
    const timeS = this.#timeS;
    const { series, startKg } = way;
    const hottest = bed.lookForHottest();
    const hottestC = bed.celsius[hottest] as number;
    if (hottestC > way.peakBedC) {
      way.peakBedC = hottestC;
      way.peakAtS = timeS;
      way.peakCell = hottest;
    }
    const { outletC, reactionW } = bed.flux;
    if (series.isDue(timeS))
      series.write(timeS, bed.sootKg() * 1000, this.#profile.inlet.celsius, outletC, hottestC, bed.celsius);
    if (this.onStep?.(timeS, bed.sootKg() * 1000) === true) return true;
    if (timeS >= way.endS - 1e-9) return true;
    if (reactionW > way.mostReactionW) way.mostReactionW = reactionW;
    const { until } = this.#options;
    if (!until || this.#hottestInletC(timeS) > way.peakBedC) return false;
    if (bed.sootKg() < BURNT_SHARE * startKg) return true;
    const spent = reactionW < SPENT_SHARE * way.mostReactionW;
    return until === 'cooling' && spent && hottestC < way.peakBedC - COOLER_C;
  }

  /** One step of Heun's method, as long as the bed allows. */
  #goOn({ longest, stepScale, series, endS }: Way): void {
    const bed = this.#bed;
    const timeS = this.#timeS;
    const stepS = Math.min(
      longest,
      (stepScale * MOST_RISE_C) / Math.max(bed.flux.risePerS, 1e-9),
      (stepScale * MOST_SHARE) / Math.max(bed.flux.sharePerS, 1e-9),
      this.#profile.nextCorner(timeS) - timeS,
      series.nextS(timeS) - timeS,
      endS - timeS,
    );
    const half = stepS / 2;
    bed.count(half);
    bed.tryStep(stepS);
    bed.slopesTried(this.#profile.read(timeS + stepS));
    bed.count(half);
    bed.takeStep(stepS);
    bed.conduct(stepS);
    this.#timeS = timeS + stepS;
    bed.slopesNow(this.#profile.read(this.#timeS));
  }

  /** Of the gas that is still to come, °C. */
  #hottestInletC(timeS: number): number {
    let hottest = this.#profile.inlet.celsius;
    for (const { atS, inletC } of this.#scenario.profile)
      if (atS > timeS && inletC > hottest) hottest = inletC;
    return hottest;
  }
}
