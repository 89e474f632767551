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

export const ROUTINE_LABELS: Readonly<Record<RoutineId, string>> = {
  'clear-codes': 'Clear codes',
  'reset-soot': 'Set the soot counter to 0',
  'new-filter': 'Register a new filter',
  'adapt-delta-p': 'Learn the ΔP sensor zero',
  'reset-oil': 'Reset the oil counter',
  'regenerate-standing': 'Regeneration, standing',
  'regenerate-driving': 'Regeneration, on the road',
  'vane-sweep': 'Sweep the turbo vanes',
  stop: 'Stop the running routine',
};

export interface RoutineState {
  readonly id: RoutineId;
  elapsedS: number;
  status: 'running' | 'done' | 'refused';
  text: string;
}
