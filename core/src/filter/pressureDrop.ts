import { say } from '../words/index.ts';
import {
  AIR_GAS_CONSTANT,
  STANDARD_PRESSURE_PA,
  failed,
  firstFailure,
  gasViscosityPaS,
  kelvin,
  outOfRange,
  success,
  type Result,
} from '../quantities/index.ts';
import { filterCells, filterVolumeL, type FilterCells, type FilterGeometry } from './geometry.ts';

/** Material constants of the model. Starting values; permeabilities vary by a factor between makes. */
export interface FilterConstants {
  /** Wall permeability k_w, m². */
  readonly wallPermeabilityM2: number;
  /** Soot layer permeability k_s, m². */
  readonly sootPermeabilityM2: number;
  /** Packing density of the soot layer ρ_s, kg/m³. */
  readonly sootDensityKgPerM3: number;
  /** Inlet and outlet loss ζ. */
  readonly contractionLoss: number;
  /** Ash layer permeability, m²: ash packs coarser than soot. */
  readonly ashPermeabilityM2: number;
  /** Packing density of ash, kg/m³. */
  readonly ashDensityKgPerM3: number;
  /** Share of the ash that lies as a plug at the channel end; the rest lies as a layer on the wall. */
  readonly ashPlugShare: number;
}

export const DEFAULT_FILTER_CONSTANTS: FilterConstants = {
  wallPermeabilityM2: 5e-13,
  sootPermeabilityM2: 2e-14,
  sootDensityKgPerM3: 100,
  contractionLoss: 0.8,
  ashPermeabilityM2: 6e-14,
  ashDensityKgPerM3: 350,
  ashPlugShare: 0.6,
};

export interface FilterState {
  readonly sootG: number;
  readonly ashG: number;
}

export const CLEAN: FilterState = { sootG: 0, ashG: 0 };

export interface GasState {
  /** Exhaust mass flow, kg/s. */
  readonly exhaustKgPerS: number;
  /** Gas temperature in the filter, °C. */
  readonly temperatureC: number;
  /** Pressure behind the filter, Pa absolute. */
  readonly outletPressurePa?: number;
}

export interface PressureDrop {
  readonly totalMbar: number;
  readonly wallMbar: number;
  /** Soot and ash layer together. */
  readonly cakeMbar: number;
  readonly channelMbar: number;
  readonly inertialMbar: number;
  /** Thickness of the soot layer, µm. */
  readonly layerUm: number;
  /** Volume flow at the filter's mean pressure and temperature, m³/h. */
  readonly flowM3PerH: number;
  readonly meanPressurePa: number;
}

/** Friction factor of laminar flow in a square duct, F = 28.454 (f·Re = 56.9 / 2). */
const SQUARE_DUCT_FRICTION = 28.454;

/** What load does to the channels: layers on the wall, a plug at the end. */
export interface LoadedChannels {
  readonly lengthM: number;
  readonly volumeM3: number;
  /** Width inside the ash layer, m. */
  readonly ashedWidthM: number;
  /** Width left for the gas, m. */
  readonly openWidthM: number;
  readonly sootLayerM: number;
}

const layerLeaving = (
  widthM: number,
  massKg: number,
  channels: number,
  lengthM: number,
  density: number,
): number => widthM ** 2 - massKg / (channels * lengthM * density);

/**
 * Channel widths under soot and ash: w = ½[a − √(a² − m/(N·L·ρ))], for ash first, soot upon it; the ash plug takes
 * its length off L. Fails when the load would close the channels.
 */
export function loadedChannels(
  cells: FilterCells,
  state: FilterState,
  constants: FilterConstants,
): Result<LoadedChannels> {
  const { channelM, inletChannels } = cells;
  const plugKg = (state.ashG / 1000) * constants.ashPlugShare;
  const plugM = plugKg / (inletChannels * channelM ** 2 * constants.ashDensityKgPerM3);
  const lengthM = cells.lengthM - plugM;
  if (lengthM < 0.15 * cells.lengthM) {
    return failed({
      code: 'impossible',
      field: 'ashG',
      requirement: say('failures.fills-the-channels'),
      value: state.ashG,
    });
  }
  const layerAshKg = state.ashG / 1000 - plugKg;
  const ashedSquare = layerLeaving(channelM, layerAshKg, inletChannels, lengthM, constants.ashDensityKgPerM3);
  const ashedWidthM = Math.sqrt(Math.max(ashedSquare, 0));
  const openSquare = layerLeaving(
    ashedWidthM,
    state.sootG / 1000,
    inletChannels,
    lengthM,
    constants.sootDensityKgPerM3,
  );
  const openWidthM = Math.sqrt(Math.max(openSquare, 0));
  // Below a tenth of the channel the layer model has left its ground: the channel is closed for practical purposes.
  if (openWidthM < 0.1 * channelM) {
    return failed({
      code: 'impossible',
      field: 'sootG',
      requirement: say('failures.closes-the-channels'),
      value: state.sootG,
    });
  }
  return success({
    lengthM,
    volumeM3: cells.volumeM3 * (lengthM / cells.lengthM),
    ashedWidthM,
    openWidthM,
    sootLayerM: (ashedWidthM - openWidthM) / 2,
  });
}

