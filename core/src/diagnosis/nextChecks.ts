import { chanceSeen, oddsOf, type Evidence, type FindingNode } from './network.ts';
import { FEW_SETS, setsFrom, type Weighed } from './weigh.ts';

/**
 * A check with its outcomes in the order in which they take precedence: the first that is seen is the outcome; where none
 * is, the last name stands for it. Each outcome but the last is a finding of the network.
 */
export interface CheckNode {
  readonly id: string;
  readonly outcomes: readonly string[];
  readonly otherwise: string;
  readonly minutes: number;
  /** Material and risk, in minutes' worth of work. */
  readonly cost: number;
}

export interface RankedCheck {
  readonly check: string;
  /** Expected fall of the doubt over the sets of causes, bits. */
  readonly bits: number;
  readonly bitsPerMinute: number;
  /** Expected loss that it avoids for each minute, by the measure that was given; 0 without one. */
  readonly lossPerMinute: number;
  readonly minutes: number;
  readonly cost: number;
  /** Chance of each outcome, as things are known now. */
  readonly outcomes: readonly { readonly outcome: string; readonly probability: number }[];
}

/** What an outcome of a check says of the findings behind it. */
export function evidenceOfOutcome(check: CheckNode, outcome: string): Evidence {
  const at = check.outcomes.indexOf(outcome);
  if (at < 0 && outcome !== check.otherwise)
    throw new RangeError(`Check “${check.id}” has no outcome “${outcome}”`);
  const upTo = at < 0 ? check.outcomes.length : at + 1;
  return Object.fromEntries(check.outcomes.slice(0, upTo).map((id) => [id, id === outcome]));
}

const xlog2 = (p: number): number => (p > 0 ? p * Math.log2(p) : 0);

/** Of many sets the least probable are left aside as long as all of them together hold under a hundredth. */
const HELD = 0.99;

/** The sets of forms that a ranking goes by, in the order of the sets of causes that they are. */
function likelySets({ sets: { causesOf }, weights, total }: Weighed): Int32Array {
  let least = weights.length > FEW_SETS ? 1e-4 * total : 0;
  for (;;) {
    let held = 0;
    for (const weight of weights) if (weight >= least) held += weight;
    if (held >= HELD * total) break;
    least /= 4;
  }
  return setsFrom(weights, least).sort((a, b) => (causesOf[a] as number) - (causesOf[b] as number));
}

/**
 * Checks by the information that they are expected to give for each minute and its cost, of what they would decide and is not known
 * yet; those of which nothing is open are left out.
 */
export function rankChecks(
  weighed: Weighed,
  checks: readonly CheckNode[],
  /** What acting on these chances would lose. */
  lossOf?: (chance: (cause: string) => number) => number,
): RankedCheck[] {
  const { network, evidence, forms, sets, weights, total } = weighed;
  const { none, members } = sets;
  const likely = likelySets(weighed);
  const causeIndex = new Map(network.causes.map(({ id }, i) => [id, i]));
  const count = network.causes.length;
  /** Loss by the masses of sets that hold each cause, out of a whole mass. */
  const lossFor = (held: Float64Array, whole: number): number =>
    lossOf && whole > 0
      ? lossOf((cause) => {
          const at = causeIndex.get(cause);
          return at === undefined ? 0 : (held[at] as number) / whole;
        })
      : 0;
  // Doubt is over causes: in which form one comes is worth no minute.
  const groups = groupsOf(weighed, likely, count);
  const whole = groups.mass;
  const lossNow = lossFor(groups.held, whole);
  const entropyNow = xlog2(whole) - groups.sharp;
  const byId = new Map(network.findings.map((finding) => [finding.id, finding]));
  const neutral = (chances: Float64Array): Float64Array => Float64Array.of(...chances, 1);
  const ranked = checks.flatMap((check): RankedCheck[] => {
    const open = check.outcomes.filter((id) => evidence[id] === undefined);
    if (open.length === 0) return [];
    const odds = open.map((id) => {
      const one = oddsOf(network, forms, byId.get(id) as FindingNode);
      return { ...one, silent: neutral(one.silent), open: neutral(one.open) };
    });
    const bears = new Uint8Array(count);
    forms.forEach(({ cause }, i) => {
      if (odds.some(({ silent, open: opening }) => silent[i] !== 1 || opening[i] !== 1)) bears[cause] = 1;
    });
    const then = tally(odds.length + 1, count);
    const { own } = then;
    /** Each outcome in turn, and what is left for the last word, out of a weight. */
    const share = (weight: number, a: number, b: number, c: number): void => {
      let rest = weight;
      for (let k = 0; k < odds.length; k++) {
        const { quiet, clear, silent, open: opening } = odds[k] as (typeof odds)[number];
        const seen =
          rest *
          chanceSeen(
            quiet * (silent[a] as number) * (silent[b] as number) * (silent[c] as number),
            clear * (opening[a] as number) * (opening[b] as number) * (opening[c] as number),
          );
        own[k] = (own[k] as number) + seen;
        rest -= seen;
      }
      own[odds.length] = (own[odds.length] as number) + rest;
    };
    const aside = { mass: 0, sharp: 0, held: new Float64Array(count) };
    for (const { causes, mass, from, to } of groups.list) {
      if (!causes.some((i) => bears[i] === 1)) continue;
      aside.mass += mass;
      aside.sharp += xlog2(mass);
      for (const i of causes) aside.held[i] = (aside.held[i] as number) + mass;
      for (let l = from; l < to; l++) {
        const s = likely[l] as number;
        share(
          (weights[s] as number) / total,
          members[3 * s] ?? none,
          members[3 * s + 1] ?? none,
          members[3 * s + 2] ?? none,
        );
      }
      closeSet(then, causes);
    }
    // All others share alike: none of their causes bears on any outcome.
    share(1, none, none, none);
    closeRest(then, groups, aside);
    // H(sets | outcome), weighted: Σ over outcomes of m·log m − Σ p·log p.
    const bits = Math.max(0, entropyNow - entropyOf(then));
    const lossThen = then.held.reduce(
      (sum, held, k) => sum + (then.mass[k] as number) * lossFor(held, then.mass[k] as number),
      0,
    );
    return [
      {
        check: check.id,
        bits,
        bitsPerMinute: bits / (check.minutes + check.cost),
        lossPerMinute: Math.max(0, whole * lossNow - lossThen) / (check.minutes + check.cost),
        minutes: check.minutes,
        cost: check.cost,
        outcomes: [...open, check.otherwise].map((outcome, k) => ({
          outcome,
          probability: then.mass[k] as number,
        })),
      },
    ];
  });
  return ranked.sort((a, b) => b.bitsPerMinute - a.bitsPerMinute);
}

