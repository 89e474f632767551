import { z } from 'zod';
import { isChannelRole } from '../readings/index.ts';

const heading = z.string().min(1, 'Heading: is missing').max(500, 'Heading: is longer than 500 characters');
const role = z
  .string()
  .refine((text): boolean => text === '' || isChannelRole(text), 'Role: is not one that is known');

/** What a heading is for this workshop; an empty role says that it is none of the known ones. */
export const channelCorrectionSchema = z.object({ heading, role });
export type ChannelCorrection = z.infer<typeof channelCorrectionSchema>;

/** Without a role, what was said of the heading is forgotten. */
export const newChannelCorrectionSchema = z.strictObject({ heading, role: role.optional() });
export type NewChannelCorrection = z.infer<typeof newChannelCorrectionSchema>;
