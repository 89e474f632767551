import { z } from 'zod';
import { figure, freeText, requiredText } from '../../fields/index.ts';
import { fault, say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';
import { kilometres } from '../shapes.ts';

export const USE_PATTERNS = ['short-trips', 'mixed', 'long'] as const;
export type UsePattern = (typeof USE_PATTERNS)[number];

/** What is known when the vehicle comes in; all but the words of the complaint may be left open. */
export const complaint = entryKind({
  schema: z
    .object({
      kind: z.literal('complaint'),
      text: freeText('complaint', 2000),
      distanceKm: kilometres('distance').optional(),
      powerLimited: z.boolean().optional(),
      use: z.enum(USE_PATTERNS).optional(),
      /** Observations by their id: seen, or asked for and not seen. One that is not known is kept. */
      seen: z.record(z.string().max(60), z.boolean()).optional(),
      lamps: z.array(requiredText('lamp', 40)).max(12).optional(),
      servicedKm: kilometres('distance-of-the-last-service').optional(),
      oilChangedKm: kilometres('distance-of-the-last-oil-change').optional(),
      oilSpecification: freeText('oil', 120).optional(),
      /** Distance between the last two regenerations, as the vehicle counts it. */
      regenEveryKm: kilometres('distance-between-regenerations').optional(),
      /** What is on the van today, by its id. */
      kit: z.array(z.string().max(40)).max(40).optional(),
      /** What the scan tool took the vehicle for. */
      toolSaw: z
        .object({
          vehicle: requiredText('what-the-tool-saw', 200),
          displacementL: figure('engine-size', 0.3, 30, 'L').optional(),
        })
        .optional(),
    })
    // Words are not needed where something else is said: an answer that came later, what is on the van.
    .refine(
      ({ kind: _, text, ...said }) => text !== '' || Object.values(said).some((value) => value !== undefined),
      { path: ['text'], ...fault(say('faults.empty', { field: say('fields.complaint') })) },
    ),
  stage: 'intake',
  pin: () => say('entries.complaint'),
  told: ({ text }) => text,
  rank: 3,
  corrected: true,
});
