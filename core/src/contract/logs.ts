import { z } from 'zod';
import { fault, say } from '../words/index.ts';
import { isChannelRole } from '../readings/index.ts';

const heading = z
  .string()
  .min(1, fault(say('faults.missing', { field: say('fields.heading') })))
  .max(500, fault(say('faults.too-long', { field: say('fields.heading'), most: 500 })));
const role = z
  .string()
  .refine((text): boolean => text === '' || isChannelRole(text), fault(say('faults.role')));

/** What a heading is for this workshop; an empty role says that it is none of the known ones. */
export const channelCorrectionSchema = z.object({ heading, role });
export type ChannelCorrection = z.infer<typeof channelCorrectionSchema>;

/** What another workshop, or this one before, said of headings; as it is handed over. */
export const channelCorrectionListSchema = z.strictObject({
  corrections: z
    .array(z.strictObject({ heading, role }))
    .min(1, fault(say('faults.missing', { field: say('fields.corrections') })))
    .max(5000, fault(say('faults.too-many', { field: say('fields.corrections'), most: 5000 }))),
});
export type ChannelCorrectionList = z.infer<typeof channelCorrectionListSchema>;

/** Without a role, what was said of the heading is forgotten. */
export const newChannelCorrectionSchema = z.strictObject({ heading, role: role.optional() });
export type NewChannelCorrection = z.infer<typeof newChannelCorrectionSchema>;
