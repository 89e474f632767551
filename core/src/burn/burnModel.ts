import type { Limits } from '../limits/index.ts';
import { failed, kelvin, success, type Failure, type Result } from '../quantities/index.ts';
import { bedOf, EXHAUST_HEAT_J_PER_KG_K, type Bed } from './bed.ts';
import { kineticsOf, type Kinetics } from './kinetics.ts';
import { burnDuration, SeriesWriter, type BurnSeries } from './burnSeries.ts';
import { burnScenarioSchema, ProfileReader, type BurnScenario, type Inlet } from './scenario.ts';

export const DEFAULT_CELLS = 60;

/** Molar mass of exhaust and of carbon, kg/mol. */
const EXHAUST_KG_PER_MOL = 0.0288;
const CARBON_KG_PER_MOL = 0.012;
/** C + O2 → CO2 and C + 2 NO2 → CO2 + 2 NO. */
const O2_PER_CARBON = 1;
const NO2_PER_CARBON = 2;

/** Below this soot does not burn in any time that matters; saves the exponentials of a cold bed. */
const NOTHING_BURNS_BELOW_C = 150;
/** A step changes no cell by more than this, nor takes a larger share of its soot than that. */
const MOST_RISE_C = 6;
const MOST_SHARE = 0.15;
const MOST_STEP_S = 1;
/** Where neighbours differ by more than this a front is too thin for the grid, and the run begins again with a finer one. */
const COARSE_JUMP_C = 30;
/** No brick outlives this: a finer grid would only say more exactly how dead it is. */
const MOLTEN_C = 1500;
const MOST_FINER = 8;
const MOST_CELLS = 960;
/** Of the step at which the explicit method would begin to swing. */
const OF_STABLE_STEP = 0.7;
const FLOWLESS_KG_PER_S = 1e-6;

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

/** First thing wrong with a scenario as a described failure. */
export function checkScenario(scenario: unknown): Result<BurnScenario> {
  const parsed = burnScenarioSchema.safeParse(scenario);
  if (parsed.success) return success(parsed.data);
  const issue = parsed.error.issues[0];
  return failed({
    code: 'out-of-range',
    field: issue && issue.path.length > 0 ? issue.path.join('.') : 'The scenario',
    requirement: `is not fit — ${issue?.message ?? ''}`,
  } satisfies Failure);
}

/**
 * One-dimensional burn of a loaded filter: the gas goes through the brick from front to back, exchanges heat with the
 * wall and gives its oxygen and nitrogen dioxide to the soot.
 *
 * Solid:  (C_wall + C_ash)/L·∂T_s/∂t = k·A·∂²T_s/∂x² + (h·S/L)·(T_g − T_s) + H·r − (U/L)·(T_s − T_ambient)
 * Gas, quasi-steady:  ṁ·c_g·∂T_g/∂x = (h·S/L)·(T_s − T_g)
 * Soot:   ∂m/∂t = −r = −m·(k_O2·y_O2 + k_NO2·y_NO2)
 * Oxygen: (ṁ/M_g)·∂y_O2/∂x = −(m/M_C)·k_O2·y_O2, NO2 twice as much per carbon
 *
 * Where the wall's temperature goes in a straight line through a cell (van Leer's limited slope) the gas equations have
 * exponentials as their exact answer: what the gas gives is what the cell gets, so energy and carbon balance but for
 * rounding. Time goes by Heun's method, conduction implicitly, with steps that are shortened where the bed moves; where a
 * front gets too thin for the cells, the run is made with finer ones. With k = U = 0 and no soot it is Schumann's packed bed (J. Franklin Inst. 208 (1929)
 * 405); with H = 0, even temperature and plenty of gas m = m₀·exp(−k·y·t).
 *
 * More soot makes the bed hotter, and so does more oxygen while there is enough of it; where a front takes all of it,
 * more may hurry the front away from its heat, and the peak falls by some per cent, as in other packed beds.
 * Without flow nothing burns: the oxygen that stands in the pores is worth some 0.1 g of soot.
 * Units: g, °C, kg/s, %, ppm, s. Valid to 25 g/L of soot; kinetics and wall properties are assumptions of the profile.
 */
