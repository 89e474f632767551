import { atMost } from '../../ui/format.ts';
import * as wording from '@white-ember/core/words/screens/checks';
import type { CheckValues } from '@white-ember/core/checks';
import { fromBase, unitLabel, type Unit } from '@white-ember/core/quantities';
import type { Limits } from '@white-ember/core/limits';

const [WIDTH, HEIGHT, EDGE] = [420, 190, 34];

/** Off what was applied, against what was applied, in the band of the tolerance: up as discs, down as rings. */
export function LadderPlot({ values, limits, unit }: { values: CheckValues; limits: Limits; unit: Unit }) {
  const rungs = values['rungs'];
  const full = typeof values['fullScaleMbar'] === 'number' ? values['fullScaleMbar'] : 1000;
  const gaugeZero = typeof values['gaugeZeroMbar'] === 'number' ? values['gaugeZeroMbar'] : 0;
  if (!Array.isArray(rungs) || rungs.length < 2) return null;
  const points = (rungs as readonly (readonly (number | null)[])[]).flatMap(([applied, up, down]) => {
    if (applied === null || applied === undefined) return [];
    const x = applied - gaugeZero;
    return [
      ...(typeof up === 'number' ? [{ x, off: up - x, way: 'up' as const }] : []),
      ...(typeof down === 'number' ? [{ x, off: down - x, way: 'down' as const }] : []),
    ];
  });
  const allowed = (limits.ladderPercent / 100) * full;
  const most = Math.max(
    1.6 * Math.max(allowed, limits.ladderZeroMbar),
    ...points.map(({ off }) => Math.abs(off)),
  );
  const toX = (mbar: number): number => EDGE + (mbar / (1.05 * full)) * (WIDTH - EDGE - 8);
  const toY = (off: number): number => HEIGHT / 2 - (off / most) * (HEIGHT / 2 - 16);
  const zeroAt = 0.02 * full;
  const band = `M${toX(0)} ${toY(limits.ladderZeroMbar)} H${toX(zeroAt)} V${toY(allowed)} H${toX(full)} V${toY(-allowed)} H${toX(zeroAt)} V${toY(-limits.ladderZeroMbar)} H${toX(0)} Z`;
  const label = unitLabel(unit);
  const figure = (mbar: number): string => atMost(Number(fromBase(mbar, unit).toPrecision(3)), 6);
  return (
    <figure>
      <LadderDrawing
        points={points}
        figure={figure}
        label={label}
        allowed={allowed}
        band={band}
        toY={toY}
        toX={toX}
        full={full}
      />
      <figcaption className="text-sm text-ink2">{wording.valueLessPumpDiscsGoingUpRings(label)}</figcaption>
    </figure>
  );
}

/** Points of the ladder against the band that is allowed. */
function LadderDrawing({
  points,
  figure,
  label,
  allowed,
  band,
  toY,
  toX,
  full,
}: {
  points: readonly ({ x: number; off: number; way: 'up' } | { x: number; off: number; way: 'down' })[];
  figure: (mbar: number) => string;
  label: string;
  allowed: number;
  band: string;
  toY: (off: number) => number;
  toX: (mbar: number) => number;
  full: number;
}) {
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full max-w-lg border-2 border-rule bg-card"
      role="img"
      aria-label={wording.pumpTestReadingsOffByAtMost(
        points.length,
        figure(Math.max(...points.map(({ off }) => Math.abs(off)))),
        label,
        figure(allowed),
        label,
      )}
    >
      <path d={band} fill="var(--rule)" opacity={0.6} />
      <line x1={EDGE} x2={WIDTH - 8} y1={toY(0)} y2={toY(0)} stroke="var(--ink)" strokeWidth={2} />
      {points.map(({ x, off, way }, i) => (
        <LadderPoint key={i} toX={toX} x={x} toY={toY} off={off} way={way} />
      ))}
      <text x={4} y={toY(allowed) + 4} fontSize={12} fill="var(--ink2)">
        +{figure(allowed)}
      </text>
      <text x={4} y={toY(-allowed) + 4} fontSize={12} fill="var(--ink2)">
        −{figure(allowed)}
      </text>
      <text x={WIDTH - 10} y={HEIGHT - 6} fontSize={12} fill="var(--ink2)" textAnchor="end">
        {wording.appliedTo(figure(full), label)}
      </text>
    </svg>
  );
}

/** One rung, on the way up or down. */
function LadderPoint({
  toX,
  x,
  toY,
  off,
  way,
}: {
  toX: (mbar: number) => number;
  x: number;
  toY: (off: number) => number;
  off: number;
  way: 'up' | 'down';
}) {
  return (
    <circle
      cx={toX(x)}
      cy={toY(off)}
      r={5}
      fill={way === 'up' ? 'var(--steel)' : 'none'}
      stroke="var(--steel)"
      strokeWidth={2}
    />
  );
}
