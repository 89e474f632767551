import { clamp } from '../../quantities/index.ts';
import type { BenchFamily } from '../families.ts';
import type { Commands, Controls, Plant } from './plant.ts';
import type { Wear } from './wear.ts';

/** Lower heating value of diesel fuel, J/g. */
export const FUEL_J_PER_G = 42_600;
/** Air that burns with a gram of diesel fuel, g. */
export const STOICHIOMETRIC = 14.6;
const AIR_TO_ROAD = 0.94;
const GRAVITY = 9.81;
const ROLLING = 0.009;
const CRANKING_RPM = 230;
const STALL_RPM = 320;

export const radPerS = (rpm: number): number => (rpm * Math.PI) / 30;

/**
 * Friction mean effective pressure, bar: 0.95 + 0.2·n + 0.045·n² (n in 1000/min), up to doubled by cold oil.
 * The shape is that of Heywood, Internal Combustion Engine Fundamentals, eq. 13.6 for diesels.
 * Worked value: 3000 rpm, oil 90 °C → 2.00 bar.
 */
export function frictionBar(rpm: number, oilC: number): number {
  const n = rpm / 1000;
  const cold = 1 + 0.9 * Math.exp(-Math.max(oilC + 10, 0) / 28);
  return (0.95 + 0.2 * n + 0.045 * n * n) * cold;
}

/** Share of the fuel's heat that becomes work on the pistons: light loads lose more of it to the walls. */
const indicatedEfficiency = (fuelMgPerLCycle: number, airToFuel: number): number =>
  (0.23 + 0.19 * Math.min(1, fuelMgPerLCycle / 45)) * (airToFuel < 20 ? 1 - 0.02 * (20 - airToFuel) : 1);

/** g of soot per g of fuel: the richer and the more recirculated, the more. */
export function sootIndex(airToFuel: number, egrShare: number, coolantC: number): number {
  const rich = 1 + 25 * Math.exp(-Math.max(airToFuel - 17, 0) / 1.8);
  return 0.00025 * rich * (1 + 4 * egrShare) * (coolantC < 50 ? 1.5 : 1);
}

/** Torque that one bar of mean effective pressure makes, N·m: p·V/(4π) for four strokes. */
const nmPerBar = (displacementL: number): number => (100 * displacementL) / (4 * Math.PI);

/** Turns the crank by one step: combustion, friction, load of the road. Heat and smoke of it are left in `engine`. */
export function stepEngine(
  family: BenchFamily,
  plant: Plant,
  controls: Controls,
  commands: Commands,
  wear: Wear,
  stepS: number,
): void {
  const { engine, air } = plant;
  const { displacementL } = family;
  start(plant, controls, wear, stepS);
  const wanted = engine.running ? commands.fuelMgPerLCycle * (1 + 0.5 * wear.overFuelling) : 0;
  const perS = (displacementL * engine.rpm) / 120 / 1000;
  const supplied = plant.fuelL > 0 ? wanted * perS : 0;
  const burnt = Math.min(supplied, air.cylinderGPerS / STOICHIOMETRIC);
  engine.fuelGPerS = burnt;
  engine.airToFuel = burnt > 1e-4 ? air.cylinderGPerS / burnt : 200;
  const heatW = burnt * FUEL_J_PER_G;
  const workW = heatW * indicatedEfficiency(wanted, engine.airToFuel);
  const omega = Math.max(radPerS(engine.rpm), 5);
  engine.indicatedNm = workW / omega;
  const pumpingBar = engine.running ? (plant.exhaust.beforeTurbineMbar - air.manifoldMbar) / 1000 : 0;
  const turning =
    nmPerBar(displacementL) * (frictionBar(engine.rpm, plant.oilC) + Math.max(pumpingBar, -0.3));
  const accessoriesNm = engine.running ? (350 + 120 * displacementL) / Math.max(omega, 60) : 0;
  engine.frictionNm = engine.rpm > 1 ? turning + accessoriesNm : 0;
  const frictionW = engine.frictionNm * omega;
  engine.coolantW = 0.28 * heatW + 0.6 * frictionW;
  engine.oilW = 0.4 * frictionW;
  engine.sootGPerS =
    supplied * sootIndex(engine.airToFuel, air.egrShare, plant.coolantC) * (1 + 10 * wear.overFuelling) +
    0.02 * (supplied - burnt);
  plant.fuelL = Math.max(0, plant.fuelL - ((supplied + plant.exhaust.dosedGPerS) * stepS) / 835);
  turn(family, plant, controls, stepS);
}

