import { figuresNow } from '../../../data/lastWords.ts';
import { columnLabel } from './columnLabel.ts';
import type { UnitChoice } from '@white-ember/core/words';
import type { Chart as ChartType, ChartDataset, ChartOptions, Plugin, ScaleOptionsByType } from 'chart.js';
import type { AnnotationOptions } from 'chartjs-plugin-annotation';
import type { AnalysedWindow, Finding, Trace } from '@white-ember/core/readings';
import { clockText, laneEnds, shownValue, type Lane, type View } from './traceLanes.ts';

const colour = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim();

/** Told apart in a lane by dash as well as by tone. */
const DASHES: readonly number[][] = [[], [6, 3], [2, 3], [10, 3, 2, 3]];

const WINDOW_NAMES: Record<AnalysedWindow['kind'], string> = {
  'engine-off': 'off',
  idle: 'idle',
  hold: 'hold',
  snap: 'snap',
  drive: 'drive',
};

export interface TraceChart {
  readonly show: (traces: readonly Trace[], view: View) => void;
  readonly cursor: (atS: number | undefined) => void;
  readonly destroy: () => void;
}

export interface TraceChartOptions {
  readonly lanes: readonly Lane[];
  readonly units: UnitChoice;
  readonly durationS: number;
  readonly windows: readonly AnalysedWindow[];
  readonly findings: readonly Finding[];
  readonly chosenFinding: number | undefined;
  readonly onView: (view: View) => void;
  readonly onCursor: (atS: number) => void;
}

/** More would be drawn over each other, and slowly. */
const MOST_WINDOWS = 80;
const THINNEST_SHARE = 0.003;

/** The windows of a view that are wide enough to be seen in it, the longest if there are very many. */
function shownWindows(windows: readonly AnalysedWindow[], { fromS, toS }: View): AnalysedWindow[] {
  const seen = windows.filter(
    ({ startS, endS }) => endS >= fromS && startS <= toS && endS - startS >= THINNEST_SHARE * (toS - fromS),
  );
  if (seen.length <= MOST_WINDOWS) return seen;
  return seen.sort((a, b) => b.endS - b.startS - (a.endS - a.startS)).slice(0, MOST_WINDOWS);
}

/** A letter of a window’s name is at most about so wide. */
const LETTER_PX = 6.5;

/** Windows as shaded stretches with their names below, findings as numbered flags above. */
function annotations(options: TraceChartOptions, view: View): Record<string, AnnotationOptions> {
  const { findings, chosenFinding } = options;
  const windows = shownWindows(options.windows, view);
  const steel = colour('--steel');
  const ink = colour('--ink');
  const ember = colour('--ember');
  const shade: Record<AnalysedWindow['kind'], string> = {
    'engine-off': `${ink}14`,
    idle: `${ink}0a`,
    hold: `${steel}24`,
    snap: `${ember}26`,
    drive: `${steel}12`,
  };
  const font = { family: 'Barlow Semi Condensed', size: 12, weight: 600 } as const;
  const lanes = options.lanes.map((_, i) => `lane${i}`);
  const bottom = lanes.at(-1);
  // The library keeps a box inside one scale: a stretch over all lanes is a box in each.
  const overLanes = (name: string, box: (lane: string) => AnnotationOptions): [string, AnnotationOptions][] =>
    lanes.map((lane) => [`${name} ${lane}`, { ...box(lane), yScaleID: lane }]);
  const nameOf = ({ kind, rpm }: AnalysedWindow): string =>
    kind === 'hold' || kind === 'drive'
      ? `${WINDOW_NAMES[kind]} ${Math.round(rpm.mean)}`
      : WINDOW_NAMES[kind];
  const shaded = windows.flatMap((window, i) => {
    const { kind, startS, endS } = window;
    const content = nameOf(window);
    return overLanes(`window${i}`, (lane) => ({
      type: 'box',
      xMin: startS,
      xMax: endS,
      backgroundColor: shade[kind],
      borderWidth: 0,
      drawTime: 'beforeDatasetsDraw',
      label: {
        display: ({ chart }) => {
          const x = chart.scales['x'];
          return (
            lane === bottom &&
            x !== undefined &&
            // A name of which only an end is in view reads as another figure.
            x.getPixelForValue(Math.min(endS, x.max)) - x.getPixelForValue(Math.max(startS, x.min)) >
              content.length * LETTER_PX + 8
          );
        },
        content,
        position: { x: 'center', y: 'end' },
        color: colour('--ink2'),
        font,
        padding: 2,
      },
    }));
  });
  const flagged = findings.slice(0, MOST_WINDOWS).flatMap((finding, i): [string, AnnotationOptions][] => {
    const { startS, endS } = finding;
    if (startS === undefined || endS === undefined) return [];
    const tone = finding.level === 'fault' ? ember : ink;
    const flag: AnnotationOptions = {
      type: 'line',
      xMin: startS,
      xMax: startS,
      yScaleID: 'lane0',
      borderColor: tone,
      borderWidth: 1.5,
      label: {
        display: true,
        content: String(i + 1),
        position: 'end',
        yAdjust: 18 * (i % 3),
        backgroundColor: tone,
        color: colour('--card'),
        borderRadius: 0,
        font,
        padding: { x: 5, y: 1 },
      },
    };
    const stretch = overLanes(`stretch${i}`, () => ({
      type: 'box',
      xMin: startS,
      xMax: endS,
      backgroundColor: `${ember}30`,
      borderWidth: 0,
      drawTime: 'beforeDatasetsDraw',
    }));
    return [[`flag${i}`, flag], ...(chosenFinding === i ? stretch : [])];
  });
  return Object.fromEntries([...shaded, ...flagged]);
}

