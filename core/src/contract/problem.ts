import { z } from 'zod';

/** RFC 9457 problem details, with the place of each fault in the input. */
export const problemSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.number().int(),
  detail: z.string().optional(),
  /** Field path → what it must be. */
  fields: z.record(z.string(), z.string()).optional(),
});
export type Problem = z.infer<typeof problemSchema>;
