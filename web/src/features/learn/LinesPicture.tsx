import * as wording from '@white-ember/core/words/screens/learn';
import type { Picture, TopicId } from '@white-ember/core/learn';
import { useWords } from '../../data/words.ts';
import { axisFor } from './axis.ts';
import { axisOf, labelOf } from './learnWords.ts';
import { useOwnWidth } from './useOwnWidth.ts';

type Lines = Extract<Picture, { kind: 'lines' }>;

const HEIGHT = 280;
const EDGE = { left: 52, right: 24, top: 10, bottom: 40 };
/** Told apart by their dashes, too. */
const STYLES = [
  { stroke: 'var(--steel)', strokeWidth: 3 },
  { stroke: 'var(--ember)', strokeWidth: 3, strokeDasharray: '9 4' },
  { stroke: 'var(--ink)', strokeWidth: 2, strokeDasharray: '3 3' },
  { stroke: 'var(--ink2)', strokeWidth: 2, strokeDasharray: '1 4' },
] as const;
/** So many marks are readings of a log: small ones. */
const MANY_MARKS = 20;
/** Rows of the table beside it. */
const ROWS = 10;

/** Lines over one axis, drawn for the width that there is. */
export function LinesPicture({ picture, topic }: { picture: Lines; topic: TopicId }) {
  const words = useWords();
  const [box, width] = useOwnWidth<HTMLDivElement>();
  const [x, y] = [axisOf(words, picture.x.quantity), axisOf(words, picture.y.quantity)];
  const points = picture.lines.flatMap((line) => line.points);
  const across = axisFor(points.map(([at]) => x.to(at)));
  const up = axisFor([
    ...points.map(([, value]) => y.to(value)),
    ...(picture.limit === undefined ? [] : [y.to(picture.limit)]),
  ]);
  const px = (at: number): number =>
    EDGE.left + ((x.to(at) - across.from) / (across.to - across.from)) * (width - EDGE.left - EDGE.right);
  const py = (value: number): number =>
    HEIGHT - EDGE.bottom - ((y.to(value) - up.from) / (up.to - up.from)) * (HEIGHT - EDGE.top - EDGE.bottom);
  const name = `${labelOf(words, topic, picture.y.id)} – ${labelOf(words, topic, picture.x.id)}`;
  return (
    <figure className="grid gap-2 min-w-0">
      <div ref={box} className="min-w-0" style={{ height: HEIGHT }}>
        {width > 0 ? (
          <svg
            width={width}
            height={HEIGHT}
            role="img"
            aria-label={wording.picture(name)}
            className="font-head text-sm"
          >
            {up.ticks.map((tick) => {
              const at =
                HEIGHT -
                EDGE.bottom -
                ((tick - up.from) / (up.to - up.from)) * (HEIGHT - EDGE.top - EDGE.bottom);
              return (
                <g key={tick}>
                  <line x1={EDGE.left} x2={width - EDGE.right} y1={at} y2={at} stroke="var(--rule)" />
                  <text x={EDGE.left - 6} y={at + 5} textAnchor="end" fill="var(--ink2)">
                    {words.number(tick)}
                  </text>
                </g>
              );
            })}
            {across.ticks.map((tick) => {
              const at =
                EDGE.left +
                ((tick - across.from) / (across.to - across.from)) * (width - EDGE.left - EDGE.right);
              return (
                <text key={tick} x={at} y={HEIGHT - EDGE.bottom + 16} textAnchor="middle" fill="var(--ink2)">
                  {words.number(tick)}
                </text>
              );
            })}
            <text x={width - EDGE.right} y={HEIGHT - 6} textAnchor="end" fill="var(--ink2)">
              {wording.table(labelOf(words, topic, picture.x.id), x.unit)}
            </text>
            <text x={EDGE.left + 6} y={EDGE.top + 12} fill="var(--ink2)">
              {wording.table(labelOf(words, topic, picture.y.id), y.unit)}
            </text>
            {picture.limit === undefined ? null : (
              <line
                x1={EDGE.left}
                x2={width - EDGE.right}
                y1={py(picture.limit)}
                y2={py(picture.limit)}
                stroke="var(--ink)"
                strokeWidth={2}
                strokeDasharray="12 6"
              />
            )}
            {picture.lines.map((line, i) => (
              <polyline
                key={line.id}
                points={line.points
                  .map(([at, value]) => `${px(at).toFixed(1)},${py(value).toFixed(1)}`)
                  .join(' ')}
                fill="none"
                {...STYLES[i % STYLES.length]}
              />
            ))}
            {(['var(--ink)', 'var(--card)'] as const).map((stroke, i) => (
              <path
                key={stroke}
                d={picture.marks
                  .map(({ at: [at, value] }) => `M${px(at).toFixed(1)},${py(value).toFixed(1)}h0`)
                  .join('')}
                stroke={stroke}
                strokeLinecap="round"
                strokeWidth={
                  (picture.marks.length > MANY_MARKS ? 5 : 12) -
                  (i === 0 ? 0 : picture.marks.length > MANY_MARKS ? 2.5 : 5)
                }
              />
            ))}
          </svg>
        ) : null}
      </div>
      <figcaption className="flex flex-wrap gap-x-5 gap-y-1 text-sm">
        {picture.lines.map((line, i) => (
          <span key={line.id} className="inline-flex items-center gap-2">
            <svg width={34} height={8} aria-hidden>
              <line x1={0} x2={34} y1={4} y2={4} {...STYLES[i % STYLES.length]} />
            </svg>
            {labelOf(words, topic, line.id)}
          </span>
        ))}
        {picture.limit === undefined ? null : (
          <span>{wording.goodTo(`${words.number(y.to(picture.limit), 0)} ${y.unit}`)}</span>
        )}
      </figcaption>
      <LinesTable picture={picture} topic={topic} />
    </figure>
  );
}

function LinesTable({ picture, topic }: { picture: Lines; topic: TopicId }) {
  const words = useWords();
  const [x, y] = [axisOf(words, picture.x.quantity), axisOf(words, picture.y.quantity)];
  const longest = Math.max(...picture.lines.map(({ points }) => points.length));
  const every = Math.max(1, Math.round(longest / ROWS));
  const rows = Array.from({ length: longest }, (_, i) => i).filter((i) => i % every === 0);
  return (
    <details className="text-sm no-print">
      <summary className="min-h-11 content-center underline underline-offset-4">
        {wording.pictureAsTable}
      </summary>
      <table className="w-full text-right">
        <thead>
          <tr className="border-b-2 border-ink">
            <th className="text-left">{wording.table(labelOf(words, topic, picture.x.id), x.unit)}</th>
            {picture.lines.map((line) => (
              <th key={line.id} className="pl-2">
                {wording.table(labelOf(words, topic, line.id), y.unit)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row} className="border-b border-rule">
              <td className="text-left">{words.number(x.to(picture.lines[0]?.points[row]?.[0] ?? 0), 1)}</td>
              {picture.lines.map((line) => {
                const value = line.points[row]?.[1];
                return <td key={line.id}>{value === undefined ? '–' : words.number(y.to(value), 1)}</td>;
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
