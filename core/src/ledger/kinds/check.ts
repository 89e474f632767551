import { z } from 'zod';
import { freeText, requiredText } from '../../fields/index.ts';
import { named, say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';

/** What a guided check asks for: figures in base units, choices, rows; a cell left empty is null. */
const checkValueSchema = z.union([
  z.number(),
  z.string().max(400),
  z.array(z.array(z.number().nullable()).max(8)).max(1000),
]);

/** A check that was made. Its meaning is worked out anew from the values; one that is not known keeps the outcome it was given. */
export const check = entryKind({
  schema: z.object({
    kind: z.literal('check'),
    check: requiredText('check', 60),
    values: z.record(z.string().max(60), checkValueSchema),
    /** The values that were asked back were measured again. */
    sure: z.boolean().optional(),
    /** As it was called where it was made. */
    outcome: requiredText('outcome', 60).optional(),
    note: freeText('note', 1000).optional(),
  }),
  stage: 'checks',
  pin: ({ check: id }) => say('entries.check', { check: named('checkNames', id, id) }),
  told: ({ outcome, note = '' }) =>
    say('told.check', {
      outcome: outcome === undefined ? '' : named('shown', outcome, outcome.replaceAll('-', ' ')),
      note,
    }),
  rank: 3,
  corrected: true,
});
