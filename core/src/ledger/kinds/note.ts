import { z } from 'zod';
import { requiredText } from '../../fields/index.ts';
import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';

/** A remark for the record, at any stage and also after the sign-off. */
export const note = entryKind({
  schema: z.object({ kind: z.literal('note'), text: requiredText('remark-for-the-record', 4000) }),
  pin: () => say('entries.note'),
  told: ({ text }) => text,
  rank: 5,
  afterSignOff: true,
});
