import { EntitySchema } from 'typeorm';
import type { LimitOverrides } from '@white-ember/core/limits';

export interface LimitsProfileRow {
  id: string;
  workshopId: string;
  /** Empty = the general profile. */
  family: string;
  version: number;
  overrides: LimitOverrides;
  sourceNote: string | null;
  createdAt: Date;
  createdBy: string;
  contentHash: string;
}

export const LimitsProfileEntity = new EntitySchema<LimitsProfileRow>({
  name: 'LimitsProfile',
  tableName: 'limits_profile',
  columns: {
    id: { type: 'uuid', primary: true },
    workshopId: { type: 'uuid', name: 'workshop_id' },
    family: { type: 'text' },
    version: { type: 'integer' },
    overrides: { type: 'jsonb' },
    sourceNote: { type: 'text', name: 'source_note', nullable: true },
    createdAt: { type: 'timestamptz', name: 'created_at', createDate: true },
    createdBy: { type: 'text', name: 'created_by' },
    contentHash: { type: 'text', name: 'content_hash' },
  },
});
