export interface BurnSeries {
  readonly timeS: readonly number[];
  readonly sootG: readonly number[];
  readonly inletC: readonly number[];
  readonly outletC: readonly number[];
  /** Hottest cell at that moment. */
  readonly peakC: readonly number[];
  /** Temperature of each cell, moment after moment, if it was asked for. */
  readonly bedC?: Float32Array;
}

/** Writes the series at even moments, which the steps are made to meet. */
export class SeriesWriter {
  readonly #startS: number;
  readonly #everyS: number;
  readonly #timeS: number[] = [];
  readonly #sootG: number[] = [];
  readonly #inletC: number[] = [];
  readonly #outletC: number[] = [];
  readonly #peakC: number[] = [];
  readonly #bedC: Float32Array | undefined;
  readonly #cells: number;
  readonly #finer: number;

  constructor(startS: number, endS: number, points: number, cells: number, finer: number) {
    this.#startS = startS;
    this.#everyS = Math.max(endS - startS, 1e-6) / points;
    this.#cells = cells;
    this.#finer = finer;
    this.#bedC = cells > 0 ? new Float32Array((points + 1) * cells) : undefined;
  }

  isDue = (timeS: number): boolean => timeS >= this.#dueS() - 1e-7;

  nextS = (timeS: number): number => {
    const next = this.#dueS();
    return next > timeS + 1e-7 ? next : next + this.#everyS;
  };

  #dueS = (): number => this.#startS + this.#timeS.length * this.#everyS;

  write(
    timeS: number,
    sootG: number,
    inletC: number,
    outletC: number,
    peakC: number,
    bed: Float64Array,
  ): void {
    if (this.#bedC) {
      const from = this.#timeS.length * this.#cells;
      for (let i = 0; i < this.#cells; i++) {
        let sum = 0;
        for (let j = 0; j < this.#finer; j++) sum += bed[i * this.#finer + j] as number;
        this.#bedC[from + i] = sum / this.#finer;
      }
    }
    this.#timeS.push(timeS);
    this.#sootG.push(sootG);
    this.#inletC.push(inletC);
    this.#outletC.push(outletC);
    this.#peakC.push(peakC);
  }

  done(): BurnSeries {
    return {
      timeS: this.#timeS,
      sootG: this.#sootG,
      inletC: this.#inletC,
      outletC: this.#outletC,
      peakC: this.#peakC,
      ...(this.#bedC ? { bedC: this.#bedC } : {}),
    };
  }
}

/** From 5 % to 95 % of what burnt, read between the points of the series. */
export function burnDuration({ timeS, sootG }: BurnSeries, burntG: number): number {
  const start = sootG[0] ?? 0;
  if (burntG < 1e-6 * Math.max(start, 1)) return 0;
  const whenGone = (share: number): number => {
    const level = start - share * burntG;
    const i = sootG.findIndex((grams) => grams <= level);
    if (i <= 0) return timeS[Math.max(i, 0)] ?? 0;
    const [before, after] = [sootG[i - 1] as number, sootG[i] as number];
    const part = before > after ? (before - level) / (before - after) : 1;
    return (timeS[i - 1] as number) + part * ((timeS[i] as number) - (timeS[i - 1] as number));
  };
  return whenGone(0.95) - whenGone(0.05);
}
