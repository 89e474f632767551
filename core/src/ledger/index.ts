export { idSchema, timeSchema, type Id } from './identity.ts';
export { impossibleDay, impossibleMoment, impossibleMoments } from './moments.ts';
export {
  PURPOSES,
  SAMPLE_KINDS,
  readingBodySchema,
  readingSampleSchema,
  steadySampleSchema,
  steadySamplesOf,
  type ReadingSample,
  type ReadingBody,
  type SampleKind,
  type SteadySample,
} from './reading.ts';
export {
  USE_PATTERNS,
  WORK_TYPES,
  entryBodySchema,
  entrySchema,
  newEntrySchema,
  type BodyOf,
  type Entry,
  type EntryBody,
  type EntryKind,
  type NewEntry,
  type UsePattern,
  type WorkType,
} from './entry.ts';
export {
  CLOCKS,
  FLUID_ENTRIES,
  TREATMENTS,
  type ClockKind,
  type FluidEntry,
  type Treatment,
} from './treatmentBodies.ts';
export { RESETS, RESET_VALUES, type Reset, type ResetValue } from './resetBodies.ts';
export { BURN_ENDS, type BurnEnd } from './burnBodies.ts';
export { BREAKS, FACES, SINGLE_USE, type Break, type Face, type SingleUse } from './stripDownBodies.ts';
export {
  PART_IDS,
  PART_LABELS,
  PART_STATE_WORDS,
  PART_STATES,
  type PartId,
  type PartState,
} from './parts.ts';
export { CAUSE_STATES } from './checkBodies.ts';
export { FAMILY_TOPICS } from './partBodies.ts';
export {
  chainLink,
  contentOf,
  LedgerCheck,
  type HashedEntry,
  type KeptEntry,
  type LedgerFault,
  type Sha256,
} from './chain.ts';
export { canonicalJson, effectiveEntries, entriesOfKind, happenedAt, type EntryOf } from './ledger.ts';
