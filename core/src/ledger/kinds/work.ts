import { z } from 'zod';
import { figure, freeText, requiredText, wholeNumber } from '../../fields/index.ts';
import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';
import { idSchema } from '../identity.ts';
import { partIdSchema } from '../parts.ts';
import { sootSchema, textOrSaid, waitSchema } from '../shapes.ts';

export const WORK_TYPES = [
  'chemical-clean',
  'drive-regeneration',
  'standing-regeneration',
  'off-vehicle-clean',
  'filter-exchanged',
  'pipe-cleared',
  'sensor-replaced',
  'cause-repaired',
  'oil-changed',
  'other',
] as const;
export type WorkType = (typeof WORK_TYPES)[number];

/** Where fluid goes into the line. */
export const FLUID_ENTRIES = ['high-pipe', 'sensor-port', 'before-turbine'] as const;
export type FluidEntry = (typeof FLUID_ENTRIES)[number];

/** Work of any kind, with its fluid and dwell. */
export const work = entryKind({
  schema: z.object({
    kind: z.literal('work'),
    work: z.enum(WORK_TYPES),
    what: requiredText('what-was-done', 2000),
    fluid: freeText('fluid', 120).optional(),
    fluidL: figure('fluid', 0, 200, 'L').optional(),
    /** The fluid of the workshop’s shelf, and how much of its concentrate went in: the stock goes down by that. */
    fluidId: idSchema.optional(),
    concentrateL: figure('concentrate', 0, 200, 'L').optional(),
    bursts: wholeNumber('bursts', 0, 1000).optional(),
    by: z.enum(FLUID_ENTRIES).optional(),
    /** Fluid that stands in the filter, or that washes it out after. */
    step: z.enum(['soak', 'rinse']).optional(),
    /** A burn begins with this entry and is watched; its end is an entry of its own. Absent: it was done. */
    begun: z.boolean().optional(),
    /** Run-off that was collected, L. */
    wasteL: figure('run-off', 0, 500, 'L').optional(),
    /** A dwell that starts with this entry, minutes. */
    dwellMin: waitSchema('dwell').optional(),
    part: partIdSchema.optional(),
    /** What the computer counted before it and after, where a burn was done with another tool. */
    sootBeforeG: sootSchema('soot-before').optional(),
    sootAfterG: sootSchema('soot-after').optional(),
    /** What had held it off, where it was done all the same. */
    against: z.array(textOrSaid('advice', 400)).max(12).optional(),
  }),
  stage: 'treat',
  pin: ({ work: type, dwellMin }) =>
    dwellMin === undefined
      ? say('entries.work', { work: say(`works.${type}`) })
      : say('entries.work-dwell', { work: say(`works.${type}`), minutes: dwellMin }),
  told: ({ work: type, what }) => say('told.work', { work: say(`works.${type}`), what }),
  rank: 1,
  corrected: true,
});
