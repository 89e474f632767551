import { faultSets, type FaultSets } from './faultSets.ts';
import type { CauseSet } from './measured/states.ts';
import {
  chanceSeen,
  formsOf,
  oddsOf,
  worthTogether,
  type Evidence,
  type FindingNode,
  type Form,
  type Network,
} from './network.ts';
import { scanWitness, type ScanWitness } from './scanChance.ts';

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
  /** Codes of the scan that are remembered only. */
  readonly remembered: ReadonlySet<string>;
}
export const NOTHING_BEYOND: Beyond = { measured: [], partialScan: false, remembered: new Set() };

/** One finding that was seen or missed, ready to be asked for its chance under a set of forms. */
export interface Witness {
  readonly id: string;
  /** Forms that bring it about or hide it, in rising order. */
  readonly bearing: Int32Array;
  /** P(what was seen | set), of up to three members; `none` stands for no member. */
  readonly chance: (a: number, b: number, c: number) => number;
}

/** The weight of every set, and the pieces that it was made of. */
export interface Weighed {
  readonly network: Network;
  readonly evidence: Evidence;
  readonly forms: readonly Form[];
  readonly sets: FaultSets;
  /** Of each set of forms. */
  readonly weights: Float64Array;
  readonly total: number;
  readonly witnesses: readonly Witness[];
  readonly scan: ScanWitness | undefined;
  /** Chance of the scan under each set of forms. */
  readonly scanChances: Float64Array | undefined;
  /** Chance of each measured value under each set of forms. */
  readonly measured: readonly { readonly id: string; readonly chances: Float64Array }[];
}

function witnessOf(network: Network, forms: readonly Form[], finding: FindingNode, seen: boolean): Witness {
  const { quiet, clear, silent, open } = oddsOf(network, forms, finding);
  const silentOf = Float64Array.of(...silent, 1);
  const openOf = Float64Array.of(...open, 1);
  return {
    id: finding.id,
    bearing: Int32Array.from(forms.flatMap((_, i) => (silent[i] !== 1 || open[i] !== 1 ? [i] : []))),
    chance: (a, b, c) => {
      const silence = quiet * (silentOf[a] as number) * (silentOf[b] as number) * (silentOf[c] as number);
      const opening = clear * (openOf[a] as number) * (openOf[b] as number) * (openOf[c] as number);
      const chance = chanceSeen(silence, opening);
      return seen ? chance : 1 - chance;
    },
  };
}

/** A value is asked once for each set of the forms that change it: of thousands of sets most differ in others. */
function askedOnce(
  { causes: known }: Network,
  forms: readonly Form[],
  sets: FaultSets,
  { id, causes, chance }: Measured,
): Weighed['measured'][number] {
  /** Forms that bear on it are numbered from one; 0 stands for all others. */
  const number = new Int32Array(sets.none + 1);
  const bearing: number[] = [];
  forms.forEach(({ cause }, i) => {
    if (causes.has(known[cause]?.id ?? '')) number[i] = bearing.push(i);
  });
  const base = bearing.length + 1;
  const kept = new Float64Array(base * base * base).fill(Number.NaN);
  const asCauses = (set: readonly number[]): CauseSet =>
    set
      .filter((form) => number[form] !== 0)
      .map((form) => ({ cause: known[forms[form]?.cause ?? -1]?.id ?? '', form: forms[form]?.id }));
  const { none } = sets;
  const valueOf = (i: number, j: number, k: number): number => {
    let key = number[i] as number;
    if (number[j] !== 0) key = key * base + (number[j] as number);
    if (number[k] !== 0) key = key * base + (number[k] as number);
    const before = kept[key] as number;
    return Number.isNaN(before) ? (kept[key] = chance(asCauses([i, j, k]))) : before;
  };
  const chances = new Float64Array(sets.count);
  chances[0] = valueOf(none, none, none);
  for (let i = 0; i < none; i++) chances[1 + i] = valueOf(i, none, none);
  sets.forEachPair((i, j, pair, threes, first) => {
    const ofPair = valueOf(i, j, none);
    chances[pair] = ofPair;
    chances.fill(ofPair, threes + first, threes + none);
    for (let b = 0; b < bearing.length; b++) {
      const k = bearing[b] as number;
      if (k >= first) chances[threes + k] = valueOf(i, j, k);
    }
  });
  return { id, chances };
}

/**
 * The weight of every set of up to three causes against that of the empty one. Evidence that no member bears on has the same
 * chance under every set and cancels out: each finding is multiplied into the forms that bear on it, and into the pairs and threes
 * of them where what they do together is not what each does alone.
 */
