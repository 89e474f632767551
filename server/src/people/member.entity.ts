import { EntitySchema } from 'typeorm';
import type { Role, Workshop as WorkshopView } from '@white-ember/core/contract';

export interface Workshop {
  id: string;
  name: string;
  isDemo: boolean;
  nextJobNumber: number;
  /** Who may sign a job off. */
  signOffBy: WorkshopView['signOffBy'];
  createdAt: Date;
}

export const WorkshopEntity = new EntitySchema<Workshop>({
  name: 'Workshop',
  tableName: 'workshop',
  columns: {
    id: { type: 'uuid', primary: true },
    name: { type: 'text' },
    isDemo: { type: 'boolean', name: 'is_demo', default: false },
    nextJobNumber: { type: 'integer', name: 'next_job_number', default: 1 },
    signOffBy: { type: 'text', name: 'sign_off_by', default: 'technician' },
    createdAt: { type: 'timestamptz', name: 'created_at', createDate: true },
  },
});

export interface Member {
  id: string;
  workshopId: string;
  name: string;
  signInName: string;
  passwordHash: string;
  role: Role;
  contentHash: string;
}

export const MemberEntity = new EntitySchema<Member>({
  name: 'Member',
  tableName: 'member',
  columns: {
    id: { type: 'uuid', primary: true },
    workshopId: { type: 'uuid', name: 'workshop_id' },
    name: { type: 'text' },
    signInName: { type: 'text', name: 'sign_in_name' },
    passwordHash: { type: 'text', name: 'password_hash' },
    role: { type: 'text' },
    contentHash: { type: 'text', name: 'content_hash' },
  },
});
