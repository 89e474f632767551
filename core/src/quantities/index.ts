export { failed, firstFailure, outOfRange, success, valueOf, type Failure, type Result } from './result.ts';
export {
  DISTANCE_UNITS,
  MASS_FLOW_UNITS,
  PRESSURE_UNITS,
  TEMPERATURE_UNITS,
  UNITS,
  fromBase,
  parseUnit,
  pressureFigure,
  pressureText,
  quantityOf,
  toBase,
  plainLabel,
  unitLabel,
  withoutMinusZero,
  type Quantity,
  type Unit,
} from './units.ts';
export {
  AIR_GAS_CONSTANT,
  MBAR_TO_PA,
  STANDARD_PRESSURE_PA,
  ZERO_CELSIUS_K,
  gasDensityKgPerM3,
  gasViscosityPaS,
  kelvin,
  standardBarometerMbar,
} from './gas.ts';
export {
  correlation,
  mean,
  median,
  medianSlope,
  quantile,
  standardDeviation,
  studentT90,
} from './statistics.ts';
export { approach, clamp, noise, share } from './noise.ts';
