export { CHANNEL_ROLES, ROLE_IDS, isChannelRole, roleName, type ChannelRole } from './channelRoles.ts';
export { checkLogBytes } from './reader/decodeText.ts';
export { openTimeLimitMs, READ_BOUNDS, readMemoryLimitBytes, readTimeLimitMs } from './reader/readBounds.ts';
export { openLog, readLog, type LogReader } from './reader/openLog.ts';
export type { MappingCorrections, MappingQuestion, WithoutRole } from './mapping/mapChannels.ts';
export {
  PART_NUMBERS,
  READER_VERSION,
  fromPlanes,
  packLog,
  packedHeaderSchema,
  toPlanes,
  unpackLog,
  type PackedHeader,
} from './reader/packLog.ts';
export type { LogWarning, RawColumn, RawLog } from './reader/rawLog.ts';
export { SENSOR_UNPROVEN, type Finding, type FindingLevel } from './findings/index.ts';
export { type LogWindow, type WindowKind } from './windows.ts';
export { manifoldTrustOf, steadyFlow, type FlowContext, type SteadyFlow } from './steadyFlow.ts';
export {
  analyseLog,
  analyseRaw,
  type AnalyseOptions,
  type AnalysedLog,
  type AnalysedWindow,
  type LogAnalysis,
} from './analyseLog.ts';
export { toRecording, type Recording, type Series } from './recording.ts';
export { traceOf, type Trace } from './traces.ts';
export { heldAt } from './recording.ts';
export { LOG_OUTPUTS, writeLog, type LogOutput } from './writer/writeLog.ts';
export { loggedFacts, readingFromLog, type LogReadingParts } from './logReading.ts';
export {
  BASELINE_STEPS,
  BaselineGuide,
  baselinePlan,
  type BaselinePlan,
  type BaselineStep,
  type BaselineStepId,
  type LiveMoment,
} from './live/baselineGuide.ts';
export { rateAdvice, SteadyFollower, type RunKind, type SteadyRun } from './live/steadyRun.ts';
export { CHANNEL_PRESETS, type ChannelPreset } from './live/presets.ts';
export { OBD_PARAMETERS, obdValueOf, type ObdParameter, type ObdValue } from './reader/obdParameters.ts';
export {
  ASKED,
  channelsSaid,
  inWords,
  learnWords,
  leftToSay,
  readAs,
  saidByHeading,
  sayWord,
  spellOut,
  type Asked,
  type Said,
} from './lexicon/index.ts';
