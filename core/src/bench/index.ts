export { BENCH_FAMILIES, benchFamily, type BenchFamily } from './families.ts';
export { egtOpenC, mbarOfPin, pinVolts, UNPOWERED_V } from './vehicle/sensors.ts';
export { BenchVehicle } from './benchVehicle.ts';
export { STEP_S, type BenchOptions } from './benchOptions.ts';
export { Driver, type Wish } from './driver.ts';
export { FAULT_IDS, FAULTS, severityAt, type Fault, type FaultId } from './faults.ts';
export type { StoredCode } from './computer/computer.ts';
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
export { SimulatedAdapter, type AdapterFaults } from './adapter/simulatedAdapter.ts';
export { asGiven, benchChannel, BENCH_CHANNELS } from './adapter/channels.ts';
export { SimulatedBus } from './adapter/simulatedBus.ts';
export { pipeTimeS } from './vehicle/pipes.ts';
export { TEMPER_IDS, type TemperId } from './computer/temper.ts';
