import { bounded } from './network.ts';
import { FEW_SETS, setsFrom, type Weighed, type Witness } from './weigh.ts';

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

const logit = (p: number): number => Math.log(bounded(p) / (1 - bounded(p)));

/** The probability of each set of at most three causes, by what was weighed. They add up to 1. */
export function posteriorSets({ sets: { causesOf, ofCauses }, weights, total }: Weighed): {
  readonly sets: readonly (readonly number[])[];
  readonly probabilities: Float64Array;
} {
  const probabilities = new Float64Array(ofCauses.length);
  for (let s = 0; s < weights.length; s++) {
    const at = causesOf[s] as number;
    probabilities[at] = (probabilities[at] as number) + (weights[s] as number) / total;
  }
  return { sets: ofCauses, probabilities };
}

const SHOWN_SETS = 12;
const LEAST_SHOWN = 1e-4;
const UNEXPLAINED_BELOW = 0.05;
/** From this share of its cause on a form is said. */
const TELLS_FORM = 0.8;

/**
 * Exact posterior over all sets of up to three causes, each cause with what speaks for and against it. Evidence that the
 * network does not know is left aside: it must never break the inference. Reasons are by leaving one piece of evidence
 * out at a time, so they say what each one adds to all the others.
 */
export function infer(weighed: Weighed): Posterior {
  const { network, evidence, forms, sets, weights, total, witnesses, scan } = weighed;
  const { none, members } = sets;
  const holding = heldBy(weighed);
  const left: LeftOut[] = [
    ...witnesses.map((witness) => withoutFinding(weighed, holding, witness)),
    ...withoutCodes(weighed, holding),
    ...withoutMeasured(weighed),
  ];
  const causes = network.causes.map(({ id }, i) => {
    const probability = (holding.byCause[i] as number) / total;
    const reasons = left
      .map(({ finding, total: all, byCause }) => ({
        finding,
        weight: logit(probability) - logit((byCause[i] as number) / all),
      }))
      .sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight));
    const form = forms.find(
      ({ cause }, k) =>
        cause === i && (holding.byForm[k] as number) >= TELLS_FORM * (holding.byCause[i] as number),
    )?.id;
    return { id, probability, ...(form === undefined ? {} : { form }), reasons };
  });
  const bySet = posteriorSets(weighed);
  // Thousands of sets are next to impossible: only the others are put in order.
  const order = [...setsFrom(bySet.probabilities, LEAST_SHOWN)].sort(
    (a, b) => (bySet.probabilities[b] as number) - (bySet.probabilities[a] as number),
  );
  let most = 0;
  for (let s = 1; s < weights.length; s++) if ((weights[s] as number) > (weights[most] as number)) most = s;
  const best = Int32Array.of(most);
  const [a = none, b = none, c = none] = members.subarray(3 * most);
  return {
    causes: causes.sort((x, y) => y.probability - x.probability),
    sets: order.slice(0, SHOWN_SETS).map((s) => ({
      causes: (bySet.sets[s] as readonly number[]).map((i) => network.causes[i]?.id ?? ''),
      probability: bySet.probabilities[s] as number,
    })),
    unexplained: [
      ...witnesses.map(({ id, chance }) => ({ finding: id, chance: chance(a, b, c) })),
      ...(scan?.ids ?? [])
        .map((finding, f) => ({
          finding,
          chance: (scan?.chances(best)[0] ?? 1) / (scan?.without(f, best)[0] ?? 1),
        }))
        .filter(({ finding }) => evidence[finding] === true),
    ].filter(({ chance }) => chance < UNEXPLAINED_BELOW),
  };
}

/** Of many sets those less probable than this add nothing to a chance or a reason that is shown. */
const NEGLIGIBLE = 1e-8;

/** Weight of all sets that hold a cause or a form, and, cause by cause, of those that hold a form or two forms as well. */
interface Holding {
  readonly byCause: Float64Array;
  readonly byForm: Float64Array;
  readonly one: Float64Array;
  readonly two: Float64Array;
}

function heldBy({ network, forms, sets: { none, members }, weights, total }: Weighed): Holding {
  const count = network.causes.length;
  const causeOf = Int32Array.from(forms, ({ cause }) => cause);
  const byCause = new Float64Array(count);
  const byForm = new Float64Array(none);
  const one = new Float64Array(none * count);
  const two = new Float64Array(none * none * count);
  const add = (to: Float64Array, at: number, weight: number): void => {
    to[at] = (to[at] as number) + weight;
  };
  const held = setsFrom(weights, weights.length > FEW_SETS ? NEGLIGIBLE * total : 0);
  for (let w = 0; w < held.length; w++) {
    const s = held[w] as number;
    const weight = weights[s] as number;
    for (let m = 3 * s; m < 3 * s + 3; m++) {
      const i = members[m] as number;
      if (i === none) break;
      add(byCause, causeOf[i] as number, weight);
      add(byForm, i, weight);
      for (let n = 3 * s; n < 3 * s + 3; n++) {
        const j = members[n] as number;
        if (j === none) break;
        add(one, i * count + (causeOf[j] as number), weight);
        if (j <= i) continue;
        const at = (i * none + j) * count;
        for (let o = 3 * s; o < 3 * s + 3; o++) {
          const k = members[o] as number;
          if (k === none) break;
          add(two, at + (causeOf[k] as number), weight);
        }
      }
    }
  }
  return { byCause, byForm, one, two };
}

