import { EntitySchema } from 'typeorm';

export interface CustomerRow {
  id: string;
  workshopId: string;
  name: string;
  contact: string | null;
  contentHash: string;
}

export const CustomerEntity = new EntitySchema<CustomerRow>({
  name: 'Customer',
  tableName: 'customer',
  columns: {
    id: { type: 'uuid', primary: true },
    workshopId: { type: 'uuid', name: 'workshop_id' },
    name: { type: 'text' },
    contact: { type: 'text', nullable: true },
    contentHash: { type: 'text', name: 'content_hash' },
  },
});
