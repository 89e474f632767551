import { CLEAN, pressureDrop, type GasState } from './pressureDrop.ts';
import { filterVolumeL, SOOT_CAP_G_PER_L, type FilterGeometry } from './geometry.ts';

/** How far a filter's size may be off that nobody measured. */
export interface SizeDoubt {
  /** Taken from the class of engine, from proved readings of the engine family, or from another vehicle of it. */
  readonly from: 'engine' | 'readings' | 'family';
  /** Vehicles of the family that it is from. */
  readonly vehicles: number;
  /** Spread of the logarithm of what the clean filter shows at a flow. */
  readonly cleanSd: number;
  /** Spread of the logarithm of its volume. */
  readonly volumeSd: number;
  /** By how many times at most the real one may show less when clean, where a reading bounds it. */
  readonly mostLess?: number;
}

/** A filter as far as its size is known; without a doubt it was entered. */
export type FilterSize = FilterGeometry & { readonly size?: SizeDoubt };

/** A middle engine, where its size is not known. */
export const USUAL_ENGINE_L = 2;
/** Most have 200–300 cells. */
const USUAL_CELLS = { cpsi: 200, wallMm: 0.305 };
/** Nine in ten filters lie within × 0.7–1.4 of the volume, and × 0.55–1.8 of the clean pressure, that the class of engine has. */
const BY_ENGINE = { cleanSd: 0.35, volumeSd: 0.2 };
/** The same where the engine’s size is a guess, too. */
const ENGINE_GUESSED = 0.3;
/** One family mostly has one filter. */
const OF_FAMILY = { cleanSd: 0.2, volumeSd: 0.1 };

/** As long as it is wide. */
const edgeOf = (volumeL: number): number => Math.cbrt((4 * volumeL * 1e6) / Math.PI);

/**
 * A filter of the class of the engine; of a middle engine where that is not known either.
 * @param perEngine its volume over that of the engine, by the limits profile; practice: 1.1–1.5
 */
export function filterByEngine(
  displacementL: number | undefined,
  perEngine: number,
): FilterGeometry & { readonly size: SizeDoubt } {
  const edgeMm = edgeOf(perEngine * (displacementL ?? USUAL_ENGINE_L));
  const guessed = displacementL === undefined ? ENGINE_GUESSED : 0;
  return {
    diameterMm: edgeMm,
    lengthMm: edgeMm,
    ...USUAL_CELLS,
    size: {
      from: 'engine',
      vehicles: 0,
      cleanSd: Math.hypot(BY_ENGINE.cleanSd, guessed),
      volumeSd: Math.hypot(BY_ENGINE.volumeSd, guessed),
    },
  };
}

/** What one proved vehicle of a family showed after the work: ΔP with its zero off, at the gas of its hold. */
export interface ProvedDrop {
  readonly dpMbar: number;
  readonly gas: GasState;
}

/** Restriction of a filter just proved, × clean: some ash stays. From practice 1.1–1.9. */
const PROVED = { middle: 1.4, spread: 0.3 };
/** Flow of one reading against that of another, as the spread of the clean figure. */
const FLOW_SPREAD = 0.15;
/** However many vehicles: the next one may have another filter. */
const LEAST_CLEAN_SD = 0.15;

/**
 * The filter of an engine family, learned from what its vehicles showed when they were proved: the logarithm of the clean pressure
 * lies about that of the class of engine, and each vehicle moves it by its share (normal prior, normal readings). Volume is then
 * what would show that pressure; it keeps the doubt of the class, as cells and wall may be what differs.
 *
 * @param drops one for each vehicle; those without a usable figure are left aside
 * @returns nothing where no vehicle tells anything
 */
