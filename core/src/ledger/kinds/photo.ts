import { z } from 'zod';
import { freeText } from '../../fields/index.ts';
import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';
import { idSchema } from '../identity.ts';
import { partIdSchema } from '../parts.ts';

/** A picture that was stored with the job. */
export const photo = entryKind({
  schema: z.object({
    kind: z.literal('photo'),
    photo: idSchema,
    caption: freeText('caption', 300).optional(),
    part: partIdSchema.optional(),
  }),
  pin: () => say('entries.photo'),
  told: ({ caption }) => caption ?? say('told.photo'),
  rank: 5,
});
