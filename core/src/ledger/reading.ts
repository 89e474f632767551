import { z } from 'zod';
import { idSchema } from './identity.ts';
import { figure, freeText } from '../fields/index.ts';
import { fault, say } from '../words/index.ts';

/** What a steady reading was taken at. */
export const SAMPLE_KINDS = ['key-off', 'idle', 'hold'] as const;
export type SampleKind = (typeof SAMPLE_KINDS)[number];
/** A reading may hold moments, too: the peak of a snap, a pull at full load. */
export const READING_KINDS = [...SAMPLE_KINDS, 'snap', 'full-load'] as const;

/**
 * One steady sample in base units, as a person wrote it down or as a window of a log gave it. Absent means not read;
 * what is assumed instead is decided by core when it judges, and is said there.
 */
export const steadySampleSchema = z.object({
  kind: z.enum(SAMPLE_KINDS),
  rpm: figure('engine-speed', 0, 8000, 'rpm'),
  dpMbar: figure('dp', -1500, 6000, 'mbar'),
  /** Spread of single readings in the window, mbar. */
  dpSdMbar: figure('spread', 0, 1000, 'mbar').optional(),
  /** Readings in the window. */
  count: z.number().int().min(1).optional(),
  airMassGPerS: figure('air-mass', 0, 1500, 'g/s').optional(),
  manifoldMbar: figure('manifold-pressure', 200, 6000, 'mbar absolute').optional(),
  intakeAirC: figure('intake-air', -40, 200, '°C').optional(),
  filterC: figure('filter-temperature', -40, 1100, '°C').optional(),
  egt1C: figure('egt-1', -40, 1100, '°C').optional(),
  egt2C: figure('egt-2', -40, 1100, '°C').optional(),
  egt3C: figure('egt-3', -40, 1100, '°C').optional(),
  egt4C: figure('egt-4', -40, 1100, '°C').optional(),
  coolantC: figure('coolant', -40, 150, '°C').optional(),
  startS: z.number().optional(),
  endS: z.number().optional(),
  /** Short block means of the window: [air g/s or null, rpm, filter °C or null, manifold mbar or null, ΔP mbar]. */
  blocks: z
    .array(
      z.tuple([
        z.number().nullable(),
        z.number(),
        z.number().nullable(),
        z.number().nullable(),
        z.number().min(-500).max(3000),
      ]),
    )
    .max(600)
    .optional(),
});
export type SteadySample = z.infer<typeof steadySampleSchema>;

/** A row of a reading: whatever was read at one moment. ΔP may be missing where other pressures or temperatures were looked at. */
export const readingSampleSchema = steadySampleSchema
  .extend({
    kind: z.enum(READING_KINDS),
    dpMbar: steadySampleSchema.shape.dpMbar.optional(),
    /** Before the turbo. A dead sensor shows several bar: that is a finding, and no slip of the pen. */
    backPressureMbar: figure('pressure-before-the-turbo', 0, 10_000, 'mbar absolute').optional(),
  })
  .refine(
    ({ kind: _kind, rpm: _rpm, ...read }) => Object.values(read).some((value) => value !== undefined),
    fault(say('faults.empty-row')),
  );
export type ReadingSample = z.infer<typeof readingSampleSchema>;

/** The rows that ΔP is judged by: steady, with a ΔP. */
export const steadySamplesOf = (samples: readonly ReadingSample[]): SteadySample[] =>
  samples.filter(
    (sample): sample is ReadingSample & SteadySample =>
      sample.dpMbar !== undefined && sample.kind !== 'snap' && sample.kind !== 'full-load',
  );

export const readingOriginSchema = z.discriminatedUnion('type', [
  z.object({ type: z.literal('hand') }),
  z.object({
    type: z.literal('log'),
    logId: idSchema,
    fileName: freeText('file-name', 300),
    /** Column for each role as it was used, so that a later re-reading gives the same. */
    mapping: z.record(z.string(), z.string().max(300)),
    /** What the file's sensors showed that bears on belief in this reading. */
    findings: z.array(z.string().max(60)).max(60),
    /** How ΔP followed the flow in it; absent where the log could not show it, and in readings of before it was looked for. */
    follows: z
      .object({
        correlation: z.number().min(-1).max(1),
        lagS: z.number().min(0).max(600).optional(),
        /** Lags shorter than this cannot be told apart in it. */
        resolutionS: z.number().min(0).max(600).optional(),
      })
      .optional(),
  }),
]);

export const PURPOSES = ['before', 'after', 'between'] as const;

export const readingBodySchema = z.object({
  kind: z.literal('reading'),
  purpose: z.enum(PURPOSES),
  origin: readingOriginSchema,
  samples: z
    .array(readingSampleSchema)
    .min(1, fault(say('faults.no-rows')))
    .max(60),
  barometerMbar: figure('barometer', 500, 1100, 'mbar').optional(),
  sootCounterG: figure('soot-value', 0, 2000, 'g').optional(),
  /** Fill level as the tool shows it, %. */
  sootPercent: figure('fill-level', 0, 1000, '%').optional(),
  note: freeText('note', 1000).optional(),
});
export type ReadingBody = z.infer<typeof readingBodySchema>;
