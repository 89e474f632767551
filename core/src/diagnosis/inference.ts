import {
  bounded,
  chanceSeen,
  formsOf,
  linksFrom,
  oddsOf,
  type Evidence,
  type FindingNode,
  type FindingOdds,
  type Form,
  type Network,
} from './network.ts';

export const MOST_FAULTS = 3;

export interface CausePosterior {
  readonly id: string;
  readonly probability: number;
  /** The form in which it is there, if it is, as soon as one is far likelier than the others together. */
  readonly form?: string;
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

/** Sets of forms, and the set of causes that each of them is one way of. */
interface Sets {
  readonly ofForms: readonly (readonly number[])[];
  readonly ofCauses: readonly (readonly number[])[];
  /** Index of the set of causes for each set of forms. */
  readonly causesOf: Int32Array;
}

/** Every set of at most so many causes, each in one form; the empty set first. `causeOf` rises. */
export function faultSets(causeOf: readonly number[], most = MOST_FAULTS): Sets {
  const ofForms: number[][] = [[]];
  const grow = (set: number[], from: number): void => {
    if (set.length === most) return;
    for (let i = from; i < causeOf.length; i++) {
      const last = set.at(-1);
      if (last !== undefined && causeOf[last] === causeOf[i]) continue;
      const next = [...set, i];
      ofForms.push(next);
      grow(next, i + 1);
    }
  };
  grow([], 0);
  const known = new Map<string, number>();
  const ofCauses: number[][] = [];
  const causesOf = Int32Array.from(ofForms, (set) => {
    const causes = set.map((i) => causeOf[i] as number);
    const key = causes.join(' ');
    const at = known.get(key) ?? known.size;
    if (at === known.size) {
      known.set(key, at);
      ofCauses.push(causes);
    }
    return at;
  });
  return { ofForms, ofCauses, causesOf };
}

const logit = (p: number): number => Math.log(bounded(p) / (1 - bounded(p)));

/** Sets depend on the causes’ forms alone, and there are thousands: made once. */
const KEPT_SETS = new Map<string, Sets>();
function keptSets(forms: readonly Form[], most: number): Sets {
  const causeOf = forms.map(({ cause }) => cause);
  const key = `${causeOf.join(' ')}, ${most}`;
  const kept = KEPT_SETS.get(key) ?? faultSets(causeOf, most);
  KEPT_SETS.set(key, kept);
  return kept;
}

/** One piece of evidence, ready to be asked for its chance under a set of causes. */
class Witness {
  readonly id: string;
  readonly seen: boolean;
  /** Chance of what was seen where none of our causes is there. */
  readonly base: number;
  private readonly odds: FindingOdds;

  constructor(network: Network, forms: readonly Form[], finding: FindingNode, seen: boolean) {
    this.id = finding.id;
    this.seen = seen;
    this.odds = oddsOf(network, forms, finding);
    this.base = this.chance([]);
  }

