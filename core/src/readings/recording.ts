import { median, toBase } from '../quantities/index.ts';
import type { ChannelRole } from './channelRoles.ts';
import { mapChannels, type ChannelMapping, type MappingCorrections } from './mapChannels.ts';
import type { LogWarning, RawLog, StatedFacts } from './rawLog.ts';

/** A log whose channels have roles and base units. Gaps are NaN; every function that reads it minds that. */
export interface Recording {
  readonly format: string;
  readonly timeS: Float64Array;
  readonly channels: ReadonlyMap<ChannelRole, Float64Array>;
  readonly mapping: ChannelMapping;
  readonly facts: StatedFacts;
  readonly warnings: readonly LogWarning[];
}

const STANDARD_BAROMETER_MBAR = 1013;

/** Columns → channels in base units; gauge columns become absolute by the logged barometer, else 1013 mbar. */
export function toRecording(log: RawLog, corrections: MappingCorrections = {}): Recording {
  const mapping = mapChannels(log, corrections);
  const warnings: LogWarning[] = [...log.warnings, ...mapping.warnings];
  const channels = new Map<ChannelRole, Float64Array>();
  const byName = new Map(log.columns.map((column) => [column.name, column]));
  for (const { role, source, unit } of mapping.channels) {
    const values = byName.get(source)?.values;
    if (values) channels.set(role, unit === 'none' ? values.slice() : values.map((v) => toBase(v, unit)));
  }
  const barometer = median(channels.get('barometricPressure') ?? []);
  for (const { role, source, gauge } of mapping.channels) {
    if (!gauge) continue;
    const values = channels.get(role);
    if (values)
      channels.set(
        role,
        values.map((v) => v + (barometer ?? STANDARD_BAROMETER_MBAR)),
      );
    if (barometer === undefined) {
      warnings.push({
        code: 'barometer-assumed',
        text: `“${source}” is recorded against the barometer, which the file does not hold: ${STANDARD_BAROMETER_MBAR} mbar is assumed.`,
      });
    }
  }
  return { format: log.format, timeS: log.timeS, channels, mapping, facts: log.facts, warnings };
}

/** Indices [from, to) of the rows whose time lies in [startS, endS]. */
export function rowsBetween(timeS: Float64Array, startS: number, endS: number): [number, number] {
  const lowerBound = (target: number, inclusive: boolean): number => {
    let low = 0;
    let high = timeS.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      const t = timeS[middle] as number;
      if (inclusive ? t <= target : t < target) low = middle + 1;
      else high = middle;
    }
    return low;
  };
  return [lowerBound(startS, false), lowerBound(endS, true)];
}

/** The readings of a channel between two times. */
export function channelBetween(
  recording: Recording,
  role: ChannelRole,
  startS: number,
  endS: number,
): Float64Array {
  const values = recording.channels.get(role);
  if (!values) return new Float64Array();
  const [from, to] = rowsBetween(recording.timeS, startS, endS);
  return values.subarray(from, to).filter(Number.isFinite);
}
