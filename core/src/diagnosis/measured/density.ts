/** Density of a normal spread. */
export const normal = (x: number, mean: number, sd: number): number =>
  Math.exp(-0.5 * ((x - mean) / sd) ** 2) / (sd * Math.sqrt(2 * Math.PI));

/** One part of a mixture: its share, and the middle and spread of the natural logarithm. */
export interface LogPart {
  readonly share: number;
  /** The middle value itself. */
  readonly middle: number;
  readonly spread: number;
}

/** Density of the logarithm under a mixture, widened by the doubt of what was measured. */
export const logDensity = (logX: number, parts: readonly LogPart[], doubt: number): number =>
  parts.reduce(
    (sum, { share, middle, spread }) =>
      sum + share * normal(logX, Math.log(middle), Math.hypot(spread, doubt)),
    0,
  );

/** Floor of a density, so that one slip of the pen cannot rule anything out for ever. */
export const withSlip = (density: number, broad: number, share = 0.01): number =>
  (1 - share) * density + share * broad;
