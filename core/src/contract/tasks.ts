import { z } from 'zod';
import { saidSchema } from '../words/index.ts';
import { idSchema, timeSchema } from '../ledger/index.ts';

/** `due`: the filter itself is due again, by the outlook of its vehicle; the others come from a job. */
export const TASK_KINDS = ['part', 'choice', 'recheck', 'own', 'oil', 'due'] as const;

/** Something that is to be done after a job. */
export const followUpSchema = z.object({
  /** The same whenever it is worked out, so that it can be ended, and a calendar knows it again. */
  key: z.string(),
  kind: z.enum(TASK_KINDS),
  what: saidSchema,
  why: saidSchema.optional(),
  /** Day, as 2026-06-01. */
  due: z.string().optional(),
  /** Distance on the clock, km. */
  dueKm: z.number().optional(),
  done: z.object({ at: timeSchema, by: z.string(), how: z.string().optional() }).optional(),
});
export type FollowUp = z.infer<typeof followUpSchema>;

/** A follow-up that is open, with whose it is. */
export const taskSchema = followUpSchema.omit({ done: true }).extend({
  jobId: idSchema,
  jobNumber: z.number().int(),
  vehicleId: idSchema,
  plate: z.string(),
  model: z.string(),
  /** Its day was worked out from a distance and how much the vehicle is driven. */
  estimated: z.boolean(),
});
export type Task = z.infer<typeof taskSchema>;

/** The first of them, and how many there are. */
export const taskListSchema = z.object({ tasks: z.array(taskSchema), total: z.number().int() });
export type TaskList = z.infer<typeof taskListSchema>;

export const tasksQuerySchema = z.object({
  vehicleId: idSchema.optional(),
  /** Only what is due within so many days, or has no day; all where it is not said. */
  withinDays: z.coerce.number().int().min(1).max(4000).optional(),
  /** Without the filters that are due: where those stand beside it. */
  filters: z.enum(['with', 'without']).default('with'),
  limit: z.coerce.number().int().min(1).max(500).default(100),
});
