import { z } from 'zod';
import { FILTER_MATERIALS, filterGeometrySchema } from '../filter/index.ts';
import { idSchema, PART_IDS } from '../ledger/index.ts';

const text = (what: string, max: number) => z.string().trim().max(max, `${what}: at most ${max} characters`);
const required = (what: string, max: number) => text(what, max).min(1, `${what} must not be empty`);

export const newCustomerSchema = z.object({
  id: idSchema,
  name: required('Customer', 120),
  contact: text('Contact', 200).optional(),
});
export const customerSchema = newCustomerSchema;
export type Customer = z.infer<typeof customerSchema>;

export const newFilterModelSchema = filterGeometrySchema.extend({
  id: idSchema,
  name: required('Name', 120),
  material: z.enum(FILTER_MATERIALS),
  /** Measured on the can or read off its label, or taken over from a similar vehicle. */
  basis: z.enum(['measured', 'assumed']),
});
export const filterModelSchema = newFilterModelSchema;
export type FilterModel = z.infer<typeof filterModelSchema>;

export const newVehicleSchema = z.object({
  id: idSchema,
  plate: required('Plate', 20),
  model: required('Vehicle', 120),
  /** Engine family, as limits and notes are kept by it. */
  family: required('Engine family', 60),
  displacementL: z.number().min(0.3, 'Engine size: 0.3 to 30 L').max(30, 'Engine size: 0.3 to 30 L').optional(),
  filterModelId: idSchema.optional(),
  customerId: idSchema.optional(),
  /** Parts that stand on this vehicle's exhaust line. */
  fitted: z.array(z.enum(PART_IDS)).max(PART_IDS.length),
  note: text('Note', 2000).optional(),
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
