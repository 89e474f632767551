export { EXPECTED_LOGS, PRESSURE_DROP_CASES, sampleBytes, type ExpectedLog } from './samples.ts';
export { DISPLACEMENT_L, FILTER, madeReading, madeSample, seededNoise, type Truth } from './madeReadings.ts';
export { madeEntry, madeId, note, PROVEN_PATH } from './madeEntries.ts';
export {
  dice,
  DRILLS,
  madeLog,
  madeVehicle,
  seededRandom,
  type Dice,
  type MadeFaults,
  type MadeLog,
  type MadeVehicle,
} from './madeLog.ts';
export { randomLog, type RandomLog } from './randomLog.ts';
export { drivenVehicle, type DrivenVehicle } from './randomBenchVehicle.ts';
export { droppedBurn, type DroppedBurn } from './droppedBurn.ts';
export { burnMomentOf, watchBench } from './burntVehicle.ts';
export { provedJob, type Covered, type ProvedJob } from './provedJob.ts';
export { repairedJob, type RepairedJob } from './repairedJob.ts';
export { treatedVehicle, type TreatedVehicle } from './treatedVehicle.ts';
export { livelyDiagnosis, ordinaryDiagnosis, type DiagnosedVehicle } from './closedLoop.ts';
export { arrivedJob, type ArrivedJob } from './arrivedJob.ts';
export { arrive, checkFindings, faultyVehicle } from './diagnosedVehicle.ts';
export { fleetOutlook, madeFleet, type FleetOutlook, type MadeVehicleLife } from './madeFleet.ts';
export { hostileFiles, mutatedFiles, type HostileFile } from './hostileFiles.ts';
