import { failed, success, type Result } from './result.ts';

/**
 * Units that people meet on scan tools and gauges, each as `base = (value + shift) · factor`.
 * Base units: mbar, °C, g/s, km, rpm, g, km/h, s, V, Ω, %, m³/h, L/h, L, mm, N·m, g/L.
 */
interface UnitDefinition {
  readonly quantity: Quantity;
  readonly label: string;
  readonly factor: number;
  readonly shift?: number;
  readonly spellings: readonly string[];
}

export type Quantity =
  | 'pressure'
  | 'temperature'
  | 'massFlow'
  | 'distance'
  | 'speed'
  | 'rotation'
  | 'mass'
  | 'time'
  | 'voltage'
  | 'resistance'
  | 'percent'
  | 'volumeFlow'
  | 'fuelFlow'
  | 'fraction'
  | 'volume'
  | 'length'
  | 'torque'
  | 'loading';

const LB = 453.59237;
const US_GALLON = 3.785411784;

export const UNITS = {
  mbar: { quantity: 'pressure', label: 'mbar', factor: 1, spellings: ['mbar', 'millibar', 'mb', 'mbars'] },
  hPa: { quantity: 'pressure', label: 'hPa', factor: 1, spellings: ['hpa', 'hectopascal'] },
  kPa: { quantity: 'pressure', label: 'kPa', factor: 10, spellings: ['kpa', 'kilopascal'] },
  Pa: { quantity: 'pressure', label: 'Pa', factor: 0.01, spellings: ['pa', 'pascal'] },
  bar: { quantity: 'pressure', label: 'bar', factor: 1000, spellings: ['bar', 'bars'] },
  MPa: { quantity: 'pressure', label: 'MPa', factor: 10_000, spellings: ['mpa', 'megapascal'] },
  psi: {
    quantity: 'pressure',
    label: 'psi',
    factor: 68.947573,
    spellings: ['psi', 'lbf/in2', 'psia', 'psig', 'lb/in2'],
  },
  inHg: {
    quantity: 'pressure',
    label: 'inHg',
    factor: 33.86389,
    spellings: ['inhg', 'in.hg', '"hg', 'in hg', 'in. hg', 'inches hg'],
  },
  inH2O: {
    quantity: 'pressure',
    label: 'inH₂O',
    factor: 2.490889,
    spellings: ['inh2o', 'inh₂o', 'in h2o', '"h2o', 'inwc'],
  },
  mmH2O: {
    quantity: 'pressure',
    label: 'mmH₂O',
    factor: 0.0980665,
    spellings: ['mmh2o', 'mmh₂o', 'mmwc', 'mmws'],
  },
  kgPerCm2: {
    quantity: 'pressure',
    label: 'kg/cm²',
    factor: 980.665,
    spellings: ['kg/cm2', 'kg/cm²', 'kgf/cm2', 'kgf/cm²'],
  },
  mmHg: { quantity: 'pressure', label: 'mmHg', factor: 1.333224, spellings: ['mmhg', 'torr'] },
  degC: {
    quantity: 'temperature',
    label: '°C',
    factor: 1,
    spellings: [
      'c',
      '°c',
      'degc',
      'deg c',
      'deg. c',
      'ºc',
      'celsius',
      'grad c',
      'gradc',
      '° c',
      'degrees c',
      'stc',
      '℃',
    ],
  },
  degF: {
    quantity: 'temperature',
    label: '°F',
    factor: 5 / 9,
    shift: -32,
    spellings: ['f', '°f', 'degf', 'deg f', 'deg. f', 'ºf', 'fahrenheit', '° f', 'degrees f', '℉'],
  },
  K: {
    quantity: 'temperature',
    label: 'K',
    factor: 1,
    shift: -273.15,
    spellings: ['k', 'kelvin', 'degk', '°k'],
  },
  gPerS: {
    quantity: 'massFlow',
    label: 'g/s',
    factor: 1,
    spellings: ['g/s', 'g/sec', 'gps', 'gm/s', 'gr/s', 'gram/s', 'grams/s', 'gm/sec', 'grams/sec'],
  },
  kgPerH: {
    quantity: 'massFlow',
    label: 'kg/h',
    factor: 1 / 3.6,
    spellings: ['kg/h', 'kg/hr', 'kg/std', 'kgh', 'kg/hour'],
  },
  kgPerMin: { quantity: 'massFlow', label: 'kg/min', factor: 1000 / 60, spellings: ['kg/min'] },
  kgPerS: { quantity: 'massFlow', label: 'kg/s', factor: 1000, spellings: ['kg/s', 'kg/sec'] },
  lbPerH: {
    quantity: 'massFlow',
    label: 'lb/h',
    factor: LB / 3600,
    spellings: ['lb/h', 'lb/hr', 'lbs/hr', 'pph'],
  },
  lbPerMin: {
    quantity: 'massFlow',
    label: 'lb/min',
    factor: LB / 60,
    spellings: ['lb/min', 'lbs/min', 'lb/m', 'lbm/min', 'ppm lb'],
  },
  km: { quantity: 'distance', label: 'km', factor: 1, spellings: ['km', 'kilometer', 'kilometre'] },
  m: { quantity: 'distance', label: 'm', factor: 0.001, spellings: ['m', 'meter', 'metre'] },
  mi: { quantity: 'distance', label: 'mi', factor: 1.609344, spellings: ['mi', 'mile', 'miles'] },
  ft: { quantity: 'distance', label: 'ft', factor: 0.0003048, spellings: [] },
  kmPerH: {
    quantity: 'speed',
    label: 'km/h',
    factor: 1,
    spellings: ['km/h', 'kph', 'kmh', 'km/hr', 'km / h', 'kmph'],
  },
  mph: { quantity: 'speed', label: 'mph', factor: 1.609344, spellings: ['mph', 'mi/h', 'miles/h', 'mile/h'] },
  mPerS: { quantity: 'speed', label: 'm/s', factor: 3.6, spellings: ['m/s'] },
  rpm: {
    quantity: 'rotation',
    label: 'rpm',
    factor: 1,
    spellings: [
      'rpm',
      '1/min',
      'u/min',
      'min-1',
      '/min',
      'tr/min',
      'tr/mn',
      'r/min',
      'rev/min',
      'revs/min',
      'rpm.',
      'giri/min',
      'g/min',
      'obr/min',
      'obr./min',
      'min⁻¹',
      'upm',
      't/min',
      '1/mn',
    ],
  },
  g: { quantity: 'mass', label: 'g', factor: 1, spellings: ['g', 'gram', 'grams', 'gr', 'gramm'] },
  mg: { quantity: 'mass', label: 'mg', factor: 0.001, spellings: ['mg'] },
  kg: { quantity: 'mass', label: 'kg', factor: 1000, spellings: ['kg'] },
  oz: { quantity: 'mass', label: 'oz', factor: LB / 16, spellings: [] },
  lb: { quantity: 'mass', label: 'lb', factor: LB, spellings: [] },
  s: { quantity: 'time', label: 's', factor: 1, spellings: ['s', 'sec', 'secs', 'second', 'seconds', 'sek'] },
  ms: { quantity: 'time', label: 'ms', factor: 0.001, spellings: ['ms', 'msec', 'millis', 'milliseconds'] },
  us: { quantity: 'time', label: 'µs', factor: 1e-6, spellings: ['us', 'µs', 'μs', 'usec', 'microseconds'] },
  min: { quantity: 'time', label: 'min', factor: 60, spellings: ['min', 'minutes'] },
  V: { quantity: 'voltage', label: 'V', factor: 1, spellings: ['v', 'volt', 'volts'] },
  mV: { quantity: 'voltage', label: 'mV', factor: 0.001, spellings: ['mv'] },
  ohm: { quantity: 'resistance', label: 'Ω', factor: 1, spellings: ['ohm', 'ohms', 'ω', 'Ω'] },
  kOhm: { quantity: 'resistance', label: 'kΩ', factor: 1000, spellings: ['kohm', 'kω'] },
  percent: {
    quantity: 'percent',
    label: '%',
    factor: 1,
    spellings: ['%', 'pct', 'percent', 'prozent', 'pourcent', 'procent', 'proc'],
  },
  m3PerH: { quantity: 'volumeFlow', label: 'm³/h', factor: 1, spellings: ['m3/h', 'm³/h'] },
  ft3PerMin: { quantity: 'volumeFlow', label: 'ft³/min', factor: 1.6990108, spellings: [] },
  lPerH: {
    quantity: 'fuelFlow',
    label: 'L/h',
    factor: 1,
    spellings: ['l/h', 'l/hr', 'l/std', 'lph', 'lperh'],
  },
  galPerH: {
    quantity: 'fuelFlow',
    label: 'gal/h',
    factor: US_GALLON,
    spellings: ['gal/h', 'gph', 'gal/hr'],
  },
  // What only people choose: no tool heads a column by these, and "in" or "l" would be read out of words.
  L: { quantity: 'volume', label: 'L', factor: 1, spellings: [] },
  gal: { quantity: 'volume', label: 'gal', factor: US_GALLON, spellings: [] },
  in3: { quantity: 'volume', label: 'in³', factor: 0.016387064, spellings: [] },
  mm: { quantity: 'length', label: 'mm', factor: 1, spellings: [] },
  in: { quantity: 'length', label: 'in', factor: 25.4, spellings: [] },
  Nm: { quantity: 'torque', label: 'N·m', factor: 1, spellings: [] },
  lbFt: { quantity: 'torque', label: 'lb·ft', factor: 1.3558179, spellings: [] },
  gPerL: { quantity: 'loading', label: 'g/L', factor: 1, spellings: [] },
  // An avoirdupois ounce is 28.35 g and a cubic foot 28.32 L.
  ozPerFt3: { quantity: 'loading', label: 'oz/ft³', factor: LB / 16 / 28.316847, spellings: [] },
} as const satisfies Record<string, UnitDefinition>;

