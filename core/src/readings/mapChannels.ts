import {
  correlation,
  parseUnit,
  plainLabel,
  quantile,
  quantityOf,
  toBase,
  unitLabel,
  UNITS,
  type Quantity,
  type Unit,
} from '../quantities/index.ts';
import {
  CHANNEL_ROLES,
  isChannelRole,
  ROLE_IDS,
  type ChannelRole,
  type ChannelRoleDefinition,
} from './channelRoles.ts';
import {
  explainHeading,
  foldHeading,
  inWords,
  learnWords,
  readAs,
  whyNone,
  type Meaning,
  type NamedRole,
} from './lexicon/index.ts';
import type { LogWarning, RawColumn, RawLog } from './reader/rawLog.ts';

export interface MappedChannel {
  readonly role: ChannelRole;
  /** Column of the log, unlike any other. */
  readonly column: string;
  /** Where it stands in the file: heading or parameter number. */
  readonly source: string;
  /** Unit as read or inferred, and how it is written. */
  readonly unit: Unit | 'none';
  readonly unitLabel: string;
  readonly gauge: boolean;
  /** 0–1. */
  readonly confidence: number;
  readonly reason: string;
}

/** A role that several columns claim with equal right: a person is asked. */
export interface MappingQuestion {
  readonly role: ChannelRole;
  readonly columns: readonly string[];
}

/** A column without a role. */
export interface WithoutRole {
  readonly column: string;
  /** What its words were taken for; empty where none is known. */
  readonly readAs: string;
  readonly why: string;
}

export interface ChannelMapping {
  readonly channels: readonly MappedChannel[];
  readonly unmapped: readonly string[];
  /** What the headings of those were read as, and why they have no role. */
  readonly without: readonly WithoutRole[];
  readonly questions: readonly MappingQuestion[];
  readonly warnings: readonly LogWarning[];
}

/** A person's correction: column → role, or '' for "none of these". */
export type MappingCorrections = Readonly<Record<string, string>>;

const definitionOf = (role: ChannelRole): ChannelRoleDefinition => CHANNEL_ROLES[role];

/** Enough of a column to judge its range. */
const SAMPLE = 2000;
function sampleOf(values: Float64Array): Float64Array {
  if (values.length <= SAMPLE) return values;
  const step = values.length / SAMPLE;
  return Float64Array.from({ length: SAMPLE }, (_, i) => values[Math.floor(i * step)] as number);
}

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

interface Range {
  readonly low: number;
  readonly middle: number;
  readonly high: number;
}

function rangeOf(column: RawColumn): Range | undefined {
  const sample = sampleOf(column.values);
  const low = quantile(sample, 0.02);
  const middle = quantile(sample, 0.5);
  const high = quantile(sample, 0.98);
  return low === undefined || middle === undefined || high === undefined ? undefined : { low, middle, high };
}

const fits = ({ low, high }: Range, unit: Unit, definition: ChannelRoleDefinition): boolean =>
  toBase(low, unit) >= definition.low && toBase(high, unit) <= definition.high;

/** Units in which a column's values would lie in the role's plausible range; the base unit first. */
function plausibleUnits(range: Range, definition: ChannelRoleDefinition): Unit[] {
  return (UNITS_OF.get(definition.quantity) ?? []).filter(
    (unit) => !RARE.has(unit) && fits(range, unit, definition),
  );
}

interface ReadUnit {
  readonly unit: Unit | 'none';
  readonly doubt?: string;
  /** Inferred from values that other units would explain as well. */
  readonly open?: readonly Unit[];
}

/** The unit as the file writes it, or as it was inferred. */
const writtenUnit = (column: RawColumn, { unit, doubt }: ReadUnit): string =>
  unit === 'none' ? '' : doubt === undefined && column.unitText ? column.unitText : plainLabel(unit);

/** What stands in brackets behind a name and was not read as a unit. */
const BRACKETS = /[[(]\s*([^\])]+?)\s*[\])]\s*$/;

/** Units that are not known here but surely of another kind: a stroke, a litre, a volume injected. */
const ANOTHER_KIND = /^mg|\/ ?(?:l|str|stroke|hub|cyl|coup|ciclo)\b|^ppm|^mm[3³]|^(?:m?a|k?ohm|k?[ωΩ])$/i;