export function simulateBurn(
  given: BurnScenario,
  limits: Limits,
  options: BurnOptions = {},
): Result<BurnRun> {
  const checked = checkScenario(given);
  if (!checked.ok) return checked;
  const scenario = checked.value;
  const bed = bedOf(scenario.filter, scenario.filter.material, scenario.ashG);
  if (!bed.ok) return bed;
  const assumed: BurnAssumptions = {
    kinetics: kineticsOf(limits, scenario.catalyst),
    sootHeatJPerKg: limits.sootHeatMJPerKg * 1e6,
    bed: bed.value,
  };
  const assumptions = options.change?.(assumed) ?? assumed;
  const cells = scenario.cells ?? DEFAULT_CELLS;
  for (let finer = 1; ; finer *= 2) {
    const last = 2 * finer > (options.mostFiner ?? MOST_FINER) || 2 * finer * cells > MOST_CELLS;
    const run = new Run(scenario, assumptions, options, cells, finer);
    const burn = run.toEnd();
    if (last || run.widestJumpC <= COARSE_JUMP_C || burn.peakBedC > MOLTEN_C) return success(burn);
  }
}

/** One run: the state of the bed and what was counted on the way. */
class Run {
  readonly #scenario: BurnScenario;
  readonly #options: BurnOptions;
  readonly #n: number;
  /** Cells of the run for each one that was asked for. */
  readonly #finer: number;
  readonly #cellM: number;
  readonly #profile: ProfileReader;
  readonly #bareA: number;
  readonly #bareE: number;
  readonly #helpedA: number;
  readonly #helpedE: number;
  readonly #no2A: number;
  readonly #no2E: number;
  readonly #sootHeat: number;
  readonly #transfer: number;
  readonly #conduction: number;
  readonly #loss: number;
  readonly #capacity: Float64Array;
  readonly #celsius: Float64Array;
  readonly #soot: Float64Array;
  /** Trial state and the two slopes of Heun's method. */
  readonly #celsius1: Float64Array;
  readonly #soot1: Float64Array;
  readonly #slopeC: Float64Array;
  readonly #slopeC1: Float64Array;
  readonly #slopeKg: Float64Array;
  readonly #slopeKg1: Float64Array;
  /** By how much neighbours differed at most, °C. */
  widestJumpC = 0;
  /** Sweep of the implicit conduction. */
  readonly #sweep: Float64Array;
  /** Of the last slopes: what passed the balance, W and kg/s, and how fast the fastest cell moved. */
  #flux = { inW: 0, outW: 0, reactionW: 0, lossW: 0, gasKgPerS: 0, outletC: 0, risePerS: 0, sharePerS: 0 };

