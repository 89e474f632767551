import { say, type Said } from '../words/index.ts';
import type { Evidence } from '../diagnosis/index.ts';
import { entriesOfKind } from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';
import type { DerivedJob } from './deriveJob.ts';

/** Whether the vehicle may be driven: advice, always with its reasons. */
export interface DriveAdvice {
  readonly verdict: 'drive' | 'limited' | 'no';
  readonly reasons: readonly Said[];
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
  const no: Said[] = [];
  const limited: Said[] = [];
  /** Said where something is so by sight, or likely enough; a likelihood stands beside its limit. */
  const tell = (
    to: Said[],
    text: Said,
    likely: number,
    { seen = false, from = adviseDrivePercent }: { readonly seen?: boolean; readonly from?: number } = {},
  ): void => {
    if (seen) to.push(text);
    else if (100 * likely > from)
      to.push(say('job.likely-decides-over', { text, likely: 100 * likely, from }));
  };
  tell(no, say('job.oil-enters-the-exhaust'), chance('oil-in-exhaust'), {
    seen: evidence['inlet-oily'] === true,
  });
  const heldBack = 1 - RESTRICTIONS.reduce((free, id) => free * (1 - chance(id)), 1);
  if (evidence['choked-high-revs'] === true) tell(no, say('job.exhaust-nearly-closed'), heldBack);
  const usesOil = evidence['blue-smoke'] === true || evidence['oil-used'] === true;
  const worn = chance('turbocharger-worn');
  if (usesOil) tell(no, say('job.worn-turbo-leaks-oil'), worn);
  if (derived.verdict !== 'proved') {
    tell(
      limited,
      pressureRead ? say('job.pressure-not-the-filters') : say('job.sensor-path-untrusted'),
      pathLies,
    );
    if (no.length === 0 && usesOil)
      tell(limited, say('job.oil-may-enter'), chance('oil-in-exhaust'), {
        from: doubtDrivePercent,
      });
    if (!usesOil) tell(limited, say('job.turbo-worn-no-load'), worn);
    if (overFull) limited.push(say('job.soot-above-the-regeneration-limit'));
    else tell(limited, say('job.full-of-soot'), chance('soot-loaded'));
    if (evidence['power-limited'] === true) limited.push(say('job.power-is-limited'));
    tell(limited, say('job.oil-first'), chance('oil-counter'), {
      seen: evidence['oil-diluted'] === true,
    });
  }
  if (entriesOfKind(derived.entries, 'temporary-repair').length > 0 || derived.open.length > 0)
    limited.push(say('job.a-temporary-repair-or-something'));
  if (no.length > 0) return { verdict: 'no', reasons: no };
  if (limited.length > 0) return { verdict: 'limited', reasons: limited };
  return { verdict: 'drive', reasons: [say('job.nothing-known-speaks-against')] };
}
