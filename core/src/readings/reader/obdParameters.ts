import type { Unit } from '../../quantities/index.ts';
import type { ChannelRole } from '../channelRoles.ts';

/** One value inside the answer to a parameter number. */
export interface ObdValue {
  /** What it is, behind the parameter's number; empty where the answer holds one value only. */
  readonly label: string;
  readonly role?: ChannelRole;
  readonly unit?: Unit;
  /** Bit of the answer's first byte that says whether it is fitted; without one it always is. */
  readonly fittedBit?: number;
  /** First byte of the value, counted from 0, and how many there are. */
  readonly at: number;
  readonly bytes: 1 | 2;
  readonly signed?: true;
  readonly scale: number;
  readonly offset?: number;
  /** Value = (byte ≫ bit) & 1. */
  readonly bit?: number;
}

export interface ObdParameter {
  /** Bytes behind the parameter number. */
  readonly length: number;
  readonly values: readonly ObdValue[];
}

type About = Partial<Pick<ObdValue, 'role' | 'unit' | 'offset' | 'signed' | 'fittedBit' | 'bit'>>;
const value = (label: string, at: number, bytes: 1 | 2, scale: number, about: About = {}): ObdValue => ({
  label,
  at,
  bytes,
  scale,
  ...about,
});
const one = (length: number, only: ObdValue): ObdParameter => ({ length, values: [only] });
const percent = (label: string, at = 0, about: About = {}): ObdValue =>
  value(label, at, 1, 100 / 255, { unit: 'percent', ...about });
const celsius = (label: string, at: number, about: About = {}): ObdValue =>
  value(label, at, 1, 1, { unit: 'degC', offset: -40, ...about });
const fineCelsius = (label: string, at: number, about: About = {}): ObdValue =>
  value(label, at, 2, 0.1, { unit: 'degC', offset: -40, ...about });
/** Hundredths of a kilopascal are tenths of a millibar. */
const finePressure = (label: string, at: number, about: About = {}): ObdValue =>
  value(label, at, 2, 0.1, { unit: 'mbar', ...about });

const exhaustTemperatures = (bank: 1 | 2): ObdParameter => ({
  length: 9,
  values: ([1, 2, 3, 4] as const).map((n) =>
    fineCelsius(`EGT ${n}${bank === 2 ? ' bank 2' : ''}`, 2 * n - 1, {
      fittedBit: n - 1,
      ...(bank === 1 ? { role: `egt${n}` as const } : {}),
    }),
  ),
});

const filterPressures = (bank: 1 | 2): ObdParameter => ({
  length: 7,
  values: [
    finePressure('filter ΔP', 1, {
      fittedBit: 0,
      signed: true,
      ...(bank === 1 ? { role: 'dpfDeltaP' as const } : {}),
    }),
    finePressure('filter inlet', 3, {
      fittedBit: 1,
      ...(bank === 1 ? { role: 'dpfInletPressure' as const } : {}),
    }),
    finePressure('filter outlet', 5, {
      fittedBit: 2,
      ...(bank === 1 ? { role: 'dpfOutletPressure' as const } : {}),
    }),
  ],
});

/**
 * Answers of service 01 by parameter number, with lengths and scaling as SAE J1979 (ISO 15031-5) gives them. Pressures
 * are kept in mbar: 1 kPa a bit = 10 mbar. Worked value: 0C 1A F8 → 0x1AF8 / 4 = 1726 rpm.
 */
