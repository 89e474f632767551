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
  say(no, 'Oil comes into the exhaust: hot, it burns without end', chance('oil-in-exhaust'), {
    seen: evidence['inlet-oily'] === true,
  });
  const heldBack = 1 - RESTRICTIONS.reduce((free, id) => free * (1 - chance(id)), 1);
  if (evidence['choked-high-revs'] === true) say(no, 'The gas can hardly leave: the engine chokes', heldBack);
  const usesOil = evidence['blue-smoke'] === true || evidence['oil-used'] === true;
  const worn = chance('turbocharger-worn');
  if (usesOil)
    say(no, 'A worn turbocharger that loses oil feeds it to the exhaust, and may run the engine away', worn);
  if (derived.verdict !== 'proved') {
    say(
      limited,
      pressureRead
        ? 'The pressure shown is not that of the filter: its load is not known'
        : 'The ΔP sensor or its pipes are not to be believed: the load of the filter is not known',
      pathLies,
    );
    if (no.length === 0 && usesOil)
      say(limited, 'Oil may come into the exhaust: look before a long drive', chance('oil-in-exhaust'), {
        from: doubtDrivePercent,
      });
    if (!usesOil) say(limited, 'The turbocharger is worn: no load, no high revs', worn);
    if (overFull) limited.push('More soot than it may burn: no long pull, no load');
    else say(limited, 'The filter is full of soot', chance('soot-loaded'));
    if (evidence['power-limited'] === true) limited.push('Power is limited');
    say(limited, 'Fuel in the oil, or its counter at zero: change it first', chance('oil-counter'), {
      seen: evidence['oil-diluted'] === true,
    });
  }
  if (entriesOfKind(derived.entries, 'temporary-repair').length > 0 || derived.open.length > 0)
    limited.push('A repair for the time being, or something that is still open');
  if (no.length > 0) return { verdict: 'no', reasons: no };
  if (limited.length > 0) return { verdict: 'limited', reasons: limited };
  return { verdict: 'drive', reasons: ['Nothing that is known speaks against it'] };
}
