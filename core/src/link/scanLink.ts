import { inEnglish, type Said } from '../words/index.ts';
import type { Unit } from '../quantities/index.ts';
import type { ChannelRole } from '../readings/index.ts';
import type { RoutineId, RoutineState } from './routines.ts';

/**
 * What a scan tool can do with a vehicle. Screens know this alone: a real adapter, the simulated one and the one that
 * speaks OBD frames are exchanged for each other without touching a screen.
 */
export interface ScanLink {
  readonly connect: () => Promise<LinkIdentity>;
  readonly channels: () => Promise<readonly LinkChannel[]>;
  /** Streams these channels, and no others, from now on; an empty list ends the stream. */
  readonly stream: (ids: readonly string[]) => Promise<StreamPlan>;
  readonly codes: () => Promise<readonly LinkCode[]>;
  readonly clearCodes: () => Promise<LinkAnswer>;
  readonly routines: () => Promise<readonly LinkRoutine[]>;
  readonly startRoutine: (id: RoutineId) => Promise<RoutineState>;
  /** How the routine that was started last stands; nothing where none was. */
  readonly routineState: () => Promise<RoutineState | undefined>;
  readonly disconnect: () => Promise<void>;
}

/** What comes from a link without being asked for. */
export interface LinkListener {
  readonly onReadings: (readings: readonly LinkReading[]) => void;
  readonly onState: (state: LinkState) => void;
}

export type LinkState =
  | { readonly status: 'off' | 'connecting' | 'connected' }
  | { readonly status: 'lost'; readonly text: Said };

export interface LinkIdentity {
  /** What the tool takes the vehicle for: it may be wrong. */
  readonly vehicle: string;
  readonly module: string;
  readonly protocol: string;
  readonly displacementL?: number;
}

export interface LinkChannel {
  readonly id: string;
  /** As the module names it. */
  readonly name: string;
  readonly module: string;
  /** As the module gives it; without a known unit it is a bare figure. */
  readonly unit: string;
  readonly unitId: Unit | undefined;
  readonly decimals: number;
  readonly role: ChannelRole;
  /** `volts`: only the voltage at the pin is offered; `not-fitted`: listed, but nothing is behind it. */
  readonly status: 'live' | 'volts' | 'not-fitted';
}

/** A reading as the module gave it, in its unit and steps. */
export interface LinkReading {
  readonly id: string;
  readonly timeS: number;
  readonly value: number;
}

export interface StreamPlan {
  /** Readings a second that each of the chosen channels gets: the link shares what it carries among them. */
  readonly hz: number;
}

export type CodeStatus = 'pending' | 'confirmed' | 'stored';

export interface FreezeFrame {
  readonly atS: number;
  readonly km: number;
  readonly values: Readonly<Partial<Record<ChannelRole, number>>>;
}

export interface LinkCode {
  readonly code: string;
  readonly module: string;
  readonly status: CodeStatus;
  readonly present: boolean;
  readonly freezeFrame?: FreezeFrame;
}

export interface LinkRoutine {
  readonly id: RoutineId;
  readonly label: Said;
}

export interface LinkAnswer {
  readonly done: boolean;
  readonly text: Said;
}

/** A link does not do what was asked; the text says why and what to do. */
export class LinkError extends Error {
  override readonly name = 'LinkError';
  constructor(readonly said: Said) {
    super(inEnglish(said));
  }
}
