import type { LinkChannel } from '../../link/index.ts';
import { fromBase, unitLabel, type Unit } from '../../quantities/index.ts';
import { CHANNEL_ROLES, type ChannelRole, roleName } from '../../readings/index.ts';
import { inEnglish } from '../../words/index.ts';
import type { BenchFamily } from '../families.ts';

type Tongue = BenchFamily['tongue'];

/** How the modules of a tongue name a channel; where it is not said, plainly. */
const NAMES: Readonly<Record<Tongue, Partial<Record<ChannelRole, string>>>> = {
  plain: {},
  short: {
    engineSpeed: 'n_Eng',
    dpfDeltaP: 'dp_DPF',
    exhaustBackPressure: 'p3_abs exhaust back pressure',
    manifoldPressure: 'MAP abs',
    barometricPressure: 'p_baro',
    massAirFlow: 'MAF',
    egt1: 'EGT 1',
    egt2: 'EGT 2',
    egt3: 'EGT 3',
    egt4: 'EGT 4',
    coolantTemp: 'ECT coolant temp',
    intakeAirTemp: 'IAT',
    sootMass: 'DPF soot mass',
    vehicleSpeed: 'Veh speed',
  },
  kilopascal: {},
  heavy: {
    engineSpeed: 'Engine speed',
    dpfDeltaP: 'Aftertreatment 1 DPF differential pressure',
    exhaustBackPressure: 'Exhaust back pressure before turbo',
    manifoldPressure: 'Intake manifold absolute pressure',
    egt1: 'Exhaust gas temperature 1',
    egt2: 'Exhaust gas temperature 2',
    egt3: 'Exhaust gas temperature 3',
    egt4: 'Exhaust gas temperature 4',
  },
};

/** In which unit, and how finely, a tongue gives its pressures and its air. */
const PRESSURE: Readonly<Record<Tongue, { unit: Unit; fine: number; coarse: number }>> = {
  plain: { unit: 'mbar', fine: 1, coarse: 0 },
  short: { unit: 'hPa', fine: 1, coarse: 0 },
  kilopascal: { unit: 'kPa', fine: 2, coarse: 1 },
  heavy: { unit: 'kPa', fine: 2, coarse: 1 },
};

const DECIMALS: Partial<Record<ChannelRole, number>> = {
  engineSpeed: 0,
  massAirFlow: 1,
  egt1: 0,
  egt2: 0,
  egt3: 0,
  egt4: 0,
  coolantTemp: 0,
  intakeAirTemp: 0,
  ambientTemp: 0,
  oilTemp: 0,
  sootMass: 1,
  ashMass: 1,
  sootPercent: 0,
  regenActive: 0,
  vehicleSpeed: 0,
  batteryVoltage: 1,
  lambda: 2,
  fuelRate: 2,
};

/** Every channel that a module of the bench offers, in the order in which it lists them. */
export const BENCH_CHANNELS: readonly ChannelRole[] = [
  'engineSpeed',
  'dpfDeltaP',
  'exhaustBackPressure',
  'manifoldPressure',
  'barometricPressure',
  'massAirFlow',
  'egt1',
  'egt2',
  'egt3',
  'egt4',
  'coolantTemp',
  'intakeAirTemp',
  'ambientTemp',
  'oilTemp',
  'sootMass',
  'sootPercent',
  'ashMass',
  'distanceSinceRegen',
  'regenActive',
  'vehicleSpeed',
  'pedal',
  'fuelLevel',
  'oilDilution',
  'batteryVoltage',
  'egrPosition',
  'turboVanePosition',
  'fuelRate',
  'lambda',
];

/** A channel as the family's module offers it. */
export function benchChannel(
  { tongue }: BenchFamily,
  role: ChannelRole,
  status: LinkChannel['status'],
): LinkChannel {
  const { quantity, unit } = CHANNEL_ROLES[role];
  const name = NAMES[tongue][role] ?? inEnglish(roleName(role));
  if (status === 'volts')
    return { id: role, role, name, module: 'Engine', unit: 'V', unitId: 'V', decimals: 2, status };
  const { unit: pressure, fine, coarse } = PRESSURE[tongue];
  const given = quantity === 'pressure' ? pressure : unit;
  return {
    id: role,
    role,
    name,
    module: 'Engine',
    unit: role === 'lambda' || role === 'regenActive' ? '' : unitLabel(given),
    unitId: role === 'lambda' || role === 'regenActive' ? undefined : given,
    decimals: quantity === 'pressure' ? (role === 'dpfDeltaP' ? fine : coarse) : (DECIMALS[role] ?? 1),
    status,
  };
}

/** A value in base units as the module gives it: its unit, its steps. */
export function asGiven({ unitId, decimals, status }: LinkChannel, base: number): number {
  const value = status === 'volts' || unitId === undefined ? base : fromBase(base, unitId);
  return Number(value.toFixed(decimals));
}