/** A line at the moment that is read out. */
const cursorLine = (at: () => number | undefined): Plugin<'line'> => ({
  id: 'cursor-line',
  afterDatasetsDraw: ({ ctx, chartArea, scales }) => {
    const x = scales['x'];
    const moment = at();
    if (!x || moment === undefined) return;
    const px = x.getPixelForValue(moment);
    if (px < chartArea.left || px > chartArea.right) return;
    ctx.save();
    ctx.strokeStyle = colour('--ink');
    ctx.lineWidth = 1.5;
    ctx.beginPath();
    ctx.moveTo(px, chartArea.top);
    ctx.lineTo(px, chartArea.bottom);
    ctx.stroke();
    ctx.restore();
  },
});

function scales(options: TraceChartOptions, view: View): NonNullable<ChartOptions<'line'>['scales']> {
  const ink2 = colour('--ink2');
  const text = { family: 'Barlow Semi Condensed', size: 13 } as const;
  const lanes = options.lanes.map((lane, i): [string, Partial<ScaleOptionsByType<'linear'>>] => [
    `lane${i}`,
    {
      type: 'linear',
      position: 'left',
      stack: 'lanes',
      stackWeight: 1,
      border: { color: colour('--ink') },
      // On a phone the library leaves a lane 40 px for its figures and its name.
      grid: { color: colour('--rule'), tickLength: 2 },
      // Ends of a lane are no round figures and touch the next lane: only what lies between them is written.
      ticks: {
        color: ink2,
        font: text,
        maxTicksLimit: 5,
        includeBounds: false,
        callback: (value: number | string) => figuresNow().number(Number(value)),
      },
      title: { display: true, text: lane.unitLabel, color: ink2, font: text, padding: 0 },
    } as unknown as Partial<ScaleOptionsByType<'linear'>>,
  ]);
  return {
    x: {
      type: 'linear',
      min: view.fromS,
      max: view.toS,
      border: { color: colour('--ink') },
      grid: { color: colour('--rule') },
      ticks: {
        color: ink2,
        font: text,
        maxTicksLimit: 9,
        maxRotation: 0,
        callback: (value) => clockText(Number(value)),
      },
    },
    // The first lane picked stands on top; the library stacks from below.
    ...Object.fromEntries(lanes.reverse()),
  };
}

