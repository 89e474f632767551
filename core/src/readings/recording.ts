import { say, type Said } from '../words/index.ts';
import { median, toBase, unitLabel } from '../quantities/index.ts';
import { CHANNEL_ROLES, type ChannelRole } from './channelRoles.ts';
import { indexAt } from './indexAt.ts';
import { mapChannels, type ChannelMapping, type MappingCorrections } from './mapping/mapChannels.ts';
import type { LogWarning, RawColumn, RawLog, StatedFacts } from './reader/rawLog.ts';

/** The readings of one channel in base units, with their times in seconds; never falls, has no gaps. */
export interface Series {
  readonly timeS: Float64Array;
  readonly values: Float64Array;
}

/** A log whose channels have roles and base units. */
export interface Recording {
  readonly format: Said;
  readonly durationS: number;
  readonly channels: ReadonlyMap<ChannelRole, Series>;
  readonly mapping: ChannelMapping;
  /** All columns as read, those without a role too. */
  readonly columns: readonly RawColumn[];
  readonly facts: StatedFacts;
  readonly warnings: readonly LogWarning[];
}

export const STANDARD_BAROMETER_MBAR = 1013;
const EMPTY: Series = { timeS: new Float64Array(), values: new Float64Array() };

/** Columns → channels in base units; gauge columns become absolute by the logged barometer, else 1013 mbar. */
export function toRecording(
  log: RawLog,
  corrections: MappingCorrections = {},
  remembered: MappingCorrections = {},
): Recording {
  const mapping = mapChannels(log, corrections, remembered);
  const warnings: LogWarning[] = [...log.warnings, ...mapping.warnings];
  const channels = new Map<ChannelRole, Series>();
  const byName = new Map(log.columns.map((column) => [column.name, column]));
  for (const { role, column: name, unit } of mapping.channels) {
    const column = byName.get(name);
    if (!column) continue;
    const { timeS, values } = column;
    const base = unit === 'none' || (toBase(0, unit) === 0 && toBase(1, unit) === 1);
    const converted = base ? values : values.map((value) => toBase(value, unit));
    channels.set(role, withoutGlitches({ timeS, values: converted }, role, name, warnings));
  }
  const barometer = median(channels.get('barometricPressure')?.values ?? []);
  for (const { role, column, gauge } of mapping.channels) {
    const series = channels.get(role);
    if (!gauge || !series) continue;
    const added = barometer ?? STANDARD_BAROMETER_MBAR;
    channels.set(role, { timeS: series.timeS, values: series.values.map((value) => value + added) });
    if (barometer === undefined) {
      warnings.push({
        code: 'barometer-assumed',
        text: say('logs.is-a-gauge-pressure-and-the', { column, assumed: STANDARD_BAROMETER_MBAR }),
      });
    }
  }
  const { format, durationS, columns, facts } = log;
  return { format, durationS, channels, mapping, columns, facts, warnings };
}

/** More than this share of them is no glitch but what the sensor shows. */
const GLITCH_SHARE = 0.2;

/** Single readings that the channel cannot have, such as the code of an invalid value, are left out and said. */
function withoutGlitches(series: Series, role: ChannelRole, name: string, warnings: LogWarning[]): Series {
  const { low, high, unit, quantity } = CHANNEL_ROLES[role];
  const margin = 0.02 * (high - low);
  const possible = (value: number): boolean => value >= low - margin && value <= high + margin;
  let wrong = 0;
  // By index: the iterator of a typed array costs ten times the comparison.
  for (let i = 0; i < series.values.length; i++) if (!possible(series.values[i] as number)) wrong++;
  if (wrong === 0 || quantity === 'fraction' || wrong > GLITCH_SHARE * series.values.length) return series;
  const kept = Int32Array.from([...series.values.keys()].filter((i) => possible(series.values[i] as number)));
  warnings.push({
    code: 'reading-implausible',
    text: say('logs.of-are-outside-the-channels-range', {
      count: wrong,
      name,
      low,
      high,
      unit: unitLabel(unit),
    }),
  });
  return {
    timeS: Float64Array.from(kept, (i) => series.timeS[i] as number),
    values: Float64Array.from(kept, (i) => series.values[i] as number),
  };
}

export const seriesOf = (recording: Recording, role: ChannelRole): Series =>
  recording.channels.get(role) ?? EMPTY;

/** The readings between two times, as views: nothing is copied. */
export function seriesBetween({ timeS, values }: Series, startS: number, endS: number): Series {
  const from = indexAt(timeS, startS);
  const to = indexAt(timeS, endS, true);
  return { timeS: timeS.subarray(from, to), values: values.subarray(from, to) };
}

/** The readings of a channel between two times. */
export const channelBetween = (
  recording: Recording,
  role: ChannelRole,
  startS: number,
  endS: number,
): Float64Array => seriesBetween(seriesOf(recording, role), startS, endS).values;

/** The reading that stood at a time: the last one not after it, the first where there is none. */
export function heldAt({ timeS, values }: Series, at: number): number | undefined {
  if (values.length === 0) return undefined;
  return values[Math.max(0, indexAt(timeS, at, true) - 1)];
}
