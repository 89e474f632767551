import { z } from 'zod';
import { customerSchema, newCustomerSchema, type Customer } from '@white-ember/core/contract';
import { memberRoute, type Route } from '../http/route.ts';
import { contentHash, insertOnce } from '../http/once.ts';
import { CustomerEntity, type CustomerRow } from '../database/entities/customer.entity.ts';

export const toCustomer = ({ id, name, contact }: CustomerRow): Customer => ({
  id,
  name,
  ...(contact === null ? {} : { contact }),
});

export const customerRoutes: Route[] = [
  memberRoute({
    method: 'get',
    path: '/api/customers',
    access: 'viewer',
    summary: 'Customers by name',
    answer: z.array(customerSchema),
    handle: async ({ db, workshopId }) =>
      (await db.manager.find(CustomerEntity, { where: { workshopId }, order: { name: 'ASC' } })).map(
        toCustomer,
      ),
  }),
  memberRoute({
    method: 'post',
    path: '/api/customers',
    access: 'technician',
    summary: 'Add a customer',
    body: newCustomerSchema,
    answer: customerSchema,
    status: 201,
    handle: async ({ body, db, workshopId }) => {
      const { row } = await insertOnce(db.manager, CustomerEntity, {
        ...body,
        contact: body.contact ?? null,
        workshopId,
        contentHash: contentHash(body),
      });
      return toCustomer(row);
    },
  }),
];
