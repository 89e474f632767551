export {
  judgeReading,
  Z90,
  type CloudPoint,
  type JudgedReading,
  type JudgedSample,
} from './readingPoints.ts';
export {
  compareReadings,
  type Comparison,
  type ComparisonRow,
  type EqualFlow,
  type Interval,
  type ProofContext,
} from './compareReadings.ts';
export {
  VERDICTS,
  figure,
  judgeProof,
  type Judgement,
  type Proof,
  type ProofReadings,
  type Verdict,
} from './verdict.ts';
export { filterCurves, fittedCurve, onFlowAxis, type CurvePoint, type FlowCurve } from './flowCurves.ts';
