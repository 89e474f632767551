import { z } from 'zod';
import { requiredText } from '../../fields/index.ts';
import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';

/** A wrong entry that has no successor: it stays in the history and counts no more. */
export const withdrawn = entryKind({
  schema: z.object({ kind: z.literal('withdrawn'), why: requiredText('reason', 500) }),
  pin: () => say('entries.withdrawn'),
  told: ({ why }) => why,
  rank: 5,
  silent: true,
});