/** Roles whose values say at once whether a stated unit can be: a barometer shows about one atmosphere. */
const TELLING: ReadonlySet<ChannelRole> = new Set(['barometricPressure', 'engineSpeed', 'coolantTemp']);

function readUnit(column: RawColumn, role: ChannelRole, range: Range | undefined): ReadUnit | undefined {
  const definition = definitionOf(role);
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
    const [better] = plausibleUnits(range, definition);
    return better === undefined
      ? { unit: stated.value }
      : {
          unit: better,
          doubt: `stated as ${unitLabel(stated.value)}, in which the values cannot be; ${unitLabel(better)} fits the values`,
        };
  }
  const unknown = stated ? column.unitText : BRACKETS.exec(column.name)?.[1];
  if (!range || (unknown !== undefined && ANOTHER_KIND.test(unknown))) return undefined;
  const plausible = plausibleUnits(range, definition);
  const inferred = plausible.includes(definition.unit) ? definition.unit : plausible[0];
  if (!inferred) return undefined;
  const why = unknown === undefined ? 'no unit stated' : `unit “${unknown}” is unknown`;
  return { unit: inferred, doubt: `${why}; ${unitLabel(inferred)} fits the values`, open: plausible };
}

/** Whether a heading may say so. */
const says = (name: string, meaning: Meaning): boolean =>
  explainHeading(name).words.some(({ senses }) => senses.some(({ meanings }) => meanings.includes(meaning)));
const GAUGE_UNIT = /(?:psig|gauge|\brel\b|\(?g\)?$)/i;

/** Whether a pressure column is recorded against the barometer: by name, by unit, or because it idles near zero. */
function gaugeReason(
  column: RawColumn,
  role: ChannelRole,
  unit: Unit | 'none',
  range: Range | undefined,
): string | undefined {
  if (
    unit === 'none' ||
    !['manifoldPressure', 'exhaustBackPressure', 'dpfInletPressure', 'dpfOutletPressure'].includes(role)
  )
    return undefined;
  if (says(column.name, 'qualifier:relative')) return 'recorded against the barometer';
  if (
    column.unitText !== undefined &&
    /(?:psig|gauge|rel|[\s(]g\)?$)/i.test(column.unitText) &&
    GAUGE_UNIT.test(column.unitText)
  )
    return 'its unit is a gauge one';
  if (!range || says(column.name, 'qualifier:absolute')) return undefined;
  const [low, middle, high] = [toBase(range.low, unit), toBase(range.middle, unit), toBase(range.high, unit)];
  // No engine breathes at a third of an atmosphere; a frozen value near zero says nothing either way.
  return middle < 600 && low < 350 && high - low > 30
    ? 'its values idle near zero, so it is recorded against the barometer'
    : undefined;
}

const LESS_WHERE_BEYOND = 0.15;
/** Less than this share of what it shows is no movement. */
const STILL = 0.01;

/** Whether a column shows one value throughout, as a channel that is not fitted does. */
const standsStill = (column: RawColumn, rangeFor: (column: RawColumn) => Range | undefined): boolean => {
  const range = rangeFor(column);
  return range !== undefined && range.high - range.low <= STILL * Math.max(Math.abs(range.middle), 1);
};

interface Candidate {
  readonly column: RawColumn;
  readonly mapped: MappedChannel;
  readonly open: readonly Unit[] | undefined;
}

function candidateFor(
  column: RawColumn,
  { role, confidence, read }: NamedRole,
  rangeFor: (column: RawColumn) => Range | undefined,
): Candidate | undefined {
  const range = rangeFor(column);
  const unit = readUnit(column, role, range);
  if (!unit) return undefined;
  const gauge = gaugeReason(column, role, unit.unit, range);
  // A dead sensor shows what cannot be: it is the channel all the same, less surely.
  const beyond =
    range !== undefined &&
    unit.unit !== 'none' &&
    !unit.doubt &&
    !gauge &&
    !fits(range, unit.unit, definitionOf(role));
  const by =
    column.role === role ? 'the parameter’s number' : read.length === 0 ? 'name' : `name: ${inWords(read)}`;
  return {
    column,
    open: unit.open,
    mapped: {
      role,
      column: column.name,
      source: column.source,
      unit: unit.unit,
      unitLabel: writtenUnit(column, unit),
      gauge: gauge !== undefined,
      confidence: Math.max(0.4, confidence - (unit.doubt ? 0.25 : 0) - (beyond ? LESS_WHERE_BEYOND : 0)),
      reason: `${by}${unit.doubt ? `; ${unit.doubt}` : ' and unit'}${gauge ? `; ${gauge}` : ''}${beyond ? '; its values lie beyond what it can be' : ''}`,
    },
  };
}

