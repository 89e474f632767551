import { logDensity, withSlip, type LogPart } from './density.ts';
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

/** The chance of the counted soot under a set of causes. */
export function sootCounterChance(gPerL: number, doubt: number): (set: CauseSet) => number {
  const log = Math.log(Math.max(gPerL, 0.05));
  const of = (parts: readonly LogPart[]): number => withSlip(logDensity(log, parts, doubt), 0.15, 0.02);
  return (set) => {
    if (set.some(({ cause }) => cause === 'soot-counter-reset')) return of(RESET);
    if (set.some(({ cause }) => cause === 'counter-not-reset')) return of(NOT_RESET);
    const state = filterStateOf(set);
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
