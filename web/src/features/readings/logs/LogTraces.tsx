import { fixed } from '../../../ui/format.ts';
import { columnLabel } from './columnLabel.ts';
import { ChevronLeft, ChevronRight, Maximize2, X, ZoomIn, ZoomOut } from 'lucide-react';
import { useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import type { AnalysedWindow, Finding, Trace } from '@white-ember/core/readings';
import { useAppSelector } from '../../../data/store.ts';
import type { LogColumn } from '../../../workers/logWorker.ts';
import { tracesOf, valuesAt } from './openedLogs.ts';
import { traceChart, type TraceChart } from './traceChart.ts';
import { clockText, lanesOf, movedView, shownUnit, shownValue, type View } from './traceLanes.ts';
import { unitLabel } from '@white-ember/core/quantities';

const KEYS: Record<string, { zoom?: number; by?: number }> = {
  ArrowLeft: { by: -0.25 },
  ArrowRight: { by: 0.25 },
  '+': { zoom: 0.5 },
  '=': { zoom: 0.5 },
  '-': { zoom: 2 },
  '0': { zoom: Number.POSITIVE_INFINITY },
};

/** Channels over one axis of time, a lane for each unit: windows shaded, findings numbered, values read out at the cursor. */
export function LogTraces({
  logId,
  columns,
  picked,
  onPicked,
  view,
  onView,
  durationS,
  windows,
  findings,
  chosenFinding,
}: {
  logId: string;
  columns: readonly LogColumn[];
  picked: readonly string[];
  onPicked: (names: readonly string[]) => void;
  view: View;
  onView: (view: View) => void;
  durationS: number;
  windows: readonly AnalysedWindow[];
  findings: readonly Finding[];
  chosenFinding: number | undefined;
}) {
  const { units, theme } = useAppSelector((state) => state.preferences);
  const canvas = useRef<HTMLCanvasElement>(null);
  const chart = useRef<TraceChart | undefined>(undefined);
  const [drawn, setDrawn] = useState(0);
  const [traces, setTraces] = useState<readonly Trace[]>([]);
  const [cursor, setCursor] = useState<{ atS: number; values: readonly (number | undefined)[] }>();
  const shown = useMemo(
    () => picked.flatMap((name) => columns.find((column) => column.name === name) ?? []),
    [picked, columns],
  );
  const lanes = useMemo(() => lanesOf(shown, units), [shown, units]);
  // Lanes put channels of one unit together: everything below goes in their order.
  const ordered = useMemo(() => lanes.flatMap((lane) => lane.columns), [lanes]);
  const names = useMemo(() => ordered.map(({ name }) => name), [ordered]);
  const latest = useRef({ view, onView });
  useEffect(() => {
    latest.current = { view, onView };
  });

  useEffect(() => {
    const element = canvas.current;
    if (!element || names.length === 0) return undefined;
    let gone = false;
    let asked = 0;
    void traceChart(element, latest.current.view, {
      lanes,
      units,
      durationS,
      windows,
      findings,
      chosenFinding,
      onView: (next) => latest.current.onView(next),
      onCursor: (atS) => {
        const turn = ++asked;
        void valuesAt(logId, names, atS).then((values) => {
          if (turn !== asked || gone) return;
          chart.current?.cursor(atS);
          setCursor({ atS, values });
        });
      },
    }).then((made) => {
      if (gone) made.destroy();
      else {
        chart.current = made;
        setDrawn((n) => n + 1);
      }
    });
    return () => {
      gone = true;
      chart.current?.destroy();
      chart.current = undefined;
    };
  }, [lanes, names, units, durationS, windows, findings, chosenFinding, logId, theme]);

  useEffect(() => {
    let gone = false;
    const points = Math.min(1200, Math.max(300, canvas.current?.clientWidth ?? 800));
    void tracesOf(logId, names, view.fromS, view.toS, points).then((made) => {
      if (gone) return;
      chart.current?.show(made, view);
      setTraces(made);
    });
    return () => {
      gone = true;
    };
  }, [logId, names, view, drawn]);

  const move = (by: { zoom?: number; by?: number }): void => onView(movedView(view, durationS, by));
  const onKey = (event: KeyboardEvent): void => {
    const action = KEYS[event.key];
    if (!action || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    event.stopPropagation();
    move(action);
  };
  const TOOL = 'size-11 grid place-items-center border-2 border-ink bg-card rounded-sm disabled:opacity-60';
  const spare = columns.filter(({ name }) => !picked.includes(name));
  return (
    <section aria-label="Traces" className="grid gap-2 min-w-0">
      <div className="flex flex-wrap gap-1.5 items-center">
        <button type="button" className={TOOL} aria-label="Earlier" onClick={() => move({ by: -0.5 })}>
          <ChevronLeft aria-hidden />
        </button>
        <button type="button" className={TOOL} aria-label="Later" onClick={() => move({ by: 0.5 })}>
          <ChevronRight aria-hidden />
        </button>
        <button type="button" className={TOOL} aria-label="Zoom in" onClick={() => move({ zoom: 0.5 })}>
          <ZoomIn aria-hidden />
        </button>
        <button type="button" className={TOOL} aria-label="Zoom out" onClick={() => move({ zoom: 2 })}>
          <ZoomOut aria-hidden />
        </button>
        <button
          type="button"
          className={TOOL}
          aria-label="Whole log"
          onClick={() => onView({ fromS: 0, toS: durationS })}
        >
          <Maximize2 aria-hidden />
        </button>
        <span className="figure-text px-1 max-sm:hidden">
          {clockText(view.fromS)}–{clockText(view.toS)}
        </span>
        <select
          className="input-box w-auto! grow max-w-64"
          aria-label="Add a channel"
          value=""
          onChange={(event) => onPicked([...picked, event.target.value])}
        >
          <option value="">Add a channel …</option>
          {spare.map((column) => (
            <option key={column.name} value={column.name}>
              {columnLabel(column)}
              {column.role === undefined ? '' : ` (${column.name})`}
            </option>
          ))}
        </select>
      </div>
      <ul
        className="flex flex-wrap gap-1 items-center"
        aria-label={cursor ? `Values at ${clockText(cursor.atS, true)}` : 'Channels shown, with their means'}
      >
        <li className="figure-text w-14">{cursor ? clockText(cursor.atS, true) : 'mean'}</li>
        {ordered.map((column, i) => {
          const unit = shownUnit(column, units);
          const value = cursor ? cursor.values[i] : traces[i]?.stats?.mean;
          const figure = value === undefined ? '–' : figureOf(shownValue(column, units)(value));
          return (
            <li key={column.name}>
              <button
                type="button"
                className="min-h-11 px-2 flex items-center gap-1.5 border-2 border-rule bg-card text-sm"
                onClick={() => onPicked(picked.filter((name) => name !== column.name))}
              >
                <span>{columnLabel(column)}</span>
                <span className="figure-text text-base">
                  {figure} {unit === undefined ? column.unit : unitLabel(unit)}
                </span>
                <span className="sr-only">, remove</span>
                <X aria-hidden size={14} />
              </button>
            </li>
          );
        })}
      </ul>
      <div
        className="relative border-2 border-rule bg-card"
        style={{ height: `${Math.max(220, 96 * lanes.length + 40)}px` }}
        role="application"
        tabIndex={0}
        aria-label="Traces over time. Arrow keys move, plus and minus zoom, 0 shows the whole log."
        onKeyDown={onKey}
      >
        <canvas
          ref={canvas}
          className="absolute inset-0"
          role="img"
          aria-label={describe(ordered, windows, findings)}
        />
      </div>
      <details className="text-sm">
        <summary className="min-h-11 underline underline-offset-4 content-center">
          The traces as a table
        </summary>
        <table className="w-full text-left">
          <caption className="text-left text-ink2">
            From {clockText(view.fromS)} to {clockText(view.toS)}
          </caption>
          <thead>
            <tr>
              <th>channel</th>
              <th className="text-right">lowest</th>
              <th className="text-right">mean</th>
              <th className="text-right">highest</th>
              <th className="text-right">readings</th>
            </tr>
          </thead>
          <tbody>
            {ordered.map((column, i) => {
              const stats = traces[i]?.stats;
              const text = (value: number | undefined): string =>
                value === undefined ? '–' : figureOf(shownValue(column, units)(value));
              const unit = shownUnit(column, units);
              return (
                <tr key={column.name} className="border-t border-rule">
                  <td>
                    {columnLabel(column)}, {unit === undefined ? column.unit : unitLabel(unit)}
                  </td>
                  <td className="text-right">{text(stats?.min)}</td>
                  <td className="text-right">{text(stats?.mean)}</td>
                  <td className="text-right">{text(stats?.max)}</td>
                  <td className="text-right">{stats?.n ?? 0}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </details>
    </section>
  );
}

const figureOf = (value: number): string =>
  Math.abs(value) >= 100 ? fixed(value) : Math.abs(value) >= 10 ? fixed(value, 1) : fixed(value, 2);

function describe(
  columns: readonly LogColumn[],
  windows: readonly AnalysedWindow[],
  findings: readonly Finding[],
): string {
  const kinds = new Map<string, number>();
  for (const { kind } of windows) kinds.set(kind, (kinds.get(kind) ?? 0) + 1);
  const found = [...kinds].map(([kind, n]) => `${n} × ${kind}`).join(', ');
  return `Traces of ${columns.map(columnLabel).join(', ')}. Windows: ${found || 'none'}. ${findings.length} findings marked.`;
}