/** By own keys only: a column may be named like something that every object has. */
const ownOf = (corrections: MappingCorrections, column: string): string | undefined =>
  Object.hasOwn(corrections, column) ? corrections[column] : undefined;

/** Whether two columns show the same thing, so that either will do. */
function sameReadings(a: RawColumn, b: RawColumn): boolean {
  if (a.values.length !== b.values.length) return false;
  const [first, second] = [sampleOf(a.values), sampleOf(b.values)];
  let apart = 0;
  let scale = 0;
  for (let i = 0; i < first.length; i++) {
    apart = Math.max(apart, Math.abs((first[i] as number) - (second[i] as number)));
    scale = Math.max(scale, Math.abs(first[i] as number));
  }
  return apart <= 0.02 * scale && (scale === 0 || correlation(first, second) > 0.99 || apart === 0);
}

/**
 * Which column carries which role, by heading, unit and values; a person's corrections come first, then what the
 * workshop said of a heading before. A role goes to the column that fits best. Where two fit equally and show different things it goes to neither, and a person is asked.
 */
export function mapChannels(
  log: RawLog,
  corrections: MappingCorrections = {},
  remembered: MappingCorrections = {},
): ChannelMapping {
  const warnings: LogWarning[] = [];
  const taken = new Map<ChannelRole, MappedChannel>();
  const used = new Set<RawColumn>();
  const ranges = new Map<RawColumn, Range | undefined>();
  const rangeFor = (column: RawColumn): Range | undefined => {
    if (!ranges.has(column)) ranges.set(column, rangeOf(column));
    return ranges.get(column);
  };
  const setByPerson = (column: RawColumn, wanted: string, by: string): boolean => {
    if (!isChannelRole(wanted)) return true;
    const range = rangeFor(column);
    const unit = readUnit(column, wanted, range);
    if (!unit) return false;
    const gauge = gaugeReason(column, wanted, unit.unit, range);
    taken.set(wanted, {
      role: wanted,
      column: column.name,
      source: column.source,
      unit: unit.unit,
      unitLabel: writtenUnit(column, unit),
      gauge: gauge !== undefined,
      confidence: 1,
      reason: `${by}${unit.doubt ? `; ${unit.doubt}` : ''}${gauge ? `; ${gauge}` : ''}`,
    });
    return true;
  };
  for (const column of log.columns) {
    const wanted = ownOf(corrections, column.name);
    if (wanted === undefined) continue;
    used.add(column);
    if (!setByPerson(column, wanted, 'set by hand')) {
      warnings.push({
        code: 'correction-refused',
        text: `“${column.name}” cannot be ${isChannelRole(wanted) ? definitionOf(wanted).label : wanted}: its unit or its values do not fit.`,
      });
    }
  }
  // However it is written: capitals, accents and points are the tool’s.
  const folded = new Map(Object.entries(remembered).map(([heading, role]) => [foldHeading(heading), role]));
  for (const column of log.columns) {
    const wanted = used.has(column)
      ? undefined
      : (ownOf(remembered, column.name) ?? folded.get(foldHeading(column.name)));
    if (wanted === undefined || (isChannelRole(wanted) && taken.has(wanted))) continue;
    // A heading may mean something else in another tool: what does not fit there is passed over without a word.
    if (setByPerson(column, wanted, 'as your workshop set it before')) used.add(column);
  }
  const learned = learnWords(remembered);
  const candidates = log.columns
    .filter((column) => !used.has(column) && column.values.length > 0)
    .flatMap((column) =>
      (column.role === undefined
        ? explainHeading(column.name, learned).roles
        : [{ role: column.role, confidence: 1, read: [], places: [] }]
      ).map((named) => candidateFor(column, named, rangeFor)),
    )
    .filter((candidate) => candidate !== undefined)
    .sort(
      (a, b) => b.mapped.confidence - a.mapped.confidence || b.column.values.length - a.column.values.length,
    );
  const questions = askAbout(candidates, { taken, used, warnings, rangeFor });
  const settled = [...taken.values()].map((channel) => agreeUnits(channel, candidates, taken));
  const inferred = settled.filter(
    (channel) => channel.reason.includes('fits the values') || channel.reason.includes('as the others'),
  );
  if (inferred.length > 0) {
    warnings.push({
      code: 'unit-inferred',
      text: `Units taken from the values, as the file states none that fits: ${inferred.map(({ column, unitLabel: label }) => `“${column}” ${label}`).join(', ')}.`,
    });
  }
  const byRole = new Map(settled.map((channel) => [channel.role, channel]));
  const sources = new Set(settled.map((channel) => channel.column));
  const without = log.columns.filter(({ name }) => !sources.has(name));
  return {
    channels: ROLE_IDS.flatMap((role) => byRole.get(role) ?? []),
    unmapped: without.map(({ name }) => name),
    without: without.map((column) => ({
      column: column.name,
      readAs: readAs(column.name),
      // What a person took out has no other reason.
      why: used.has(column) ? 'your workshop left it out' : whyNone(column.name),
    })),
    questions,
    warnings,
  };
}

