/** How many causes a set may hold at most: more than three at once are next to never found on one vehicle. */
export const MOST_FAULTS = 3;

/** Every set of at most three causes, each in one form, and the set of causes that each of them is one way of. */
export interface FaultSets {
  /** How many forms there are; as a member this number stands for none. */
  readonly none: number;
  readonly count: number;
  /** Three members of each set, in rising order, filled up with `none`. */
  readonly members: Int16Array;
  /** Index of the set of causes for each set of forms. */
  readonly causesOf: Int32Array;
  readonly ofCauses: readonly (readonly number[])[];
  /** The index of each set. */
  readonly every: Int32Array;
  readonly pairAt: (i: number, j: number) => number;
  /** Index of a set by its three members in rising order; -1 where two are forms of one cause. */
  readonly threeAt: (i: number, j: number, k: number) => number;
  /** Goes through all pairs: `threes` + k is the set of i, j and k, for each k from `first` on. */
  readonly forEachPair: (
    visit: (i: number, j: number, pair: number, threes: number, first: number) => void,
  ) => void;
  /** Those of the sets that hold one of these forms at least. */
  readonly holding: (forms: Iterable<number>, among: Int32Array) => Int32Array;
}

/** How many sets there are, told before they are made. */
function countSets(none: number, behind: Int32Array): number {
  let count = 1 + none;
  for (let i = 0; i < none; i++)
    for (let j = behind[i] as number; j < none; j++) count += 1 + none - (behind[j] as number);
  return count;
}

function makeSets(causeOf: readonly number[]): FaultSets {
  const none = causeOf.length;
  /** The first form of another cause behind each: those of one cause stand side by side. */
  const behind = new Int32Array(none);
  for (let i = none - 1; i >= 0; i--)
    behind[i] = i + 1 < none && causeOf[i + 1] === causeOf[i] ? (behind[i + 1] as number) : i + 1;
  const count = countSets(none, behind);
  const members = new Int16Array(3 * count);
  const causesOf = new Int32Array(count);
  const ofCauses: number[][] = [];
  const base = Math.max(-1, ...causeOf) + 2;
  /** Where each set of causes stands, by its causes; 0 stands for one that was not met. */
  const known = new Int32Array(base * base * base);
  let made = 0;
  /** Adds a set, and finds the set of causes that it is one way of. */
  const add = (i: number, j: number, k: number): void => {
    members[3 * made] = i;
    members[3 * made + 1] = j;
    members[3 * made + 2] = k;
    const a = i === none ? 0 : (causeOf[i] as number) + 1;
    const b = j === none ? 0 : (causeOf[j] as number) + 1;
    const c = k === none ? 0 : (causeOf[k] as number) + 1;
    const key = (a * base + b) * base + c;
    if (known[key] === 0)
      known[key] = ofCauses.push(
        c > 0 ? [a - 1, b - 1, c - 1] : b > 0 ? [a - 1, b - 1] : a > 0 ? [a - 1] : [],
      );
    causesOf[made++] = (known[key] as number) - 1;
  };
  const pairs = new Int32Array(none * none).fill(-1);
  const threes = new Int32Array(none * none).fill(-1);
  add(none, none, none);
  for (let i = 0; i < none; i++) add(i, none, none);
  for (let i = 0; i < none; i++)
    for (let j = behind[i] as number; j < none; j++) {
      pairs[i * none + j] = made;
      add(i, j, none);
    }
  for (let i = 0; i < none; i++)
    for (let j = behind[i] as number; j < none; j++) {
      threes[i * none + j] = made - (behind[j] as number);
      for (let k = behind[j] as number; k < none; k++) add(i, j, k);
    }
  return finished(none, members, causesOf, ofCauses, { pairs, threes, behind });
}

function finished(
  none: number,
  members: Int16Array,
  causesOf: Int32Array,
  ofCauses: readonly (readonly number[])[],
  { pairs, threes, behind }: { pairs: Int32Array; threes: Int32Array; behind: Int32Array },
): FaultSets {
  const every = new Int32Array(causesOf.length);
  // By index: filling one from a function costs as much as a whole judgement.
  for (let s = 0; s < every.length; s++) every[s] = s;
  return {
    none,
    every,
    count: causesOf.length,
    members,
    causesOf,
    ofCauses,
    pairAt: (i, j) => pairs[i * none + j] as number,
    threeAt: (i, j, k) => {
      const from = pairs[i * none + j] === -1 || k < (behind[j] as number) ? -1 : threes[i * none + j];
      return from === undefined || from === -1 ? -1 : from + k;
    },
    forEachPair: (visit) => {
      for (let i = 0; i < none; i++)
        for (let j = behind[i] as number; j < none; j++)
          visit(i, j, pairs[i * none + j] as number, threes[i * none + j] as number, behind[j] as number);
    },
    holding: (forms, among) => {
      const wanted = new Uint8Array(none + 1);
      for (const form of forms) wanted[form] = 1;
      const found = new Int32Array(among.length);
      let count = 0;
      // By index, as in all that goes over thousands of sets: a loop over values makes an object for each.
      for (let w = 0; w < among.length; w++) {
        const s = among[w] as number;
        if (
          wanted[members[3 * s] as number] === 1 ||
          wanted[members[3 * s + 1] as number] === 1 ||
          wanted[members[3 * s + 2] as number] === 1
        )
          found[count++] = s;
      }
      return found.subarray(0, count);
    },
  };
}

/** Sets depend on how many forms each cause has, and there are thousands: made once. */
const KEPT = new Map<string, FaultSets>();

/** @param causeOf the cause of each form, by its index; rising */
export function faultSets(causeOf: readonly number[]): FaultSets {
  const key = causeOf.join(' ');
  const kept = KEPT.get(key) ?? makeSets(causeOf);
  KEPT.set(key, kept);
  return kept;
}
