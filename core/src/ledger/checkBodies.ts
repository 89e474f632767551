import { z } from 'zod';
import { freeText, requiredText } from '../text/index.ts';
import { partIdSchema } from './parts.ts';

const idText = (what: string) => requiredText(what, 60);

/** What a guided check asks for: figures in base units, choices, rows; a cell left empty is null. */
const checkValueSchema = z.union([
  z.number(),
  z.string().max(400),
  z.array(z.array(z.number().nullable()).max(8)).max(1000),
]);

/** A check that was made. Its meaning is worked out anew from the values; one that is not known keeps the outcome it was given. */
export const checkBodySchema = z.object({
  kind: z.literal('check'),
  check: idText('The check'),
  values: z.record(z.string().max(60), checkValueSchema),
  /** The values that were asked back were measured again. */
  sure: z.boolean().optional(),
  /** As it was called where it was made. */
  outcome: idText('The outcome').optional(),
  note: freeText('Note', 1000).optional(),
});

/** Put right: it was found, repaired on this job, and what it made or hid is looked for again. */
export const CAUSE_STATES = ['confirmed', 'suspected', 'ruled-out', 'put-right'] as const;

/** What is behind it, as the technician says: by its id, or in words of their own. */
export const causeBodySchema = z.object({
  kind: z.literal('cause'),
  cause: idText('The cause'),
  state: z.enum(CAUSE_STATES),
  why: requiredText('The reason', 1000),
});

/** A known-good part held in the place of a suspected one. */
export const substitutionBodySchema = z.object({
  kind: z.literal('substitution'),
  part: partIdSchema,
  /** What was put in: number, kind, where from. */
  what: requiredText('What was put in', 300),
  unit: z.enum(['mbar', 'degC', 'gPerS', 'V', 'percent']).optional(),
  oldValue: z.number().optional(),
  goodValue: z.number().optional(),
  changed: z.enum(['yes', 'no', 'unclear']),
  putBack: z.boolean(),
  note: freeText('Note', 1000).optional(),
});
