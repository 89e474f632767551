import { z } from 'zod';

/** What came of taking an archive in. */
export const takenInSchema = z.object({
  /** Rows that are new here, and those that were here before and stay as they are. */
  added: z.number().int(),
  known: z.number().int(),
  vehicles: z.number().int(),
  jobs: z.number().int(),
  files: z.number().int(),
  /** People whose sign-in name somebody else has: they got another one. */
  renamed: z.array(z.object({ name: z.string(), signInName: z.string() })),
  /** People who came with it: a lead sets a password before they sign in. */
  people: z.number().int(),
});
export type TakenIn = z.infer<typeof takenInSchema>;
