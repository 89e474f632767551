import { z } from 'zod';
import { freeText, requiredText } from '../../fields/index.ts';
import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';
import { partIdSchema } from '../parts.ts';
import { orderSchema } from '../shapes.ts';

/** A repair that holds until the part is there: it stays open until it is settled. */
export const temporaryRepair = entryKind({
  schema: z.object({
    kind: z.literal('temporary-repair'),
    what: requiredText('what-was-done', 1000),
    part: partIdSchema.optional(),
    cause: freeText('cause', 60).optional(),
    order: orderSchema.optional(),
  }),
  stage: 'treat',
  pin: () => say('entries.temporary-repair'),
  told: ({ what, order }) => say('told.with-order', { what, order }),
  rank: 2,
});
