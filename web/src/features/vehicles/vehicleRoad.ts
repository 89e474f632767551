import type { VehicleOutlook } from '@white-ember/core/outlook';

type Visit = VehicleOutlook['visits'][number];

/** A job on the road of its vehicle. */
export interface RoadPin {
  readonly visit: Visit;
  readonly x: number;
  /** Row of its words under the road, 0 on top; words of one row do not touch. */
  readonly row: number;
  readonly words: string;
  readonly toLeft: boolean;
}

export interface Road {
  readonly pins: readonly RoadPin[];
  readonly rows: number;
  readonly ticks: readonly { readonly x: number; readonly km: number }[];
}

const CHAR_PX = 6.8;
const GAP_PX = 10;
const MARGIN_PX = 14;
/** Room that the words of a tick take, px. */
const TICK_PX = 130;

/** Round steps that come to about so many. Worked value: 34 000 km in 5 → 10 000. */
function stepOf(span: number, wanted: number): number {
  const rough = span / wanted;
  const power = 10 ** Math.floor(Math.log10(rough));
  return power * ([1, 2, 5, 10].find((factor) => factor * power >= rough) ?? 10);
}

/** Places every job whose distance is known on one axis; `unitKm` is the length of the unit in which ticks are round. */
export function layRoad(
  visits: readonly Visit[],
  wordsOf: (visit: Visit) => string,
  { width, unitKm = 1 }: { readonly width: number; readonly unitKm?: number },
): Road {
  const placed = visits.filter((visit): visit is Visit & { km: number } => visit.km !== undefined);
  if (placed.length === 0) return { pins: [], rows: 0, ticks: [] };
  const kms = placed.map(({ km }) => km);
  const middle = (Math.min(...kms) + Math.max(...kms)) / 2;
  // A single job, or several at one distance, stand in the middle of some road.
  const half = Math.max((Math.max(...kms) - Math.min(...kms)) / 2, 500);
  const [from, to] = [middle - half, middle + half];
  const x = (km: number): number => MARGIN_PX + ((width - 2 * MARGIN_PX) * (km - from)) / (to - from);
  const ends: number[] = [];
  const pins = [...placed]
    .sort((a, b) => a.km - b.km)
    .map((visit): RoadPin => {
      const words = wordsOf(visit);
      const [at, length] = [x(visit.km), words.length * CHAR_PX];
      const toLeft = at + length > width;
      const [start, end] = toLeft ? [at - length, at] : [at, at + length];
      const free = ends.findIndex((last) => last + GAP_PX <= start);
      const row = free === -1 ? ends.length : free;
      ends[row] = end;
      return { visit, x: at, row, words, toLeft };
    });
  const step = stepOf((to - from) / unitKm, Math.max(2, Math.floor(width / TICK_PX))) * unitKm;
  const ticks: { x: number; km: number }[] = [];
  for (let km = Math.ceil(from / step) * step; km <= to; km += step) ticks.push({ x: x(km), km });
  return { pins, rows: ends.length, ticks };
}
