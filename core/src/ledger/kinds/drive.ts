import { z } from 'zod';
import { figure, freeText } from '../../fields/index.ts';
import { say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';
import { sootSchema } from '../shapes.ts';

/** What the drive after the work showed. */
export const drive = entryKind({
  schema: z.object({
    kind: z.literal('drive'),
    distanceKm: figure('drive', 0.1, 2000, 'km'),
    minutes: figure('drive', 1, 1440, 'min').optional(),
    powerLimitGone: z.boolean(),
    reportedBy: z.enum(['technician', 'customer']),
    /** Soot counter as it was set out and at the end of the drive. */
    sootStartG: sootSchema('soot').optional(),
    sootEndG: sootSchema('soot').optional(),
    /** Hottest gas before the filter on the way. */
    egtPeakC: figure('egt', -40, 1100, '°C').optional(),
    note: freeText('note', 1000).optional(),
  }),
  stage: 'prove',
  pin: ({ distanceKm }) => say('entries.drive', { distanceKm }),
  told: ({ distanceKm, powerLimitGone, reportedBy, note = '' }) =>
    say('told.drive', { distanceKm, full: powerLimitGone, by: reportedBy, note }),
  rank: 2,
  corrected: true,
});
