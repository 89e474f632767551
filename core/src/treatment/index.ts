export {
  burnInterlocks,
  burnLimitGPerL,
  commandInterlocks,
  outstandingCauses,
  PRESSURE_PATH,
  type BurnForecast,
  type Interlock,
  type InterlockFacts,
  type LinkCommand,
} from './interlocks.ts';
export { mostSoot, sootByPressure, sootRoom, type KnownFilter, type SootLoad } from './sootLoad.ts';
export { rankTreatments } from './choice.ts';
export {
  filterChances,
  isRefused,
  type FilterChances,
  type TreatmentOption,
  type TreatmentQuestion,
} from './filterChances.ts';
export {
  READY_FIGURES,
  READY_FOR,
  READY_QUESTIONS,
  readinessOf,
  type Readiness,
  type ReadyFigure,
  type ReadyQuestion,
} from './readiness.ts';
export { BURN_CHANNELS, judgeBurnRun, type BurnState } from './burnRun.ts';
export { type BedEstimate, type BurnMoment, type BurnPhase, type BurnRule } from './burnRules.ts';
export { estimateBed, type RunEstimate } from './bedEstimate.ts';
export {
  BREAK_ADVICE,
  offVehicleWork,
  removedParts,
  type OffVehicleWork,
  type PartToBuy,
  type RemovedPart,
  type WeighedFilter,
} from './offVehicle.ts';
export { adviseSecondRun, burnsOf, type JobBurnRun, type SecondRunAdvice } from './secondRun.ts';
export { coolingMinutes, rankAccess, SENSOR_SEATS, type AccessOption, type SensorSeat } from './access.ts';
export { burnOfJob, forecastBurn, type JobBurn } from './forecast.ts';
export { chemicalPlan, type ChemicalPlan, type ChemicalQuestion, type FluidSheet } from './chemicalPlan.ts';
export {
  adviseFlush,
  type FlushAdvice,
  type FlushReading,
  type FlushStep,
  type SootLeft,
} from './flushGain.ts';
export { warmUpOf, warmUpPoints, type WarmUp, type WarmUpPhase, type WarmUpPoint } from './warmUp.ts';
export { fillsOf, flushReadings, sootLeft, type FlushReadingOfJob } from './flushReadings.ts';
