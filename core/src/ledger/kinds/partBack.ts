import { z } from 'zod';
import { freeText } from '../../fields/index.ts';
import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';
import { idSchema } from '../identity.ts';
import { torqueSchema } from '../shapes.ts';

/** A part that came off is on again. */
export const partBack = entryKind({
  schema: z.object({
    kind: z.literal('part-back'),
    /** The entry by which it came off. */
    off: idSchema,
    torqueNm: torqueSchema.optional(),
    /** Single-use parts are new. */
    renewed: z.boolean().optional(),
    plugged: z.boolean().optional(),
    note: freeText('note', 600).optional(),
  }),
  stage: 'treat',
  pin: () => say('entries.part-refitted'),
  told: () => say('entries.part-refitted'),
  rank: 4,
});
