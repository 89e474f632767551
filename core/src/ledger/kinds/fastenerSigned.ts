import { z } from 'zod';
import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';
import { idSchema } from '../identity.ts';
import { torqueSchema } from '../shapes.ts';

/** One fastener of a safety-critical part, tightened and signed for by a person. */
export const fastenerSigned = entryKind({
  schema: z.object({
    kind: z.literal('fastener-signed'),
    off: idSchema,
    number: z.number().int().min(1).max(200),
    torqueNm: torqueSchema,
  }),
  stage: 'treat',
  pin: ({ number, torqueNm }) => say('entries.fastener', { number, torqueNm }),
  told: ({ number, torqueNm }) => say('entries.fastener', { number, torqueNm }),
  rank: 5,
});
