import * as wording from '@white-ember/core/words/screens/live';
import * as common from '@white-ember/core/words/screens/common';
import { spokenNow } from '../../data/words.ts';
import type { LinkChannel } from '@white-ember/core/link';
import { useEffect, useMemo, useRef, useState } from 'react';
import { roleName } from '@white-ember/core/readings';
import { useAppSelector } from '../../data/store.ts';
import { toneOf } from '../readings/logs/traceChart.ts';
import { laneEnds } from '../readings/logs/traceLanes.ts';
import type { LiveSession } from './liveSession.ts';
import type { LiveState } from './liveState.ts';
import { columnsOf } from './liveTrace.ts';

const MOST_LANES = 12;
const LINE_PX = 1.8;
/** Where no reading came for so many pixels, the line is broken. */
const GAP_PX = 24;
/** The picture moves on by no less than this: finer is not seen. */
const LEAST_MOVE_PX = 0.1;
const SPANS: readonly (readonly [number, string])[] = [
  [60, wording.n1Min],
  [300, wording.n5Min],
  [1800, wording.n30Min],
];

const REDUCED_MOTION_MS = 200;
const motionIsReduced = (): boolean => matchMedia('(prefers-reduced-motion: reduce)').matches;

/** Draws the traces of the shown channels, a lane each, up to a moment of the vehicle's clock. */
function draw(
  canvas: HTMLCanvasElement,
  session: LiveSession,
  shown: readonly LinkChannel[],
  toS: number,
  spanS: number,
): void {
  const pen = canvas.getContext('2d');
  if (!pen) return;
  const scale = window.devicePixelRatio;
  const [width, height] = [canvas.clientWidth, canvas.clientHeight];
  if (canvas.width !== Math.round(width * scale) || canvas.height !== Math.round(height * scale)) {
    canvas.width = Math.round(width * scale);
    canvas.height = Math.round(height * scale);
  }
  pen.setTransform(scale, 0, 0, scale, 0, 0);
  pen.clearRect(0, 0, width, height);
  const style = getComputedStyle(document.documentElement);
  const tone = (name: string): string => style.getPropertyValue(name);
  const tones = [tone('--steel'), tone('--ember'), tone('--ink'), tone('--ink2')];
  const lane = height / Math.max(shown.length, 1);
  pen.font = '600 13px "Barlow Semi Condensed"';
  shown.forEach(({ id, role }, k) => {
    const top = k * lane;
    pen.strokeStyle = tone('--rule');
    pen.lineWidth = 1;
    pen.strokeRect(0.5, top + 0.5, width - 1, lane - 1);
    pen.fillStyle = tone('--ink2');
    pen.fillText(spokenNow(roleName(role)), 6, top + 15);
    const trace = session.traces.get(id);
    if (!trace) return;
    const columns = columnsOf(trace, toS - spanS, toS, width);
    const ends = laneEnds([columns.flatMap(({ low, high }) => [{ y: low }, { y: high }])]);
    if (!ends) return;
    const y = (value: number): number =>
      top + lane - 4 - ((value - ends[0]) / (ends[1] - ends[0])) * (lane - 20);
    pen.fillStyle = toneOf(role, 0, tones);
    pen.beginPath();
    // Upright bars that reach to their neighbours: a line to the eye, and far quicker to fill than one to stroke.
    columns.forEach(({ x, low, high }, i) => {
      const before = columns[i - 1];
      const top = y(before && before.low > high ? (before.low + high) / 2 : high);
      const bottom = y(before && before.high < low ? (before.high + low) / 2 : low);
      const next = columns[i + 1]?.x ?? x + 1;
      pen.rect(x, top - LINE_PX / 2, Math.min(next - x, GAP_PX), bottom - top + LINE_PX);
    });
    pen.fill();
  });
}

/** Live traces: drawn anew with every frame of the screen, so that they glide rather than jump. */
export function LiveTraces({ session, state }: { session: LiveSession; state: LiveState }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [spanS, setSpan] = useState(60);
  const theme = useAppSelector((app) => app.preferences.theme);
  const { channels, chosen } = state;
  const shown = useMemo(
    () => channels.filter(({ id }) => chosen.includes(id)).slice(0, MOST_LANES),
    [channels, chosen],
  );
  useEffect(() => {
    let drawnS = Number.NaN;
    const drawTo = (toS: number): void => {
      if (!canvas.current) return;
      const pxPerS = canvas.current.clientWidth / spanS;
      if (Math.abs(toS - drawnS) * pxPerS < LEAST_MOVE_PX) return;
      drawnS = toS;
      draw(canvas.current, session, shown, toS, spanS);
    };
    if (motionIsReduced()) {
      // The picture moves with the readings, not between them, and needs no frame of the screen for that.
      const timer = setInterval(() => drawTo(session.get().vehicle?.timeS ?? 0), REDUCED_MOTION_MS);
      return () => clearInterval(timer);
    }
    let frame = 0;
    const each = (): void => {
      frame = requestAnimationFrame(each);
      drawTo(session.nowS());
    };
    frame = requestAnimationFrame(each);
    return () => cancelAnimationFrame(frame);
  }, [session, shown, spanS, theme]);
  return <TracePlot spanS={spanS} setSpan={setSpan} canvas={canvas} shown={shown} />;
}

/** The traces, and how many seconds of them. */
function TracePlot({
  spanS,
  setSpan,
  canvas,
  shown,
}: {
  spanS: number;
  setSpan: (value: number) => void;
  canvas: React.RefObject<HTMLCanvasElement | null>;
  shown: readonly LinkChannel[];
}) {
  return (
    <section aria-label={common.traces} className="grid gap-2 min-w-0">
      <div role="group" aria-label={wording.shownSpan} className="flex">
        {SPANS.map(([s, label]) => (
          <button
            key={s}
            type="button"
            aria-pressed={spanS === s}
            className="min-h-11 px-4 font-head font-semibold border-2 border-ink -ml-0.5 first:ml-0 aria-pressed:bg-ink aria-pressed:text-paper"
            onClick={() => setSpan(s)}
          >
            {label}
          </button>
        ))}
      </div>
      <canvas
        ref={canvas}
        role="img"
        aria-label={wording.tracesOfTheValuesStandAboveAs(
          shown.map(({ role }) => spokenNow(roleName(role))).join(', ') || wording.nothingYet,
        )}
        className="w-full bg-card border-2 border-rule"
        style={{ height: `${Math.max(160, 40 * shown.length)}px` }}
      />
    </section>
  );
}
