import { kineticsOf, oxygenRate, rateAtK } from '../../burn/index.ts';
import { DEFAULT_LIMITS } from '../../limits/index.ts';
import { approach, kelvin } from '../../quantities/index.ts';
import type { BenchFamily } from '../families.ts';
import { EXHAUST_CP } from './airPath.ts';
import { FUEL_J_PER_G } from './engine.ts';
import { CATALYST_CELLS, FILTER_CELLS, type Commands, type Plant } from './plant.ts';
import type { Scale } from './scale.ts';
import type { Wear } from './wear.ts';

/** A part of the line as one lump: heat capacity J/K, transfer to the gas W/K, loss to the surroundings W/K. */
interface Part {
  readonly capacity: number;
  readonly transfer: number;
  readonly loss: number;
}

/** Capacities and conductances of the parts, for the 2.0 L engine where not per litre of brick. */
export const LINE_PARTS = {
  manifold: { capacity: 4000, transfer: 30, loss: 3 },
  turbine: { capacity: 5000, transfer: 18, loss: 3 },
  pipe: { capacity: 2000, transfer: 12, loss: 1.5 },
  catalystPerL: { capacity: 800, transfer: 250, loss: 0.9 },
} as const satisfies Record<string, Part>;

/** Of the filter, per litre of brick with its can. */
export const filterPartPerL = ({ filter }: BenchFamily): Part => ({
  capacity: filter.material === 'silicon-carbide' ? 1000 : 720,
  transfer: 260,
  loss: 1,
});

const litres = ({ diameterMm, lengthMm }: BenchFamily['filter']): number =>
  ((Math.PI / 4) * diameterMm ** 2 * lengthMm) / 1e6;

/** What one part does to the gas in a step. Written to by {@link exchange}, so that a step allocates nothing. */
const result = { solidC: 0, gasC: 0, lossW: 0 };

/**
 * A part exchanges heat with gas that passes once: T_out = T_s + (T_in − T_s)·exp(−hA/ṁc), quasi-steady in the gas,
 * explicit in the solid. What the gas loses the solid gains or gives to the surroundings: heat is conserved exactly.
 */
function exchange(
  part: Part,
  times: number,
  solidC: number,
  gasC: number,
  heatPerK: number,
  ambientC: number,
  extraW: number,
  stepS: number,
): void {
  const out =
    heatPerK > 0.05 ? solidC + (gasC - solidC) * Math.exp((-part.transfer * times) / heatPerK) : solidC;
  result.lossW = part.loss * times * (solidC - ambientC);
  result.gasC = out;
  result.solidC =
    solidC +
    (stepS * (heatPerK * (heatPerK > 0.05 ? gasC - out : 0) + extraW - result.lossW)) /
      (part.capacity * times);
}

/** Share of dosed fuel that the catalyst burns: lights off around 235 °C. */
const lightOff = (celsius: number): number => 1 / (1 + Math.exp((235 - celsius) / 12));

const CATALYST_SHARES = [0.5, 0.3, 0.2] as const;

