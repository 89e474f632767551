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
  entryBodySchema,
  entryFigure,
  entrySchema,
  isAfterSignOff,
  isCorrectable,
  isSilent,
  newEntrySchema,
  rankOf,
  stageOf,
  toldBy,
  type BodyOf,
  type Entry,
  type EntryBody,
  type EntryKind,
  type NewEntry,
} from './entry.ts';
export { causeNamed, causeNow, FORMER_CAUSES } from './formerCauses.ts';
export { STAGES, type Stage } from './stages.ts';
export { PART_IDS, PART_STATES, type PartId, type PartState } from './parts.ts';
export { USE_PATTERNS, type UsePattern } from './kinds/complaint.ts';
export { FLUID_ENTRIES, WORK_TYPES, type FluidEntry, type WorkType } from './kinds/work.ts';
export { CAUSE_STATES } from './kinds/cause.ts';
export { TREATMENTS, type Treatment } from './kinds/treatmentChosen.ts';
export { CLOCKS, type ClockKind } from './kinds/clockStarted.ts';
export { BURN_ENDS, type BurnEnd } from './kinds/burnEnded.ts';
export { SINGLE_USE, type SingleUse } from './kinds/partOff.ts';
export { BREAKS, type Break } from './kinds/partBroke.ts';
export { FACES, type Face } from './kinds/filterOff.ts';
export { RESETS, RESET_VALUES, type Reset, type ResetValue } from './kinds/reset.ts';
export { FAMILY_TOPICS } from './kinds/familyNote.ts';
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
