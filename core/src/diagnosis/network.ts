/** A root cause: present or not, several at once. */
export interface Cause {
  readonly id: string;
  /** Chance that it is there before anything is known, 0–1. */
  readonly prior: number;
  /** How it comes, one way or another and never two at once, with the share of each; absent: in one way. The shares add up to 1. */
  readonly forms?: readonly { readonly id: string; readonly share: number }[];
}

/** How one cause bears on a finding. */
export interface Link {
  readonly cause: string;
  /** Of this form of the cause only; absent: of each form that has no link of its own in the same way. */
  readonly form?: string;
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
  /** It is a code: whether it is missing depends on the ECU, too. */
  readonly code?: true;
}

/** Causes and what they show: two layers, joined by noisy-OR with masking. */
export interface Network {
  readonly causes: readonly Cause[];
  readonly findings: readonly FindingNode[];
  /** What brings what about, by ids. */
  readonly follows?: readonly { readonly cause: string; readonly consequence: string }[];
  /** What seldom comes of nothing, by its id: odds of it where none of its causes is there. */
  readonly bare?: Readonly<Record<string, number>>;
  /** Odds of each further cause that follows from none of the others; absent: 1, each by its own chance. */
  readonly another?: number;
  /** Causes that were found already: what else is there is one more, or follows from them. */
  readonly found?: readonly string[];
}

/** What was seen (`true`), or looked for and not seen (`false`). */
export type Evidence = Readonly<Record<string, boolean>>;

/** No chance is taken for certain: a single surprise must not rule a cause out for ever. */
const LEAST = 1e-6;
export const bounded = (chance: number): number => Math.min(1 - LEAST, Math.max(LEAST, chance));

/** A cause in one of its forms: what sets are made of. Those of one cause stand side by side. */
export interface Form {
  /** Index of its cause. */
  readonly cause: number;
  readonly id: string | undefined;
  /** Its chance against that of its cause being away. */
  readonly odds: number;
}

export const formsOf = ({ causes }: Pick<Network, 'causes'>): Form[] =>
  causes.flatMap(({ prior, forms }, cause): Form[] => {
    const odds = bounded(prior) / (1 - bounded(prior));
    return forms
      ? forms.map(({ id, share }) => ({ cause, id, odds: share * odds }))
      : [{ cause, id: undefined, odds }];
  });

/**
 * What a set of causes is worth beyond the chances of its members: most vehicles have one thing wrong with them, and what follows from
 * it. Each cause but one that follows from none of the others counts so much less.
 */
export function worthTogether({
  causes,
  follows = [],
  bare = {},
  another = 1,
  found = [],
}: Network): (set: readonly number[]) => number {
  const at = new Map(causes.map(({ id }, i) => [id, i]));
  const before = causes.map(() => new Set<number>());
  for (const { cause, consequence } of follows) {
    const [from, to] = [at.get(cause), at.get(consequence)];
    if (from !== undefined && to !== undefined) before[to]?.add(from);
  }
  const followsFound = causes.map(({ id }) =>
    follows.some(({ cause, consequence }) => consequence === id && found.includes(cause)),
  );
  const bareOf = causes.map(({ id }) => bare[id] ?? 1);
  const isRoot = (i: number, set: readonly number[]): boolean => {
    if (followsFound[i] === true) return false;
    const first = before[i] as ReadonlySet<number>;
    if (first.size > 0) for (let m = 0; m < set.length; m++) if (first.has(set[m] as number)) return false;
    return true;
  };
  // Of thousands of sets: nothing is made for each, be it only what a loop over values makes.
  return (set) => {
    let roots = 0;
    let worth = 1;
    for (let m = 0; m < set.length; m++) {
      const i = set[m] as number;
      if (!isRoot(i, set)) continue;
      roots++;
      worth *= bareOf[i] as number;
    }
    // Two that bring each other about began with one of them.
    const further = found.length > 0 ? roots : Math.max(1, roots) - 1;
    return worth * another ** further;
  };
}

/** The links that bear on a finding from a cause in one of its forms. */
export function linksFrom(links: readonly Link[], cause: string, form: string | undefined): Link[] {
  const its = links.filter((link) => link.cause === cause);
  const own = its.filter((link) => link.form !== undefined && link.form === form);
  return its.filter((link) =>
    link.form === undefined ? !own.some(({ how }) => how === link.how) : own.includes(link),
  );
}

/** The links of a finding by form, ready for many sets of causes. */
export interface FindingOdds {
  readonly id: string;
  /** 1 − leak. */
  readonly quiet: number;
  /** 1 − chance that it is hidden whatever the causes are. */
  readonly clear: number;
  /** 1 − chance of each cause, in each form, to bring it about. */
  readonly silent: Float64Array;
  /** 1 − chance of each cause, in each form, to hide it. */
  readonly open: Float64Array;
}

export function oddsOf({ causes }: Network, forms: readonly Form[], finding: FindingNode): FindingOdds {
  const ids = new Set(causes.map(({ id }) => id));
  for (const { cause } of finding.links)
    if (!ids.has(cause))
      throw new RangeError(`Finding “${finding.id}” names a cause “${cause}” that is none`);
  const silent = new Float64Array(forms.length).fill(1);
  const open = new Float64Array(forms.length).fill(1);
  const named = new Set(finding.links.map(({ cause }) => cause));
  forms.forEach(({ cause, id }, i) => {
    const name = causes[cause]?.id ?? '';
    if (!named.has(name)) return;
    for (const { chance, how } of linksFrom(finding.links, name, id)) {
      const chances = how === 'activates' ? silent : open;
      chances[i] = (chances[i] as number) * (1 - bounded(chance));
    }
  });
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
