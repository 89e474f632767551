import { kelvin } from '../quantities/index.ts';
import { EXHAUST_HEAT_J_PER_KG_K } from './bed.ts';
import type { BurnAssumptions } from './burnRun.ts';
import type { BurnScenario, Inlet } from './scenario.ts';

/** Molar mass of exhaust and of carbon, kg/mol. */
const EXHAUST_KG_PER_MOL = 0.0288;
const CARBON_KG_PER_MOL = 0.012;
/** C + O2 → CO2 and C + 2 NO2 → CO2 + 2 NO. */
const O2_PER_CARBON = 1;
const NO2_PER_CARBON = 2;

/** Below this soot does not burn in any time that matters; saves the exponentials of a cold bed. */
const NOTHING_BURNS_BELOW_C = 150;
const FLOWLESS_KG_PER_S = 1e-6;

/** The bed at one moment: temperature and soot of each cell, how fast they change, and the steps from one moment to the next. */
export class BedState {
  readonly cells: number;
  readonly #ambientC: number;
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
  readonly flux = {
    inW: 0,
    outW: 0,
    reactionW: 0,
    lossW: 0,
    gasKgPerS: 0,
    outletC: 0,
    risePerS: 0,
    sharePerS: 0,
  };
  /** What passed the balance since it was counted anew, J and kg. */
  passed = { inJ: 0, outJ: 0, reactionJ: 0, lossJ: 0, gasKg: 0 };

