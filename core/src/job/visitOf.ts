import { CONSEQUENCE_CHAINS, intakeOf } from '../diagnosis/index.ts';
import { entriesOfKind, type WorkType } from '../ledger/index.ts';
import type { FilterFate, Visit } from '../outlook/index.ts';
import { filterLoadOf, type FilterLoad, type Interval, type ProofContext } from '../proof/index.ts';
import { wasFound } from './checksMade.ts';
import type { DerivedJob, JobFacts } from './deriveJob.ts';
import { bodiesOf } from './readingsThatCount.ts';

/** What works on the filter make of it, the farthest reaching first. */
export const FILTER_WORK_FATES: readonly (readonly [work: WorkType, fate: FilterFate])[] = [
  ['filter-exchanged', 'exchanged'],
  ['off-vehicle-clean', 'cleaned-off'],
  ['chemical-clean', 'cleaned-in-place'],
  ['drive-regeneration', 'regenerated'],
  ['standing-regeneration', 'regenerated'],
];

const FILLS_THE_FILTER: ReadonlySet<string> = new Set(
  CONSEQUENCE_CHAINS.filter(
    ({ consequence }) => consequence === 'soot-loaded' || consequence === 'ash-full',
  ).map(({ cause }) => cause),
);

/** Less than a clean filter holds back tells of a crack, a dead sensor or a pipe, and nothing of what is in it. */
const credible = (ratio: Interval | undefined): Interval | undefined =>
  ratio && ratio.high >= 1 ? ratio : undefined;

/** A figure at the end of what the model tells is none. */
const sootIn = (
  name: 'sootBefore' | 'sootAfter',
  load: FilterLoad | undefined,
): Pick<Visit, 'sootBefore' | 'sootAfter'> =>
  load?.soot && !load.soot.capped
    ? { [name]: { value: load.soot.sootG, low: load.soot.lowG, high: load.soot.highG } }
    : {};

/** The filter on the scales, dry, before and after. */
function weighedIn({ entries }: DerivedJob): Pick<Visit, 'weighed'> {
  const dry = (when: 'before' | 'after'): number | undefined =>
    entriesOfKind(entries, 'filter-off').findLast(({ body }) => body.when === when && body.dry === true)?.body
      .massKg;
  const [beforeKg, afterKg] = [dry('before'), dry('after')];
  if (beforeKg === undefined && afterKg === undefined) return {};
  return {
    weighed: {
      ...(beforeKg === undefined ? {} : { beforeKg }),
      ...(afterKg === undefined ? {} : { afterKg }),
    },
  };
}

/**
 * What a job leaves behind in the memory of its vehicle. A before reading by a sensor, pipe or hose that was then put
 * right tells of those and not of the filter: it is left out.
 */
export function visitOf(
  job: { readonly id: string; readonly number: number; readonly openedAt: string },
  derived: DerivedJob,
  facts: Omit<JobFacts, 'entries' | 'nextJob'>,
): Visit {
  const context: ProofContext = {
    limits: facts.limits,
    ...(facts.displacementL === undefined ? {} : { displacementL: facts.displacementL }),
    ...(facts.geometry === undefined ? {} : { geometry: facts.geometry }),
  };
  const works = new Set(entriesOfKind(derived.entries, 'work').map(({ body }) => body.work));
  const filter = FILTER_WORK_FATES.find(([work]) => works.has(work))?.[1] ?? 'as-it-was';
  const [befores, afters] = [bodiesOf(derived.befores), bodiesOf(derived.afters)];
  const lied = derived.proofKind === 'pressure-path' || derived.proof?.falseAlarm === true;
  const found = befores && !lied ? filterLoadOf(befores, 'before', context) : undefined;
  const left = afters ? filterLoadOf(afters, 'after', context) : undefined;
  const [before, after] = [credible(found?.restriction), credible(left?.restriction)];
  const { distanceKm: km, regenEveryKm } = intakeOf(derived.entries);
  return {
    jobId: job.id,
    number: job.number,
    at: job.openedAt,
    ...(km === undefined ? {} : { km }),
    ...(before ? { before } : {}),
    ...(after ? { after } : {}),
    ...(before ? sootIn('sootBefore', found) : {}),
    ...(after ? sootIn('sootAfter', left) : {}),
    filter,
    ...(regenEveryKm === undefined ? {} : { regenEveryKm }),
    ...weighedIn(derived),
    causes: derived.causes.filter(wasFound).map(({ cause, state }) => ({
      cause,
      open: state !== 'put-right',
      fills: FILLS_THE_FILTER.has(cause),
    })),
  };
}
