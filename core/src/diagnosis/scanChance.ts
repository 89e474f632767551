import type { FaultSets } from './faultSets.ts';
import { bounded, linksFrom, type FindingNode, type Form, type Network } from './network.ts';

/**
 * How readily an ECU sets and keeps codes: strict limits, a clearing last week, a tool that skips modules. Hidden, and
 * never asked about: it only decides what a missing code is worth. With a silent one no missing code means anything, so that all
 * absent codes together move a cause’s odds by no more than about 1 / its share. Shares and strengths from practice.
 */
const TEMPERS = [
  { share: 0.3, strength: 1 },
  { share: 0.37, strength: 0.6 },
  { share: 0.33, strength: 0 },
] as const;
/** A fault may be slight, or come and go: then it sets none of the codes that a plain one would. */
const SLIGHT = 0.35;
/** A code that is remembered and not there now may be of a fault that was put right years ago, and was never cleared. */
const LEFT_FROM_BEFORE = 0.04;
/** A scan of some modules only, or one that named faults without numbers. */
const SILENT_WHERE_PARTIAL = 0.6;

const temperShares = (partial: boolean): number[] => {
  const [first, second, silent] = TEMPERS;
  if (!partial) return TEMPERS.map(({ share }) => share);
  const rest = (1 - SILENT_WHERE_PARTIAL) / (first.share + second.share);
  return [first.share * rest, second.share * rest, silent.share + (SILENT_WHERE_PARTIAL - silent.share)];
};

/** A scan as evidence: the chance of just these codes under each set of forms, over all tempers. */
export interface ScanWitness {
  readonly ids: readonly string[];
  /** @returns the chance under each of the sets, which are given by their indices */
  readonly chances: (sets: Int32Array) => Float64Array;
  /** The same with one code left out of account, by its place in `ids`. */
  readonly without: (code: number, sets: Int32Array) => Float64Array;
  /** Forms that set a code. */
  readonly bearing: (code: number) => readonly number[];
  /** Chance of what is seen of a code where nothing sets it. */
  readonly base: (code: number) => number;
}

