import { exhaustMassGPerS, pressureDrop, speedDensityGPerS, type FilterGeometry } from '../filter/index.ts';
import type { ReadingBody, SteadySample } from '../ledger/index.ts';
import { valueOf } from '../quantities/index.ts';

/** The filter and engine of the tests: 2.9 L of brick behind a 2.0 L engine. */
export const FILTER: FilterGeometry = { diameterMm: 154, lengthMm: 155, cpsi: 200, wallMm: 0.305 };
export const DISPLACEMENT_L = 2;

/** Numbers between −1 and 1 that are the same in every run. */
export function seededNoise(seed: number): () => number {
  let state = seed >>> 0 || 1;
  return () => {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    state >>>= 0;
    return (state / 0xffffffff) * 2 - 1;
  };
}

export interface Truth {
  readonly sootG: number;
  readonly ashG?: number;
  readonly geometry?: FilterGeometry;
  readonly zeroMbar?: number;
  /** Relative error of each ΔP figure, e.g. from `seededNoise`. */
  readonly error?: () => number;
  readonly rpm?: readonly number[];
  readonly temperatureC?: number;
}

/** A steady sample as the true filter would show it at a speed without load. */
export function madeSample(truth: Truth, rpm: number): SteadySample {
  const idle = rpm < 1000;
  const filterC = truth.temperatureC ?? (idle ? 150 : 230);
  const airMassGPerS = valueOf(
    speedDensityGPerS({
      displacementL: DISPLACEMENT_L,
      rpm,
      manifoldMbar: 1040,
      manifoldC: 30,
      volumetricEfficiency: 0.87,
    }),
  );
  const drop = valueOf(
    pressureDrop(
      truth.geometry ?? FILTER,
      { sootG: truth.sootG, ashG: truth.ashG ?? 0 },
      {
        exhaustKgPerS: exhaustMassGPerS(airMassGPerS, 52) / 1000,
        temperatureC: filterC,
        outletPressurePa: 101_300,
      },
    ),
  );
  const dpMbar = (truth.zeroMbar ?? 0) + drop.totalMbar * (1 + (truth.error?.() ?? 0));
  return {
    kind: idle ? 'idle' : 'hold',
    rpm,
    dpMbar,
    airMassGPerS,
    manifoldMbar: 1040,
    intakeAirC: 30,
    filterC,
  };
}

/** A reading by hand: zero at key off, then the speeds. */
export function madeReading(purpose: ReadingBody['purpose'], truth: Truth): ReadingBody {
  return {
    kind: 'reading',
    purpose,
    origin: { type: 'hand' },
    barometerMbar: 1013,
    samples: [
      { kind: 'key-off', rpm: 0, dpMbar: truth.zeroMbar ?? 0 },
      ...(truth.rpm ?? [820, 2500, 3000]).map((rpm) => madeSample(truth, rpm)),
    ],
  };
}
