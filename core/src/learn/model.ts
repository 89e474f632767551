import type { Said } from '../words/index.ts';

/** What can be moved: a figure between two ends. */
export interface Range {
  readonly id: string;
  readonly from: number;
  readonly to: number;
  readonly step: number;
  readonly start: number;
  readonly unit: Quantity;
}

/** What can be chosen: one of several. */
export interface Choice {
  readonly id: string;
  readonly options: readonly string[];
  readonly start: string;
}

/** What a figure is a figure of; it is written in the unit that the person chose. */
export type Quantity =
  | 'pressure'
  | 'volts'
  | 'percent'
  | 'times-clean'
  | 'soot'
  | 'per-litre'
  | 'temperature'
  | 'temperature-change'
  | 'rpm'
  | 'flow'
  | 'distance'
  | 'minutes'
  | 'seconds'
  | 'count';

/** One figure that answers, in base units; undefined where nothing can be said. */
export interface Figure {
  readonly id: string;
  readonly quantity: Quantity;
  readonly value: number | undefined;
  /** What it is judged by, and whether it is within. */
  readonly limit?: number;
  readonly within?: boolean;
}

type Point = readonly [x: number, y: number];

/** One picture beside the figures: lines over one axis, or bars of one quantity. */
export type Picture =
  | {
      readonly kind: 'lines';
      readonly x: { readonly id: string; readonly quantity: Quantity };
      readonly y: { readonly id: string; readonly quantity: Quantity };
      readonly lines: readonly { readonly id: string; readonly points: readonly Point[] }[];
      /** Where the figures are read. */
      readonly marks: readonly { readonly id: string; readonly at: Point }[];
      readonly limit?: number;
    }
  | {
      readonly kind: 'bars';
      readonly quantity: Quantity;
      readonly bars: readonly { readonly id: string; readonly value: number; readonly before?: number }[];
      readonly limit?: number;
    };

export interface Answer<Tells extends string = string> {
  readonly figures: readonly Figure[];
  readonly picture?: Picture;
  /** What this setting teaches, by its code. */
  readonly tells: Tells;
  /** What holds now, in core's own sentences. */
  readonly holds?: readonly Said[];
}

export type Settings = Readonly<Record<string, number | string>>;

/** A thing to move and figures that answer, made of the same physics and judgement as a job. */
export interface Model<Tells extends string = string> {
  readonly moves: readonly (Range | Choice)[];
  readonly answer: (settings: Settings) => Answer<Tells>;
}

export const isRange = (move: Range | Choice): move is Range => 'step' in move;

/** Every mover where it begins. */
export const startOf = (moves: Model['moves']): Settings =>
  Object.fromEntries(moves.map((move) => [move.id, move.start]));

/** A figure that was set; what is missing or out of its range is brought to the nearest that can be set. */
export function setFigure(moves: Model['moves'], settings: Settings, id: string): number {
  const move = moves.find((one) => one.id === id);
  if (!move || !isRange(move)) throw new RangeError(`Nothing to move is called ${id}`);
  const value = Number(settings[id] ?? move.start);
  return Number.isFinite(value) ? Math.min(move.to, Math.max(move.from, value)) : move.start;
}

/** What was chosen; what is none of the options counts as not chosen. */
export function setChoice<T extends string>(options: readonly T[], settings: Settings, id: string): T {
  const chosen = settings[id];
  return options.find((option) => option === chosen) ?? (options[0] as T);
}
