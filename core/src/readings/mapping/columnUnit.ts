import { say, type Said } from '../../words/index.ts';
import {
  parseUnit,
  plainLabel,
  quantityOf,
  toBase,
  unitLabel,
  UNITS,
  type Quantity,
  type Unit,
} from '../../quantities/index.ts';
import { CHANNEL_ROLES, type ChannelRole, type ChannelRoleDefinition } from '../channelRoles.ts';
import { explainHeading, type Meaning } from '../lexicon/index.ts';
import type { RawColumn } from '../reader/rawLog.ts';
import type { Range } from './columnValues.ts';

const UNITS_OF = new Map<Quantity, Unit[]>();
for (const unit of Object.keys(UNITS) as Unit[]) {
  const quantity = quantityOf(unit);
  UNITS_OF.set(quantity, [...(UNITS_OF.get(quantity) ?? []), unit]);
}
/** Units that nobody records a channel in without saying so. */
const RARE: ReadonlySet<Unit> = new Set([
  'MPa',
  'mmH2O',
  'inH2O',
  'kgPerCm2',
  'mmHg',
  'K',
  'mPerS',
  'kgPerS',
  'm',
  'mg',
  'hPa',
]);

/** Pressures that tools record as they are or against the barometer. */
const ABSOLUTE_OR_GAUGE: ReadonlySet<ChannelRole> = new Set([
  'manifoldPressure',
  'exhaustBackPressure',
  'dpfInletPressure',
  'dpfOutletPressure',
]);
export const isAbsoluteOrGauge = (role: ChannelRole): boolean => ABSOLUTE_OR_GAUGE.has(role);

/** What the air weighs anywhere that a vehicle drives, mbar; with what an engine at idle takes off it. */
const AIR_LOW_MBAR = 650;
const AIR_HIGH_MBAR = 1110;
/** Whether a pressure in mbar can be the outside air. */
export const isAir = (mbar: number): boolean => mbar >= AIR_LOW_MBAR && mbar <= AIR_HIGH_MBAR;

/** Whether values as written lie in what a role can show. */
export const fits = ({ low, high }: Range, unit: Unit, definition: ChannelRoleDefinition): boolean =>
  toBase(low, unit) >= definition.low && toBase(high, unit) <= definition.high;

/** Units in which a column's values would lie in the role's plausible range, the likeliest first. */
function plausibleUnits(range: Range, role: ChannelRole): Unit[] {
  const definition = CHANNEL_ROLES[role];
  const units = (UNITS_OF.get(definition.quantity) ?? []).filter(
    (unit) => !RARE.has(unit) && fits(range, unit, definition),
  );
  const rank = (unit: Unit): number =>
    (isAbsoluteOrGauge(role) && isAir(toBase(range.low, unit)) ? 0 : 2) + (unit === definition.unit ? 0 : 1);
  // A pressure that rests at an atmosphere in one unit is in that: 98 to 210 is kPa.
  return units.toSorted((a, b) => rank(a) - rank(b));
}

export interface ReadUnit {
  readonly unit: Unit | 'none';
  readonly doubt?: Said;
  /** Inferred from values that other units would explain as well. */
  readonly open?: readonly Unit[];
}

/** The unit as the file writes it, or as it was inferred. */
export const writtenUnit = (column: RawColumn, { unit, doubt }: ReadUnit): string =>
  unit === 'none' ? '' : doubt === undefined && column.unitText ? column.unitText : plainLabel(unit);

/** What stands in brackets behind a name and was not read as a unit. */
const BRACKETS = /[[(]\s*([^\])]+?)\s*[\])]\s*$/;

/** Units that are not known here but surely of another kind: a stroke, a litre, a volume injected. */
const ANOTHER_KIND = /^mg|\/ ?(?:l|str|stroke|hub|cyl|coup|ciclo)\b|^ppm|^mm[3³]|^(?:m?a|k?ohm|k?[ωΩ])$/i;

/** Roles whose values say at once whether a stated unit can be: a barometer shows about one atmosphere. */
const TELLING: ReadonlySet<ChannelRole> = new Set(['barometricPressure', 'engineSpeed', 'coolantTemp']);

/** The unit of a column if it has a role; undefined where it is of another kind or no unit fits its values. */
export function readUnit(
  column: RawColumn,
  role: ChannelRole,
  range: Range | undefined,
): ReadUnit | undefined {
  const definition: ChannelRoleDefinition = CHANNEL_ROLES[role];
  const stated =
    column.unitText === undefined || column.unitText === '' ? undefined : parseUnit(column.unitText);
  if (definition.quantity === 'fraction')
    return stated?.ok && quantityOf(stated.value) !== 'percent' ? undefined : { unit: 'none' };
  if (stated?.ok) {
    if (quantityOf(stated.value) !== definition.quantity) return undefined;
    if (!range || !TELLING.has(role) || range.middle === 0 || fits(range, stated.value, definition))
      return { unit: stated.value };
    const middle = { low: range.middle, middle: range.middle, high: range.middle };
    if (fits(middle, stated.value, definition)) return { unit: stated.value };
    const [better] = plausibleUnits(range, role);
    return better === undefined
      ? { unit: stated.value }
      : {
          unit: better,
          doubt: say('logs.stated-as-in-which-the-values', {
            stated: unitLabel(stated.value),
            better: unitLabel(better),
          }),
        };
  }
  const unknown = stated ? column.unitText : BRACKETS.exec(column.name)?.[1];
  if (!range || (unknown !== undefined && ANOTHER_KIND.test(unknown))) return undefined;
  const plausible = plausibleUnits(range, role);
  const [inferred] = plausible;
  if (!inferred) return undefined;
  const unit = unitLabel(inferred);
  return {
    unit: inferred,
    doubt:
      unknown === undefined
        ? say('logs.no-unit-but-one-fits', { unit })
        : say('logs.unit-unknown-but-one-fits', { unknown, unit }),
    open: plausible,
  };
}

/** Whether a heading may say so. */
const says = (name: string, meaning: Meaning): boolean =>
  explainHeading(name).words.some(({ senses }) => senses.some(({ meanings }) => meanings.includes(meaning)));
const GAUGE_UNIT = /psig|gauge|\brel\b|[\s(]g\)?$/i;

/** Why a pressure column is taken as recorded against the barometer: by name, by unit, or because it idles near zero. */
export function gaugeReason(
  column: RawColumn,
  role: ChannelRole,
  unit: Unit | 'none',
  range: Range | undefined,
): Said | undefined {
  if (unit === 'none' || !isAbsoluteOrGauge(role)) return undefined;
  if (says(column.name, 'qualifier:relative')) return say('logs.recorded-against-the-barometer');
  if (column.unitText !== undefined && GAUGE_UNIT.test(column.unitText))
    return say('logs.its-unit-is-a-gauge-one');
  if (!range || says(column.name, 'qualifier:absolute')) return undefined;
  const [low, middle, high] = [toBase(range.low, unit), toBase(range.middle, unit), toBase(range.high, unit)];
  // No engine breathes at a third of an atmosphere; a frozen value near zero says nothing either way.
  return middle < 600 && low < 350 && high - low > 30 ? say('logs.its-values-idle-near-zero-so') : undefined;
}
