import { z } from 'zod';
import { freeText, requiredText } from '../../fields/index.ts';
import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';

/** Ends a follow-up, a person's or one that the ledger made by itself, by its key. */
export const followUpDone = entryKind({
  schema: z.object({
    kind: z.literal('follow-up-done'),
    task: requiredText('follow-up', 80),
    how: freeText('how', 400).optional(),
  }),
  pin: () => say('entries.follow-up-done'),
  told: ({ how }) => how ?? say('told.done'),
  rank: 4,
  afterSignOff: true,
});
