import { speedDensityGPerS, type FilterSize } from '../../filter/index.ts';
import { type ReadingSample } from '../../ledger/index.ts';
import type { Limits } from '../../limits/index.ts';

/** What of a reading is judged by its size. */
export interface MeasuredReading {
  readonly samples: readonly ReadingSample[];
  readonly barometerMbar?: number | undefined;
  readonly sootCounterG?: number | undefined;
  readonly sootPercent?: number | undefined;
}

export interface MeasuredVehicle {
  readonly displacementL?: number;
  /** As entered, or as the family has it; else the class of the engine stands for it. */
  readonly geometry?: FilterSize;
}

/** From here on a speed is no idle any more, rpm. */
export const RAISED_RPM = 1500;

/** Spread of what is called for: with the manifold pressure, and with that of the air in its place. */
const AIR_BY_MANIFOLD = 0.06;
const AIR_BY_BAROMETER = 0.2;

/** Metered air over what is called for, the middle of all holds. */
export function airRatio(
  { samples, barometerMbar }: MeasuredReading,
  { displacementL }: MeasuredVehicle,
  limits: Limits,
  manifoldTrust: number,
): { readonly ratio: number; readonly doubt: number } | undefined {
  if (displacementL === undefined) return undefined;
  const airMbar = barometerMbar ?? 1013;
  const ratios = samples.flatMap(({ kind, rpm, airMassGPerS, manifoldMbar, intakeAirC }) => {
    if (airMassGPerS === undefined || rpm < RAISED_RPM || kind === 'snap') return [];
    const called = speedDensityGPerS({
      displacementL,
      rpm,
      manifoldMbar: airMbar + manifoldTrust * ((manifoldMbar ?? airMbar) - airMbar),
      manifoldC: intakeAirC ?? 35,
      volumetricEfficiency: limits.volumetricEfficiency,
    });
    return called.ok
      ? [{ log: Math.log(airMassGPerS / called.value), known: manifoldMbar !== undefined }]
      : [];
  });
  if (ratios.length === 0) return undefined;
  const mean = ratios.reduce((sum, { log }) => sum + log, 0) / ratios.length;
  const known = ratios.every((one) => one.known) ? manifoldTrust : 0;
  return { ratio: Math.exp(mean), doubt: AIR_BY_BAROMETER - known * (AIR_BY_BAROMETER - AIR_BY_MANIFOLD) };
}