/** The starter turns the engine until it fires; a cold one without glow plugs takes long or does not. */
function start(plant: Plant, controls: Controls, wear: Wear, stepS: number): void {
  const { engine } = plant;
  if (controls.ignition === 'off') engine.running = false;
  if (engine.running && engine.rpm < STALL_RPM) engine.running = false;
  if (engine.running || controls.ignition === 'off' || !controls.starter) {
    engine.crankingS = 0;
    return;
  }
  engine.crankingS += stepS;
  engine.rpm += (CRANKING_RPM - engine.rpm) * Math.min(1, stepS / 0.15);
  const glowing = !wear.glowRelayDead && plant.glowS > 1.5;
  const coldS = plant.coolantC < 15 ? (15 - plant.coolantC) * (glowing ? 0.05 : 0.35) : 0;
  if (engine.crankingS > 0.5 + coldS) {
    engine.running = true;
    engine.rpm = Math.max(engine.rpm, 480);
  }
}

/**
 * Crank and vehicle, joined by a clutch that is stiff but slips when asked for more than it holds. The two are solved
 * together, since the clutch is far stiffer than a step is short.
 */
function turn(family: BenchFamily, plant: Plant, controls: Controls, stepS: number): void {
  const { engine, road } = plant;
  const net = engine.indicatedNm - engine.frictionNm;
  const v = road.kmPerH / 3.6;
  const forward = v > 0.01 ? 1 : 0;
  const { vehicleMassKg: mass, inertiaKgM2: inertia } = family;
  const resistN =
    mass * GRAVITY * (ROLLING * forward + controls.grade) +
    0.6 * family.dragAreaM2 * v * v +
    0.5 * controls.brake * mass * GRAVITY * forward;
  const gearKmPerH = controls.gear > 0 ? family.kmPerHAt1000[controls.gear - 1] : undefined;
  const metresPerRad = gearKmPerH === undefined ? 0 : gearKmPerH / 3.6 / radPerS(1000);
  engine.loadNm = 0;
  if (metresPerRad > 0) {
    const omega = radPerS(engine.rpm);
    const hold = 40 * family.displacementL * (engine.rpm < 0.75 * family.idleRpm ? 0 : 1);
    const stiff = 30 * family.displacementL;
    const a = stepS / inertia;
    const b = (stepS * AIR_TO_ROAD) / (mass * metresPerRad * metresPerRad);
    const driven = (stepS * resistN) / (mass * metresPerRad);
    const torque = (stiff * (omega + a * net - v / metresPerRad + driven)) / (1 + stiff * (a + b));
    engine.loadNm = clamp(torque, -hold, 4 * hold);
  }
  const omega = radPerS(engine.rpm) + (stepS * (net - engine.loadNm)) / inertia;
  engine.rpm = Math.max(0, (omega * 30) / Math.PI);
  if (!engine.running && engine.rpm < 30) engine.rpm = 0;
  const pullN = metresPerRad > 0 ? (engine.loadNm / metresPerRad) * AIR_TO_ROAD : 0;
  const speed = Math.max(0, v + (stepS * (pullN - resistN)) / mass);
  road.kmPerH = speed * 3.6;
  road.km += (speed * stepS) / 1000;
  plant.oil.kmSinceChange += (speed * stepS) / 1000;
}
