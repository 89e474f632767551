import { z } from 'zod';
import { figure, freeText } from '../../fields/index.ts';
import { fault, say } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';

export const FACES = ['clean', 'grey', 'black', 'oily', 'white', 'cracked', 'melted', 'plugged'] as const;
export type Face = (typeof FACES)[number];

/** The filter on the scales and in the hand, off the vehicle. */
export const filterOff = entryKind({
  schema: z
    .object({
      kind: z.literal('filter-off'),
      when: z.enum(['before', 'after']),
      massKg: figure('mass', 0.2, 80, 'kg').optional(),
      dry: z.boolean().optional(),
      /** Of a new one, from its label or the maker’s data. */
      newMassKg: figure('mass-when-new', 0.2, 80, 'kg').optional(),
      inlet: z.enum(FACES).optional(),
      outlet: z.enum(FACES).optional(),
      note: freeText('note', 600).optional(),
    })
    .refine(
      ({ massKg, inlet, outlet }) => massKg !== undefined || inlet !== undefined || outlet !== undefined,
      { path: ['massKg'], ...fault(say('faults.mass-or-look')) },
    )
    .refine(({ massKg, dry }) => massKg === undefined || dry !== undefined, {
      path: ['dry'],
      ...fault(say('faults.dry-or-not')),
    }),
  stage: 'treat',
  pin: ({ when, massKg }) =>
    massKg === undefined
      ? say('entries.filter-looked-at', { when })
      : say('entries.filter-weighed', { when, massKg }),
  told: ({ massKg, dry = false, inlet, outlet, note = '' }) =>
    say('told.filter-off', {
      massKg,
      dry,
      inlet: inlet === undefined ? '' : say(`faces.${inlet}`),
      outlet: outlet === undefined ? '' : say(`faces.${outlet}`),
      note,
    }),
  rank: 2,
});
