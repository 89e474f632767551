import { z } from 'zod';
import { day, requiredText } from '../../fields/index.ts';
import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';
import { kilometres } from '../shapes.ts';

/** Something to be done after the job: by a day, by a distance on the clock, or whichever comes first. */
export const followUp = entryKind({
  schema: z.object({
    kind: z.literal('follow-up'),
    what: requiredText('what-is-to-be-done', 400),
    due: day('due').optional(),
    dueKm: kilometres('distance').optional(),
  }),
  stage: 'hand-over',
  pin: ({ what }) => say('entries.to-do', { what }),
  told: ({ what, due = '', dueKm }) => say('told.follow-up', { what, due, dueKm }),
  rank: 4,
  afterSignOff: true,
});