export function weigh(network: Network, evidence: Evidence, beyond = NOTHING_BEYOND): Weighed {
  const forms = formsOf(network);
  const sets = faultSets(forms.map(({ cause }) => cause));
  const { none, count } = sets;
  const witnesses: Witness[] = [];
  const codes: (readonly [FindingNode, boolean])[] = [];
  for (const finding of network.findings) {
    const seen = evidence[finding.id];
    if (seen === undefined) continue;
    if (finding.code) codes.push([finding, seen]);
    else witnesses.push(witnessOf(network, forms, finding, seen));
  }
  const alone = Float64Array.from(forms, ({ odds }) => odds);
  /** What two do beyond what each does, for every pair, and three beyond their pairs. */
  const together = new Float64Array(none * none).fill(1);
  const weights = new Float64Array(count).fill(1);
  for (const { bearing, chance } of witnesses) {
    const base = chance(none, none, none);
    const one = Float64Array.from(bearing, (i) => chance(i, none, none) / base);
    const two = new Float64Array(bearing.length * bearing.length);
    for (let x = 0; x < bearing.length; x++) {
      const i = bearing[x] as number;
      alone[i] = (alone[i] as number) * (one[x] as number);
      for (let y = x + 1; y < bearing.length; y++) {
        const j = bearing[y] as number;
        const beyondAlone = chance(i, j, none) / base / ((one[x] as number) * (one[y] as number));
        two[x * bearing.length + y] = beyondAlone;
        together[i * none + j] = (together[i * none + j] as number) * beyondAlone;
      }
    }
    for (let x = 0; x < bearing.length; x++)
      for (let y = x + 1; y < bearing.length; y++)
        for (let z = y + 1; z < bearing.length; z++) {
          const s = sets.threeAt(bearing[x] as number, bearing[y] as number, bearing[z] as number);
          if (s === -1) continue;
          const three = chance(bearing[x] as number, bearing[y] as number, bearing[z] as number) / base;
          const byTwos =
            (one[x] as number) *
            (one[y] as number) *
            (one[z] as number) *
            (two[x * bearing.length + y] as number) *
            (two[x * bearing.length + z] as number) *
            (two[y * bearing.length + z] as number);
          weights[s] = ((weights[s] as number) * three) / byTwos;
        }
  }
  const scan = scanWitness(network, forms, sets, codes, beyond);
  const measured = beyond.measured.map((one) => askedOnce(network, forms, sets, one));
  const scanChances = scan?.chances(sets.every);
  const wholes = [...(scanChances ? [scanChances] : []), ...measured.map(({ chances }) => chances)];
  const worth = worthTogether(network);
  const worthOf = new Float64Array(sets.ofCauses.length);
  for (let s = 0; s < worthOf.length; s++) worthOf[s] = worth(sets.ofCauses[s] as readonly number[]);
  const times = (s: number, by: number): void => {
    weights[s] = (weights[s] as number) * (worthOf[sets.causesOf[s] as number] as number) * by;
  };
  times(0, 1);
  for (let i = 0; i < none; i++) times(1 + i, alone[i] as number);
  sets.forEachPair((i, j, pair, threes, first) => {
    const ofI = i * none;
    const ofJ = j * none;
    const ofPair = (alone[i] as number) * (alone[j] as number) * (together[ofI + j] as number);
    times(pair, ofPair);
    for (let k = first; k < none; k++) {
      const s = threes + k;
      weights[s] =
        (weights[s] as number) *
        (worthOf[sets.causesOf[s] as number] as number) *
        ofPair *
        (alone[k] as number) *
        (together[ofI + k] as number) *
        (together[ofJ + k] as number);
    }
  });
  let total = 0;
  for (let s = 0; s < count; s++) {
    let weight = weights[s] as number;
    for (let w = 0; w < wholes.length; w++) weight *= (wholes[w] as Float64Array)[s] as number;
    weights[s] = weight;
    total += weight;
  }
  return { network, evidence, forms, sets, weights, total, witnesses, scan, scanChances, measured };
}

/** Up to here every set is gone through; of more, the next to impossible ones are left aside. */
export const FEW_SETS = 1000;

/** Indices of the sets that weigh at least so much. */
export function setsFrom(weights: Float64Array, least: number): Int32Array {
  const found = new Int32Array(weights.length);
  let count = 0;
  for (let s = 0; s < weights.length; s++) if ((weights[s] as number) >= least) found[count++] = s;
  return found.subarray(0, count);
}
