import { approach, clamp } from '../../quantities/index.ts';
import type { BenchFamily } from '../families.ts';
import type { Commands, Plant } from './plant.ts';
import type { Scale } from './scale.ts';
import type { Wear } from './wear.ts';

/** Iron and coolant of the 2.0 L engine, J/K. */
export const BLOCK_J_PER_K = 90_000;
const SURFACE_W_PER_K = 12;
const RADIATOR_W_PER_K = 620;
const OIL_J_PER_K_PER_L = 1_700;
const THERMOSTAT_SPAN_C = 10;

/** Coolant, oil, battery and what they need of the world. */
export function stepServices(
  family: BenchFamily,
  scale: Scale,
  plant: Plant,
  commands: Commands,
  wear: Wear,
  ignition: boolean,
  stepS: number,
): void {
  const { engine, battery, oil } = plant;
  const opened = clamp(
    (plant.coolantC - family.thermostatC) / THERMOSTAT_SPAN_C,
    0.7 * wear.thermostatOpen,
    1,
  );
  const wind = engine.running ? 0.35 + Math.min(plant.road.kmPerH / 60, 1) * 0.65 : 0.05;
  const over = plant.coolantC - plant.ambientC;
  const lossW = (SURFACE_W_PER_K + RADIATOR_W_PER_K * opened * wind) * scale.size * over;
  plant.coolantC += (stepS * (engine.coolantW - lossW)) / (BLOCK_J_PER_K * scale.size);

  const toCoolantW = 40 * scale.size * (plant.oilC - plant.coolantC);
  plant.oilC += (stepS * (engine.oilW - toCoolantW)) / (OIL_J_PER_K_PER_L * family.oilL);
  // Fuel in the oil evaporates once the oil is hot: half in some twenty hours at 95 °C.
  if (plant.oilC > 70) oil.fuelG *= 1 - stepS * 1e-5 * Math.exp((plant.oilC - 95) / 20);

  const glowing = commands.glow && !wear.glowRelayDead && ignition;
  plant.glowS = glowing ? plant.glowS + stepS : 0;
  const plugs = glowing ? Math.max(0, family.cylinders - wear.glowPlugsDead) : 0;
  const drawnA = (ignition ? 6 : 0) + plugs * 9 + (engine.crankingS > 0 ? 180 * scale.size ** 0.5 : 0);
  battery.charge = clamp(battery.charge + (stepS * ((engine.running ? 25 : 0) - drawnA)) / (70 * 3600), 0, 1);
  const target = engine.running ? 14.2 - drawnA * 0.004 : 11.8 + 0.9 * battery.charge - drawnA * 0.0085;
  battery.volts += (target - battery.volts) * approach(stepS, 0.3);
}
