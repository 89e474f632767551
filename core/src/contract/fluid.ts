import { z } from 'zod';
import { idSchema, timeSchema } from '../ledger/index.ts';
import { figure, nameText } from '../fields/index.ts';

/** A fluid on the workshop’s shelf: what its data sheet says, and what was counted of it. */
export const newFluidSchema = z.object({
  id: idSchema,
  name: nameText('name', 80),
  kind: z.enum(['soak', 'rinse']),
  waterParts: figure('water-per-part-of-concentrate', 0, 50, 'parts'),
  filterUpToC: figure('filter-up-to', 5, 250, '°C'),
  coatedFilters: z.boolean(),
  laterBricks: z.boolean(),
  dwellMin: figure('dwell', 0, 4320, 'min'),
  burstS: figure('burst', 1, 60, 's'),
  lineUpToBar: figure('line-up-to', 1, 20, 'bar'),
  /** Concentrate that was there when it was counted last. */
  countedL: figure('stock', 0, 5000, 'L'),
  countedAt: timeSchema,
});
export type NewFluid = z.infer<typeof newFluidSchema>;

export const fluidSchema = newFluidSchema.extend({
  revision: z.number().int(),
  /** What is left: as counted, less what jobs have used since. */
  stockL: z.number(),
});
export type Fluid = z.infer<typeof fluidSchema>;

/** A changed fluid names the revision it was changed from. */
export const fluidUpdateSchema = newFluidSchema.omit({ id: true }).extend({ revision: z.number().int() });
