import { cardOf, type CheckId, type KitId } from '../checks/index.ts';
import type { Limits } from '../limits/index.ts';
import { say, type Said } from '../words/index.ts';
import type { Evidence, Network } from './network.ts';
import type { CheckNode, RankedCheck } from './nextChecks.ts';
import { findingsUnder } from './putRight.ts';
import { KNOWN_CHECKS, KNOWN_FINDINGS, KNOWN_NETWORK } from './vocabulary.ts';

export interface ProposedCheck extends RankedCheck {
  /** What it needs and is not along. */
  readonly lacking: readonly KitId[];
  /** Why it may not be made yet. */
  readonly heldOff?: Said;
}

/** Checks in which the engine is held at raised speed. */
const HOLDS_REVS: ReadonlySet<string> = new Set<CheckId>([
  'pipe-response',
  'dp-swap',
  'sensor-compare',
  'air-mass',
  'thermostat',
  'gauge',
  'sections',
  'egr',
  'running-comparison',
]);

/** What stands against holding the engine at raised speed, by what is known now: in a check, or for a reading. */
export function revsHeldOff(evidence: Evidence): Said | undefined {
  if (evidence['oil-diluted'] === true) return say('diagnosis.no-revs-oil-diluted');
  if (evidence['inlet-oily'] === true) return say('diagnosis.no-revs-filter-oily');
  return oilToldOf(evidence) ? say('diagnosis.no-revs-oil-unchecked') : undefined;
}

/** Whether somebody has told of oil where none should be, and nobody has looked: that is looked at before anything is held at speed. */
export const oilToldOf = (evidence: Evidence): boolean =>
  evidence['oil-level-high'] === true && evidence['oil-diluted'] === undefined;

/** What stands against a check, by what is known now. */
export const checkHeldOff = (check: string, evidence: Evidence): Said | undefined =>
  HOLDS_REVS.has(check) ? revsHeldOff(evidence) : undefined;

/**
 * Ranked checks as they are proposed: what may not be made yet stands last with its reason, before it what needs something that is
 * not along. `kit` absent: not said, so everything counts as along but a cold engine.
 */
export function proposeChecks(
  ranked: readonly RankedCheck[],
  evidence: Evidence,
  kit?: ReadonlySet<string>,
): ProposedCheck[] {
  const along = (id: KitId): boolean => (kit ? kit.has(id) : id !== 'cold-engine');
  const proposed = ranked.map((check): ProposedCheck => {
    const heldOff = checkHeldOff(check.check, evidence);
    return {
      ...check,
      lacking: (cardOf(check.check)?.needs ?? []).filter((id) => !along(id)),
      ...(heldOff === undefined ? {} : { heldOff }),
    };
  });
  const last = ({ heldOff, lacking }: ProposedCheck): number =>
    heldOff === undefined ? (lacking.length > 0 ? 1 : 0) : 2;
  return proposed.sort((a, b) => last(a) - last(b) || b.bitsPerMinute - a.bitsPerMinute);
}

const CHECK_FINDINGS = new Set(KNOWN_CHECKS.flatMap(({ outcomes }) => outcomes));

/** What checks find that a cause may have made or hidden: once it is put right it is worth looking for again. */
export const fooledBy = (cause: string): ReadonlySet<string> =>
  new Set(findingsUnder(KNOWN_NETWORK, cause).filter((id) => CHECK_FINDINGS.has(id)));

/** The check to make next: the first that may be made and is not done. */
export const nextCheck = (
  proposed: readonly ProposedCheck[],
  done: ReadonlySet<string> = new Set(),
): ProposedCheck | undefined =>
  proposed.find(({ check, heldOff }) => heldOff === undefined && !done.has(check));

/** How surely a finding has to follow from a cause for its check to be the one for it. */
const TELLS = 0.5;
/** An outcome that as many causes may have says nothing of one. */
const MOST_TOLD = 4;

/** An outcome that follows from a cause seldomer than this is no way to look for it. */
const LOOKED_FOR_BY = 0.3;

/** Causes that something known makes likelier than they are on any vehicle of the kind: by so many times at least. */
export const raisedCauses = (
  causes: readonly { readonly id: string; readonly probability: number }[],
  priors: Network['causes'],
  { pointedToRatio }: Limits,
): ReadonlySet<string> => {
  const before = new Map(priors.map(({ id, prior }) => [id, prior]));
  return new Set(
    causes
      .filter(({ id, probability }) => probability > pointedToRatio * (before.get(id) ?? 1))
      .map(({ id }) => id),
  );
};

/** Whether a check looks for one of these causes: what nothing points to can wait until there is nothing else to do. */
export const looksFor = (check: string, causes: ReadonlySet<string>): boolean =>
  KNOWN_CHECKS.find(({ id }) => id === check)?.outcomes.some((outcome) =>
    KNOWN_FINDINGS.find(({ id }) => id === outcome)?.links.some(
      ({ cause, chance, how }) => how === 'activates' && chance >= LOOKED_FOR_BY && causes.has(cause),
    ),
  ) === true;

/** The quickest check that tells of a cause by itself, if there is one. */
export const quickCheckFor = (cause: string): CheckId | undefined => quickChecksFor(cause)[0];

/** All checks that tell of a cause by themselves, the quickest first. */
export function quickChecksFor(cause: string): CheckId[] {
  const tells = new Map(
    KNOWN_FINDINGS.filter(
      ({ links }) =>
        links.filter(({ how, chance }) => how === 'activates' && chance >= TELLS).length <= MOST_TOLD &&
        links.some((link) => link.cause === cause && link.how === 'activates' && link.chance >= TELLS),
    ).map(({ id, links }) => [
      id,
      new Set(
        links.filter(({ how, chance }) => how === 'activates' && chance >= TELLS).map((link) => link.cause),
      ).size,
    ]),
  );
  /** How many causes the outcome may have that tells of this one. */
  const apart = ({ outcomes }: CheckNode): number =>
    Math.min(...outcomes.flatMap((outcome) => tells.get(outcome) ?? []));
  // One that tells of nothing else before a quicker one that several causes may have.
  return KNOWN_CHECKS.filter(({ outcomes }) => outcomes.some((outcome) => tells.has(outcome)))
    .toSorted((a, b) => apart(a) - apart(b) || a.minutes + a.cost - (b.minutes + b.cost))
    .map(({ id }) => id);
}
