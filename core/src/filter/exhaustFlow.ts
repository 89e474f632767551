import {
  AIR_GAS_CONSTANT,
  MBAR_TO_PA,
  failed,
  firstFailure,
  gasDensityKgPerM3,
  gasViscosityPaS,
  kelvin,
  outOfRange,
  success,
  type Result,
} from '../quantities/index.ts';

/**
 * Fresh air that a four-stroke engine takes in, g/s: VE·V_d·n/120·p_man/(R·T_man), less the recirculated share
 * (Heywood, Internal Combustion Engine Fundamentals, eq. 2.27a, per revolution pair).
 * V_d in litres, n in 1/min, p_man in mbar absolute, T_man in °C. Valid for running engines, 0–8000 rpm.
 * Worked value: 2.0 L, 3000 rpm, 1013 mbar, 25 °C, VE 0.87 → 51.5 g/s.
 */
export function speedDensityGPerS(input: {
  readonly displacementL: number;
  readonly rpm: number;
  readonly manifoldMbar: number;
  readonly manifoldC: number;
  readonly volumetricEfficiency: number;
  readonly recirculatedShare?: number;
}): Result<number> {
  const bad = firstFailure(
    outOfRange('displacementL', input.displacementL, 0.3, 30, 'L'),
    outOfRange('rpm', input.rpm, 0, 8000, 'rpm'),
    outOfRange('manifoldMbar', input.manifoldMbar, 100, 6000, 'mbar absolute'),
    outOfRange('manifoldC', input.manifoldC, -40, 250, '°C'),
    outOfRange('volumetricEfficiency', input.volumetricEfficiency, 0.3, 1.5, ''),
    outOfRange('recirculatedShare', input.recirculatedShare ?? 0, 0, 0.7, ''),
  );
  if (bad) return failed(bad);
  const volumePerS = ((input.displacementL / 1000) * input.rpm) / 120;
  const density = gasDensityKgPerM3(input.manifoldMbar * MBAR_TO_PA, kelvin(input.manifoldC));
  return success(
    input.volumetricEfficiency * volumePerS * density * 1000 * (1 - (input.recirculatedShare ?? 0)),
  );
}

/** Air plus the fuel that burns with it, g/s. Valid for air/fuel 14–120. Worked value: 52 g/s at 52 → 53 g/s. */
export const exhaustMassGPerS = (airGPerS: number, airFuelRatio: number): number =>
  airGPerS * (1 + 1 / airFuelRatio);

/** The flow through the filter as the pressure-drop law needs it. */
export interface FilterFlow {
  readonly exhaustKgPerS: number;
  readonly temperatureC: number;
  readonly outletPressurePa: number;
  /** Volume flow at the filter's mean pressure, m³/h. */
  readonly flowM3PerH: number;
  /** μQ, Pa·m³: the viscous coordinate. */
  readonly viscous: number;
  /** ρQ², kg·m³/s²: the inertial coordinate. */
  readonly inertial: number;
}

/**
 * Volume flow at the filter's mean pressure p_out + ΔP/2, with μQ and ρQ² for the flow fit.
 * kg/s, °C, Pa and the measured mbar in. Valid 0–2 kg/s. Worked value: 0.05 kg/s, 200 °C, 1 atm, 0 mbar → 241.3 m³/h.
 */
export function filterFlow(
  exhaustKgPerS: number,
  temperatureC: number,
  outletPressurePa: number,
  dpMbar: number,
): FilterFlow {
  const temperatureK = kelvin(temperatureC);
  const meanPa = outletPressurePa + (Math.max(dpMbar, 0) * MBAR_TO_PA) / 2;
  const density = meanPa / (AIR_GAS_CONSTANT * temperatureK);
  const flowM3PerS = exhaustKgPerS / density;
  return {
    exhaustKgPerS,
    temperatureC,
    outletPressurePa,
    flowM3PerH: flowM3PerS * 3600,
    viscous: gasViscosityPaS(temperatureK) * flowM3PerS,
    inertial: density * flowM3PerS ** 2,
  };
}
