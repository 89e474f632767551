import { z } from 'zod';
import { requiredText } from '../../fields/index.ts';
import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';
import { idSchema } from '../identity.ts';

/** Ends what an earlier entry left open: the part came and was fitted, the wait is over. */
export const settled = entryKind({
  schema: z.object({ kind: z.literal('settled'), entry: idSchema, how: requiredText('how', 1000) }),
  stage: 'treat',
  pin: () => say('entries.settled'),
  told: ({ how }) => how,
  rank: 4,
});