/** Gas from the ports to the inlet of the filter: temperatures, oxygen, NO2, dosed fuel. */
export function stepExhaustLine(
  family: BenchFamily,
  scale: Scale,
  plant: Plant,
  commands: Commands,
  wear: Wear,
  stepS: number,
): void {
  const { engine, air, exhaust, ambientC } = plant;
  const { size } = scale;
  const portGPerS = air.cylinderGPerS + air.egrGPerS + engine.fuelGPerS;
  const heatW =
    engine.fuelGPerS * FUEL_J_PER_G -
    engine.indicatedNm * ((engine.rpm * Math.PI) / 30) -
    0.28 * engine.fuelGPerS * FUEL_J_PER_G;
  // Air carries its own heat in; the port gas is counted with the exhaust's specific heat from 0 °C on.
  exhaust.portC =
    portGPerS > 0.1
      ? ((air.cylinderGPerS + air.egrGPerS) * 1.005 * air.manifoldC + Math.max(heatW, 0)) /
        (portGPerS * EXHAUST_CP)
      : exhaust.manifoldSolidC;
  exhaust.gPerS = air.cylinderGPerS + engine.fuelGPerS;
  exhaust.lossW = 0;

  const portHeat = portGPerS * EXHAUST_CP;
  exchange(LINE_PARTS.manifold, size, exhaust.manifoldSolidC, exhaust.portC, portHeat, ambientC, 0, stepS);
  exhaust.manifoldSolidC = result.solidC;
  exhaust.lossW += result.lossW;
  exhaust.gasC[0] = result.gasC;

  exhaust.dosedGPerS = engine.running && plant.fuelL > 0 ? commands.dosingGPerS * wear.dosingOpen : 0;
  if (family.dosing === 'late-injection' && exhaust.dosedGPerS > 0) {
    // Late fuel that never leaves the cylinder wall ends in the oil.
    plant.oil.fuelG += 0.06 * exhaust.dosedGPerS * stepS;
    exhaust.dosedGPerS *= 0.94;
  }
  const lineGPerS = exhaust.gPerS + exhaust.dosedGPerS;
  const lineHeat = lineGPerS * EXHAUST_CP;
  const afterWorkC = lineHeat > 0.05 ? exhaust.gasC[0] - exhaust.turbineW / lineHeat : exhaust.turbineSolidC;
  exchange(LINE_PARTS.turbine, size, exhaust.turbineSolidC, afterWorkC, lineHeat, ambientC, 0, stepS);
  exhaust.turbineSolidC = result.solidC;
  exhaust.lossW += result.lossW;
  exhaust.gasC[1] = result.gasC;

  const catalyst = exhaust.catalystC;
  const middleC = catalyst[1] as number;
  const converted = exhaust.dosedGPerS * lightOff(middleC);
  exhaust.slipGPerS = exhaust.dosedGPerS - converted;
  exhaust.reactionW = converted * FUEL_J_PER_G;
  let gasC = exhaust.gasC[1];
  for (let i = 0; i < CATALYST_CELLS; i++) {
    exchange(
      LINE_PARTS.catalystPerL,
      family.catalystL / CATALYST_CELLS,
      catalyst[i] as number,
      gasC,
      lineHeat,
      ambientC,
      exhaust.reactionW * (CATALYST_SHARES[i] as number),
      stepS,
    );
    catalyst[i] = result.solidC;
    exhaust.lossW += result.lossW;
    gasC = result.gasC;
  }
  exchange(LINE_PARTS.pipe, size, exhaust.pipeSolidC, gasC, lineHeat, ambientC, 0, stepS);
  exhaust.pipeSolidC = result.solidC;
  exhaust.lossW += result.lossW;
  exhaust.gasC[2] = result.gasC;

  const used = (14.5 * (engine.fuelGPerS + converted)) / Math.max(air.cylinderGPerS, 0.1);
  exhaust.oxygen = engine.running ? Math.max(0.209 * (1 - used), 0) : 0.209;
  const loadShare = Math.min(1, 22 / Math.max(engine.airToFuel, 1));
  const nox = engine.running ? (90 + 420 * loadShare) * 1e-6 * (1 - 0.6 * air.egrShare) : 0;
  exhaust.no2 = nox * 0.5 * Math.exp(-(((middleC - 330) / 75) ** 2));
}

const SOOT_J_PER_G = 32_800;
const WATER_J_PER_G = 2_260;

const KINETICS = {
  coated: kineticsOf(DEFAULT_LIMITS, 'coated'),
  bare: kineticsOf(DEFAULT_LIMITS, 'none'),
} as const;

/** Rate of soot on this family's wall with oxygen, 1/s per unit mole fraction. */
export const sootRate = ({ coated }: BenchFamily, celsius: number): number =>
  oxygenRate(coated ? KINETICS.coated : KINETICS.bare, celsius);

const MELTS_C = {
  'silicon-carbide': 1350,
  cordierite: 1150,
  'aluminium-titanate': 1250,
  unknown: 1150,
} as const;

/** Heat, soot and oxygen along the filter, from its inlet to its outlet. */
export function stepFilterBed(family: BenchFamily, plant: Plant, wear: Wear, stepS: number): void {
  const { exhaust, filter, engine, ambientC } = plant;
  const part = filterPartPerL(family);
  const volumeL = litres(family.filter);
  const times = volumeL / FILTER_CELLS;
  const lineGPerS = exhaust.gPerS + exhaust.dosedGPerS;
  const heatPerK = lineGPerS * EXHAUST_CP;
  const caught = engine.sootGPerS * 0.985 * (1 - 0.95 * wear.filterBypass);
  filter.passedGPerS = engine.sootGPerS - caught;
  // What oil leaves behind: ash at once, sticky fuel that burns like soot.
  const oil = wear.oilIntoExhaustGPerS * Math.min(1, plant.exhaust.gPerS / 60);
  filter.oilG += oil * stepS;
  filter.ashG += (caught * 0.004 + oil * 0.012) * stepS;
  const gain = ((caught + 0.35 * oil) * stepS) / FILTER_CELLS;

  let gasC = exhaust.gasC[2];
  let oxygenGPerS = lineGPerS * 1.1 * exhaust.oxygen;
  filter.burntGPerS = 0;
  filter.peakC = 0;
  const melts = MELTS_C[family.filter.material];
  const drying = filter.wetG > 0;
  for (let i = 0; i < FILTER_CELLS; i++) {
    const solidC = exhaust.filterC[i] as number;
    let sootG = filter.sootG[i] as number;
    let burnt = 0;
    if (solidC > 180 && sootG > 0) {
      const y = lineGPerS > 0.01 ? Math.min(exhaust.oxygen, oxygenGPerS / (1.1 * lineGPerS)) : 0.209;
      const rate = sootRate(family, solidC) * y + rateAtK(KINETICS.bare.no2, kelvin(solidC)) * exhaust.no2;
      // A gram of carbon takes 32/12 g of oxygen; without flow only what diffuses in.
      burnt = Math.min(sootG * rate, Math.max(oxygenGPerS, 0.02) / (32 / 12), sootG / stepS);
      oxygenGPerS = Math.max(0, oxygenGPerS - burnt * (32 / 12));
    }
    sootG += gain - burnt * stepS;
    filter.sootG[i] = Math.max(0, sootG);
    filter.burntGPerS += burnt;
    let extraW = burnt * SOOT_J_PER_G;
    if (drying && solidC > 95) {
      const dries = Math.min((solidC - 95) * 0.06 * volumeL, filter.wetG / stepS / FILTER_CELLS);
      filter.wetG = Math.max(0, filter.wetG - dries * stepS);
      extraW -= dries * WATER_J_PER_G;
    }
    exchange(part, times, solidC, gasC, heatPerK, ambientC, extraW, stepS);
    exhaust.filterC[i] = result.solidC;
    exhaust.lossW += result.lossW;
    exhaust.reactionW += extraW;
    gasC = result.gasC;
    if (result.solidC > filter.peakC) filter.peakC = result.solidC;
  }
  loosen(filter, exhaust, volumeL, stepS);
  exhaust.gasC[3] = gasC;
  exhaust.tailC = gasC;
  if (filter.peakC > melts)
    filter.melted = Math.min(1, filter.melted + (stepS * (filter.peakC - melts)) / 4000);
}

