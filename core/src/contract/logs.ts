import { z } from 'zod';
import { isChannelRole } from '../readings/index.ts';

const heading = z.string().min(1, 'Heading: is missing').max(500, 'Heading: is longer than 500 characters');
const role = z
  .string()
  .refine((text): boolean => text === '' || isChannelRole(text), 'Role: is not one that is known');

/** What a heading is for this workshop; an empty role says that it is none of the known ones. */
export const channelCorrectionSchema = z.object({ heading, role });
export type ChannelCorrection = z.infer<typeof channelCorrectionSchema>;

/** What another workshop, or this one before, said of headings; as it is handed over. */
export const channelCorrectionListSchema = z.strictObject({
  corrections: z
    .array(z.strictObject({ heading, role }))
    .min(1, 'Corrections: there are none')
    .max(5000, 'Corrections: more than 5000'),
});
export type ChannelCorrectionList = z.infer<typeof channelCorrectionListSchema>;

/** Without a role, what was said of the heading is forgotten. */
export const newChannelCorrectionSchema = z.strictObject({ heading, role: role.optional() });
export type NewChannelCorrection = z.infer<typeof newChannelCorrectionSchema>;
