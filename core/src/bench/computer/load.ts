import { pressureDrop, filterVolumeL, type FilterState } from '../../filter/index.ts';
import type { BenchFamily } from '../families.ts';
import { sootIndex } from '../vehicle/engine.ts';
import { sootRate } from '../vehicle/exhaustLine.ts';
import type { Computer } from './computer.ts';

export interface LoadSeen {
  readonly running: boolean;
  readonly airGPerS: number;
  readonly fuelGPerS: number;
  /** Fuel into the exhaust, g/s. */
  readonly dosedGPerS: number;
  readonly coolantC: number;
  readonly egrPercent: number;
  readonly filterC: number;
  readonly deltaPMbar: number;
  readonly barometerMbar: number;
  /** Whether the computer has a code on what it needs to judge by pressure. */
  readonly pressureTrusted: boolean;
}

/** Flow under which a pressure says too little to judge the load by, g/s per litre of filter. */
const ENOUGH_FLOW_G_PER_S_PER_L = 11;

const at = (family: BenchFamily, state: FilterState, seen: LoadSeen): number => {
  const drop = pressureDrop(family.filter, state, {
    exhaustKgPerS: (seen.airGPerS + seen.fuelGPerS) / 1000,
    temperatureC: seen.filterC,
    outletPressurePa: seen.barometerMbar * 100,
  });
  return drop.ok ? drop.value.totalMbar : 0;
};

/**
 * Soot that would explain the measured pressure, by straight lines between what the computer's own map has for an empty
 * filter, 5 and 15 g/L, g. Undefined at too small a flow.
 */
export function sootByPressure(family: BenchFamily, ashG: number, seen: LoadSeen): number | undefined {
  const volumeL = filterVolumeL(family.filter);
  if (seen.airGPerS < ENOUGH_FLOW_G_PER_S_PER_L * volumeL || !seen.pressureTrusted) return undefined;
  const [empty, some, much] = [0, 5, 15].map((load) => at(family, { sootG: load * volumeL, ashG }, seen)) as [
    number,
    number,
    number,
  ];
  const { deltaPMbar } = seen;
  if (deltaPMbar <= empty) return 0;
  const litresLoad =
    deltaPMbar < some
      ? (5 * (deltaPMbar - empty)) / (some - empty)
      : 5 + (10 * (deltaPMbar - some)) / (much - some);
  return Math.min(litresLoad, 30) * volumeL;
}

/**
 * A second of the soot counter: soot by the model of a sound engine, less what the measured temperatures should burn;
 * drawn upwards by the pressure where that says more.
 */
export function countSoot(family: BenchFamily, computer: Computer, seen: LoadSeen, seconds: number): void {
  if (!seen.running) return;
  const airToFuel = seen.airGPerS / Math.max(seen.fuelGPerS, 0.02);
  const made =
    seen.fuelGPerS * sootIndex(airToFuel, Math.min(0.4, seen.egrPercent / 160), seen.coolantC) * 0.985;
  const used = (14.5 * (seen.fuelGPerS + seen.dosedGPerS)) / Math.max(seen.airGPerS, 0.1);
  const oxygen = 0.209 * Math.max(0.02, 1 - used);
  const rate = sootRate(family, seen.filterC) * oxygen;
  const burns = computer.modelSootG * Math.min(rate * seconds, 1);
  computer.modelSootG = Math.max(0, computer.modelSootG + made * seconds - burns);
  computer.ashG += made * 0.004 * seconds;
  computer.sootG = Math.max(
    0,
    computer.sootG + made * seconds - computer.sootG * Math.min(rate * seconds, 1),
  );
  const byPressure = sootByPressure(family, computer.ashG, seen);
  computer.pressureSootG = byPressure ?? computer.pressureSootG;
  if (byPressure !== undefined && byPressure > computer.sootG)
    computer.sootG += ((byPressure - computer.sootG) * seconds) / 90;
}
