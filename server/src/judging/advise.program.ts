import { setPriority } from 'node:os';
import { parentPort, workerData } from 'node:worker_threads';
import { adviceOf, judgeJob, type JudgedFacts } from '@white-ember/core/job';
import type { Advice } from '@white-ember/core/contract';

/** Judges jobs one at a time in a thread that stands back: whoever asks for a page is answered first. */
export interface ToAdvise {
  readonly id: string;
  readonly facts: JudgedFacts;
}
export interface Advised {
  readonly id: string;
  readonly advice?: Advice;
  /** Why it could not be judged. */
  readonly fault?: string;
}

const { niceness, software } = workerData as { niceness: number; software: string };
// Of this thread alone (Linux); where that is not possible it works at the pace of the others.
try {
  setPriority(niceness);
} catch {
  // Nothing depends on it.
}

parentPort?.on('message', ({ id, facts }: ToAdvise) => {
  try {
    parentPort?.postMessage({
      id,
      advice: adviceOf(judgeJob(facts, undefined, { explained: false }), facts.limits, software),
    } satisfies Advised);
  } catch (error) {
    parentPort?.postMessage({ id, fault: String((error as Error).stack) } satisfies Advised);
  }
});
