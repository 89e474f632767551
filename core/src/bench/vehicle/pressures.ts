import { CLEAN, filterVolumeL, pressureDrop, type FilterState } from '../../filter/index.ts';
import { clamp, kelvin } from '../../quantities/index.ts';
import type { BenchFamily } from '../families.ts';
import { FILTER_CELLS, totalSootG, type Plant } from './plant.ts';
import type { Scale } from './scale.ts';
import type { Wear } from './wear.ts';

/** Grams of fluid per litre of brick that shut half of the channels. */
const HALF_SHUT_G_PER_L = 160;
/** Above this the layer model has left its ground: what comes on top shuts channels. */
const FULL_G_PER_L = 20;

/** Share of the inlet channels that still let gas through. */
export function openShare(family: BenchFamily, { filter }: Plant): number {
  const volumeL = filterVolumeL(family.filter);
  const wet = filter.wetG / volumeL;
  const over = Math.max(0, totalSootG(filter) / volumeL - FULL_G_PER_L);
  return clamp(
    (1 - filter.shutShare) *
      (1 - 0.8 * filter.melted) *
      (1 - wet / (wet + HALF_SHUT_G_PER_L)) *
      (1 / (1 + 0.25 * over)),
    0.06,
    1,
  );
}

/** Soot and ash of the open channels, within the range of the layer model, g. */
export function openLoad(family: BenchFamily, plant: Plant, open: number): FilterState {
  const volumeL = filterVolumeL(family.filter);
  return {
    sootG: Math.min(totalSootG(plant.filter), FULL_G_PER_L * volumeL) * open,
    ashG: Math.min(plant.filter.ashG, 100 * volumeL) * open,
  };
}

/**
 * ΔP of the filter at the gas that passes it, mbar: `core/filter` for the share of the brick that is open, with the part
 * of the gas that does not go through cracks.
 */
export function filterDropMbar(
  family: BenchFamily,
  plant: Plant,
  wear: Wear,
  afterFilterMbar: number,
): number {
  const { exhaust } = plant;
  const flow = ((exhaust.gPerS + exhaust.dosedGPerS) / 1000) * (1 - wear.filterBypass);
  if (flow < 1e-5) return 0;
  const open = openShare(family, plant);
  const gas = {
    exhaustKgPerS: flow,
    temperatureC: meanFilterC(plant),
    outletPressurePa: afterFilterMbar * 100,
  };
  const geometry = { ...family.filter, diameterMm: family.filter.diameterMm * Math.sqrt(open) };
  const loaded = pressureDrop(geometry, openLoad(family, plant, open), gas);
  const drop = loaded.ok ? loaded : pressureDrop(geometry, CLEAN, gas);
  return drop.ok ? drop.value.totalMbar * (loaded.ok ? 1 : 4) : 0;
}

/** Behind the filter, K of p² = p_air² + K·ṁ²·T; mbar², kg/s, K. */
const tailResistance = (family: BenchFamily, scale: Scale): number =>
  (2.2e4 * (family.downstreamBrick ? 1.4 : 1)) / scale.flowSquared;

/** Laminar in the catalyst: ΔP goes with viscosity × volume, so with ṁ·T^1.7 over the pressure, mbar. */
const catalystDropMbar = (family: BenchFamily, flow: number, gasC: number, pressureMbar: number): number =>
  ((170 / family.catalystL) * flow * (kelvin(gasC) / 500) ** 1.7 * 1000) / Math.max(pressureMbar, 500);

/**
 * What a sound line puts between the taps beside the filter, mbar: the catalyst where it lies between them, all that
 * follows where the low side is open to the air. The ECU knows it; a person has to note it.
 */
export function besideFilterMbar(
  family: BenchFamily,
  scale: Scale,
  flow: number,
  gasC: number,
  barometerMbar: number,
): number {
  const after = Math.sqrt(barometerMbar ** 2 + tailResistance(family, scale) * flow * flow * kelvin(gasC));
  return (
    (family.dpLowSide === 'open' ? after - barometerMbar : 0) +
    (family.dpTaps === 'filter' ? 0 : catalystDropMbar(family, flow, gasC, after))
  );
}

export const meanFilterC = ({ exhaust }: Plant): number => {
  let sum = 0;
  for (let i = 0; i < FILTER_CELLS; i++) sum += exhaust.filterC[i] as number;
  return clamp(sum / FILTER_CELLS, -40, 1200);
};

/** How the line is put together at the moment. */
export interface LineState {
  readonly openJoint: 'before-catalyst' | 'before-filter' | 'after-filter' | undefined;
  readonly filterOff: boolean;
}

/** Pressures along the line from the tail towards the engine, mbar absolute. An open joint is at the pressure of the air. */
export function linePressures(
  family: BenchFamily,
  scale: Scale,
  plant: Plant,
  wear: Wear,
  { openJoint, filterOff }: LineState,
): void {
  const { exhaust, filter, barometerMbar } = plant;
  const flow = (exhaust.gPerS + exhaust.dosedGPerS) / 1000;
  const tail = tailResistance(family, scale) * wear.downstreamResistance;
  exhaust.afterFilterMbar =
    openJoint === undefined
      ? Math.sqrt(barometerMbar ** 2 + tail * flow * flow * kelvin(exhaust.tailC))
      : barometerMbar;
  const passesFilter = !filterOff && openJoint !== 'before-filter' && openJoint !== 'before-catalyst';
  filter.deltaPMbar = passesFilter ? filterDropMbar(family, plant, wear, exhaust.afterFilterMbar) : 0;
  exhaust.beforeFilterMbar = exhaust.afterFilterMbar + filter.deltaPMbar;
  const catalyst =
    openJoint === 'before-catalyst'
      ? 0
      : wear.catalystResistance * catalystDropMbar(family, flow, exhaust.gasC[1], exhaust.beforeFilterMbar);
  exhaust.afterTurbineMbar = exhaust.beforeFilterMbar + catalyst;
}