/** What the sets come to under each outcome of a check. */
interface Tally {
  /** Of the set of causes at hand. */
  readonly own: Float64Array;
  readonly mass: Float64Array;
  /** Of the sets that hold each cause. */
  readonly held: readonly Float64Array[];
  /** Σ p·log p over sets and outcomes. */
  sharp: number;
}

const tally = (width: number, causes: number): Tally => ({
  own: new Float64Array(width),
  mass: new Float64Array(width),
  held: Array.from({ length: width }, () => new Float64Array(causes)),
  sharp: 0,
});

/** One set of causes is through, in all its forms. */
function closeSet(tallied: Tally, causes: readonly number[]): void {
  const { own, mass, held } = tallied;
  for (let k = 0; k < own.length; k++) {
    const its = own[k] as number;
    const by = held[k] as Float64Array;
    own[k] = 0;
    mass[k] = (mass[k] as number) + its;
    for (const i of causes) by[i] = (by[i] as number) + its;
    tallied.sharp += xlog2(its);
  }
}

/** The likely sets of forms by the set of causes that they are, with what they come to all together. */
interface Groups {
  readonly list: readonly {
    readonly causes: readonly number[];
    readonly mass: number;
    /** Its sets of forms, by their places among the likely ones. */
    readonly from: number;
    readonly to: number;
  }[];
  readonly mass: number;
  /** Σ p·log p over sets of causes. */
  readonly sharp: number;
  /** Of the sets that hold each cause. */
  readonly held: Float64Array;
}

function groupsOf({ sets, weights, total }: Weighed, likely: Int32Array, count: number): Groups {
  const list: { causes: readonly number[]; mass: number; from: number; to: number }[] = [];
  let before = -1;
  likely.forEach((s, l) => {
    const at = sets.causesOf[s] as number;
    const weight = (weights[s] as number) / total;
    const last = list.at(-1);
    if (last && at === before) {
      last.mass += weight;
      last.to = l + 1;
    } else list.push({ causes: sets.ofCauses[at] ?? [], mass: weight, from: l, to: l + 1 });
    before = at;
  });
  const held = new Float64Array(count);
  let [mass, sharp] = [0, 0];
  for (const one of list) {
    mass += one.mass;
    sharp += xlog2(one.mass);
    for (const i of one.causes) held[i] = (held[i] as number) + one.mass;
  }
  return { list, mass, sharp, held };
}

/**
 * All sets but those that were gone through: of each the outcomes have the same shares b, so that Σ w·b·log(w·b) over them is
 * b·Σ w·log w + b·log b·Σ w.
 */
function closeRest(
  tallied: Tally,
  groups: Groups,
  aside: { readonly mass: number; readonly sharp: number; readonly held: Float64Array },
): void {
  const { own, mass, held } = tallied;
  const [restMass, restSharp] = [groups.mass - aside.mass, groups.sharp - aside.sharp];
  for (let k = 0; k < own.length; k++) {
    const b = own[k] as number;
    const by = held[k] as Float64Array;
    own[k] = 0;
    mass[k] = (mass[k] as number) + b * restMass;
    for (let i = 0; i < by.length; i++)
      by[i] = (by[i] as number) + b * ((groups.held[i] as number) - (aside.held[i] as number));
    tallied.sharp += b * restSharp + xlog2(b) * restMass;
  }
}

/** Doubt over the sets that is left on average once the outcome is known, bits. */
const entropyOf = ({ mass, sharp }: Tally): number => mass.reduce((sum, m) => sum + xlog2(m), -sharp);
