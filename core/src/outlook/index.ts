export {
  FILTER_FATES,
  hasCause,
  hasOpenCause,
  leftAt,
  visitSchema,
  type FilterFate,
  type Visit,
} from './visit.ts';
export {
  assumedGrowth,
  growthAhead,
  learnGrowth,
  learningGrowth,
  stretchesOf,
  type GrowthAhead,
} from './growth.ts';
export { type GrowthPrior, type Stretch } from './growthKernel.ts';
export { chanceDueBy, dueDistance, FARTHEST_KM, type Interval80 } from './due.ts';
export { outlookOf, type Outlook } from './outlook.ts';
export { ashLine, type AshLine } from './ashLine.ts';
export { comeBacksOf, type ComeBack } from './comeBacks.ts';
export { dueDate, kmPerDay, momentAtKm } from './dueDate.ts';
export { regenerationTrend, type RegenerationMark, type RegenerationTrend } from './regenerations.ts';
export { sootRateOf, type SootRate } from './sootRate.ts';
export { tellOutlook } from './vehicleOutlook.ts';
export { comeBackSchema, vehicleOutlookSchema, type VehicleOutlook } from './outlookContract.ts';
