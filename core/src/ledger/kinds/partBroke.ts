import { z } from 'zod';
import { figure, freeText, requiredText } from '../../fields/index.ts';
import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';
import { partIdSchema } from '../parts.ts';
import { orderSchema } from '../shapes.ts';

export const BREAKS = ['snapped-sensor', 'stripped-thread', 'snapped-fastener', 'other'] as const;
export type Break = (typeof BREAKS)[number];

/** A part broke in the work: what it was, where, and what is on order for it. Open until it is settled. */
export const partBroke = entryKind({
  schema: z.object({
    kind: z.literal('part-broke'),
    broke: z.enum(BREAKS),
    what: requiredText('what-broke', 300),
    part: partIdSchema.optional(),
    thread: freeText('thread', 60).optional(),
    /** Where the boss is, and how far the cable reaches. */
    position: freeText('position', 200).optional(),
    reachMm: figure('cable-reach', 0, 5000, 'mm').optional(),
    order: orderSchema.optional(),
  }),
  stage: 'treat',
  pin: ({ what }) => say('entries.broke', { what }),
  told: ({ what, order }) => say('told.with-order', { what, order }),
  rank: 2,
});
