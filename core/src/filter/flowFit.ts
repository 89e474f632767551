import { say } from '../words/index.ts';
import {
  AIR_GAS_CONSTANT,
  failed,
  gasViscosityPaS,
  kelvin,
  success,
  type Result,
} from '../quantities/index.ts';

/** One steady reading in the coordinates of the pressure-drop law. */
export interface FlowPoint {
  /** μQ, Pa·m³. */
  readonly viscous: number;
  /** ρQ², kg·m³/s². */
  readonly inertial: number;
  readonly dpMbar: number;
  /** Standard deviation of this point, mbar; the weight is 1/sd². */
  readonly sdMbar: number;
}

export interface FlowFit {
  /** Viscous coefficient, 1/m³. */
  readonly a: number;
  /** Inertial coefficient, 1/m⁴. */
  readonly b: number;
  readonly r2: number;
  /** Covariance of (a, b): aa, ab, bb. Scaled up by the residuals where they exceed the stated spreads. */
  readonly covariance: readonly [number, number, number];
  readonly points: number;
  readonly degrees: number;
}

const PA_PER_MBAR = 100;

/**
 * Weighted least squares of ΔP = a·μQ + b·ρQ² with a, b ≥ 0, for filters of unknown size and for comparing two
 * states of one filter at the same flow. Where the best unconstrained answer has a negative coefficient, that one is 0.
 *
 * The two columns are scaled before solving, as μQ and ρQ² differ by three orders of magnitude.
 * Needs a point with flow; with one flow only, a alone is found (b = 0).
 * Worked value: points made with a = 1e8, b = 2e5 give these back.
 */
export function fitFlow(points: readonly FlowPoint[]): Result<FlowFit> {
  const usable = points.filter(
    (p) =>
      p.viscous > 0 && p.sdMbar > 0 && [p.viscous, p.inertial, p.dpMbar, p.sdMbar].every(Number.isFinite),
  );
  if (usable.length === 0) {
    return failed({
      code: 'not-enough-data',
      field: 'samples',
      requirement: say('failures.no-reading-with-flow'),
      value: points.length,
    });
  }
  const scale1 = Math.max(...usable.map((p) => p.viscous));
  const scale2 = Math.max(...usable.map((p) => p.inertial), Number.MIN_VALUE);
  let s11 = 0;
  let s12 = 0;
  let s22 = 0;
  let s1y = 0;
  let s2y = 0;
  for (const p of usable) {
    const weight = 1 / p.sdMbar ** 2;
    const x1 = p.viscous / scale1;
    const x2 = p.inertial / scale2;
    s11 += weight * x1 * x1;
    s12 += weight * x1 * x2;
    s22 += weight * x2 * x2;
    s1y += weight * x1 * p.dpMbar;
    s2y += weight * x2 * p.dpMbar;
  }
  const determinant = s11 * s22 - s12 * s12;
  let c1 = 0;
  let c2 = 0;
  let covariance: [number, number, number];
  // One flow only makes both columns parallel: the determinant then is rounding, judged against the product.
  const separable = usable.length > 1 && determinant > 1e-6 * s11 * s22;
  const free1 = separable ? (s22 * s1y - s12 * s2y) / determinant : -1;
  const free2 = separable ? (s11 * s2y - s12 * s1y) / determinant : -1;
  let parameters = 2;
  if (separable && free1 >= 0 && free2 >= 0) {
    c1 = free1;
    c2 = free2;
    covariance = [s22 / determinant, -s12 / determinant, s11 / determinant];
  } else {
    parameters = 1;
    const cost = (k1: number, k2: number): number =>
      k1 * k1 * s11 + 2 * k1 * k2 * s12 + k2 * k2 * s22 - 2 * (k1 * s1y + k2 * s2y);
    const only1 = Math.max(s1y / s11, 0);
    const only2 = Math.max(s2y / s22, 0);
    if (!separable || cost(only1, 0) <= cost(0, only2)) {
      c1 = only1;
      covariance = [1 / s11, 0, 0];
    } else {
      c2 = only2;
      covariance = [0, 0, 1 / s22];
    }
  }

  let chi2 = 0;
  let residual = 0;
  let total = 0;
  let weightSum = 0;
  let weightedMean = 0;
  for (const p of usable) {
    weightSum += 1 / p.sdMbar ** 2;
    weightedMean += p.dpMbar / p.sdMbar ** 2;
  }
  weightedMean /= weightSum;
  for (const p of usable) {
    const difference = p.dpMbar - (c1 * p.viscous) / scale1 - (c2 * p.inertial) / scale2;
    chi2 += (difference / p.sdMbar) ** 2;
    residual += (difference / p.sdMbar) ** 2;
    total += ((p.dpMbar - weightedMean) / p.sdMbar) ** 2;
  }
  const degrees = Math.max(usable.length - parameters, 0);
  const inflation = degrees > 0 ? Math.max(1, chi2 / degrees) : 1;
  const toA = PA_PER_MBAR / scale1;
  const toB = PA_PER_MBAR / scale2;
  return success({
    a: c1 * toA,
    b: c2 * toB,
    r2: total > 0 ? Math.max(0, 1 - residual / total) : 1,
    covariance: [
      covariance[0] * toA * toA * inflation,
      covariance[1] * toA * toB * inflation,
      covariance[2] * toB * toB * inflation,
    ],
    points: usable.length,
    degrees,
  });
}