/** Dwell in which a fully wetted, cold bed has 63 % of its soot loosened, s. */
const DWELL_S = 1500;
const CARRY_S = 150;

/** Cold fluid loosens soot and face deposits while it stands; once gas flows they leave with the steam. */
export function loosen(
  filter: Plant['filter'],
  exhaust: Plant['exhaust'],
  volumeL: number,
  stepS: number,
): void {
  if (filter.wetG > 1 && (exhaust.filterC[0] as number) < 90) {
    const wetted = Math.min(1, filter.wetG / (200 * volumeL));
    let sootG = 0;
    for (let i = 0; i < FILTER_CELLS; i++) sootG += filter.sootG[i] as number;
    filter.loosenedG += Math.max(0, 0.85 * sootG - filter.loosenedG) * wetted * approach(stepS, DWELL_S);
    filter.shutShare *= 1 - wetted * approach(stepS, 1.6 * DWELL_S);
  }
  if (filter.loosenedG > 0.001 && exhaust.gPerS > 5) {
    const gone = filter.loosenedG * approach(stepS, CARRY_S * Math.max(0.5, 60 / exhaust.gPerS));
    let sootG = 0;
    for (let i = 0; i < FILTER_CELLS; i++) sootG += filter.sootG[i] as number;
    const share = sootG > 0 ? Math.min(1, gone / sootG) : 0;
    for (let i = 0; i < FILTER_CELLS; i++) filter.sootG[i] = (filter.sootG[i] as number) * (1 - share);
    filter.loosenedG -= gone;
    filter.passedGPerS += gone / stepS;
  }
}

/** EGT tips follow their gas, the quicker the more of it passes; in still gas they take the heat of what is around them. */
export function stepEgtTips(scale: Scale, plant: Plant, wear: Wear, stepS: number): void {
  const { exhaust } = plant;
  const flowShare = exhaust.gPerS / 1000 / scale.ratedKgPerS;
  const tipS = 1.2 + 2.4 / (0.3 + flowShare);
  const around = [
    exhaust.manifoldSolidC,
    exhaust.turbineSolidC,
    exhaust.pipeSolidC,
    exhaust.filterC[FILTER_CELLS - 1] as number,
  ] as const;
  for (let i = 0; i < 4; i++) {
    const target = exhaust.gPerS > 0.5 ? (exhaust.gasC[i] as number) : (around[i] as number);
    const tip = plant.egtC[i] as number;
    plant.egtC[i] = tip + (target - tip) * approach(stepS, tipS * (wear.egt[i]?.slower ?? 1));
  }
}

/** Stored heat of the line above 0 °C, J: for the balance of energy. */
export function lineHeatJ(family: BenchFamily, scale: Scale, plant: Plant): number {
  const { exhaust } = plant;
  const { size } = scale;
  const sum = (cells: Float64Array): number => cells.reduce((a, b) => a + b, 0);
  return (
    LINE_PARTS.manifold.capacity * size * exhaust.manifoldSolidC +
    LINE_PARTS.turbine.capacity * size * exhaust.turbineSolidC +
    LINE_PARTS.pipe.capacity * size * exhaust.pipeSolidC +
    ((LINE_PARTS.catalystPerL.capacity * family.catalystL) / CATALYST_CELLS) * sum(exhaust.catalystC) +
    ((filterPartPerL(family).capacity * litres(family.filter)) / FILTER_CELLS) * sum(exhaust.filterC)
  );
}
