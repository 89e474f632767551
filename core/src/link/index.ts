export { ROUTINE_IDS, type RoutineId, type RoutineState } from './routines.ts';
export {
  LinkError,
  type CodeStatus,
  type FreezeFrame,
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
} from './scanLink.ts';
export { channelHeading, RecordingText, type RecordingFacts } from './recording.ts';
export { ObdLink, type CanTransport } from './obdLink.ts';
export { IsoTpEnd, type CanFrame } from './isoTp.ts';
export { codeBytes, codeOfBytes, OBD_ANSWER_ID, OBD_FUNCTIONAL_ID, OBD_REQUEST_ID } from './obdService.ts';
