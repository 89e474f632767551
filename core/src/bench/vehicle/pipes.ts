import { approach } from '../../quantities/index.ts';
import type { BenchFamily } from '../families.ts';
import type { Plant } from './plant.ts';
import type { Wear } from './wear.ts';

/** Time constant of an open pipe of usual bore and length with its sensor's small volume, s. */
const OPEN_PIPE_S = 0.08;
/** Pressure difference at which the flow in the pipe is no longer laminar, mbar. */
const TURBULENT_MBAR = 60;

/**
 * Time constant of a pipe whose bore is open by so much, s: its resistance goes with the inverse square of what is open,
 * and for larger differences, where the flow is turbulent, with their root. Without an opening it is without end.
 * Worked value: open 0.2 at a small difference → 2 s.
 */
export const pipeTimeS = (open: number, differenceMbar: number): number =>
  open <= 0.02
    ? Number.POSITIVE_INFINITY
    : (OPEN_PIPE_S / (open * open)) * Math.sqrt(1 + Math.abs(differenceMbar) / TURBULENT_MBAR);

/** The pressure at the sensor's end after a step. */
function follow(atSensor: number, atPort: number, open: number, stepS: number): number {
  const timeS = pipeTimeS(open, atPort - atSensor);
  return timeS === Number.POSITIVE_INFINITY
    ? atSensor
    : atSensor + (atPort - atSensor) * approach(stepS, timeS);
}

/** Pressure at the two taps of the ΔP sensor, mbar above the air outside. */
export function tapPressures(
  family: BenchFamily,
  { exhaust, barometerMbar }: Plant,
): { high: number; low: number } {
  const high = family.dpTaps === 'filter' ? exhaust.beforeFilterMbar : exhaust.afterTurbineMbar;
  return {
    high: high - barometerMbar,
    low: family.dpLowSide === 'pipe' ? exhaust.afterFilterMbar - barometerMbar : 0,
  };
}

export function stepPipes(family: BenchFamily, plant: Plant, wear: Wear, stepS: number): void {
  const { pipes, exhaust, air, barometerMbar } = plant;
  const high =
    (family.dpTaps === 'filter' ? exhaust.beforeFilterMbar : exhaust.afterTurbineMbar) - barometerMbar;
  const low = family.dpLowSide === 'pipe' ? exhaust.afterFilterMbar - barometerMbar : 0;
  pipes.high = follow(pipes.high, high * (1 - wear.highHoseLeak), wear.highPipeOpen, stepS);
  pipes.low = follow(pipes.low, low, wear.lowPipeOpen, stepS);
  const before = (exhaust.beforeTurbineMbar - barometerMbar) * (1 - wear.backPressurePipeLeak);
  pipes.backPressure = follow(pipes.backPressure, before, wear.backPressurePipeOpen, stepS);
  pipes.manifold = follow(pipes.manifold, air.manifoldMbar, wear.manifoldPipeOpen, stepS);
}
