import { below, gainedLogDensity, logDensity, withSlip, type LogPart } from './density.ts';
import {
  FILTER_STATES,
  filterStateOf,
  isChokedElsewhere,
  PATH_STATES,
  pathStateOf,
  type CauseSet,
  type FilterState,
  type PathState,
} from './states.ts';

/** A steady row of ΔP, with what the clean filter would show at its flow. */
export interface DropSample {
  readonly dpMbar: number;
  /** 0 with the engine off. */
  readonly cleanMbar: number;
  /** How far the clean figure of this row alone may be off, as the spread of its logarithm. */
  readonly ownDoubt: number;
}

/** What a gauge in the line itself said: another measure of the same gas. */
export interface GaugeSeen {
  /** Above its limit. */
  readonly high: boolean;
  readonly limitMbar: number;
  /** What the clean filter would show where it was read, mbar. */
  readonly cleanMbar: number;
}

export interface DropReading {
  readonly samples: readonly DropSample[];
  readonly gauge?: GaugeSeen | undefined;
  /** What is off in all rows alike: the size of the filter, the MAF sensor; spread of the logarithm. */
  readonly doubt: number;
}

/** What comes to a workshop as full of soot, × clean. */
export const FULL_OF_SOOT: LogPart = { share: 1, middle: 8, spread: 0.8 };

/**
 * Restriction (× clean) by what is in the way. From practice: a filter in use swings between 1 and 4 from one regeneration to the
 * next and mostly stands near 1.6; what comes to a workshop as full stands at several times that; ash takes volume and adds less
 * than soot; a crack lets gas past.
 */
const RESTRICTION: Readonly<Record<FilterState, readonly LogPart[]>> = {
  sound: [
    { share: 0.8, middle: 1.5, spread: 0.35 },
    { share: 0.2, middle: 2.6, spread: 0.4 },
  ],
  soot: [FULL_OF_SOOT],
  ash: [{ share: 1, middle: 3.6, spread: 0.55 }],
  'soot-and-ash': [{ share: 1, middle: 11, spread: 0.7 }],
  cracked: [{ share: 1, middle: 0.3, spread: 0.6 }],
  'cracked-and-loaded': [{ share: 1, middle: 0.9, spread: 0.7 }],
  catalyst: [{ share: 1, middle: 4, spread: 0.7 }],
  'catalyst-and-loaded': [{ share: 1, middle: 12, spread: 0.7 }],
};

interface Gain {
  readonly share: number;
  readonly from: number;
  readonly to: number;
}

/** What a way does to a pressure: shares of it that arrive, even in the logarithm between two bounds, and how far its zero is off. */
interface Way {
  readonly gains: readonly Gain[];
  /** Shares that arrive turned round, where only the port behind the filter sees anything. */
  readonly reversed?: readonly Gain[];
  /** Share in which nothing arrives at all. */
  readonly nothing: number;
  readonly sign: 1 | -1;
  /** Spreads of the zero, mbar, with their shares. */
  readonly zeros: readonly { readonly share: number; readonly sdMbar: number }[];
}

