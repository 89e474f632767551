export {
  FILTER_MATERIALS,
  filterCells,
  filterGeometrySchema,
  filterVolumeL,
  SOOT_CAP_G_PER_L,
  type FilterCells,
  type FilterGeometry,
  type FilterMaterial,
} from './geometry.ts';
export {
  boundedBy,
  filterAsKnown,
  filterByEngine,
  filterByReadings,
  filterOfFamily,
  USUAL_ENGINE_L,
  type FilterSize,
  type ProvedDrop,
  type SizeDoubt,
} from './filterSize.ts';
export {
  CLEAN,
  DEFAULT_FILTER_CONSTANTS,
  loadedChannels,
  pressureDrop,
  type FilterConstants,
  type FilterState,
  type GasState,
  type PressureDrop,
} from './pressureDrop.ts';
export { sootFromPressure, type SootEstimate, type SootQuestion } from './sootFromPressure.ts';
export { restrictionRatio, type Restriction } from './restriction.ts';
export { exhaustMassGPerS, filterFlow, speedDensityGPerS, type FilterFlow } from './exhaustFlow.ts';
export {
  conditionWithDrive,
  fitFlow,
  flowDrive,
  outletFlowM3PerH,
  pressureFromFit,
  type FlowCondition,
  type FlowFit,
  type FlowPoint,
} from './flowFit.ts';