  constructor(scenario: BurnScenario, assumptions: BurnAssumptions, cells: number) {
    const { kinetics, sootHeatJPerKg, bed } = assumptions;
    const n = cells;
    this.cells = n;
    this.#ambientC = scenario.ambientC;
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

  /** Goes on from where another one stands. */
  take(other: BedState): void {
    this.#celsius.set(other.#celsius);
    this.#soot.set(other.#soot);
  }

  get celsius(): Float64Array {
    return this.#celsius;
  }

  countAnew(): void {
    this.passed = { inJ: 0, outJ: 0, reactionJ: 0, lossJ: 0, gasKg: 0 };
  }

  /** Counts the last slopes for a time. */
  count(seconds: number): void {
    const { flux, passed } = this;
    passed.inJ += seconds * flux.inW;
    passed.outJ += seconds * flux.outW;
    passed.reactionJ += seconds * flux.reactionW;
    passed.lossJ += seconds * flux.lossW;
    passed.gasKg += seconds * flux.gasKgPerS;
  }

  /** Slopes where the bed stands now. */
  slopesNow(inlet: Inlet): void {
    this.#slopes(this.#celsius, this.#soot, inlet, this.#slopeC, this.#slopeKg);
  }

  /** Slopes in the state that was tried. */
  slopesTried(inlet: Inlet): void {
    this.#slopes(this.#celsius1, this.#soot1, inlet, this.#slopeC1, this.#slopeKg1);
  }

  /** Slopes of temperature and soot in every cell for one state, °C/s and kg/s; the flux beside them. */
  #slopes(
    celsius: Float64Array,
    soot: Float64Array,
    inlet: Inlet,
    outC: Float64Array,
    outKg: Float64Array,
  ): void {
    const n = this.cells;
    const flux = this.flux;
    const ambientC = this.#ambientC;
    const capacity = this.#capacity;
    const loss = this.#loss;
    const sootHeat = this.#sootHeat;
    const bareA = this.#bareA;
    const bareE = this.#bareE;
    const helpedA = this.#helpedA;
    const helpedE = this.#helpedE;
    const no2A = this.#no2A;
    const no2E = this.#no2E;
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
    let behind = 0;
    for (let i = 0; i < n; i++) {
      const here = celsius[i] as number;
      const kg = soot[i] as number;
      let burnt = 0;
      if (flows && kg > 1e-12 && here > NOTHING_BURNS_BELOW_C) {
        const overT = -1 / kelvin(here);
        let k = bareA * Math.exp(bareE * overT);
        if (helpedA > 0) {
          const helped = helpedA * Math.exp(helpedE * overT);
          if (helped > k) k = helped;
        }
        const uses = kg * k * meets * O2_PER_CARBON;
        const oxygenUsed = oxygen * (uses < 1e-6 ? uses : 1 - Math.exp(-uses));
        oxygen -= oxygenUsed;
        burnt = (oxygenUsed / O2_PER_CARBON) * molPerS * CARBON_KG_PER_MOL;
        if (no2 > 1e-9) {
          const usesNo2 = kg * no2A * Math.exp(no2E * overT) * meets * NO2_PER_CARBON;
          const no2Used = no2 * (usesNo2 < 1e-6 ? usesNo2 : 1 - Math.exp(-usesNo2));
          no2 -= no2Used;
          burnt += (no2Used / NO2_PER_CARBON) * molPerS * CARBON_KG_PER_MOL;
        }
        if (burnt > sharePerS * kg) sharePerS = burnt / kg;
      }
      gasKgPerS += burnt;
      const ahead = i < n - 1 ? (celsius[i + 1] as number) - here : 0;
      const slope = behind * ahead > 0 ? (2 * behind * ahead) / (behind + ahead) : 0;
      behind = ahead;
      const leavesC = gasC + (here - gasC) * taken + slope * bySlope;
      const fromGasW = heatPerK * (gasC - leavesC);
      gasC = leavesC;
      const heatW = burnt * sootHeat;
      const awayW = loss * (here - ambientC);
      const rise = (fromGasW + heatW - awayW) / (capacity[i] as number);
      outC[i] = rise;
      outKg[i] = -burnt;
      reactionW += heatW;
      lossW += awayW;
      if (rise > risePerS) risePerS = rise;
      else if (-rise > risePerS) risePerS = -rise;
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

  // Each of these loops is a method of its own as it then runs fast from the first second of a burn on.

  /** The hottest cell; on the way, by how much neighbours differ. */
  lookForHottest(): number {
    const celsius = this.#celsius;
    let hottest = 0;
    let hottestC = celsius[0] as number;
    let before = hottestC;
    let widest = this.widestJumpC;
    for (let i = 1; i < this.cells; i++) {
      const here = celsius[i] as number;
      if (here > hottestC) {
        hottestC = here;
        hottest = i;
      }
      const rise = here > before ? here - before : before - here;
      if (rise > widest) widest = rise;
      before = here;
    }
    this.widestJumpC = widest;
    return hottest;
  }

  /** Heun's first guess of the state after a step. */
  tryStep(stepS: number): void {
    const [celsius, soot, celsius1, soot1] = [this.#celsius, this.#soot, this.#celsius1, this.#soot1];
    const [slopeC, slopeKg] = [this.#slopeC, this.#slopeKg];
    for (let i = 0; i < this.cells; i++) {
      celsius1[i] = (celsius[i] as number) + stepS * (slopeC[i] as number);
      const left = (soot[i] as number) + stepS * (slopeKg[i] as number);
      soot1[i] = left > 0 ? left : 0;
    }
  }

  /** The state after a step, by the mean of the slopes at both of its ends. */
  takeStep(stepS: number): void {
    const half = stepS / 2;
    const [celsius, slopeC, slopeC1] = [this.#celsius, this.#slopeC, this.#slopeC1];
    const [soot, slopeKg, slopeKg1] = [this.#soot, this.#slopeKg, this.#slopeKg1];
    for (let i = 0; i < this.cells; i++) {
      celsius[i] = (celsius[i] as number) + half * ((slopeC[i] as number) + (slopeC1[i] as number));
      soot[i] = (soot[i] as number) + half * ((slopeKg[i] as number) + (slopeKg1[i] as number));
    }
  }

  /** Conduction along the bed for a step, implicit: no step is too long for it. Thomas' sweep there and back. */
  conduct(stepS: number): void {
    const n = this.cells;
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
  stableS(kgPerS: number): number {
    const heatPerK = kgPerS * EXHAUST_HEAT_J_PER_KG_K;
    const exchange = heatPerK > 0 ? heatPerK * (1 - Math.exp(-this.#transfer / heatPerK)) : 0;
    const capacity = this.#capacity.reduce((least, c) => Math.min(least, c), Number.POSITIVE_INFINITY);
    return (2 * capacity) / (2 * exchange + this.#loss);
  }

  heatJ(): number {
    let sum = 0;
    for (let i = 0; i < this.cells; i++) sum += (this.#capacity[i] as number) * (this.#celsius[i] as number);
    return sum;
  }

  sootKg(): number {
    let sum = 0;
    for (let i = 0; i < this.cells; i++) sum += this.#soot[i] as number;
    return sum;
  }
}
