import { z } from 'zod';
import { FAMILY_TOPICS, idSchema, timeSchema } from '../ledger/index.ts';

/** Where something was learned. */
const fromJobShape = {
  jobId: idSchema,
  jobNumber: z.number().int(),
  plate: z.string(),
  at: timeSchema,
};
const otherVehicleSchema = z.object({ id: idSchema, plate: z.string(), model: z.string() });

/** The notebook of an engine family, seen from one vehicle of it. */
export const familyBookSchema = z.object({
  family: z.string(),
  notes: z.array(
    z.object({
      ...fromJobShape,
      topic: z.enum(FAMILY_TOPICS),
      text: z.string(),
      minutes: z.number().optional(),
      author: z.string(),
    }),
  ),
  /** What ΔP was on vehicles that were proved, by kind and speed. */
  goodReadings: z.array(
    z.object({ ...fromJobShape, kind: z.enum(['idle', 'hold']), rpm: z.number(), dpMbar: z.number() }),
  ),
  /** Confirmed causes of the family, the most frequent first. */
  weakSpots: z.array(z.object({ cause: z.string(), jobs: z.number().int(), last: z.object(fromJobShape) })),
  /** Confirmed on another vehicle of this customer and family: look at it here too. */
  proposals: z.array(z.object({ ...fromJobShape, cause: z.string(), check: z.string().optional() })),
  /** The customer's other vehicles of the family. */
  others: z.array(otherVehicleSchema),
});
export type FamilyBook = z.infer<typeof familyBookSchema>;
