import { expose } from 'comlink';
import {
  evidenceOfCase,
  evidenceOfOutcome,
  infer,
  KNOWN_CHECKS,
  networkFor,
  weigh,
  type DiagnosisQuestion,
} from '@white-ember/core/diagnosis';
import { DEFAULT_LIMITS } from '@white-ember/core/limits';
import { judgeJob, type JobJudgement, type JudgedFacts } from '@white-ember/core/job';
import { judging, type Answer, type Settings } from '@white-ember/core/learn';
import type { BurnForecast, JobBurn } from '@white-ember/core/treatment';
import { burnKey } from './burnKey.ts';

export interface WhatIf {
  readonly outcome: string;
  readonly causes: readonly { readonly id: string; readonly probability: number }[];
}

/** What the burn model said of each burn; nothing where it could say nothing. */
type Forecasts = ReadonlyMap<string, BurnForecast | undefined>;

export interface Judged extends Omit<JobJudgement, 'derived'> {
  /** Burns that the model has not been asked for yet. */
  readonly toForecast: readonly JobBurn[];
}

const SHOWN_CAUSES = 3;

/** Thousands of sets of causes are weighed: away from the main thread. */
const worker = {
  /** Judges a job of which nothing is known: what every judgement needs is ready then. */
  wake(): void {
    judgeJob({ entries: [], limits: DEFAULT_LIMITS }, () => undefined);
  },
  judge(facts: JudgedFacts, forecasts: Forecasts): Judged {
    const toForecast: JobBurn[] = [];
    const { derived: _derived, ...judged } = judgeJob(facts, (burn) => {
      const key = burnKey(burn, facts.limits);
      if (!forecasts.has(key)) toForecast.push(burn);
      return forecasts.get(key);
    });
    return { ...judged, toForecast };
  },
  /** The page that shows how it is judged. */
  learn: (settings: Settings): Answer => judging.answer(settings),
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
