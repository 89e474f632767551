import { z } from 'zod';
import { freeText, requiredText } from '../text/index.ts';
import { dateSchema } from './partBodies.ts';

/** Something to be done after the job: by a day, by a distance on the clock, or whichever comes first. */
export const followUpBodySchema = z.object({
  kind: z.literal('follow-up'),
  what: requiredText('What is to be done', 400),
  due: dateSchema.optional(),
  dueKm: z
    .number({ error: 'Distance: enter a number' })
    .min(0, 'Distance: not below 0 km')
    .max(3_000_000, 'Distance: at most 3 000 000 km')
    .optional(),
});

/** Ends a follow-up, a person's or one that the ledger made by itself, by its key. */
export const followUpDoneBodySchema = z.object({
  kind: z.literal('follow-up-done'),
  task: requiredText('The follow-up', 80),
  how: freeText('How', 400).optional(),
});
