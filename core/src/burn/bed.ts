import {
  DEFAULT_FILTER_CONSTANTS,
  filterCells,
  loadedChannels,
  type FilterGeometry,
  type FilterMaterial,
} from '../filter/index.ts';
import type { Limits } from '../limits/index.ts';
import { success, type Result } from '../quantities/index.ts';

/**
 * What the wall of a brick is made of, at some 600 °C. Starting values for porous walls of 40–50 %; the density has the plugs
 * at both ends in it, and for silicon carbide the cement between its segments.
 */
interface WallMaterial {
  readonly densityKgPerM3: number;
  readonly heatJPerKgK: number;
  readonly conductivityWPerMK: number;
}

const WALLS: Readonly<Record<FilterMaterial, WallMaterial>> = {
  'silicon-carbide': { densityKgPerM3: 2150, heatJPerKgK: 1120, conductivityWPerMK: 12 },
  cordierite: { densityKgPerM3: 1430, heatJPerKgK: 1100, conductivityWPerMK: 1 },
  'aluminium-titanate': { densityKgPerM3: 1930, heatJPerKgK: 1050, conductivityWPerMK: 1.5 },
  // What is not known is taken for the lighter one, which runs hotter.
  unknown: { densityKgPerM3: 1430, heatJPerKgK: 1100, conductivityWPerMK: 1 },
};

const ASH_HEAT_J_PER_KG_K = 1000;
/** Laminar flow in a square duct. */
const NUSSELT = 3.6;
/** Of exhaust at some 500 °C, W/(m·K). */
const GAS_CONDUCTIVITY = 0.058;
/** Mat, can and the air around it, W/(m²·K) of the brick's outside. */
const CAN_LOSS_W_PER_M2_K = 20;

/** Specific heat of exhaust at some 500 °C, J/(kg·K). */
export const EXHAUST_HEAT_J_PER_KG_K = 1100;

/** A brick for the burn model: what it takes up, passes on and gives away. Whole brick, not per cell. */
export interface Bed {
  readonly lengthM: number;
  /** Of the substrate, J/K. */
  readonly capacityJPerK: number;
  /** Of the ash in it, J/K. */
  readonly ashCapacityJPerK: number;
  /** Between gas and wall, h·S, W/K. */
  readonly transferWPerK: number;
  /** Conduction along the brick over its length, k·A/L, W/K. */
  readonly conductionWPerK: number;
  /** To the surroundings, W/K. */
  readonly lossWPerK: number;
  /** Share of the length, from the inlet, that is not plugged by ash: soot lies there. */
  readonly openShare: number;
}

/**
 * A brick from its size, material and ash. Solid share of the face 1 − a²/(a+w)², exchange surface 4a/(a+w)² per
 * volume with Nu = 3.6 (laminar, square duct). Worked value: 144 × 152 mm, 200/0.305, silicon carbide → 1.85 kJ/K.
 * @returns a failure for a size that does not exist or ash that fills the channels
 */
export function bedOf(geometry: FilterGeometry, material: FilterMaterial, ashG: number): Result<Bed> {
  const cells = filterCells(geometry);
  if (!cells.ok) return cells;
  const loaded = loadedChannels(cells.value, { sootG: 0, ashG }, DEFAULT_FILTER_CONSTANTS);
  if (!loaded.ok) return loaded;
  const { channelM: a, wallM, lengthM, volumeM3 } = cells.value;
  const wall = WALLS[material];
  const solidShare = 1 - a ** 2 / (a + wallM) ** 2;
  const faceM2 = volumeM3 / lengthM;
  return success({
    lengthM,
    capacityJPerK: volumeM3 * solidShare * wall.densityKgPerM3 * wall.heatJPerKgK,
    ashCapacityJPerK: (ashG / 1000) * ASH_HEAT_J_PER_KG_K,
    transferWPerK: ((NUSSELT * GAS_CONDUCTIVITY) / a) * ((4 * a) / (a + wallM) ** 2) * volumeM3,
    conductionWPerK: (wall.conductivityWPerMK * solidShare * faceM2) / lengthM,
    lossWPerK: CAN_LOSS_W_PER_M2_K * Math.PI * (geometry.diameterMm / 1000) * lengthM,
    openShare: loaded.value.lengthM / lengthM,
  });
}

/** What the bed stands by the limits profile: °C, and °C per cm along it. */
export function bedLimits(
  limits: Limits,
  material: FilterMaterial,
): { peakC: number; gradientCPerCm: number } {
  return material === 'silicon-carbide'
    ? { peakC: limits.bedLimitSiliconCarbideC, gradientCPerCm: limits.bedGradientSiliconCarbideCPerCm }
    : { peakC: limits.bedLimitOtherC, gradientCPerCm: limits.bedGradientOtherCPerCm };
}
