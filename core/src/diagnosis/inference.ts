import type { CauseSet } from './measured/states.ts';
import { scanWitness, type ScanWitness } from './scanChance.ts';
import {
  bounded,
  chanceSeen,
  formsOf,
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

/** A measured value as evidence: the chance of it, on any scale, under a set of causes. */
export interface Measured {
  readonly id: string;
  /** Causes that change its chance; under all others it is the same. */
  readonly causes: ReadonlySet<string>;
  readonly chance: (set: CauseSet) => number;
}

/** What is known beside findings that are seen or not. */
export interface Beyond {
  readonly measured: readonly Measured[];
  /** The scan was of some modules only, or named faults without numbers. */
  readonly partialScan: boolean;
}
export const NOTHING_BEYOND: Beyond = { measured: [], partialScan: false };

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

  /** A form brings it about, or hides it. */
  bears(form: number): boolean {
    return this.odds.silent[form] !== 1 || this.odds.open[form] !== 1;
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
  /** Which pieces of evidence each form bears on. */
  readonly borneOn: readonly Int32Array[];
  readonly pair: (i: number, j: number) => Pair;
  readonly scan: ScanWitness | undefined;
  readonly measured: readonly { readonly id: string; readonly chance: (set: readonly number[]) => number }[];
  /** Of each set of forms. */
  readonly weights: Float64Array;
  readonly total: number;
}

/**
 * The weight of every set against that of the empty one. Evidence that no member bears on has the same chance under every
 * set and cancels out. What one member does is worked out once for each form, what two do to the same evidence once for
 * each pair; only evidence that three bear on is worked out for the set itself.
 */
function weigh(network: Network, evidence: Evidence, most: number, beyond: Beyond): Weighed {
  const { findings } = network;
  const forms = formsOf(network);
  const sets = keptSets(forms, most);
  const known = findings.filter(({ id, code }) => evidence[id] !== undefined && code === undefined);
  const scan = scanWitness(
    network,
    forms,
    findings.flatMap((finding) => {
      const seen = evidence[finding.id];
      return finding.code && seen !== undefined ? [[finding, seen] as const] : [];
    }),
    beyond.partialScan,
  );
  const measured = beyond.measured.map((one) => ({ id: one.id, chance: byBearing(network, forms, one) }));
  const witnesses = known.map(
    (finding) => new Witness(network, forms, finding, evidence[finding.id] === true),
  );
  const borneOn = forms.map((_, i) =>
    Int32Array.from(witnesses.flatMap((witness, f) => (witness.bears(i) ? [f] : []))),
  );
  const ratio = (f: number, set: readonly number[]): number => {
    const witness = witnesses[f] as Witness;
    return witness.chance(set) / witness.base;
  };
  const alone = forms.map(({ odds }, i) =>
    (borneOn[i] as Int32Array).reduce((weight, f) => weight * ratio(f, [i]), odds),
  );
  const pairs = forms.map((_, j) => forms.slice(0, j).map((__, i) => pairOf(i, j, borneOn, ratio)));
  const pair = (i: number, j: number): Pair => pairs[j]?.[i] as Pair;
  const weights = new Float64Array(sets.ofForms.length);
  let total = 0;
  sets.ofForms.forEach((set, s) => {
    let weight = 1;
    for (let n = 0; n < set.length; n++) {
      const j = set[n] as number;
      weight *= alone[j] as number;
      for (let m = 0; m < n; m++) weight *= pair(set[m] as number, j).together;
    }
    if (set.length === 3) weight *= three(set, pair, witnesses, ratio);
    if (set.length > 3) weight = weightOf(set, forms, borneOn, ratio);
    if (scan) weight *= scan.chance(set);
    for (const { chance } of measured) weight *= chance(set);
    weights[s] = weight;
    total += weight;
  });
  return { forms, sets, witnesses, borneOn, pair, scan, measured, weights, total };
}

/** Asked once for each set of the forms that change it: of thousands of sets most differ in others. */
function byBearing(
  network: Network,
  forms: readonly Form[],
  { causes, chance }: Measured,
): (set: readonly number[]) => number {
  const bears = forms.map(({ cause }) => causes.has(network.causes[cause]?.id ?? ''));
  const kept = new Map<number, number>();
  return (set) => {
    let key = 0;
    for (const form of set) if (bears[form]) key = key * (forms.length + 1) + form + 1;
    const known = kept.get(key);
    if (known !== undefined) return known;
    const answer = chance(
      asCauses(
        network,
        forms,
        set.filter((form) => bears[form]),
      ),
    );
    kept.set(key, answer);
    return answer;
  };
}

/** A set of forms in the names of its causes. */
const asCauses = ({ causes }: Network, forms: readonly Form[], set: readonly number[]): CauseSet =>
  set.map((i) => ({ cause: causes[forms[i]?.cause ?? -1]?.id ?? '', form: forms[i]?.id }));

type Ratio = (f: number, set: readonly number[]) => number;

/** Evidence that two forms bear on both, and what both do to it against what each does alone. */
interface Pair {
  readonly shared: Int32Array;
  readonly together: number;
}

function pairOf(i: number, j: number, borneOn: readonly Int32Array[], ratio: Ratio): Pair {
  const its = borneOn[j] as Int32Array;
  const shared = (borneOn[i] as Int32Array).filter((f) => its.includes(f));
  let together = 1;
  for (const f of shared) together *= ratio(f, [i, j]) / (ratio(f, [i]) * ratio(f, [j]));
  return { shared, together };
}

/** What three forms do to the evidence that all bear on, beyond what they do by twos. */
function three(
  set: readonly number[],
  pair: (i: number, j: number) => Pair,
  witnesses: readonly Witness[],
  ratio: Ratio,
): number {
  const [i = 0, j = 0, k = 0] = set;
  let beyond = 1;
  for (const f of pair(i, j).shared) {
    if (witnesses[f]?.bears(k) !== true) continue;
    const byTwos = ratio(f, [i, j]) * ratio(f, [i, k]) * ratio(f, [j, k]);
    beyond *= (ratio(f, set) * ratio(f, [i]) * ratio(f, [j]) * ratio(f, [k])) / byTwos;
  }
  return beyond;
}

/** By the definition, for sets of more than three. */
function weightOf(
  set: readonly number[],
  forms: readonly Form[],
  borneOn: readonly Int32Array[],
  ratio: Ratio,
): number {
  const touched = new Set(set.flatMap((i) => [...(borneOn[i] as Int32Array)]));
  const odds = set.reduce((product, i) => product * (forms[i] as Form).odds, 1);
  return [...touched].reduce((weight, f) => weight * ratio(f, set), odds);
}

/** The probability of each set of causes in each of its forms. */
export function posteriorForms(
  network: Network,
  evidence: Evidence,
  most = MOST_FAULTS,
  beyond = NOTHING_BEYOND,
): { readonly forms: readonly Form[]; readonly sets: Sets; readonly probabilities: Float64Array } {
  const { forms, sets, weights, total } = weigh(network, evidence, most, beyond);
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
  beyond = NOTHING_BEYOND,
): { readonly sets: readonly (readonly number[])[]; readonly probabilities: Float64Array } {
  const { sets, probabilities } = posteriorForms(network, evidence, most, beyond);
  return { sets: sets.ofCauses, probabilities: summed(sets, probabilities) };
}

const SHOWN_SETS = 12;
const LEAST_SHOWN = 1e-4;
/** Sets less probable than this add nothing to a reason that a digit could show: one piece of evidence weighs a million at most. */
const NEGLIGIBLE = 1e-14;
const UNEXPLAINED_BELOW = 0.05;
/** From this share of its cause on a form is said. */
const TELLS_FORM = 0.8;

/**
 * Exact posterior over all sets of up to three causes, each cause with what speaks for and against it. Evidence that the
 * network does not know is left aside: it must never break the inference. Reasons are by leaving one piece of evidence
 * out at a time, so they say what each one adds to all the others.
 */
export function infer(
  network: Network,
  evidence: Evidence,
  most = MOST_FAULTS,
  beyond = NOTHING_BEYOND,
): Posterior {
  const count = network.causes.length;
  const {
    forms: allForms,
    sets,
    witnesses,
    borneOn,
    pair,
    scan,
    measured,
    weights,
    total,
  } = weigh(network, evidence, most, beyond);
  const { ofForms, causesOf, ofCauses } = sets;
  const byCause = new Float64Array(count);
  const byForm = new Float64Array(allForms.length);
  // What leaving a piece of evidence out adds to the weight of all sets, and of those that hold each cause, beyond what it
  // adds to every set alike.
  const width = witnesses.length;
  const more = new Float64Array(width);
  const moreByCause = new Float64Array(width * count);
  // Where one member alone touches a piece of evidence, what leaving it out adds is known for each form beforehand.
  const byOne = (f: number, form: number): number => {
    const witness = witnesses[f] as Witness;
    return 1 / witness.chance([form]) - 1 / witness.base;
  };
  /** Weight of the sets that hold a form and a cause. */
  const held = new Float64Array(allForms.length * count);
  const mark = new Int32Array(width).fill(-1);
  const least = NEGLIGIBLE * total;
  for (let s = 0; s < weights.length; s++) {
    const weight = weights[s] as number;
    const ways = ofForms[s] as readonly number[];
    const set = ofCauses[causesOf[s] as number] as readonly number[];
    for (const way of ways) {
      byForm[way] = (byForm[way] as number) + weight;
      for (const i of set) held[way * count + i] = (held[way * count + i] as number) + weight;
    }
    for (const i of set) byCause[i] = (byCause[i] as number) + weight;
    if (weight < least) continue;
    for (let n = 1; n < ways.length; n++)
      for (let m = 0; m < n; m++)
        for (const f of pair(ways[m] as number, ways[n] as number).shared) {
          if (mark[f] === s) continue;
          mark[f] = s;
          const witness = witnesses[f] as Witness;
          let extra = 1 / witness.chance(ways) - 1 / witness.base;
          for (const way of ways) extra -= byOne(f, way);
          more[f] = (more[f] as number) + weight * extra;
          for (const i of set)
            moreByCause[f * count + i] = (moreByCause[f * count + i] as number) + weight * extra;
        }
  }
  borneOn.forEach((its, way) => {
    for (const f of its) {
      const extra = byOne(f, way);
      more[f] = (more[f] as number) + extra * (byForm[way] as number);
      for (let i = 0; i < count; i++)
        moreByCause[f * count + i] =
          (moreByCause[f * count + i] as number) + extra * (held[way * count + i] as number);
    }
  });
  const whole = leftOut({ scan, measured, sets, weights, total }, count);
  const causes = network.causes.map(({ id }, i) => {
    const probability = (byCause[i] as number) / total;
    const reasons = witnesses
      .map(({ id: finding, base }, f) => {
        const withIt = (byCause[i] as number) / base + (moreByCause[f * count + i] as number);
        const all = total / base + (more[f] as number);
        return { finding, weight: logit(probability) - logit(withIt / all) };
      })
      .concat(
        whole.map(({ finding, total: all, byCause: of }) => ({
          finding,
          weight: logit(probability) - logit((of[i] as number) / all),
        })),
      )
      .sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight));
    const form = allForms.find(
      (one, k) => one.cause === i && (byForm[k] as number) >= TELLS_FORM * (byCause[i] as number),
    )?.id;
    return { id, probability, ...(form === undefined ? {} : { form }), reasons };
  });
  const bySet = summed(sets, weights);
  // Thousands of sets are next to impossible: only the others are put in order.
  const order = Array.from(bySet.keys())
    .filter((s) => (bySet[s] as number) >= LEAST_SHOWN * total)
    .sort((a, b) => (bySet[b] as number) - (bySet[a] as number));
  const best = ofForms[weights.indexOf(weights.reduce((a, b) => Math.max(a, b), 0))] ?? [];
  return {
    causes: causes.sort((a, b) => b.probability - a.probability),
    sets: order.slice(0, SHOWN_SETS).map((s) => ({
      causes: (ofCauses[s] as readonly number[]).map((i) => network.causes[i]?.id ?? ''),
      probability: (bySet[s] as number) / total,
    })),
    unexplained: [
      ...witnesses.map((witness) => ({ finding: witness.id, chance: witness.chance(best) })),
      ...(scan?.ids ?? [])
        .filter((id) => evidence[id] === true)
        .map((finding) => ({ finding, chance: scan ? scan.chance(best) / scan.chance(best, finding) : 1 })),
    ].filter(({ chance }) => chance < UNEXPLAINED_BELOW),
  };
}