  constructor(
    scenario: BurnScenario,
    { kinetics, sootHeatJPerKg, bed }: BurnAssumptions,
    options: BurnOptions,
    cells: number,
    finer: number,
  ) {
    this.#scenario = scenario;
    this.#options = options;
    const n = cells * finer;
    this.#n = n;
    this.#finer = finer;
    this.#cellM = bed.lengthM / n;
    this.#profile = new ProfileReader(scenario.profile);
    const perR = (energy: number): number => energy / 8.314;
    this.#bareA = kinetics.bare.factorPerS;
    this.#bareE = perR(kinetics.bare.energyJPerMol);
    this.#helpedA = kinetics.helped?.factorPerS ?? 0;
    this.#helpedE = perR(kinetics.helped?.energyJPerMol ?? 0);
    this.#no2A = kinetics.no2.factorPerS;
    this.#no2E = perR(kinetics.no2.energyJPerMol);
    this.#sootHeat = sootHeatJPerKg;
    this.#transfer = bed.transferWPerK / n;
    this.#conduction = bed.conductionWPerK * n;
    this.#loss = bed.lossWPerK / n;
    this.#capacity = new Float64Array(n).fill(bed.capacityJPerK / n);
    this.#celsius = new Float64Array(n).fill(scenario.startC ?? scenario.ambientC);
    this.#soot = new Float64Array(n);
    // Soot lies evenly where the channels are open, ash where they are plugged; a cell on the border has its share.
    for (let i = 0; i < n; i++) {
      const open = Math.min(1, Math.max(0, bed.openShare * n - i));
      this.#soot[i] = ((scenario.sootG / 1000) * open) / (bed.openShare * n);
      const plugged = bed.openShare < 1 ? (1 - open) / ((1 - bed.openShare) * n) : 1 / n;
      this.#capacity[i] = (this.#capacity[i] as number) + bed.ashCapacityJPerK * plugged;
    }
    this.#celsius1 = new Float64Array(n);
    this.#soot1 = new Float64Array(n);
    this.#slopeC = new Float64Array(n);
    this.#slopeC1 = new Float64Array(n);
    this.#slopeKg = new Float64Array(n);
    this.#slopeKg1 = new Float64Array(n);
    this.#sweep = new Float64Array(n);
  }

