import { EntitySchema } from 'typeorm';
import type { Seal } from '@white-ember/core/contract';

export interface JobSealRow {
  jobId: string;
  workshopId: string;
  /** The sign-off. */
  entryId: string;
  seal: Seal;
  sealedAt: Date;
}

export const JobSealEntity = new EntitySchema<JobSealRow>({
  name: 'JobSeal',
  tableName: 'job_seal',
  columns: {
    jobId: { type: 'uuid', name: 'job_id', primary: true },
    workshopId: { type: 'uuid', name: 'workshop_id' },
    entryId: { type: 'uuid', name: 'entry_id' },
    seal: { type: 'jsonb' },
    sealedAt: { type: 'timestamptz', name: 'sealed_at' },
  },
});
