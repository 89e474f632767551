import { z } from 'zod';
import { freeText, requiredText } from '../../fields/index.ts';
import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';

/** Codes as they were read, or as the customer tells of lamps and messages. */
export const codeScan = entryKind({
  schema: z.object({
    kind: z.literal('code-scan'),
    when: z.enum(['before', 'after-unplugging', 'after-clear', 'after-drive']),
    /** Told by the customer, who sees lamps and messages and no codes; absent: read with a tool. */
    reportedBy: z.enum(['technician', 'customer']).optional(),
    codes: z
      .array(
        z.object({
          code: requiredText('code', 40),
          status: freeText('status', 60).optional(),
          module: freeText('module', 60).optional(),
          /** What the computer noted when it was set, by channel role, in base units. */
          freezeFrame: z.record(z.string().max(40), z.number()).optional(),
        }),
      )
      .max(200),
  }),
  stage: ({ when }) => (when === 'before' || when === 'after-unplugging' ? 'codes' : 'prove'),
  pin: ({ codes }) => say('entries.codes', { count: codes.length }),
  told: ({ codes }) => say('told.codes', { codes: codes.map(({ code }) => code) }),
  rank: 3,
  corrected: true,
});
