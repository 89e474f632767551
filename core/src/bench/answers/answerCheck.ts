import type { CheckId, CheckValues } from '../../checks/index.ts';
import type { BenchVehicle } from '../benchVehicle.ts';
import { BenchHand } from './bench.ts';
import * as line from './line.ts';
import * as looks from './looks.ts';
import * as sensors from './sensors.ts';

/** Makes a check at the simulated vehicle and gives what a person would enter. */
export type Answer = (hand: BenchHand) => CheckValues;

const ANSWERS: Readonly<Record<CheckId, Answer>> = {
  'dp-zero': sensors.zero,
  'dp-electrical': sensors.electrical,
  'dp-ladder': sensors.ladder,
  'dp-swap': sensors.swap,
  hoses: line.hoses,
  'pipe-response': line.response,
  'pipe-pump': line.pump,
  'absolute-agree': sensors.agree,
  'sensor-compare': sensors.compare,
  'egt-position': sensors.position,
  'egt-cold-soak': sensors.coldSoak,
  'egt-resistance': sensors.resistance,
  'intake-smoke': line.smoke,
  'air-mass': line.airMass,
  turbo: line.turbo,
  'vane-sweep': line.vanes,
  egr: line.egr,
  'dosing-injector': line.dosing,
  glow: line.glow,
  oil: line.oil,
  thermostat: line.thermostat,
  gauge: line.gauge,
  sections: line.sections,
  'filter-look': line.look,
  counter: line.counter,
  'fuel-level': line.fuelLevel,
  'use-history': line.useHistory,
  supply: sensors.supply,
  injectors: line.injectors,
  'intake-look': looks.intake,
  fuses: looks.fuses,
  tailpipe: looks.tailpipe,
  'oil-film': looks.oilFilm,
  'running-comparison': looks.comparison,
  'single-piece': looks.singlePiece,
};

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
