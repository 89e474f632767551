import { expose } from 'comlink';
import {
  evidenceOfCase,
  infer,
  inhibitorsOf,
  KNOWN_CHECKS,
  networkFor,
  rankChecks,
  type CaseFacts,
  type Evidence,
  type Posterior,
  type RankedCheck,
  type VehicleUse,
} from '@white-ember/core/diagnosis';
import type { Limits } from '@white-ember/core/limits';

export interface Diagnosis {
  readonly evidence: Evidence;
  readonly posterior: Posterior;
  readonly next: readonly RankedCheck[];
  readonly inhibitors: readonly string[];
}

/** Thousands of sets of causes are weighed: away from the main thread. */
const worker = {
  diagnose(facts: CaseFacts, vehicle: VehicleUse, limits: Limits): Diagnosis {
    const known = evidenceOfCase(facts, limits);
    const network = networkFor(vehicle);
    return {
      evidence: known.evidence,
      posterior: infer(network, known.evidence),
      next: rankChecks(network, known.evidence, KNOWN_CHECKS),
      inhibitors: inhibitorsOf(facts, known),
    };
  },
};

export type DiagnosisWorker = typeof worker;

expose(worker);
