import { z } from 'zod';
import { freeText } from '../text/index.ts';

/** What can be set back or learned anew in an ECU, in the order in which it is done. */
export const RESETS = [
  'adapt-delta-p',
  'reset-oil',
  'reset-soot',
  'new-filter',
  'learned-values',
  'clear-codes',
] as const;
export type Reset = (typeof RESETS)[number];

/** What is read before a reset and after it, in base units. */
export const RESET_VALUES = ['sootG', 'ashG', 'deltaPZeroMbar', 'oilLifePercent', 'codes'] as const;
export type ResetValue = (typeof RESET_VALUES)[number];

const valuesSchema = z.partialRecord(
  z.enum(RESET_VALUES),
  z.number({ error: 'Enter a number' }).min(-500, 'At least -500').max(5000, 'At most 5000'),
);

/** Something was set back: what stood there before is kept beside what stands there now. */
export const resetBodySchema = z.object({
  kind: z.literal('reset'),
  reset: z.enum(RESETS),
  source: z.enum(['live', 'hand']),
  before: valuesSchema,
  after: valuesSchema.optional(),
  /** Ignition off and on again so many times after it. */
  keyCycles: z.number().int().min(0).max(20).optional(),
  answer: freeText('Answer of the ECU', 400).optional(),
  /** Why it was done against a warning, or before the proof. */
  why: freeText('The reason', 600).optional(),
  /** What had held it off, where it was done all the same with another tool. */
  against: z.array(freeText('The advice', 400)).max(12).optional(),
});
