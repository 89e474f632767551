import { boundedBy, filterAsKnown } from '../filter/index.ts';
import { judgeReading } from '../proof/index.ts';
import type { KnownFilter } from '../treatment/index.ts';
import type { DerivedJob } from './deriveJob.ts';
import type { JudgedFacts } from './judgeJob.ts';

/**
 * The filter that a job is judged by: as entered, else as its family has it, else of the class of its engine. Once it is cleaned and
 * reads good at equal flow, what it was before bounds how far that may be off.
 */
export function filterOfJob(
  { geometry, family, displacementL, limits }: Omit<JudgedFacts, 'entries'>,
  derived: DerivedJob,
): KnownFilter {
  const known = filterAsKnown<KnownFilter>(
    geometry,
    family?.filter,
    displacementL,
    limits.filterPerEngineSize,
  );
  if (!known.size || !isFreed(derived)) return known;
  const context = { limits, ...(displacementL === undefined ? {} : { displacementL }) };
  return boundedBy(
    known,
    derived.befores.flatMap(({ body }) =>
      judgeReading(body, context)
        .samples.filter(({ kind }) => kind === 'hold')
        .map(({ dpMbar, flow }) => ({ dpMbar, gas: flow })),
    ),
  );
}

/** What was in a filter that is cleaned, burnt free or exchanged. */
export const FILLS: ReadonlySet<string> = new Set(['soot-loaded', 'ash-full', 'filter-cracked']);

/** Whether the filter was worked on and has since read good at equal flow: what filled it is what was found, and no more there. */
export const isFreed = ({ verdict, proofKind }: DerivedJob): boolean =>
  (verdict === 'proved' || verdict === 'equal-flow') &&
  proofKind !== 'untouched' &&
  proofKind !== 'pressure-path';
