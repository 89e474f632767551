import { parseUnit, quantile, quantityOf, toBase, unitLabel, UNITS, type Unit } from '../quantities/index.ts';
import { CHANNEL_ROLES, ROLE_IDS, type ChannelRole, type ChannelRoleDefinition } from './channelRoles.ts';
import type { LogWarning, RawColumn, RawLog } from './rawLog.ts';

export interface MappedChannel {
  readonly role: ChannelRole;
  /** Heading of the column. */
  readonly source: string;
  /** Unit as read or inferred, and how it is written. */
  readonly unit: Unit | 'none';
  readonly unitLabel: string;
  readonly gauge: boolean;
  /** 0–1. */
  readonly confidence: number;
  readonly reason: string;
}

export interface ChannelMapping {
  readonly channels: readonly MappedChannel[];
  readonly unmapped: readonly string[];
  readonly warnings: readonly LogWarning[];
}

/** A person's correction: column heading → role, or '' for "none of these". */
export type MappingCorrections = Readonly<Record<string, string>>;

/** Lower case, accents and sharp s folded, punctuation to single spaces: the form that the name patterns expect. */
export function foldName(name: string): string {
  return name
    .toLowerCase()
    .replaceAll('ß', 'ss')
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/[^a-z0-9%]+/g, ' ')
    .trim();
}

const definitionOf = (role: ChannelRole): ChannelRoleDefinition => CHANNEL_ROLES[role];

/** Units in which a column's values would lie in the role's plausible range; the base unit first. */
function plausibleUnits(column: RawColumn, role: ChannelRole): Unit[] {
  const definition = definitionOf(role);
  const low = quantile(column.values, 0.02);
  const high = quantile(column.values, 0.98);
  if (low === undefined || high === undefined) return [];
  const candidates = (Object.keys(UNITS) as Unit[]).filter(
    (unit) => quantityOf(unit) === definition.quantity,
  );
  return candidates.filter(
    (unit) => toBase(low, unit) >= definition.low && toBase(high, unit) <= definition.high,
  );
}

interface Candidate {
  readonly column: RawColumn;
  readonly mapped: MappedChannel;
}

/** What stands in brackets behind a name and was not read as a unit. */
const BRACKETS = /[[(]\s*([^\])]+?)\s*[\])]\s*$/;

function readUnit(column: RawColumn, role: ChannelRole): { unit: Unit | 'none'; doubt?: string } | undefined {
  const definition = definitionOf(role);
  const stated =
    column.unitText === undefined || column.unitText === '' ? undefined : parseUnit(column.unitText);
  if (stated?.ok) {
    return quantityOf(stated.value) === definition.quantity ? { unit: stated.value } : undefined;
  }
  if (definition.quantity === 'fraction') return { unit: 'none' };
  const plausible = plausibleUnits(column, role);
  const inferred = plausible.includes(definition.unit) ? definition.unit : plausible[0];
  if (!inferred) return undefined;
  const unknown = stated ? column.unitText : BRACKETS.exec(column.name)?.[1];
  const why = unknown === undefined ? 'no unit stated' : `unit “${unknown}” is unknown`;
  return { unit: inferred, doubt: `${why}; ${unitLabel(inferred)} fits the values` };
}

const GAUGE_NAME = /\b(gauge|relative|rel|uberdruck|overpressure)\b/;

function candidateFor(column: RawColumn, role: ChannelRole): Candidate | undefined {
  const definition = definitionOf(role);
  const name = foldName(column.name);
  if (definition.not?.test(name)) return undefined;
  const rank = definition.names.findIndex((pattern) => pattern.test(name));
  if (rank < 0) return undefined;
  const unit = readUnit(column, role);
  if (!unit) return undefined;
  const absolute = role === 'manifoldPressure' || role === 'exhaustBackPressure';
  const gauge = absolute && GAUGE_NAME.test(name);
  return {
    column,
    mapped: {
      role,
      source: column.name,
      unit: unit.unit,
      unitLabel: unit.unit === 'none' ? '' : unitLabel(unit.unit),
      gauge,
      confidence: Math.max(0.4, 0.97 - 0.05 * rank - (unit.doubt ? 0.25 : 0)),
      reason: `name${unit.doubt ? `; ${unit.doubt}` : ' and unit'}${gauge ? '; recorded against the barometer' : ''}`,
    },
  };
}

/**
 * Which column carries which role, by heading, unit and values; a person's corrections come first. A role goes to the
 * column that fits best; two that fit equally are reported, not guessed in silence.
 */
export function mapChannels(log: RawLog, corrections: MappingCorrections = {}): ChannelMapping {
  const warnings: LogWarning[] = [];
  const taken = new Map<ChannelRole, MappedChannel>();
  const used = new Set<RawColumn>();
  for (const column of log.columns) {
    const wanted = corrections[column.name];
    if (wanted === undefined) continue;
    used.add(column);
    if (wanted === '') continue;
    const role = wanted as ChannelRole;
    const unit = readUnit(column, role);
    if (!unit) {
      warnings.push({
        code: 'correction-refused',
        text: `“${column.name}” cannot be ${definitionOf(role).label}: its unit or its values do not fit.`,
      });
      continue;
    }
    taken.set(role, {
      role,
      source: column.name,
      unit: unit.unit,
      unitLabel: unit.unit === 'none' ? '' : unitLabel(unit.unit),
      gauge: GAUGE_NAME.test(foldName(column.name)),
      confidence: 1,
      reason: `set by hand${unit.doubt ? `; ${unit.doubt}` : ''}`,
    });
  }
  const candidates = log.columns
    .filter((column) => !used.has(column))
    .flatMap((column) => ROLE_IDS.map((role) => candidateFor(column, role)))
    .filter((candidate) => candidate !== undefined)
    .sort((a, b) => b.mapped.confidence - a.mapped.confidence);
  for (const { column, mapped } of candidates) {
    if (used.has(column)) continue;
    const holder = taken.get(mapped.role);
    if (holder) {
      if (holder.confidence - mapped.confidence < 0.02) {
        warnings.push({
          code: 'channel-ambiguous',
          text: `“${holder.source}” and “${mapped.source}” both look like ${definitionOf(mapped.role).label}; the first is used. Correct it if that is wrong.`,
        });
      }
      continue;
    }
    taken.set(mapped.role, mapped);
    used.add(column);
  }
  const inferred = [...taken.values()].filter((channel) => channel.reason.includes('fits the values'));
  if (inferred.length > 0) {
    warnings.push({
      code: 'unit-inferred',
      text: `Units taken from the values, as the file states none that is known: ${inferred.map(({ source, unitLabel: label }) => `“${source}” ${label}`).join(', ')}.`,
    });
  }
  const sources = new Set([...taken.values()].map((channel) => channel.source));
  return {
    channels: ROLE_IDS.flatMap((role) => taken.get(role) ?? []),
    unmapped: log.columns.map((column) => column.name).filter((name) => !sources.has(name)),
    warnings,
  };
}