/** Sets less probable than this are left aside where a whole piece of evidence is taken out. */
const LEAST_WHOLE = 1e-6;

/** Weights of all sets, and of those that hold each cause, with each code and each measured value left out in turn. */
function leftOut(
  { scan, measured, sets, weights, total }: Pick<Weighed, 'scan' | 'measured' | 'sets' | 'weights' | 'total'>,
  count: number,
): { readonly finding: string; readonly total: number; readonly byCause: Float64Array }[] {
  const pieces = [
    ...(scan?.ids ?? []).map((finding) => ({
      finding,
      without: (set: readonly number[]) => (scan ? scan.chance(set, finding) / scan.chance(set) : 1),
    })),
    ...measured.map(({ id, chance }) => ({
      finding: id,
      without: (set: readonly number[]) => 1 / chance(set),
    })),
  ];
  const likely = [...weights.keys()].filter((s) => (weights[s] as number) >= LEAST_WHOLE * total);
  return pieces.map(({ finding, without }) => {
    const byCause = new Float64Array(count);
    let all = 0;
    for (const s of likely) {
      const weight = (weights[s] as number) * without(sets.ofForms[s] as readonly number[]);
      all += weight;
      for (const i of sets.ofCauses[sets.causesOf[s] as number] as readonly number[])
        byCause[i] = (byCause[i] as number) + weight;
    }
    return { finding, total: all, byCause };
  });
}
