import { expose } from 'comlink';
import {
  diagnoseCase,
  evidenceOfCase,
  evidenceOfOutcome,
  infer,
  KNOWN_CHECKS,
  networkFor,
  weigh,
  type Diagnosis,
  type DiagnosisQuestion,
} from '@white-ember/core/diagnosis';

export interface WhatIf {
  readonly outcome: string;
  readonly causes: readonly { readonly id: string; readonly probability: number }[];
}

const SHOWN_CAUSES = 3;

/** Thousands of sets of causes are weighed: away from the main thread. */
const worker = {
  diagnose: (question: DiagnosisQuestion): Diagnosis => diagnoseCase(question),
  /** What would be likely after each outcome of a check. */
  whatIf({ facts, use, limits, vehicle }: DiagnosisQuestion, check: string): WhatIf[] {
    const node = KNOWN_CHECKS.find(({ id }) => id === check);
    if (!node) return [];
    const { evidence, beyond } = evidenceOfCase(facts, limits, vehicle);
    const network = networkFor(use);
    return [...node.outcomes, node.otherwise].map((outcome) => ({
      outcome,
      causes: infer(
        weigh(network, { ...evidence, ...evidenceOfOutcome(node, outcome) }, beyond),
      ).causes.slice(0, SHOWN_CAUSES),
    }));
  },
};

export type DiagnosisWorker = typeof worker;

expose(worker);
