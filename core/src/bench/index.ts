export { BENCH_FAMILIES, benchFamily, type BenchFamily } from './families.ts';
export { BenchVehicle, STEP_S, type BenchOptions } from './benchVehicle.ts';
export { Driver, type Wish } from './driver.ts';
export { FAULT_IDS, FAULTS, severityAt, type Fault, type FaultId } from './faults.ts';
export { ROUTINE_IDS, ROUTINE_LABELS, type RoutineId, type RoutineState } from './computer/routines.ts';
export type { CodeStatus, FreezeFrame, StoredCode } from './computer/computer.ts';
export type { Controls, Plant } from './vehicle/plant.ts';
