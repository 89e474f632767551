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
    const { maxStepS = MOST_STEP_S, stepScale = 1, points = 300, until } = this.#options;
    const bed = this.#bed;
    const n = bed.cells;
    const cellM = this.#assumptions.bed.lengthM / n;
    const mostFlow = profile.reduce((most, { exhaustKgPerS }) => Math.max(most, exhaustKgPerS), 0);
    const longest = Math.min(maxStepS, OF_STABLE_STEP * bed.stableS(mostFlow)) * stepScale;
    const series = new SeriesWriter(
      this.#timeS,
      endS,
      points,
      this.#options.keepBed ? n / this.#finer : 0,
      this.#finer,
    );
    const startJ = bed.heatJ();
    const startKg = bed.sootKg();
    const { flux } = bed;
    const sum = { inJ: 0, outJ: 0, reactionJ: 0, lossJ: 0, gasKg: 0 };
    const count = (seconds: number): void => {
      sum.inJ += seconds * flux.inW;
      sum.outJ += seconds * flux.outW;
      sum.reactionJ += seconds * flux.reactionW;
      sum.lossJ += seconds * flux.lossW;
      sum.gasKg += seconds * flux.gasKgPerS;
    };
    let peakBedC = Number.NEGATIVE_INFINITY;
    let peakAtS = 0;
    let peakCell = 0;
    let mostReactionW = 0;
    let timeS = this.#timeS;
    const { celsius } = bed;
    bed.slopesNow(this.#profile.read(timeS));
    for (;;) {
      const hottest = bed.lookForHottest();
      const hottestC = celsius[hottest] as number;
      if (hottestC > peakBedC) {
        peakBedC = hottestC;
        peakAtS = timeS;
        peakCell = hottest;
      }
      if (series.isDue(timeS))
        series.write(
          timeS,
          bed.sootKg() * 1000,
          this.#profile.inlet.celsius,
          flux.outletC,
          hottestC,
          celsius,
        );
      if (timeS >= endS - 1e-9) break;
      if (flux.reactionW > mostReactionW) mostReactionW = flux.reactionW;
      if (until && this.#hottestInletC(timeS) <= peakBedC) {
        if (bed.sootKg() < BURNT_SHARE * startKg) break;
        const spent = flux.reactionW < SPENT_SHARE * mostReactionW;
        if (until === 'cooling' && spent && hottestC < peakBedC - COOLER_C) break;
      }

      const stepS = Math.min(
        longest,
        (stepScale * MOST_RISE_C) / Math.max(flux.risePerS, 1e-9),
        (stepScale * MOST_SHARE) / Math.max(flux.sharePerS, 1e-9),
        this.#profile.nextCorner(timeS) - timeS,
        series.nextS(timeS) - timeS,
        endS - timeS,
      );
      const half = stepS / 2;
      count(half);
      bed.tryStep(stepS);
      bed.slopesTried(this.#profile.read(timeS + stepS));
      count(half);
      bed.takeStep(stepS);
      bed.conduct(stepS);
      timeS += stepS;
      bed.slopesNow(this.#profile.read(timeS));
    }
    this.#timeS = timeS;
    const storedJ = bed.heatJ() - startJ;
    const moved = Math.max(Math.abs(sum.inJ), Math.abs(sum.outJ), 1) + sum.reactionJ;
    const leftKg = bed.sootKg();
    const burntG = 1000 * (startKg - leftKg);
    const done = series.done();
    return {
      sootLeftG: 1000 * leftKg,
      peakBedC,
      peakAtS,
      peakAtMm: 1000 * cellM * (peakCell + 0.5),
      maxGradientCPerCm: bed.widestJumpC / (cellM * 100),
      durationS: burnDuration(done, burntG),
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
      series: done,
      cells: n / this.#finer,
      lengthMm: this.#scenario.filter.lengthMm,
    };
  }

  /** Of the gas that is still to come, °C. */
  #hottestInletC(timeS: number): number {
    let hottest = this.#profile.inlet.celsius;
    for (const { atS, inletC } of this.#scenario.profile)
      if (atS > timeS && inletC > hottest) hottest = inletC;
    return hottest;
  }
}
