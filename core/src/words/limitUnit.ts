import { fromBase, toBase, unitLabel, type Unit } from '../quantities/index.ts';
import type { Said } from './message.ts';
import type { Words } from './words.ts';

/** How a limit is written for a person: its unit, and its value there and back. */
export interface LimitUnit {
  readonly label: string;
  readonly shown: (held: number) => number;
  readonly held: (shown: number) => number;
}

const BY_LABEL: ReadonlyMap<string, Unit> = new Map(
  (['mbar', 'bar', 'degC', 'km', 'kmPerH', 'gPerS', 'g', 'kg', 'gPerL', 'L', 'mm', 'Nm'] as const).map(
    (unit) => [unitLabel(unit), unit],
  ),
);

const scaled = (label: string, factor: number): LimitUnit => ({
  label,
  shown: (held) => held * factor,
  held: (shown) => shown / factor,
});

/** Amount of a currency, as a limit has it: the workshop’s own stands there. */
const MONEY = '¤';

/**
 * The unit of a limit as this person reads it. What is per something goes by both; physical constants and shares stay as they are.
 * `difference`: degrees between two temperatures, which have no zero of their own.
 */
export function limitUnit(unit: Said, difference: boolean, words: Words): LimitUnit {
  const { units } = words;
  if (typeof unit !== 'string') return scaled(words.say(unit), 1);
  const degrees = units.temperature === 'degF' ? 1.8 : 1;
  const miles = units.distance === 'mi' ? 1.609344 : 1;
  const temperature = unitLabel(units.temperature);
  const distance = unitLabel(units.distance);
  if (unit.startsWith(MONEY)) return scaled(unit.replace(MONEY, words.currencySign()), 1);
  switch (unit) {
    case '°C':
      if (difference) return scaled(temperature, degrees);
      break;
    case '°C/s':
      return scaled(`${temperature}/s`, degrees);
    case '°C/cm':
      return units.length === 'in'
        ? scaled(`${temperature}/in`, degrees * 2.54)
        : scaled(`${temperature}/cm`, degrees);
    case 'g/L on 100 km': {
      const loading = words.chosen('gPerL');
      return scaled(`${unitLabel(loading)} on 100 ${distance}`, fromBase(1, loading) * miles);
    }
    case '× on 1000 km':
      return scaled(`× on 1000 ${distance}`, miles);
  }
  const base = BY_LABEL.get(unit);
  if (base === undefined) return scaled(unit, 1);
  const shown = words.chosen(base);
  return {
    label: unitLabel(shown),
    shown: (held) => fromBase(toBase(held, base), shown),
    held: (value) => fromBase(toBase(value, shown), base),
  };
}
