import { z } from 'zod';
import { freeText, requiredText } from '../../fields/index.ts';
import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';
import { partIdSchema } from '../parts.ts';

const CHANGED = { yes: 'it changes', no: 'no change', unclear: 'unclear' } as const;

/** A known-good part held in the place of a suspected one. */
export const substitution = entryKind({
  schema: z.object({
    kind: z.literal('substitution'),
    part: partIdSchema,
    /** What was put in: number, kind, where from. */
    what: requiredText('what-was-put-in', 300),
    unit: z.enum(['mbar', 'degC', 'gPerS', 'V', 'percent']).optional(),
    oldValue: z.number().optional(),
    goodValue: z.number().optional(),
    changed: z.enum(['yes', 'no', 'unclear']),
    putBack: z.boolean(),
    note: freeText('note', 1000).optional(),
  }),
  stage: 'checks',
  pin: ({ part, changed }) => say('entries.known-good', { part, changed: CHANGED[changed] }),
  told: ({ what, putBack, note = '' }) => say('told.substitution', { what, putBack, note }),
  rank: 3,
});
