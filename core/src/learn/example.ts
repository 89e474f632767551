import {
  exhaustMassGPerS,
  filterByEngine,
  filterVolumeL,
  pressureDrop,
  speedDensityGPerS,
  type FilterGeometry,
  type FilterState,
  type GasState,
} from '../filter/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { STANDARD_PRESSURE_PA, valueOf } from '../quantities/index.ts';

/** The filter of an engine of so many litres, as it is assumed on a job where nobody entered its size. */
export function filterOf(engineL: number): FilterGeometry {
  const { size: _size, ...geometry } = filterByEngine(engineL, DEFAULT_LIMITS.filterPerEngineSize);
  return geometry;
}

/** The engine of the examples, L: of a middle van. */
export const ENGINE_L = 2;
/** Its filter, by the class of the engine. */
export const FILTER: FilterGeometry = filterOf(ENGINE_L);
export const FILTER_L = filterVolumeL(FILTER);

/** Warm, in neutral: what the engine draws in, mbar absolute and °C, and its gas in the filter, °C. */
const MANIFOLD_MBAR = 1013;
const MANIFOLD_C = 40;
const { volumetricEfficiency, airFuelRatioUnloaded, filterTempHoldC } = DEFAULT_LIMITS;

/** What silencer and tail hold back at this flow, mbar: with its square. */
const TAIL_MBAR = 25;
const TAIL_AT_KG_PER_S = 0.055;

/** The exhaust of the example in neutral at a speed. Valid 0–5000 rpm. */
export interface Standing {
  readonly exhaustKgPerS: number;
  /** After the filter, mbar above the air outside. */
  readonly outletMbar: number;
}

export function standing(rpm: number): Standing {
  const airGPerS = valueOf(
    speedDensityGPerS({
      displacementL: ENGINE_L,
      rpm,
      manifoldMbar: MANIFOLD_MBAR,
      manifoldC: MANIFOLD_C,
      volumetricEfficiency,
    }),
  );
  const exhaustKgPerS = exhaustMassGPerS(airGPerS, airFuelRatioUnloaded) / 1000;
  return { exhaustKgPerS, outletMbar: TAIL_MBAR * (exhaustKgPerS / TAIL_AT_KG_PER_S) ** 2 };
}

/** The same as the gas that the pressure-drop law is asked with. */
export function gasAt(rpm: number): GasState {
  const { exhaustKgPerS, outletMbar } = standing(rpm);
  return {
    exhaustKgPerS,
    temperatureC: filterTempHoldC,
    outletPressurePa: STANDARD_PRESSURE_PA + 100 * outletMbar,
  };
}

/** Pressure drop of a filter of the examples in neutral at a speed, mbar, and its flow, m³/h. */
export function dropAt(
  rpm: number,
  state: FilterState,
  filter: FilterGeometry = FILTER,
): { readonly mbar: number; readonly flowM3PerH: number } {
  const drop = valueOf(pressureDrop(filter, state, gasAt(rpm)));
  return { mbar: drop.totalMbar, flowM3PerH: drop.flowM3PerH };
}

/** Figures from one end to the other, both included. */
export const steps = (from: number, to: number, count: number): number[] =>
  Array.from({ length: count + 1 }, (_, i) => from + ((to - from) * i) / count);

/** What every example is made of. */
export const EXAMPLE = { engineL: ENGINE_L, filter: FILTER } as const;
