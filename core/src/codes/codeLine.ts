import type { CheckId } from '../checks/index.ts';
import type { Said } from '../words/index.ts';

/** What a code is most likely to be on a job about the filter; `unknown` where the tables say nothing. */
export const CODE_ROLES = ['cause', 'consequence', 'bystander', 'unknown'] as const;
export type CodeRole = (typeof CODE_ROLES)[number];

/** What a code bears on. */
export interface CodeLine {
  readonly role: CodeRole;
  /** Whether the ECU regenerates while this code is active. */
  readonly holdsRegenerationOff: boolean;
  readonly checks: readonly CheckId[];
}

export interface CodeMeaning extends CodeLine {
  readonly meaning: Said;
}

export const line = (role: CodeRole, holds: 'holds' | 'free', ...checks: readonly CheckId[]): CodeLine => ({
  role,
  holdsRegenerationOff: holds === 'holds',
  checks,
});
