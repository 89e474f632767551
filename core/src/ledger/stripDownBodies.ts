import { z } from 'zod';
import { freeText, requiredText } from '../text/index.ts';
import { idSchema } from './identity.ts';
import { partIdSchema } from './parts.ts';

const count = (what: string) =>
  z
    .number({ error: `${what}: enter a number` })
    .int(`${what}: a whole number`)
    .min(0)
    .max(200);

const torqueSchema = z
  .number({ error: 'Torque: enter a number' })
  .min(0.5, 'Torque: 0.5 to 600 N·m')
  .max(600, 'Torque: 0.5 to 600 N·m');

export const SINGLE_USE = ['seal', 'clamp', 'bolt', 'nut', 'other'] as const;
export type SingleUse = (typeof SINGLE_USE)[number];

/** A part that came off on the way to the filter: what holds it, and what it needs to go on again. */
export const partOffBodySchema = z.object({
  kind: z.literal('part-off'),
  what: requiredText('The part', 200),
  part: partIdSchema.optional(),
  fasteners: z.object({ count: count('Fasteners'), size: freeText('Size', 60).optional() }).optional(),
  torqueNm: torqueSchema.optional(),
  /** What may not be used again. */
  singleUse: z
    .array(
      z.object({
        what: z.enum(SINGLE_USE),
        count: count('Single-use parts'),
        number: freeText('Part number', 60).optional(),
      }),
    )
    .max(8)
    .optional(),
  connectors: z.array(requiredText('The plug', 120)).max(12).optional(),
  /** It took a second person. */
  helper: z.boolean().optional(),
  /** Axle, mount or steering: each fastener is signed off by itself. */
  safetyCritical: z.boolean().optional(),
  photo: idSchema.optional(),
  note: freeText('Note', 600).optional(),
});

/** It is on again. */
export const partBackBodySchema = z.object({
  kind: z.literal('part-back'),
  /** The entry by which it came off. */
  off: idSchema,
  torqueNm: torqueSchema.optional(),
  /** Single-use parts are new. */
  renewed: z.boolean().optional(),
  plugged: z.boolean().optional(),
  note: freeText('Note', 600).optional(),
});

/** One fastener of a safety-critical part, tightened and signed for by a person. */
export const fastenerSignedBodySchema = z.object({
  kind: z.literal('fastener-signed'),
  off: idSchema,
  number: z.number().int().min(1).max(200),
  torqueNm: torqueSchema,
});

export const BREAKS = ['snapped-sensor', 'stripped-thread', 'snapped-fastener', 'other'] as const;
export type Break = (typeof BREAKS)[number];

/** A part broke in the work: what it was, where, and what is on order for it. Open until it is settled. */
export const partBrokeBodySchema = z.object({
  kind: z.literal('part-broke'),
  broke: z.enum(BREAKS),
  what: requiredText('What broke', 300),
  part: partIdSchema.optional(),
  thread: freeText('Thread', 60).optional(),
  /** Where the boss is, and how far the cable reaches. */
  position: freeText('Position', 200).optional(),
  reachMm: z
    .number()
    .min(0, 'Cable reach: not below 0 mm')
    .max(5000, 'Cable reach: at most 5000 mm')
    .optional(),
  order: z
    .object({
      name: requiredText('The part on order', 200),
      number: freeText('Part number', 60).optional(),
      supplier: freeText('Supplier', 120).optional(),
      due: z.iso.date({ error: 'Due: a date as 2026-05-11' }).optional(),
    })
    .optional(),
});

export const FACES = ['clean', 'grey', 'black', 'oily', 'white', 'cracked', 'melted', 'plugged'] as const;
export type Face = (typeof FACES)[number];

/** The filter on the scales and in the hand, off the vehicle. */
export const filterOffBodySchema = z
  .object({
    kind: z.literal('filter-off'),
    when: z.enum(['before', 'after']),
    massKg: z
      .number({ error: 'Mass: enter a number' })
      .min(0.2, 'Mass: 0.2 to 80 kg')
      .max(80, 'Mass: 0.2 to 80 kg')
      .optional(),
    dry: z.boolean().optional(),
    /** Of a new one, from its label or the maker’s data. */
    newMassKg: z
      .number()
      .min(0.2, 'Mass when new: 0.2 to 80 kg')
      .max(80, 'Mass when new: 0.2 to 80 kg')
      .optional(),
    inlet: z.enum(FACES).optional(),
    outlet: z.enum(FACES).optional(),
    note: freeText('Note', 600).optional(),
  })
  .refine(
    ({ massKg, inlet, outlet }) => massKg !== undefined || inlet !== undefined || outlet !== undefined,
    {
      path: ['massKg'],
      error: 'Enter the mass or a look',
    },
  )
  .refine(({ massKg, dry }) => massKg === undefined || dry !== undefined, {
    path: ['dry'],
    error: 'Say whether it was dry: water weighs more than soot',
  });
