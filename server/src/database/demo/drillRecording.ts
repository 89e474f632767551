import {
  pressureDrop,
  speedDensityGPerS,
  type FilterGeometry,
  type FilterState,
} from '@white-ember/core/filter';
import { valueOf } from '@white-ember/core/quantities';

/** Repeatable noise: mulberry32, a small generator whose sequence depends on the seed alone. */
export function seededRandom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

export interface Drill {
  readonly geometry: FilterGeometry;
  readonly displacementL: number;
  readonly idleRpm: number;
  readonly filter: FilterState;
  readonly seed: number;
  /** What the ΔP sensor adds at rest, mbar. */
  readonly zeroMbar?: number;
  /** Share of the air that the meter sees; less than 1 with a leak behind it. */
  readonly meteredShare?: number;
  /** A ΔP sensor that stays at its zero. */
  readonly deadSensor?: boolean;
  readonly sootCounterG: number;
}

const STEP_S = 0.25;
const HEADER =
  'Time (s),Engine speed (rpm),DPF differential pressure (mbar),Boost pressure absolute (mbar),Barometric pressure (mbar),Mass air flow (g/s),EGT pre-DPF (degC),EGT post-DPF (degC),Coolant temperature (degC),Intake air temperature (degC),DPF soot mass (g)';

/** Engine speed wanted over time: key on, idle, 2500, 3000, snaps, idle, key off. */
function wantedRpm(t: number, idle: number): number {
  if (t < 12) return 0;
  if (t < 60) return idle;
  if (t < 95) return 2500;
  if (t < 140) return 3000;
  if (t < 152) return t % 4 < 1.2 ? 3400 : idle;
  if (t < 185) return idle;
  return 0;
}

/**
 * A baseline drill as a scan tool would record it, from the real formulas: air by speed–density, ΔP by the wall-flow
 * law at that flow and temperature, a foot that wanders, sensors with steps and noise. Text as CSV.
 */
export function drillRecording(drill: Drill): string {
  const random = seededRandom(drill.seed);
  const noise = (sd: number): number => sd * (random() + random() + random() + random() - 2) * Math.sqrt(3);
  const lines = [HEADER];
  let rpm = 0;
  let wander = 0;
  let beforeC = 92;
  let afterC = 98;
  const barometer = 1009;
  for (let t = 0; t < 196; t += STEP_S) {
    const wanted = wantedRpm(t, drill.idleRpm);
    wander += -wander * 0.12 + noise(wanted > 2000 ? 14 : wanted > 0 ? 2 : 0);
    const aim = wanted === 0 ? 0 : wanted + wander;
    rpm += (aim - rpm) * (wanted === 0 ? 0.75 : 0.45);
    if (rpm < 40) rpm = 0;
    const share = rpm / 3000;
    const manifold = barometer + 130 * share ** 2;
    const air =
      rpm === 0
        ? 0
        : valueOf(
            speedDensityGPerS({
              displacementL: drill.displacementL,
              rpm,
              manifoldMbar: manifold,
              manifoldC: 34,
              volumetricEfficiency: 0.87,
            }),
          );
    const targetC = rpm === 0 ? 90 : 118 + 150 * share;
    beforeC += ((targetC - beforeC) * STEP_S) / 22;
    afterC += ((beforeC - afterC) * STEP_S) / 38;
    const drop = valueOf(
      pressureDrop(drill.geometry, drill.filter, {
        exhaustKgPerS: (air * (1 + 1 / 52)) / 1000,
        temperatureC: (beforeC + afterC) / 2,
        outletPressurePa: barometer * 100,
      }),
    ).totalMbar;
    const dp = (drill.zeroMbar ?? 0) + (drill.deadSensor ? 0 : drop * (1 + noise(0.018)) + noise(0.12));
    lines.push(
      [
        t.toFixed(2),
        Math.max(0, rpm + (rpm > 0 ? noise(4) : 0)).toFixed(0),
        dp.toFixed(1),
        (manifold + noise(2)).toFixed(0),
        String(barometer),
        Math.max(0, air * (drill.meteredShare ?? 1) * (1 + noise(0.012)) + noise(0.02)).toFixed(2),
        beforeC.toFixed(1),
        afterC.toFixed(1),
        (82 + noise(0.2)).toFixed(1),
        (27 + noise(0.2)).toFixed(1),
        drill.sootCounterG.toFixed(1),
      ].join(','),
    );
  }
  return `${lines.join('\n')}\n`;
}
