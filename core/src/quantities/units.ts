import { failed, success, type Result } from './result.ts';

/**
 * Units that people meet on scan tools and gauges, each as `base = (value + shift) · factor`.
 * Base units: mbar, °C, g/s, km, rpm, g, km/h, s, V, %.
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
  | 'percent'
  | 'volumeFlow'
  | 'fraction';

const LB = 453.59237;

export const UNITS = {
  mbar: { quantity: 'pressure', label: 'mbar', factor: 1, spellings: ['mbar', 'millibar'] },
  hPa: { quantity: 'pressure', label: 'hPa', factor: 1, spellings: ['hpa'] },
  kPa: { quantity: 'pressure', label: 'kPa', factor: 10, spellings: ['kpa'] },
  Pa: { quantity: 'pressure', label: 'Pa', factor: 0.01, spellings: ['pa'] },
  bar: { quantity: 'pressure', label: 'bar', factor: 1000, spellings: ['bar'] },
  psi: {
    quantity: 'pressure',
    label: 'psi',
    factor: 68.947573,
    spellings: ['psi', 'lbf/in2', 'psia', 'psig'],
  },
  inHg: { quantity: 'pressure', label: 'inHg', factor: 33.86389, spellings: ['inhg', 'in.hg', '"hg'] },
  mmHg: { quantity: 'pressure', label: 'mmHg', factor: 1.333224, spellings: ['mmhg', 'torr'] },
  degC: {
    quantity: 'temperature',
    label: '°C',
    factor: 1,
    spellings: ['c', '°c', 'degc', 'deg c', 'ºc', 'celsius'],
  },
  degF: {
    quantity: 'temperature',
    label: '°F',
    factor: 5 / 9,
    shift: -32,
    spellings: ['f', '°f', 'degf', 'deg f', 'ºf', 'fahrenheit'],
  },
  K: { quantity: 'temperature', label: 'K', factor: 1, shift: -273.15, spellings: ['k', 'kelvin'] },
  gPerS: { quantity: 'massFlow', label: 'g/s', factor: 1, spellings: ['g/s', 'g/sec', 'gps', 'gm/s'] },
  kgPerH: { quantity: 'massFlow', label: 'kg/h', factor: 1 / 3.6, spellings: ['kg/h', 'kg/hr'] },
  lbPerMin: {
    quantity: 'massFlow',
    label: 'lb/min',
    factor: LB / 60,
    spellings: ['lb/min', 'lbs/min', 'lb/m'],
  },
  km: { quantity: 'distance', label: 'km', factor: 1, spellings: ['km'] },
  mi: { quantity: 'distance', label: 'mi', factor: 1.609344, spellings: ['mi', 'mile', 'miles'] },
  kmPerH: { quantity: 'speed', label: 'km/h', factor: 1, spellings: ['km/h', 'kph', 'kmh'] },
  mph: { quantity: 'speed', label: 'mph', factor: 1.609344, spellings: ['mph'] },
  rpm: {
    quantity: 'rotation',
    label: 'rpm',
    factor: 1,
    spellings: ['rpm', '1/min', 'u/min', 'min-1', '/min', 'tr/min'],
  },
  g: { quantity: 'mass', label: 'g', factor: 1, spellings: ['g', 'gram', 'grams', 'gr'] },
  kg: { quantity: 'mass', label: 'kg', factor: 1000, spellings: ['kg'] },
  s: { quantity: 'time', label: 's', factor: 1, spellings: ['s', 'sec', 'secs', 'seconds', 'sek'] },
  ms: { quantity: 'time', label: 'ms', factor: 0.001, spellings: ['ms', 'msec', 'milliseconds'] },
  V: { quantity: 'voltage', label: 'V', factor: 1, spellings: ['v', 'volt', 'volts'] },
  mV: { quantity: 'voltage', label: 'mV', factor: 0.001, spellings: ['mv'] },
  percent: { quantity: 'percent', label: '%', factor: 1, spellings: ['%', 'pct', 'percent'] },
  m3PerH: { quantity: 'volumeFlow', label: 'm³/h', factor: 1, spellings: ['m3/h', 'm³/h'] },
} as const satisfies Record<string, UnitDefinition>;

export type Unit = keyof typeof UNITS;

export const PRESSURE_UNITS = ['mbar', 'hPa', 'kPa', 'psi', 'inHg', 'bar'] as const satisfies readonly Unit[];
export const TEMPERATURE_UNITS = ['degC', 'degF'] as const satisfies readonly Unit[];
export const DISTANCE_UNITS = ['km', 'mi'] as const satisfies readonly Unit[];
export const MASS_FLOW_UNITS = ['gPerS', 'kgPerH'] as const satisfies readonly Unit[];

export const unitLabel = (unit: Unit): string => UNITS[unit].label;
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

/** Reads a unit as people and tools write it ("degC", "1/min", "lb/min"). */
export function parseUnit(text: string): Result<Unit> {
  const cleaned = text.trim().toLowerCase().replace(/\s+/g, ' ').replace('−', '-').replace('^', '');
  const unit = SPELLINGS.get(cleaned) ?? SPELLINGS.get(cleaned.replaceAll(' ', ''));
  if (unit) return success(unit);
  return failed({
    code: 'unknown-unit',
    field: 'unit',
    requirement: 'is not one that is known here; use for example mbar, kPa, psi, °C, g/s or rpm',
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
