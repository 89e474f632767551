import * as common from '@white-ember/core/words/screens/common';
import * as wording from '@white-ember/core/words/screens/readings';
import { columnLabel } from './columnLabel.ts';
import { useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import type { AnalysedWindow, Finding, Trace } from '@white-ember/core/readings';
import { useAppSelector } from '../../../data/store.ts';
import type { LogColumn } from '../../../workers/logWorker.ts';
import { tracesOf, valuesAt } from './openedLogs.ts';
import { traceChart, type TraceChart } from './traceChart.ts';
import { lanesOf, movedView, type View, type Lane } from './traceLanes.ts';
import { ViewTools, TraceLegend, TraceTable } from './TraceView.tsx';

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
  const spare = columns.filter(({ name }) => !picked.includes(name));
  return (
    <section aria-label={common.traces} className="grid gap-2 min-w-0">
      <ViewTools
        move={move}
        onView={onView}
        durationS={durationS}
        view={view}
        onPicked={onPicked}
        picked={picked}
        spare={spare}
      />
      <TraceLegend
        cursor={cursor}
        ordered={ordered}
        units={units}
        traces={traces}
        onPicked={onPicked}
        picked={picked}
      />
      <TracePicture
        lanes={lanes}
        onKey={onKey}
        canvas={canvas}
        ordered={ordered}
        windows={windows}
        findings={findings}
      />
      <TraceTable view={view} ordered={ordered} traces={traces} units={units} />
    </section>
  );
}

/** The traces themselves, moved by pointer and keys. */
function TracePicture({
  lanes,
  onKey,
  canvas,
  ordered,
  windows,
  findings,
}: {
  lanes: readonly Lane[];
  onKey: (event: KeyboardEvent) => void;
  canvas: React.RefObject<HTMLCanvasElement | null>;
  ordered: readonly LogColumn[];
  windows: readonly AnalysedWindow[];
  findings: readonly Finding[];
}) {
  return (
    <div
      className="relative border-2 border-rule bg-card"
      style={{ height: `${Math.max(220, 96 * lanes.length + 40)}px` }}
      role="application"
      tabIndex={0}
      aria-label={wording.tracesOverTimeArrowKeysMovePlus}
      onKeyDown={onKey}
    >
      <canvas
        ref={canvas}
        className="absolute inset-0"
        role="img"
        aria-label={describe(ordered, windows, findings)}
      />
    </div>
  );
}

function describe(
  columns: readonly LogColumn[],
  windows: readonly AnalysedWindow[],
  findings: readonly Finding[],
): string {
  const kinds = new Map<string, number>();
  for (const { kind } of windows) kinds.set(kind, (kinds.get(kind) ?? 0) + 1);
  const found = [...kinds].map(([kind, n]) => `${n} × ${kind}`).join(', ');
  return wording.tracesOfWindowsFindingsMarked(
    columns.map(columnLabel).join(', '),
    found || common.none,
    findings.length,
  );
}
