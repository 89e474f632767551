import {
  type LinkChannel,
  type LinkCode,
  type LinkIdentity,
  type LinkRoutine,
  type LinkState,
  type RoutineState,
} from '@white-ember/core/link';
import { type ActResult } from '@white-ember/core/bench';
import { type BaselineStep, type SteadyRun } from '@white-ember/core/readings';
import type { AtTheVehicle } from '../../workers/benchWorker.ts';
import { type KeptRecording } from './recordingStore.ts';

export interface Mark {
  readonly timeS: number;
  readonly rpm: number | undefined;
  readonly deltaPMbar: number | undefined;
}

/** A steady stretch that was long enough to count, taken without a touch. */
export interface Capture {
  readonly timeS: number;
  readonly kind: SteadyRun['kind'];
  readonly rpm: number;
  readonly deltaPMbar: number;
}

export interface LiveState {
  readonly version: number;
  readonly link: LinkState;
  readonly identity: LinkIdentity | undefined;
  readonly channels: readonly LinkChannel[];
  readonly chosen: readonly string[];
  readonly hz: number;
  readonly vehicle: AtTheVehicle | undefined;
  readonly pace: number;
  readonly steps: readonly BaselineStep[];
  readonly run: SteadyRun | undefined;
  readonly marks: readonly Mark[];
  readonly captures: readonly Capture[];
  readonly codes: readonly LinkCode[] | undefined;
  /** Whether codes were cleared in this session. */
  readonly cleared: boolean;
  readonly routines: readonly LinkRoutine[];
  readonly routine: RoutineState | undefined;
  /** What the person at the vehicle saw of the last thing that they did by hand. */
  readonly handsOn: ActResult | undefined;
  readonly grade: number;
  readonly recording: KeptRecording | undefined;
  /** Seconds for which the device slept last; nothing was read then. */
  readonly sleptS: number | undefined;
  readonly problem: string | undefined;
}

/** Nothing connected, nothing read. */
export const stateAtFirst = (steps: LiveState['steps']): LiveState => ({
  version: 0,
  link: { status: 'off' },
  identity: undefined,
  channels: [],
  chosen: [],
  hz: 0,
  vehicle: undefined,
  pace: 1,
  steps: steps,
  run: undefined,
  marks: [],
  captures: [],
  codes: undefined,
  cleared: false,
  routines: [],
  routine: undefined,
  handsOn: undefined,
  grade: 0,
  recording: undefined,
  sleptS: undefined,
  problem: undefined,
});
