import type { Limits } from '../limits/index.ts';
import { Z90, type Interval } from '../proof/index.ts';
import { hasCause, hasOpenCause, leftAt, type Visit } from './visit.ts';
import {
  type Stretch,
  LOG_GROWTH,
  type GrowthPrior,
  LENGTHS,
  bell,
  type Kernel,
  NODES,
  type Kernels,
  kernelsOf,
  STEP,
  NOT_FOUND,
  varianceShare,
} from './growthKernel.ts';

/** Under this two odometer readings tell nothing of a growth, km. */
export const LEAST_KM = 200;

/** Stretches with a reading at both ends and the distance between; visits in the order of time. */
export function stretchesOf(visits: readonly Visit[]): Stretch[] {
  return visits.slice(1).flatMap((visit, i): Stretch[] => {
    const start = visits[i] as Visit;
    const from = leftAt(start);
    if (!from || !visit.before || start.km === undefined || visit.km === undefined) return [];
    if (visit.km - start.km < LEAST_KM) return [];
    return [
      {
        thousandKm: (visit.km - start.km) / 1000,
        from,
        to: visit.before,
        emptied: start.filter !== 'as-it-was',
        cause: hasOpenCause(start) ? 'open' : hasCause(visit) ? 'found' : 'none',
      },
    ];
  });
}

const GROWTH = LOG_GROWTH.map((x) => Math.exp(x));

export const assumedGrowth = (limits: Limits): GrowthPrior => ({
  logMedian: Math.log(limits.growthPer1000Km),
  between: Math.log(limits.growthBetweenVehicles),
  within: Math.log(limits.growthBetweenVisits),
  causesPer1000Km: 1000 / limits.newCauseEveryKm,
  vehicles: 0,
});

const lengthClass = (thousandKm: number): number => {
  let best = 0;
  for (let i = 1; i < LENGTHS.length; i++) {
    const off = Math.abs(Math.log(thousandKm / (LENGTHS[i] as number)));
    if (off < Math.abs(Math.log(thousandKm / (LENGTHS[best] as number)))) best = i;
  }
  return best;
};

export const spreadOf = ({ low, high }: Interval): number => (high - low) / (2 * Z90);

/** A stretch with the likelihood of the reading at its ends, for each growth. */
interface ReadStretch {
  readonly cause: Stretch['cause'];
  readonly length: number;
  readonly likelihood: Float64Array;
  /** Where the likelihood is not nothing, from the first growth to before the last. */
  readonly from: number;
  readonly to: number;
}

/** Less likely than the likeliest by so much is nothing. */
const NOTHING = 1e-9;

function readStretch(stretch: Stretch, limits: Limits): ReadStretch {
  const swing = limits.restrictionSwing;
  // Seen at some moment between two regenerations: half of the swing in the middle, and as even as chance makes it.
  const shift = stretch.emptied ? swing / 2 : 0;
  const sd = Math.sqrt(
    spreadOf(stretch.from) ** 2 +
      spreadOf(stretch.to) ** 2 +
      ((stretch.emptied ? 1 : 2) * swing ** 2) / 12 +
      1e-6,
  );
  const grown = stretch.to.value - stretch.from.value - shift;
  const likelihood = GROWTH.map((growth) => bell(grown, growth * stretch.thousandKm, sd));
  const least = NOTHING * Math.max(...likelihood);
  const counts = (value: number): boolean => value > least;
  return {
    cause: stretch.cause,
    length: lengthClass(stretch.thousandKm),
    likelihood,
    from: Math.max(likelihood.findIndex(counts), 0),
    to: likelihood.findLastIndex(counts) + 1,
  };
}

/** Chance of what was read on a stretch, given a median. */
function chanceOf({ chance, first, end }: Kernel, m: number, { likelihood, from, to }: ReadStretch): number {
  let sum = 0;
  const last = Math.min(end[m] as number, to);
  for (let i = Math.max(first[m] as number, from); i < last; i++)
    sum += (chance[m * NODES + i] as number) * (likelihood[i] as number);
  return sum;
}

/** Chance of each median growth of a vehicle, by its stretches and what is known of its kind. */
function medianOfVehicle(
  stretches: readonly ReadStretch[],
  prior: GrowthPrior,
  kernels: Kernels,
): Float64Array {
  const chances = LOG_GROWTH.map((x) => bell(x, prior.logMedian, prior.between));
  let sum = 0;
  for (let m = 0; m < NODES; m++) {
    let p = chances[m] as number;
    for (const stretch of stretches)
      p *= chanceOf(kernels[stretch.cause][stretch.length] as Kernel, m, stretch);
    chances[m] = p;
    sum += p;
  }
  // Nothing that is considered fits what was read: the kind of vehicle is all that is left to go by.
  return sum > 0 ? chances.map((p) => p / sum) : medianOfVehicle([], prior, kernels);
}

/** Chance of each growth on the road ahead, on average over roads of some lengths. */
export interface GrowthAhead {
  /** × on 1000 km. */
  readonly growth: Float64Array;
  /** Lengths of road, thousand km, upwards, and the chances over each. */
  readonly thousandKm: readonly number[];
  readonly chances: readonly Float64Array[];
  /** Distance of two growths, as a logarithm: each stands for all that are nearer to it than to its neighbours. */
  readonly logStep: number;
}

