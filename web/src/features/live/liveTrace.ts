/** As far back as traces are looked at, s; what is older is on the disk in the recording. */
export const KEPT_S = 1800;

/** Lowest and highest reading of a stretch. */
export interface Extent {
  readonly fromS: number;
  low: number;
  high: number;
}

const STRETCH_S = 0.5;

/** The latest half hour of one channel in base units (volts where only volts come), with its extents for far looks. */
export class LiveTrace {
  readonly timeS: number[] = [];
  readonly values: number[] = [];
  readonly extents: Extent[] = [];

  get last(): number | undefined {
    return this.values.at(-1);
  }

  /** The reading that stood at a moment; none before the first, none long after the last. */
  at(timeS: number, longestS = 5): number | undefined {
    const i = indexFrom(this.timeS, (time) => time > timeS) - 1;
    return i >= 0 && timeS - (this.timeS[i] as number) <= longestS ? this.values[i] : undefined;
  }

  push(timeS: number, value: number): void {
    this.timeS.push(timeS);
    this.values.push(value);
    const extent = this.extents.at(-1);
    if (!extent || timeS >= extent.fromS + STRETCH_S)
      this.extents.push({ fromS: Math.floor(timeS / STRETCH_S) * STRETCH_S, low: value, high: value });
    else {
      if (value < extent.low) extent.low = value;
      if (value > extent.high) extent.high = value;
    }
    // Thrown away seldom and much at once: to move what stays costs as much as what goes.
    if (timeS - (this.timeS[0] as number) > 2 * KEPT_S) this.#forget(timeS - KEPT_S);
  }

  #forget(beforeS: number): void {
    const count = indexFrom(this.timeS, (time) => time >= beforeS);
    this.timeS.splice(0, count);
    this.values.splice(0, count);
    this.extents.splice(
      0,
      indexFrom(this.extents, ({ fromS }) => fromS >= beforeS),
    );
  }
}

/** Index of the first item that is there; all after it are, too. */
function indexFrom<T>(items: readonly T[], isThere: (item: T) => boolean): number {
  let [low, high] = [0, items.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (isThere(items[middle] as T)) high = middle;
    else low = middle + 1;
  }
  return low;
}

export interface Column {
  readonly x: number;
  low: number;
  high: number;
}

/**
 * The lowest and highest reading of each pixel. Where a pixel is wider than a stretch the extents of the stretches are
 * taken instead of the readings, so that half an hour draws as quickly as a minute.
 */
export function columnsOf(trace: LiveTrace, fromS: number, toS: number, width: number): Column[] {
  const columns: Column[] = [];
  const perS = width / (toS - fromS);
  const add = (timeS: number, low: number, high: number): void => {
    const x = Math.max(0, Math.floor((timeS - fromS) * perS));
    const last = columns.at(-1);
    if (last?.x === x) {
      if (low < last.low) last.low = low;
      if (high > last.high) last.high = high;
    } else columns.push({ x, low, high });
  };
  if (perS * STRETCH_S < 1) {
    const { extents } = trace;
    for (let i = indexFrom(extents, (one) => one.fromS + STRETCH_S > fromS); i < extents.length; i++) {
      const { fromS: at, low, high } = extents[i] as Extent;
      if (at > toS) break;
      add(at, low, high);
    }
    return columns;
  }
  const { timeS, values } = trace;
  for (let i = indexFrom(timeS, (time) => time >= fromS); i < timeS.length; i++) {
    const at = timeS[i] as number;
    if (at > toS) break;
    add(at, values[i] as number, values[i] as number);
  }
  return columns;
}