  /** P(what was seen | set). */
  chance(set: readonly number[]): number {
    const { quiet, clear, silent, open } = this.odds;
    let [silence, opening] = [quiet, clear];
    for (const i of set) {
      silence *= silent[i] as number;
      opening *= open[i] as number;
    }
    const chance = chanceSeen(silence, opening);
    return this.seen ? chance : 1 - chance;
  }
}

interface Weighed {
  readonly forms: readonly Form[];
  readonly sets: Sets;
  readonly witnesses: readonly Witness[];
  /** Of each set of forms. */
  readonly weights: Float64Array;
  readonly total: number;
}

/**
 * Walks over all sets. A set changes the chance of only that evidence which one of its members bears on; all other
 * evidence has the same chance under every set and cancels out. So for each set only what it touches is worked out:
 * `each` is told the weight, the pieces of evidence that are touched, and the chance of each.
 */
function weigh(
  network: Network,
  evidence: Evidence,
  most: number,
  each?: (s: number, weight: number, touched: Int32Array, chances: Float64Array, count: number) => void,
): Weighed {
  const { causes, findings } = network;
  const forms = formsOf(network);
  const all = keptSets(forms, most);
  const sets = all.ofForms;
  const known = findings.filter(({ id }) => evidence[id] !== undefined);
  const witnesses = known.map(
    (finding) => new Witness(network, forms, finding, evidence[finding.id] === true),
  );
  const borneOn = forms.map(({ cause, id }) =>
    known.flatMap(({ links }, f) => (linksFrom(links, causes[cause]?.id ?? '', id).length > 0 ? [f] : [])),
  );
  const weights = new Float64Array(sets.length);
  const mark = new Int32Array(witnesses.length).fill(-1);
  const touched = new Int32Array(witnesses.length);
  const chances = new Float64Array(witnesses.length);
  let total = 0;
  for (let s = 0; s < sets.length; s++) {
    const set = sets[s] as readonly number[];
    let weight = 1;
    let count = 0;
    for (const i of set) {
      weight *= (forms[i] as Form).odds;
      for (const f of borneOn[i] as number[]) {
        if (mark[f] === s) continue;
        mark[f] = s;
        touched[count++] = f;
      }
    }
    for (let t = 0; t < count; t++) {
      const witness = witnesses[touched[t] as number] as Witness;
      const chance = witness.chance(set);
      chances[t] = chance;
      weight *= chance / witness.base;
    }
    weights[s] = weight;
    total += weight;
    each?.(s, weight, touched, chances, count);
  }
  return { forms, sets: all, witnesses, weights, total };
}

/** The probability of each set of causes in each of its forms. */
export function posteriorForms(
  network: Network,
  evidence: Evidence,
  most = MOST_FAULTS,
): { readonly forms: readonly Form[]; readonly sets: Sets; readonly probabilities: Float64Array } {
  const { forms, sets, weights, total } = weigh(network, evidence, most);
  return { forms, sets, probabilities: weights.map((weight) => weight / total) };
}

/** What was weighed for sets of forms, summed for the sets of causes that they are. */
function summed({ causesOf, ofCauses }: Sets, ofForms: Float64Array): Float64Array {
  const sums = new Float64Array(ofCauses.length);
  for (let s = 0; s < ofForms.length; s++) {
    const at = causesOf[s] as number;
    sums[at] = (sums[at] as number) + (ofForms[s] as number);
  }
  return sums;
}

/** The probability of each set of at most three causes, by what was seen. They add up to 1. */
export function posteriorSets(
  network: Network,
  evidence: Evidence,
  most = MOST_FAULTS,
): { readonly sets: readonly (readonly number[])[]; readonly probabilities: Float64Array } {
  const { sets, probabilities } = posteriorForms(network, evidence, most);
  return { sets: sets.ofCauses, probabilities: summed(sets, probabilities) };
}

const SHOWN_SETS = 12;
const UNEXPLAINED_BELOW = 0.05;
/** From this share of its cause on a form is said. */
const TELLS_FORM = 0.8;

/**
 * Exact posterior over all sets of up to three causes, each cause with what speaks for and against it. Evidence that the
 * network does not know is left aside: it must never break the inference. Reasons are by leaving one piece of evidence
 * out at a time, so they say what each one adds to all the others.
 */
export function infer(network: Network, evidence: Evidence, most = MOST_FAULTS): Posterior {
  const count = network.causes.length;
  const known = network.findings.filter(({ id }) => evidence[id] !== undefined);
  const allForms = formsOf(network);
  const { ofForms, causesOf, ofCauses } = keptSets(allForms, most);
  const byCause = new Float64Array(count);
  const byForm = new Float64Array(allForms.length);
  // What leaving a piece of evidence out adds to the weight of all sets, and of those that hold each cause, beyond what it
  // adds to every set alike.
  const more = new Float64Array(known.length);
  const moreByCause = new Float64Array(known.length * count);
  const bases = known.map(
    (finding) => new Witness(network, allForms, finding, evidence[finding.id] === true).base,
  );
  const { witnesses, weights, total } = weigh(network, evidence, most, (s, weight, touched, chances, n) => {
    const set = ofCauses[causesOf[s] as number] as readonly number[];
    for (const i of set) byCause[i] = (byCause[i] as number) + weight;
    for (const i of ofForms[s] as readonly number[]) byForm[i] = (byForm[i] as number) + weight;
    for (let t = 0; t < n; t++) {
      const f = touched[t] as number;
      const extra = weight / (chances[t] as number) - weight / (bases[f] as number);
      more[f] = (more[f] as number) + extra;
      for (const i of set) {
        const at = f * count + i;
        moreByCause[at] = (moreByCause[at] as number) + extra;
      }
    }
  });
  const causes = network.causes.map(({ id }, i) => {
    const probability = (byCause[i] as number) / total;
    const reasons = witnesses
      .map(({ id: finding, base }, f) => {
        const held = (byCause[i] as number) / base + (moreByCause[f * count + i] as number);
        const all = total / base + (more[f] as number);
        return { finding, weight: logit(probability) - logit(held / all) };
      })
      .sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight));
    const form = allForms.find(
      (one, k) => one.cause === i && (byForm[k] as number) >= TELLS_FORM * (byCause[i] as number),
    )?.id;
    return { id, probability, ...(form === undefined ? {} : { form }), reasons };
  });
  const bySet = summed({ ofForms, causesOf, ofCauses }, weights);
  const order = Array.from(bySet.keys()).sort((a, b) => (bySet[b] as number) - (bySet[a] as number));
  const best = ofForms[weights.indexOf(weights.reduce((a, b) => Math.max(a, b), 0))] ?? [];
  return {
    causes: causes.sort((a, b) => b.probability - a.probability),
    sets: order.slice(0, SHOWN_SETS).map((s) => ({
      causes: (ofCauses[s] as readonly number[]).map((i) => network.causes[i]?.id ?? ''),
      probability: (bySet[s] as number) / total,
    })),
    unexplained: witnesses
      .map((witness) => ({ finding: witness.id, chance: witness.chance(best) }))
      .filter(({ chance }) => chance < UNEXPLAINED_BELOW),
  };
}
