import { z } from 'zod';
import { freeText } from '../../fields/index.ts';
import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';
import { idSchema } from '../identity.ts';

/** The job is handed over as it stands. */
export const signOff = entryKind({
  schema: z.object({
    kind: z.literal('sign-off'),
    remains: freeText('what-remains', 2000).optional(),
    /** The limits by which the job was judged when it was signed off. */
    limitsProfileId: idSchema.optional(),
  }),
  stage: 'hand-over',
  pin: () => say('entries.signed-off'),
  told: ({ remains }) => remains ?? say('told.nothing-remains'),
  rank: 2,
});
