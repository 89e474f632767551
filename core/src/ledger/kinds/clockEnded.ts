import { z } from 'zod';
import { textOrSaid } from '../shapes.ts';
import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';
import { idSchema } from '../identity.ts';

/** A wait was ended: when it rang, later, or before its time. The clock may also be a dwell that began with work. */
export const clockEnded = entryKind({
  schema: z.object({
    kind: z.literal('clock-ended'),
    entry: idSchema,
    why: textOrSaid('reason', 400).optional(),
  }),
  stage: 'treat',
  pin: () => say('entries.timer-ended'),
  told: ({ why = '' }) => say('told.timer-ended', { why }),
  rank: 5,
});
