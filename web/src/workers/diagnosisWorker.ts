import { expose } from 'comlink';
import {
  chainsAmong,
  evidenceOfCase,
  evidenceOfOutcome,
  explanationsOf,
  infer,
  inhibitorsOf,
  KNOWN_CAUSES,
  KNOWN_CHECKS,
  networkFor,
  posteriorSets,
  proposeChecks,
  rankChecks,
  type CaseFacts,
  type Evidence,
  type Explanation,
  type Posterior,
  type ProposedCheck,
  type VehicleUse,
} from '@white-ember/core/diagnosis';
import type { Limits } from '@white-ember/core/limits';

/** All that a diagnosis is asked from. */
export interface DiagnosisQuestion {
  readonly facts: CaseFacts;
  readonly use: VehicleUse;
  readonly limits: Limits;
  /** What is along, by its id; absent: not said. */
  readonly kit?: readonly string[];
}

export interface Diagnosis {
  readonly evidence: Evidence;
  readonly posterior: Posterior;
  readonly explanations: readonly Explanation[];
  readonly next: readonly ProposedCheck[];
  readonly inhibitors: readonly string[];
  readonly chains: readonly string[];
}

export interface WhatIf {
  readonly outcome: string;
  readonly causes: readonly { readonly id: string; readonly probability: number }[];
}

const sentences = new Map(KNOWN_CAUSES.map(({ id, sentence }) => [id, sentence]));
const CHAINED_FROM = 0.3;
const SHOWN_CAUSES = 3;

/** Thousands of sets of causes are weighed: away from the main thread. */
const worker = {
  diagnose({ facts, use, limits, kit }: DiagnosisQuestion): Diagnosis {
    const known = evidenceOfCase(facts, limits);
    const network = networkFor(use);
    const posterior = infer(network, known.evidence);
    const likely = posterior.causes.filter(({ probability }) => probability >= CHAINED_FROM);
    return {
      evidence: known.evidence,
      posterior,
      explanations: explanationsOf(
        network,
        posteriorSets(network, known.evidence),
        (use.putRight ?? []).map(({ cause }) => cause),
      ),
      next: proposeChecks(
        rankChecks(network, known.evidence, KNOWN_CHECKS),
        known.evidence,
        kit ? new Set(kit) : undefined,
      ),
      inhibitors: inhibitorsOf(facts, known),
      chains: chainsAmong(
        likely.map(({ id }) => id),
        (id) => sentences.get(id) ?? id,
      ).map(({ sentence }) => sentence),
    };
  },
  /** What would be likely after each outcome of a check. */
  whatIf({ facts, use, limits }: DiagnosisQuestion, check: string): WhatIf[] {
    const node = KNOWN_CHECKS.find(({ id }) => id === check);
    if (!node) return [];
    const { evidence } = evidenceOfCase(facts, limits);
    const network = networkFor(use);
    return [...node.outcomes, node.otherwise].map((outcome) => ({
      outcome,
      causes: infer(network, { ...evidence, ...evidenceOfOutcome(node, outcome) }).causes.slice(
        0,
        SHOWN_CAUSES,
      ),
    }));
  },
};

export type DiagnosisWorker = typeof worker;

expose(worker);
