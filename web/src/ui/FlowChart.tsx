import { say, type Words } from '@white-ember/core/words';
import { useWords } from '../data/words.ts';
import { useEffect, useMemo, useRef } from 'react';
import type { Chart as ChartType, ChartDataset, Plugin } from 'chart.js';
import { type FlowPicture, type CurvePoint, type FlowCurve } from '@white-ember/core/proof';
import { fromBase } from '@white-ember/core/quantities';
import { useAppSelector } from '../data/store.ts';

const colour = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim();

interface Label {
  readonly text: string;
  readonly at: CurvePoint;
  readonly tone: string;
  readonly bold: boolean;
}

/** Words at the ends of the curves, moved apart where they would touch, instead of a legend to look up. */
const endLabels = (labels: readonly Label[]): Plugin<'scatter'> => ({
  id: 'end-labels',
  afterDatasetsDraw: ({ ctx, chartArea, scales }) => {
    const x = scales['x'];
    const y = scales['y'];
    if (!x || !y) return;
    const placed = labels
      .map((label) => ({ ...label, top: Math.max(y.getPixelForValue(label.at.dpMbar), chartArea.top + 6) }))
      .filter((label) => label.bold || y.getPixelForValue(label.at.dpMbar) >= chartArea.top)
      .sort((a, b) => a.top - b.top);
    for (let i = 1; i < placed.length; i++) {
      const above = placed[i - 1];
      const here = placed[i];
      if (above && here && here.top - above.top < 15) here.top = above.top + 15;
    }
    // What was pushed below the picture pushes the others up again.
    for (let i = placed.length - 1, floor = chartArea.bottom; i >= 0; i--) {
      const here = placed[i];
      if (!here) continue;
      here.top = Math.min(here.top, floor);
      floor = here.top - 15;
    }
    for (const label of placed) {
      ctx.font = `${label.bold ? '600 16px' : '500 13px'} "Barlow Semi Condensed"`;
      ctx.fillStyle = label.tone;
      ctx.textBaseline = 'middle';
      ctx.fillText(label.text, chartArea.right + 6, label.top);
    }
  },
});

/** The arrow from before to after at the flow at which they are compared. */
const fallArrow = (picture: FlowPicture, words: Words, tone: string, ground: string): Plugin<'scatter'> => ({
  id: 'fall-arrow',
  afterDatasetsDraw: ({ ctx, scales }) => {
    const { equalFlow, removedPercent } = picture;
    const x = scales['x'];
    const y = scales['y'];
    if (!equalFlow || removedPercent === undefined || !x || !y) return;
    const { pressure, volumeFlow } = words.units;
    const px = x.getPixelForValue(fromBase(equalFlow.flowM3PerH, volumeFlow));
    const from = y.getPixelForValue(fromBase(equalFlow.beforeMbar, pressure));
    const to = y.getPixelForValue(fromBase(equalFlow.afterMbar, pressure));
    if (Math.abs(to - from) < 24) return;
    const sign = Math.sign(to - from);
    ctx.strokeStyle = tone;
    ctx.lineWidth = 2.5;
    ctx.beginPath();
    ctx.moveTo(px, from + sign * 4);
    ctx.lineTo(px, to - sign * 4);
    ctx.moveTo(px - 6, to - sign * 13);
    ctx.lineTo(px, to - sign * 4);
    ctx.lineTo(px + 6, to - sign * 13);
    ctx.stroke();
    const text = `${removedPercent >= 0 ? '−' : '+'}${Math.abs(Math.round(removedPercent))} %`;
    ctx.font = '600 22px "Barlow Semi Condensed"';
    const width = ctx.measureText(text).width;
    const left = px - width - 12;
    const middle = from + (to - from) * 0.6;
    ctx.fillStyle = ground;
    ctx.fillRect(left - 4, middle - 14, width + 8, 28);
    ctx.fillStyle = tone;
    ctx.textBaseline = 'middle';
    ctx.fillText(text, left, middle);
  },
});

