export { STAGES, STAGE_LABELS, stageOf, type Stage } from './stages.ts';
export { WORK_LABELS, entryFigure } from './entryFigure.ts';
export {
  BEYOND_THE_READINGS,
  deriveJob,
  type DerivedJob,
  type Dwell,
  type Evidence,
  type JobFacts,
  type JobVerdict,
  type PartStatus,
} from './deriveJob.ts';
export { summariseJob } from './summarise.ts';
export { CAUTION_FOR_WORK } from './workCautions.ts';
