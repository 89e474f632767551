import { say } from '../words/index.ts';
import { failed, outOfRange, success, type Result } from '../quantities/index.ts';
import type { SizeDoubt } from './filterSize.ts';
import { filterVolumeL, SOOT_CAP_G_PER_L, type FilterGeometry } from './geometry.ts';
import {
  DEFAULT_FILTER_CONSTANTS,
  pressureDrop,
  type FilterConstants,
  type GasState,
} from './pressureDrop.ts';

export interface SootEstimate {
  readonly sootG: number;
  readonly lowG: number;
  readonly highG: number;
  /** True when the pressure is higher than the cap explains: ash, another restriction or a sensor is likely. */
  readonly capped: boolean;
  /** True when the pressure lies below that of the clean filter: the reading or the size is doubtful. */
  readonly belowClean: boolean;
}

/**
 * Relative doubts that make the interval: soot layer permeability differs by some 30 % between engines, wall
 * permeability by 25 % between makes; the reading itself is added by the caller. Assumptions, 90 %.
 */
const Z90 = 1.645;
const SOOT_PERMEABILITY_DOUBT = 0.3;
const WALL_PERMEABILITY_DOUBT = 0.25;

export interface SootQuestion {
  readonly geometry: FilterGeometry;
  readonly gas: GasState;
  readonly dpMbar: number;
  readonly ashG?: number;
  /** Doubt of the reading, mbar (90 %). */
  readonly dpDoubtMbar?: number;
  /** How far its size may be off, where nobody entered it. */
  readonly size?: Pick<SizeDoubt, 'cleanSd' | 'mostLess'> | undefined;
  readonly constants?: FilterConstants;
}

/** Soot by bisection and regula falsi on the monotonic pressure drop; grams, within so much of the cap. */
function solve(
  question: SootQuestion,
  dpMbar: number,
  constants: FilterConstants,
  within: number,
): Result<number> {
  const ashG = question.ashG ?? 0;
  const dpAt = (sootG: number): Result<number> => {
    const drop = pressureDrop(question.geometry, { sootG, ashG }, question.gas, constants);
    return drop.ok ? success(drop.value.totalMbar) : drop;
  };
  let high = SOOT_CAP_G_PER_L * filterVolumeL(question.geometry);
  const clean = dpAt(0);
  if (!clean.ok) return clean;
  if (dpMbar <= clean.value) return success(0);
  // With much ash the channels close before the cap: the cap then is the largest load that still fits.
  let top = dpAt(high);
  while (!top.ok && high > 0.05) {
    high *= 0.9;
    top = dpAt(high);
  }
  if (!top.ok) return top;
  if (dpMbar >= top.value) return success(high);
  let low = 0;
  let fLow = clean.value - dpMbar;
  let fHigh = top.value - dpMbar;
  const tolerance = within * high;
  for (let i = 0; i < 100 && high - low > tolerance; i++) {
    // Illinois variant by turns with bisection: fast, and never slower than bisection alone.
    const guess = i % 2 === 0 ? (low * fHigh - high * fLow) / (fHigh - fLow) : (low + high) / 2;
    const at = dpAt(guess);
    if (!at.ok) return at;
    const f = at.value - dpMbar;
    if (Math.abs(f) < 1e-9 * dpMbar) return success(guess);
    if (f > 0) {
      high = guess;
      fHigh = f;
    } else {
      low = guess;
      fLow = f;
    }
  }
  return success((low + high) / 2);
}

/**
 * Soot load from a pressure drop: the inverse of {@link pressureDrop} with a 90 % interval from the doubts of
 * permeability, reading and size, each carried through on its own and added in quadrature. Capped at 20 g/L.
 *
 * mbar in, g out. Valid for flows above 0 (a pressure at rest says nothing about soot).
 * Worked value: 144×152/200/0.305, 0.045 kg/s, 150 °C, 13.07 mbar → 4.9 g.
 */
export function sootFromPressure(question: SootQuestion): Result<SootEstimate> {
  const constants = question.constants ?? DEFAULT_FILTER_CONSTANTS;
  const bad =
    outOfRange('dpMbar', question.dpMbar, -50, 3000, 'mbar') ??
    outOfRange('dpDoubtMbar', question.dpDoubtMbar ?? 0, 0, 3000, 'mbar') ??
    outOfRange('cleanSd', question.size?.cleanSd ?? 0, 0, 3, 'of the logarithm');
  if (bad) return failed(bad);
  if (question.gas.exhaustKgPerS <= 0) {
    return failed({
      code: 'not-enough-data',
      field: 'exhaustKgPerS',
      requirement: say('failures.no-flow-no-soot'),
      value: question.gas.exhaustKgPerS,
    });
  }
  const clean = pressureDrop(
    question.geometry,
    { sootG: 0, ashG: question.ashG ?? 0 },
    question.gas,
    constants,
  );
  if (!clean.ok) return clean;
  const centre = solve(question, question.dpMbar, constants, 1e-6);
  if (!centre.ok) return centre;

  const capG = SOOT_CAP_G_PER_L * filterVolumeL(question.geometry);
  const shifted = (dpMbar: number, changed: Partial<FilterConstants>): number => {
    // The ends of an interval stand for doubts of a quarter and more.
    const answer = solve(question, Math.min(Math.max(dpMbar, -50), 3000), { ...constants, ...changed }, 1e-4);
    return answer.ok ? answer.value : centre.value;
  };
  const doubt = question.dpDoubtMbar ?? 0;
  // A filter that shows twice as much when clean is one on which half of it was read.
  const { cleanSd = 0, mostLess = Number.POSITIVE_INFINITY } = question.size ?? {};
  const sizeTimes = Math.exp(Z90 * cleanSd);
  const less = [
    shifted(question.dpMbar, {
      sootPermeabilityM2: constants.sootPermeabilityM2 * (1 - SOOT_PERMEABILITY_DOUBT),
    }),
    shifted(question.dpMbar, {
      wallPermeabilityM2: constants.wallPermeabilityM2 * (1 - WALL_PERMEABILITY_DOUBT),
    }),
    shifted(question.dpMbar - doubt, {}),
    shifted(question.dpMbar / sizeTimes, {}),
  ];
  const more = [
    shifted(question.dpMbar, {
      sootPermeabilityM2: constants.sootPermeabilityM2 * (1 + SOOT_PERMEABILITY_DOUBT),
    }),
    shifted(question.dpMbar, {
      wallPermeabilityM2: constants.wallPermeabilityM2 * (1 + WALL_PERMEABILITY_DOUBT),
    }),
    shifted(question.dpMbar + doubt, {}),
    shifted(question.dpMbar * Math.min(sizeTimes, mostLess), {}),
  ];
  const spread = (values: number[]): number => Math.hypot(...values.map((value) => value - centre.value));
  return success({
    sootG: centre.value,
    lowG: Math.max(0, centre.value - spread(less)),
    highG: Math.min(capG, centre.value + spread(more)),
    capped: centre.value >= capG * (1 - 1e-6) || centre.value + spread(more) >= capG,
    belowClean: question.dpMbar < clean.value.totalMbar,
  });
}
