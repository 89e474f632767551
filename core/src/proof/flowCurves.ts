import { say, type Said } from '../words/index.ts';
import {
  conditionWithDrive,
  filterVolumeL,
  outletFlowM3PerH,
  pressureDrop,
  pressureFromFit,
  type FilterGeometry,
  type FlowCondition,
  type FlowFit,
} from '../filter/index.ts';
import { STANDARD_PRESSURE_PA } from '../quantities/index.ts';
import type { CloudPoint } from './readingPoints.ts';

export interface CurvePoint {
  readonly flowM3PerH: number;
  readonly dpMbar: number;
}

export interface FlowCurve {
  readonly label: Said;
  readonly points: readonly CurvePoint[];
}

const STEPS = 24;

/** The gas at a flow on the chart's axis: one temperature, standard pressure behind the filter. */
function conditionAt(flowM3PerH: number, temperatureC: number): FlowCondition {
  const perKg = outletFlowM3PerH({ exhaustKgPerS: 1, temperatureC, outletPressurePa: STANDARD_PRESSURE_PA });
  return { exhaustKgPerS: flowM3PerH / perKg, temperatureC, outletPressurePa: STANDARD_PRESSURE_PA };
}

const conditionsUpTo = (
  maxFlowM3PerH: number,
  temperatureC: number,
): { flowM3PerH: number; gas: FlowCondition }[] =>
  Array.from({ length: STEPS + 1 }, (_, i) => (maxFlowM3PerH * i) / STEPS).map((flowM3PerH) => ({
    flowM3PerH,
    gas: conditionAt(flowM3PerH, temperatureC),
  }));

/**
 * A measured point on the chart's axis: the flow that would drive the filter equally hard at the chart's temperature.
 * Without this, a cloud that was read while the filter warmed up would lean away from its own curve.
 */
export const onFlowAxis = ({ drive, dpMbar }: CloudPoint, temperatureC: number): CurvePoint => ({
  flowM3PerH: outletFlowM3PerH(conditionWithDrive(drive, temperatureC, STANDARD_PRESSURE_PA)),
  dpMbar,
});

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
    for (const { flowM3PerH, gas } of conditionsUpTo(maxFlowM3PerH, temperatureC)) {
      const drop = pressureDrop(geometry, { sootG: load * volumeL, ashG: 0 }, gas);
      if (!drop.ok) return [];
      points.push({ flowM3PerH, dpMbar: drop.value.totalMbar });
    }
    return [{ label: load === 0 ? say('chart.clean') : say('chart.load', { gPerL: load }), points }];
  });
}

/** The fitted curve of a reading over the same axis. */
export const fittedCurve = (
  fit: FlowFit,
  label: Said,
  temperatureC: number,
  maxFlowM3PerH: number,
): FlowCurve => ({
  label,
  points: conditionsUpTo(maxFlowM3PerH, temperatureC).map(({ flowM3PerH, gas }) => ({
    flowM3PerH,
    dpMbar: pressureFromFit(fit, gas).dpMbar,
  })),
});
