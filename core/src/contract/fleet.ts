import { z } from 'zod';
import { idSchema } from '../ledger/index.ts';
import { comeBackSchema, vehicleOutlookSchema } from '../outlook/index.ts';
import { adviceSchema } from './advice.ts';

export const FLEET_ORDERS = ['due', 'comes-back'] as const;

export const fleetQuerySchema = z.object({
  order: z.enum(FLEET_ORDERS).default('due'),
  family: z.string().trim().max(120).optional(),
  offset: z.coerce.number().int().min(0).max(100_000).default(0),
  limit: z.coerce.number().int().min(1).max(100).default(25),
});

export const fleetVehicleSchema = z.object({
  id: idSchema,
  plate: z.string(),
  model: z.string(),
  family: z.string(),
  customerName: z.string().optional(),
  told: vehicleOutlookSchema,
  /** Its job that is open, with what that waits for as soon as it is worked out. */
  openJob: z.object({ id: idSchema, advice: adviceSchema.optional() }).optional(),
});
export type FleetVehicle = z.infer<typeof fleetVehicleSchema>;

/** Vehicles of which something is known, the next to be due first. */
export const fleetPageSchema = z.object({
  vehicles: z.array(fleetVehicleSchema),
  /** How many there are in all, of this family where one is asked for. */
  known: z.number().int(),
  /** Vehicles whose outlook cannot be told yet: nothing was read, or not since the last work. */
  unknown: z.number().int(),
  /** Outlooks that are being worked out anew: ask again in a moment. */
  waiting: z.number().int(),
});
export type FleetPage = z.infer<typeof fleetPageSchema>;

const share = z.object({ cause: z.string().optional(), count: z.number().int() });

/** What the visits of a workshop come to: by family which causes, and which cleans did not hold and why. */
export const fleetCausesSchema = z.object({
  families: z.array(
    z.object({
      family: z.string(),
      vehicles: z.number().int(),
      jobs: z.number().int(),
      /** Jobs in which a cause was found, the most frequent first, and how many of those are not put right. */
      causes: z.array(z.object({ cause: z.string(), jobs: z.number().int(), open: z.number().int() })),
    }),
  ),
  cleaned: z.number().int(),
  cameBack: z.number().int(),
  /** Causes behind those that came back; absent: no cause was found. */
  why: z.array(share),
  last: z.array(comeBackSchema.extend({ vehicleId: idSchema, plate: z.string(), family: z.string() })),
  /** By which limits a filter counts as having come back. */
  within: z.object({ km: z.number(), days: z.number() }),
});
export type FleetCauses = z.infer<typeof fleetCausesSchema>;
