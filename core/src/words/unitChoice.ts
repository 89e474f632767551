import type { Unit } from '../quantities/index.ts';

/** What each kind of figure may be written in, the usual one first. Speed, fuel flow and rates follow these. */
export const UNIT_CHOICES = {
  pressure: ['mbar', 'hPa', 'kPa', 'psi', 'inHg', 'bar'],
  temperature: ['degC', 'degF'],
  distance: ['km', 'mi'],
  massFlow: ['gPerS', 'kgPerH', 'lbPerMin'],
  volumeFlow: ['m3PerH', 'ft3PerMin'],
  soot: ['g', 'oz'],
  weight: ['kg', 'lb'],
  volume: ['L', 'gal'],
  engineSize: ['L', 'in3'],
  length: ['mm', 'in'],
  torque: ['Nm', 'lbFt'],
} as const satisfies Readonly<Record<string, readonly Unit[]>>;

export type UnitChoiceOf = keyof typeof UNIT_CHOICES;
export type UnitChoice = { readonly [Q in UnitChoiceOf]: (typeof UNIT_CHOICES)[Q][number] };

/** The units in which core counts, and in which a person who has chosen nothing reads. */
export const METRIC: UnitChoice = {
  pressure: 'mbar',
  temperature: 'degC',
  distance: 'km',
  massFlow: 'gPerS',
  volumeFlow: 'm3PerH',
  soot: 'g',
  weight: 'kg',
  volume: 'L',
  engineSize: 'L',
  length: 'mm',
  torque: 'Nm',
};

export const US_CUSTOMARY: UnitChoice = {
  pressure: 'psi',
  temperature: 'degF',
  distance: 'mi',
  massFlow: 'lbPerMin',
  volumeFlow: 'ft3PerMin',
  soot: 'oz',
  weight: 'lb',
  volume: 'gal',
  engineSize: 'in3',
  length: 'in',
  torque: 'lbFt',
};

/** Of what was kept somewhere only what may be chosen; for the rest the usual. */
export function unitChoiceFrom(kept: Readonly<Record<string, unknown>>): UnitChoice {
  const choice = (of: UnitChoiceOf): Unit =>
    (UNIT_CHOICES[of] as readonly Unit[]).find((unit) => unit === kept[of]) ?? METRIC[of];
  return Object.fromEntries(
    (Object.keys(UNIT_CHOICES) as UnitChoiceOf[]).map((of) => [of, choice(of)]),
  ) as unknown as UnitChoice;
}