export const OBD_PARAMETERS: Readonly<Record<number, ObdParameter>> = {
  0x04: one(1, percent('calculated load')),
  0x05: one(1, celsius('', 0, { role: 'coolantTemp' })),
  0x0a: one(1, value('fuel pressure', 0, 1, 30, { unit: 'mbar' })),
  0x0b: one(1, value('', 0, 1, 10, { unit: 'mbar', role: 'manifoldPressure' })),
  0x0c: one(2, value('', 0, 2, 0.25, { unit: 'rpm', role: 'engineSpeed' })),
  0x0d: one(1, value('', 0, 1, 1, { unit: 'kmPerH', role: 'vehicleSpeed' })),
  0x0f: one(1, celsius('', 0, { role: 'intakeAirTemp' })),
  0x10: one(2, value('', 0, 2, 0.01, { unit: 'gPerS', role: 'massAirFlow' })),
  0x11: one(1, percent('throttle')),
  0x1f: one(2, value('run time', 0, 2, 1, { unit: 's' })),
  0x21: one(2, value('distance with lamp', 0, 2, 1, { unit: 'km' })),
  0x23: one(2, value('rail pressure', 0, 2, 100, { unit: 'mbar' })),
  0x2c: one(1, percent('EGR commanded')),
  0x2d: one(1, value('EGR error', 0, 1, 100 / 128, { unit: 'percent', offset: -100 })),
  0x2f: one(1, percent('', 0, { role: 'fuelLevel' })),
  0x30: one(1, value('warm-ups since clear', 0, 1, 1)),
  0x31: one(2, value('distance since clear', 0, 2, 1, { unit: 'km' })),
  0x33: one(1, value('', 0, 1, 10, { unit: 'mbar', role: 'barometricPressure' })),
  0x3c: one(2, fineCelsius('catalyst bank 1 sensor 1', 0)),
  0x3d: one(2, fineCelsius('catalyst bank 2 sensor 1', 0)),
  0x3e: one(2, fineCelsius('catalyst bank 1 sensor 2', 0)),
  0x3f: one(2, fineCelsius('catalyst bank 2 sensor 2', 0)),
  0x42: one(2, value('', 0, 2, 0.001, { unit: 'V', role: 'batteryVoltage' })),
  0x43: one(2, value('absolute load', 0, 2, 100 / 255, { unit: 'percent' })),
  0x44: one(2, value('', 0, 2, 2 / 65_536, { role: 'lambda' })),
  0x45: one(1, percent('relative throttle')),
  0x46: one(1, celsius('', 0, { role: 'ambientTemp' })),
  0x49: one(1, percent('', 0, { role: 'pedal' })),
  0x4a: one(1, percent('pedal E')),
  0x4b: one(1, percent('pedal F')),
  0x4c: one(1, percent('throttle commanded')),
  0x4d: one(2, value('time with lamp', 0, 2, 1)),
  0x4e: one(2, value('time since clear', 0, 2, 1)),
  0x5a: one(1, percent('relative pedal')),
  0x5c: one(1, celsius('', 0, { role: 'oilTemp' })),
  0x5e: one(2, value('', 0, 2, 0.05, { unit: 'lPerH', role: 'fuelRate' })),
  0x61: one(1, value('torque demanded', 0, 1, 1, { unit: 'percent', offset: -125 })),
  0x62: one(1, value('torque', 0, 1, 1, { unit: 'percent', offset: -125 })),
  0x63: one(2, value('reference torque', 0, 2, 1)),
  0x66: {
    length: 5,
    values: [
      value('air mass A', 1, 2, 1 / 32, { unit: 'gPerS', role: 'massAirFlow', fittedBit: 0 }),
      value('air mass B', 3, 2, 1 / 32, { unit: 'gPerS', fittedBit: 1 }),
    ],
  },
  0x67: {
    length: 3,
    values: [
      celsius('coolant 1', 1, { role: 'coolantTemp', fittedBit: 0 }),
      celsius('coolant 2', 2, { fittedBit: 1 }),
    ],
  },
  0x68: {
    length: 7,
    values: [1, 2, 3, 4, 5, 6].map((n) =>
      celsius(`intake air ${n}`, n, {
        fittedBit: n - 1,
        ...(n === 1 ? { role: 'intakeAirTemp' as const } : {}),
      }),
    ),
  },
  0x69: {
    length: 7,
    values: [
      percent('EGR A commanded', 1, { fittedBit: 0 }),
      percent('EGR A position', 2, { fittedBit: 1, role: 'egrPosition' }),
      percent('EGR B commanded', 4, { fittedBit: 3 }),
      percent('EGR B position', 5, { fittedBit: 4 }),
    ],
  },
  0x6b: {
    length: 5,
    values: [1, 2, 3, 4].map((n) => celsius(`recirculated gas ${n}`, n, { fittedBit: n - 1 })),
  },
  0x6f: {
    length: 3,
    values: [
      value('compressor inlet A', 1, 1, 10, { unit: 'mbar', fittedBit: 0 }),
      value('compressor inlet B', 2, 1, 10, { unit: 'mbar', fittedBit: 1 }),
    ],
  },
  0x70: {
    length: 10,
    values: [
      value('boost A commanded', 1, 2, 10 / 32, { unit: 'mbar', fittedBit: 0 }),
      value('boost A', 3, 2, 10 / 32, { unit: 'mbar', fittedBit: 1, role: 'manifoldPressure' }),
    ],
  },
  0x71: {
    length: 6,
    values: [
      percent('vanes A commanded', 1, { fittedBit: 0 }),
      percent('vanes A position', 2, { fittedBit: 1, role: 'turboVanePosition' }),
    ],
  },
  0x73: {
    length: 5,
    values: [
      finePressure('exhaust pressure', 1, { fittedBit: 0, role: 'exhaustBackPressure' }),
      finePressure('exhaust pressure bank 2', 3, { fittedBit: 1 }),
    ],
  },
  0x74: {
    length: 5,
    values: [
      value('turbine A speed', 1, 2, 10, { unit: 'rpm', fittedBit: 0 }),
      value('turbine B speed', 3, 2, 10, { unit: 'rpm', fittedBit: 1 }),
    ],
  },
  0x77: { length: 5, values: [1, 2, 3, 4].map((n) => celsius(`charge air ${n}`, n, { fittedBit: n - 1 })) },
  0x78: exhaustTemperatures(1),
  0x79: exhaustTemperatures(2),
  0x7a: filterPressures(1),
  0x7b: filterPressures(2),
  0x7c: {
    length: 9,
    values: [
      fineCelsius('filter inlet', 1, { fittedBit: 0 }),
      fineCelsius('filter outlet', 3, { fittedBit: 1 }),
      fineCelsius('filter inlet bank 2', 5, { fittedBit: 2 }),
      fineCelsius('filter outlet bank 2', 7, { fittedBit: 3 }),
    ],
  },
  0x87: {
    length: 5,
    values: [
      value('manifold A', 1, 2, 10 / 32, { unit: 'mbar', role: 'manifoldPressure', fittedBit: 0 }),
      value('manifold B', 3, 2, 10 / 32, { unit: 'mbar', fittedBit: 1 }),
    ],
  },
  0x8b: {
    length: 7,
    values: [
      value('regeneration running', 1, 1, 1, { bit: 0, role: 'regenActive', fittedBit: 0 }),
      value('regeneration active, not passive', 1, 1, 1, { bit: 1, fittedBit: 1 }),
      percent('regeneration trigger', 2, { fittedBit: 4 }),
      value('minutes between regenerations', 3, 2, 1, { fittedBit: 5 }),
      value('distance between regenerations', 5, 2, 1, { unit: 'km', fittedBit: 6 }),
    ],
  },
};

/** Value of an answer's data; undefined where the answer says that it is not fitted. */
export function obdValueOf(value: ObdValue, data: Uint8Array): number | undefined {
  if (value.fittedBit !== undefined && (((data[0] as number) >> value.fittedBit) & 1) === 0) return undefined;
  const high = data[value.at] as number;
  const whole = value.bytes === 1 ? high : high * 256 + (data[value.at + 1] as number);
  const signed = value.signed && whole > 0x7fff ? whole - 0x10000 : whole;
  const number =
    value.bit === undefined ? signed * value.scale + (value.offset ?? 0) : (whole >> value.bit) & 1;
  // Tenths and hundredths do not stand exactly in binary: without this a ladder of steps would show 0.30000000000000004.
  return Math.round(number * 1e6) / 1e6;
}
