import { z } from 'zod';

export const PART_IDS = [
  'engine',
  'turbine',
  'catalyst',
  'filter',
  'scr',
  'silencer',
  'dp-sensor',
  'high-pipe',
  'low-pipe',
  'back-pressure-sensor',
  'egt1',
  'egt2',
  'egt3',
  'egt4',
] as const;
export type PartId = (typeof PART_IDS)[number];
export const partIdSchema = z.enum(PART_IDS);

export const PART_STATES = [
  'not-looked-at',
  'sound',
  'doubtful',
  'failed',
  'replaced',
  'proven-clear',
] as const;
export type PartState = (typeof PART_STATES)[number];

export const PART_LABELS: Readonly<Record<PartId, string>> = {
  engine: 'Engine',
  turbine: 'Turbine',
  catalyst: 'Catalyst (DOC)',
  filter: 'Filter (DPF)',
  scr: 'SCR brick',
  silencer: 'Silencer',
  'dp-sensor': 'ΔP sensor',
  'high-pipe': 'High pipe',
  'low-pipe': 'Low pipe',
  'back-pressure-sensor': 'Back-pressure sensor',
  egt1: 'EGT 1, before turbo',
  egt2: 'EGT 2, before catalyst',
  egt3: 'EGT 3, before filter',
  egt4: 'EGT 4, after filter',
};

export const PART_STATE_WORDS: Readonly<Record<PartState, string>> = {
  'not-looked-at': 'not looked at',
  sound: 'sound',
  doubtful: 'doubtful',
  failed: 'failed',
  replaced: 'replaced',
  'proven-clear': 'proven clear',
};