export type Unit = keyof typeof UNITS;

export const PRESSURE_UNITS = ['mbar', 'hPa', 'kPa', 'psi', 'inHg', 'bar'] as const satisfies readonly Unit[];
export const TEMPERATURE_UNITS = ['degC', 'degF'] as const satisfies readonly Unit[];
export const DISTANCE_UNITS = ['km', 'mi'] as const satisfies readonly Unit[];
export const MASS_FLOW_UNITS = ['gPerS', 'kgPerH', 'lbPerMin'] as const satisfies readonly Unit[];

export const unitLabel = (unit: Unit): string => UNITS[unit].label;
/** The label in plain letters, as files carry it: "degC" for "°C". */
export const plainLabel = (unit: Unit): string =>
  unitLabel(unit).replace('°', 'deg').replace('₂', '2').replace('²', '2').replace('³', '3');
export const quantityOf = (unit: Unit): Quantity => UNITS[unit].quantity;

/** `unit` → base unit of its quantity. Worked value: 1 kPa → 10 mbar; 212 °F → 100 °C. */
export function toBase(value: number, unit: Unit): number {
  const definition: UnitDefinition = UNITS[unit];
  return (value + (definition.shift ?? 0)) * definition.factor;
}

/** Base unit → `unit`. Worked value: 100 mbar → 1.450 psi. */
export function fromBase(value: number, unit: Unit): number {
  const definition: UnitDefinition = UNITS[unit];
  return value / definition.factor - (definition.shift ?? 0);
}

