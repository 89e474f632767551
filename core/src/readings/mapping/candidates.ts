import { joined, say, type Said } from '../../words/index.ts';
import { type Unit } from '../../quantities/index.ts';
import { CHANNEL_ROLES, type ChannelRole, type ChannelRoleDefinition } from '../channelRoles.ts';
import { inWords, type NamedRole } from '../lexicon/index.ts';
import type { RawColumn } from '../reader/rawLog.ts';
import { fits, gaugeReason, readUnit, writtenUnit } from './columnUnit.ts';
import { type Range } from './columnValues.ts';
import { valuesSay, type OthersOf, type ReadAs, type Scene } from './valuesSay.ts';

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
  readonly reason: Said;
  /** Whether its values said which unit it is in, as nothing else did. */
  readonly unitInferred: boolean;
}

export const definitionOf = (role: ChannelRole): ChannelRoleDefinition => CHANNEL_ROLES[role];

const LESS_WHERE_BEYOND = 0.15;

/** For each thing that its values say against a role, at most twice. */
const LESS_WHERE_AGAINST = 0.15;

/** For each that they say for one that is named in a weak way. */
const MORE_WHERE_AGREED = 0.05;
const NAMED_SURELY = 0.9;
const LEAST = 0.4;

/** Several reasons as one. */
export const together = (...parts: readonly (Said | undefined)[]): Said =>
  joined(
    parts.filter((part) => part !== undefined),
    '; ',
  );

export type RangeFor = (column: RawColumn) => Range | undefined;

export interface Candidate {
  readonly column: RawColumn;
  readonly mapped: MappedChannel;
  readonly open: readonly Unit[] | undefined;
  /** By its heading, unit and range alone. */
  readonly byName: number;
  /** What its values say against the role. */
  readonly against: readonly Said[];
}

export const asRead = ({ column, mapped: { role, unit, gauge } }: Candidate): ReadAs => ({
  column,
  role,
  unit,
  gauge,
});

export function candidateFor(
  column: RawColumn,
  { role, confidence, read }: NamedRole,
  rangeFor: RangeFor,
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
    column.role === role
      ? say('logs.the-parameters-number')
      : read.length === 0
        ? say('logs.by-its-name')
        : say('logs.by-its-name-read-as', { read: inWords(read) });
  const byName = Math.max(LEAST, confidence - (unit.doubt ? 0.25 : 0) - (beyond ? LESS_WHERE_BEYOND : 0));
  return {
    column,
    open: unit.open,
    byName,
    against: [],
    mapped: {
      role,
      column: column.name,
      source: column.source,
      unit: unit.unit,
      unitLabel: writtenUnit(column, unit),
      gauge: gauge !== undefined,
      confidence: byName,
      reason: together(
        unit.doubt ? by : say('logs.and-its-unit', { by }),
        unit.doubt,
        gauge,
        beyond ? say('logs.its-values-lie-beyond-what-it') : undefined,
      ),
      unitInferred: unit.doubt !== undefined,
    },
  };
}

/** A candidate by what its values say, too: more surely where they speak for a weak name, less surely where against it. */
export function heard(candidate: Candidate, scene: Scene, others: OthersOf): Candidate {
  const { agrees, contradicts } = valuesSay(asRead(candidate), scene, others);
  const { mapped, byName } = candidate;
  // That a value moves does not tell its unit.
  const added = byName < NAMED_SURELY && candidate.open === undefined ? agrees : [];
  const said = [...contradicts, ...added];
  return {
    ...candidate,
    against: contradicts,
    mapped: {
      ...mapped,
      confidence: Math.max(
        LEAST,
        Math.min(Math.max(byName, NAMED_SURELY), byName + MORE_WHERE_AGREED * added.length) -
          LESS_WHERE_AGAINST * Math.min(contradicts.length, 2),
      ),
      reason: together(mapped.reason, ...said),
    },
  };
}

export const likeliestFirst = (a: Candidate, b: Candidate): number =>
  b.mapped.confidence - a.mapped.confidence || b.column.values.length - a.column.values.length;