export interface FlowCondition {
  readonly exhaustKgPerS: number;
  readonly temperatureC: number;
  readonly outletPressurePa: number;
}

/**
 * μQ at outlet pressure, Pa·m³: one number for how hard a filter is driven, at any temperature. Readings of different
 * temperatures are set side by side on this axis, since nearly all of ΔP goes with it.
 * Worked value: 0.05 kg/s, 200 °C, 1 atm → 1.73e-6.
 */
export function flowDrive({ exhaustKgPerS, temperatureC, outletPressurePa }: FlowCondition): number {
  const temperatureK = kelvin(temperatureC);
  return (gasViscosityPaS(temperatureK) * exhaustKgPerS * AIR_GAS_CONSTANT * temperatureK) / outletPressurePa;
}

/** The mass flow that drives a filter equally hard at another temperature and outlet pressure; undoes `flowDrive`. */
export function conditionWithDrive(
  drive: number,
  temperatureC: number,
  outletPressurePa: number,
): FlowCondition {
  const perKg = flowDrive({ exhaustKgPerS: 1, temperatureC, outletPressurePa });
  return { exhaustKgPerS: drive / perKg, temperatureC, outletPressurePa };
}

/** Volume flow at outlet pressure, m³/h. */
export const outletFlowM3PerH = ({ exhaustKgPerS, temperatureC, outletPressurePa }: FlowCondition): number =>
  (3600 * exhaustKgPerS * AIR_GAS_CONSTANT * kelvin(temperatureC)) / outletPressurePa;

/**
 * ΔP that a fitted filter shows at a mass flow, temperature and outlet pressure, with its standard deviation from the
 * fit, mbar. As in {@link pressureDrop} the mean pressure makes a quadratic, solved without cancellation.
 */
export function pressureFromFit(fit: FlowFit, at: FlowCondition): { dpMbar: number; sdMbar: number } {
  const temperatureK = kelvin(at.temperatureC);
  const viscosity = gasViscosityPaS(temperatureK);
  const perPressure = at.exhaustKgPerS * AIR_GAS_CONSTANT * temperatureK;
  const k = perPressure * (fit.a * viscosity + fit.b * at.exhaustKgPerS);
  const outlet = at.outletPressurePa;
  const totalPa = (2 * k) / (outlet + Math.sqrt(outlet ** 2 + 2 * k));
  const [aa, ab, bb] = fit.covariance;
  const variance = aa * viscosity ** 2 + 2 * ab * viscosity * at.exhaustKgPerS + bb * at.exhaustKgPerS ** 2;
  return {
    dpMbar: totalPa / PA_PER_MBAR,
    sdMbar: (perPressure * Math.sqrt(Math.max(variance, 0))) / (outlet + totalPa) / PA_PER_MBAR,
  };
}
