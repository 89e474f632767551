import {
  type CanFrame,
  type CanTransport,
  IsoTpEnd,
  OBD_ANSWER_ID,
  OBD_REQUEST_ID,
} from '../../link/index.ts';
import type { BenchVehicle } from '../benchVehicle.ts';
import { obdAnswer } from './obdResponder.ts';

/** How long the ECU takes to answer, s. */
const ANSWER_S = 0.02;

/** The wires of the diagnostic plug: frames between the tool and the simulated vehicle's ECU. */
export class SimulatedBus implements CanTransport {
  readonly #vehicle: BenchVehicle;
  readonly #computer: IsoTpEnd;
  #hear: (frame: CanFrame) => void = () => undefined;
  #due: { atS: number; answer: Uint8Array }[] = [];
  /** Every frame that passed, for a log of the bus. */
  readonly onFrame: ((timeS: number, frame: CanFrame) => void) | undefined;
  /** Pulled out: nothing passes. */
  unplugged = false;

  constructor(vehicle: BenchVehicle, onFrame?: (timeS: number, frame: CanFrame) => void) {
    this.#vehicle = vehicle;
    this.onFrame = onFrame;
    this.#computer = new IsoTpEnd({
      sendId: OBD_ANSWER_ID,
      receiveId: OBD_REQUEST_ID,
      put: (frame) => this.#pass(frame, () => this.#hear(frame)),
      onMessage: (request) => {
        const answer = obdAnswer(vehicle, request);
        if (answer) this.#due.push({ atS: vehicle.timeS + ANSWER_S, answer });
      },
    });
  }

  #pass(frame: CanFrame, on: () => void): void {
    if (this.unplugged) return;
    this.onFrame?.(this.#vehicle.timeS, frame);
    on();
  }

  send = (frame: CanFrame): void => this.#pass(frame, () => this.#computer.receive(frame));

  listen = (hear: (frame: CanFrame) => void): void => {
    this.#hear = hear;
  };

  /** Sends the answers that are due. To be called after every step of the vehicle. */
  advance(): void {
    while (this.#due[0] && this.#due[0].atS <= this.#vehicle.timeS) {
      const next = this.#due.shift();
      if (next && this.#vehicle.controls.ignition === 'on') this.#computer.send(next.answer);
    }
  }
}
