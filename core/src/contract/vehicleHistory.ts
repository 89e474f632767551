import { z } from 'zod';
import { saidSchema } from '../words/index.ts';
import { idSchema, timeSchema } from '../ledger/index.ts';

const from = { jobId: idSchema, number: z.number().int(), at: timeSchema };

/** What was fitted to a vehicle and what was remarked about it, over all its jobs, the latest first. */
export const vehicleHistorySchema = z.object({
  parts: z.array(
    z.object({
      ...from,
      what: saidSchema,
      /** New, used, another maker’s; number and supplier; whether it helped: as far as it was written down. */
      details: z.array(saidSchema),
      /** It holds for now only, and nobody has settled it. */
      temporary: z.boolean(),
    }),
  ),
  notes: z.array(z.object({ ...from, text: z.string(), author: z.string() })),
});
export type VehicleHistory = z.infer<typeof vehicleHistorySchema>;
