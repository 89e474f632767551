import { z } from 'zod';
import { freeText, requiredText, wholeNumber } from '../../fields/index.ts';
import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';
import { idSchema } from '../identity.ts';
import { partIdSchema } from '../parts.ts';
import { torqueSchema } from '../shapes.ts';

export const SINGLE_USE = ['seal', 'clamp', 'bolt', 'nut', 'other'] as const;
export type SingleUse = (typeof SINGLE_USE)[number];

/** A part that came off on the way to the filter: what holds it, and what it needs to go on again. */
export const partOff = entryKind({
  schema: z.object({
    kind: z.literal('part-off'),
    what: requiredText('part', 200),
    part: partIdSchema.optional(),
    fasteners: z
      .object({ count: wholeNumber('fasteners', 0, 200), size: freeText('size', 60).optional() })
      .optional(),
    torqueNm: torqueSchema.optional(),
    /** What may not be used again. */
    singleUse: z
      .array(
        z.object({
          what: z.enum(SINGLE_USE),
          count: wholeNumber('single-use-parts', 0, 200),
          number: freeText('part-number', 60).optional(),
        }),
      )
      .max(8)
      .optional(),
    connectors: z.array(requiredText('plug', 120)).max(12).optional(),
    /** It took a second person. */
    helper: z.boolean().optional(),
    /** Axle, mount or steering: each fastener is signed off by itself. */
    safetyCritical: z.boolean().optional(),
    photo: idSchema.optional(),
    note: freeText('note', 600).optional(),
  }),
  stage: 'treat',
  pin: ({ what }) => say('entries.off', { what }),
  told: ({ what, torqueNm, note = '' }) => say('told.part-off', { what, torqueNm, note }),
  rank: 4,
});
