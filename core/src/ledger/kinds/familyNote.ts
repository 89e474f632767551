import { z } from 'zod';
import { requiredText } from '../../fields/index.ts';
import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';

export const FAMILY_TOPICS = [
  'access',
  'time',
  'tool',
  'pipe-route',
  'good-reading',
  'weak-spot',
  'other',
] as const;

/** Something learned about the engine family, for the next vehicle of it. */
export const familyNote = entryKind({
  schema: z.object({
    kind: z.literal('family-note'),
    topic: z.enum(FAMILY_TOPICS),
    text: requiredText('remark-for-the-record', 1000),
    minutes: z.number().min(0).max(10_000).optional(),
  }),
  pin: () => say('entries.noted-for-the-family'),
  told: ({ text }) => text,
  rank: 5,
});
