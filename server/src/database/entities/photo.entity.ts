import { EntitySchema } from 'typeorm';

export interface PhotoRow {
  id: string;
  workshopId: string;
  jobId: string;
  blobId: string;
  mediaType: string;
  uploadedAt: Date;
  contentHash: string;
  /** Whether it can be shown: its file, or copies of it, were made anew of its points. */
  cleaned: boolean;
  /** Why it cannot be shown. */
  unreadable: string | null;
}

export const PhotoEntity = new EntitySchema<PhotoRow>({
  name: 'Photo',
  tableName: 'photo',
  columns: {
    id: { type: 'uuid', primary: true },
    workshopId: { type: 'uuid', name: 'workshop_id' },
    jobId: { type: 'uuid', name: 'job_id' },
    blobId: { type: 'uuid', name: 'blob_id' },
    mediaType: { type: 'text', name: 'media_type' },
    uploadedAt: { type: 'timestamptz', name: 'uploaded_at', createDate: true },
    contentHash: { type: 'text', name: 'content_hash' },
    cleaned: { type: 'boolean', default: false },
    unreadable: { type: 'text', nullable: true },
  },
});