interface LeftOut {
  readonly finding: string;
  /** Weight of all sets without it, and of those that hold each cause. */
  readonly total: number;
  readonly byCause: Float64Array;
}

/**
 * What is left of the weights where one finding is taken out. What that adds to a set depends only on its members that bear on
 * the finding: what one of them adds is taken from all sets that hold it, what two add beyond that from all that hold both, and
 * what three add beyond that from the set itself.
 */
function withoutFinding(
  { network, forms, sets, weights, total }: Weighed,
  holding: Holding,
  { id, bearing, chance }: Witness,
): LeftOut {
  const count = network.causes.length;
  const { none } = sets;
  const base = chance(none, none, none);
  const extra = (a: number, b: number, c: number): number => base / chance(a, b, c) - 1;
  const byCause = holding.byCause.slice();
  let all = total;
  const width = bearing.length;
  const one = Float64Array.from(bearing, (i) => extra(i, none, none));
  const two = new Float64Array(width * width);
  for (let x = 0; x < width; x++) {
    const i = bearing[x] as number;
    all += (one[x] as number) * (holding.byForm[i] as number);
    for (let k = 0; k < count; k++)
      byCause[k] = (byCause[k] as number) + (one[x] as number) * (holding.one[i * count + k] as number);
    for (let y = x + 1; y < width; y++) {
      const j = bearing[y] as number;
      if (sets.pairAt(i, j) === -1) continue;
      const more = extra(i, j, none) - (one[x] as number) - (one[y] as number);
      two[x * width + y] = more;
      const at = (i * none + j) * count;
      // A set that holds both holds the cause of the first as well.
      all += more * (holding.two[at + (forms[i]?.cause ?? 0)] as number);
      for (let k = 0; k < count; k++)
        byCause[k] = (byCause[k] as number) + more * (holding.two[at + k] as number);
    }
  }
  for (let x = 0; x < width; x++)
    for (let y = x + 1; y < width; y++)
      for (let z = y + 1; z < width; z++) {
        const [i, j, k] = [bearing[x] as number, bearing[y] as number, bearing[z] as number];
        const s = sets.threeAt(i, j, k);
        if (s === -1) continue;
        const known =
          (one[x] as number) +
          (one[y] as number) +
          (one[z] as number) +
          (two[x * width + y] as number) +
          (two[x * width + z] as number) +
          (two[y * width + z] as number);
        const more = (extra(i, j, k) - known) * (weights[s] as number);
        all += more;
        for (const form of [i, j, k]) {
          const cause = forms[form]?.cause ?? 0;
          byCause[cause] = (byCause[cause] as number) + more;
        }
      }
  return { finding: id, total: all, byCause };
}

/** Sets less probable than this are left aside where a code is taken out of account. */
const LEAST_WHOLE = 1e-5;

/** Adds to what is left: so much more of the weight of each of these sets. */
function addMore(
  { byCause, total }: Pick<LeftOut, 'byCause' | 'total'>,
  { forms, sets: { none, members }, weights }: Weighed,
  of: Int32Array,
  more: Float64Array,
): number {
  let all = total;
  for (let w = 0; w < of.length; w++) {
    const s = of[w] as number;
    const weight = (weights[s] as number) * (more[w] as number);
    all += weight;
    for (let m = 3 * s; m < 3 * s + 3; m++) {
      const form = members[m] as number;
      if (form === none) break;
      const cause = forms[form]?.cause ?? 0;
      byCause[cause] = (byCause[cause] as number) + weight;
    }
  }
  return all;
}

/** What is left where one code is taken out of the scan: other than before only for sets that hold what sets it. */
function withoutCodes(weighed: Weighed, holding: Holding): LeftOut[] {
  const { scan, scanChances, sets, weights, total } = weighed;
  if (!scan || !scanChances) return [];
  const likely = setsFrom(weights, weights.length > FEW_SETS ? LEAST_WHOLE * total : 0);
  return scan.ids.map((finding, code) => {
    const bearing = sets.holding(scan.bearing(code), likely);
    const base = scan.base(code);
    const more = scan.without(code, bearing);
    for (let w = 0; w < more.length; w++)
      more[w] = (base * (more[w] as number)) / (scanChances[bearing[w] as number] as number) - 1;
    const byCause = holding.byCause.slice();
    return { finding, total: addMore({ byCause, total }, weighed, bearing, more), byCause };
  });
}

/** What is left where one measured value is taken out. */
function withoutMeasured(weighed: Weighed): LeftOut[] {
  const { network, weights, measured } = weighed;
  const every = setsFrom(weights, 0);
  return measured.map(({ id, chances }) => {
    const more = new Float64Array(chances.length);
    for (let s = 0; s < more.length; s++) more[s] = 1 / (chances[s] as number);
    const byCause = new Float64Array(network.causes.length);
    return { finding: id, total: addMore({ byCause, total: 0 }, weighed, every, more), byCause };
  });
}
