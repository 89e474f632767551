import type { CheckId } from '../checks/index.ts';
import type { CodeRole } from './codeTable.ts';

/** What a range of codes is about, where the single code is not known for certain. */
export interface CodeRange {
  readonly from: string;
  readonly to: string;
  readonly role: CodeRole;
  readonly holdsRegenerationOff: boolean;
  readonly checks: readonly CheckId[];
  readonly meaning: string;
}

const range = (
  from: string,
  to: string,
  meaning: string,
  role: CodeRole = 'bystander',
  checks: readonly CheckId[] = [],
  holdsRegenerationOff = role === 'cause',
): CodeRange => ({ from, to, role, holdsRegenerationOff, checks, meaning });

/** Families of the standard's ranges, narrow ones before those that they lie in. */
export const CODE_RANGES: readonly CodeRange[] = [
  range('P0033', 'P0049', 'Boost control and turbocharger speed', 'cause', ['vane-sweep', 'turbo']),
  range('P0030', 'P0064', 'Heaters of oxygen sensors'),
  range('P0068', 'P006F', 'Pressures that are compared with each other', 'cause', ['absolute-agree']),
  range('P0100', 'P0104', 'MAF sensor', 'cause', ['air-mass', 'intake-smoke']),
  range('P0105', 'P0109', 'Manifold pressure', 'cause', ['absolute-agree']),
  range('P0115', 'P0119', 'Coolant temperature', 'cause', ['thermostat']),
  range('P0110', 'P0129', 'Temperatures of air and coolant', 'cause', ['thermostat']),
  range('P0130', 'P0169', 'Oxygen sensors'),
  range('P0170', 'P0199', 'Mixture, fuel pressure and temperature', 'bystander', ['injectors'], true),
  range('P0200', 'P0233', 'Injectors and fuel supply', 'bystander', ['injectors'], true),
  range('P0234', 'P0250', 'Boost', 'cause', ['absolute-agree', 'vane-sweep']),
  range('P0251', 'P0299', 'Injection and boost', 'bystander', ['injectors'], true),
  range('P0380', 'P0389', 'Glow plugs', 'cause', ['glow']),
  range('P0300', 'P0399', 'Misfires and speed sensors', 'bystander', ['injectors'], true),
  range('P0400', 'P0409', 'EGR', 'cause', ['egr', 'air-mass']),
  range('P0410', 'P0419', 'Air into the exhaust'),
  range('P0420', 'P0439', 'Catalyst', 'consequence', ['sections']),
  range('P0440', 'P0459', 'Fuel vapour'),
  range('P0460', 'P0469', 'Fuel level', 'bystander', ['fuel-level'], true),
  range('P0470', 'P0479', 'Exhaust pressure', 'cause', ['absolute-agree', 'gauge']),
  range('P0480', 'P0499', 'Fans, vapour and EGR control'),
  range('P0520', 'P0529', 'Oil pressure and level', 'bystander', ['oil'], true),
  range('P0500', 'P0559', 'Speed, idle and steering'),
  range('P0560', 'P0569', 'Supply voltage', 'bystander', ['supply'], true),
  range('P0570', 'P0599', 'Cruise control, brake switches and thermostat', 'bystander', ['thermostat']),
  range('P0640', 'P0659', 'Supplies of the sensors', 'cause', ['supply', 'dp-electrical']),
  range('P0670', 'P0684', 'Glow plugs', 'cause', ['glow']),
  range('P0600', 'P0699', 'ECUs and their outputs', 'bystander', ['supply']),
  range('P0700', 'P0999', 'Gearbox'),
  range('P2000', 'P2003', 'Filter and nitrogen oxide trap', 'consequence', ['filter-look'], true),
  range('P2004', 'P2029', 'Flaps in the intake', 'bystander', ['egr']),
  range('P2030', 'P2036', 'EGT sensors', 'cause', ['egt-position', 'egt-resistance']),
  range('P2037', 'P207F', 'Reductant and what measures it'),
  range('P2080', 'P2089', 'EGT sensors', 'cause', ['egt-position', 'egt-cold-soak']),
  range('P20CA', 'P20E4', 'Fuel into the exhaust', 'cause', ['dosing-injector']),
  range('P2090', 'P20FF', 'Reductant and what is dosed into the exhaust'),
  range('P2100', 'P219F', 'Throttle and mixture'),
  range('P2200', 'P2225', 'Nitrogen oxide sensors'),
  range('P2226', 'P222F', 'Barometer', 'cause', ['absolute-agree']),
  range('P2260', 'P226C', 'Boost', 'cause', ['vane-sweep', 'intake-smoke']),
  range('P2279', 'P2284', 'Air leaks in the intake', 'cause', ['intake-smoke']),
  range('P2200', 'P229F', 'Nitrogen oxides, boost and air'),
  range('P2413', 'P2419', 'EGR', 'cause', ['egr']),
  range('P242A', 'P242E', 'EGT sensors', 'cause', ['egt-position', 'egt-resistance']),
  range('P244A', 'P246D', 'Filter: its pressure, soot and regeneration', 'consequence', [
    'dp-zero',
    'counter',
  ]),
  range('P246E', 'P2472', 'EGT sensors', 'cause', ['egt-position', 'egt-resistance']),
  range('P2473', 'P248F', 'EGT sensors and pressures after the turbo', 'cause', ['egt-position']),
  range('P24A0', 'P24FF', 'Filter, its regeneration and the soot sensor', 'consequence', ['filter-look']),
  range('P2400', 'P24FF', 'Vapour, secondary air, EGR, filter'),
  range('P2500', 'P250F', 'Generator, oil level', 'bystander', ['oil']),
  range('P2562', 'P2566', 'Turbo vane position', 'cause', ['vane-sweep']),
  range('P2500', 'P27FF', 'Supplies, outputs and gearbox'),
  range('P0000', 'P0FFF', 'Engine and gearbox'),
  range('P2000', 'P2FFF', 'Engine and gearbox'),
  range('C0000', 'C3FFF', 'Chassis: brakes, steering, tyres'),
  range('B0000', 'B3FFF', 'Body: airbags, lights, comfort'),
  range('U0000', 'U3FFF', 'Data lines between the modules'),
];
