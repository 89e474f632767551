import type { Said } from '../words/index.ts';
import type { Limits } from '../limits/index.ts';
import { evidenceOfCase, inhibitorsOf, type CaseEvidence, type CaseFacts } from './caseEvidence.ts';
import { chainsAmong, explanationsOf, type Explanation } from './explanations.ts';
import type { MeasuredVehicle } from './measured/airRatio.ts';
import { infer, posteriorSets, type Posterior } from './inference.ts';
import type { Evidence } from './network.ts';
import { rankChecks, type CheckNode } from './nextChecks.ts';
import { proposeChecks, type ProposedCheck } from './proposeChecks.ts';
import { checksFor, networkFor, type VehicleUse } from './vocabulary.ts';
import { weigh, type Weighed } from './weigh.ts';

/** All that a diagnosis is asked from. */
export interface DiagnosisQuestion {
  readonly facts: CaseFacts;
  readonly use: VehicleUse;
  readonly limits: Limits;
  /** By which figures are judged. */
  readonly vehicle?: MeasuredVehicle;
  /** What is along, by its id; absent: not said. */
  readonly kit?: readonly string[];
}

export interface Diagnosis {
  /** Findings that were seen or not; measured values stand as seen. */
  readonly evidence: Evidence;
  readonly posterior: Posterior;
  readonly explanations: readonly Explanation[];
  readonly next: readonly ProposedCheck[];
  readonly inhibitors: readonly Said[];
  readonly chains: readonly Said[];
}

/** From this probability on a cause is likely enough to say what it leads to. */
const CHAINED_FROM = 0.3;

/** What is known of a case, and every set of causes weighed by it. */
export interface WeighedCase {
  readonly known: CaseEvidence;
  readonly weighed: Weighed;
}

export function weighCase({ facts, use, limits, vehicle }: DiagnosisQuestion): WeighedCase {
  const known = evidenceOfCase(facts, limits, vehicle);
  return { known, weighed: weigh(networkFor(use), known.evidence, known.beyond) };
}

/**
 * What is likely behind a case, why, and which check would tell most.
 * @param rank whether checks are ranked; a job that is over has no next check
 * @param lossOf what acting on given chances would lose, in the workshop’s money: checks then say how much of it they avoid
 */
export function diagnoseCase(
  question: DiagnosisQuestion,
  {
    rank = true,
    explained = true,
    lossOf,
    of: { known, weighed } = weighCase(question),
  }: {
    readonly rank?: boolean;
    readonly explained?: boolean;
    readonly lossOf?: (chance: (cause: string) => number) => number;
    readonly of?: WeighedCase;
  } = {},
): Diagnosis {
  const { facts, use, kit } = question;
  const posterior = infer(weighed);
  const likely = posterior.causes.filter(({ probability }) => probability >= CHAINED_FROM);
  return {
    evidence: {
      ...known.evidence,
      ...Object.fromEntries(known.beyond.measured.map(({ id }) => [id, true])),
    },
    posterior,
    explanations: explained
      ? explanationsOf(
          weighed.network,
          posteriorSets(weighed),
          (use.putRight ?? []).map(({ cause }) => cause),
        )
      : [],
    next: rank
      ? proposeChecks(
          rankChecks(weighed, undecided(checksFor(use), known), lossOf),
          known.evidence,
          kit ? new Set(kit) : undefined,
        )
      : [],
    inhibitors: inhibitorsOf(facts, known, posterior),
    chains: chainsAmong(likely.map(({ id }) => id)),
  };
}

/** What a reading of counter and pressure side by side says already; that the counter was set back it does not say. */
const BY_THE_READING: ReadonlySet<string> = new Set(['counter-low', 'counter-high']);

/** Checks without the outcomes that the figures at hand decide. */
function undecided(
  checks: readonly CheckNode[],
  { beyond: { measured } }: CaseEvidence,
): readonly CheckNode[] {
  const isRead = (wanted: string): boolean => measured.some(({ id }) => id === wanted);
  if (!isRead('soot-measured') || !isRead('dp-measured')) return checks;
  return checks.flatMap((check) => {
    const outcomes = check.outcomes.filter((id) => !BY_THE_READING.has(id));
    return outcomes.length === 0 ? [] : [{ ...check, outcomes }];
  });
}
