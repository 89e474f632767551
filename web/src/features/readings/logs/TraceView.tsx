import * as wording from '@white-ember/core/words/screens/readings';
import { type UnitChoice } from '@white-ember/core/words';
import { fixed } from '../../../ui/format.ts';
import { columnLabel } from './columnLabel.ts';
import { ChevronLeft, ChevronRight, Maximize2, X, ZoomIn, ZoomOut } from 'lucide-react';
import type { Trace } from '@white-ember/core/readings';
import type { LogColumn } from '../../../workers/logWorker.ts';
import { clockText, shownUnit, shownValue, type View } from './traceLanes.ts';
import { unitLabel, type Unit } from '@white-ember/core/quantities';

/** What is in view, in figures. */
export function TraceTable({
  view,
  ordered,
  traces,
  units,
}: {
  view: View;
  ordered: readonly LogColumn[];
  traces: readonly Trace[];
  units: UnitChoice;
}) {
  return (
    <details className="text-sm">
      <summary className="min-h-11 underline underline-offset-4 content-center">
        {wording.theTracesAsATable}
      </summary>
      <table className="w-full text-left">
        <caption className="text-left text-ink2">
          {wording.fromTo(clockText(view.fromS), clockText(view.toS))}
        </caption>
        <thead>
          <tr>
            <th>{wording.channel}</th>
            <th className="text-right pl-2">{wording.lowest}</th>
            <th className="text-right pl-2">{wording.mean}</th>
            <th className="text-right pl-2">{wording.highest}</th>
            <th className="text-right pl-2">{wording.readings}</th>
          </tr>
        </thead>
        <tbody>
          {ordered.map((column, i) => {
            const stats = traces[i]?.stats;
            const text = (value: number | undefined): string =>
              value === undefined ? '–' : figureOf(shownValue(column, units)(value));
            const unit = shownUnit(column, units);
            return <TraceTableRow key={column.name} column={column} unit={unit} text={text} stats={stats} />;
          })}
        </tbody>
      </table>
    </details>
  );
}

/** One column of what is in view. */
function TraceTableRow({
  column,
  unit,
  text,
  stats,
}: {
  column: LogColumn;
  unit: Unit | undefined;
  text: (value: number | undefined) => string;
  stats:
    | { readonly n: number; readonly min: number; readonly mean: number; readonly max: number }
    | undefined;
}) {
  return (
    <tr className="border-t border-rule">
      <td>
        {columnLabel(column)}, {unit === undefined ? column.unit : unitLabel(unit)}
      </td>
      <td className="text-right pl-2">{text(stats?.min)}</td>
      <td className="text-right pl-2">{text(stats?.mean)}</td>
      <td className="text-right pl-2">{text(stats?.max)}</td>
      <td className="text-right pl-2">{stats?.n ?? 0}</td>
    </tr>
  );
}

/** The columns that are shown, with their figure at the cursor. */
export function TraceLegend({
  cursor,
  ordered,
  units,
  traces,
  onPicked,
  picked,
}: {
  cursor: { atS: number; values: readonly (number | undefined)[] } | undefined;
  ordered: readonly LogColumn[];
  units: UnitChoice;
  traces: readonly Trace[];
  onPicked: (names: readonly string[]) => void;
  picked: readonly string[];
}) {
  return (
    <ul
      className="flex flex-wrap gap-1 items-center"
      aria-label={
        cursor ? wording.valuesAt(clockText(cursor.atS, true)) : wording.channelsShownWithTheirMeans
      }
    >
      <li className="figure-text w-14">{cursor ? clockText(cursor.atS, true) : wording.mean}</li>
      {ordered.map((column, i) => {
        const unit = shownUnit(column, units);
        const value = cursor ? cursor.values[i] : traces[i]?.stats?.mean;
        const figure = value === undefined ? '–' : figureOf(shownValue(column, units)(value));
        return (
          <LegendEntry
            key={column.name}
            column={column}
            onPicked={onPicked}
            picked={picked}
            figure={figure}
            unit={unit}
          />
        );
      })}
    </ul>
  );
}

/** One column with its colour and figure. */
function LegendEntry({
  column,
  onPicked,
  picked,
  figure,
  unit,
}: {
  column: LogColumn;
  onPicked: (names: readonly string[]) => void;
  picked: readonly string[];
  figure: string;
  unit: Unit | undefined;
}) {
  return (
    <li>
      <button
        type="button"
        className="min-h-11 px-2 flex items-center gap-1.5 border-2 border-rule bg-card text-sm"
        onClick={() => onPicked(picked.filter((name) => name !== column.name))}
      >
        <span>{columnLabel(column)}</span>
        <span className="figure-text text-base">
          {figure} {unit === undefined ? column.unit : unitLabel(unit)}
        </span>
        <span className="sr-only">{wording.remove}</span>
        <X aria-hidden size={14} />
      </button>
    </li>
  );
}

const TOOL = 'size-11 grid place-items-center border-2 border-ink bg-card rounded-sm disabled:opacity-60';

/** Closer, farther, along. */
export function ViewTools({
  move,
  onView,
  durationS,
  view,
  onPicked,
  picked,
  spare,
}: {
  move: (by: { zoom?: number; by?: number }) => void;
  onView: (view: View) => void;
  durationS: number;
  view: View;
  onPicked: (names: readonly string[]) => void;
  picked: readonly string[];
  spare: readonly LogColumn[];
}) {
  return (
    <div className="flex flex-wrap gap-1.5 items-center">
      <button type="button" className={TOOL} aria-label={wording.earlier} onClick={() => move({ by: -0.5 })}>
        <ChevronLeft aria-hidden />
      </button>
      <button type="button" className={TOOL} aria-label={wording.later} onClick={() => move({ by: 0.5 })}>
        <ChevronRight aria-hidden />
      </button>
      <button type="button" className={TOOL} aria-label={wording.zoomIn} onClick={() => move({ zoom: 0.5 })}>
        <ZoomIn aria-hidden />
      </button>
      <button type="button" className={TOOL} aria-label={wording.zoomOut} onClick={() => move({ zoom: 2 })}>
        <ZoomOut aria-hidden />
      </button>
      <button
        type="button"
        className={TOOL}
        aria-label={wording.wholeLog}
        onClick={() => onView({ fromS: 0, toS: durationS })}
      >
        <Maximize2 aria-hidden />
      </button>
      <span className="figure-text px-1 max-sm:hidden">
        {clockText(view.fromS)}–{clockText(view.toS)}
      </span>
      <select
        className="input-box w-auto! grow max-w-64"
        aria-label={wording.addAChannel}
        value=""
        onChange={(event) => onPicked([...picked, event.target.value])}
      >
        <option value="">{wording.addAChannelTitle}</option>
        {spare.map((column) => (
          <option key={column.name} value={column.name}>
            {columnLabel(column)}
            {column.role === undefined ? '' : ` (${column.name})`}
          </option>
        ))}
      </select>
    </div>
  );
}

const figureOf = (value: number): string =>
  Math.abs(value) >= 100 ? fixed(value) : Math.abs(value) >= 10 ? fixed(value, 1) : fixed(value, 2);
