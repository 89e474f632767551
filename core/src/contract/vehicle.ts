import { z } from 'zod';
import { CATALYSTS } from '../burn/index.ts';
import { FILTER_MATERIALS, filterGeometrySchema } from '../filter/index.ts';
import { idSchema, PART_IDS } from '../ledger/index.ts';
import { figure, freeText, nameText } from '../fields/index.ts';

export const newCustomerSchema = z.object({
  id: idSchema,
  name: nameText('customer', 120),
  contact: freeText('contact', 200).optional(),
});
export const customerSchema = newCustomerSchema;
export type Customer = z.infer<typeof customerSchema>;

export const newFilterModelSchema = filterGeometrySchema.extend({
  id: idSchema,
  name: nameText('name', 120),
  material: z.enum(FILTER_MATERIALS),
  /** Measured on the can or read off its label, or taken over from a similar vehicle. */
  basis: z.enum(['measured', 'assumed']),
  /** What its wall is coated with, where that is known: it says how soot burns and which fluid may go in. */
  catalyst: z.enum(CATALYSTS).optional(),
});
export const filterModelSchema = newFilterModelSchema;
export type FilterModel = z.infer<typeof filterModelSchema>;

export const newVehicleSchema = z.object({
  id: idSchema,
  plate: nameText('plate', 20),
  model: nameText('vehicle', 120),
  /** Engine family, as limits and notes are kept by it. */
  family: nameText('engine-family', 60),
  displacementL: figure('engine-size', 0.3, 30, 'L').optional(),
  filterModelId: idSchema.optional(),
  customerId: idSchema.optional(),
  /** Parts that stand on this vehicle's exhaust line. */
  fitted: z.array(z.enum(PART_IDS)).max(PART_IDS.length),
  note: freeText('note', 2000).optional(),
});
export type NewVehicle = z.infer<typeof newVehicleSchema>;

export const vehicleSchema = newVehicleSchema.extend({
  revision: z.number().int(),
  filter: filterModelSchema.optional(),
  customer: customerSchema.optional(),
});
export type Vehicle = z.infer<typeof vehicleSchema>;

/** A changed vehicle names the revision it was changed from, so that two people do not overwrite each other. */
export const vehicleUpdateSchema = newVehicleSchema.omit({ id: true }).extend({ revision: z.number().int() });
