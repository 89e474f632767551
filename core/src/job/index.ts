export { adviceOf } from './adviceOf.ts';
export { lastHold } from './lastHold.ts';
export { RINGS_MS } from './clocks.ts';
export { stateNow, stepsInState, type JobState } from './stateNow.ts';
export { toldCauses } from './toldCauses.ts';
export { stepTitle, toShowOf } from './stepTitle.ts';
export { TO_SHOW, type ToShow } from './toShow.ts';
export { entryFigure, STAGES, stageOf, type Stage } from '../ledger/index.ts';
export { deriveJob, type DerivedJob, type JobFacts, type JobVerdict, type NextJob } from './deriveJob.ts';
export {
  causesSaid,
  checksMade,
  findingsOfChecks,
  wasFound,
  type MadeCheck,
  type SaidCause,
} from './checksMade.ts';
export { clockOutcome, clocksOf, type ClockOutcome, type JobClock } from './clocks.ts';
export { caseOfJob, type CaseOfJob } from './caseOfJob.ts';
export { choicesOf, openMatters, type MadeChoice, type OpenMatter } from './openMatters.ts';
export type { PartStatus } from './parts.ts';
export { identityMismatch } from './identityMismatch.ts';
export { familyFilter, type ProvedVehicle } from './familyFilter.ts';
export { familyBook, type FamilyJob } from './familyBook.ts';
export { chanceText, verdictLine } from './verdictLine.ts';
export { summariseJob } from './summarise.ts';
export { visitOf } from './visitOf.ts';
export { HISTORY_KINDS, vehicleHistory } from './vehicleHistory.ts';
export {
  READING_COLUMNS,
  READING_TABLE_KINDS,
  readingTable,
  type ReadingRow,
  type ReadJob,
} from './readingTable.ts';
export { followUpsOf } from './followUps.ts';
export { CAUTION_FOR_WORK } from './workCautions.ts';
export { questionOfJob, type VehicleOfJob } from './questionOfJob.ts';
export { filterOfJob } from './filterOfJob.ts';
export type { ForecastOf } from './forecastOf.ts';
export type { OfferedTreatment } from './offerTreatments.ts';
export { judgeJob, type JobJudgement, type JudgedFacts } from './judgeJob.ts';
export type { DriveAdvice } from './driveAdvice.ts';
export {
  keptOfSealed,
  pictureOfJob,
  sealedLimits,
  sealJob,
  unsealJob,
  vehicleFactsOf,
  type SealedJob,
  type SealedNow,
} from './seal.ts';
