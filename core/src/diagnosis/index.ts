export { type MeasuredReading, type MeasuredVehicle } from './measured/airRatio.ts';
export { infer, posteriorSets, type CausePosterior, type Posterior } from './inference.ts';
export { NOTHING_BEYOND, weigh, type Beyond, type Weighed } from './weigh.ts';
export type { Cause, Evidence, FindingNode, Link, Network } from './network.ts';
export { evidenceOfOutcome, rankChecks, type CheckNode, type RankedCheck } from './nextChecks.ts';
export {
  checksFor,
  CODE_FINDING_IDS,
  evidenceOfScan,
  findingsOfCodes,
  KNOWN_CAUSES,
  KNOWN_CHECKS,
  KNOWN_FINDINGS,
  networkFor,
  type KnownCause,
  type KnownCheck,
  type KnownFinding,
  type VehicleUse,
} from './vocabulary.ts';
export { chainsAmong, explanationsOf, rootsOf, type Explanation } from './explanations.ts';
export type { PutRight } from './putRight.ts';
export {
  checkHeldOff,
  fooledBy,
  nextCheck,
  proposeChecks,
  quickCheckFor,
  looksFor,
  quickChecksFor,
  raisedCauses,
  oilToldOf,
  revsHeldOff,
  type ProposedCheck,
} from './proposeChecks.ts';
export { type CauseId } from './knowledge/causes.ts';
export { CONSEQUENCE_CHAINS, type Chain } from './knowledge/chains.ts';
export { FIXED_CHECKLIST } from './knowledge/fixedChecklist.ts';
export {
  evidenceOfCase,
  factsOfReading,
  intakeOf,
  type Intake,
  factsOfIntake,
  inhibitorsOf,
  type CaseEvidence,
  type CaseFacts,
} from './caseEvidence.ts';
export { confirmation } from './confirmation.ts';
export { causeNow, FORMER_CAUSES } from '../ledger/index.ts';
export { formSentence, sentenceOf, type CauseFormId, type FindingId } from './sentences.ts';
export {
  diagnoseCase,
  weighCase,
  type Diagnosis,
  type DiagnosisQuestion,
  type WeighedCase,
} from './diagnoseCase.ts';
