import { z } from 'zod';
import { requiredText } from '../../fields/index.ts';
import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';
import { PART_STATES, partIdSchema } from '../parts.ts';

/** How a part was found. */
export const partState = entryKind({
  schema: z.object({
    kind: z.literal('part-state'),
    part: partIdSchema,
    state: z.enum(PART_STATES),
    why: requiredText('reason', 1000),
  }),
  stage: 'checks',
  pin: ({ part, state }) => say('entries.part-state', { part, state }),
  told: ({ why }) => why,
  rank: 4,
  corrected: true,
});
