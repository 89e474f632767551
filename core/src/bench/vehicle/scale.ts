import type { BenchFamily } from '../families.ts';

/**
 * Sizes of parts that follow from the size of the engine, against a light 2.0 L engine that breathes 52 g/s at
 * 3000 rpm. Worked out once a vehicle.
 */
export interface Scale {
  /** Displacement over 2.0 L: masses and surfaces go with it. */
  readonly size: number;
  /** Air at 62 % of the governed speed without boost, kg/s: what pipes and turbine are sized for. */
  readonly ratedKgPerS: number;
  /** Squared ratio of the rated flow to that of the 2.0 L engine: resistances go with its inverse. */
  readonly flowSquared: number;
  /** Engine speed at which it is rated, rpm. */
  readonly ratedRpm: number;
}

const REFERENCE_KG_PER_S = 0.052;

export function scaleOf({ displacementL, governedRpm, volumetricEfficiency }: BenchFamily): Scale {
  const ratedRpm = 0.62 * governedRpm;
  const ratedKgPerS = (volumetricEfficiency * displacementL * 1.19 * ratedRpm) / 120 / 1000;
  return {
    size: displacementL / 2,
    ratedKgPerS,
    flowSquared: (ratedKgPerS / REFERENCE_KG_PER_S) ** 2,
    ratedRpm,
  };
}
