import { z } from 'zod';
import { freeText, requiredText } from '../text/index.ts';
import { idSchema } from './identity.ts';
import { partIdSchema } from './parts.ts';

export const dateSchema = z.iso.date({ error: 'Due: a date as 2026-05-11' });

/** A part as it is ordered or fitted. */
const partNumberShape = {
  number: freeText('Part number', 60).optional(),
  supplier: freeText('Supplier', 120).optional(),
};

/** A part that was changed, here or elsewhere before: what it was, and whether it changed anything. */
export const partChangedBodySchema = z.object({
  kind: z.literal('part-changed'),
  where: z.enum(['elsewhere', 'here']),
  what: requiredText('The part', 200),
  part: partIdSchema.optional(),
  when: freeText('When', 60).optional(),
  condition: z.enum(['new', 'used', 'pattern', 'unknown']),
  effect: z.enum(['cured', 'better', 'none', 'worse', 'unknown']),
  ...partNumberShape,
  fits: z.enum(['fits', 'superseded', 'incompatible']).optional(),
  supersededBy: freeText('Superseded by', 60).optional(),
});

/** A repair that holds until the part is there: it stays open until it is settled. */
export const temporaryRepairBodySchema = z.object({
  kind: z.literal('temporary-repair'),
  what: requiredText('What was done', 1000),
  part: partIdSchema.optional(),
  cause: freeText('The cause', 60).optional(),
  order: z
    .object({
      name: requiredText('The part on order', 200),
      ...partNumberShape,
      due: dateSchema.optional(),
    })
    .optional(),
});

/** Whether it may be driven until then. */
export const drivableBodySchema = z.object({
  kind: z.literal('drivable'),
  verdict: z.enum(['drive', 'limited', 'no']),
  why: requiredText('The reason', 1000),
  /** How far limited: speed, load, distance. */
  limits: freeText('Limited to', 400).optional(),
  until: freeText('Until', 120).optional(),
});

/** Ends what an earlier entry left open: the part came and was fitted, the wait is over. */
export const settledBodySchema = z.object({
  kind: z.literal('settled'),
  entry: idSchema,
  how: requiredText('How', 1000),
});

/** What the customer may choose from, with prices; the job waits until a choice is recorded. */
export const choiceOfferedBodySchema = z.object({
  kind: z.literal('choice-offered'),
  question: requiredText('The question', 400),
  currency: requiredText('Currency', 8),
  options: z
    .array(
      z.object({
        id: requiredText('The option', 40),
        what: requiredText('The option', 300),
        price: z.number({ error: 'Price: enter a number' }).min(0, 'Price: not below 0').max(1e6),
        minutes: z.number().min(0).max(100_000).optional(),
        remark: freeText('Remark', 300).optional(),
      }),
    )
    .min(1, 'Offer at least one thing')
    .max(6, 'At most six'),
});

/** What was chosen, by whom and how they said so. */
export const choiceMadeBodySchema = z.object({
  kind: z.literal('choice-made'),
  offer: idSchema,
  option: requiredText('The option', 40),
  by: requiredText('Who approved', 120),
  how: z.enum(['in-person', 'phone', 'message', 'signature']),
});

export const FAMILY_TOPICS = [
  'access',
  'time',
  'tool',
  'pipe-route',
  'good-reading',
  'weak-spot',
  'other',
] as const;

/** Something learned about the engine family, for the next vehicle of it. */
export const familyNoteBodySchema = z.object({
  kind: z.literal('family-note'),
  topic: z.enum(FAMILY_TOPICS),
  text: requiredText('The note', 1000),
  minutes: z.number().min(0).max(10_000).optional(),
});

/** A picture that was stored with the job. */
export const photoBodySchema = z.object({
  kind: z.literal('photo'),
  photo: idSchema,
  caption: freeText('Caption', 300).optional(),
  part: partIdSchema.optional(),
});
