export { idSchema, timeSchema, type Id } from './identity.ts';
export {
  PURPOSES,
  SAMPLE_KINDS,
  readingBodySchema,
  steadySampleSchema,
  type ReadingBody,
  type SampleKind,
  type SteadySample,
} from './reading.ts';
export {
  PART_IDS,
  PART_STATES,
  WORK_TYPES,
  entryBodySchema,
  entrySchema,
  newEntrySchema,
  type BodyOf,
  type Entry,
  type EntryBody,
  type EntryKind,
  type NewEntry,
  type PartId,
  type PartState,
  type WorkType,
} from './entry.ts';
export { canonicalJson, effectiveEntries, entriesOfKind, happenedAt, type EntryOf } from './ledger.ts';
