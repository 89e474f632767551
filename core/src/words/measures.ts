import {
  fromBase,
  toBase,
  pressureFigure,
  quantityOf,
  unitLabel,
  withoutMinusZero,
  type Unit,
} from '../quantities/index.ts';
import { chosenUnit } from './chosenUnit.ts';
import { METRIC, type UnitChoice } from './unitChoice.ts';

/** How a person wants figures, dates and money written. */
export interface Manner {
  readonly units?: UnitChoice;
  /** For thousands, decimals, dates and lists (BCP 47). */
  readonly locale?: string;
  readonly timeZone?: string;
  /** The workshop's (ISO 4217); without one an amount stands bare. */
  readonly currency?: string;
}

/** Writes figures: everything goes in in base units and comes out with the unit that was chosen. */
export interface Measures {
  readonly units: UnitChoice;
  readonly locale: string;
  /** A bare figure, by default with as many decimals as it needs up to two. */
  readonly number: (value: number, decimals?: number) => string;
  readonly percent: (value: number, decimals?: number) => string;
  readonly pressure: (mbar: number) => string;
  /** Of compressed air, in bar or psi. */
  readonly linePressure: (bar: number) => string;
  /** Without its unit, for a table that names it once. */
  readonly pressureFigure: (mbar: number) => string;
  readonly temperature: (celsius: number, decimals?: number) => string;
  readonly temperatureChange: (kelvin: number, decimals?: number) => string;
  /** Along the filter, °C/cm. */
  readonly gradient: (cPerCm: number) => string;
  readonly distance: (km: number, decimals?: number) => string;
  /** With no more figures than a forecast has. */
  readonly roughDistance: (km: number) => string;
  readonly speed: (kmPerH: number) => string;
  readonly altitude: (metres: number) => string;
  readonly massFlow: (gPerS: number, decimals?: number) => string;
  readonly volumeFlow: (m3PerH: number) => string;
  readonly volumeFlowFigure: (m3PerH: number) => string;
  /** Soot and ash. */
  readonly soot: (g: number, decimals?: number) => string;
  /** Soot and ash in each litre of filter. */
  readonly loading: (gPerL: number, decimals?: number) => string;
  readonly sootRate: (gPer100Km: number, decimals?: number) => string;
  readonly weight: (kg: number, decimals?: number) => string;
  readonly volume: (litres: number, decimals?: number) => string;
  readonly engineSize: (litres: number, decimals?: number) => string;
  readonly length: (mm: number, decimals?: number) => string;
  readonly torque: (newtonMetres: number) => string;
  /** A value of any unit that the tables know, in the unit chosen for its quantity. */
  readonly inUnit: (value: number, unit: Unit, decimals?: number) => string;
  /** A value with the label of its unit, as the limits carry it; what is no unit of ours stands as it is. */
  readonly figure: (value: number, label: string) => string;
  /** Two bounds as they are set, with what a language puts between them. */
  readonly range: (low: number, high: number, label: string, to: string) => string;
  /** The unit chosen for what is counted in this one. */
  readonly chosen: (unit: Unit) => Unit;
  readonly label: (of: keyof UnitChoice) => string;
  /** Sign of the workshop’s currency. */
  readonly currencySign: () => string;
  readonly money: (amount: number, currency?: string) => string;
  readonly date: (iso: string | number) => string;
  readonly shortDate: (iso: string | number) => string;
  readonly moment: (iso: string | number) => string;
  readonly fullMoment: (iso: string | number) => string;
  readonly weekday: (iso: string | number) => string;
  readonly clock: (iso: string | number) => string;
  /** From one to another, the unit once: "50–80 km/h". */
  readonly span: (low: string, high: string) => string;
  readonly list: (parts: readonly string[]) => string;
}

/** Decimals that a quantity keeps in another unit, so that it is read as finely as it was meant. */
const asFineAs = (decimals: number, baseUnit: Unit, unit: Unit): number => {
  const step = Math.abs(fromBase(10 ** -decimals, unit) - fromBase(0, unit));
  const base = Math.abs(fromBase(10 ** -decimals, baseUnit) - fromBase(0, baseUnit));
  return Math.max(0, Math.min(6, decimals + Math.round(-Math.log10(step / base))));
};

const cached = <T>(make: (key: string) => T): ((key: string) => T) => {
  const made = new Map<string, T>();
  return (key) => {
    const known = made.get(key) ?? make(key);
    made.set(key, known);
    return known;
  };
};

/** From here on digits are put into groups. */
const GROUPED_FROM = 10_000;
/** Where English figures have a point; not everywhere. */
const WITH_A_POINT: ReadonlySet<string> = new Set(['en', 'en-GB', 'en-US']);

/**
 * What `Intl` writes for a small figure in English, digit by digit: its tables take longer to load than all that a call of the command
 * line has to say. Rounded half up by the figure as it is written, as `Intl` does.
 * @param all whether zeros at the end stay
 * @returns nothing for a figure that is left to `Intl`
 */
