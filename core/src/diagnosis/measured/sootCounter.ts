import { logDensity, normal, withSlip, type LogPart } from './density.ts';
import { FULL_OF_SOOT } from './pressureDrop.ts';
import { filterStateOf, pathStateOf, type CauseSet } from './states.ts';

/** Counted soot, g per litre of filter, by what is there and what the computer was told. Regenerations are asked for at 4–6. */
const TRUE_SOOT: Readonly<Record<'sound' | 'soot' | 'ash' | 'cracked', readonly LogPart[]>> = {
  // Just after a regeneration it stands near nothing.
  sound: [
    { share: 0.25, middle: 0.7, spread: 0.8 },
    { share: 0.75, middle: 2.2, spread: 0.6 },
  ],
  soot: [{ share: 1, middle: 10, spread: 0.7 }],
  ash: [{ share: 1, middle: 2.5, spread: 0.8 }],
  cracked: [{ share: 1, middle: 2, spread: 0.8 }],
};
const RESET: readonly LogPart[] = [{ share: 1, middle: 0.4, spread: 0.8 }];
const NOT_RESET: readonly LogPart[] = [{ share: 1, middle: 11, spread: 0.6 }];
/** A computer that counts by a pressure that lies: as far up as down. */
const MISLED: readonly LogPart[] = [{ share: 1, middle: 4, spread: 1.3 }];

/** The pressure of the same filter, where it was read: × clean. */
export interface BesideCounter {
  readonly restriction: number;
  /** Spread of its logarithm by what is not known of the filter. */
  readonly doubt: number;
  /** Grams in a filter of unknown size: what its size is off by, both are. */
  readonly sharesSize: boolean;
}

/** How the logarithm of its pressure follows that of its soot, and the spread of how much soot a full filter holds. */
const FULL = { ...FULL_OF_SOOT, slope: 0.85, sootSpread: 0.6 };

/**
 * Counter and pressure are of one filter: how much soot it holds, and how large it is, moves both. What the counter of a full filter
 * shows is therefore judged beside its pressure (two normal logarithms, one given the other).
 */
function ofFull(
  log: number,
  doubt: number,
  { restriction, doubt: dropDoubt, sharesSize }: BesideCounter,
): number {
  const [{ middle, spread }] = TRUE_SOOT.soot as readonly [LogPart];
  const common =
    FULL.slope * FULL.sootSpread ** 2 + (sharesSize ? dropDoubt * Math.min(doubt, dropDoubt) : 0);
  const ofDrop = FULL.spread ** 2 + dropDoubt ** 2;
  const mean = Math.log(middle) + (common / ofDrop) * (Math.log(restriction) - Math.log(FULL.middle));
  return normal(log, mean, Math.sqrt(spread ** 2 + doubt ** 2 - common ** 2 / ofDrop));
}

/** The chance of the counted soot under a set of causes. */
export function sootCounterChance(
  gPerL: number,
  doubt: number,
  beside?: BesideCounter,
): (set: CauseSet) => number {
  const log = Math.log(Math.max(gPerL, 0.05));
  const of = (parts: readonly LogPart[]): number => withSlip(logDensity(log, parts, doubt), 0.15, 0.02);
  return (set) => {
    if (set.some(({ cause }) => cause === 'soot-counter-reset')) return of(RESET);
    if (set.some(({ cause }) => cause === 'counter-not-reset')) return of(NOT_RESET);
    const state = filterStateOf(set);
    if (beside && state === 'soot' && pathStateOf(set) === 'honest')
      return withSlip(ofFull(log, doubt, beside), 0.15, 0.02);
    const true_ = of(
      TRUE_SOOT[
        state === 'soot' || state === 'soot-and-ash' || state === 'catalyst-and-loaded'
          ? 'soot'
          : state === 'ash'
            ? 'ash'
            : state === 'cracked' || state === 'cracked-and-loaded'
              ? 'cracked'
              : 'sound'
      ],
    );
    return pathStateOf(set) === 'honest' ? true_ : 0.6 * true_ + 0.4 * of(MISLED);
  };
}
