import type { Evidence } from '../diagnosis/index.ts';
import { entriesOfKind } from '../ledger/index.ts';
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
}

const SURE = 0.6;
const MAY_BE = 0.3;
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
}: DriveFacts): DriveAdvice {
  const no: string[] = [];
  const limited: string[] = [];
  if (chance('oil-in-exhaust') > SURE || evidence['inlet-oily'] === true)
    no.push('Oil comes into the exhaust: hot, it burns without end');
  const heldBack = 1 - RESTRICTIONS.reduce((free, id) => free * (1 - chance(id)), 1);
  if (evidence['choked-high-revs'] === true && heldBack > SURE)
    no.push('The gas can hardly leave: the engine chokes');
  const usesOil = evidence['blue-smoke'] === true || evidence['oil-used'] === true;
  if (chance('turbocharger-worn') > SURE && usesOil)
    no.push('A worn turbocharger that loses oil feeds it to the exhaust, and may run the engine away');
  const proved = derived.verdict === 'proved';
  if (!proved) {
    if (pathLies > SURE)
      limited.push(
        pressureRead
          ? 'The pressure shown is not that of the filter: its load is not known'
          : 'The ΔP sensor or its pipes are not to be believed: the load of the filter is not known',
      );
    if (no.length === 0 && usesOil && chance('oil-in-exhaust') > MAY_BE)
      limited.push('Oil may come into the exhaust: look before a long drive');
    if (chance('turbocharger-worn') > SURE && !usesOil)
      limited.push('The turbocharger is worn: no load, no high revs');
    if (overFull) limited.push('More soot than it may burn: no long pull, no load');
    if (!overFull && chance('soot-loaded') > SURE) limited.push('The filter is full of soot');
    if (evidence['power-limited'] === true) limited.push('Power is limited');
    if (chance('oil-counter') > SURE || evidence['oil-diluted'] === true)
      limited.push('Fuel in the oil, or its counter at zero: change it first');
  }
  if (entriesOfKind(derived.entries, 'temporary-repair').length > 0 || derived.open.length > 0)
    limited.push('A repair for the time being, or something that is still open');
  if (no.length > 0) return { verdict: 'no', reasons: no };
  if (limited.length > 0) return { verdict: 'limited', reasons: limited };
  return { verdict: 'drive', reasons: ['Nothing that is known speaks against it'] };
}