/** @param findings code findings that were looked for: each was seen, or was not there */
export function scanWitness(
  { causes }: Network,
  forms: readonly Form[],
  { none, members, every, forEachPair }: FaultSets,
  looked: readonly (readonly [finding: FindingNode, seen: boolean])[],
  { partialScan, remembered }: { readonly partialScan: boolean; readonly remembered: ReadonlySet<string> },
): ScanWitness | undefined {
  if (looked.length === 0) return undefined;
  const findings = looked.map(([finding, seen]): readonly [FindingNode, boolean] => [
    seen && remembered.has(finding.id)
      ? { ...finding, leak: Math.max(finding.leak, LEFT_FROM_BEFORE) }
      : finding,
    seen,
  ]);
  const shares = temperShares(partialScan);
  // Chance of each form to set the code, with a talkative computer.
  const sets = findings.map(([finding]) => {
    const named = new Set(finding.links.map(({ cause }) => cause));
    return Float64Array.from(forms, ({ cause, id }) => {
      const name = causes[cause]?.id ?? '';
      if (!named.has(name)) return 0;
      const quiet = linksFrom(finding.links, name, id)
        .filter(({ how }) => how === 'activates')
        .reduce((product, { chance }) => product * (1 - bounded(chance)), 1);
      return 1 - quiet;
    });
  });
  /** 1 − chance that each form sets the code, for a temper; the last place stands for no form. */
  const quietOf = (f: number, strength: number): Float64Array => {
    const quiet = new Float64Array(none + 1).fill(1);
    for (let i = 0; i < none; i++) quiet[i] = 1 - strength * (sets[f]?.[i] as number);
    return quiet;
  };
  const tempers = TEMPERS.map(({ strength }, t) => ({
    share: shares[t] as number,
    strength,
    quiet: findings.map((_, f) => quietOf(f, strength)),
  }));
  /** Chance of all that are not there, for each form and temper. */
  const allAbsent = tempers.map(({ quiet }) => {
    const absent = new Float64Array(none + 1).fill(1);
    findings.forEach(([, seen], f) => {
      if (seen) return;
      const its = quiet[f] as Float64Array;
      for (let i = 0; i < none; i++) absent[i] = (absent[i] as number) * (its[i] as number);
    });
    return absent;
  });
  /** The same but for one that is left out, and for a fault that is slight. */
  const absentOf = (t: number, out: number): Float64Array => {
    const absent = (allAbsent[t] as Float64Array).slice();
    const left = findings[out]?.[1] === false ? tempers[t]?.quiet[out] : undefined;
    // No chance is nought, so that one can be taken out of a product.
    if (left) for (let i = 0; i < none; i++) absent[i] = (absent[i] as number) / (left[i] as number);
    for (let i = 0; i < none; i++) absent[i] = SLIGHT + (1 - SLIGHT) * (absent[i] as number);
    return absent;
  };
  /** Times a value of the product of a figure over the members of each set, for all sets. */
  const timesEach = (
    chances: Float64Array,
    { from, by }: { readonly from: number; readonly by: number },
    figures: Float64Array,
  ): void => {
    chances[0] = (chances[0] as number) * (from + by);
    for (let i = 0; i < none; i++)
      chances[1 + i] = (chances[1 + i] as number) * (from + by * (figures[i] as number));
    forEachPair((i, j, pair, threes, first) => {
      const two = by * (figures[i] as number) * (figures[j] as number);
      chances[pair] = (chances[pair] as number) * (from + two);
      for (let k = first; k < none; k++)
        chances[threes + k] = (chances[threes + k] as number) * (from + two * (figures[k] as number));
    });
  };
  /** Times the chance that a code that is there was set. */
  const timesSet = (chances: Float64Array, wanted: Int32Array, leak: number, quiet: Float64Array): void => {
    if (wanted === every) return timesEach(chances, { from: 1, by: leak - 1 }, quiet);
    for (let w = 0; w < wanted.length; w++) {
      const at = 3 * (wanted[w] as number);
      chances[w] =
        (chances[w] as number) *
        (1 -
          (1 - leak) *
            (quiet[members[at] as number] as number) *
            (quiet[members[at + 1] as number] as number) *
            (quiet[members[at + 2] as number] as number));
    }
  };
  /** All that are there, but for one that is left out, for a temper. */
  const presentOf = (
    { share, strength, quiet }: (typeof tempers)[number],
    wanted: Int32Array,
    out: number,
  ): Float64Array => {
    const present = findings.flatMap(([{ leak }, seen], f) => (seen && f !== out ? [{ leak, f }] : []));
    // A silent one sets nothing: what is there is left from elsewhere.
    const silent = strength === 0 ? present.reduce((product, { leak }) => product * leak, 1) : 1;
    const chances = new Float64Array(wanted.length).fill(share * silent);
    if (strength > 0)
      for (const { leak, f } of present) timesSet(chances, wanted, leak, quiet[f] as Float64Array);
    return chances;
  };
  /** All that are there, for every set and temper: made when first asked for, and looked up where an absent one is left out. */
  let everyPresent: readonly Float64Array[] | undefined;
  const presentIn = (t: number): Float64Array => {
    everyPresent ??= tempers.map((temper) => presentOf(temper, every, -1));
    return everyPresent[t] as Float64Array;
  };
  const chancesOfAll = (): Float64Array => {
    const sum = new Float64Array(every.length);
    tempers.forEach(({ strength }, t) => {
      const chances = presentIn(t).slice();
      if (strength > 0) timesEach(chances, { from: 0, by: 1 }, absentOf(t, -1));
      for (let s = 0; s < sum.length; s++) sum[s] = (sum[s] as number) + (chances[s] as number);
    });
    return sum;
  };
  const without = (out: number, wanted: Int32Array): Float64Array => {
    const sum = new Float64Array(wanted.length);
    const among = findings[out]?.[1] === true;
    tempers.forEach((temper, t) => {
      const present = among ? presentOf(temper, wanted, out) : presentIn(t);
      // Nobody misses anything where nothing is ever set.
      const absent = temper.strength === 0 ? undefined : absentOf(t, out);
      for (let w = 0; w < sum.length; w++) {
        const s = wanted[w] as number;
        let chance = present[among ? w : s] as number;
        if (absent)
          chance *=
            (absent[members[3 * s] as number] as number) *
            (absent[members[3 * s + 1] as number] as number) *
            (absent[members[3 * s + 2] as number] as number);
        sum[w] = (sum[w] as number) + chance;
      }
    });
    return sum;
  };
  return {
    ids: findings.map(([{ id }]) => id),
    chances: (wanted) => (wanted === every ? chancesOfAll() : without(-1, wanted)),
    without,
    bearing: (code) => forms.flatMap((_, i) => (sets[code]?.[i] === 0 ? [] : [i])),
    base: (code) => (findings[code]?.[1] === true ? findings[code][0].leak : 1),
  };
}
