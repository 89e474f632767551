import { z } from 'zod';
import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';
import { textOrSaid, waitSchema } from '../shapes.ts';

export const CLOCKS = ['dwell', 'soak', 'rinse', 'drying', 'cooling', 'warm-up', 'steam', 'site'] as const;
export type ClockKind = (typeof CLOCKS)[number];

/** A wait that begins with this entry and rings when it is over. */
export const clockStarted = entryKind({
  schema: z.object({
    kind: z.literal('clock-started'),
    clock: z.enum(CLOCKS),
    minutes: waitSchema('minutes'),
    what: textOrSaid('what-for', 200),
    /** What comes when it rings. */
    next: textOrSaid('what-comes-next', 200).optional(),
  }),
  stage: 'treat',
  pin: ({ clock, minutes }) => say('entries.timer', { clock: say(`clocks.${clock}`), minutes }),
  told: ({ clock, minutes, what, next = '' }) =>
    say('told.timer-started', { clock: say(`clocks.${clock}`), minutes, what, next }),
  rank: 3,
});
