import { parseUnit, plainLabel } from '../../quantities/index.ts';
import { CHANNEL_ROLES } from '../channelRoles.ts';
import type { Recording, Series } from '../recording.ts';

/** One column of a tidy table: channels by their role in base units, other columns as they were read. */
export interface TidyColumn extends Series {
  readonly heading: string;
}

export interface TidyTable {
  readonly columns: readonly TidyColumn[];
  /** Every time at which any column has a reading, s. */
  readonly timeS: Float64Array;
}

export const TIME_HEADING = 'time (s)';

/** A text that a spreadsheet would run as a formula gets an apostrophe before it. */
export const asPlainText = (text: string): string => (/^\s*[=+\-@]/.test(text) ? `'${text}` : text);

const withUnit = (name: string, unit: string | undefined): string =>
  unit === undefined || unit === '' || name.endsWith(`(${unit})`) ? name : `${name} (${unit})`;

/** A recording as one wide table with its units in the headings. */
export function tidyTable(recording: Recording): TidyTable {
  const roleOf = new Map(recording.mapping.channels.map((channel) => [channel.column, channel]));
  const columns = recording.columns.map((column): TidyColumn => {
    const mapped = roleOf.get(column.name);
    const series = mapped && recording.channels.get(mapped.role);
    if (!mapped || !series) {
      const known = column.unitText !== undefined && parseUnit(column.unitText).ok;
      return {
        heading: asPlainText(withUnit(column.name, known ? column.unitText : undefined)),
        timeS: column.timeS,
        values: column.values,
      };
    }
    const definition = CHANNEL_ROLES[mapped.role];
    const unit = definition.quantity === 'fraction' ? undefined : plainLabel(definition.unit);
    return { heading: withUnit(mapped.role, unit), ...series };
  });
  return { columns, timeS: allTimes(columns) };
}

function allTimes(columns: readonly Series[]): Float64Array {
  const axes = [...new Set(columns.map(({ timeS }) => timeS))];
  const [only] = axes;
  if (axes.length === 1 && only) return only;
  const all = new Float64Array(axes.reduce((sum, axis) => sum + axis.length, 0));
  let at = 0;
  for (const axis of axes) {
    all.set(axis, at);
    at += axis.length;
  }
  all.sort();
  let kept = 0;
  for (let i = 0; i < all.length; i++) if (i === 0 || all[i] !== all[i - 1]) all[kept++] = all[i] as number;
  return all.subarray(0, kept);
}

/** Nine figures: beyond what any sensor resolves, short of what conversion of units adds in noise. */
export const tidyNumber = (value: number): number => Number(value.toPrecision(9));

/** Row by row: the time, and each column's reading at it or undefined. Several readings at one time give several rows. */
export function* tidyRows({
  columns,
  timeS,
}: TidyTable): Generator<readonly [number, readonly (number | undefined)[]]> {
  const next = new Int32Array(columns.length);
  for (const t of timeS) {
    let more = true;
    while (more) {
      more = false;
      const cells = columns.map((column, c) => {
        const at = next[c] as number;
        if (column.timeS[at] !== t) return undefined;
        next[c] = at + 1;
        more ||= column.timeS[at + 1] === t;
        return tidyNumber(column.values[at] as number);
      });
      if (cells.some((cell) => cell !== undefined)) yield [tidyNumber(t), cells];
    }
  }
}
