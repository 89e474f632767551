import type { Limits } from '../limits/index.ts';
import { evidenceOfCase, inhibitorsOf, type CaseFacts } from './caseEvidence.ts';
import { chainsAmong, explanationsOf, type Explanation } from './explanations.ts';
import type { MeasuredVehicle } from './measured/measuredOf.ts';
import { infer, MOST_FAULTS, posteriorSets, type Posterior } from './inference.ts';
import type { Evidence } from './network.ts';
import { rankChecks } from './nextChecks.ts';
import { proposeChecks, type ProposedCheck } from './proposeChecks.ts';
import { checksFor, KNOWN_CAUSES, networkFor, type VehicleUse } from './vocabulary.ts';

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
  readonly inhibitors: readonly string[];
  readonly chains: readonly string[];
}

const sentences = new Map(KNOWN_CAUSES.map(({ id, sentence }) => [id, sentence]));
/** From this probability on a cause is likely enough to say what it leads to. */
const CHAINED_FROM = 0.3;

/**
 * What is likely behind a case, why, and which check would tell most.
 * @param rank whether checks are ranked, which takes most of the time; a job that is over has no next check
 */
export function diagnoseCase(
  { facts, use, limits, kit, vehicle }: DiagnosisQuestion,
  { rank = true } = {},
): Diagnosis {
  const known = evidenceOfCase(facts, limits, vehicle);
  const network = networkFor(use);
  const posterior = infer(network, known.evidence, MOST_FAULTS, known.beyond);
  const likely = posterior.causes.filter(({ probability }) => probability >= CHAINED_FROM);
  return {
    evidence: {
      ...known.evidence,
      ...Object.fromEntries(known.beyond.measured.map(({ id }) => [id, true])),
    },
    posterior,
    explanations: explanationsOf(
      network,
      posteriorSets(network, known.evidence, MOST_FAULTS, known.beyond),
      (use.putRight ?? []).map(({ cause }) => cause),
    ),
    next: rank
      ? proposeChecks(
          rankChecks(network, known.evidence, checksFor(use), known.beyond),
          known.evidence,
          kit ? new Set(kit) : undefined,
        )
      : [],
    inhibitors: inhibitorsOf(facts, known, posterior),
    chains: chainsAmong(
      likely.map(({ id }) => id),
      (id) => sentences.get(id) ?? id,
    ).map(({ sentence }) => sentence),
  };
}
