import { z } from 'zod';
import { figure, wholeNumber } from '../fields/index.ts';
import { fault, PLAIN_WORDS, say, type Said } from '../words/index.ts';
import { FILTER_MATERIALS, filterGeometrySchema, filterVolumeL } from '../filter/index.ts';
import { CATALYSTS } from './kinetics.ts';

/** What comes into the filter at one moment; between two moments everything goes in straight lines. */
export const inletPointSchema = z.strictObject({
  atS: figure('time', 0, 36_000, 's'),
  inletC: figure('temperature-before-the-filter', -40, 1000, '°C'),
  exhaustKgPerS: figure('exhaust-flow', 0, 2, 'kg/s'),
  oxygenPercent: figure('oxygen', 0, 21, '%'),
  no2Ppm: figure('nitrogen-dioxide', 0, 5000, 'ppm').default(0),
});
export type InletPoint = z.infer<typeof inletPointSchema>;

export const MOST_SOOT_G_PER_L = 25;
export const MOST_ASH_G_PER_L = 120;

/** A filter with its load, what comes in over time, and for how long: the input of the burn model. */
export const burnScenarioSchema = z
  .strictObject({
    filter: filterGeometrySchema.extend({ material: z.enum(FILTER_MATERIALS) }).strict(),
    sootG: figure('soot', 0, 1000, 'g'),
    ashG: figure('ash', 0, 5000, 'g').default(0),
    catalyst: z.enum(CATALYSTS),
    profile: z
      .array(inletPointSchema)
      .min(1, fault(say('burn.at-least-one-point'), PLAIN_WORDS))
      .max(5000, fault(say('burn.at-most-points', { most: 5000 }), PLAIN_WORDS)),
    ambientC: figure('ambient-temperature', -40, 60, '°C').default(20),
    /** Bed at the beginning; as the ambient where it is not given. */
    startC: figure('bed-at-the-beginning', -40, 800, '°C').optional(),
    /** Cells along the filter. */
    cells: wholeNumber('cells', 5, 1000).optional(),
    endS: figure('end', 1, 36_000, 's'),
  })
  .superRefine(({ filter, sootG, ashG, profile }, context) => {
    const volumeL = filterVolumeL(filter);
    const wrong = (path: (string | number)[], what: Said): void =>
      context.addIssue({ code: 'custom', path, message: fault(what, PLAIN_WORDS).error() });
    const most = (field: 'soot' | 'ash', grams: number, gPerL: number): void => {
      if (grams > gPerL * volumeL)
        wrong(
          [`${field}G`],
          say('burn.more-than-the-model-covers', { field: say(`fields.${field}`), gPerL, volumeL }),
        );
    };
    most('soot', sootG, MOST_SOOT_G_PER_L);
    most('ash', ashG, MOST_ASH_G_PER_L);
    const back = profile.findIndex(({ atS }, i) => i > 0 && atS <= (profile[i - 1]?.atS ?? 0));
    if (back > 0) wrong(['profile', back, 'atS'], say('burn.point-not-later', { point: back + 1 }));
  });
export type BurnScenario = z.infer<typeof burnScenarioSchema>;

/** What comes in at one moment. */
export interface Inlet {
  celsius: number;
  kgPerS: number;
  /** By volume, 0–1. */
  oxygen: number;
  no2: number;
}

const between = (a: number, b: number, share: number): number => a + (b - a) * share;

/** Reads a profile in the order of time; before its first and after its last point it stays as there. */
export class ProfileReader {
  readonly #points: readonly InletPoint[];
  #at = 0;
  readonly inlet: Inlet = { celsius: 0, kgPerS: 0, oxygen: 0, no2: 0 };

  constructor(points: readonly InletPoint[]) {
    this.#points = points;
  }

  /** The next moment after this one at which a line ends, s. */
  nextCorner(timeS: number): number {
    this.#seek(timeS);
    for (let i = this.#at; i < this.#points.length; i++) {
      const { atS } = this.#points[i] as InletPoint;
      if (atS > timeS + 1e-9) return atS;
    }
    return Number.POSITIVE_INFINITY;
  }

  read(timeS: number): Inlet {
    this.#seek(timeS);
    const points = this.#points;
    const from = points[this.#at] as InletPoint;
    const to = points[this.#at + 1] ?? from;
    const share = to.atS > from.atS ? Math.min(1, Math.max(0, (timeS - from.atS) / (to.atS - from.atS))) : 0;
    this.inlet.celsius = between(from.inletC, to.inletC, share);
    this.inlet.kgPerS = between(from.exhaustKgPerS, to.exhaustKgPerS, share);
    this.inlet.oxygen = between(from.oxygenPercent, to.oxygenPercent, share) / 100;
    this.inlet.no2 = between(from.no2Ppm, to.no2Ppm, share) / 1e6;
    return this.inlet;
  }

  #seek(timeS: number): void {
    const points = this.#points;
    while (this.#at > 0 && (points[this.#at] as InletPoint).atS > timeS) this.#at -= 1;
    while (this.#at + 1 < points.length && (points[this.#at + 1] as InletPoint).atS <= timeS) this.#at += 1;
  }
}
