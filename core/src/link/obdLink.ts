import { inEnglish, say } from '../words/index.ts';
import { roleName, OBD_PARAMETERS, obdValueOf, type ObdValue } from '../readings/index.ts';
import { unitLabel } from '../quantities/index.ts';
import type { RoutineState } from './routines.ts';
import { IsoTpEnd, type CanFrame } from './isoTp.ts';
import { OBD_ANSWER_ID, OBD_REQUEST_ID, codeOfBytes } from './obdService.ts';
import {
  LinkError,
  type LinkAnswer,
  type LinkChannel,
  type LinkCode,
  type LinkIdentity,
  type LinkListener,
  type LinkReading,
  type LinkRoutine,
  type ScanLink,
  type StreamPlan,
} from './scanLink.ts';

/** What carries frames: a simulated bus, or an adapter on a serial port. */
export interface CanTransport {
  readonly send: (frame: CanFrame) => void;
  /** Whoever listens last hears. */
  readonly listen: (hear: (frame: CanFrame) => void) => void;
}

interface Pending {
  readonly request: Uint8Array;
  readonly resolve: (answer: Uint8Array) => void;
  readonly reject: (error: Error) => void;
  sentS: number;
  tries: number;
}

/** A computer must answer within 50 ms (P2); a busy one says so and may take seconds. No answer is an answer, too. */
const WAIT_S = 0.3;
const TRIES = 2;
/** SAE J1979 lets six parameters be asked for at once. */
const AT_ONCE = 6;
const LOST_AFTER = 5;

interface ObdChannel extends LinkChannel {
  readonly pid: number;
  readonly value: ObdValue;
}

const hex = (pid: number): string => pid.toString(16).toUpperCase().padStart(2, '0');

const decimalsOf = ({ scale, bit }: ObdValue): number =>
  bit !== undefined || scale >= 1 ? 0 : scale >= 0.1 ? 1 : 2;

/**
 * A scan tool that speaks OBD services 01, 03, 04, 07 and 09 over ISO 15765-2 frames. One request is on its way at a time.
 * It has no clock: {@link advance} tells it the time, by which it asks, waits and gives up.
 */
export class ObdLink implements ScanLink {
  readonly #end: IsoTpEnd;
  readonly #listener: LinkListener;
  #queue: Pending[] = [];
  #nowS = 0;
  #connected = false;
  #channels: readonly ObdChannel[] = [];
  #streaming: readonly ObdChannel[] = [];
  #groups: readonly (readonly number[])[] = [];
  #turn = 0;
  #silent = 0;

