import { z } from 'zod';
import type { Said } from '../words/index.ts';
import type { EntryKindOf } from './entryKind.ts';
import { idSchema, timeSchema } from './identity.ts';
import { ENTRY_KINDS } from './kinds/index.ts';
import type { Stage } from './stages.ts';

type Kinds = typeof ENTRY_KINDS;
export type EntryKind = keyof Kinds;
export type BodyOf<K extends EntryKind> = z.infer<Kinds[K]['schema']>;
export type EntryBody = { [K in EntryKind]: BodyOf<K> }[EntryKind];

type Schema = Kinds[EntryKind]['schema'];
const schemas = Object.values(ENTRY_KINDS).map(({ schema }) => schema);
export const entryBodySchema = z.discriminatedUnion('kind', schemas as [Schema, ...Schema[]]);

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

/** What is said of a kind; its functions take the body of that kind, which the name of the kind makes sure of. */
const kindOf = (kind: EntryKind): EntryKindOf<z.ZodType, EntryBody> =>
  ENTRY_KINDS[kind] as unknown as EntryKindOf<z.ZodType, EntryBody>;

/** The stage that an entry belongs to. Notes, photos and cautions belong to none: they stand where they were made. */
export function stageOf({ body }: Pick<Entry, 'body'>): Stage | undefined {
  const { stage } = kindOf(body.kind);
  return typeof stage === 'function' ? stage(body) : stage;
}

/** The few words that stand at an entry's pin on the tape: what, and its figure. */
export const entryFigure = ({ body }: Pick<Entry, 'body'>): Said => kindOf(body.kind).pin(body);

/** All that an entry says, where it is opened. */
export const toldBy = ({ body }: Pick<Entry, 'body'>): Said => kindOf(body.kind).told(body);

/** Whether a form takes an entry up again; the rest is withdrawn. */
export function isCorrectable({ body }: Pick<Entry, 'body'>): boolean {
  const { corrected = false } = kindOf(body.kind);
  return typeof corrected === 'function' ? corrected(body) : corrected;
}

/** Which labels of the tape go first where there is not room for all: what was measured and done before what was remarked. */
export const rankOf = (kind: EntryKind): number => kindOf(kind).rank;
/** What is still taken when a job is signed off. */
export const isAfterSignOff = (kind: EntryKind): boolean => kindOf(kind).afterSignOff === true;
/** What has no pin and is not announced. */
export const isSilent = (kind: EntryKind): boolean => kindOf(kind).silent === true;
