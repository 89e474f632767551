import { z } from 'zod';
import { idSchema, timeSchema } from '../ledger/index.ts';
import { vehicleOutlookSchema, visitSchema } from '../outlook/index.ts';
import { jobSummarySchema } from './jobSummary.ts';
import { limitsProfileSchema } from './limitsProfile.ts';
import { vehicleSchema } from './vehicle.ts';

/**
 * What a job was signed off with: the limits and facts of that day and all that was said by them. It is stored with the
 * sign-off, never made anew, and opened only by withdrawing that.
 */
export const sealSchema = z.object({
  /** The sign-off. */
  entryId: idSchema,
  sealedAt: timeSchema,
  coreVersion: z.string(),
  /** Set where a sign-off from before there were seals was sealed after the fact. */
  later: z.literal(true).optional(),
  workshop: z.string(),
  vehicle: vehicleSchema,
  limits: z.record(z.string(), z.number()),
  limitsProfile: limitsProfileSchema.optional(),
  summary: jobSummarySchema,
  visit: visitSchema,
  /** What core made of the ledger, by unit of pressure; read by core alone. */
  derived: z.record(z.string(), z.unknown()),
  picture: z.unknown().optional(),
  diagnosis: z.unknown().optional(),
  /** What lay ahead of the vehicle. */
  told: vehicleOutlookSchema.optional(),
});
export type Seal = z.infer<typeof sealSchema>;
