import { EntitySchema } from 'typeorm';
import type { NewFluid } from '@white-ember/core/contract';

export interface FluidRow {
  id: string;
  workshopId: string;
  name: string;
  /** What the data sheet says. */
  sheet: Omit<NewFluid, 'id' | 'name' | 'countedL' | 'countedAt'>;
  countedL: number;
  countedAt: Date;
  revision: number;
  contentHash: string;
}

export const FluidEntity = new EntitySchema<FluidRow>({
  name: 'Fluid',
  tableName: 'fluid',
  columns: {
    id: { type: 'uuid', primary: true },
    workshopId: { type: 'uuid', name: 'workshop_id' },
    name: { type: 'text' },
    sheet: { type: 'jsonb' },
    countedL: { type: 'double precision', name: 'counted_l' },
    countedAt: { type: 'timestamptz', name: 'counted_at' },
    revision: { type: 'integer' },
    contentHash: { type: 'text', name: 'content_hash' },
  },
});