/** Gives each role to its best column; roles claimed twice with equal right become questions. */
function askAbout(
  candidates: readonly Candidate[],
  {
    taken,
    used,
    warnings,
    rangeFor,
  }: {
    readonly taken: Map<ChannelRole, MappedChannel>;
    readonly used: Set<RawColumn>;
    readonly warnings: LogWarning[];
    readonly rangeFor: (column: RawColumn) => Range | undefined;
  },
): MappingQuestion[] {
  const questions: MappingQuestion[] = [];
  const settled = new Set<ChannelRole>(taken.keys());
  for (const best of candidates) {
    const { role } = best.mapped;
    if (used.has(best.column) || settled.has(role)) continue;
    settled.add(role);
    const rivals = candidates.filter(
      (other) =>
        other.mapped.role === role &&
        other.column !== best.column &&
        !used.has(other.column) &&
        best.mapped.confidence - other.mapped.confidence < 0.02 &&
        best.column.role === undefined &&
        !sameReadings(best.column, other.column),
    );
    if (rivals.length === 0) {
      taken.set(role, best.mapped);
      used.add(best.column);
      continue;
    }
    const moving = [best, ...rivals].filter(({ column }) => !standsStill(column, rangeFor));
    const [alone] = moving;
    if (alone && moving.length === 1) {
      taken.set(role, {
        ...alone.mapped,
        reason: `${alone.mapped.reason}; the other column of that name stands still`,
      });
      used.add(alone.column);
      continue;
    }
    const columns = [best, ...rivals].map(({ column }) => column.name);
    questions.push({ role, columns });
    warnings.push({
      code: 'channel-ambiguous',
      text: `${columns.map((name) => `“${name}”`).join(' and ')} both look like ${definitionOf(role).label}; neither is used until you say which it is.`,
    });
  }
  return questions;
}

/**
 * A unit that values alone leave open is the one that other columns of its kind need: coolant at 185 can only be °F, and
 * then an unmarked exhaust temperature of 600 is °F too.
 */
function agreeUnits(
  channel: MappedChannel,
  candidates: readonly Candidate[],
  taken: ReadonlyMap<ChannelRole, MappedChannel>,
): MappedChannel {
  const openOf = (one: MappedChannel): readonly Unit[] | undefined =>
    candidates.find(({ mapped }) => mapped === one)?.open;
  const open = openOf(channel);
  if (!open || open.length < 2 || channel.unit === 'none') return channel;
  const quantity = quantityOf(channel.unit);
  const base = definitionOf(channel.role).unit;
  const needed = [...taken.values()].flatMap((other): Unit[] => {
    if (other === channel || other.unit === 'none' || quantityOf(other.unit) !== quantity) return [];
    const theirs = openOf(other);
    return theirs === undefined || theirs.length === 1 ? [other.unit] : [];
  });
  const [other] = needed.filter((unit) => open.includes(unit));
  if (other === undefined || other === channel.unit || needed.includes(base)) return channel;
  return {
    ...channel,
    unit: other,
    unitLabel: plainLabel(other),
    reason: `name; no unit stated; ${unitLabel(other)} as the others of its kind`,
  };
}
