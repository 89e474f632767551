import type { CheckId, CheckValues } from '../../checks/index.ts';
import type { BenchVehicle } from '../benchVehicle.ts';
import { BenchHand } from './bench.ts';
import type { Answer } from './answer.ts';
import { LINE_ANSWERS } from './line.ts';
import { LOOK_ANSWERS } from './looks.ts';
import { SENSOR_ANSWERS } from './sensors.ts';

const ANSWERS: Readonly<Record<CheckId, Answer>> = { ...SENSOR_ANSWERS, ...LINE_ANSWERS, ...LOOK_ANSWERS };

/**
 * What a check at the simulated vehicle shows, as a person would enter it: it is driven, pumped, metered and looked at as the card
 * says, and what its plant and its sensors then show is what is entered. It ends with the engine off.
 */
export function answerCheck(vehicle: BenchVehicle, check: CheckId): CheckValues {
  const hand = new BenchHand(vehicle);
  const values = ANSWERS[check](hand);
  hand.keyOn(0.5);
  return values;
}
