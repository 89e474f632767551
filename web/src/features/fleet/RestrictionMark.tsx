import type { VehicleOutlook } from '@white-ember/core/outlook';

const WIDTH = 150;
const HEIGHT = 44;
const PAD = 5;
/** So far is a forecast drawn, as a multiple of what was driven: more would press the past together. */
const MOST_AHEAD = 1.5;

/** Restriction over distance, small: what visits found and left, the limit, and the road to due. A picture beside words. */
export function RestrictionMark({ told: { visits, outlook } }: { told: VehicleOutlook }) {
  if (!outlook.known || outlook.from.km === undefined) return null;
  const read = visits.flatMap(({ km, before, after }) =>
    km === undefined
      ? []
      : [
          ...(before ? [{ km, ratio: before.value, left: false }] : []),
          ...(after ? [{ km, ratio: after.value, left: true }] : []),
        ],
  );
  const first = Math.min(...read.map(({ km }) => km), outlook.from.km);
  const driven = Math.max(outlook.from.km - first, 2000);
  const ahead = Math.min(outlook.dueKm.value, MOST_AHEAD * driven);
  const last = outlook.from.km + ahead;
  const most = Math.max(outlook.limitRatio * 1.25, ...read.map(({ ratio }) => Math.min(ratio, 12)));
  const x = (km: number): number => PAD + ((WIDTH - 2 * PAD) * (km - first)) / (last - first);
  const y = (ratio: number): number => HEIGHT - PAD - ((HEIGHT - 2 * PAD) * Math.min(ratio, most)) / most;
  const at = (km: number, ratio: number): string => `${x(km).toFixed(1)},${y(ratio).toFixed(1)}`;
  // Where the drawn road ends before it is due, the line ends on its way there.
  const share = outlook.dueKm.value === 0 ? 0 : ahead / outlook.dueKm.value;
  const end = outlook.now.value + (outlook.limitRatio - outlook.now.value) * share;
  return (
    <MarkDrawing
      y={y}
      limitRatio={outlook.limitRatio}
      read={read}
      at={at}
      ahead={[at(outlook.from.km, outlook.now.value), at(last, end)]}
      x={x}
    />
  );
}

/** Restriction over distance, small. */
function MarkDrawing({
  y,
  limitRatio,
  read,
  at,
  ahead,
  x,
}: {
  y: (ratio: number) => number;
  limitRatio: number;
  read: readonly { km: number; ratio: number; left: boolean }[];
  at: (km: number, ratio: number) => string;
  /** Where the road to due begins and ends. */
  ahead: readonly [string, string];
  x: (km: number) => number;
}) {
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full max-w-44" aria-hidden>
      <line
        x1={PAD}
        x2={WIDTH - PAD}
        y1={y(limitRatio)}
        y2={y(limitRatio)}
        stroke="var(--ink2)"
        strokeDasharray="4 3"
      />
      <polyline
        points={read.map(({ km, ratio }) => at(km, ratio)).join(' ')}
        fill="none"
        stroke="var(--ink2)"
        strokeWidth={1.2}
      />
      <polyline
        points={ahead.join(' ')}
        fill="none"
        stroke="var(--ember)"
        strokeWidth={2}
        strokeDasharray="3 2"
      />
      {read.map(({ km, ratio, left }, i) =>
        left ? (
          <circle key={i} cx={x(km)} cy={y(ratio)} r={2.6} fill="var(--ember)" />
        ) : (
          <path
            key={i}
            d={`M${x(km) - 2.6} ${y(ratio) - 2.6} l5.2 5.2 m0 -5.2 l-5.2 5.2`}
            stroke="var(--steel)"
            strokeWidth={1.6}
          />
        ),
      )}
    </svg>
  );
}
