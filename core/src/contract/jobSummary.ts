import { z } from 'zod';
import { saidSchema } from '../words/index.ts';
import { CLOCKS, idSchema, timeSchema } from '../ledger/index.ts';

/** A wait that is not ended. */
export const runningClockSchema = z.object({
  /** The entry that began it. */
  entryId: idSchema,
  clock: z.enum(CLOCKS),
  what: saidSchema,
  next: saidSchema.optional(),
  until: timeSchema,
});

/** What the list shows of a job; worked out by core from the ledger whenever an entry comes in. */
export const jobSummarySchema = z.object({
  stage: z.string(),
  headline: saidSchema,
  verdict: z.string(),
  signedOff: z.boolean(),
  /** Waits that are not ended: they run or ring. */
  clocks: z.array(runningClockSchema),
  /** What it waits for: a part, the customer. */
  waitsFor: saidSchema.optional(),
});
export type JobSummary = z.infer<typeof jobSummarySchema>;
