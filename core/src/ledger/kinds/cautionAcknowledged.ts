import { z } from 'zod';
import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';

/** A caution was read by a person, for an act. */
export const cautionAcknowledged = entryKind({
  schema: z.object({
    kind: z.literal('caution-acknowledged'),
    caution: z.string().min(1).max(60),
    /** The act for which it was acknowledged: once per act and person. */
    act: z.string().min(1).max(60),
  }),
  pin: () => say('entries.caution-read'),
  told: ({ caution }) => say('told.caution-read', { caution }),
  rank: 5,
  silent: true,
});