export function plainEnglish(value: number, decimals: number, all: boolean): string | undefined {
  const digits = String(Math.abs(value));
  if (!Number.isFinite(value) || digits.includes('e')) return undefined;
  const rounded = Number(`${Math.round(Number(`${digits}e${decimals}`))}e-${decimals}`);
  if (!(rounded < GROUPED_FROM)) return undefined;
  const text = rounded.toFixed(decimals);
  return `${value < 0 ? '-' : ''}${all || decimals === 0 ? text : text.replace(/\.?0+$/, '')}`;
}

/** Hours and minutes of this device’s time zone, as `Intl` writes them in British English: its first use takes longer than a page may. */
function plainClock(at: string | number): string {
  const time = new Date(at);
  if (Number.isNaN(time.getTime())) throw new RangeError('Invalid time value');
  return [time.getHours(), time.getMinutes()].map((part) => String(part).padStart(2, '0')).join(':');
}

/**
 * Figures as one person reads them. Nothing is kept in these units: they are made at the edge, and another choice only writes anew.
 * Worked values: 45.3 mbar → "45 mbar", in psi "0.66 psi"; 600 °C → "1,112 °F" (en); 12 g → "0.42 oz".
 */
export function measuresOf({ units = METRIC, locale = 'en', timeZone, currency }: Manner = {}): Measures {
  const formatter = cached((digits) => {
    const [least, most] = digits.split(' ').map(Number);
    return new Intl.NumberFormat(locale, {
      ...(least === undefined ? {} : { minimumFractionDigits: least }),
      ...(most === undefined ? {} : { maximumFractionDigits: most }),
      // Speeds and pressures are read as one figure; from ten thousand on a gap helps.
      useGrouping: 'min2',
    });
  });
  // A minus as wide as a plus: a hyphen is overlooked in glare.
  const written = (value: number, decimals: number, all: boolean): string =>
    withoutMinusZero(
      (WITH_A_POINT.has(locale) ? plainEnglish(value, decimals, all) : undefined) ??
        formatter(`${all ? decimals : 0} ${decimals}`).format(value),
    ).replace('-', '−');
  const upTo = (value: number, decimals: number): string => written(value, decimals, false);
  const number = (value: number, decimals?: number): string =>
    decimals === undefined ? upTo(value, 2) : written(value, decimals, true);
  /** With as many decimals as are asked for, else with no more than it needs. */
  const figure =
    (base: Unit, unit: Unit, most: number) =>
    (value: number, decimals?: number): string => {
      const shown = fromBase(value, unit);
      const text =
        decimals === undefined
          ? upTo(shown, asFineAs(most, base, unit))
          : number(shown, asFineAs(decimals, base, unit));
      return `${text} ${unitLabel(unit)}`;
    };
  const pressureIn = (mbar: number): string => {
    const plain = pressureFigure(mbar, units.pressure);
    const decimals = plain.includes('.') ? plain.length - plain.indexOf('.') - 1 : 0;
    return number(fromBase(mbar, units.pressure), decimals);
  };
  const zone = timeZone === undefined ? {} : { timeZone };
  // English dates stand in the order day, month, year unless a person's locale says otherwise.
  const dates = locale === 'en' ? 'en-GB' : locale;
  const style = cached(
    (options) =>
      new Intl.DateTimeFormat(dates, { ...(JSON.parse(options) as Intl.DateTimeFormatOptions), ...zone }),
  );
  const dated = (options: Intl.DateTimeFormatOptions) => {
    const key = JSON.stringify(options);
    return (at: string | number): string => style(key).format(new Date(at));
  };
  const miles = units.distance === 'mi';
  const speedUnit = miles ? 'mph' : 'kmPerH';
  const loadingUnit = units.soot === 'oz' ? 'ozPerFt3' : 'gPerL';
  const chosen = (unit: Unit): Unit => chosenUnit(unit, units);
  const measures: Measures = {
    units,
    locale,
    number,
    percent: (value, decimals) => `${decimals === undefined ? upTo(value, 1) : number(value, decimals)} %`,
    pressure: (mbar) => `${pressureIn(mbar)} ${unitLabel(units.pressure)}`,
    linePressure: (bar) =>
      `${upTo(fromBase(1000 * bar, chosen('bar')), chosen('bar') === 'bar' ? 1 : 0)} ${unitLabel(chosen('bar'))}`,
    pressureFigure: pressureIn,
    temperature: figure('degC', units.temperature, 0),
    temperatureChange: (kelvin, decimals = 0) =>
      `${number(kelvin * (units.temperature === 'degF' ? 1.8 : 1), decimals)} ${unitLabel(units.temperature)}`,
    gradient: (cPerCm) => {
      const [degrees, per] = [units.temperature === 'degF' ? 1.8 : 1, units.length === 'in' ? 2.54 : 1];
      return `${number(cPerCm * degrees * per, 0)} ${unitLabel(units.temperature)}/${units.length === 'in' ? 'in' : 'cm'}`;
    },
    distance: (km, decimals = 0) =>
      `${number(fromBase(km, units.distance), decimals)} ${unitLabel(units.distance)}`,
    roughDistance: (km) => {
      const value = fromBase(km, units.distance);
      const step = value >= 10_000 ? 1000 : 100;
      return `${number(Math.round(value / step) * step, 0)} ${unitLabel(units.distance)}`;
    },
    speed: (kmPerH) => `${number(fromBase(kmPerH, speedUnit), 0)} ${unitLabel(speedUnit)}`,
    altitude: (metres) => {
      const unit = miles ? 'ft' : 'm';
      return `${number(fromBase(metres / 1000, unit), 0)} ${unitLabel(unit)}`;
    },
    massFlow: figure('gPerS', units.massFlow, 1),
    volumeFlowFigure: (m3PerH) => number(fromBase(m3PerH, units.volumeFlow), 0),
    volumeFlow: (m3PerH) => `${number(fromBase(m3PerH, units.volumeFlow), 0)} ${unitLabel(units.volumeFlow)}`,
    soot: figure('g', units.soot, 1),
    loading: figure('gPerL', loadingUnit, 1),
    sootRate: (gPer100Km, decimals = 1) => {
      const per100 = fromBase(gPer100Km, units.soot) * (miles ? 1.609344 : 1);
      return `${number(per100, asFineAs(decimals, 'g', units.soot))} ${unitLabel(units.soot)}/100 ${unitLabel(units.distance)}`;
    },
    weight: (kg, decimals = 2) =>
      `${upTo(fromBase(kg * 1000, units.weight), decimals)} ${unitLabel(units.weight)}`,
    volume: figure('L', units.volume, 1),
    engineSize: figure('L', units.engineSize, 1),
    length: figure('mm', units.length, 2),
    torque: figure('Nm', units.torque, 0),
    inUnit: (value, unit, decimals) => {
      const wanted = chosen(unit);
      if (quantityOf(wanted) === 'pressure') return `${pressureIn(value)} ${unitLabel(wanted)}`;
      const shown = fromBase(value, wanted);
      const fine =
        decimals === undefined ? (Math.abs(shown) >= 10 ? 0 : 1) : asFineAs(decimals, unit, wanted);
      return `${number(shown, fine)} ${unitLabel(wanted)}`.trimEnd();
    },
    figure: (value, label) => {
      const unit = BY_LABEL.get(label);
      if (unit !== undefined) return measures.inUnit(value, unit);
      return `${number(value, label === '%' || Math.abs(value) >= 10 ? 0 : 1)} ${label}`.trimEnd();
    },
    range: (low, high, label, to) => {
      const unit = BY_LABEL.get(label);
      const wanted = unit === undefined ? undefined : chosen(unit);
      const bare = (value: number): string => {
        const shown =
          unit === undefined || wanted === undefined ? value : fromBase(toBase(value, unit), wanted);
        return upTo(shown, Math.abs(shown) >= 100 ? 0 : 2);
      };
      return `${bare(low)} ${to} ${bare(high)} ${wanted === undefined ? label : unitLabel(wanted)}`.trimEnd();
    },
    chosen,
    label: (of) => unitLabel(units[of]),
    currencySign: () =>
      currency === undefined
        ? ''
        : (new Intl.NumberFormat(locale, { style: 'currency', currency, currencyDisplay: 'narrowSymbol' })
            .formatToParts(0)
            .find(({ type }) => type === 'currency')?.value ?? currency),
    money: (amount, of = currency) =>
      of === undefined || !/^[A-Z]{3}$/.test(of)
        ? `${number(amount, Number.isInteger(amount) ? 0 : 2)} ${of ?? ''}`.trimEnd()
        : new Intl.NumberFormat(locale, {
            style: 'currency',
            currency: of,
            ...(Number.isInteger(amount) ? { maximumFractionDigits: 0 } : {}),
          }).format(amount),
    date: dated({ day: 'numeric', month: 'long', year: 'numeric' }),
    shortDate: dated({ day: 'numeric', month: 'short', year: 'numeric' }),
    moment: dated({ day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' }),
    fullMoment: dated({ dateStyle: 'medium', timeStyle: 'medium' }),
    weekday: dated({ weekday: 'long', day: 'numeric', month: 'long' }),
    clock:
      dates === 'en-GB' && timeZone === undefined
        ? plainClock
        : dated({ hour: '2-digit', minute: '2-digit' }),
    span: (low, high) => {
      // A screen joins figure and unit by a space that does not break.
      const unit = /[ \u00a0]\D*$/.exec(high)?.[0] ?? '';
      return `${unit !== '' && low.endsWith(unit) ? low.slice(0, -unit.length) : low}–${high}`;
    },
    list: (parts) => new Intl.ListFormat(locale, { type: 'conjunction' }).format(parts),
  };
  return measures;
}

const BY_LABEL: ReadonlyMap<string, Unit> = new Map(
  (
    ['mbar', 'degC', 'km', 'kmPerH', 'gPerS', 'm3PerH', 'lPerH', 'g', 'kg', 'gPerL', 'L', 'mm', 'Nm'] as const
  ).map((unit) => [unitLabel(unit), unit]),
);
