import type { Said } from '../words/index.ts';

export const EVIDENCE_IDS = [
  'before',
  'after',
  'equal-flow',
  'sensor',
  'hoses',
  'response',
  'egt',
  'soot',
  'drive',
  'no-codes',
  'power-limit',
  'repair',
] as const;
export type EvidenceId = (typeof EVIDENCE_IDS)[number];

/** One thing that a proof needs, and whether it is in. */
export interface Evidence {
  readonly id: EvidenceId;
  readonly state: 'shown' | 'open' | 'failed';
  /** What it is, with its value and its limit where it has one. */
  readonly text: Said;
  /** What would show it; only where it is open. */
  readonly ask?: Said;
  /** It rests on somebody’s word or on less than it could: it counts, and lowers the confidence by this reason. */
  readonly weak?: Said;
}
