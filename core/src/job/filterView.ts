import { say } from '../words/index.ts';
import type { CaseFacts, WeighedCase } from '../diagnosis/index.ts';
import type { Limits } from '../limits/index.ts';
import { PATH_CAUSES } from '../proof/index.ts';
import type { Interlock } from '../treatment/index.ts';

/** Looks that settle what is in the filter without any pressure. */
const SETTLED_BY_LOOK = ['filter-cracked', 'oil-in-exhaust', 'ash-full'] as const;

/** How far the filter can be judged by what was read. */
export interface FilterView {
  /** A pressure was read with the engine running, that counts. */
  readonly pressureRead: boolean;
  /** Chance that the pressure shown is not that at the filter. */
  readonly pathLies: number;
  /** Whether it was read warm; nothing where no coolant was read. */
  readonly warm: boolean | undefined;
  /** Why nothing may be offered for the filter yet; nothing where it can be judged. */
  readonly notJudged: Interlock | undefined;
}

export function viewOfFilter(
  { known: { beyond } }: WeighedCase,
  reading: CaseFacts['reading'],
  chance: (cause: string) => number,
  limits: Limits,
): FilterView {
  const samples = reading?.samples;
  // With the engine off it tells of the sensor only.
  const pressureRead =
    beyond.measured.some(({ id }) => id === 'dp-measured') &&
    (samples?.some(({ kind, rpm }) => kind !== 'key-off' && rpm > 0) ?? true);
  const pathLies = 1 - [...PATH_CAUSES].reduce((honest, id) => honest * (1 - chance(id)), 1);
  const coolant = samples?.map(({ coolantC }) => coolantC).filter((one) => one !== undefined);
  const warm =
    pressureRead && coolant && coolant.length > 0 ? Math.max(...coolant) >= limits.coldEngineC : undefined;
  // A crack that nobody saw and a pressure that does not arrive show the same.
  const notTheFilter = 1 - (1 - pathLies) * (1 - chance('filter-cracked'));
  const byLook = SETTLED_BY_LOOK.some((id) => 100 * chance(id) >= limits.settledByLookPercent);
  const judged = byLook || (pressureRead && 100 * notTheFilter < limits.pathDoubtPercent && warm !== false);
  const view = { pressureRead, pathLies, warm };
  return { ...view, notJudged: judged ? undefined : whyNot(view, notTheFilter, limits) };
}

function whyNot(
  { pressureRead, pathLies, warm }: Omit<FilterView, 'notJudged'>,
  notTheFilter: number,
  { pathDoubtPercent, coldEngineC }: Limits,
): Interlock {
  if (!pressureRead) return { id: 'no-reading', text: say('job.no-dp-read-yet') };
  if (warm === false)
    return {
      id: 'no-reading',
      text: say('job.read-below-c-coolant-warm', { coldEngineC }),
    };
  if (100 * pathLies < pathDoubtPercent)
    return {
      id: 'pressure-unproven',
      text: say('job.with-likely-the-filter', { notTheFilter: 100 * notTheFilter }),
    };
  return {
    id: 'pressure-unproven',
    text: say('job.only-likely-that-the-pressure', { pathLies: 100 * (1 - pathLies) }),
  };
}
