import { failed, outOfRange, success, type Result } from '../../quantities/index.ts';

const A = 3.9083e-3;
const B = -5.775e-7;
const C = -4.183e-12;

/**
 * Resistance of a platinum sensor, Ω: IEC 60751:2008, R = R0·(1 + A·t + B·t²), below 0 °C with C·(t − 100)·t³. Valid −200…850 °C.
 * Worked value: R0 200 Ω, 100 °C → 277.01 Ω.
 */
export function platinumOhm(celsius: number, r0Ohm = 200): number {
  const cold = celsius < 0 ? C * (celsius - 100) * celsius ** 3 : 0;
  return r0Ohm * (1 + A * celsius + B * celsius * celsius + cold);
}

/** The inverse by Newton's method, °C. Worked value: 277.01 Ω at R0 200 Ω → 100.0 °C. Fails outside −200…850 °C. */
export function platinumC(ohm: number, r0Ohm = 200): Result<number> {
  const bad = outOfRange('Resistance', ohm, platinumOhm(-200, r0Ohm), platinumOhm(850, r0Ohm), 'Ω');
  if (bad) return failed(bad);
  let celsius = (ohm / r0Ohm - 1) / A;
  for (let i = 0; i < 20; i++) {
    const slope = (platinumOhm(celsius + 0.01, r0Ohm) - platinumOhm(celsius - 0.01, r0Ohm)) / 0.02;
    celsius -= (platinumOhm(celsius, r0Ohm) - ohm) / slope;
  }
  return success(celsius);
}

/** IEC 60584-1, type N (ITS-90), mV for °C against a junction at 0 °C. */
const N_BELOW = [
  0, 2.6159105962e-2, 1.0957484228e-5, -9.3841111554e-8, -4.6412039759e-11, -2.6303357716e-12,
  -2.2653438003e-14, -7.6089300791e-17, -9.3419667835e-20,
];
const N_ABOVE = [
  0, 2.5929394601e-2, 1.571014188e-5, 4.3825627237e-8, -2.5261169794e-10, 6.4311819339e-13, -1.0063471519e-15,
  9.9745338992e-19, -6.0863245607e-22, 2.0849229339e-25, -3.0682196151e-29,
];

/**
 * Voltage of a type N thermocouple, mV, its other end at `referenceC`: IEC 60584-1. Valid −200…1300 °C.
 * Worked value: 500 °C against 0 °C → 16.748 mV.
 */
export function thermocoupleMv(celsius: number, referenceC = 0): number {
  const at = (t: number): number =>
    (t < 0 ? N_BELOW : N_ABOVE).reduceRight((sum, coefficient) => sum * t + coefficient, 0);
  return at(celsius) - at(referenceC);
}

/** The inverse by halving, °C. Fails outside −200…1300 °C. Worked value: 16.748 mV against 0 °C → 500.0 °C. */
export function thermocoupleC(mv: number, referenceC = 0): Result<number> {
  const bad = outOfRange(
    'Voltage',
    mv,
    thermocoupleMv(-200, referenceC),
    thermocoupleMv(1300, referenceC),
    'mV',
  );
  if (bad) return failed(bad);
  let [low, high] = [-200, 1300];
  for (let i = 0; i < 50; i++) {
    const middle = (low + high) / 2;
    if (thermocoupleMv(middle, referenceC) < mv) low = middle;
    else high = middle;
  }
  return success((low + high) / 2);
}

/** One point and the steepness of an NTC: the maker's table decides; these are of a common high-temperature one. */
export interface Ntc {
  readonly ohmAt: number;
  readonly atC: number;
  readonly beta: number;
}
export const USUAL_NTC: Ntc = { ohmAt: 2.0e5, atC: 100, beta: 6200 };

/**
 * Resistance of an NTC, Ω: R = R₁·exp(β·(1/T − 1/T₁)), T in K. Falls with heat. A description over a limited range; the maker's
 * table comes first. Worked value: 200 kΩ at 100 °C, β 6200: at 200 °C → 5.96 kΩ.
 */
export const ntcOhm = (celsius: number, { ohmAt, atC, beta }: Ntc = USUAL_NTC): number =>
  ohmAt * Math.exp(beta * (1 / (celsius + 273.15) - 1 / (atC + 273.15)));

/** The inverse, °C. Fails for what is no resistance. */
export function ntcC(ohm: number, { ohmAt, atC, beta }: Ntc = USUAL_NTC): Result<number> {
  const bad = outOfRange('Resistance', ohm, 0.1, 1e12, 'Ω');
  if (bad) return failed(bad);
  return success(1 / (1 / (atC + 273.15) + Math.log(ohm / ohmAt) / beta) - 273.15);
}

export const THERMOMETER_KINDS = ['platinum', 'ntc', 'thermocouple'] as const;
export type ThermometerKind = (typeof THERMOMETER_KINDS)[number];

/**
 * What a meter at an EGT's plug says as a temperature: Ω for platinum (R0 200 Ω) and NTC, mV for a thermocouple whose cold end is at
 * `ambientC`.
 */
export function meteredC(kind: ThermometerKind, reading: number, ambientC: number): Result<number> {
  switch (kind) {
    case 'platinum':
      return platinumC(reading);
    case 'ntc':
      return ntcC(reading);
    case 'thermocouple':
      return thermocoupleC(reading, ambientC);
  }
}

/** What a sound sensor of a kind shows at the meter: the inverse of {@link meteredC}. */
export function meterShows(kind: ThermometerKind, celsius: number, ambientC: number): number {
  switch (kind) {
    case 'platinum':
      return platinumOhm(celsius);
    case 'ntc':
      return ntcOhm(celsius);
    case 'thermocouple':
      return thermocoupleMv(celsius, ambientC);
  }
}
