import { z } from 'zod';
import { requiredText } from '../../fields/index.ts';
import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';
import { textOrSaid } from '../shapes.ts';
import { causeNamed } from '../formerCauses.ts';

/** Put right: it was found, repaired on this job, and what it made or hid is looked for again. */
export const CAUSE_STATES = ['confirmed', 'suspected', 'ruled-out', 'put-right'] as const;

/** What is behind it, as the technician says: by its id, or in words of their own. */
export const cause = entryKind({
  schema: z.object({
    kind: z.literal('cause'),
    cause: requiredText('cause', 60),
    state: z.enum(CAUSE_STATES),
    why: textOrSaid('reason', 1000),
  }),
  stage: 'decide',
  pin: ({ state }) => say('entries.cause', { state }),
  told: ({ cause: id, state, why }) => say('told.cause', { cause: causeNamed(id), state, why }),
  rank: 2,
  corrected: true,
});
