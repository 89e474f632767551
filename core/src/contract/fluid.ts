import { z } from 'zod';
import { idSchema, timeSchema } from '../ledger/index.ts';
import { nameText } from '../text/index.ts';

const number = (what: string, low: number, high: number, unit: string) => {
  const range = `${what}: ${low} to ${high} ${unit}`;
  return z
    .number({ error: `${what}: enter a number` })
    .min(low, range)
    .max(high, range);
};

/** A fluid on the workshop’s shelf: what its data sheet says, and what was counted of it. */
export const newFluidSchema = z.object({
  id: idSchema,
  name: nameText('Name', 80),
  kind: z.enum(['soak', 'rinse']),
  waterParts: number('Water per part of concentrate', 0, 50, 'parts'),
  filterUpToC: number('Filter, up to', 5, 250, '°C'),
  coatedFilters: z.boolean(),
  laterBricks: z.boolean(),
  dwellMin: number('Dwell', 0, 4320, 'min'),
  burstS: number('Burst', 1, 60, 's'),
  lineUpToBar: number('Line, up to', 1, 20, 'bar'),
  /** Concentrate that was there when it was counted last. */
  countedL: number('Stock', 0, 5000, 'L'),
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
