import type { Quantity, Unit } from '../quantities/index.ts';

export interface ChannelRoleDefinition {
  readonly label: string;
  readonly quantity: Quantity;
  /** Base unit in which core keeps it. */
  readonly unit: Unit;
  /** Range of plausible values in the base unit, for judging a unit that the file does not state. */
  readonly low: number;
  readonly high: number;
}

const of =
  (quantity: Quantity, unit: Unit) =>
  (label: string, low: number, high: number): ChannelRoleDefinition => ({ label, quantity, unit, low, high });

const pressure = of('pressure', 'mbar');
const temperature = of('temperature', 'degC');
const egt = (label: string): ChannelRoleDefinition => temperature(label, -60, 1400);
const grams = of('mass', 'g');
const percent = of('percent', 'percent');
const share = (label: string): ChannelRoleDefinition => percent(label, -5, 110);
const plain = of('fraction', 'percent');

/**
 * Every role a channel can have, in the order in which they are shown: speed, pressures, air and temperatures, which are judged in every
 * log; then what the ECU counts, and what tells how the vehicle was used. What a heading has to say of each stands in the lexicon.
 */
export const CHANNEL_ROLES = {
  engineSpeed: of('rotation', 'rpm')('Engine speed', 0, 8000),
  dpfDeltaP: pressure('ΔP across the filter', -600, 3000),
  dpfInletPressure: pressure('Pressure before the filter', -200, 6000),
  dpfOutletPressure: pressure('Pressure after the filter', -200, 6000),
  exhaustBackPressure: pressure('Back-pressure before the turbo', -200, 6000),
  manifoldPressure: pressure('Manifold pressure', -950, 6000),
  barometricPressure: pressure('Barometer', 500, 1110),
  massAirFlow: of('massFlow', 'gPerS')('Air mass', -2, 1500),
  egt1: egt('EGT 1 (before turbo)'),
  egt2: egt('EGT 2 (before catalyst)'),
  egt3: egt('EGT 3 (before filter)'),
  egt4: egt('EGT 4 (after filter)'),
  coolantTemp: temperature('Coolant', -50, 140),
  intakeAirTemp: temperature('Intake air', -50, 130),
  ambientTemp: temperature('Outside air', -50, 60),
  oilTemp: temperature('Oil temperature', -50, 180),
  sootMass: grams('Soot value', 0, 2000),
  sootPercent: percent('Soot load in per cent', 0, 400),
  ashMass: grams('Ash value', 0, 2000),
  ashPercent: percent('Ash load in per cent', 0, 400),
  distanceSinceRegen: of('distance', 'km')('Distance since regeneration', 0, 50_000),
  regenActive: plain('Regeneration running', 0, 1),
  vehicleSpeed: of('speed', 'kmPerH')('Vehicle speed', 0, 280),
  pedal: share('Pedal'),
  fuelLevel: share('Fuel level'),
  oilDilution: share('Fuel in the oil'),
  batteryVoltage: of('voltage', 'V')('Battery', 0, 40),
  egrPosition: share('EGR valve'),
  turboVanePosition: share('Turbo vanes'),
  fuelRate: of('fuelFlow', 'lPerH')('Fuel rate', 0, 300),
  lambda: plain('Lambda', 0, 20),
} as const satisfies Record<string, ChannelRoleDefinition>;

export type ChannelRole = keyof typeof CHANNEL_ROLES;
export const ROLE_IDS = Object.keys(CHANNEL_ROLES) as ChannelRole[];
export const isChannelRole = (text: string): text is ChannelRole => Object.hasOwn(CHANNEL_ROLES, text);
