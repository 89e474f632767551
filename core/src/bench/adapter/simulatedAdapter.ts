import { say } from '../../words/index.ts';
import {
  type LinkAnswer,
  type LinkChannel,
  type LinkCode,
  LinkError,
  type LinkIdentity,
  type LinkListener,
  type LinkReading,
  type LinkRoutine,
  ROUTINE_IDS,
  type RoutineId,
  type RoutineState,
  type ScanLink,
  type StreamPlan,
} from '../../link/index.ts';
import type { ChannelRole } from '../../readings/index.ts';
import { type BenchVehicle } from '../benchVehicle.ts';
import { isFitted } from '../benchOptions.ts';
import type { VoltSensor } from '../vehicle/sensors.ts';
import { asGiven, BENCH_CHANNELS, benchChannel } from './channels.ts';
import { codeAsWritten } from '../computer/notation.ts';

/** What may be wrong with the adapter itself, or with what it takes the vehicle for. */
export interface AdapterFaults {
  /** Carries so many values a second; a sound one some 60. */
  readonly valuesPerS?: number;
  /** Loses the vehicle after so much connected time, s, and can be connected anew. */
  readonly dropsOutAfterS?: number;
  /** Takes the vehicle for another. */
  readonly takesFor?: string;
  readonly notFitted?: readonly ChannelRole[];
  readonly voltsOnly?: readonly VoltSensor[];
}

const VALUES_PER_S = 60;
/** Answers that are later than this belong to no question any more, s. */
const LONGEST_LAG_S = 1;
/** No module answers more often than this, however few channels are asked for. */
const MOST_HZ = 20;

/**
 * A scan tool on the simulated vehicle. It has no clock: whoever runs the vehicle calls {@link advance} after every step, and
 * readings come when, by the vehicle's own time, they are due.
 */
export class SimulatedAdapter implements ScanLink {
  readonly #vehicle: BenchVehicle;
  readonly #listener: LinkListener;
  readonly #faults: AdapterFaults;
  readonly #channels: readonly LinkChannel[];
  #connectedAtS: number | undefined;
  #dropped = false;
  #streaming: readonly LinkChannel[] = [];
  #turn = 0;
  #nextS = 0;

  constructor(vehicle: BenchVehicle, listener: LinkListener, faults: AdapterFaults = {}) {
    this.#vehicle = vehicle;
    this.#listener = listener;
    this.#faults = faults;
    this.#channels = BENCH_CHANNELS.map((role) =>
      benchChannel(
        vehicle.family,
        role,
        !isFitted(vehicle.family, role) || faults.notFitted?.includes(role) === true
          ? 'not-fitted'
          : faults.voltsOnly?.some((sensor) => sensor === role) === true
            ? 'volts'
            : 'live',
      ),
    );
  }

  connect = async (): Promise<LinkIdentity> => {
    this.#listener.onState({ status: 'connecting' });
    if (this.#vehicle.controls.ignition === 'off') {
      this.#listener.onState({ status: 'off' });
      throw new LinkError(say('link.no-answer-ignition'));
    }
    this.#connectedAtS = this.#vehicle.timeS;
    this.#dropped = false;
    this.#listener.onState({ status: 'connected' });
    const { name, displacementL } = this.#vehicle.family;
    return Promise.resolve({
      vehicle: this.#faults.takesFor ?? name,
      module: 'Engine',
      protocol: 'simulated',
      displacementL,
    });
  };

  channels = async (): Promise<readonly LinkChannel[]> => {
    this.#require();
    return Promise.resolve(this.#channels);
  };

  stream = async (ids: readonly string[]): Promise<StreamPlan> => {
    this.#require();
    const chosen = ids.map((id) => {
      const channel = this.#channels.find((one) => one.id === id);
      if (!channel) throw new LinkError(say('link.no-such-channel', { channel: id }));
      if (channel.status === 'not-fitted')
        throw new LinkError(say('link.not-fitted', { channel: channel.name }));
      return channel;
    });
    this.#streaming = chosen;
    this.#turn = 0;
    this.#nextS = this.#vehicle.timeS;
    return Promise.resolve({ hz: chosen.length === 0 ? 0 : this.#hz(chosen.length) });
  };

  #hz(channels: number): number {
    return Math.min(MOST_HZ, (this.#faults.valuesPerS ?? VALUES_PER_S) / channels);
  }

  codes = async (): Promise<readonly LinkCode[]> => {
    this.#require();
    return Promise.resolve(
      [...this.#vehicle.computer.codes.values()].map(({ code, status, present, freezeFrame }) => ({
        code: codeAsWritten(this.#vehicle.family, code),
        status,
        present,
        module: 'Engine',
        ...(freezeFrame === undefined ? {} : { freezeFrame }),
      })),
    );
  };

  clearCodes = async (): Promise<LinkAnswer> => {
    this.#require();
    const { status, text } = this.#vehicle.startRoutine('clear-codes');
    return Promise.resolve({ done: status === 'done', text });
  };

  routines = async (): Promise<readonly LinkRoutine[]> => {
    this.#require();
    return Promise.resolve(ROUTINE_IDS.map((id) => ({ id, label: say(`routines.${id}`) })));
  };

  startRoutine = async (id: RoutineId): Promise<RoutineState> => {
    this.#require();
    return Promise.resolve(this.#vehicle.startRoutine(id));
  };

  routineState = async (): Promise<RoutineState | undefined> => {
    this.#require();
    const { routine } = this.#vehicle.computer;
    return Promise.resolve(routine && { ...routine });
  };

  disconnect = async (): Promise<void> => {
    this.#connectedAtS = undefined;
    this.#streaming = [];
    this.#listener.onState({ status: 'off' });
    return Promise.resolve();
  };

  #require(): void {
    if (this.#connectedAtS === undefined || this.#dropped) throw new LinkError(say('link.not-connected'));
    if (this.#vehicle.controls.ignition === 'off') throw new LinkError(say('link.no-answer-ignition-off'));
  }

  /** Gives what is due by the vehicle's time. To be called after every step of the vehicle. */
  advance(): void {
    const { timeS, controls } = this.#vehicle;
    if (this.#connectedAtS === undefined || this.#dropped) return;
    const { dropsOutAfterS } = this.#faults;
    if (dropsOutAfterS !== undefined && timeS - this.#connectedAtS >= dropsOutAfterS) {
      this.#dropped = true;
      this.#streaming = [];
      this.#listener.onState({ status: 'lost', text: say('link.lost') });
      return;
    }
    const count = this.#streaming.length;
    if (count === 0) return;
    const eachS = 1 / (this.#hz(count) * count);
    if (controls.ignition === 'off') {
      // No module answers with the ignition off; the tool goes on asking.
      this.#nextS = timeS;
      return;
    }
    // Nobody asked for a while, as when the device slept: what was not asked for is not answered later.
    if (timeS - this.#nextS > LONGEST_LAG_S) this.#nextS = timeS;
    const readings: LinkReading[] = [];
    while (this.#nextS <= timeS) {
      const channel = this.#streaming[this.#turn % count] as LinkChannel;
      const base = this.#value(channel);
      if (base !== undefined)
        readings.push({ id: channel.id, timeS: this.#nextS, value: asGiven(channel, base) });
      this.#turn += 1;
      this.#nextS += eachS;
    }
    if (readings.length > 0) this.#listener.onReadings(readings);
  }

  #value({ role, status }: LinkChannel): number | undefined {
    return status === 'volts' ? this.#vehicle.volts(role as VoltSensor) : this.#vehicle.read(role);
  }
}
