import { say, type Said } from '../../words/index.ts';
import { plainLabel, quantityOf, unitLabel, type Unit } from '../../quantities/index.ts';
import { isChannelRole, ROLE_IDS, type ChannelRole, roleName } from '../channelRoles.ts';
import { explainHeading, foldHeading, learnWords, readAs, whyNone } from '../lexicon/index.ts';
import type { LogWarning, RawColumn, RawLog } from '../reader/rawLog.ts';
import { gaugeReason, readUnit, writtenUnit } from './columnUnit.ts';
import { rangeOf, sameReadings, standsStill, type Range } from './columnValues.ts';
import { sceneOf, type OthersOf } from './valuesSay.ts';
import {
  type MappedChannel,
  together,
  candidateFor,
  likeliestFirst,
  asRead,
  heard,
  type Candidate,
  type RangeFor,
  definitionOf,
} from './candidates.ts';

/** A role that several columns claim with equal right: a person is asked. */
export interface MappingQuestion {
  readonly role: ChannelRole;
  readonly columns: readonly string[];
  /** Between which values each of them lies, as written: in their order. */
  readonly shows: readonly { readonly low: number; readonly high: number; readonly unitLabel: string }[];
}

/** A column without a role. */
export interface WithoutRole {
  readonly column: string;
  /** What its words were taken for; empty where none is known. */
  readonly readAs: string;
  readonly why: Said;
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

/** By own keys only: a column may be named like something that every object has. */
const ownOf = (corrections: MappingCorrections, column: string): string | undefined =>
  Object.hasOwn(corrections, column) ? corrections[column] : undefined;

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
  const setByPerson = (column: RawColumn, wanted: string, by: Said): boolean => {
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
      reason: together(by, unit.doubt, gauge),
      unitInferred: unit.doubt !== undefined,
    });
    return true;
  };
  for (const column of log.columns) {
    const wanted = ownOf(corrections, column.name);
    if (wanted === undefined) continue;
    used.add(column);
    if (!setByPerson(column, wanted, say('logs.set-by-hand'))) {
      warnings.push({
        code: 'correction-refused',
        text: say('logs.cannot-be-its-unit-or-its', {
          name: column.name,
          wanted: isChannelRole(wanted) ? roleName(wanted) : wanted,
        }),
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
    if (setByPerson(column, wanted, say('logs.as-your-workshop-set-it-before'))) used.add(column);
  }
  const learned = learnWords(remembered);
  const named = log.columns
    .filter((column) => !used.has(column) && column.values.length > 0)
    .flatMap((column) =>
      (column.role === undefined
        ? explainHeading(column.name, learned).roles
        : [{ role: column.role, confidence: 1, read: [], places: [] }]
      ).map((named) => candidateFor(column, named, rangeFor)),
    )
    .filter((candidate) => candidate !== undefined)
    .toSorted(likeliestFirst);
  const others: OthersOf = (role) => {
    const set = taken.get(role);
    const column = set && log.columns.find(({ name }) => name === set.column);
    if (set && column) return { column, role, unit: set.unit, gauge: set.gauge };
    const best = named.find(({ mapped }) => mapped.role === role);
    return best && asRead(best);
  };
  const scene = sceneOf(others('engineSpeed'), others('barometricPressure'));
  const candidates = named.map((candidate) => heard(candidate, scene, others)).toSorted(likeliestFirst);
  const questions = askAbout(candidates, { taken, used, warnings, rangeFor });
  const settled = [...taken.values()].map((channel) => agreeUnits(channel, candidates, taken));
  const inferred = settled.filter(({ unitInferred }) => unitInferred);
  if (inferred.length > 0) {
    warnings.push({
      code: 'unit-inferred',
      text: say('logs.units-inferred-from-the-values', {
        columns: inferred.map(({ column, unitLabel: label }) => `“${column}” ${label}`).join(', '),
      }),
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
      why: used.has(column) ? say('logs.your-workshop-left-it-out') : whyNone(column.name),
    })),
    questions,
    warnings,
  };
}

/** Closer to each other than this, two columns explain a role equally well. */
const ALIKE = 0.02;

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
    readonly rangeFor: RangeFor;
  },
): MappingQuestion[] {
  const questions: MappingQuestion[] = [];
  const settled = new Set<ChannelRole>(taken.keys());
  for (const best of candidates) {
    const { role } = best.mapped;
    if (used.has(best.column) || settled.has(role)) continue;
    settled.add(role);
    const alike = candidates.filter(
      (other) =>
        other.mapped.role === role &&
        other.column !== best.column &&
        !used.has(other.column) &&
        best.byName - other.byName < ALIKE &&
        best.column.role === undefined &&
        !sameReadings(best.column, other.column),
    );
    const rivals = alike.filter((other) => best.mapped.confidence - other.mapped.confidence < ALIKE);
    const take = ({ mapped, column }: Candidate, why?: Said): void => {
      taken.set(role, why === undefined ? mapped : { ...mapped, reason: together(mapped.reason, why) });
      used.add(column);
    };
    if (rivals.length === 0) {
      const [beaten] = alike;
      take(
        best,
        beaten &&
          say('logs.is-named-alike', {
            name: beaten.column.name,
            why: beaten.against[0] ?? say('logs.its-values-say-less'),
          }),
      );
      continue;
    }
    const moving = [best, ...rivals].filter(({ column }) => !standsStill(rangeFor(column)));
    const [alone] = moving;
    if (alone && moving.length === 1) {
      take(alone, say('logs.the-other-column-of-that-name'));
      continue;
    }
    const asked = [best, ...rivals];
    const columns = asked.map(({ column }) => column.name);
    const shows = asked.map(({ column, mapped }) => {
      const { low = 0, high = 0 } = rangeFor(column) ?? {};
      return { low, high, unitLabel: mapped.unitLabel };
    });
    questions.push({ role, columns, shows });
    warnings.push({
      code: 'channel-ambiguous',
      text: say('logs.both-look-like-neither-is-used', {
        names: columns,
        role: roleName(role),
      }),
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
    unitInferred: true,
    reason: say('logs.name-no-unit-stated-as-the', { unit: unitLabel(other) }),
  };
}
