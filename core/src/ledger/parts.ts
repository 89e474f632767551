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
