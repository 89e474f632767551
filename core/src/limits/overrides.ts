import { z } from 'zod';
import { freeText } from '../fields/index.ts';
import { fault, PLAIN_WORDS, say } from '../words/index.ts';
import { LIMIT_DEFINITIONS, LIMIT_IDS, type LimitDefinition, type LimitId } from './definitions.ts';

// A room of its own: some hundred schemas that only whoever takes in a profile has to make.

/** One changed value with the reason why this workshop uses it. */
export const limitOverrideSchema = z.object({
  value: z.number(),
  source: freeText('source', 400),
});

const overridesShape = Object.fromEntries(
  LIMIT_IDS.map((id) => {
    const { label, low, high, unit, difference }: LimitDefinition = LIMIT_DEFINITIONS[id];
    const range = fault(
      say('faults.limit', { label, low, high, unit, difference: difference === true }),
      PLAIN_WORDS,
    );
    return [
      id,
      limitOverrideSchema.extend({ value: z.number().min(low, range).max(high, range) }).optional(),
    ];
  }),
) as Record<LimitId, z.ZodOptional<typeof limitOverrideSchema>>;

/** What a workshop changed against the starting values; unknown names are refused. */
export const limitOverridesSchema = z.strictObject(overridesShape);