const TRUE_GAIN = [{ share: 1, from: 0.97, to: 1.03 }];
const TRUE_ZERO = [
  { share: 0.97, sdMbar: 0.8 },
  { share: 0.03, sdMbar: 3 },
];
const WAYS: Readonly<Record<PathState, Way>> = {
  honest: { gains: TRUE_GAIN, nothing: 0, sign: 1, zeros: TRUE_ZERO },
  // Drift, or a poor ground.
  'zero-off': {
    gains: TRUE_GAIN,
    nothing: 0,
    sign: 1,
    zeros: [
      { share: 0.5, sdMbar: 8 },
      { share: 0.4, sdMbar: 35 },
      { share: 0.1, sdMbar: 120 },
    ],
  },
  low: { gains: [{ share: 1, from: 0.05, to: 0.7 }], nothing: 0, sign: 1, zeros: TRUE_ZERO },
  high: { gains: [{ share: 1, from: 1.2, to: 30 }], nothing: 0, sign: 1, zeros: TRUE_ZERO },
  // Ranges on sale lie between a few hundred mbar and two bar.
  'wrong-range': { gains: [{ share: 1, from: 0.15, to: 7 }], nothing: 0, sign: 1, zeros: TRUE_ZERO },
  // Nearly shut it only comes late; shut, nothing comes, and gas may stand in it.
  'high-pipe': {
    gains: [
      { share: 0.4, from: 0.6, to: 1 },
      { share: 0.35, from: 0.05, to: 0.6 },
    ],
    // What is left is the pressure behind the filter, on the low port.
    reversed: [{ share: 0.1, from: 0.05, to: 1.5 }],
    nothing: 0.15,
    sign: 1,
    zeros: [
      { share: 0.85, sdMbar: 0.8 },
      { share: 0.15, sdMbar: 8 },
    ],
  },
  'low-pipe': {
    gains: [
      { share: 0.6, from: 0.9, to: 1.1 },
      { share: 0.4, from: 1, to: 1.6 },
    ],
    nothing: 0,
    sign: 1,
    zeros: [
      { share: 0.8, sdMbar: 0.8 },
      { share: 0.2, sdMbar: 8 },
    ],
  },
  // Ahead it lets the pressure out, split or off; behind, the silencer’s is added; off ahead, the silencer’s alone is seen.
  'hose-off': {
    gains: [
      { share: 0.35, from: 0.02, to: 0.6 },
      { share: 0.1, from: 1, to: 1.6 },
    ],
    reversed: [{ share: 0.2, from: 0.05, to: 1.5 }],
    nothing: 0.35,
    sign: 1,
    zeros: TRUE_ZERO,
  },
  crossed: { gains: [{ share: 0.85, from: 0.97, to: 1.03 }], nothing: 0.15, sign: -1, zeros: TRUE_ZERO },
  // Stands anywhere: the membrane, or water frozen in it.
  stuck: {
    gains: [],
    nothing: 1,
    sign: 1,
    zeros: [
      { share: 0.3, sdMbar: 15 },
      { share: 0.4, sdMbar: 120 },
      { share: 0.3, sdMbar: 700 },
    ],
  },
  dead: { gains: [], nothing: 1, sign: 1, zeros: TRUE_ZERO },
};

const STEP = 0.1;
const LEAST_LOG = Math.log(0.005);
const STEPS = Math.ceil((Math.log(400) - LEAST_LOG) / STEP);
const GRID = Float64Array.from({ length: STEPS }, (_, i) => LEAST_LOG + (i + 0.5) * STEP);

/** Reading off a needle or a list, mbar; and its share of the value. */
const READ_MBAR = 0.6;
const READ_SHARE = 0.04;
/** A ΔP could be anything within this, where a figure is a slip, mbar. */
const SLIP_RANGE_MBAR = 600;

/** Chance density of all rows where a share x of the clean drop arrives, their common zero off by a normal spread. */
function rowsDensity(samples: readonly DropSample[], x: number, zeroSdMbar: number): number {
  // Rows share one zero: a normal vector with a common part (Sherman–Morrison).
  let [log, weight, weighted, squares] = [0, 0, 0, 0];
  for (const { dpMbar, cleanMbar, ownDoubt } of samples) {
    const wanted = x * cleanMbar;
    const sd = Math.sqrt(
      READ_MBAR * READ_MBAR + (READ_SHARE * READ_SHARE + ownDoubt * ownDoubt) * wanted * wanted,
    );
    const off = dpMbar - wanted;
    log -= Math.log(sd * Math.sqrt(2 * Math.PI));
    weight += 1 / (sd * sd);
    weighted += off / (sd * sd);
    squares += (off * off) / (sd * sd);
  }
  const common = 1 / (zeroSdMbar * zeroSdMbar) + weight;
  log -= Math.log(zeroSdMbar) + 0.5 * Math.log(common);
  return Math.exp(log - 0.5 * (squares - (weighted * weighted) / common));
}

/** The doubt takes few values, by what is known of filter and engine: what arrives is worked out once for each. */
const KEPT = new Map<string, Float64Array>();

function arrivesOf(
  state: FilterState,
  path: PathState,
  doubt: number,
  way: 'gains' | 'reversed',
): Float64Array {
  const key = `${state} ${path} ${doubt} ${way}`;
  const kept = KEPT.get(key) ?? workOutArrives(state, WAYS[path][way] ?? [], doubt);
  KEPT.set(key, kept);
  return kept;
}

/** Density of what arrives, over the grid, for what is in the way and what the way makes of it. */
function workOutArrives(state: FilterState, gains: readonly Gain[], doubt: number): Float64Array {
  const arrives = new Float64Array(STEPS);
  for (const gain of gains)
    for (let i = 0; i < STEPS; i++)
      arrives[i] =
        (arrives[i] as number) +
        gain.share * STEP * gainedLogDensity(GRID[i] as number, RESTRICTION[state], doubt, gain);
  return arrives;
}

/** Flow where the gauge was read and its own reading, as the spread of the logarithm. */
const GAUGE_DOUBT = 0.3;
/** A gauge in the line errs seldom. */
const GAUGE_SLIP = 0.002;
/** Parts of a gain that is spread between two bounds. */
const GAIN_PARTS = 8;

