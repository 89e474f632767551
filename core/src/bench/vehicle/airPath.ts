import { AIR_GAS_CONSTANT, approach, clamp, kelvin } from '../../quantities/index.ts';
import type { BenchFamily } from '../families.ts';
import type { Commands, Plant } from './plant.ts';
import type { Scale } from './scale.ts';
import type { Wear } from './wear.ts';

/** Specific heats at constant pressure, J/(g·K): of air, and of exhaust at 200–600 °C. Taken as constant. */
export const AIR_CP = 1.005;
export const EXHAUST_CP = 1.08;
const COMPRESSOR_EFFICIENCY = 0.7;
const ACTUATOR_S = 0.15;
const FILL_S = 0.07;
const COOLER_S = 4;
const COOLER_PASSES = 0.3;
/** Recirculation through a wide open valve, g/s per root of mbar, 2.0 L. */
const EGR_FLOW = 2.4;

/** Litres between compressor and cylinders. */
export const manifoldL = (displacementL: number): number => 1.8 * displacementL;

/** Gas in the intake manifold, g. */
export const manifoldGasG = (family: BenchFamily, mbar: number, celsius: number): number =>
  (mbar * 100 * (manifoldL(family.displacementL) / 1000) * 1000) / (AIR_GAS_CONSTANT * kelvin(celsius));

export function volumetricEfficiency(family: BenchFamily, scale: Scale, rpm: number): number {
  const off = (rpm - 0.7 * scale.ratedRpm) / (0.7 * scale.ratedRpm);
  return family.volumetricEfficiency * (1 - 0.025 * Math.min(off * off, 2));
}

/** What the cylinders take in at the manifold's pressure and temperature: fresh air and recirculated gas. */
export function breathe(family: BenchFamily, scale: Scale, plant: Plant, wear: Wear): void {
  const { air, exhaust, engine } = plant;
  const perCycleS = engine.rpm / 120;
  const density = (air.manifoldMbar * 100) / (AIR_GAS_CONSTANT * kelvin(air.manifoldC));
  const total = volumetricEfficiency(family, scale, engine.rpm) * family.displacementL * perCycleS * density;
  const head = Math.max(0, exhaust.beforeTurbineMbar - air.manifoldMbar);
  const open = Math.max(air.egr, wear.egrOpenAtLeast);
  const recirculated = Math.min(0.5 * total, open * EGR_FLOW * scale.size * Math.sqrt(head));
  air.egrGPerS = engine.running ? recirculated : 0;
  air.egrShare = total > 0.01 ? air.egrGPerS / total : 0;
  air.cylinderGPerS = Math.max(0, total - air.egrGPerS);
}

/** Recirculated gas behind its cooler, °C: a clean one leaves a quarter of what it is hotter than the coolant. */
export const recirculatedC = ({ coolantC, exhaust }: Plant, wear: Wear): number =>
  coolantC + (exhaust.gasC[0] - coolantC) * (0.25 + 0.6 * wear.egrCoolerFouled);

/** Actuators, turbocharger, charge cooler and the filling of the manifold. */
export function stepAirPath(
  family: BenchFamily,
  scale: Scale,
  plant: Plant,
  commands: Commands,
  wear: Wear,
  stepS: number,
): void {
  const { air, exhaust } = plant;
  const moved = approach(stepS, ACTUATOR_S);
  air.vanes += ((wear.vanesStuckAt ?? commands.vanes) - air.vanes) * moved;
  air.egr += (commands.egr - air.egr) * moved;
  air.throttle += (commands.throttle - air.throttle) * moved;

  const flowShare = exhaust.gPerS / 1000 / scale.ratedKgPerS;
  const rotorS = 0.3 + 0.5 * Math.exp(-4 * flowShare);
  air.turboW += (exhaust.turbineW * wear.turboEfficiency - air.turboW) * approach(stepS, rotorS);

  const inletK = kelvin(plant.ambientC + 4);
  // Without what fills the manifold: that would make pressure and flow chase each other from step to step.
  const flow = Math.max(air.cylinderGPerS + air.leakGPerS, 0.12 * scale.ratedKgPerS * 1000);
  const risesK = air.turboW / (flow * AIR_CP);
  const ratio = Math.min((1 + (COMPRESSOR_EFFICIENCY * risesK) / inletK) ** 3.5, 3.8);
  const inletMbar = plant.barometerMbar - 8 * Math.min(flowShare * flowShare, 4);
  const target = inletMbar * ratio * (1 - 0.32 * air.throttle * (plant.engine.running ? 1 : 0));
  const before = manifoldGasG(family, air.manifoldMbar, air.manifoldC);
  air.manifoldMbar += (target - air.manifoldMbar) * approach(stepS, FILL_S);
  air.compressorC = inletK - 273.15 + risesK;
  const cooledC = plant.ambientC + 8 + (air.compressorC - plant.ambientC) * COOLER_PASSES;
  const mixedC = cooledC + (recirculatedC(plant, wear) - cooledC) * air.egrShare;
  air.manifoldC += (mixedC - air.manifoldC) * approach(stepS, COOLER_S);
  const filling = (manifoldGasG(family, air.manifoldMbar, air.manifoldC) - before) / stepS;

  const boost = Math.max(0, air.manifoldMbar - plant.barometerMbar);
  air.leakGPerS = wear.chargeLeak * scale.ratedKgPerS * 1000 * Math.sqrt(boost / 100);
  const through = air.cylinderGPerS + air.leakGPerS + filling;
  air.compressorGPerS = Math.max(0, through);
  // What flows back out of the manifold while it empties leaves by the compressor: the balance of mass keeps its sign.
  const metered = through * (1 - wear.unmeteredShare);
  air.meteredGPerS = metered;
  air.unmeteredGPerS = through - metered;
}

/**
 * Pressure before the turbo by the isothermal nozzle p3² = p4² + K·ṁ²·T3, and the work it takes from the gas
 * (isentropic with γ = 1.35, efficiency 0.62). K goes with the vanes. mbar, kg/s, K.
 */
export function turbine(scale: Scale, plant: Plant, stepS: number): void {
  const { air, exhaust } = plant;
  const flow = exhaust.gPerS / 1000;
  const gasK = kelvin(exhaust.gasC[0]);
  const vanes = clamp(air.vanes, 0, 1);
  const nozzle = (6e5 * (0.45 + 1.4 * vanes * vanes)) / scale.flowSquared;
  const before = Math.sqrt(exhaust.afterTurbineMbar ** 2 + nozzle * flow * flow * gasK);
  exhaust.beforeTurbineMbar += (before - exhaust.beforeTurbineMbar) * approach(stepS, 0.05);
  const expansion =
    1 - (exhaust.afterTurbineMbar / Math.max(exhaust.beforeTurbineMbar, exhaust.afterTurbineMbar)) ** 0.26;
  exhaust.turbineW = 0.62 * flow * EXHAUST_CP * 1000 * gasK * expansion;
}
