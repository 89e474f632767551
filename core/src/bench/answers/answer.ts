import type { CheckId, CheckValues } from '../../checks/index.ts';
import type { BenchHand } from './bench.ts';

/** Makes a check at the simulated vehicle and gives what a person would enter. */
export type Answer = (hand: BenchHand) => CheckValues;
export type Answers = Readonly<Partial<Record<CheckId, Answer>>>;
