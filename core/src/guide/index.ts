export { FOR_NOTHING, LEFT_IN, NOT_REPAIRED, REPAIR_COSTS, type RepairCost } from './costs.ts';
export { expectedLoss } from './expectedLoss.ts';
export { nextSteps, type GuideFacts, type Step, type StepKind } from './nextSteps.ts';
export { whileWaiting } from './whileWaiting.ts';
