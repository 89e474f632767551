import { z } from 'zod';
import { idSchema, timeSchema } from './identity.ts';
import { causeBodySchema, checkBodySchema, substitutionBodySchema } from './checkBodies.ts';
import {
  choiceMadeBodySchema,
  choiceOfferedBodySchema,
  drivableBodySchema,
  familyNoteBodySchema,
  partChangedBodySchema,
  photoBodySchema,
  settledBodySchema,
  temporaryRepairBodySchema,
} from './partBodies.ts';
import { followUpBodySchema, followUpDoneBodySchema } from './followUpBodies.ts';
import { burnEndedBodySchema, burnReadingBodySchema, madeReadyBodySchema } from './burnBodies.ts';
import {
  fastenerSignedBodySchema,
  filterOffBodySchema,
  partBackBodySchema,
  partBrokeBodySchema,
  partOffBodySchema,
} from './stripDownBodies.ts';
import { PART_STATES, partIdSchema } from './parts.ts';
import { readingBodySchema } from './reading.ts';
import { resetBodySchema } from './resetBodies.ts';
import {
  clockEndedBodySchema,
  clockStartedBodySchema,
  FLUID_ENTRIES,
  treatmentChosenBodySchema,
} from './treatmentBodies.ts';
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
  'oil-changed',
  'other',
] as const;
export type WorkType = (typeof WORK_TYPES)[number];

export const USE_PATTERNS = ['short-trips', 'mixed', 'long'] as const;
export type UsePattern = (typeof USE_PATTERNS)[number];

const distance = (what: string) =>
  z
    .number({ error: `${what}: enter a number` })
    .min(0, `${what}: not below 0 km`)
    .max(3_000_000, `${what}: at most 3 000 000 km`);

/** What is known when the vehicle comes in; all but the words of the complaint may be left open. */
const complaintBodySchema = z
  .object({
    kind: z.literal('complaint'),
    text: freeText('The complaint', 2000),
    distanceKm: distance('Distance').optional(),
    powerLimited: z.boolean().optional(),
    use: z.enum(USE_PATTERNS).optional(),
    /** Observations by their id: seen, or asked for and not seen. One that is not known is kept. */
    seen: z.record(z.string().max(60), z.boolean()).optional(),
    lamps: z.array(requiredText('Lamp', 40)).max(12).optional(),
    servicedKm: distance('Distance of the last service').optional(),
    oilChangedKm: distance('Distance of the last oil change').optional(),
    oilSpecification: freeText('Oil', 120).optional(),
    /** Distance between the last two regenerations, as the vehicle counts it. */
    regenEveryKm: distance('Distance between regenerations').optional(),
    /** What is on the van today, by its id. */
    kit: z.array(z.string().max(40)).max(40).optional(),
    /** What the scan tool took the vehicle for. */
    toolSaw: z
      .object({
        vehicle: requiredText('What the tool saw', 200),
        displacementL: z.number().min(0.3).max(30).optional(),
      })
      .optional(),
  })
  // Words are not needed where something else is said: an answer that came later, what is on the van.
  .refine(
    ({ kind: _, text, ...said }) => text !== '' || Object.values(said).some((value) => value !== undefined),
    { path: ['text'], error: 'The complaint must not be empty' },
  );

const codeScanBodySchema = z.object({
  kind: z.literal('code-scan'),
  when: z.enum(['before', 'after-unplugging', 'after-clear', 'after-drive']),
  /** Told by the customer, who sees lamps and messages and no codes; absent: read with a tool. */
  reportedBy: z.enum(['technician', 'customer']).optional(),
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
  /** The fluid of the workshop’s shelf, and how much of its concentrate went in: the stock goes down by that. */
  fluidId: idSchema.optional(),
  concentrateL: z
    .number()
    .min(0, 'Concentrate: not below 0 L')
    .max(200, 'Concentrate: at most 200 L')
    .optional(),
  bursts: z.number().int().min(0, 'Bursts: not below 0').max(1000, 'Bursts: at most 1000').optional(),
  by: z.enum(FLUID_ENTRIES).optional(),
  /** Fluid that stands in the filter, or that washes it out after. */
  step: z.enum(['soak', 'rinse']).optional(),
  /** A burn begins with this entry and is watched; its end is an entry of its own. Absent: it was done. */
  begun: z.boolean().optional(),
  /** Run-off that was collected, L. */
  wasteL: z.number().min(0, 'Run-off: not below 0 L').max(500, 'Run-off: at most 500 L').optional(),
  /** A dwell that starts with this entry, minutes. */
  dwellMin: z.number().min(0.1, 'Dwell: at least 0.1 min').max(4320, 'Dwell: at most 72 h').optional(),
  part: partIdSchema.optional(),
  /** What the computer counted before it and after, where a burn was done with another tool. */
  sootBeforeG: z
    .number()
    .min(0, 'Soot before: not below 0 g')
    .max(2000, 'Soot before: at most 2000 g')
    .optional(),
  sootAfterG: z
    .number()
    .min(0, 'Soot after: not below 0 g')
    .max(2000, 'Soot after: at most 2000 g')
    .optional(),
  /** What had held it off, where it was done all the same. */
  against: z.array(freeText('The advice', 400)).max(12).optional(),
});

const driveBodySchema = z.object({
  kind: z.literal('drive'),
  distanceKm: z.number().min(0.1, 'Drive: at least 0.1 km').max(2000, 'Drive: at most 2000 km'),
  minutes: z.number().min(1, 'Drive: at least 1 min').max(1440, 'Drive: at most a day').optional(),
  powerLimitGone: z.boolean(),
  reportedBy: z.enum(['technician', 'customer']),
  /** Soot counter as it was set out and at the end of the drive. */
  sootStartG: z.number().min(0, 'Soot: not below 0 g').max(2000, 'Soot: at most 2000 g').optional(),
  sootEndG: z.number().min(0, 'Soot: not below 0 g').max(2000, 'Soot: at most 2000 g').optional(),
  /** Hottest gas before the filter on the way. */
  egtPeakC: z.number().min(-40, 'EGT: not below -40 °C').max(1100, 'EGT: at most 1100 °C').optional(),
  note: freeText('Note', 1000).optional(),
});

const partStateBodySchema = z.object({
  kind: z.literal('part-state'),
  part: partIdSchema,
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
  checkBodySchema,
  causeBodySchema,
  substitutionBodySchema,
  partChangedBodySchema,
  temporaryRepairBodySchema,
  drivableBodySchema,
  settledBodySchema,
  treatmentChosenBodySchema,
  clockStartedBodySchema,
  clockEndedBodySchema,
  madeReadyBodySchema,
  burnReadingBodySchema,
  burnEndedBodySchema,
  partOffBodySchema,
  partBackBodySchema,
  fastenerSignedBodySchema,
  partBrokeBodySchema,
  filterOffBodySchema,
  resetBodySchema,
  choiceOfferedBodySchema,
  choiceMadeBodySchema,
  familyNoteBodySchema,
  photoBodySchema,
  followUpBodySchema,
  followUpDoneBodySchema,
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
  /** It came with an archive of another installation, or of this one at another time. */
  imported: z.literal(true).optional(),
});
export type Entry = z.infer<typeof entrySchema>;
