import type { Bed } from './bed.ts';
import type { BurnSeries } from './burnSeries.ts';
import type { Kinetics } from './kinetics.ts';

/** What a run assumes beyond its scenario, for tests of the method and for batches of doubtful runs. */
export interface BurnAssumptions {
  readonly kinetics: Kinetics;
  readonly sootHeatJPerKg: number;
  readonly bed: Bed;
}

export interface BurnOptions {
  /** Changes what the limits profile and the filter say. */
  readonly change?: (assumptions: BurnAssumptions) => BurnAssumptions;
  /** Longest step, s. Shorter ones are chosen by themselves where it gets hot. */
  readonly maxStepS?: number;
  /** How often a cell may be divided where a front is thin; fewer where only a limit well below is asked for. */
  readonly mostFiner?: number;
  /** Makes every step shorter by this factor, for the test that the answer does not depend on it. */
  readonly stepScale?: number;
  /** Points of the series over the whole time. */
  readonly points?: number;
  /**
   * Ends a run before its time: where all but a thousandth of the soot is gone and the hottest is past, or, where only the
   * peak is asked for, where the bed cools and the soot gives next to nothing to it.
   */
  readonly until?: 'burnt' | 'cooling';
  /** Keeps the temperature of every cell at each point. */
  readonly keepBed?: boolean;
}

export interface EnergyBalance {
  /** Heat of the gas that came in and went out, above ambient, J. */
  readonly inJ: number;
  readonly outJ: number;
  readonly reactionJ: number;
  /** What the bed holds more than at the beginning, J. */
  readonly storedJ: number;
  readonly lossJ: number;
  /** (in + reaction − out − stored − loss) over what was moved. */
  readonly residualFraction: number;
}

export interface BurnRun {
  readonly sootLeftG: number;
  readonly peakBedC: number;
  readonly peakAtS: number;
  /** Place of the peak from the inlet face, mm. */
  readonly peakAtMm: number;
  readonly maxGradientCPerCm: number;
  /** From 5 % to 95 % of the soot that burnt in the run, s; 0 where nothing burnt. */
  readonly durationS: number;
  readonly energy: EnergyBalance;
  /** Carbon that left by the gas against soot that is gone, g. */
  readonly soot: { readonly burntG: number; readonly byGasG: number; readonly residualFraction: number };
  readonly series: BurnSeries;
  readonly cells: number;
  /** Of the brick, mm. */
  readonly lengthMm: number;
}
