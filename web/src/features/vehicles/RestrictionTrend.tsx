import { figuresNow } from '../../data/lastWords.ts';
import * as wording from '@white-ember/core/words/screens/vehicles';
import * as common from '@white-ember/core/words/screens/common';
import { useWords } from '../../data/words.ts';
import { useEffect, useRef } from 'react';
import type { Chart as ChartType, ChartDataset } from 'chart.js';
import type { VehicleOutlook } from '@white-ember/core/outlook';
import { fromBase, unitLabel, type Unit } from '@white-ember/core/quantities';
import { useAppSelector } from '../../data/store.ts';
import { shortNumber, fixed } from '../../ui/format.ts';

const colour = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim();

interface Point {
  readonly x: number;
  readonly y: number;
}

/** What was read over the road, in the order of the visits, and the road to due from the last one. */
function pointsOf({ visits, outlook }: VehicleOutlook, unit: Unit) {
  const at = (km: number, ratio: number): Point => ({ x: fromBase(km, unit), y: ratio });
  const before: Point[] = [];
  const after: Point[] = [];
  const path: Point[] = [];
  for (const visit of visits) {
    if (visit.km === undefined) continue;
    for (const [side, into] of [
      [visit.before, before],
      [visit.after, after],
    ] as const) {
      if (!side) continue;
      into.push(at(visit.km, side.value));
      path.push(at(visit.km, side.value));
    }
  }
  const ahead =
    outlook.known && outlook.from.km !== undefined
      ? { from: at(outlook.from.km, outlook.now.value), km: outlook.from.km, dueKm: outlook.dueKm }
      : undefined;
  return { before, after, path, ahead, at };
}

async function draw(canvas: HTMLCanvasElement, told: VehicleOutlook, unit: Unit): Promise<ChartType> {
  const { Chart, LinearScale, LineController, LineElement, PointElement, ScatterController } =
    await import('chart.js');
  Chart.register(LinearScale, LineController, LineElement, PointElement, ScatterController);
  await document.fonts.ready;
  const [ink, ink2, rule, steel, ember] = ['--ink', '--ink2', '--rule', '--steel', '--ember'].map(colour) as [
    string,
    string,
    string,
    string,
    string,
  ];
  const { before, after, path, ahead, at } = pointsOf(told, unit);
  const line = (data: Point[], style: Partial<ChartDataset<'scatter'>>): ChartDataset<'scatter'> => ({
    data,
    showLine: true,
    pointRadius: 0,
    borderWidth: 1.5,
    borderColor: ink2,
    ...style,
  });
  const datasets: ChartDataset<'scatter'>[] = [
    line(path, { borderColor: ink2 }),
    {
      data: before,
      pointStyle: 'crossRot',
      pointRadius: 6,
      borderColor: steel,
      borderWidth: 2.5,
    },
    { data: after, pointRadius: 5, backgroundColor: ember, borderWidth: 0 },
  ];
  if (told.outlook.known && ahead) {
    const limit = told.outlook.limitRatio;
    const to = (km: number): Point => at(ahead.km + km, limit);
    for (const [km, dash] of [
      [ahead.dueKm.low, [3, 4]],
      [ahead.dueKm.value, []],
      [ahead.dueKm.high, [3, 4]],
    ] as const)
      datasets.push(
        line([ahead.from, to(km)], { borderColor: ember, borderDash: [...dash], borderWidth: 2 }),
      );
    const first = path[0]?.x ?? ahead.from.x;
    datasets.push(
      line([{ x: first, y: limit }, to(ahead.dueKm.high)], { borderColor: ink, borderDash: [8, 4] }),
    );
  }
  const axis = {
    ticks: { color: ink2, font: { family: 'Barlow Semi Condensed', size: 14 } },
    border: { color: ink },
  };
  const title = (text: string) => ({
    display: true,
    text,
    color: ink2,
    font: { family: 'Barlow Semi Condensed', size: 14 },
  });
  return new Chart(canvas, {
    type: 'scatter',
    data: { datasets },
    options: {
      animation: false,
      locale: figuresNow().locale,
      responsive: true,
      maintainAspectRatio: false,
      layout: { padding: { right: 12, top: 6 } },
      events: [],
      scales: {
        x: {
          ...axis,
          type: 'linear',
          grid: { display: false },
          ticks: { ...axis.ticks, maxTicksLimit: 5, callback: (value) => fixed(Number(value)) },
          title: title(wording.distanceWithUnit(unitLabel(unit))),
        },
        y: {
          ...axis,
          type: 'linear',
          min: 0,
          grid: { color: rule },
          ticks: { ...axis.ticks, maxTicksLimit: 6 },
          title: title(wording.restrictionClean),
        },
      },
    },
  });
}

/** Restriction over distance: what each visit found and left, and the road to due. */
export function RestrictionTrend({ told }: { told: VehicleOutlook }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const {
    theme,
    units: { distance: distanceUnit },
  } = useAppSelector((state) => state.preferences);
  useEffect(() => {
    let chart: ChartType | undefined;
    let gone = false;
    const element = canvas.current;
    if (!element) return;
    void draw(element, told, distanceUnit).then((made) => {
      if (gone) made.destroy();
      else chart = made;
    });
    return () => {
      gone = true;
      chart?.destroy();
    };
  }, [told, theme, distanceUnit]);
  const read = told.visits.filter(({ km, before, after }) => km !== undefined && (before ?? after));
  const show = (ratio: number | undefined): string => (ratio === undefined ? '–' : `${shortNumber(ratio)} ×`);
  return (
    <figure className="grid gap-1 min-w-0">
      <div className="relative h-64">
        <canvas
          ref={canvas}
          className="absolute inset-0"
          role="img"
          aria-label={wording.restrictionOverDistanceAtVisitsThe(read.length)}
        />
      </div>
      <figcaption className="text-sm text-ink2">{wording.foundLeftFromTheLastVisitMedian}</figcaption>
      <TrendTable distanceUnit={distanceUnit} read={read} show={show} />
    </figure>
  );
}

/** The same in figures. */
function TrendTable({
  distanceUnit,
  read,
  show,
}: {
  distanceUnit: 'km' | 'mi';
  read: readonly VehicleOutlook['visits'][number][];
  show: (ratio: number | undefined) => string;
}) {
  const words = useWords();
  return (
    <details className="text-sm">
      <summary className="min-h-11 content-center underline underline-offset-4">
        {wording.theChartAsATable}
      </summary>
      <table className="w-full text-left">
        <thead>
          <tr>
            <th>{common.jobWithin}</th>
            <th className="text-right">{unitLabel(distanceUnit)}</th>
            <th className="text-right">{wording.found}</th>
            <th className="text-right">{wording.left}</th>
          </tr>
        </thead>
        <tbody>
          {read.map(({ jobId, number, km, before, after }) => (
            <tr key={jobId} className="border-t border-rule">
              <td>{number}</td>
              <td className="text-right">{words.number(fromBase(km ?? 0, distanceUnit), 0)}</td>
              <td className="text-right">{show(before?.value)}</td>
              <td className="text-right">{show(after?.value)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
