export { BENCH_FAMILIES, benchFamily, type BenchFamily } from './families.ts';
export { BenchVehicle, STEP_S, type BenchOptions } from './benchVehicle.ts';
export { Driver, type Wish } from './driver.ts';
export { FAULT_IDS, FAULTS, severityAt, type Fault, type FaultId } from './faults.ts';
export { ROUTINE_IDS, ROUTINE_LABELS, type RoutineId, type RoutineState } from './computer/routines.ts';
export type { CodeStatus, FreezeFrame, StoredCode } from './computer/computer.ts';
export type { Controls, Plant } from './vehicle/plant.ts';
export {
  perform,
  type Act,
  type ActResult,
  type JointName,
  type PipeName,
  type PlugName,
  type PressurePort,
} from './acts.ts';
export { answerCheck } from './answers/answerCheck.ts';
export { recordBaseline, BASELINE_ROLES, type BaselineRun } from './recordBaseline.ts';
export { requiredFindings, signatureOf, type Drill } from './signature.ts';
export { SimulatedAdapter, type AdapterFaults } from './link/simulatedAdapter.ts';
export { asGiven, benchChannel, BENCH_CHANNELS, channelHeading } from './link/channels.ts';
export { RecordingText, type RecordingFacts } from './link/recording.ts';
export {
  LinkError,
  type LinkAnswer,
  type LinkChannel,
  type LinkCode,
  type LinkIdentity,
  type LinkListener,
  type LinkReading,
  type LinkRoutine,
  type LinkState,
  type ScanLink,
  type StreamPlan,
} from './link/scanLink.ts';
export { ObdLink, type CanTransport } from './link/obdLink.ts';
export { SimulatedBus } from './link/simulatedBus.ts';
export { IsoTpEnd, type CanFrame } from './link/isoTp.ts';