export function growthAhead(
  stretches: readonly Stretch[],
  causeOpen: boolean,
  prior: GrowthPrior,
  limits: Limits,
): GrowthAhead {
  const kernels = kernelsOf(prior, limits);
  const medians = medianOfVehicle(
    stretches.map((stretch) => readStretch(stretch, limits)),
    prior,
    kernels,
  );
  const chances = kernels[causeOpen ? 'open' : 'ahead'].map(({ chance, first, end }) => {
    const over = new Float64Array(NODES);
    for (let m = 0; m < NODES; m++)
      for (let i = first[m] as number; i < (end[m] as number); i++)
        (over[i] as number) += (medians[m] as number) * (chance[m * NODES + i] as number);
    return over;
  });
  return { growth: GROWTH, thousandKm: LENGTHS, chances, logStep: STEP };
}

/** The assumed figure counts like so much road that was watched, thousand km. */
const ASSUMED_ROAD = 400;

/** How often a fault came up, on 1000 km: found ones, and those that are not found at the next visit. */
function causesOf(stretches: readonly Stretch[], assumed: GrowthPrior): number {
  const watched = stretches.filter(({ cause }) => cause !== 'open');
  const road = watched.reduce((sum, { thousandKm }) => sum + thousandKm, 0);
  const found = watched.filter(({ cause }) => cause === 'found').length;
  return (ASSUMED_ROAD * assumed.causesPer1000Km + found / (1 - NOT_FOUND)) / (ASSUMED_ROAD + road);
}

/** What is assumed weighs like so many vehicles that were read. */
const ASSUMED_WEIGHT = 4;
const ROUNDS = 10;

/** After so many vehicles others may have a turn. */
const TURN_VEHICLES = 25;

/** The same as {@link learnGrowth}, in turns of some milliseconds, for a server that has others to serve. */
export function* learningGrowth(
  vehicles: readonly (readonly Stretch[])[],
  assumed: GrowthPrior,
  limits: Limits,
): Generator<undefined, GrowthPrior> {
  const read = vehicles
    .filter((stretches) => stretches.length > 0)
    .map((stretches) => stretches.map((stretch) => readStretch(stretch, limits)));
  let prior = assumed;
  for (let round = 0; round < ROUNDS && read.length > 0; round++) {
    const kernels = kernelsOf(prior, limits);
    const medians = { weight: ASSUMED_WEIGHT, sum: ASSUMED_WEIGHT * assumed.logMedian, square: 0 };
    medians.square = ASSUMED_WEIGHT * (assumed.logMedian ** 2 + assumed.between ** 2);
    const withins = { weight: ASSUMED_WEIGHT, square: ASSUMED_WEIGHT * assumed.within ** 2 };
    for (const [i, stretches] of read.entries()) {
      if (i % TURN_VEHICLES === 0) yield;
      const chances = medianOfVehicle(stretches, prior, kernels);
      medians.weight += 1;
      for (let m = 0; m < NODES; m++) {
        const p = chances[m] as number;
        if (p < 1e-4) continue;
        const median = LOG_GROWTH[m] as number;
        medians.sum += p * median;
        medians.square += p * median ** 2;
        for (const { cause, length, likelihood, from, to } of stretches) {
          // With a cause the doubt of its factor would be taken for the vehicle's own.
          if (cause !== 'none') continue;
          const { chance, plain, first, end } = kernels.none[length] as Kernel;
          let [sum, plainSum, square] = [0, 0, 0];
          const last = Math.min(end[m] as number, to);
          for (let i = Math.max(first[m] as number, from); i < last; i++) {
            const like = likelihood[i] as number;
            const q = (plain[m * NODES + i] as number) * like;
            sum += (chance[m * NODES + i] as number) * like;
            plainSum += q;
            square += q * ((LOG_GROWTH[i] as number) - median) ** 2;
          }
          if (sum <= 0) continue;
          withins.weight += (p * plainSum) / sum;
          withins.square += (p * square) / sum / varianceShare(LENGTHS[length] as number);
        }
      }
    }
    const logMedian = medians.sum / medians.weight;
    prior = {
      logMedian,
      between: Math.sqrt(Math.max(medians.square / medians.weight - logMedian ** 2, 1e-3)),
      within: Math.sqrt(Math.max(withins.square / withins.weight, 1e-3)),
      causesPer1000Km: causesOf(vehicles.flat(), assumed),
      vehicles: read.length,
    };
  }
  return prior;
}

/**
 * How fast filters of a kind fill up, learned from the stretches of its vehicles by expectation and maximisation (Dempster,
 * Laird & Rubin 1977) over a grid of growths: with few vehicles it stays near what is assumed.
 */
export function learnGrowth(
  vehicles: readonly (readonly Stretch[])[],
  assumed: GrowthPrior,
  limits: Limits,
): GrowthPrior {
  const turns = learningGrowth(vehicles, assumed, limits);
  for (;;) {
    const turn = turns.next();
    if (turn.done) return turn.value;
  }
}
