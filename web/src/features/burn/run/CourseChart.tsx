import * as wording from '@white-ember/core/words/screens/burn';
import * as common from '@white-ember/core/words/screens/common';
import { useEffect, useRef } from 'react';
import type { Chart as ChartType } from 'chart.js';
import type { BodyOf } from '@white-ember/core/ledger';
import { fromBase, unitLabel } from '@white-ember/core/quantities';
import { useAppSelector } from '../../../data/store.ts';
import { useWords } from '../../../data/words.ts';
import { clockText } from '../../readings/logs/traceLanes.ts';

type Course = NonNullable<BodyOf<'burn-ended'>['course']>;

const LINES = [
  { name: 'bedC', label: wording.bedByTheModel, tone: '--ember', dash: [], axis: 'y' },
  { name: 'egt3C', label: common.beforeTheFilter, tone: '--ink', dash: [], axis: 'y' },
  { name: 'egt4C', label: wording.afterTheFilter, tone: '--ink', dash: [6, 4], axis: 'y' },
  { name: 'sootG', label: wording.sootByTheCounter, tone: '--steel', dash: [2, 3], axis: 'soot' },
] as const;

/** Only what this burn has figures of. */
const linesOf = (course: Course) =>
  LINES.filter(({ name }) => course.some((point) => point[name] !== undefined));

const colour = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim();

/** Temperatures and soot of a burn over its time, told apart by their dashes too. */
export function CourseChart({ course }: { course: Course }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const {
    theme,
    units: { temperature: temperatureUnit, soot: sootUnit },
  } = useAppSelector((app) => app.preferences);
  const words = useWords();
  const lines = linesOf(course);
  useEffect(() => {
    let chart: ChartType | undefined;
    let wanted = true;
    void import('chart.js').then((library) => {
      const { Chart, LineController, LineElement, PointElement, LinearScale, Legend } = library;
      if (!wanted || !canvas.current) return;
      Chart.register(LineController, LineElement, PointElement, LinearScale, Legend);
      const [ink, rule] = [colour('--ink'), colour('--rule')];
      const font = { family: 'Barlow Semi Condensed', size: 14 };
      // As in the tables: a sign within from five digits on.
      const ticks = { color: ink, font, callback: (value: string | number) => words.number(Number(value)) };
      const shown = linesOf(course);
      chart = new Chart(canvas.current, {
        type: 'line',
        data: {
          datasets: shown.map(({ name, label, tone, dash, axis }) => ({
            label,
            yAxisID: axis,
            borderColor: colour(tone),
            borderDash: [...dash],
            borderWidth: 2.5,
            pointRadius: 0,
            data: course.flatMap((point) => {
              const value = point[name];
              return value === undefined
                ? []
                : [
                    {
                      x: point.atS / 60,
                      y: fromBase(value, axis === 'y' ? temperatureUnit : sootUnit),
                    },
                  ];
            }),
          })),
        },
        options: {
          animation: false,
          maintainAspectRatio: false,
          plugins: {
            legend: { position: 'bottom', labels: { color: ink, font, boxHeight: 0, boxWidth: 28 } },
          },
          scales: {
            x: {
              type: 'linear',
              grid: { color: rule },
              ticks,
              title: { display: true, text: wording.minWithin, color: ink, font },
            },
            y: {
              grid: { color: rule },
              ticks,
              title: { display: true, text: unitLabel(temperatureUnit), color: ink, font },
            },
            ...(shown.some(({ axis }) => axis === 'soot')
              ? {
                  soot: {
                    position: 'right' as const,
                    min: 0,
                    grid: { display: false },
                    ticks,
                    title: { display: true, text: unitLabel(sootUnit), color: ink, font },
                  },
                }
              : {}),
          },
        },
      });
    });
    return () => {
      wanted = false;
      chart?.destroy();
    };
  }, [course, theme, temperatureUnit, sootUnit, words]);
  return (
    <figure className="grid gap-1 min-w-0">
      <div className="h-64 relative">
        <canvas ref={canvas} className="absolute inset-0" aria-hidden />
      </div>
      <details className="text-sm">
        <summary className="min-h-11 content-center underline underline-offset-4">
          {wording.theFigures}
        </summary>
        <table className="w-full text-right">
          <thead>
            <tr className="border-b-2 border-ink">
              <th className="text-left">{common.after}</th>
              {lines.map(({ name, label }) => (
                <th key={name}>{label}</th>
              ))}
            </tr>
          </thead>
          <tbody>
            {course
              .filter((_, i) => i % Math.ceil(course.length / 20) === 0)
              .map((point) => (
                <tr key={point.atS} className="border-b border-rule">
                  <td className="text-left">{clockText(point.atS)}</td>
                  {lines.map(({ name }) => (
                    <td key={name}>
                      {point[name] === undefined
                        ? '–'
                        : name === 'sootG'
                          ? words.soot(point[name], 1)
                          : words.temperature(point[name], 0)}
                    </td>
                  ))}
                </tr>
              ))}
          </tbody>
        </table>
      </details>
    </figure>
  );
}
