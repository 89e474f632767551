import { EntitySchema } from 'typeorm';

/** Why a recorded file could not be read. */
export interface LogFailureRow {
  logId: string;
  workshopId: string;
  /** A sentence without its full stop. */
  why: string;
  failedAt: Date;
}

export const LogFailureEntity = new EntitySchema<LogFailureRow>({
  name: 'LogFailure',
  tableName: 'log_failure',
  columns: {
    logId: { type: 'uuid', name: 'log_id', primary: true },
    workshopId: { type: 'uuid', name: 'workshop_id' },
    why: { type: 'text' },
    failedAt: { type: 'timestamptz', name: 'failed_at', createDate: true },
  },
});
