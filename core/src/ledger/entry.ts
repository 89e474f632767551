import { z } from 'zod';
import { idSchema, timeSchema } from './identity.ts';
import { readingBodySchema } from './reading.ts';
import { freeText, requiredText } from '../text/index.ts';

export const WORK_TYPES = [
  'chemical-clean',
  'drive-regeneration',
  'standing-regeneration',
  'off-vehicle-clean',
  'filter-exchanged',
  'pipe-cleared',
  'sensor-replaced',
  'cause-repaired',
  'other',
] as const;
export type WorkType = (typeof WORK_TYPES)[number];

export const PART_IDS = [
  'engine',
  'turbine',
  'catalyst',
  'filter',
  'scr',
  'silencer',
  'dp-sensor',
  'high-pipe',
  'low-pipe',
  'back-pressure-sensor',
  'egt1',
  'egt2',
  'egt3',
  'egt4',
] as const;
export type PartId = (typeof PART_IDS)[number];

export const PART_STATES = [
  'not-looked-at',
  'sound',
  'doubtful',
  'failed',
  'replaced',
  'proven-clear',
] as const;
export type PartState = (typeof PART_STATES)[number];

const complaintBodySchema = z.object({
  kind: z.literal('complaint'),
  text: requiredText('The complaint', 2000),
  distanceKm: z
    .number()
    .min(0, 'Distance: not below 0 km')
    .max(3_000_000, 'Distance: at most 3 000 000 km')
    .optional(),
  powerLimited: z.boolean().optional(),
});

const codeScanBodySchema = z.object({
  kind: z.literal('code-scan'),
  when: z.enum(['before', 'after-unplugging', 'after-clear', 'after-drive']),
  codes: z
    .array(
      z.object({
        code: requiredText('The code', 40),
        status: freeText('Status', 60).optional(),
        module: freeText('Module', 60).optional(),
        /** What the computer noted when it was set, by channel role, in base units. */
        freezeFrame: z.record(z.string().max(40), z.number()).optional(),
      }),
    )
    .max(200),
});

const workBodySchema = z.object({
  kind: z.literal('work'),
  work: z.enum(WORK_TYPES),
  what: requiredText('What was done', 2000),
  fluid: freeText('Fluid', 120).optional(),
  fluidL: z.number().min(0, 'Fluid: not below 0 L').max(200, 'Fluid: at most 200 L').optional(),
  /** A dwell that starts with this entry, minutes. */
  dwellMin: z.number().min(1, 'Dwell: at least 1 min').max(4320, 'Dwell: at most 72 h').optional(),
  part: z.enum(PART_IDS).optional(),
});

const driveBodySchema = z.object({
  kind: z.literal('drive'),
  distanceKm: z.number().min(0.1, 'Drive: at least 0.1 km').max(2000, 'Drive: at most 2000 km'),
  minutes: z.number().min(1, 'Drive: at least 1 min').max(1440, 'Drive: at most a day').optional(),
  powerLimitGone: z.boolean(),
  reportedBy: z.enum(['technician', 'customer']),
  note: freeText('Note', 1000).optional(),
});

const partStateBodySchema = z.object({
  kind: z.literal('part-state'),
  part: z.enum(PART_IDS),
  state: z.enum(PART_STATES),
  why: requiredText('The reason', 1000),
});

const cautionBodySchema = z.object({
  kind: z.literal('caution-acknowledged'),
  caution: z.string().min(1).max(60),
  /** The act for which it was acknowledged: once per act and person. */
  act: z.string().min(1).max(60),
});

const noteBodySchema = z.object({ kind: z.literal('note'), text: requiredText('The note', 4000) });

const signOffBodySchema = z.object({
  kind: z.literal('sign-off'),
  remains: freeText('What remains', 2000).optional(),
  /** The limits by which the job was judged when it was signed off. */
  limitsProfileId: idSchema.optional(),
});

/** A wrong entry that has no successor: it stays in the history and counts no more. */
const withdrawnBodySchema = z.object({ kind: z.literal('withdrawn'), why: requiredText('The reason', 500) });

export const entryBodySchema = z.discriminatedUnion('kind', [
  complaintBodySchema,
  codeScanBodySchema,
  readingBodySchema,
  workBodySchema,
  driveBodySchema,
  partStateBodySchema,
  cautionBodySchema,
  noteBodySchema,
  signOffBodySchema,
  withdrawnBodySchema,
]);
export type EntryBody = z.infer<typeof entryBodySchema>;
export type EntryKind = EntryBody['kind'];
export type BodyOf<K extends EntryKind> = Extract<EntryBody, { kind: K }>;

/** What a device sends: it names the entry, when it happened by its own clock, and what it corrects. */
export const newEntrySchema = z.object({
  id: idSchema,
  deviceTime: timeSchema,
  supersedes: idSchema.optional(),
  body: entryBodySchema,
});
export type NewEntry = z.infer<typeof newEntrySchema>;

/** What the ledger holds: the server adds order, author and its own time. */
export const entrySchema = newEntrySchema.extend({
  jobId: idSchema,
  seq: z.number().int().min(1),
  authorId: idSchema,
  authorName: z.string(),
  serverTime: timeSchema,
});
export type Entry = z.infer<typeof entrySchema>;
