import { EntitySchema } from 'typeorm';
import type { Catalyst } from '@white-ember/core/burn';
import type { FilterMaterial } from '@white-ember/core/filter';

export interface FilterModelRow {
  id: string;
  workshopId: string;
  name: string;
  diameterMm: number;
  lengthMm: number;
  cpsi: number;
  wallMm: number;
  material: FilterMaterial;
  basis: 'measured' | 'assumed';
  catalyst: Catalyst | null;
  contentHash: string;
}

export const FilterModelEntity = new EntitySchema<FilterModelRow>({
  name: 'FilterModel',
  tableName: 'filter_model',
  columns: {
    id: { type: 'uuid', primary: true },
    workshopId: { type: 'uuid', name: 'workshop_id' },
    name: { type: 'text' },
    diameterMm: { type: 'double precision', name: 'diameter_mm' },
    lengthMm: { type: 'double precision', name: 'length_mm' },
    cpsi: { type: 'double precision' },
    wallMm: { type: 'double precision', name: 'wall_mm' },
    material: { type: 'text' },
    basis: { type: 'text' },
    catalyst: { type: 'text', nullable: true },
    contentHash: { type: 'text', name: 'content_hash' },
  },
});
