/** A root cause: present or not, several at once. */
export interface Cause {
  readonly id: string;
  /** Chance that it is there before anything is known, 0–1. */
  readonly prior: number;
}

/** How one cause bears on a finding. */
export interface Link {
  readonly cause: string;
  /** Chance that the cause, being there, brings the finding about (`activates`) or hides it (`masks`), 0–1. */
  readonly chance: number;
  readonly how: 'activates' | 'masks';
}

/** Something that can be seen or not: a code, a finding of a log, an outcome of a check, an observation. */
export interface FindingNode {
  readonly id: string;
  /** Chance that it is seen though no cause of ours brings it about, 0–1. */
  readonly leak: number;
  /** Chance that something beside the causes here hides it, 0–1; absent: nothing does. */
  readonly hidden?: number;
  readonly links: readonly Link[];
}

/** Causes and what they show: two layers, joined by noisy-OR with masking. */
export interface Network {
  readonly causes: readonly Cause[];
  readonly findings: readonly FindingNode[];
}

/** What was seen (`true`), or looked for and not seen (`false`). */
export type Evidence = Readonly<Record<string, boolean>>;

/** No chance is taken for certain: a single surprise must not rule a cause out for ever. */
const LEAST = 1e-6;
export const bounded = (chance: number): number => Math.min(1 - LEAST, Math.max(LEAST, chance));

/** The links of a finding by cause index, ready for many sets of causes. */
export interface FindingOdds {
  readonly id: string;
  /** 1 − leak. */
  readonly quiet: number;
  /** 1 − chance that it is hidden whatever the causes are. */
  readonly clear: number;
  /** 1 − chance of each cause to bring it about. */
  readonly silent: Float64Array;
  /** 1 − chance of each cause to hide it. */
  readonly open: Float64Array;
}

export function oddsOf({ causes }: Network, finding: FindingNode): FindingOdds {
  const index = new Map(causes.map(({ id }, i) => [id, i]));
  const silent = new Float64Array(causes.length).fill(1);
  const open = new Float64Array(causes.length).fill(1);
  for (const { cause, chance, how } of finding.links) {
    const i = index.get(cause);
    if (i === undefined)
      throw new RangeError(`Finding “${finding.id}” names a cause “${cause}” that is none`);
    const chances = how === 'activates' ? silent : open;
    chances[i] = (chances[i] as number) * (1 - bounded(chance));
  }
  return {
    id: finding.id,
    quiet: 1 - bounded(finding.leak),
    clear: finding.hidden === undefined ? 1 : 1 - bounded(finding.hidden),
    silent,
    open,
  };
}

/** P(finding | set) = [1 − (1 − leak)·Π(1 − p_activate)]·Π(1 − p_mask), from the two products over the set. */
export const chanceSeen = (silentProduct: number, openProduct: number): number =>
  bounded((1 - silentProduct) * openProduct);
