import { say, type Message } from '../words/index.ts';
import type { Quantity, Unit } from '../quantities/index.ts';

export interface ChannelRoleDefinition {
  readonly quantity: Quantity;
  /** Base unit in which core keeps it. */
  readonly unit: Unit;
  /** Range of plausible values in the base unit, for judging a unit that the file does not state. */
  readonly low: number;
  readonly high: number;
}

const of =
  (quantity: Quantity, unit: Unit) =>
  (low: number, high: number): ChannelRoleDefinition => ({ quantity, unit, low, high });

const pressure = of('pressure', 'mbar');
const temperature = of('temperature', 'degC');
const egt = (): ChannelRoleDefinition => temperature(-60, 1400);
const grams = of('mass', 'g');
const percent = of('percent', 'percent');
const share = (): ChannelRoleDefinition => percent(-5, 110);
const plain = of('fraction', 'percent');

/**
 * Every role a channel can have, in the order in which they are shown: speed, pressures, air and temperatures, which are judged in every
 * log; then what the ECU counts, and what tells how the vehicle was used. What a heading has to say of each stands in the lexicon.
 */
export const CHANNEL_ROLES = {
  engineSpeed: of('rotation', 'rpm')(0, 8000),
  dpfDeltaP: pressure(-600, 3000),
  dpfInletPressure: pressure(-200, 6000),
  dpfOutletPressure: pressure(-200, 6000),
  exhaustBackPressure: pressure(-200, 6000),
  manifoldPressure: pressure(-950, 6000),
  barometricPressure: pressure(500, 1110),
  massAirFlow: of('massFlow', 'gPerS')(-2, 1500),
  egt1: egt(),
  egt2: egt(),
  egt3: egt(),
  egt4: egt(),
  coolantTemp: temperature(-50, 140),
  intakeAirTemp: temperature(-50, 130),
  ambientTemp: temperature(-50, 60),
  oilTemp: temperature(-50, 180),
  sootMass: grams(0, 2000),
  sootPercent: percent(0, 400),
  ashMass: grams(0, 2000),
  ashPercent: percent(0, 400),
  distanceSinceRegen: of('distance', 'km')(0, 50_000),
  regenActive: plain(0, 1),
  vehicleSpeed: of('speed', 'kmPerH')(0, 280),
  pedal: share(),
  fuelLevel: share(),
  oilDilution: share(),
  batteryVoltage: of('voltage', 'V')(0, 40),
  egrPosition: share(),
  turboVanePosition: share(),
  fuelRate: of('fuelFlow', 'lPerH')(0, 300),
  lambda: plain(0, 20),
} as const satisfies Record<string, ChannelRoleDefinition>;

export type ChannelRole = keyof typeof CHANNEL_ROLES;
export const ROLE_IDS = Object.keys(CHANNEL_ROLES) as ChannelRole[];
/** What a role is called. */
export const roleName = (role: ChannelRole): Message => say(`channels.${role}`);
export const isChannelRole = (text: string): text is ChannelRole => Object.hasOwn(CHANNEL_ROLES, text);
