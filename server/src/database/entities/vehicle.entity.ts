import { EntitySchema } from 'typeorm';
import type { PartId } from '@white-ember/core/ledger';

export interface VehicleRow {
  id: string;
  workshopId: string;
  plate: string;
  model: string;
  family: string;
  displacementL: number | null;
  filterModelId: string | null;
  customerId: string | null;
  fitted: PartId[];
  note: string | null;
  revision: number;
  contentHash: string;
}

export const VehicleEntity = new EntitySchema<VehicleRow>({
  name: 'Vehicle',
  tableName: 'vehicle',
  columns: {
    id: { type: 'uuid', primary: true },
    workshopId: { type: 'uuid', name: 'workshop_id' },
    plate: { type: 'text' },
    model: { type: 'text' },
    family: { type: 'text' },
    displacementL: { type: 'double precision', name: 'displacement_l', nullable: true },
    filterModelId: { type: 'uuid', name: 'filter_model_id', nullable: true },
    customerId: { type: 'uuid', name: 'customer_id', nullable: true },
    fitted: { type: 'jsonb' },
    note: { type: 'text', nullable: true },
    revision: { type: 'integer', default: 1 },
    contentHash: { type: 'text', name: 'content_hash' },
  },
});
