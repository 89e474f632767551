import { say, type Said } from '../words/index.ts';
import type { Diagnosis } from './diagnoseCase.ts';
import { sentenceOf } from './sentences.ts';

/** A reason that shifts the odds by less than this is none. */
const LEAST_WEIGHT = 0.3;
const SHOWN = 3;

/** Why a cause is confirmed, as it is written down: what was seen that speaks for it most, and how likely it stands. */
export function confirmation({ posterior, evidence }: Diagnosis, cause: string): Said {
  const its = posterior.causes.find(({ id }) => id === cause);
  const seen = (its?.reasons ?? [])
    .filter(({ finding, weight }) => weight >= LEAST_WEIGHT && evidence[finding] === true)
    .slice(0, SHOWN)
    .map(({ finding }) => sentenceOf(finding));
  return say('diagnosis.on-the-evidence-then', { seen, percent: 100 * (its?.probability ?? 0) });
}
