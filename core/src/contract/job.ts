import { fault, say } from '../words/index.ts';
import { z } from 'zod';
import { entrySchema, idSchema, timeSchema } from '../ledger/index.ts';
import { adviceSchema, familyFoundSchema } from './advice.ts';
import { jobSummarySchema, runningClockSchema } from './jobSummary.ts';
import { limitsProfileSchema } from './limitsProfile.ts';
import { sealSchema } from './seal.ts';
import { vehicleSchema } from './vehicle.ts';

export const newJobSchema = z.object({
  id: idSchema,
  vehicleId: idSchema,
  openedAt: timeSchema,
});

/** Every wait of a workshop, with the server's time: a device whose clock is wrong counts by that. */
export const runningClocksSchema = z.object({
  now: timeSchema,
  clocks: z.array(
    runningClockSchema.extend({
      jobId: idSchema,
      plate: z.string(),
      number: z.number().int(),
      /** Whether the person who asks has entered something on that job within a day: then it rings for them. */
      mine: z.boolean(),
    }),
  ),
});
export type RunningClocks = z.infer<typeof runningClocksSchema>;
export type RunningClock = RunningClocks['clocks'][number];

export const jobListItemSchema = z.object({
  id: idSchema,
  number: z.number().int(),
  openedAt: timeSchema,
  lastEntryAt: timeSchema,
  entryCount: z.number().int(),
  plate: z.string(),
  model: z.string(),
  customerName: z.string().optional(),
  summary: jobSummarySchema,
  /** What it waits for; absent while that is worked out, and on a job that is signed off. */
  advice: adviceSchema.optional(),
});
export type JobListItem = z.infer<typeof jobListItemSchema>;

export const JOB_FILTERS = ['open', 'today', 'all'] as const;
export const jobListQuerySchema = z.object({
  show: z.enum(JOB_FILTERS).default('open'),
  /** Part of plate, model or customer. */
  find: z.string().trim().max(60).optional(),
  vehicleId: idSchema.optional(),
  /** The `next` of the page before. */
  before: z
    .string()
    .regex(/^\d{4}-[\d:.TZ-]+_[0-9a-f-]{36}$/, fault(say('faults.next-page')))
    .optional(),
  limit: z.coerce.number().int().min(1).max(200).default(50),
});
export const jobListSchema = z.object({ jobs: z.array(jobListItemSchema), next: z.string().optional() });

export const logSchema = z.object({
  id: idSchema,
  jobId: idSchema,
  fileName: z.string(),
  sizeBytes: z.number().int(),
  sha256: z.string(),
  uploadedAt: timeSchema,
  /** Why it could not be read; it is not tried again by itself. */
  unreadable: z.string().optional(),
});
export type Log = z.infer<typeof logSchema>;

export const photoSchema = z.object({ id: idSchema, jobId: idSchema, mediaType: z.string() });
export type Photo = z.infer<typeof photoSchema>;

export const jobSchema = z.object({
  id: idSchema,
  number: z.number().int(),
  openedAt: timeSchema,
  vehicle: vehicleSchema,
  entries: z.array(entrySchema),
  limitsProfile: limitsProfileSchema.optional(),
  logs: z.array(logSchema),
  /** What was found on other vehicles of its family, where there are any. */
  family: familyFoundSchema.optional(),
  /** What it came to at its last entry, where that is worked out: it stands on the page until that has judged the job itself. */
  advice: adviceSchema.optional(),
  /** Of a job that is signed off: what it was signed off with. Vehicle and limits are those of that day. */
  seal: sealSchema.optional(),
  /** The vehicle's next job with what it read and did: it may contradict what this one proved. */
  nextJob: z
    .object({
      id: idSchema,
      number: z.number().int(),
      openedAt: timeSchema,
      entries: z.array(entrySchema),
    })
    .optional(),
});
export type Job = z.infer<typeof jobSchema>;
