import { EntitySchema } from 'typeorm';
import type { Role, Workshop as WorkshopView } from '@white-ember/core/contract';

export interface Workshop {
  id: string;
  name: string;
  isDemo: boolean;
  nextJobNumber: number;
  /** Who may sign a job off. */
  signOffBy: WorkshopView['signOffBy'];
  /** Its money, as ISO 4217 names it. */
  currency: string;
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
    currency: { type: 'text', default: 'EUR' },
    createdAt: { type: 'timestamptz', name: 'created_at', createDate: true },
  },
});

export const toWorkshop = ({ id, name, signOffBy, currency }: Workshop): WorkshopView => ({
  id,
  name,
  signOffBy,
  currency,
});

export interface Member {
  id: string;
  workshopId: string;
  name: string;
  signInName: string;
  passwordHash: string;
  role: Role;
  contentHash: string;
  /** Since when they may not sign in. */
  suspendedAt: Date | null;
  /** Since when they do not belong to the workshop any more; what they entered stays. */
  removedAt: Date | null;
  mustChangePassword: boolean;
  /** Secret of their authenticator, Base32; null without a second factor. */
  totpSecret: string | null;
  /** Step of the last code that was taken: none is taken twice. */
  totpStep: string | null;
  recoveryHashes: string[];
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
    suspendedAt: { type: 'timestamptz', name: 'suspended_at', nullable: true },
    removedAt: { type: 'timestamptz', name: 'removed_at', nullable: true },
    mustChangePassword: { type: 'boolean', name: 'must_change_password', default: false },
    totpSecret: { type: 'text', name: 'totp_secret', nullable: true },
    totpStep: { type: 'bigint', name: 'totp_step', nullable: true },
    recoveryHashes: { type: 'jsonb', name: 'recovery_hashes', default: [] },
  },
});

/** A network from which a person has signed in. */
export interface KnownNetwork {
  memberId: string;
  network: string;
  lastAt: Date;
}

export const KnownNetworkEntity = new EntitySchema<KnownNetwork>({
  name: 'KnownNetwork',
  tableName: 'known_network',
  columns: {
    memberId: { type: 'uuid', name: 'member_id', primary: true },
    network: { type: 'text', primary: true },
    lastAt: { type: 'timestamptz', name: 'last_at', createDate: true },
  },
});

/** What a new person begins with. */
export const NEW_MEMBER = {
  suspendedAt: null,
  removedAt: null,
  mustChangePassword: false,
  totpSecret: null,
  totpStep: null,
  recoveryHashes: [],
};