export function filterByReadings(
  displacementL: number | undefined,
  perEngine: number,
  drops: readonly ProvedDrop[],
): (FilterGeometry & { readonly size: SizeDoubt }) | undefined {
  const usual = filterByEngine(displacementL, perEngine);
  const logs = drops.flatMap(({ dpMbar, gas }) => {
    const clean = pressureDrop(usual, CLEAN, gas);
    return clean.ok && clean.value.totalMbar > 0.5 && dpMbar > 0.5
      ? [{ log: Math.log(dpMbar / clean.value.totalMbar / PROVED.middle), gas }]
      : [];
  });
  const [first] = logs;
  if (!first) return undefined;
  const ofOne = 1 / (PROVED.spread ** 2 + FLOW_SPREAD ** 2);
  const weight = 1 / usual.size.cleanSd ** 2 + logs.length * ofOne;
  const shift = (ofOne * logs.reduce((sum, { log }) => sum + log, 0)) / weight;
  return {
    ...scaledTo(usual, Math.exp(shift), first.gas),
    size: {
      from: 'readings',
      vehicles: logs.length,
      cleanSd: Math.max(LEAST_CLEAN_SD, 1 / Math.sqrt(weight)),
      volumeSd: usual.size.volumeSd,
    },
  };
}

/** Farther from the class of engine nobody builds. */
const MOST_SCALE = 3;

/** The brick of the same shape and cells whose clean pressure at this gas is so many times that of the first. */
function scaledTo(from: FilterGeometry, times: number, gas: GasState): FilterGeometry {
  const { diameterMm, lengthMm, cpsi, wallMm } = from;
  const at = (scale: number): FilterGeometry => ({
    diameterMm: diameterMm * Math.cbrt(scale),
    lengthMm: lengthMm * Math.cbrt(scale),
    cpsi,
    wallMm,
  });
  const cleanAt = (scale: number): number => {
    const clean = pressureDrop(at(scale), CLEAN, gas);
    return clean.ok ? clean.value.totalMbar : 0;
  };
  const wanted = times * cleanAt(1);
  let [small, large] = [1 / MOST_SCALE, MOST_SCALE];
  for (let i = 0; i < 40; i++) {
    const middle = Math.sqrt(small * large);
    // A larger brick shows less.
    if (cleanAt(middle) > wanted) small = middle;
    else large = middle;
  }
  return at(Math.sqrt(small * large));
}

/**
 * The filter of the middle of a family’s vehicles whose size was entered. What it is made of is not taken over: on a wall that nobody
 * looked at the lower limit holds.
 */
export function filterOfFamily(
  entered: readonly FilterGeometry[],
): (FilterGeometry & { readonly size: SizeDoubt }) | undefined {
  const sorted = entered.toSorted((a, b) => filterVolumeL(a) - filterVolumeL(b));
  const [smallest, largest] = [sorted[0], sorted.at(-1)];
  const middle = sorted[Math.floor((sorted.length - 1) / 2)];
  if (!smallest || !largest || !middle) return undefined;
  const spread = Math.log(filterVolumeL(largest) / filterVolumeL(smallest)) / 2;
  const { diameterMm, lengthMm, cpsi, wallMm } = middle;
  return {
    diameterMm,
    lengthMm,
    cpsi,
    wallMm,
    size: {
      from: 'family',
      vehicles: entered.length,
      cleanSd: Math.hypot(OF_FAMILY.cleanSd, spread),
      volumeSd: Math.hypot(OF_FAMILY.volumeSd, spread),
    },
  };
}

/**
 * No filter holds more than so much soot: what was read at its fullest, by a pressure that is the filter's, bounds by how many times a
 * filter of unknown size may show less when clean than the one it is taken for.
 */
export function boundedBy<Known extends FilterSize>(filter: Known, fullest: readonly ProvedDrop[]): Known {
  if (!filter.size) return filter;
  const sootG = SOOT_CAP_G_PER_L * filterVolumeL(filter);
  const times = fullest.flatMap(({ dpMbar, gas }) => {
    const full = pressureDrop(filter, { sootG, ashG: 0 }, gas);
    return full.ok && dpMbar > 0 ? [full.value.totalMbar / dpMbar] : [];
  });
  return times.length === 0
    ? filter
    : { ...filter, size: { ...filter.size, mostLess: Math.max(1, Math.min(...times)) } };
}

/** The filter that figures are judged by: as entered, else as the family has it, else of the class of the engine. */
export const filterAsKnown = <Entered extends FilterSize>(
  entered: Entered | undefined,
  ofFamily: FilterSize | undefined,
  displacementL: number | undefined,
  perEngine: number,
): Entered | FilterSize => entered ?? ofFamily ?? filterByEngine(displacementL, perEngine);
