import { named, type Said } from '@white-ember/core/words';

/** An outcome in words; one that no table knows is said as it was named. */
export const outcomeWords = (outcome: string): Said => named('shown', outcome, outcome.replaceAll('-', ' '));
