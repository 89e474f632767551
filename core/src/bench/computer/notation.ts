import type { BenchFamily } from '../families.ts';

/**
 * The same faults in the notation of heavy vehicles: suspect parameter and failure mode (SAE J1939-73). Failure modes:
 * 2 erratic, 3 voltage high, 4 voltage low, 5 current low, 7 does not respond, 16 and 18 moderately above and below
 * what is normal, 31 condition exists.
 */
const SPN_FMI: Readonly<Record<string, readonly [spn: number, fmi: number]>> = {
  P2453: [3251, 2],
  P2454: [3251, 4],
  P2455: [3251, 3],
  P2463: [3719, 16],
  P242F: [3720, 16],
  P2002: [3251, 18],
  P2458: [5319, 31],
  P0471: [1209, 2],
  P0472: [1209, 4],
  P0473: [1209, 3],
  P0106: [102, 2],
  P0107: [102, 4],
  P0108: [102, 3],
  P0299: [102, 18],
  P0234: [102, 16],
  P0101: [132, 2],
  P0102: [132, 4],
  P0404: [2791, 7],
  P0545: [173, 4],
  P0546: [173, 3],
  P2080: [173, 2],
  P2032: [4765, 4],
  P2033: [4765, 3],
  P242C: [3242, 4],
  P242D: [3242, 3],
  P242B: [3242, 2],
  P2470: [3246, 4],
  P2471: [3246, 3],
  P246F: [3246, 2],
  P0128: [110, 18],
  P0380: [676, 5],
  // One parameter for all plugs: which cylinder it is, heavy vehicles do not say by it.
  ...Object.fromEntries(
    Array.from({ length: 8 }, (_, i): [string, [number, number]] => [`P067${i + 1}`, [676, 5]]),
  ),
};

/** A code as the module of this family writes it; one that has no other notation stays as it is. */
export function codeAsWritten({ kind }: BenchFamily, code: string): string {
  const pair = kind === 'truck' ? SPN_FMI[code] : undefined;
  return pair ? `SPN ${pair[0]} FMI ${pair[1]}` : code;
}
