import { z } from 'zod';

/** A code with its figures. */
export const messageSchema = z.object({
  say: z.string().max(200),
  of: z.record(z.string(), z.unknown()).optional(),
  text: z.string().max(4000).optional(),
});

/** What stands in an answer of the server or in an archive: a code with its figures, or a text that is somebody's own. */
export const saidSchema = z.union([z.string(), messageSchema]);
