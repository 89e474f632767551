import type { Limits } from '../limits/index.ts';
import { type Interval } from '../proof/index.ts';

/** A stretch of road between two visits, over which the filter filled up. */
export interface Stretch {
  /** Length, thousands of km. */
  readonly thousandKm: number;
  /** Restriction at its ends, × clean. */
  readonly from: Interval;
  readonly to: Interval;
  /** Whether the reading at its beginning was of a filter that had just been emptied. */
  readonly emptied: boolean;
  /** A cause that was known at its beginning and left as it was; one that was found at its end; or none that is known. */
  readonly cause: 'open' | 'found' | 'none';
}

/** Logarithms of growth that are considered, from a filter that lasts for ever to one that is full in a day; 1 is 1 × on 1000 km. */
const LOWEST = Math.log(5e-4);
const HIGHEST = Math.log(20);
export const NODES = 70;
export const STEP = (HIGHEST - LOWEST) / (NODES - 1);
export const LOG_GROWTH = Float64Array.from({ length: NODES }, (_, i) => LOWEST + i * STEP);

/** Doubt of the factor of an open cause, as a spread of its logarithm: causes differ more than that they have in common. */
const CAUSE_SPREAD = 0.4;

/** The same of one that came up somewhere on the way: the place, evenly over the road, and the doubt of its factor. */
const CAME_UP_SPREAD = 0.33;

/** How fast filters of a kind fill up: growth of restriction as a lognormal within and between vehicles. */
export interface GrowthPrior {
  /** Logarithm of the median growth, × on 1000 km. */
  readonly logMedian: number;
  /** Spread of that logarithm between vehicles. */
  readonly between: number;
  /** Spread from stretch to stretch of one vehicle, for stretches of {@link WITHIN_AT} thousand km. */
  readonly within: number;
  /** How often a fault comes up that makes it grow faster, on 1000 km. */
  readonly causesPer1000Km: number;
  /** Vehicles whose stretches it was learned from, beside what is assumed. */
  readonly vehicles: number;
}

/** Length for which the spread from stretch to stretch is stated, thousand km. */
const WITHIN_AT = 10;

/** Seasons and faults that come and go average out over the road: how much of the variance is left on a stretch. */
export const varianceShare = (thousandKm: number): number => (2 * WITHIN_AT) / (thousandKm + WITHIN_AT);

/** Lengths for which chances are worked out, thousand km; a stretch is taken for the nearest. */
export const LENGTHS = [1, 3, 6, 10, 16, 25, 40, 80] as const;

export const bell = (x: number, mean: number, sd: number): number =>
  Math.exp(-0.5 * ((x - mean) / sd) ** 2) / sd;

/** Chance of each growth on a stretch, given the median of the vehicle: a row for each median, and where it is not nothing. */
export interface Kernel {
  readonly chance: Float64Array;
  /** The part of it in which nothing new came up on the way. */
  readonly plain: Float64Array;
  readonly first: Int32Array;
  readonly end: Int32Array;
}

const BAND = 4;

/** A normal about the median and a shift; of the logarithm of growth. */
interface Part {
  readonly weight: number;
  readonly spread: number;
  readonly shift: number;
}

function kernel(plain: Part, ...others: readonly Part[]): Kernel {
  const parts = [plain, ...others];
  const made: Kernel = {
    chance: new Float64Array(NODES * NODES),
    plain: new Float64Array(NODES * NODES),
    first: new Int32Array(NODES).fill(NODES),
    end: new Int32Array(NODES),
  };
  const row = new Float64Array(NODES);
  for (let m = 0; m < NODES; m++) {
    for (const part of parts) {
      // Narrower than the grid a growth would fall between two nodes.
      const sd = Math.max(part.spread, STEP / 2);
      const centre = (LOG_GROWTH[m] as number) + part.shift;
      const at = (x: number): number => Math.min(Math.max(Math.round((x - LOWEST) / STEP), 0), NODES - 1);
      const [first, end] = [at(centre - BAND * sd), at(centre + BAND * sd) + 1];
      made.first[m] = Math.min(made.first[m] as number, first);
      made.end[m] = Math.max(made.end[m] as number, end);
      let sum = 0;
      for (let i = first; i < end; i++) sum += row[i] = bell(LOG_GROWTH[i] as number, centre, sd);
      for (let i = first; i < end; i++) {
        const p = (part.weight * (row[i] as number)) / sum;
        (made.chance[m * NODES + i] as number) += p;
        if (part === plain) made.plain[m * NODES + i] = p;
      }
    }
  }
  return made;
}

/** By class of length: what is to come, and what was by what is known of its causes. */
export type Kernels = Readonly<Record<'ahead' | Stretch['cause'], readonly Kernel[]>>;

/** Share of the faults that come up and are not found at the next visit. */
export const NOT_FOUND = 0.2;

function makeKernels({ within, causesPer1000Km }: GrowthPrior, limits: Limits): Kernels {
  const factor = limits.growthWithCauseFactor;
  // Over a road of a given length it is there, on average, for half of it; where the filter was full and ended the road, it
  // shortened what was left, which comes to less.
  const comesUp = Math.log((1 + factor) / 2);
  const cameUp = Math.log((2 * factor) / (1 + factor));
  const lengths = LENGTHS.map((length) => {
    const spread = within * Math.sqrt(varianceShare(length));
    return { spread, comes: 1 - Math.exp(-causesPer1000Km * length) };
  });
  const perhaps = (share: number, shift: number): Kernel[] =>
    lengths.map(({ spread, comes }) =>
      kernel(
        { weight: 1 - share * comes, spread, shift: 0 },
        { weight: share * comes, spread: Math.hypot(spread, CAME_UP_SPREAD), shift },
      ),
    );
  const surely = (shift: number, doubt: number): Kernel[] =>
    lengths.map(({ spread }) => kernel({ weight: 1, spread: Math.hypot(spread, doubt), shift }));
  return {
    ahead: perhaps(1, comesUp),
    none: perhaps(NOT_FOUND, cameUp),
    found: surely(cameUp, CAME_UP_SPREAD),
    open: surely(Math.log(factor), CAUSE_SPREAD),
  };
}

/** Thousands of vehicles share what is known of their kind; it is worked out once for each. */
const made = new WeakMap<GrowthPrior, WeakMap<Limits, Kernels>>();

export function kernelsOf(prior: GrowthPrior, limits: Limits): Kernels {
  const byLimits = made.get(prior) ?? new WeakMap<Limits, Kernels>();
  made.set(prior, byLimits);
  const kernels = byLimits.get(limits) ?? makeKernels(prior, limits);
  byLimits.set(limits, kernels);
  return kernels;
}
