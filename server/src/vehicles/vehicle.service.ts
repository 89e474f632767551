import { say } from '@white-ember/core/words';
import { In, type EntityManager } from 'typeorm';
import type { Vehicle } from '@white-ember/core/contract';
import { Refusal } from '../http/problem.ts';
import { CustomerEntity } from '../database/entities/customer.entity.ts';
import { toCustomer } from '../customers/customer.routes.ts';
import { FilterModelEntity } from '../database/entities/filterModel.entity.ts';
import { toFilterModel } from '../filters/filterModel.routes.ts';
import type { VehicleRow } from '../database/entities/vehicle.entity.ts';

/** Vehicles with their filter and customer, in two queries however many there are. */
export async function presentVehicles(
  manager: EntityManager,
  rows: readonly VehicleRow[],
): Promise<Vehicle[]> {
  const ids = (pick: (row: VehicleRow) => string | null): string[] => [
    ...new Set(rows.map(pick).filter((id) => id !== null)),
  ];
  const filters = await manager.findBy(FilterModelEntity, { id: In(ids((row) => row.filterModelId)) });
  const customers = await manager.findBy(CustomerEntity, { id: In(ids((row) => row.customerId)) });
  const filterById = new Map(filters.map((row) => [row.id, toFilterModel(row)]));
  const customerById = new Map(customers.map((row) => [row.id, toCustomer(row)]));
  return rows.map((row) => {
    const filter = row.filterModelId === null ? undefined : filterById.get(row.filterModelId);
    const customer = row.customerId === null ? undefined : customerById.get(row.customerId);
    return {
      id: row.id,
      plate: row.plate,
      model: row.model,
      family: row.family,
      fitted: row.fitted,
      revision: row.revision,
      ...(row.displacementL === null ? {} : { displacementL: row.displacementL }),
      ...(row.filterModelId === null ? {} : { filterModelId: row.filterModelId }),
      ...(row.customerId === null ? {} : { customerId: row.customerId }),
      ...(row.note === null ? {} : { note: row.note }),
      ...(filter ? { filter } : {}),
      ...(customer ? { customer } : {}),
    };
  });
}

/** A vehicle may only name a filter and a customer of its own workshop. */
export async function checkReferences(
  manager: EntityManager,
  workshopId: string,
  body: { filterModelId?: string | undefined; customerId?: string | undefined },
): Promise<void> {
  if (
    body.filterModelId &&
    !(await manager.existsBy(FilterModelEntity, { id: body.filterModelId, workshopId }))
  ) {
    throw new Refusal(400, say('refusals.this-filter-model-is-not-known'), undefined, {
      filterModelId: say('refusals.is-not-known'),
    });
  }
  if (body.customerId && !(await manager.existsBy(CustomerEntity, { id: body.customerId, workshopId }))) {
    throw new Refusal(400, say('refusals.this-customer-is-not-known'), undefined, {
      customerId: say('refusals.is-not-known'),
    });
  }
}
