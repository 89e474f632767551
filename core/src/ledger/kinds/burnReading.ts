import { z } from 'zod';
import { figure } from '../../fields/index.ts';
import { fault, say, type Said } from '../../words/index.ts';
import { entryKind } from '../entryKind.ts';
import { idSchema } from '../identity.ts';

/** One moment of a burn in base units, as far as it was read. */
const momentShape = {
  rpm: figure('engine-speed', 0, 8000, 'rpm').optional(),
  kmPerH: figure('road-speed', 0, 200, 'km/h').optional(),
  airGPerS: figure('air-mass', 0, 1000, 'g/s').optional(),
  egt1C: figure('egt-1', -60, 1300, '°C').optional(),
  egt2C: figure('egt-2', -60, 1300, '°C').optional(),
  egt3C: figure('egt-3', -60, 1300, '°C').optional(),
  egt4C: figure('egt-4', -60, 1300, '°C').optional(),
  coolantC: figure('coolant', -60, 200, '°C').optional(),
  sootG: figure('soot', 0, 1000, 'g').optional(),
};

const pin = (egt3C: number | undefined): Said =>
  egt3C === undefined
    ? say('entries.read-during-the-regeneration')
    : say('entries.before-the-filter', { egt3C });

/** What was read by hand in a burn that another tool commands. */
export const burnReading = entryKind({
  schema: z
    .object({ kind: z.literal('burn-reading'), burn: idSchema, ...momentShape })
    .refine(({ kind: _, burn: __, ...read }) => Object.values(read).some((value) => value !== undefined), {
      path: ['egt3C'],
      ...fault(say('faults.nothing-read')),
    }),
  stage: 'treat',
  pin: ({ egt3C }) => pin(egt3C),
  told: ({ egt3C }) => pin(egt3C),
  rank: 4,
});
