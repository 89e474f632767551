import { z } from 'zod';
import { filterGeometrySchema } from '../filter/index.ts';
import { saidSchema } from '../words/index.ts';

/** What is done next on a job, the kinds of it. */
export const STEP_KINDS = [
  'scan',
  'read',
  'ask',
  'warm-up',
  'check',
  'repair',
  'treat',
  'wait',
  'prove',
  'hand-over',
] as const;

/** What a job waits for, as its line in a list shows it; worked out after the entry that it goes by. */
export const adviceSchema = z.object({
  next: z
    .object({
      do: z.enum(STEP_KINDS),
      /** Check, cause, treatment or piece of evidence that it is about. */
      id: z.string().optional(),
      minutes: z.number().optional(),
      /** What it is called. */
      title: saidSchema,
      why: saidSchema,
    })
    .optional(),
  /** The likeliest cause, where one stands out. */
  likely: z.object({ cause: z.string(), probability: z.number() }).optional(),
  /** What is likely, the likeliest first; absent while nothing is known. */
  causes: z
    .array(z.object({ id: z.string(), form: z.string().optional(), probability: z.number() }))
    .optional(),
  drive: z.enum(['drive', 'limited', 'no']),
  /** The version of the program that worked it out. */
  by: z.string(),
});
export type Advice = z.infer<typeof adviceSchema>;

const familyFilterSchema = filterGeometrySchema.extend({
  size: z.object({
    from: z.enum(['engine', 'readings', 'family']),
    vehicles: z.number().int(),
    cleanSd: z.number(),
    volumeSd: z.number(),
  }),
});

/** How often a workshop found each cause on other vehicles of an engine family, and which filter they have. */
export const familyFoundSchema = z.object({
  jobs: z.number().int(),
  confirmed: z.record(z.string(), z.number().int()),
  /** For a vehicle whose own was not entered. */
  filter: familyFilterSchema.optional(),
});
export type FamilyFound = z.infer<typeof familyFoundSchema>;
