/** The stages of a job in the order of the work; they are the sections of the tape. */
export const STAGES = [
  'intake',
  'codes',
  'baseline',
  'checks',
  'decide',
  'treat',
  'prove',
  'hand-over',
] as const;
export type Stage = (typeof STAGES)[number];
