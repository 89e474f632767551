import { z } from 'zod';
import { saidSchema } from '../words/index.ts';
import { idSchema, timeSchema } from '../ledger/index.ts';
import { FILTER_FATES } from './visit.ts';

const intervalSchema = z.object({ value: z.number(), low: z.number(), high: z.number() });

const visitSchema = z.object({
  jobId: idSchema,
  number: z.number().int(),
  at: timeSchema,
  km: z.number().optional(),
  before: intervalSchema.optional(),
  after: intervalSchema.optional(),
  sootBefore: intervalSchema.optional(),
  sootAfter: intervalSchema.optional(),
  filter: z.enum(FILTER_FATES),
  regenEveryKm: z.number().optional(),
  causes: z.array(z.object({ cause: z.string(), open: z.boolean(), fills: z.boolean() })),
  weighed: z.object({ beforeKg: z.number().optional(), afterKg: z.number().optional() }).optional(),
});

/** A visit at which a filter was back sooner than the limits allow. */
export const comeBackSchema = z.object({
  jobId: idSchema,
  number: z.number().int(),
  at: timeSchema,
  days: z.number().int(),
  km: z.number().optional(),
  causes: z.array(z.string()),
  leftOpen: z.boolean(),
});

const unknownSchema = z.object({ known: z.literal(false), why: saidSchema });

/** The memory of a vehicle and what is ahead of it. */
export const vehicleOutlookSchema = z.object({
  visits: z.array(visitSchema),
  outlook: z.discriminatedUnion('known', [
    unknownSchema,
    z.object({
      known: z.literal(true),
      from: visitSchema,
      now: intervalSchema,
      growth: intervalSchema,
      dueKm: intervalSchema,
      limitRatio: z.number(),
      stretches: z.number().int(),
      openCauses: z.array(z.string()),
      comeBack: z.object({ chance: z.number(), withinKm: z.number() }),
    }),
  ]),
  ash: z.discriminatedUnion('known', [
    unknownSchema,
    z.object({
      known: z.literal(true),
      points: z.array(z.object({ km: z.number(), left: intervalSchema })),
      rise: intervalSchema,
      now: z.number(),
      limitRatio: z.number(),
      reachesKm: z.object({ low: z.number(), value: z.number(), high: z.number().optional() }).optional(),
    }),
  ]),
  /** When it is due, where the odometer tells how much it is driven. */
  dueDate: z.object({ low: timeSchema, value: timeSchema, high: timeSchema }).optional(),
  kmPerDay: z.number().optional(),
  /** Vehicles of its kind that the workshop has read: what the outlook leans on where its own road is short. */
  /** Soot that no regeneration takes, g on 100 km with its 90 % interval, by the pressures of its visits. */
  sootRate: z.object({ gPer100Km: intervalSchema, stretches: z.number().int() }).optional(),
  /** Visits at which a filter was back sooner than the limits allow. */
  comeBacks: z.array(comeBackSchema),
  /** Whether regenerations come closer together, where at least three visits wrote their distance down. */
  regenerations: z
    .object({
      lastKm: z.number(),
      earlierKm: z.number(),
      percent: z.number(),
      limitPercent: z.number(),
      closer: z.boolean(),
    })
    .optional(),
  kind: z.object({ family: z.string(), vehicles: z.number().int() }),
});
export type VehicleOutlook = z.infer<typeof vehicleOutlookSchema>;
