import * as wording from '@white-ember/core/words/screens/readings';
import { chosenUnit, type UnitChoice } from '@white-ember/core/words';
import { type ChannelRole } from '@white-ember/core/readings';
import { fromBase, parseUnit, unitLabel, type Unit } from '@white-ember/core/quantities';
import type { LogColumn } from '../../../workers/logWorker.ts';

/** A strip of the picture with a scale of its own. */
export interface Lane {
  readonly key: string;
  readonly unitLabel: string;
  readonly columns: readonly LogColumn[];
}

const AT_FIRST: readonly ChannelRole[] = [
  'engineSpeed',
  'dpfDeltaP',
  'exhaustBackPressure',
  'manifoldPressure',
  'egt3',
  'egt4',
];

/** The channels that tell most, to begin with. */
export const firstColumns = (columns: readonly LogColumn[]): string[] => {
  const told = AT_FIRST.flatMap((role) => columns.find((column) => column.role === role)?.name ?? []);
  return told.length > 0 ? told : columns.slice(0, 4).map(({ name }) => name);
};

/** The unit in which a column is shown. */
export function shownUnit(column: LogColumn, units: UnitChoice): Unit | undefined {
  const parsed = parseUnit(column.unit);
  if (!parsed.ok || column.role === undefined) return parsed.ok ? parsed.value : undefined;
  return chosenUnit(parsed.value, units);
}

/** A value of a column as it is shown: channels come in base units, other columns as the file has them. */
export function shownValue(column: LogColumn, units: UnitChoice): (value: number) => number {
  const unit = shownUnit(column, units);
  return column.role === undefined || unit === undefined
    ? (value) => value
    : (value) => fromBase(value, unit);
}

/** ΔP stands apart from absolute pressures, which are fifty times as large; everything else goes by its unit. */
function laneKey(column: LogColumn, units: UnitChoice): string {
  const unit = shownUnit(column, units);
  const label = unit === undefined ? column.unit : unitLabel(unit);
  return column.role === 'dpfDeltaP' ? wording.deltapWithLabel(label) : label;
}

/** Lanes in the order in which their first channel was picked. */
export function lanesOf(columns: readonly LogColumn[], units: UnitChoice): Lane[] {
  const lanes = new Map<string, LogColumn[]>();
  for (const column of columns) {
    const key = laneKey(column, units);
    lanes.set(key, [...(lanes.get(key) ?? []), column]);
  }
  return [...lanes].map(([key, its]) => ({
    key,
    unitLabel: key === '' ? wording.asRead : key,
    columns: its,
  }));
}

export const clockText = (seconds: number, fine = false): string => {
  const whole = Math.max(0, seconds);
  const rest = whole % 60;
  return `${Math.floor(whole / 60)}:${fine ? rest.toFixed(1).padStart(4, '0') : String(Math.floor(rest)).padStart(2, '0')}`;
};

export interface View {
  readonly fromS: number;
  readonly toS: number;
}

/** A view with room around a stretch, inside the log. */
export function viewAround(startS: number, endS: number, durationS: number): View {
  const room = Math.max(5, (endS - startS) * 0.3);
  return { fromS: Math.max(0, startS - room), toS: Math.min(durationS, endS + room) };
}

/** A view zoomed by a factor about its middle, or moved by a share of its width; never outside the log, never under 2 s. */
export function movedView(
  view: View,
  durationS: number,
  { zoom = 1, by = 0 }: { zoom?: number; by?: number },
): View {
  const width = Math.min(durationS, Math.max(2, (view.toS - view.fromS) * zoom));
  const middle = (view.fromS + view.toS) / 2 + by * width;
  const fromS = Math.min(Math.max(0, middle - width / 2), Math.max(0, durationS - width));
  return { fromS, toS: fromS + width };
}

const LANE_ROOM = 0.08;

/** Where a lane's scale begins and ends: all that is drawn in it, with some room. */
export function laneEnds(lines: readonly (readonly { y: number }[])[]): [number, number] | undefined {
  let low = Number.POSITIVE_INFINITY;
  let high = Number.NEGATIVE_INFINITY;
  for (const line of lines) {
    for (const { y } of line) {
      if (y < low) low = y;
      if (y > high) high = y;
    }
  }
  if (!(low <= high)) return undefined;
  // A line that does not move lies in the middle of its lane, not on a scale of its noise.
  const room = Math.max(LANE_ROOM * (high - low), 0.01 * Math.max(Math.abs(low), Math.abs(high)), 0.5);
  return [low - room, high + room];
}
