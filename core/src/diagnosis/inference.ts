import { bounded, chanceSeen, oddsOf, type Evidence, type FindingNode, type Network } from './network.ts';

export const MOST_FAULTS = 3;

export interface CausePosterior {
  readonly id: string;
  readonly probability: number;
  /** Natural logarithm of the odds that each piece of evidence adds, given all the other evidence. */
  readonly reasons: readonly { readonly finding: string; readonly weight: number }[];
}

export interface Posterior {
  readonly causes: readonly CausePosterior[];
  /** The most probable sets, each with its probability. */
  readonly sets: readonly { readonly causes: readonly string[]; readonly probability: number }[];
  /** Evidence that even the most probable set does not explain, with the chance of seeing it so. */
  readonly unexplained: readonly { readonly finding: string; readonly chance: number }[];
}

/** Every set of at most so many of `count` things, in order of size within the walk; the empty set first. */
export function faultSets(count: number, most = MOST_FAULTS): number[][] {
  const sets: number[][] = [[]];
  const grow = (set: number[], from: number): void => {
    if (set.length === most) return;
    for (let i = from; i < count; i++) {
      const next = [...set, i];
      sets.push(next);
      grow(next, i + 1);
    }
  };
  grow([], 0);
  return sets;
}

const logit = (p: number): number => Math.log(bounded(p) / (1 - bounded(p)));

/** How evidence is seen under each set: rows of sets, columns of evidence. */
interface Likelihoods {
  readonly sets: readonly (readonly number[])[];
  readonly ids: readonly string[];
  /** P(what was seen | set), set by set. */
  readonly table: Float64Array;
  /** Prior of each set. */
  readonly priors: Float64Array;
}

function likelihoods(network: Network, evidence: Evidence, most: number): Likelihoods {
  const sets = faultSets(network.causes.length, most);
  const seen = network.findings.filter(({ id }) => evidence[id] !== undefined);
  const odds = seen.map((finding) => oddsOf(network, finding));
  const present = network.causes.map(({ prior }) => bounded(prior));
  const noneAtAll = present.reduce((product, p) => product * (1 - p), 1);
  const priors = new Float64Array(sets.length);
  const table = new Float64Array(sets.length * odds.length);
  for (let s = 0; s < sets.length; s++) {
    const set = sets[s] as number[];
    let prior = noneAtAll;
    for (const i of set) prior *= (present[i] as number) / (1 - (present[i] as number));
    priors[s] = prior;
    for (let f = 0; f < odds.length; f++) {
      const { quiet, silent, open } = odds[f] as (typeof odds)[number];
      let [silence, opening] = [quiet, 1];
      for (const i of set) {
        silence *= silent[i] as number;
        opening *= open[i] as number;
      }
      const chance = chanceSeen(silence, opening);
      table[s * odds.length + f] = evidence[(seen[f] as FindingNode).id] === true ? chance : 1 - chance;
    }
  }
  return { sets, ids: seen.map(({ id }) => id), table, priors };
}

/** The probability of each set of at most three causes, by what was seen. They add up to 1. */
export function posteriorSets(
  network: Network,
  evidence: Evidence,
  most = MOST_FAULTS,
): { readonly sets: readonly (readonly number[])[]; readonly probabilities: Float64Array } {
  const { sets, ids, table, priors } = likelihoods(network, evidence, most);
  const weights = new Float64Array(sets.length);
  let total = 0;
  for (let s = 0; s < sets.length; s++) {
    let weight = priors[s] as number;
    for (let f = 0; f < ids.length; f++) weight *= table[s * ids.length + f] as number;
    weights[s] = weight;
    total += weight;
  }
  for (let s = 0; s < sets.length; s++) weights[s] = (weights[s] as number) / total;
  return { sets, probabilities: weights };
}

const SHOWN_SETS = 12;
const UNEXPLAINED_BELOW = 0.05;

/**
 * Exact posterior over all sets of up to three causes, each cause with what speaks for and against it. Evidence that the
 * network does not know is left aside: it must never break the inference. Reasons are by leaving one piece of evidence
 * out at a time, so they say what each one adds to all the others.
 */
export function infer(network: Network, evidence: Evidence, most = MOST_FAULTS): Posterior {
  const { sets, ids, table, priors } = likelihoods(network, evidence, most);
  const count = network.causes.length;
  const width = ids.length;
  const weights = new Float64Array(sets.length);
  // For each piece of evidence: the weight of all sets without it, and of those that hold each cause.
  const totalWithout = new Float64Array(width);
  const causeWithout = new Float64Array(width * count);
  const byCause = new Float64Array(count);
  let total = 0;
  for (let s = 0; s < sets.length; s++) {
    const set = sets[s] as number[];
    let weight = priors[s] as number;
    for (let f = 0; f < width; f++) weight *= table[s * width + f] as number;
    weights[s] = weight;
    total += weight;
    for (const i of set) byCause[i] = (byCause[i] as number) + weight;
    for (let f = 0; f < width; f++) {
      const without = weight / (table[s * width + f] as number);
      totalWithout[f] = (totalWithout[f] as number) + without;
      for (const i of set) {
        const at = f * count + i;
        causeWithout[at] = (causeWithout[at] as number) + without;
      }
    }
  }
  const causes = network.causes.map(({ id }, i) => {
    const probability = (byCause[i] as number) / total;
    const reasons = ids
      .map((finding, f) => ({
        finding,
        weight:
          logit(probability) - logit((causeWithout[f * count + i] as number) / (totalWithout[f] as number)),
      }))
      .sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight));
    return { id, probability, reasons };
  });
  const order = Array.from(weights.keys()).sort((a, b) => (weights[b] as number) - (weights[a] as number));
  const best = order[0] ?? 0;
  return {
    causes: causes.sort((a, b) => b.probability - a.probability),
    sets: order.slice(0, SHOWN_SETS).map((s) => ({
      causes: (sets[s] as number[]).map((i) => network.causes[i]?.id ?? ''),
      probability: (weights[s] as number) / total,
    })),
    unexplained: ids
      .map((finding, f) => ({ finding, chance: table[best * width + f] as number }))
      .filter(({ chance }) => chance < UNEXPLAINED_BELOW),
  };
}
