import { chanceSeen, oddsOf, type Evidence, type FindingNode, type FindingOdds } from './network.ts';
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

/** Of many sets the least probable are left aside as long as all of them together hold under a twentieth: thousands, each too little to settle. */
const HELD = 0.95;

/** The sets of forms that a ranking goes by, in the order of the sets of causes that they are. */
function likelySets({ sets: { causesOf }, weights, total }: Weighed): Int32Array {
  let least = weights.length > FEW_SETS ? 1e-4 * total : 0;
  for (;;) {
    let held = 0;
    for (let s = 0; s < weights.length; s++)
      if ((weights[s] as number) >= least) held += weights[s] as number;
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
  const { network, evidence, forms } = weighed;
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
  const withNone = (chances: Float64Array): Float64Array => {
    const longer = new Float64Array(chances.length + 1).fill(1);
    longer.set(chances);
    return longer;
  };
  const ranked = checks.flatMap((check): RankedCheck[] => {
    const open = check.outcomes.filter((id) => evidence[id] === undefined);
    if (open.length === 0) return [];
    const odds = open.map((id) => {
      const one = oddsOf(network, forms, byId.get(id) as FindingNode);
      return { ...one, silent: withNone(one.silent), open: withNone(one.open) };
    });
    const then = outcomesOf(weighed, likely, groups, odds);
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
function outcomesOf(
  { sets: { none }, weights, total }: Weighed,
  likely: Int32Array,
  groups: Groups,
  odds: readonly FindingOdds[],
): Tally {
  const count = groups.held.length - 1;
  const then = tally(odds.length + 1, count);
  const kinds = kindsOf(odds, none);
  const { own } = then;
  const { forms } = groups;
  /** Each outcome in turn, and what is left for the last word, out of a weight. */
  const share = (weight: number, a: number, b: number, c: number): void => {
    let rest = weight;
    for (let k = 0; k < odds.length; k++) {
      const { quiet, clear, silent, open } = odds[k] as FindingOdds;
      const seen =
        rest *
        chanceSeen(
          quiet * (silent[a] as number) * (silent[b] as number) * (silent[c] as number),
          clear * (open[a] as number) * (open[b] as number) * (open[c] as number),
        );
      own[k] = (own[k] as number) + seen;
      rest -= seen;
    }
    own[odds.length] = (own[odds.length] as number) + rest;
  };
  /** Sets that share alike, by the kinds of their forms; where each stands among them, 0 where none was met yet. */
  const alike: Sum[] = [];
  const oneOf: number[] = [];
  const at = new Int32Array(kinds.count ** 3);
  const aside = nothingYet(count);
  const { of: kindOf, count: width } = kinds;
  const keyOf = (l: number): number =>
    ((kindOf[forms[3 * l] as number] as number) * width + (kindOf[forms[3 * l + 1] as number] as number)) *
      width +
    (kindOf[forms[3 * l + 2] as number] as number);
  for (let g = 0; g < groups.count; g++) {
    const from = groups.from[g] as number;
    const to = groups.from[g + 1] as number;
    const key = keyOf(from);
    let same = true;
    for (let l = from + 1; l < to && same; l++) same = keyOf(l) === key;
    if (same) {
      if (key === 0) continue;
      if (at[key] === 0) {
        at[key] = alike.push(nothingYet(count));
        oneOf.push(from);
      }
      addGroup(alike[(at[key] as number) - 1] as Sum, groups, g);
      continue;
    }
    addGroup(aside, groups, g);
    for (let l = from; l < to; l++)
      share(
        (weights[likely[l] as number] as number) / total,
        forms[3 * l] as number,
        forms[3 * l + 1] as number,
        forms[3 * l + 2] as number,
      );
    closeSet(then, groups, g);
  }
  alike.forEach((its, i) => {
    const l = 3 * (oneOf[i] as number);
    share(1, forms[l] as number, forms[l + 1] as number, forms[l + 2] as number);
    closeAlike(then, its);
    addSum(aside, its);
  });
  // All others share alike, too: none of their forms bears on any outcome.
  share(1, none, none, none);
  closeAlike(then, allBut(groups, aside));
  return then;
}

/** Sets by the outcomes of a check. */
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
  held: Array.from({ length: width }, () => new Float64Array(causes + 1)),
  sharp: 0,
});

/** One set of causes is through, whose forms do not share alike. */
function closeSet(tallied: Tally, { causes }: Groups, g: number): void {
  const { own, mass, held } = tallied;
  for (let k = 0; k < own.length; k++) {
    const its = own[k] as number;
    const by = held[k] as Float64Array;
    own[k] = 0;
    mass[k] = (mass[k] as number) + its;
    for (let m = 3 * g; m < 3 * g + 3; m++) {
      const cause = causes[m] as number;
      by[cause] = (by[cause] as number) + its;
    }
    tallied.sharp += xlog2(its);
  }
}

/** The likely sets of forms by the set of causes that they are, with what they come to all together. */
interface Groups extends Sum {
  readonly count: number;
  /** Three causes of each; the number behind the last cause stands for none. */
  readonly causes: Int16Array;
  readonly masses: Float64Array;
  /** Mass times its logarithm, of each. */
  readonly sharps: Float64Array;
  /** Where the sets of forms of each begin among the likely ones; one more than there are says where the last ends. */
  readonly from: Int32Array;
  /** Three forms of each likely set, filled up with none. */
  readonly forms: Int16Array;
}

function groupsOf({ sets, weights, total }: Weighed, likely: Int32Array, none: number): Groups {
  const causes = new Int16Array(3 * likely.length).fill(none);
  const masses = new Float64Array(likely.length);
  const from = new Int32Array(likely.length + 1);
  let count = 0;
  let before = -1;
  for (let l = 0; l < likely.length; l++) {
    const s = likely[l] as number;
    const at = sets.causesOf[s] as number;
    if (at !== before) {
      causes.set(sets.ofCauses[at] ?? [], 3 * count);
      from[count++] = l;
    }
    before = at;
    masses[count - 1] = (masses[count - 1] as number) + (weights[s] as number) / total;
  }
  from[count] = likely.length;
  const sharps = masses.map(xlog2);
  const forms = new Int16Array(3 * likely.length);
  for (let l = 0; l < likely.length; l++)
    for (let m = 0; m < 3; m++) forms[3 * l + m] = sets.members[3 * (likely[l] as number) + m] as number;
  const groups = { count, causes, masses, sharps, from, forms, ...nothingYet(none) };
  for (let g = 0; g < count; g++) addGroup(groups, groups, g);
  return groups;
}

/** What some sets of causes come to together. */
interface Sum {
  mass: number;
  /** Σ p·log p. */
  sharp: number;
  /** Of the sets that hold each cause; the last place is of no cause. */
  readonly held: Float64Array;
}

const nothingYet = (causes: number): Sum => ({ mass: 0, sharp: 0, held: new Float64Array(causes + 1) });

function addGroup(sum: Sum, { causes, masses, sharps }: Groups, g: number): void {
  const its = masses[g] as number;
  sum.mass += its;
  sum.sharp += sharps[g] as number;
  for (let m = 3 * g; m < 3 * g + 3; m++) {
    const cause = causes[m] as number;
    sum.held[cause] = (sum.held[cause] as number) + its;
  }
}

function addSum(to: Sum, sum: Sum): void {
  to.mass += sum.mass;
  to.sharp += sum.sharp;
  for (let i = 0; i < to.held.length; i++) to.held[i] = (to.held[i] as number) + (sum.held[i] as number);
}

const allBut = (all: Sum, some: Sum): Sum => ({
  mass: all.mass - some.mass,
  sharp: all.sharp - some.sharp,
  held: all.held.map((held, cause) => held - (some.held[cause] as number)),
});

/** Sets whose outcomes have the same shares b: Σ w·b·log(w·b) over them is b·Σ w·log w + b·log b·Σ w. */
function closeAlike(tallied: Tally, sum: Sum): void {
  const { own, mass, held } = tallied;
  for (let k = 0; k < own.length; k++) {
    const b = own[k] as number;
    const by = held[k] as Float64Array;
    own[k] = 0;
    mass[k] = (mass[k] as number) + b * sum.mass;
    for (let i = 0; i < by.length; i++) by[i] = (by[i] as number) + b * (sum.held[i] as number);
    tallied.sharp += b * sum.sharp + xlog2(b) * sum.mass;
  }
}

/** Forms by what they do to the outcomes of a check: those of one number do the same, 0 stands for nothing at all and for none. */
function kindsOf(
  odds: readonly { readonly silent: Float64Array; readonly open: Float64Array }[],
  none: number,
): { readonly count: number; readonly of: Uint8Array } {
  const of = new Uint8Array(none + 1);
  /** The first form of each kind; none does nothing. */
  const first = [none];
  const alike = (i: number, j: number): boolean => {
    for (const { silent, open } of odds) if (silent[i] !== silent[j] || open[i] !== open[j]) return false;
    return true;
  };
  for (let i = 0; i < none; i++) {
    let kind = 0;
    while (kind < first.length && !alike(i, first[kind] as number)) kind++;
    if (kind === first.length) first.push(i);
    of[i] = kind;
  }
  return { count: first.length, of };
}

/** Doubt over the sets that is left on average once the outcome is known, bits. */
const entropyOf = ({ mass, sharp }: Tally): number => mass.reduce((sum, m) => sum + xlog2(m), -sharp);
