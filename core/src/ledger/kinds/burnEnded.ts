import { z } from 'zod';
import { figure, freeText } from '../../fields/index.ts';
import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';
import { idSchema } from '../identity.ts';

export const BURN_ENDS = ['by-itself', 'stopped', 'fire', 'unknown'] as const;
export type BurnEnd = (typeof BURN_ENDS)[number];

/** How a burn ended, and what it came to. */
export const burnEnded = entryKind({
  schema: z.object({
    kind: z.literal('burn-ended'),
    /** The work that began it. */
    burn: idSchema,
    how: z.enum(BURN_ENDS),
    why: freeText('reason', 600).optional(),
    source: z.enum(['live', 'hand']),
    minutes: figure('length-of-the-regeneration', 0, 600, 'min'),
    peakInletC: figure('highest-before-the-filter', -60, 1300, '°C').optional(),
    peakOutletC: figure('highest-after-the-filter', -60, 1300, '°C').optional(),
    /** By the burn model from what was read. */
    peakBedC: figure('hottest-bed', -60, 3000, '°C').optional(),
    sootBeforeG: figure('soot-before', 0, 1000, 'g').optional(),
    sootLeftG: figure('soot-left-by-the-burn-model', 0, 1000, 'g').optional(),
    counterBeforeG: figure('counter-before', 0, 1000, 'g').optional(),
    counterAfterG: figure('counter-after', 0, 1000, 'g').optional(),
    /** The course of it, thinned: s, before the filter, behind it, hottest of the bed, counter. */
    course: z
      .array(
        z.object({
          atS: z.number().min(0).max(36_000),
          egt3C: z.number().optional(),
          egt4C: z.number().optional(),
          bedC: z.number().optional(),
          sootG: z.number().optional(),
        }),
      )
      .max(200)
      .optional(),
  }),
  stage: 'treat',
  pin: ({ how, minutes }) => say('entries.regeneration-ended', { how: say(`burnEnds.${how}`), minutes }),
  told: ({ how, minutes, why = '' }) =>
    say('told.regeneration-ended', { how: say(`burnEnds.${how}`), minutes, why }),
  rank: 1,
});
