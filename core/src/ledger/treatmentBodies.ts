import { z } from 'zod';
import { freeText, requiredText } from '../text/index.ts';
import { idSchema } from './identity.ts';

export const TREATMENTS = ['nothing', 'drive', 'standing', 'chemical', 'off-vehicle', 'exchange'] as const;
export type Treatment = (typeof TREATMENTS)[number];

/** What is to be done to the filter, and what was knowingly left open with it. */
export const treatmentChosenBodySchema = z
  .object({
    kind: z.literal('treatment-chosen'),
    treatment: z.enum(TREATMENTS),
    /** Causes that are found and not repaired, taken on knowingly. */
    outstanding: z.array(requiredText('The cause', 60)).max(20).optional(),
    why: freeText('The reason', 1000).optional(),
  })
  .refine(({ outstanding = [], why }) => outstanding.length === 0 || (why ?? '').trim() !== '', {
    path: ['why'],
    error: 'Say why it is treated with the cause still open',
  });

/** Where fluid goes into the line. */
export const FLUID_ENTRIES = ['high-pipe', 'sensor-port', 'before-turbine'] as const;
export type FluidEntry = (typeof FLUID_ENTRIES)[number];

export const CLOCKS = ['dwell', 'soak', 'rinse', 'drying', 'cooling', 'warm-up', 'steam', 'site'] as const;
export type ClockKind = (typeof CLOCKS)[number];

const minutesSchema = z
  .number({ error: 'Minutes: enter a number' })
  .min(0.1, 'Minutes: at least 0.1')
  .max(4320, 'Minutes: at most 72 h');

/** A wait that begins with this entry and rings when it is over. */
export const clockStartedBodySchema = z.object({
  kind: z.literal('clock-started'),
  clock: z.enum(CLOCKS),
  minutes: minutesSchema,
  what: requiredText('What for', 200),
  /** What comes when it rings. */
  next: freeText('What comes next', 200).optional(),
});

/** A wait was ended: when it rang, later, or before its time. The clock may also be a dwell that began with work. */
export const clockEndedBodySchema = z.object({
  kind: z.literal('clock-ended'),
  entry: idSchema,
  why: freeText('The reason', 400).optional(),
});
