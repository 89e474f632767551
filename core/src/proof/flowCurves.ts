import {
  filterVolumeL,
  pressureDrop,
  pressureFromFit,
  type FilterGeometry,
  type FlowFit,
} from '../filter/index.ts';
import { AIR_GAS_CONSTANT, kelvin } from '../quantities/index.ts';

export interface CurvePoint {
  readonly flowM3PerH: number;
  readonly dpMbar: number;
}

export interface FlowCurve {
  readonly label: string;
  readonly points: readonly CurvePoint[];
}

const STEPS = 24;
const OUTLET_PA = 101_325;

const massFlow = (flowM3PerH: number, temperatureC: number): number =>
  ((flowM3PerH / 3600) * OUTLET_PA) / (AIR_GAS_CONSTANT * kelvin(temperatureC));

const flowsUpTo = (maxFlowM3PerH: number): number[] =>
  Array.from({ length: STEPS + 1 }, (_, i) => (maxFlowM3PerH * i) / STEPS);

/**
 * ΔP over flow for one filter at one temperature, clean and at round soot loads per litre: the ground of the chart.
 * Flow in m³/h at outlet pressure, temperature in °C. Loads that close the channels are left out.
 */
export function filterCurves(
  geometry: FilterGeometry,
  temperatureC: number,
  maxFlowM3PerH: number,
  loadsGPerL: readonly number[] = [0, 2, 4, 6, 8],
): FlowCurve[] {
  const volumeL = filterVolumeL(geometry);
  return loadsGPerL.flatMap((load) => {
    const points: CurvePoint[] = [];
    for (const flowM3PerH of flowsUpTo(maxFlowM3PerH)) {
      const gas = { exhaustKgPerS: massFlow(flowM3PerH, temperatureC), temperatureC };
      const drop = pressureDrop(geometry, { sootG: load * volumeL, ashG: 0 }, gas);
      if (!drop.ok) return [];
      points.push({ flowM3PerH, dpMbar: drop.value.totalMbar });
    }
    return [{ label: load === 0 ? 'clean' : `${load} g/L`, points }];
  });
}

/** The fitted curve of a reading over the same axis. */
export function fittedCurve(
  fit: FlowFit,
  label: string,
  temperatureC: number,
  maxFlowM3PerH: number,
): FlowCurve {
  return {
    label,
    points: flowsUpTo(maxFlowM3PerH).map((flowM3PerH) => ({
      flowM3PerH,
      dpMbar: pressureFromFit(fit, {
        exhaustKgPerS: massFlow(flowM3PerH, temperatureC),
        temperatureC,
        outletPressurePa: OUTLET_PA,
      }).dpMbar,
    })),
  };
}
