import { z } from 'zod';
import { idSchema, timeSchema } from '../ledger/index.ts';
import { limitOverridesSchema } from '../limits/index.ts';
import { freeText, nameText } from '../fields/index.ts';

/**
 * Profiles are never edited in place: a change is a new version, so that a signed-off job keeps the limits by which it
 * was judged.
 */
export const newLimitsProfileSchema = z.object({
  id: idSchema,
  /** Engine family that it holds for; absent = all others. */
  family: nameText('engine-family', 60).optional(),
  overrides: limitOverridesSchema,
  sourceNote: freeText('source-note', 1000).optional(),
});
export type NewLimitsProfile = z.infer<typeof newLimitsProfileSchema>;

export const limitsProfileSchema = newLimitsProfileSchema.extend({
  version: z.number().int().min(1),
  createdAt: timeSchema,
  createdBy: z.string(),
});
export type LimitsProfile = z.infer<typeof limitsProfileSchema>;
