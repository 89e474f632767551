/** Numbers in [0, 1) that depend on the seed alone (mulberry32). */
export function seededRandom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

export interface Dice {
  readonly share: () => number;
  readonly between: (low: number, high: number) => number;
  readonly pick: <T>(from: readonly T[]) => T;
  readonly chance: (p: number) => boolean;
  readonly noise: (sd: number) => number;
}

export function dice(seed: number): Dice {
  const share = seededRandom(seed);
  return {
    share,
    between: (low, high) => low + (high - low) * share(),
    pick: (from) => from[Math.floor(share() * from.length)] as (typeof from)[number],
    chance: (p) => share() < p,
    noise: (sd) => sd * (share() + share() + share() + share() - 2) * Math.sqrt(3),
  };
}

/** A part of a drill: engine speed wanted for so long; a load and a road speed in a drive. */
export interface Part {
  readonly rpm: number;
  readonly seconds: number;
  readonly load?: number;
  readonly kmPerH?: number;
  /** Fuel is injected for a regeneration: the gas before the filter is brought to this. */
  readonly regenC?: number;
}

export const DRILLS = {
  full: (idle: number, d: Dice): Part[] => [
    { rpm: 0, seconds: d.between(10, 20) },
    { rpm: idle, seconds: d.between(50, 90) },
    { rpm: 2500, seconds: d.between(22, 35) },
    { rpm: 3000, seconds: d.between(30, 50) },
    { rpm: idle, seconds: 8 },
    ...[1, 2, 3].flatMap(() => [
      { rpm: d.between(2900, 3500), seconds: d.between(1.6, 2.6) },
      { rpm: idle, seconds: d.between(5, 8) },
    ]),
    { rpm: idle, seconds: d.between(25, 45) },
    { rpm: 0, seconds: d.between(10, 16) },
  ],
  short: (idle: number, d: Dice): Part[] => [
    { rpm: 0, seconds: d.between(8, 14) },
    { rpm: idle, seconds: d.between(30, 50) },
    { rpm: d.between(2700, 3100), seconds: d.between(40, 70) },
    { rpm: idle, seconds: d.between(25, 40) },
    { rpm: 0, seconds: 8 },
  ],
  idleOnly: (idle: number, d: Dice): Part[] => [{ rpm: idle, seconds: d.between(90, 200) }],
  longHold: (idle: number, d: Dice): Part[] => [
    { rpm: 0, seconds: 12 },
    { rpm: idle, seconds: 40 },
    { rpm: 3000, seconds: d.between(180, 260) },
    { rpm: idle, seconds: 40 },
    { rpm: 0, seconds: 10 },
  ],
  longIdle: (idle: number, d: Dice): Part[] => [
    { rpm: 0, seconds: 10 },
    { rpm: idle, seconds: 120 },
    { rpm: 2500, seconds: d.between(180, 240) },
    { rpm: idle, seconds: d.between(380, 460) },
  ],
  regeneration: (idle: number, d: Dice): Part[] => [
    { rpm: idle, seconds: 30 },
    ...[0, 1, 2, 3].map(() => ({
      rpm: d.between(1500, 2400),
      seconds: d.between(30, 60),
      load: 0.35,
      kmPerH: d.between(45, 90),
    })),
    ...[0, 1, 2, 3, 4, 5].map(() => ({
      rpm: d.between(1600, 2500),
      seconds: d.between(50, 90),
      load: 0.4,
      kmPerH: d.between(50, 95),
      regenC: d.between(590, 625),
    })),
    { rpm: 1800, seconds: 60, load: 0.3, kmPerH: 60 },
    { rpm: idle, seconds: 30 },
  ],
  pull: (idle: number, d: Dice): Part[] => [
    { rpm: 0, seconds: 10 },
    { rpm: idle, seconds: 40 },
    { rpm: 1700, seconds: 25, load: 0.3, kmPerH: 50 },
    ...[0, 1].flatMap(() => [
      { rpm: d.between(2600, 3300), seconds: 12, load: 1, kmPerH: 80 },
      { rpm: 1800, seconds: 20, load: 0.25, kmPerH: 65 },
    ]),
    { rpm: idle, seconds: 20 },
  ],
} as const;

export type DrillName = keyof typeof DRILLS;
