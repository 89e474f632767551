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

/** Error function to 1.2e-7: Abramowitz & Stegun, Handbook of Mathematical Functions, 7.1.28, in the form that holds relatively. */
function erf(x: number): number {
  const t = 1 / (1 + 0.5 * Math.abs(x));
  const rest =
    t *
    Math.exp(
      -x * x -
        1.26551223 +
        t *
          (1.00002368 +
            t *
              (0.37409196 +
                t *
                  (0.09678418 +
                    t *
                      (-0.18628806 +
                        t *
                          (0.27886807 +
                            t * (-1.13520398 + t * (1.48851587 + t * (-0.82215223 + t * 0.17087277)))))))),
    );
  return x >= 0 ? 1 - rest : rest - 1;
}

/** Share of a normal spread below a bound. */
export const below = (x: number, mean: number, sd: number): number =>
  0.5 * (1 + erf((x - mean) / (sd * Math.SQRT2)));

/**
 * Density of the logarithm of x·g: x under a mixture, g spread evenly in its logarithm between two bounds. The convolution in closed
 * form: Φ at both ends over the width.
 */
export function gainedLogDensity(
  logX: number,
  parts: readonly LogPart[],
  doubt: number,
  { from, to }: { readonly from: number; readonly to: number },
): number {
  const [low, high] = [Math.log(from), Math.log(to)];
  let density = 0;
  for (const { share, middle, spread } of parts) {
    const mean = Math.log(middle);
    const sd = Math.sqrt(spread * spread + doubt * doubt);
    density += (share * (below(logX - low, mean, sd) - below(logX - high, mean, sd))) / (high - low);
  }
  return density;
}