  /** Slopes of temperature and soot in every cell for one state, °C/s and kg/s; the flux beside them. */
  #slopes(
    celsius: Float64Array,
    soot: Float64Array,
    inlet: Inlet,
    outC: Float64Array,
    outKg: Float64Array,
  ): void {
    const n = this.#n;
    const flux = this.#flux;
    const { ambientC } = this.#scenario;
    const flows = inlet.kgPerS > FLOWLESS_KG_PER_S;
    const heatPerK = flows ? inlet.kgPerS * EXHAUST_HEAT_J_PER_KG_K : 0;
    const units = flows ? this.#transfer / heatPerK : 0;
    const taken = flows ? 1 - Math.exp(-units) : 0;
    // What the slope of the wall inside a cell adds to the gas that leaves it.
    const bySlope = units > 1e-3 ? 1 - taken / 2 - taken / units : 0;
    // Soot of a cell that meets its gas: mol of carbon per mol of gas and second.
    const meets = flows ? EXHAUST_KG_PER_MOL / (CARBON_KG_PER_MOL * inlet.kgPerS) : 0;
    const molPerS = inlet.kgPerS / EXHAUST_KG_PER_MOL;
    let gasC = inlet.celsius;
    let oxygen = inlet.oxygen;
    let no2 = inlet.no2;
    let reactionW = 0;
    let lossW = 0;
    let gasKgPerS = 0;
    let risePerS = 0;
    let sharePerS = 0;
    for (let i = 0; i < n; i++) {
      const here = celsius[i] as number;
      const kg = soot[i] as number;
      let burnt = 0;
      if (flows && kg > 1e-12 && here > NOTHING_BURNS_BELOW_C) {
        const overT = -1 / kelvin(here);
        let k = this.#bareA * Math.exp(this.#bareE * overT);
        if (this.#helpedA > 0) {
          const helped = this.#helpedA * Math.exp(this.#helpedE * overT);
          if (helped > k) k = helped;
        }
        const uses = kg * k * meets * O2_PER_CARBON;
        const oxygenUsed = oxygen * (uses < 1e-6 ? uses : 1 - Math.exp(-uses));
        oxygen -= oxygenUsed;
        burnt = (oxygenUsed / O2_PER_CARBON) * molPerS * CARBON_KG_PER_MOL;
        if (no2 > 1e-9) {
          const usesNo2 = kg * this.#no2A * Math.exp(this.#no2E * overT) * meets * NO2_PER_CARBON;
          const no2Used = no2 * (usesNo2 < 1e-6 ? usesNo2 : 1 - Math.exp(-usesNo2));
          no2 -= no2Used;
          burnt += (no2Used / NO2_PER_CARBON) * molPerS * CARBON_KG_PER_MOL;
        }
        if (burnt > sharePerS * kg) sharePerS = burnt / kg;
      }
      gasKgPerS += burnt;
      const behind = i > 0 ? here - (celsius[i - 1] as number) : 0;
      const ahead = i < n - 1 ? (celsius[i + 1] as number) - here : 0;
      const slope = behind * ahead > 0 ? (2 * behind * ahead) / (behind + ahead) : 0;
      const leavesC = gasC + (here - gasC) * taken + slope * bySlope;
      const fromGasW = heatPerK * (gasC - leavesC);
      gasC = leavesC;
      const heatW = burnt * this.#sootHeat;
      const awayW = this.#loss * (here - ambientC);
      const rise = (fromGasW + heatW - awayW) / (this.#capacity[i] as number);
      outC[i] = rise;
      outKg[i] = -burnt;
      reactionW += heatW;
      lossW += awayW;
      if (Math.abs(rise) > risePerS) risePerS = Math.abs(rise);
    }
    flux.inW = heatPerK * (inlet.celsius - ambientC);
    flux.outW = heatPerK * (gasC - ambientC);
    flux.reactionW = reactionW;
    flux.lossW = lossW;
    flux.gasKgPerS = gasKgPerS;
    flux.outletC = flows ? gasC : (celsius[n - 1] as number);
    flux.risePerS = risePerS;
    flux.sharePerS = sharePerS;
  }

  /** Conduction along the bed for a step, implicit: no step is too long for it. Thomas' sweep there and back. */
  #conduct(stepS: number): void {
    const n = this.#n;
    const celsius = this.#celsius;
    const sweep = this.#sweep;
    const joined = stepS * this.#conduction;
    if (joined === 0) return;
    let carried = 0;
    for (let i = 0; i < n; i++) {
      const capacity = this.#capacity[i] as number;
      const before = i > 0 ? joined : 0;
      const after = i < n - 1 ? joined : 0;
      const pivot = capacity + before + after - before * (i > 0 ? (sweep[i - 1] as number) : 0);
      sweep[i] = after / pivot;
      carried = (capacity * (celsius[i] as number) + before * carried) / pivot;
      celsius[i] = carried;
    }
    for (let i = n - 2; i >= 0; i--)
      celsius[i] = (celsius[i] as number) + (sweep[i] as number) * (celsius[i + 1] as number);
  }

  /** Longest step at which the explicit method does not swing, by exchange and loss, s. */
  #stableS(kgPerS: number): number {
    const heatPerK = kgPerS * EXHAUST_HEAT_J_PER_KG_K;
    const exchange = heatPerK > 0 ? heatPerK * (1 - Math.exp(-this.#transfer / heatPerK)) : 0;
    const capacity = this.#capacity.reduce((least, c) => Math.min(least, c), Number.POSITIVE_INFINITY);
    return (2 * capacity) / (2 * exchange + this.#loss);
  }

  toEnd(): BurnRun {
    const { endS, profile } = this.#scenario;
    const { maxStepS = MOST_STEP_S, stepScale = 1, points = 300 } = this.#options;
    const n = this.#n;
    const mostFlow = profile.reduce((most, { exhaustKgPerS }) => Math.max(most, exhaustKgPerS), 0);
    const longest = Math.min(maxStepS, OF_STABLE_STEP * this.#stableS(mostFlow)) * stepScale;
    const series = new SeriesWriter(endS, points, this.#options.keepBed ? n / this.#finer : 0, this.#finer);
    const startJ = this.#heatJ();
    const startKg = this.#sootKg();
    const sum = { inJ: 0, outJ: 0, reactionJ: 0, lossJ: 0, gasKg: 0 };
    let peakBedC = Number.NEGATIVE_INFINITY;
    let peakAtS = 0;
    let peakCell = 0;
    let timeS = 0;
    const flux = this.#flux;
    this.#slopes(this.#celsius, this.#soot, this.#profile.read(0), this.#slopeC, this.#slopeKg);
    for (;;) {
      // What the bed looks like now.
      const celsius = this.#celsius;
      let hottest = 0;
      let step = 0;
      for (let i = 1; i < n; i++) {
        if ((celsius[i] as number) > (celsius[hottest] as number)) hottest = i;
        const rise = Math.abs((celsius[i] as number) - (celsius[i - 1] as number));
        if (rise > step) step = rise;
      }
      const hottestC = celsius[hottest] as number;
      if (hottestC > peakBedC) [peakBedC, peakAtS, peakCell] = [hottestC, timeS, hottest];
      if (step > this.widestJumpC) this.widestJumpC = step;
      if (series.isDue(timeS))
        series.write(
          timeS,
          this.#sootKg() * 1000,
          this.#profile.inlet.celsius,
          flux.outletC,
          hottestC,
          celsius,
        );
      if (timeS >= endS - 1e-9) break;

      const stepS = Math.min(
        longest,
        (stepScale * MOST_RISE_C) / Math.max(flux.risePerS, 1e-9),
        (stepScale * MOST_SHARE) / Math.max(flux.sharePerS, 1e-9),
        this.#profile.nextCorner(timeS) - timeS,
        series.nextS(timeS) - timeS,
        endS - timeS,
      );
      const half = stepS / 2;
      sum.inJ += half * flux.inW;
      sum.outJ += half * flux.outW;
      sum.reactionJ += half * flux.reactionW;
      sum.lossJ += half * flux.lossW;
      sum.gasKg += half * flux.gasKgPerS;
      const c1 = this.#celsius1;
      const s1 = this.#soot1;
      for (let i = 0; i < n; i++) {
        c1[i] = (celsius[i] as number) + stepS * (this.#slopeC[i] as number);
        s1[i] = Math.max(0, (this.#soot[i] as number) + stepS * (this.#slopeKg[i] as number));
      }
      this.#slopes(c1, s1, this.#profile.read(timeS + stepS), this.#slopeC1, this.#slopeKg1);
      sum.inJ += half * flux.inW;
      sum.outJ += half * flux.outW;
      sum.reactionJ += half * flux.reactionW;
      sum.lossJ += half * flux.lossW;
      sum.gasKg += half * flux.gasKgPerS;
      for (let i = 0; i < n; i++) {
        celsius[i] =
          (celsius[i] as number) + half * ((this.#slopeC[i] as number) + (this.#slopeC1[i] as number));
        this.#soot[i] =
          (this.#soot[i] as number) + half * ((this.#slopeKg[i] as number) + (this.#slopeKg1[i] as number));
      }
      this.#conduct(stepS);
      timeS += stepS;
      this.#slopes(celsius, this.#soot, this.#profile.read(timeS), this.#slopeC, this.#slopeKg);
    }
    const storedJ = this.#heatJ() - startJ;
    const moved = Math.max(Math.abs(sum.inJ), Math.abs(sum.outJ), 1) + sum.reactionJ;
    const leftKg = this.#sootKg();
    const burntG = 1000 * (startKg - leftKg);
    const done = series.done();
    return {
      sootLeftG: 1000 * leftKg,
      peakBedC,
      peakAtS,
      peakAtMm: 1000 * this.#cellM * (peakCell + 0.5),
      maxGradientCPerCm: this.widestJumpC / (this.#cellM * 100),
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

  #heatJ(): number {
    let sum = 0;
    for (let i = 0; i < this.#n; i++) sum += (this.#capacity[i] as number) * (this.#celsius[i] as number);
    return sum;
  }

  #sootKg(): number {
    let sum = 0;
    for (let i = 0; i < this.#n; i++) sum += this.#soot[i] as number;
    return sum;
  }
}
