import { z } from 'zod';
import { freeText } from '../../fields/index.ts';
import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';
import { TREATMENTS } from './treatmentChosen.ts';

/** What was asked before a treatment begins, and what was answered: by the question’s id, yes and no or a figure. */
export const madeReady = entryKind({
  schema: z.object({
    kind: z.literal('made-ready'),
    treatment: z.enum(TREATMENTS),
    answers: z.record(z.string().max(40), z.union([z.boolean(), z.number().min(-60).max(1000)])),
    /** Who else is there: on the road one drives and one reads. */
    helper: freeText('second-person', 120).optional(),
    site: freeText('place', 200).optional(),
  }),
  stage: 'treat',
  pin: ({ treatment }) => say('entries.ready-for', { treatment: say(`treatments.${treatment}`) }),
  told: ({ treatment, answers, helper = '', site = '' }) =>
    say('told.made-ready', {
      treatment: say(`treatments.${treatment}`),
      answers: Object.keys(answers).length,
      helper,
      site,
    }),
  rank: 5,
});
