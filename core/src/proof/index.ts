export {
  judgeReading,
  Z90,
  type CloudPoint,
  type JudgedReading,
  type JudgedSample,
} from './readingPoints.ts';
export { poolReadings, type Pooled, type Readings } from './pooled.ts';
export { EVIDENCE_IDS, type Evidence, type EvidenceId } from './evidenceItem.ts';
export {
  BEYOND_THE_READINGS,
  changesTheFilter,
  evidenceOf,
  evidenceOfRepairs,
  PATH_CAUSES,
  proofKind,
  PROOF_KINDS,
  type ProofKind,
} from './evidence.ts';
export { SHOWN_BY } from './repairEvidence.ts';
export { planResets, RESET_COMMANDS, type ResetFacts, type ResetStep } from './resets.ts';
export { confidenceOf, normalUpTo, type Confidence } from './confidence.ts';
export { contradictionBy, type Contradiction, type NextVisit } from './contradiction.ts';
export {
  compareReadings,
  filterLoadOf,
  type Comparison,
  type ComparisonRow,
  type EqualFlow,
  type FilterLoad,
  type Interval,
  type ProofContext,
} from './compareReadings.ts';
export {
  VERDICTS,
  judgeProof,
  type Judgement,
  type Proof,
  type ProofReadings,
  type Verdict,
} from './verdict.ts';
export { filterCurves, fittedCurve, onFlowAxis, type CurvePoint, type FlowCurve } from './flowCurves.ts';
export { flowPicture, pictureOf, type FlowPicture, type SideName } from './flowPicture.ts';
