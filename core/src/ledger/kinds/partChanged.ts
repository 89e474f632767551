import { z } from 'zod';
import { freeText, requiredText } from '../../fields/index.ts';
import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';
import { partIdSchema } from '../parts.ts';
import { partNumberShape } from '../shapes.ts';

/** A part that was changed, here or elsewhere before: what it was, and whether it changed anything. */
export const partChanged = entryKind({
  schema: z.object({
    kind: z.literal('part-changed'),
    where: z.enum(['elsewhere', 'here']),
    what: requiredText('part', 200),
    part: partIdSchema.optional(),
    when: freeText('when', 60).optional(),
    condition: z.enum(['new', 'used', 'pattern', 'unknown']),
    effect: z.enum(['cured', 'better', 'none', 'worse', 'unknown']),
    ...partNumberShape,
    fits: z.enum(['fits', 'superseded', 'incompatible']).optional(),
    supersededBy: freeText('superseded-by', 60).optional(),
  }),
  stage: ({ where }) => (where === 'elsewhere' ? 'intake' : 'treat'),
  pin: ({ what, where }) => say('entries.changed', { what, elsewhere: where === 'elsewhere' }),
  told: ({ what, when = '', number = '', supplier = '' }) =>
    say('told.part-changed', { parts: [what, when, number, supplier] }),
  rank: 4,
});