  constructor(transport: CanTransport, listener: LinkListener) {
    this.#listener = listener;
    this.#end = new IsoTpEnd({
      sendId: OBD_REQUEST_ID,
      receiveId: OBD_ANSWER_ID,
      put: (frame) => transport.send(frame),
      onMessage: (bytes) => this.#answered(bytes),
    });
    transport.listen((frame) => this.#end.receive(frame));
  }

  connect = async (): Promise<LinkIdentity> => {
    this.#listener.onState({ status: 'connecting' });
    try {
      this.#channels = await this.#find();
    } catch {
      this.#listener.onState({ status: 'off' });
      throw new LinkError(say('link.no-answer-ignition'));
    }
    this.#connected = true;
    this.#silent = 0;
    this.#listener.onState({ status: 'connected' });
    const name = await this.#ask(0x09, 0x0a).catch(() => undefined);
    const vin = await this.#ask(0x09, 0x02).catch(() => undefined);
    const text = (bytes: Uint8Array | undefined): string =>
      [...(bytes?.subarray(3) ?? [])]
        .filter((byte) => byte >= 0x20)
        .map((byte) => String.fromCharCode(byte))
        .join('');
    return {
      vehicle: text(name).replace(/^ECM-/, '') || text(vin) || 'unknown',
      module: 'Engine',
      protocol: 'OBD, ISO 15765-4',
    };
  };

  /** Asks which parameters there are, then each once, to see which of its values are fitted. */
  async #find(): Promise<ObdChannel[]> {
    const pids: number[] = [];
    for (let from = 0; ; from += 0x20) {
      const answer = await this.#ask(0x01, from);
      const bits = answer.subarray(2, 6);
      for (let place = 1; place < 32; place++)
        if ((((bits[(place - 1) >> 3] as number) << ((place - 1) & 7)) & 0x80) !== 0) pids.push(from + place);
      if (((bits[3] as number) & 1) === 0 || from >= 0xe0) break;
    }
    const found: ObdChannel[] = [];
    for (const pid of pids) {
      const parameter = OBD_PARAMETERS[pid];
      if (!parameter) continue;
      const data = (await this.#ask(0x01, pid)).subarray(2);
      for (const value of parameter.values) {
        if (value.role === undefined || obdValueOf(value, data) === undefined) continue;
        if (found.some(({ role }) => role === value.role)) continue;
        const unitId = value.unit;
        found.push({
          id: `01 ${hex(pid)} ${value.label}`,
          name: inEnglish(roleName(value.role)),
          module: 'Engine',
          unit: unitId === undefined ? '' : unitLabel(unitId),
          unitId,
          decimals: decimalsOf(value),
          role: value.role,
          status: 'live',
          pid,
          value,
        });
      }
    }
    return found;
  }

  channels = async (): Promise<readonly LinkChannel[]> => {
    this.#require();
    return Promise.resolve(this.#channels);
  };

  stream = async (ids: readonly string[]): Promise<StreamPlan> => {
    this.#require();
    this.#streaming = ids.map((id) => {
      const channel = this.#channels.find((one) => one.id === id);
      if (!channel) throw new LinkError(say('link.no-such-channel', { channel: id }));
      return channel;
    });
    const pids = [...new Set(this.#streaming.map(({ pid }) => pid))];
    this.#groups = Array.from({ length: Math.ceil(pids.length / AT_ONCE) }, (_, i) =>
      pids.slice(i * AT_ONCE, (i + 1) * AT_ONCE),
    );
    this.#turn = 0;
    // About 25 requests a second go over the bus; they are shared by the groups.
    return Promise.resolve({ hz: this.#groups.length === 0 ? 0 : 25 / this.#groups.length });
  };

  codes = async (): Promise<readonly LinkCode[]> => {
    this.#require();
    const list = async (service: number, status: LinkCode['status']): Promise<LinkCode[]> => {
      const answer = await this.#ask(service);
      return Array.from({ length: answer[1] ?? 0 }, (_, i) => ({
        code: codeOfBytes(answer[2 + 2 * i] as number, answer[3 + 2 * i] as number),
        module: 'Engine',
        status,
        // The generic services do not tell whether a condition is there at this moment.
        present: true,
      }));
    };
    return [...(await list(0x03, 'confirmed')), ...(await list(0x07, 'pending'))];
  };

  clearCodes = async (): Promise<LinkAnswer> => {
    this.#require();
    const answer = await this.#ask(0x04);
    return answer[0] === 0x44
      ? { done: true, text: say('link.codes-cleared') }
      : { done: false, text: say('link.only-with-the-engine-off') };
  };

  routines = async (): Promise<readonly LinkRoutine[]> => Promise.resolve([]);

  startRoutine = async (id: RoutineState['id']): Promise<RoutineState> =>
    Promise.resolve({
      id,
      elapsedS: 0,
      status: 'refused',
      text: say('link.no-such-routine'),
    });

  routineState = async (): Promise<RoutineState | undefined> => Promise.resolve(undefined);

  disconnect = async (): Promise<void> => {
    this.#connected = false;
    this.#streaming = [];
    this.#groups = [];
    this.#listener.onState({ status: 'off' });
    return Promise.resolve();
  };

  #require(): void {
    if (!this.#connected) throw new LinkError(say('link.not-connected'));
  }

  #ask(...request: number[]): Promise<Uint8Array> {
    return new Promise((resolve, reject) => this.#enqueue(request, resolve, reject));
  }

  #enqueue(
    request: readonly number[],
    resolve: (answer: Uint8Array) => void,
    reject: (error: Error) => void,
  ): void {
    this.#queue.push({ request: Uint8Array.from(request), resolve, reject, sentS: Number.NaN, tries: 0 });
    this.#sendNext();
  }

  #sendNext(): void {
    const [next] = this.#queue;
    if (!next || next.tries > 0) return;
    this.#send(next);
  }

  #send(pending: Pending): void {
    pending.sentS = this.#nowS;
    pending.tries += 1;
    this.#end.send(pending.request);
  }

  #answered(bytes: Uint8Array): void {
    const [waiting] = this.#queue;
    if (!waiting) return;
    const service = waiting.request[0] as number;
    const refusal = bytes[0] === 0x7f && bytes[1] === service;
    if (!refusal && bytes[0] !== service + 0x40) return;
    this.#queue.shift();
    this.#silent = 0;
    waiting.resolve(bytes);
    this.#sendNext();
  }

  /** Tells the time: asks for what is streamed, waits no longer than it should for answers. */
  advance(nowS: number): void {
    this.#nowS = nowS;
    const [waiting] = this.#queue;
    if (waiting && nowS - waiting.sentS > WAIT_S) {
      if (waiting.tries < TRIES) this.#send(waiting);
      else {
        this.#queue.shift();
        waiting.reject(new LinkError(say('link.no-answer')));
        this.#unanswered();
        this.#sendNext();
      }
    }
    if (this.#connected && this.#groups.length > 0 && this.#queue.length === 0) this.#poll();
  }

  /** Without a promise, so that what streams goes by the time that is told, however many steps are made at once. */
  #poll(): void {
    const pids = this.#groups[this.#turn % this.#groups.length] as readonly number[];
    this.#turn += 1;
    this.#enqueue(
      [0x01, ...pids],
      (answer) => this.#give(answer),
      () => undefined,
    );
  }

  #give(answer: Uint8Array): void {
    const readings: LinkReading[] = [];
    for (let at = 1; at < answer.length;) {
      const pid = answer[at] as number;
      const parameter = OBD_PARAMETERS[pid];
      if (!parameter) break;
      const data = answer.subarray(at + 1, at + 1 + parameter.length);
      for (const channel of this.#streaming) {
        if (channel.pid !== pid) continue;
        const value = obdValueOf(channel.value, data);
        if (value !== undefined) readings.push({ id: channel.id, timeS: this.#nowS, value });
      }
      at += 1 + parameter.length;
    }
    if (readings.length > 0) this.#listener.onReadings(readings);
  }

  #unanswered(): void {
    this.#silent += 1;
    if (!this.#connected || this.#silent < LOST_AFTER) return;
    this.#connected = false;
    this.#streaming = [];
    this.#groups = [];
    this.#listener.onState({ status: 'lost', text: say('link.lost') });
  }
}
