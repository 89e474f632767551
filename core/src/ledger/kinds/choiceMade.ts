import { z } from 'zod';
import { requiredText } from '../../fields/index.ts';
import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';
import { idSchema } from '../identity.ts';

/** What was chosen, by whom and how they said so. */
export const choiceMade = entryKind({
  schema: z.object({
    kind: z.literal('choice-made'),
    offer: idSchema,
    option: requiredText('option', 40),
    by: requiredText('who-approved', 120),
    how: z.enum(['in-person', 'phone', 'message', 'signature']),
  }),
  stage: 'decide',
  pin: () => say('entries.customers-choice'),
  told: ({ option, by }) => say('told.choice', { option, by }),
  rank: 3,
});
