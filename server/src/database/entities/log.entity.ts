import { EntitySchema } from 'typeorm';

export interface LogRow {
  id: string;
  workshopId: string;
  jobId: string;
  blobId: string;
  fileName: string;
  uploadedAt: Date;
  contentHash: string;
}

export const LogEntity = new EntitySchema<LogRow>({
  name: 'Log',
  tableName: 'log',
  columns: {
    id: { type: 'uuid', primary: true },
    workshopId: { type: 'uuid', name: 'workshop_id' },
    jobId: { type: 'uuid', name: 'job_id' },
    blobId: { type: 'uuid', name: 'blob_id' },
    fileName: { type: 'text', name: 'file_name' },
    uploadedAt: { type: 'timestamptz', name: 'uploaded_at', createDate: true },
    contentHash: { type: 'text', name: 'content_hash' },
  },
});
