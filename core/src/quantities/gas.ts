/** Specific gas constant of air, J/(kg·K). Exhaust of a diesel differs by under 1 %. */
export const AIR_GAS_CONSTANT = 287.05;

/** Standard atmosphere, Pa. Assumed where no barometer was read. */
export const STANDARD_PRESSURE_PA = 101_325;

export const ZERO_CELSIUS_K = 273.15;

export const MBAR_TO_PA = 100;

export const kelvin = (celsius: number): number => celsius + ZERO_CELSIUS_K;

/**
 * Dynamic viscosity of air and lean exhaust gas, Pa·s.
 * Sutherland's law, μ = μ₀·(T/T₀)^1.5·(T₀+S)/(T+S), μ₀ = 1.716e-5 Pa·s at T₀ = 273.15 K, S = 110.4 K
 * (Sutherland, Phil. Mag. 36 (1893) 507; constants as in White, Viscous Fluid Flow). Valid 200–1500 K.
 * Worked value: 600 K → 3.016e-5 Pa·s.
 */
export function gasViscosityPaS(temperatureK: number): number {
  return (
    (1.716e-5 * (temperatureK / ZERO_CELSIUS_K) ** 1.5 * (ZERO_CELSIUS_K + 110.4)) / (temperatureK + 110.4)
  );
}

/** Ideal-gas density, kg/m³. Valid for exhaust at 0.5–5 bar. Worked value: 101325 Pa, 300 K → 1.1766. */
export function gasDensityKgPerM3(pressurePa: number, temperatureK: number): number {
  return pressurePa / (AIR_GAS_CONSTANT * temperatureK);
}

/**
 * Pressure of the standard atmosphere at a height, mbar: p = 1013.25·(1 − 2.25577e-5·h)^5.25588
 * (ISO 2533). Valid −500…11 000 m. Worked value: 1000 m → 898.7 mbar.
 */
export function standardBarometerMbar(altitudeM: number): number {
  return 1013.25 * (1 - 2.25577e-5 * altitudeM) ** 5.25588;
}
