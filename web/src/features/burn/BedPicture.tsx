import * as wording from '@white-ember/core/words/screens/burn';
import { fixed } from '../../ui/format.ts';
import { useWords } from '../../data/words.ts';
import { useEffect, useRef } from 'react';
import type { BurnRun } from '@white-ember/core/burn';
import { heatOf } from '../line/heat.ts';

const HEIGHT = 150;
export const BED_LOW_C = 200;

/** Where the scale ends: a little over what the bed stands, so that too hot is white. */
export const bedHighC = (limitC: number): number => limitC + 100;

const shownMoments = (timeS: readonly number[], untilS: number): number => {
  const i = timeS.findIndex((time) => time > untilS);
  return i < 2 ? timeS.length : i;
};

/** The bed as a picture: time to the right, the filter's length downwards from its inlet face, colour as heat. */
export function BedPicture({
  run,
  limitC,
  untilS = Number.POSITIVE_INFINITY,
}: {
  run: BurnRun;
  limitC: number;
  /** Where the picture ends, s; the whole run where it is not given. */
  untilS?: number;
}) {
  const words = useWords();
  const canvas = useRef<HTMLCanvasElement>(null);
  const { bedC, timeS } = run.series;
  useEffect(() => {
    const pen = canvas.current?.getContext('2d');
    if (!pen || !bedC) return;
    const moments = shownMoments(timeS, untilS);
    const image = pen.createImageData(moments, run.cells);
    for (let t = 0; t < moments; t++)
      for (let x = 0; x < run.cells; x++) {
        const [red, green, blue] = heatOf(bedC[t * run.cells + x] as number, BED_LOW_C, bedHighC(limitC));
        const at = 4 * (x * moments + t);
        image.data.set([red, green, blue, 255], at);
      }
    pen.canvas.width = moments;
    pen.canvas.height = run.cells;
    pen.putImageData(image, 0, 0);
  }, [bedC, timeS, run.cells, limitC, untilS]);
  const endS = timeS[shownMoments(timeS, untilS) - 1] ?? 1;
  const minutes = endS / 60;
  const peakX = (100 * run.peakAtS) / endS;
  const lengthMm = run.lengthMm;
  return (
    <figure className="grid gap-1">
      <BedCanvas canvas={canvas} minutes={minutes} run={run} peakX={peakX} lengthMm={lengthMm} />
      <figcaption className="flex justify-between text-sm text-ink2">
        <span>{wording.n0MinTopInletFaceBottomBehind(words.length(lengthMm, 0))}</span>
        <span>{wording.min(fixed(minutes))}</span>
      </figcaption>
    </figure>
  );
}

/** Temperature over length and time. */
function BedCanvas({
  canvas,
  minutes,
  run,
  peakX,
  lengthMm,
}: {
  canvas: React.RefObject<HTMLCanvasElement | null>;
  minutes: number;
  run: BurnRun;
  peakX: number;
  lengthMm: number;
}) {
  const words = useWords();
  return (
    <div className="relative border-2 border-ink" style={{ height: HEIGHT }}>
      <canvas
        ref={canvas}
        role="img"
        aria-label={wording.temperatureOfTheBedOverMinHottest(
          fixed(minutes),
          words.temperature(run.peakBedC),
          fixed(run.peakAtS / 60, 1),
          words.length(run.peakAtMm, 0),
        )}
        className="absolute inset-0 size-full"
        style={{ imageRendering: 'auto' }}
      />
      {peakX <= 100 ? (
        <span
          aria-hidden
          className="absolute size-4 -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-paper outline-2 outline-ink"
          style={{ left: `${peakX}%`, top: `${(100 * run.peakAtMm) / lengthMm}%` }}
        />
      ) : null}
    </div>
  );
}

/** What the colours mean, with the limit marked. */
export function BedScale({ limitC }: { limitC: number }) {
  const words = useWords();
  const high = bedHighC(limitC);
  const stops = Array.from({ length: 12 }, (_, i) => {
    const celsius = BED_LOW_C + ((high - BED_LOW_C) * i) / 11;
    return `rgb(${heatOf(celsius, BED_LOW_C, high).join(' ')})`;
  });
  const at = (100 * (limitC - BED_LOW_C)) / (high - BED_LOW_C);
  return (
    <div className="text-sm grid gap-0.5" aria-hidden>
      <div
        className="relative h-3 border border-ink"
        style={{ background: `linear-gradient(to right, ${stops.join(', ')})` }}
      >
        <span className="absolute -top-1 -bottom-1 w-0.5 bg-ink" style={{ left: `${at}%` }} />
      </div>
      <div className="flex justify-between text-ink2">
        <span>{words.temperature(BED_LOW_C)}</span>
        <span>{wording.limit(words.temperature(limitC))}</span>
      </div>
    </div>
  );
}
