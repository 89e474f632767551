import { clamp } from '../../quantities/index.ts';
import type { BenchFamily } from '../families.ts';
import type { Commands, Controls } from '../vehicle/plant.ts';
import type { Scale } from '../vehicle/scale.ts';
import type { Computer } from './computer.ts';

/** Most fuel that the pump gives, mg per litre and cycle. */
export const MOST_FUEL = 115;
/** Air per fuel under which the computer does not go, so as not to smoke. */
const SMOKE_LIMIT = 18;

/** What the computer sees in a step, by its own sensors. */
export interface Seen {
  readonly rpm: number;
  readonly running: boolean;
  readonly airGPerS: number;
  readonly manifoldMbar: number;
  readonly barometerMbar: number;
  readonly intakeC: number;
  readonly coolantC: number;
  readonly egt2C: number;
  readonly egt3C: number;
}

/** Engine speed at which recirculation is shut without load, rpm. */
const egrUpTo = (family: BenchFamily): number => 0.46 * family.governedRpm;

/** Fuel, vanes, recirculation, throttle and glow plugs for the next step. */
export function control(
  family: BenchFamily,
  scale: Scale,
  computer: Computer,
  controls: Controls,
  commands: Commands,
  seen: Seen,
  stepS: number,
): void {
  const regenerating = isHeating(computer);
  const heldRpm = heldSpeed(family, computer);
  const coldIdle = seen.coolantC < 20 ? 150 : seen.coolantC < 60 ? 60 : 0;
  computer.idleRpm = Math.max(family.idleRpm + coldIdle, heldRpm ?? 0);
  if (!seen.running || controls.ignition === 'off') {
    computer.idleIntegral = 8;
    commands.fuelMgPerLCycle = controls.ignition === 'on' ? 35 : 0;
    commands.dosingGPerS = 0;
    commands.throttle = 0;
    commands.egr = 0;
    commands.vanes = 0.6;
  } else {
    commands.fuelMgPerLCycle = fuel(family, computer, controls, seen, stepS);
    const loadShare = commands.fuelMgPerLCycle / MOST_FUEL;
    commands.vanes = vanes(family, computer, seen, loadShare, stepS);
    const recirculate =
      !regenerating &&
      seen.coolantC > 40 &&
      Math.max(loadShare, computer.demandShare) < 0.32 &&
      seen.rpm < egrUpTo(family);
    commands.egr = recirculate ? 0.55 : 0;
    commands.throttle = regenerating && loadShare < 0.45 ? 1 : 0;
    commands.dosingGPerS = regenerating ? dosing(family, scale, computer, seen, stepS) : 0;
  }
  commands.glow = controls.ignition === 'on' && !seen.running && seen.coolantC < 40 && computer.keyOnS < 8;
}

export const isHeating = ({ regeneration }: Computer): boolean =>
  regeneration.phase === 'heating' || regeneration.phase === 'burning';

/** A standing regeneration is held at a raised speed by the computer itself. */
const heldSpeed = (family: BenchFamily, { regeneration }: Computer): number | undefined =>
  regeneration.forced === 'standing' && regeneration.phase !== 'none' && regeneration.phase !== 'wanted'
    ? 0.48 * family.governedRpm
    : undefined;

/** The larger of what the idle governor and the pedal ask for, held by air and by the power limit. */
function fuel(
  family: BenchFamily,
  computer: Computer,
  controls: Controls,
  seen: Seen,
  stepS: number,
): number {
  const under = computer.idleRpm - seen.rpm;
  computer.idleIntegral = clamp(computer.idleIntegral + 0.05 * under * stepS, 0, 40);
  const idle = Math.max(0, computer.idleIntegral + 0.09 * under);
  const { idleRpm, governedRpm } = family;
  const wantedRpm = idleRpm + (governedRpm - idleRpm) * controls.pedal;
  const droop = 0.16 * governedRpm;
  const pedal = MOST_FUEL * clamp((wantedRpm - seen.rpm) / droop, 0, 1) * computer.powerLimit;
  computer.demandShare = Math.max(idle, pedal) / MOST_FUEL;
  const perCycle = (family.displacementL * Math.max(seen.rpm, 200)) / 120 / 1000;
  // A meter that shows far less than the manifold's pressure calls for is not believed.
  const byPressure = (0.85 * 348 * seen.manifoldMbar) / (seen.intakeC + 273.15);
  const airMgPerLCycle = Math.max(seen.airGPerS / perCycle, 0.55 * byPressure);
  return Math.min(Math.max(idle, pedal), Math.max(airMgPerLCycle / SMOKE_LIMIT, 14), MOST_FUEL);
}

/** Boost that the computer asks for, mbar above the barometer. */
export const boostTarget = (family: BenchFamily, rpm: number, loadShare: number): number =>
  family.boostMbar * loadShare ** 1.2 * clamp(rpm / (0.4 * family.governedRpm), 0.3, 1);

/** Set by load and speed; under load trimmed until the boost is there. */
function vanes(
  family: BenchFamily,
  computer: Computer,
  seen: Seen,
  loadShare: number,
  stepS: number,
): number {
  const base = 0.55 - 0.4 * loadShare - 0.15 * (seen.rpm / family.governedRpm);
  if (loadShare > 0.35) {
    const missing = boostTarget(family, seen.rpm, loadShare) - (seen.manifoldMbar - seen.barometerMbar);
    computer.boostTrim = clamp(computer.boostTrim + 0.0008 * missing * stepS, -0.45, 0.55);
    return clamp(base + computer.boostTrim + 0.0002 * missing, 0, 1);
  }
  computer.boostTrim *= 1 - Math.min(1, stepS / 4);
  return clamp(base, 0, 1);
}

/** Fuel into the exhaust that should bring the gas before the filter to its target, g/s. */
function dosing(family: BenchFamily, scale: Scale, computer: Computer, seen: Seen, stepS: number): number {
  const { regeneration } = computer;
  // Below the catalyst's light-off fuel would only make white smoke.
  if (seen.egt2C < 215) return 0;
  const missing = family.regenTargetC - seen.egt3C;
  regeneration.dosingTrim = clamp(regeneration.dosingTrim + 0.0006 * missing * stepS, -0.5, 0.6);
  const feedForward = (seen.airGPerS * 1.08 * Math.max(0, family.regenTargetC - seen.egt2C)) / 42_600;
  const most = 1.1 * scale.size;
  return clamp(feedForward * (1 + regeneration.dosingTrim) + 0.0004 * missing * scale.size, 0, most);
}
