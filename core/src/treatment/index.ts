export {
  burnInterlocks,
  commandInterlocks,
  outstandingCauses,
  PRESSURE_PATH,
  type BurnForecast,
  type Interlock,
  type InterlockFacts,
  type LinkCommand,
} from './interlocks.ts';
export { mostSoot, sootByPressure, sootRoom, type KnownFilter, type SootLoad } from './sootLoad.ts';
export {
  isRefused,
  rankTreatments,
  TREATMENT_LABELS,
  type TreatmentOption,
  type TreatmentQuestion,
} from './choice.ts';
export { burnOfJob, forecastBurn, type JobBurn } from './forecast.ts';
