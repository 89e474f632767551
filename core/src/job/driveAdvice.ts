import type { Evidence } from '../diagnosis/index.ts';
import { entriesOfKind } from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';
import type { DerivedJob } from './deriveJob.ts';

/** Whether the vehicle may be driven: advice, always with its reasons. */
export interface DriveAdvice {
  readonly verdict: 'drive' | 'limited' | 'no';
  readonly reasons: readonly string[];
}

interface DriveFacts {
  readonly derived: DerivedJob;
  readonly chance: (cause: string) => number;
  /** The ΔP that is shown may not be that of the filter, 0–1. */
  readonly pathLies: number;
  readonly overFull: boolean;
  readonly evidence: Evidence;
  readonly pressureRead: boolean;
  readonly limits: Limits;
}

/** What keeps the gas from leaving. */
const RESTRICTIONS = ['soot-loaded', 'ash-full', 'catalyst-restricted', 'downstream-restricted'] as const;

/** No: oil that feeds the exhaust, choked, fire. Limited: load not known, over-full, power limited, a repair for the time being. */
export function driveAdvice({
  derived,
  chance,
  pathLies,
  overFull,
  evidence,
  pressureRead,
  limits,
}: DriveFacts): DriveAdvice {
  const { adviseDrivePercent, doubtDrivePercent } = limits;
  const no: string[] = [];
  const limited: string[] = [];
  /** Said where something is so by sight, or likely enough; a likelihood stands beside its limit. */
  const say = (
    to: string[],
    text: string,
    likely: number,
    { seen = false, from = adviseDrivePercent }: { readonly seen?: boolean; readonly from?: number } = {},
  ): void => {
    if (seen) to.push(text);
    else if (100 * likely > from)
      to.push(`${text} (${Math.round(100 * likely)} % likely, decides over ${from} %)`);
  };
  say(no, 'Oil is entering the exhaust: once hot it keeps burning', chance('oil-in-exhaust'), {
    seen: evidence['inlet-oily'] === true,
  });
  const heldBack = 1 - RESTRICTIONS.reduce((free, id) => free * (1 - chance(id)), 1);
  if (evidence['choked-high-revs'] === true)
    say(no, 'The exhaust is nearly closed: the engine chokes', heldBack);
  const usesOil = evidence['blue-smoke'] === true || evidence['oil-used'] === true;
  const worn = chance('turbocharger-worn');
  if (usesOil) say(no, 'A worn turbo that leaks oil feeds it to the exhaust; the engine may run away', worn);
  if (derived.verdict !== 'proved') {
    say(
      limited,
      pressureRead
        ? 'The pressure shown is not the filter’s: its load is unknown'
        : 'The ΔP sensor or its pipes cannot be trusted: the filter’s load is unknown',
      pathLies,
    );
    if (no.length === 0 && usesOil)
      say(limited, 'Oil may be entering the exhaust: check before a long drive', chance('oil-in-exhaust'), {
        from: doubtDrivePercent,
      });
    if (!usesOil) say(limited, 'The turbo is worn: no load, no high revs', worn);
    if (overFull) limited.push('Soot above the regeneration limit: no long pulls, no load');
    else say(limited, 'The filter is full of soot', chance('soot-loaded'));
    if (evidence['power-limited'] === true) limited.push('Power is limited');
    say(limited, 'Fuel in the oil, or oil life used up: change the oil first', chance('oil-counter'), {
      seen: evidence['oil-diluted'] === true,
    });
  }
  if (entriesOfKind(derived.entries, 'temporary-repair').length > 0 || derived.open.length > 0)
    limited.push('A temporary repair, or something still open');
  if (no.length > 0) return { verdict: 'no', reasons: no };
  if (limited.length > 0) return { verdict: 'limited', reasons: limited };
  return { verdict: 'drive', reasons: ['Nothing known speaks against it'] };
}
