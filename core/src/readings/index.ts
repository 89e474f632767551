export { CHANNEL_ROLES, ROLE_IDS, isChannelRole, type ChannelRole } from './channelRoles.ts';
export { checkLogBytes } from './decodeText.ts';
export { foldName, type MappingCorrections } from './mapChannels.ts';
export type { LogWarning } from './rawLog.ts';
export { SENSOR_UNPROVEN, type Finding, type FindingLevel } from './findings.ts';
export { type LogWindow, type WindowKind } from './windows.ts';
export { steadyFlow, type FlowContext, type SteadyFlow } from './steadyFlow.ts';
export {
  analyseLog,
  type AnalyseOptions,
  type AnalysedLog,
  type AnalysedWindow,
  type LogAnalysis,
} from './analyseLog.ts';
export { loggedFacts, readingFromLog, type LogReadingParts } from './logReading.ts';
