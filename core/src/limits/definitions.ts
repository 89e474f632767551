import { ASSUMPTIONS } from './assumptions.ts';
import { BURN_LIMITS } from './burnLimits.ts';
import { CHECK_LIMITS } from './checkLimits.ts';
import { CLEAN_LIMITS } from './cleanLimits.ts';
import { CLOCK_LIMITS } from './clockLimits.ts';
import { FILTER_LIMITS } from './filterLimits.ts';
import { JUDGEMENT_LIMITS } from './judgementLimits.ts';
import { OUTLOOK_LIMITS } from './outlookLimits.ts';
import { PROOF_LIMITS } from './proofLimits.ts';
import { RUN_LIMITS } from './runLimits.ts';
import { SENSOR_LIMITS } from './sensorLimits.ts';
import { TREATMENT_LIMITS } from './treatmentLimits.ts';
export type { LimitDefinition } from './limitDefinition.ts';
/**
 * Every limit by which the application judges, with its starting value and the reason for it. A workshop edits them
 * in its limits profiles, per engine family; nothing else in the code carries a limit of its own.
 */
export const LIMIT_DEFINITIONS = {
  ...FILTER_LIMITS,
  ...PROOF_LIMITS,
  ...OUTLOOK_LIMITS,
  ...SENSOR_LIMITS,
  ...CHECK_LIMITS,
  ...BURN_LIMITS,
  ...JUDGEMENT_LIMITS,
  ...TREATMENT_LIMITS,
  ...RUN_LIMITS,
  ...CLEAN_LIMITS,
  ...CLOCK_LIMITS,
  ...ASSUMPTIONS,
} as const;

export type LimitId = keyof typeof LIMIT_DEFINITIONS;
export const LIMIT_IDS = Object.keys(LIMIT_DEFINITIONS) as LimitId[];
