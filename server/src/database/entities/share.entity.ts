import { EntitySchema } from 'typeorm';
import type { ReportChoice } from '@white-ember/core/report';

export interface ShareRow {
  id: string;
  workshopId: string;
  jobId: string;
  choice: ReportChoice;
  madeAt: Date;
  madeBy: string;
  expiresAt: Date;
  revokedAt: Date | null;
  revokedBy: string | null;
  opened: number;
  lastOpenedAt: Date | null;
  contentHash: string;
}

export const ShareEntity = new EntitySchema<ShareRow>({
  name: 'Share',
  tableName: 'report_share',
  columns: {
    id: { type: 'uuid', primary: true },
    workshopId: { type: 'uuid', name: 'workshop_id' },
    jobId: { type: 'uuid', name: 'job_id' },
    choice: { type: 'jsonb' },
    madeAt: { type: 'timestamptz', name: 'made_at' },
    madeBy: { type: 'text', name: 'made_by' },
    expiresAt: { type: 'timestamptz', name: 'expires_at' },
    revokedAt: { type: 'timestamptz', name: 'revoked_at', nullable: true },
    revokedBy: { type: 'text', name: 'revoked_by', nullable: true },
    opened: { type: 'integer', default: 0 },
    lastOpenedAt: { type: 'timestamptz', name: 'last_opened_at', nullable: true },
    contentHash: { type: 'text', name: 'content_hash' },
  },
});

export interface MailRow {
  id: string;
  workshopId: string;
  jobId: string;
  recipient: string;
  sentAt: Date;
  sentBy: string;
  contentHash: string;
}

export const MailEntity = new EntitySchema<MailRow>({
  name: 'Mail',
  tableName: 'mail',
  columns: {
    id: { type: 'uuid', primary: true },
    workshopId: { type: 'uuid', name: 'workshop_id' },
    jobId: { type: 'uuid', name: 'job_id' },
    recipient: { type: 'text' },
    sentAt: { type: 'timestamptz', name: 'sent_at' },
    sentBy: { type: 'text', name: 'sent_by' },
    contentHash: { type: 'text', name: 'content_hash' },
  },
});