/** Draws the lanes into a canvas. The libraries are loaded when the first log is looked at. */
export async function traceChart(
  canvas: HTMLCanvasElement,
  view: View,
  options: TraceChartOptions,
): Promise<TraceChart> {
  const [
    { Chart, LinearScale, LineController, LineElement, PointElement },
    { default: zoom },
    { default: annotation },
  ] = await Promise.all([
    import('chart.js'),
    import('chartjs-plugin-zoom'),
    import('chartjs-plugin-annotation'),
  ]);
  Chart.register(LinearScale, LineController, LineElement, PointElement, zoom, annotation);
  await document.fonts.ready;
  const tones = [colour('--steel'), colour('--ember'), colour('--ink'), colour('--ink2')];
  const shownColumns = options.lanes.flatMap((lane, laneIndex) =>
    lane.columns.map((column, i) => ({
      column,
      laneIndex,
      tone: toneOf(column.role, i, tones),
      dash: DASHES[i % DASHES.length] ?? [],
    })),
  );
  const datasets = shownColumns.map(
    ({ column, laneIndex, tone, dash }): ChartDataset<'line', { x: number; y: number }[]> => ({
      label: columnLabel(column),
      data: [],
      yAxisID: `lane${laneIndex}`,
      borderColor: tone,
      borderDash: dash,
      borderWidth: 1.8,
      pointRadius: 0,
      pointHitRadius: 0,
    }),
  );
  let moment: number | undefined;
  const told = (chart: ChartType): void => {
    const x = chart.scales['x'];
    if (x) options.onView({ fromS: x.min, toS: x.max });
  };
  const chart = new Chart<'line', { x: number; y: number }[]>(canvas, {
    type: 'line',
    data: { datasets },
    options: {
      animation: false,
      locale: figuresNow().locale,
      parsing: false,
      normalized: true,
      responsive: true,
      maintainAspectRatio: false,
      events: ['mousemove', 'click', 'touchstart', 'touchmove'],
      layout: { padding: { top: 4, right: 8 } },
      onHover: (event, _elements, { scales: { x } }) => {
        if (!x || event.x === null) return;
        const at = x.getValueForPixel(event.x);
        if (at !== undefined && at >= x.min && at <= x.max) options.onCursor(at);
      },
      scales: scales(options, view),
      plugins: {
        annotation: { annotations: annotations(options, view) },
        zoom: {
          limits: { x: { min: 0, max: options.durationS, minRange: 2 } },
          pan: { enabled: true, mode: 'x', onPanComplete: ({ chart: moved }) => told(moved) },
          zoom: {
            mode: 'x',
            wheel: { enabled: true },
            pinch: { enabled: true },
            drag: { enabled: true, modifierKey: 'shift', backgroundColor: `${colour('--steel')}33` },
            onZoomComplete: ({ chart: moved }) => told(moved),
          },
        },
      },
    },
    plugins: [cursorLine(() => moment)],
  });
  return {
    show: (traces, shown) => {
      traces.forEach(({ timeS, values }, i) => {
        const dataset = chart.data.datasets[i];
        const about = shownColumns[i];
        if (!dataset || !about) return;
        const convert = shownValue(about.column, options.units);
        dataset.data = Array.from(timeS, (t, k) => ({ x: t, y: convert(values[k] as number) }));
      });
      const x = chart.options.scales?.['x'];
      if (x) [x.min, x.max] = [shown.fromS, shown.toS];
      options.lanes.forEach((_, lane) => {
        const scale = chart.options.scales?.[`lane${lane}`];
        const ends = laneEnds(
          chart.data.datasets.filter(({ yAxisID }) => yAxisID === `lane${lane}`).map(({ data }) => data),
        );
        if (!scale || !ends) return;
        [scale.min, scale.max] = ends;
        // The names of the windows stand under the lines of the lowest lane.
        if (lane === options.lanes.length - 1) scale.min -= 0.2 * (ends[1] - ends[0]);
      });
      const marks = chart.options.plugins?.annotation;
      if (marks) marks.annotations = annotations(options, shown);
      chart.update('none');
    },
    cursor: (atS) => {
      moment = atS;
      chart.draw();
    },
    destroy: () => chart.destroy(),
  };
}

/** Heat is ember, pressure steel, speed ink; a second of a kind takes the next tone. */
export function toneOf(
  role: string | undefined,
  index: number,
  [steel, ember, ink, ink2]: readonly string[],
): string {
  const [own, next] =
    role === undefined
      ? [ink, ink2]
      : /egt|Temp/.test(role)
        ? [ember, ink]
        : /Pressure|DeltaP/.test(role)
          ? [steel, ink]
          : [ink, steel];
  return (index % 2 === 0 ? own : next) ?? '';
}
