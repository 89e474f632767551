import { bounded, linksFrom, type FindingNode, type Form, type Network } from './network.ts';

/**
 * How readily an engine computer sets and keeps codes: strict limits, a clearing last week, a tool that skips modules. Hidden, and
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
/** A scan of some modules only, or one that named faults without numbers. */
const SILENT_WHERE_PARTIAL = 0.6;

const temperShares = (partial: boolean): number[] => {
  const [first, second, silent] = TEMPERS;
  if (!partial) return TEMPERS.map(({ share }) => share);
  const rest = (1 - SILENT_WHERE_PARTIAL) / (first.share + second.share);
  return [first.share * rest, second.share * rest, silent.share + (SILENT_WHERE_PARTIAL - silent.share)];
};

/** A scan as evidence: the chance of just these codes under a set of forms, over all tempers. */
export interface ScanWitness {
  readonly ids: readonly string[];
  /** @param leftOut a code finding that is left out of account */
  readonly chance: (set: readonly number[], leftOut?: string) => number;
}

/** @param findings code findings that were looked for: each was seen, or was not there */
export function scanWitness(
  { causes }: Network,
  forms: readonly Form[],
  findings: readonly (readonly [finding: FindingNode, seen: boolean])[],
  partial: boolean,
): ScanWitness | undefined {
  if (findings.length === 0) return undefined;
  const shares = temperShares(partial);
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
  const absent = findings.flatMap(([, seen], f) => (seen ? [] : [f]));
  const present = findings.flatMap(([, seen], f) => (seen ? [f] : []));
  /** 1 − chance that the form sets the code, for a temper. */
  const quiet = (f: number, t: number, form: number): number =>
    1 - (TEMPERS[t]?.strength ?? 0) * (sets[f]?.[form] as number);
  const absentByForm = TEMPERS.map((_, t) =>
    Float64Array.from(forms, (__, form) => absent.reduce((product, f) => product * quiet(f, t, form), 1)),
  );
  const index = new Map(findings.map(([{ id }], f) => [id, f]));
  return {
    ids: findings.map(([{ id }]) => id),
    chance: (set, leftOut) => {
      const out = leftOut === undefined ? -1 : (index.get(leftOut) ?? -1);
      let sum = 0;
      for (let t = 0; t < TEMPERS.length; t++) {
        let chance = shares[t] as number;
        for (const form of set) {
          let all = absentByForm[t]?.[form] as number;
          if (out >= 0 && findings[out]?.[1] === false) all /= quiet(out, t, form);
          chance *= SLIGHT + (1 - SLIGHT) * all;
        }
        for (const f of present) {
          if (f === out) continue;
          let silence = 1 - (findings[f]?.[0].leak as number);
          for (const form of set) silence *= quiet(f, t, form);
          chance *= 1 - silence;
        }
        sum += chance;
      }
      return sum;
    },
  };
}
