import { EntitySchema } from 'typeorm';
import type { Advice, FollowUp, JobSummary } from '@white-ember/core/contract';
import type { Visit } from '@white-ember/core/outlook';

export interface JobRow {
  id: string;
  workshopId: string;
  vehicleId: string;
  number: number;
  openedAt: Date;
  lastEntryAt: Date;
  entryCount: number;
  /** Worked out by core on every append; the ledger stays the truth. */
  summary: JobSummary;
  /** What it leaves with its vehicle, worked out with the summary; null on a job that was not touched since this is kept. */
  visit: Visit | null;
  /** What is to be done after it and is not done. */
  followUps: FollowUp[];
  /** What it waits for, and by which entry that was worked out; below nothing where something else changed since. */
  advice: Advice | null;
  adviceOf: number | null;
  contentHash: string;
}

export const JobEntity = new EntitySchema<JobRow>({
  name: 'Job',
  tableName: 'job',
  columns: {
    id: { type: 'uuid', primary: true },
    workshopId: { type: 'uuid', name: 'workshop_id' },
    vehicleId: { type: 'uuid', name: 'vehicle_id' },
    number: { type: 'integer' },
    openedAt: { type: 'timestamptz', name: 'opened_at' },
    lastEntryAt: { type: 'timestamptz', name: 'last_entry_at' },
    entryCount: { type: 'integer', name: 'entry_count', default: 0 },
    summary: { type: 'jsonb' },
    visit: { type: 'jsonb', nullable: true },
    followUps: { type: 'jsonb', name: 'follow_ups', default: [] },
    advice: { type: 'jsonb', nullable: true },
    adviceOf: { type: 'integer', name: 'advice_of', nullable: true },
    contentHash: { type: 'text', name: 'content_hash' },
  },
});
