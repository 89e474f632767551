import { happenedAt, type Entry } from '../ledger/index.ts';
import { fromBase, pressureFigure, pressureText, unitLabel, type Unit } from '../quantities/index.ts';

/** Units in which a report states its figures. */
export interface ReportUnits {
  readonly pressure: Unit;
  readonly temperature: Unit;
  readonly distance: Unit;
}

/** Figures and moments as a report writes them. */
export interface ReportWords {
  readonly pressure: (mbar: number) => string;
  /** Without its unit, for a table that names it once. */
  readonly pressureFigure: (mbar: number) => string;
  readonly pressureUnit: string;
  readonly pressureIn: Unit;
  readonly temperature: (celsius: number) => string;
  readonly distance: (km: number) => string;
  /** With no more figures than a forecast has. */
  readonly roundDistance: (km: number) => string;
  readonly date: (iso: string) => string;
  readonly moment: (entry: Entry) => string;
}

const grouped = new Intl.NumberFormat('en', { useGrouping: true, maximumFractionDigits: 0 });

export function reportWords(units: ReportUnits, timeZone: string | undefined): ReportWords {
  const zone = timeZone === undefined ? {} : { timeZone };
  const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric', ...zone });
  const minute = new Intl.DateTimeFormat('en-GB', {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
    ...zone,
  });
  return {
    pressure: (mbar) => pressureText(mbar, units.pressure),
    pressureFigure: (mbar) => pressureFigure(mbar, units.pressure),
    pressureUnit: unitLabel(units.pressure),
    pressureIn: units.pressure,
    temperature: (celsius) =>
      `${fromBase(celsius, units.temperature).toFixed(0)} ${unitLabel(units.temperature)}`,
    roundDistance: (km) => {
      const value = fromBase(km, units.distance);
      const step = value >= 10_000 ? 1000 : 100;
      return `${grouped.format(Math.round(value / step) * step).replaceAll(',', '\u00a0')} ${unitLabel(units.distance)}`;
    },
    distance: (km) =>
      `${grouped.format(fromBase(km, units.distance)).replaceAll(',', '\u00a0')} ${unitLabel(units.distance)}`,
    date: (iso) => day.format(new Date(iso)),
    moment: (entry) => minute.format(new Date(happenedAt(entry))),
  };
}