const SPELLINGS: ReadonlyMap<string, Unit> = new Map(
  Object.entries(UNITS).flatMap(([unit, definition]) =>
    definition.spellings.map((s) => [s, unit as Unit] as const),
  ),
);

/** What stands behind a unit of pressure to say what it is measured against. */
const REFERENCE = /[\s._(-]*(?:abs(?:olute?)?|gauge|rel(?:ative?|ativ)?|(?<=bar|kpa|psi)\s*\(?[ag])\.?\)?$/;

/** Reads a unit as people and tools write it ("degC", "1/min", "lb/min", "bar abs"). */
export function parseUnit(text: string): Result<Unit> {
  const cleaned = text.trim().toLowerCase().replace(/\s+/g, ' ').replace('−', '-').replace('^', '');
  const bare = cleaned.replace(REFERENCE, '');
  const unit =
    SPELLINGS.get(cleaned) ??
    SPELLINGS.get(cleaned.replaceAll(' ', '')) ??
    (bare.length > 1 ? SPELLINGS.get(bare) : undefined);
  if (unit) return success(unit);
  return failed({
    code: 'unknown-unit',
    field: 'unit',
    requirement: { say: 'failures.unknown-unit' },
    value: text,
  });
}

/**
 * A pressure in a person's unit, as fine as sensors resolve and no finer: tenths of a mbar below 10 mbar, whole mbar
 * above, and the like in other units. Worked value: 45.3 mbar → "45"; in psi → "0.66".
 */
export function pressureFigure(mbar: number, unit: Unit = 'mbar'): string {
  const step = fromBase(Math.abs(mbar) < 10 ? 0.1 : 1, unit);
  const decimals = Math.max(0, Math.ceil(-Math.log10(step) - 1e-9));
  return withoutMinusZero(fromBase(mbar, unit).toFixed(decimals));
}

export const pressureText = (mbar: number, unit: Unit = 'mbar'): string =>
  `${pressureFigure(mbar, unit)} ${unitLabel(unit)}`;

/** "-0.0" says nothing that "0.0" does not. */
export const withoutMinusZero = (text: string): string => text.replace(/^-(0(?:\.0+)?)$/, '$1');