async function draw(
  canvas: HTMLCanvasElement,
  picture: FlowPicture,
  words: Words,
  still: boolean,
): Promise<ChartType> {
  const { pressure: unit, volumeFlow } = words.units;
  const { Chart, LinearScale, LineController, LineElement, PointElement, ScatterController } =
    await import('chart.js');
  Chart.register(LinearScale, LineController, LineElement, PointElement, ScatterController);
  await document.fonts.ready;
  const ink = colour('--ink');
  const ink2 = colour('--ink2');
  const rule = colour('--rule');
  const tone = { before: colour('--steel'), after: colour('--ember'), log: colour('--ember') };
  const point = (p: CurvePoint): { x: number; y: number } => ({
    x: fromBase(p.flowM3PerH, volumeFlow),
    y: fromBase(p.dpMbar, unit),
  });
  const line = (curve: FlowCurve, style: Partial<ChartDataset<'scatter'>>): ChartDataset<'scatter'> => ({
    label: words.say(curve.label),
    data: curve.points.map(point),
    showLine: true,
    pointRadius: 0,
    borderWidth: 1.5,
    ...style,
  });
  const ends: Label[] = [];
  const endOf = (curve: FlowCurve, tint: string, bold: boolean): void => {
    const last = curve.points.filter((p) => p.dpMbar <= picture.maxMbar).at(-1) ?? curve.points.at(-1);
    const reachesEnd = last === curve.points.at(-1);
    if (last && (bold || reachesEnd))
      ends.push({
        text: words.say(curve.label),
        at: { ...last, dpMbar: fromBase(last.dpMbar, unit) },
        tone: tint,
        bold,
      });
  };
  const datasets: ChartDataset<'scatter'>[] = picture.ground.map((curve, i) => {
    endOf(curve, ink2, false);
    return line(curve, {
      borderColor: ink2,
      borderDash: i === 0 ? [] : [4, 4],
      borderWidth: i === 0 ? 2 : 1.2,
    });
  });
  for (const { name, cloud, curve } of picture.sides) {
    if (curve) {
      endOf(curve, tone[name], true);
      datasets.push(line(curve, { borderColor: tone[name], borderWidth: 3 }));
    }
    datasets.push({
      label: words.name('chart', name),
      data: cloud.map(point),
      pointStyle: name === 'before' ? 'crossRot' : 'circle',
      pointRadius: name === 'before' ? 4.5 : 3.5,
      borderColor: tone[name],
      backgroundColor: tone[name],
      borderWidth: name === 'before' ? 1.6 : 0,
    });
  }
  const axis = {
    ticks: {
      color: ink2,
      font: { family: 'Barlow Semi Condensed', size: 14 },
      callback: (value: string | number) => words.number(Number(value)),
    },
    border: { color: ink },
  };
  return new Chart(canvas, {
    type: 'scatter',
    data: { datasets },
    options: {
      locale: words.locale,
      animation: false,
      responsive: true,
      maintainAspectRatio: false,
      devicePixelRatio: Math.max(window.devicePixelRatio, still ? 3 : 1),
      layout: { padding: { right: 58, top: 6 } },
      events: [],
      scales: {
        x: {
          ...axis,
          type: 'linear',
          min: 0,
          max: fromBase(picture.maxFlow, volumeFlow),
          grid: { display: false },
          ticks: { ...axis.ticks, maxTicksLimit: 7, includeBounds: false },
          title: {
            display: true,
            text: words.say(say('chart.flow-axis', { temperatureC: picture.temperatureC })),
            color: ink2,
            align: 'end',
            font: { family: 'Barlow Semi Condensed', size: 14 },
          },
        },
        y: {
          ...axis,
          type: 'linear',
          min: 0,
          max: fromBase(picture.maxMbar, unit),
          grid: { color: rule },
          ticks: { ...axis.ticks, maxTicksLimit: 8, includeBounds: false },
          title: {
            display: true,
            text: words.name('chart', 'pressure-axis'),
            color: ink2,
            font: { family: 'Barlow Semi Condensed', size: 14 },
          },
        },
      },
    },
    plugins: [endLabels(ends), fallArrow(picture, words, ink, colour(still ? '--card' : '--paper'))],
  });
}

/** ΔP against exhaust flow: one look says whether it is the filter, the sensor or the revs. */
export function FlowChart({
  picture,
  still = false,
  told,
  className = '',
}: {
  picture: FlowPicture;
  still?: boolean;
  /** Other words than this person’s, as in a report that was told for somebody. */
  told?: Words | undefined;
  className?: string;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const theme = useAppSelector((state) => state.preferences.theme);
  const own = useWords();
  const words = told ?? own;
  const described = useMemo(() => describe(picture, words), [picture, words]);
  useEffect(() => {
    let chart: ChartType | undefined;
    let gone = false;
    const element = canvas.current;
    if (!element) return;
    void draw(element, picture, words, still).then((made) => {
      if (gone) made.destroy();
      else chart = made;
    });
    return () => {
      gone = true;
      chart?.destroy();
    };
  }, [picture, words, theme, still]);
  return (
    <figure className="mb-6">
      <div className={`relative min-h-[240px] ${className}`}>
        <canvas ref={canvas} className="absolute inset-0" role="img" aria-label={described} />
      </div>
      {picture.sides.flatMap(({ name, misses }) =>
        misses.map((text, i) => (
          <p key={`${name} ${i}`} className="text-sm text-ink2">
            {picture.sides.length > 1 ? `${words.name('chart', name)}: ` : ''}
            {words.say(text)}
          </p>
        )),
      )}
      <details className="no-print text-sm">
        <summary className="min-h-9 underline underline-offset-4">
          {words.name('chart', 'as-a-table')}
        </summary>
        <table className="w-full text-left">
          <thead>
            <tr>
              <th>{words.name('chart', 'reading')}</th>
              <th className="text-right">{words.name('chart', 'flow')}</th>
              <th className="text-right">{words.name('chart', 'pressure-axis')}</th>
            </tr>
          </thead>
          <tbody>
            {picture.sides.flatMap(({ name, reading }) =>
              reading.samples.slice(0, 60).map((sample) => (
                <tr key={`${name} ${sample.rpm} ${sample.dpMbar}`} className="border-t border-rule">
                  <td>
                    {words.say(say('chart.at-speed', { side: words.name('chart', name), rpm: sample.rpm }))}
                  </td>
                  <td className="text-right">{words.volumeFlowFigure(sample.flow.flowM3PerH)}</td>
                  <td className="text-right">{words.pressureFigure(sample.dpMbar)}</td>
                </tr>
              )),
            )}
          </tbody>
        </table>
      </details>
    </figure>
  );
}

function describe(picture: FlowPicture, words: Words): string {
  const { equalFlow, removedPercent } = picture;
  const sides = picture.sides.map(({ name, cloud }) =>
    words.say(say('chart.points', { side: words.name('chart', name), count: cloud.length })),
  );
  const fall = equalFlow && removedPercent !== undefined ? [words.say(say('chart.fall', equalFlow))] : [];
  return [`${words.name('chart', 'title')}.`, `${sides.join('; ')}.`, ...fall].join(' ');
}
