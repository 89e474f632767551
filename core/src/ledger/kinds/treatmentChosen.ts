import { z } from 'zod';
import { freeText, requiredText } from '../../fields/index.ts';
import { fault, say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';
import { causeNamed } from '../formerCauses.ts';

export const TREATMENTS = ['nothing', 'drive', 'standing', 'chemical', 'off-vehicle', 'exchange'] as const;
export type Treatment = (typeof TREATMENTS)[number];

/** What is to be done to the filter, and what was knowingly left open with it. */
export const treatmentChosen = entryKind({
  schema: z
    .object({
      kind: z.literal('treatment-chosen'),
      treatment: z.enum(TREATMENTS),
      /** Causes that are found and not repaired, taken on knowingly. */
      outstanding: z.array(requiredText('cause', 60)).max(20).optional(),
      why: freeText('reason', 1000).optional(),
    })
    .refine(({ outstanding = [], why }) => outstanding.length === 0 || (why ?? '').trim() !== '', {
      path: ['why'],
      ...fault(say('faults.why-cause-open')),
    }),
  stage: 'decide',
  pin: ({ treatment }) => say('entries.chosen', { treatment: say(`treatments.${treatment}`) }),
  told: ({ treatment, why = '', outstanding = [] }) =>
    say('told.chosen', {
      treatment: say(`treatments.${treatment}`),
      why,
      outstanding: outstanding.map(causeNamed),
    }),
  rank: 2,
});
