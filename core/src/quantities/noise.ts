/** One round of integer mixing (the finaliser of MurmurHash3, in the public domain). */
function mixed(value: number): number {
  let h = value >>> 0;
  h = Math.imul(h ^ (h >>> 16), 0x85ebca6b);
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
  return (h ^ (h >>> 16)) >>> 0;
}

/** A number in [0, 1) that depends on its three arguments alone. */
export const share = (seed: number, stream: number, tick: number): number =>
  mixed(mixed(mixed(seed) ^ Math.imul(stream + 1, 0x9e3779b1)) ^ Math.imul(tick + 1, 0x85ebca77)) /
  4_294_967_296;

/**
 * Noise of mean 0 and standard deviation 1 that depends on seed, stream and tick alone: a channel shows the same value
 * however often and in whatever order it is read, and the plant does not depend on who looks at it.
 * Sum of four even numbers (Irwin–Hall), so it stays within ±3.5.
 */
export function noise(seed: number, stream: number, tick: number): number {
  const a = mixed(mixed(seed) ^ Math.imul(stream + 1, 0x9e3779b1));
  const b = mixed(a ^ Math.imul(tick + 1, 0x85ebca77));
  const c = mixed(b ^ 0x68bc21eb);
  const sum = (b & 0xffff) + (b >>> 16) + (c & 0xffff) + (c >>> 16);
  return (sum / 65_536 - 2) * Math.sqrt(3);
}

/** Share of the way towards a target that a first-order lag goes in a step: exact for any length of step. */
export const approach = (stepS: number, timeConstantS: number): number =>
  timeConstantS <= 0 ? 1 : 1 - Math.exp(-stepS / timeConstantS);

export const clamp = (value: number, low: number, high: number): number =>
  value < low ? low : value > high ? high : value;
