import { MOST_FAULTS, NOTHING_BEYOND, posteriorForms } from './inference.ts';
import { chanceSeen, oddsOf, type Evidence, type FindingNode, type Network } from './network.ts';

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

/** Sets less probable than this change no digit of a ranking: all of them together hold under a thousandth. */
const LEAST_SET = 1e-7;

const xlog2 = (p: number): number => (p > 0 ? p * Math.log2(p) : 0);

/** Sets of causes that are probable enough, each with the sets of forms that it may be. */
function likelySets(
  { causesOf, ofCauses }: ReturnType<typeof posteriorForms>['sets'],
  probabilities: Float64Array,
): { readonly probability: number; readonly ways: readonly number[]; readonly causes: readonly number[] }[] {
  const sums = ofCauses.map((causes) => ({ probability: 0, ways: [] as number[], causes }));
  for (let s = 0; s < probabilities.length; s++) {
    const sum = sums[causesOf[s] as number];
    const probability = probabilities[s] as number;
    if (!sum || probability < LEAST_SET / 10) continue;
    sum.probability += probability;
    sum.ways.push(s);
  }
  return sums.filter(({ probability }) => probability >= LEAST_SET);
}

/**
 * Checks by the information that they are expected to give for each minute and its cost, of what they would decide and is not known
 * yet; those of which nothing is open are left out.
 */
export function rankChecks(
  network: Network,
  evidence: Evidence,
  checks: readonly CheckNode[],
  beyond = NOTHING_BEYOND,
  /** What acting on these chances would lose. */
  lossOf?: (chance: (cause: string) => number) => number,
): RankedCheck[] {
  const { forms, sets, probabilities } = posteriorForms(network, evidence, MOST_FAULTS, beyond);
  // Doubt is over causes: in which form one comes is worth no minute.
  const likely = likelySets(sets, probabilities);
  let entropy = 0;
  for (const { probability } of likely) entropy -= xlog2(probability);
  const causeIndex = new Map(network.causes.map(({ id }, i) => [id, i]));
  const count = network.causes.length;
  /** Loss by the masses of sets that hold each cause, out of a whole mass. */
  const lossFor = (held: Float64Array, from: number, whole: number): number =>
    lossOf && whole > 0
      ? lossOf((cause) => {
          const at = causeIndex.get(cause);
          return at === undefined ? 0 : (held[from + at] as number) / whole;
        })
      : 0;
  const all = new Float64Array(count);
  let whole = 0;
  for (const { probability, causes } of likely) {
    whole += probability;
    for (const i of causes) all[i] = (all[i] as number) + probability;
  }
  const lossNow = lossFor(all, 0, whole);
  const byId = new Map(network.findings.map((finding) => [finding.id, finding]));
  const ranked = checks.flatMap((check): RankedCheck[] => {
    const open = check.outcomes.filter((id) => evidence[id] === undefined);
    if (open.length === 0) return [];
    const odds = open.map((id) => oddsOf(network, forms, byId.get(id) as FindingNode));
    const width = odds.length + 1;
    const mass = new Float64Array(width);
    const own = new Float64Array(width);
    const held = new Float64Array(width * count);
    // H(sets | outcome), weighted: Σ over outcomes of m·log m − Σ p·log p.
    let after = 0;
    for (const { ways, causes } of likely) {
      own.fill(0);
      for (const s of ways) {
        let rest = probabilities[s] as number;
        for (let k = 0; k < odds.length; k++) {
          const { quiet, silent, open: opening, clear: unhidden } = odds[k] as (typeof odds)[number];
          let [silence, clear] = [quiet, unhidden];
          for (const i of sets.ofForms[s] as number[]) {
            silence *= silent[i] as number;
            clear *= opening[i] as number;
          }
          const seen = rest * chanceSeen(silence, clear);
          own[k] = (own[k] as number) + seen;
          rest -= seen;
        }
        own[width - 1] = (own[width - 1] as number) + rest;
      }
      for (let k = 0; k < width; k++) {
        mass[k] = (mass[k] as number) + (own[k] as number);
        if (lossOf)
          for (const i of causes) held[k * count + i] = (held[k * count + i] as number) + (own[k] as number);
        after -= xlog2(own[k] as number);
      }
    }
    for (let k = 0; k < width; k++) after += xlog2(mass[k] as number);
    const bits = Math.max(0, entropy - after);
    let lossThen = 0;
    for (let k = 0; k < width; k++)
      lossThen += (mass[k] as number) * lossFor(held, k * count, mass[k] as number);
    const one = {
      check: check.id,
      bits,
      bitsPerMinute: bits / (check.minutes + check.cost),
      lossPerMinute: Math.max(0, whole * lossNow - lossThen) / (check.minutes + check.cost),
      minutes: check.minutes,
      cost: check.cost,
      outcomes: [...open, check.otherwise].map((outcome, k) => ({
        outcome,
        probability: mass[k] as number,
      })),
    };
    return [one];
  });
  return ranked.sort((a, b) => b.bitsPerMinute - a.bitsPerMinute);
}
