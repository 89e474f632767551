import { z } from 'zod';
import { freeText } from '../text/index.ts';
import { idSchema } from './identity.ts';
import { TREATMENTS } from './treatmentBodies.ts';

const figure = (what: string, low: number, high: number, unit: string) => {
  const range = `${what}: ${low} to ${high} ${unit}`;
  return z
    .number({ error: `${what}: enter a number` })
    .min(low, range)
    .max(high, range);
};

/** What was asked before a treatment begins, and what was answered: by the question’s id, yes and no or a figure. */
export const madeReadyBodySchema = z.object({
  kind: z.literal('made-ready'),
  treatment: z.enum(TREATMENTS),
  answers: z.record(z.string().max(40), z.union([z.boolean(), z.number().min(-60).max(1000)])),
  /** Who else is there: on the road one drives and one reads. */
  helper: freeText('The second person', 120).optional(),
  site: freeText('Place', 200).optional(),
});

/** One moment of a burn in base units, as far as it was read. */
const momentShape = {
  rpm: figure('Engine speed', 0, 8000, 'rpm').optional(),
  kmPerH: figure('Road speed', 0, 200, 'km/h').optional(),
  airGPerS: figure('Air mass', 0, 1000, 'g/s').optional(),
  egt1C: figure('EGT 1', -60, 1300, '°C').optional(),
  egt2C: figure('EGT 2', -60, 1300, '°C').optional(),
  egt3C: figure('EGT 3', -60, 1300, '°C').optional(),
  egt4C: figure('EGT 4', -60, 1300, '°C').optional(),
  coolantC: figure('Coolant', -60, 200, '°C').optional(),
  sootG: figure('Soot', 0, 1000, 'g').optional(),
};

/** What was read by hand in a burn that another tool commands. */
export const burnReadingBodySchema = z
  .object({ kind: z.literal('burn-reading'), burn: idSchema, ...momentShape })
  .refine(({ kind: _, burn: __, ...read }) => Object.values(read).some((value) => value !== undefined), {
    path: ['egt3C'],
    error: 'Enter at least one value',
  });

export const BURN_ENDS = ['by-itself', 'stopped', 'fire', 'unknown'] as const;
export type BurnEnd = (typeof BURN_ENDS)[number];

/** How a burn ended, and what it came to. */
export const burnEndedBodySchema = z.object({
  kind: z.literal('burn-ended'),
  /** The work that began it. */
  burn: idSchema,
  how: z.enum(BURN_ENDS),
  why: freeText('The reason', 600).optional(),
  source: z.enum(['live', 'hand']),
  minutes: figure('Length of the regeneration', 0, 600, 'min'),
  peakInletC: figure('Highest before the filter', -60, 1300, '°C').optional(),
  peakOutletC: figure('Highest after the filter', -60, 1300, '°C').optional(),
  /** By the burn model from what was read. */
  peakBedC: figure('Hottest bed', -60, 3000, '°C').optional(),
  sootBeforeG: figure('Soot before', 0, 1000, 'g').optional(),
  sootLeftG: figure('Soot left by the burn model', 0, 1000, 'g').optional(),
  counterBeforeG: figure('Counter before', 0, 1000, 'g').optional(),
  counterAfterG: figure('Counter after', 0, 1000, 'g').optional(),
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
});
