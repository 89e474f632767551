import type { Said } from '../words/index.ts';

/** What an ECU can be told to do through a link. */
export const ROUTINE_IDS = [
  'clear-codes',
  'reset-soot',
  'new-filter',
  'adapt-delta-p',
  'reset-oil',
  'regenerate-standing',
  'regenerate-driving',
  'vane-sweep',
  'stop',
] as const;
export type RoutineId = (typeof ROUTINE_IDS)[number];

export interface RoutineState {
  readonly id: RoutineId;
  elapsedS: number;
  status: 'running' | 'done' | 'refused';
  text: Said;
}