/** Coefficients of ΔP = viscous·μQ + inertial·ρQ² for one state of the filter; the viscous one by its three parts. */
export interface FlowCoefficients {
  readonly wallPerM3: number;
  readonly cakePerM3: number;
  readonly channelPerM3: number;
  readonly inertialPerM4: number;
}

export function flowCoefficients(
  cells: FilterCells,
  loaded: LoadedChannels,
  constants: FilterConstants,
): FlowCoefficients {
  const { channelM: a, wallM } = cells;
  const { lengthM, volumeM3, ashedWidthM, openWidthM } = loaded;
  const common = (a + wallM) ** 2 / (2 * volumeM3);
  const cake =
    Math.log(a / ashedWidthM) / (2 * constants.ashPermeabilityM2) +
    Math.log(ashedWidthM / openWidthM) / (2 * constants.sootPermeabilityM2);
  return {
    wallPerM3: (common * wallM) / (constants.wallPermeabilityM2 * a),
    cakePerM3: common * cake,
    channelPerM3: common * ((4 * SQUARE_DUCT_FRICTION * lengthM ** 2) / 3) * (openWidthM ** -4 + a ** -4),
    inertialPerM4:
      ((a + wallM) ** 4 / (volumeM3 ** 2 * a ** 2)) * 2 * constants.contractionLoss * (lengthM / a) ** 2,
  };
}

/** Range in which the laminar wall-flow model and its gas data hold. */
export function checkGas(gas: GasState): ReturnType<typeof outOfRange> {
  return firstFailure(
    outOfRange('exhaustKgPerS', gas.exhaustKgPerS, 0, 2, 'kg/s'),
    outOfRange('temperatureC', gas.temperatureC, -40, 1200, '°C'),
    outOfRange('outletPressurePa', gas.outletPressurePa ?? STANDARD_PRESSURE_PA, 30_000, 400_000, 'Pa'),
  );
}

/** Load range in which the layer model is used: to 25 g/L soot and 120 g/L ash. */
export function checkLoad(geometry: FilterGeometry, state: FilterState): ReturnType<typeof outOfRange> {
  const volumeL = filterVolumeL(geometry);
  return firstFailure(
    outOfRange('sootG', state.sootG, 0, Math.round(25 * volumeL * 10) / 10, 'g'),
    outOfRange('ashG', state.ashG, 0, Math.round(120 * volumeL * 10) / 10, 'g'),
  );
}

/**
 * Pressure drop of a wall-flow filter (Konstandopoulos & Johnson, SAE 890405; Konstandopoulos et al.,
 * SAE 2000-01-1016):
 *
 * ΔP = μQ/(2V)·(a+w_s)²·[w_s/(k_w·a) + ln(a/(a−2w))/(2k_s) + (4FL²/3)·((a−2w)⁻⁴ + a⁻⁴)]
 *      + ρQ²(a+w_s)⁴/(V²a²)·2ζ(L/a)², with ρ and Q at the mean pressure p_out + ΔP/2.
 *
 * With Q = ṁRT/p and ρQ² = ṁ²RT/p both terms go with 1/p, so ΔP·(p_out + ΔP/2) = K is a quadratic and needs no
 * iteration; its root is written without cancellation.
 *
 * Units: kg/s, °C, Pa in; mbar, µm, m³/h out. Valid 0–2 kg/s, −40…1200 °C, to 25 g/L soot.
 * Worked value: 143.76×152.4 mm, 200 cpsi, 0.305 mm, 4.947 g soot, 0.045 kg/s, 150 °C → 13.07 mbar.
 */
export function pressureDrop(
  geometry: FilterGeometry,
  state: FilterState,
  gas: GasState,
  constants: FilterConstants = DEFAULT_FILTER_CONSTANTS,
): Result<PressureDrop> {
  const bad = checkGas(gas) ?? checkLoad(geometry, state);
  if (bad) return failed(bad);
  const cells = filterCells(geometry);
  if (!cells.ok) return cells;
  const loaded = loadedChannels(cells.value, state, constants);
  if (!loaded.ok) return loaded;
  const coefficients = flowCoefficients(cells.value, loaded.value, constants);

  const outletPa = gas.outletPressurePa ?? STANDARD_PRESSURE_PA;
  const temperatureK = kelvin(gas.temperatureC);
  const massFlow = gas.exhaustKgPerS;
  const viscosity = gasViscosityPaS(temperatureK);
  const perPressure = massFlow * AIR_GAS_CONSTANT * temperatureK;
  const viscous = coefficients.wallPerM3 + coefficients.cakePerM3 + coefficients.channelPerM3;
  const k = perPressure * (viscous * viscosity + coefficients.inertialPerM4 * massFlow);
  const totalPa = (2 * k) / (outletPa + Math.sqrt(outletPa ** 2 + 2 * k));

  const meanPressurePa = outletPa + totalPa / 2;
  const flowM3PerS = perPressure / meanPressurePa;
  const mbar = (coefficient: number): number => (coefficient * viscosity * flowM3PerS) / 100;
  return success({
    totalMbar: totalPa / 100,
    wallMbar: mbar(coefficients.wallPerM3),
    cakeMbar: mbar(coefficients.cakePerM3),
    channelMbar: mbar(coefficients.channelPerM3),
    inertialMbar: (coefficients.inertialPerM4 * massFlow * flowM3PerS) / 100,
    layerUm: loaded.value.sootLayerM * 1e6,
    flowM3PerH: flowM3PerS * 3600,
    meanPressurePa,
  });
}