/**
 * What arrives where a gauge was read as well, given what the gauge said: both are of the same restriction, so that a sensor which shows
 * far more than the gauge does is no honest one, whatever is in the filter. How well each state goes with the gauge by itself is said
 * by the finding.
 */
function arrivesByGauge(
  state: FilterState,
  gains: readonly Gain[],
  doubt: number,
  { high, limitMbar, cleanMbar }: GaugeSeen,
): Float64Array {
  const arrives = new Float64Array(STEPS);
  let share = 0;
  for (let i = 0; i < STEPS; i++) {
    const log = GRID[i] as number;
    const over = below(log + Math.log(cleanMbar), Math.log(limitMbar), GAUGE_DOUBT);
    const seen = GAUGE_SLIP + (1 - 2 * GAUGE_SLIP) * (high ? over : 1 - over);
    const weight = seen * STEP * logDensity(log, RESTRICTION[state], doubt);
    share += weight;
    for (const gain of gains)
      for (let p = 0; p < GAIN_PARTS; p++) {
        const shift = Math.log(gain.from) + ((p + 0.5) / GAIN_PARTS) * Math.log(gain.to / gain.from);
        // Between two places of the grid it falls on both by its share.
        const place = (log + shift - LEAST_LOG) / STEP - 0.5;
        const at = Math.floor(place);
        const part = (gain.share * weight) / GAIN_PARTS;
        if (at >= 0 && at < STEPS) arrives[at] = (arrives[at] as number) + part * (1 - (place - at));
        if (at + 1 >= 0 && at + 1 < STEPS)
          arrives[at + 1] = (arrives[at + 1] as number) + part * (place - at);
      }
  }
  return arrives.map((chance) => chance / share);
}

/**
 * The chance of a whole ΔP reading under every state of filter and way. The reading is judged by its size and by how its rows hang
 * together: nothing where flow is, the same with the engine off, falling with the flow, off by a constant all follow from it.
 * Formulas: restriction log-normal by state; ΔP = zero + sign · share arriving · restriction · clean ΔP + reading error.
 * @returns chance density (any scale) of the reading under a set of causes; nothing where no row is with gas flowing
 */
export function pressureDropChance({
  samples,
  doubt,
  gauge,
}: DropReading): ((set: CauseSet) => number) | undefined {
  if (!samples.some(({ cleanMbar }) => cleanMbar > 0)) {
    if (samples.length === 0) return undefined;
  }
  const broad = (1 / SLIP_RANGE_MBAR) ** samples.length;
  const table = new Map<string, number>();
  const densityAt = ({ zeros }: Way, x: number): number =>
    zeros.reduce((sum, { share, sdMbar }) => sum + share * rowsDensity(samples, x, sdMbar), 0);
  // Many ways have the same zero: what each arriving share would show is worked out once for all of them.
  const overOf = new Map<string, Float64Array>();
  const overFor = (way: Way, sign: 1 | -1): Float64Array => {
    const key = `${sign} ${way.zeros.map(({ share, sdMbar }) => `${share} ${sdMbar}`).join(' ')}`;
    const over = overOf.get(key) ?? GRID.map((log) => densityAt(way, sign * Math.exp(log)));
    overOf.set(key, over);
    return over;
  };
  for (const path of PATH_STATES) {
    const way = WAYS[path];
    const atNothing = densityAt(way, 0);
    const sides = (['gains', 'reversed'] as const)
      .filter((side) => (way[side] ?? []).length > 0)
      .map((side) => ({ side, over: overFor(way, side === 'gains' ? way.sign : -1) }));
    for (const state of FILTER_STATES)
      for (const choked of gauge ? [false, true] : [false]) {
        // What chokes the line elsewhere shows on the gauge, and tells nothing of the filter.
        let density = way.nothing * atNothing;
        for (const { side, over } of sides) {
          const arrives =
            gauge && !choked
              ? arrivesByGauge(state, way[side] ?? [], doubt, gauge)
              : arrivesOf(state, path, doubt, side);
          for (let i = 0; i < STEPS; i++) density += (arrives[i] as number) * (over[i] as number);
        }
        table.set(`${state} ${path} ${choked}`, withSlip(density, broad, 1e-4));
      }
  }
  return (set) =>
    table.get(
      `${filterStateOf(set)} ${pathStateOf(set)} ${gauge !== undefined && isChokedElsewhere(set)}`,
    ) as number;
}

/** Used by tests: density of one restriction. */
export const restrictionDensity = (state: FilterState, ratio: number, doubt = 0): number =>
  logDensity(Math.log(ratio), RESTRICTION[state], doubt);
