import { z } from 'zod';
import { textOrSaid } from '../shapes.ts';
import { freeText } from '../../fields/index.ts';
import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';

/** Whether it may be driven until then. */
export const drivable = entryKind({
  schema: z.object({
    kind: z.literal('drivable'),
    verdict: z.enum(['drive', 'limited', 'no']),
    why: textOrSaid('reason', 1000),
    /** How far limited: speed, load, distance. */
    limits: freeText('limited-to', 400).optional(),
    until: freeText('until', 120).optional(),
  }),
  stage: 'decide',
  pin: ({ verdict }) => say('entries.within', { what: say(`drivable.${verdict}`) }),
  told: ({ verdict, why, limits = '', until = '' }) =>
    say('told.drivable', { verdict: say(`drivable.${verdict}`), why, limits, until }),
  rank: 3,
});
