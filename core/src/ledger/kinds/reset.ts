import { z } from 'zod';
import { figure, freeText } from '../../fields/index.ts';
import { say } from '../../words/index.ts';
import { textOrSaid } from '../shapes.ts';
import { entryKind } from '../entryKind.ts';

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

const valuesSchema = z.partialRecord(z.enum(RESET_VALUES), figure('value', -500, 5000, ''));

/** Something was set back: what stood there before is kept beside what stands there now. */
export const reset = entryKind({
  schema: z.object({
    kind: z.literal('reset'),
    reset: z.enum(RESETS),
    source: z.enum(['live', 'hand']),
    before: valuesSchema,
    after: valuesSchema.optional(),
    /** Ignition off and on again so many times after it. */
    keyCycles: z.number().int().min(0).max(20).optional(),
    answer: freeText('answer-of-the-ecu', 400).optional(),
    /** Why it was done against a warning, or before the proof. */
    why: freeText('reason', 600).optional(),
    /** What had held it off, where it was done all the same with another tool. */
    against: z.array(textOrSaid('advice', 400)).max(12).optional(),
  }),
  stage: 'prove',
  pin: ({ reset: id, before, after }) =>
    say('entries.reset', { reset: say(`resets.${id}`), fromG: before.sootG, toG: after?.sootG }),
  told: ({ reset: id, source, answer = '', why = '' }) =>
    say('told.reset', { reset: say(`resets.${id}`), live: source === 'live', answer, why }),
  rank: 3,
});
