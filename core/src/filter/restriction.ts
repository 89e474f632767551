import { say } from '../words/index.ts';
import { failed, success, type Result } from '../quantities/index.ts';
import { CLEAN, pressureDrop, type GasState } from './pressureDrop.ts';
import type { FilterGeometry } from './geometry.ts';

export interface Restriction {
  /** Measured ÷ clean at the same flow and temperature; 1 is clean. */
  readonly ratio: number;
  readonly cleanMbar: number;
}

/**
 * Restriction ratio: a measured pressure drop over that of the same filter, clean, at the same mass flow, temperature
 * and outlet pressure. This, not a bare mbar, is what readings at different flows are compared by.
 * Worked value: twice the clean drop → 2.
 */
export function restrictionRatio(
  geometry: FilterGeometry,
  gas: GasState,
  dpMbar: number,
): Result<Restriction> {
  const clean = pressureDrop(geometry, CLEAN, gas);
  if (!clean.ok) return clean;
  if (clean.value.totalMbar < 0.05) {
    return failed({
      code: 'not-enough-data',
      field: 'exhaustKgPerS',
      requirement: say('failures.too-small-for-a-sensor'),
      value: gas.exhaustKgPerS,
    });
  }
  return success({ ratio: dpMbar / clean.value.totalMbar, cleanMbar: clean.value.totalMbar });
}
