import { say, type Said } from '../words/index.ts';
import { sentenceOf } from '../diagnosis/index.ts';
import { filterVolumeL, type FilterGeometry, type SootEstimate } from '../filter/index.ts';
import {
  effectiveEntries,
  entriesOfKind,
  happenedAt,
  type Entry,
  type EntryOf,
  type PartId,
  STAGES,
  stageOf,
  type Stage,
} from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';
import {
  compareReadings,
  confidenceOf,
  contradictionBy,
  evidenceOf,
  evidenceOfRepairs,
  judgeProof,
  proofKind,
  type Comparison,
  type Confidence,
  type Contradiction,
  type Evidence,
  type NextVisit,
  type Proof,
  type ProofContext,
  type ProofKind,
  type Verdict,
} from '../proof/index.ts';
import { sootByPressure, sootRoom } from '../treatment/index.ts';
import { clocksOf, type JobClock } from './clocks.ts';
import { causesSaid, checksMade, type MadeCheck, type SaidCause } from './checksMade.ts';
import { openMatters, type OpenMatter } from './openMatters.ts';
import { partsOf, type PartStatus } from './parts.ts';
import { bodiesOf, readingsThatCount } from './readingsThatCount.ts';

export interface JobFacts {
  readonly entries: readonly Entry[];
  readonly limits: Limits;
  readonly displacementL?: number;
  readonly geometry?: FilterGeometry;
  /** Parts that stand on the line. */
  readonly fitted?: readonly PartId[];
  /** The vehicle’s next job: it may show that what this one proved does not hold. */
  readonly nextJob?: NextJob;
}

/** The job of a vehicle that comes after another. */
export interface NextJob {
  readonly id: string;
  readonly number: number;
  readonly openedAt: string;
  readonly entries: readonly Entry[];
}

/** `equal-flow` = proved at equal flow, with other evidence still to show; `reopened` = the next visit contradicts it. */
export type JobVerdict = Verdict | 'equal-flow' | 'reopened' | 'open';

export interface DerivedJob {
  readonly entries: readonly Entry[];
  readonly stage: Stage;
  readonly done: ReadonlySet<Stage>;
  /** The latest before and after reading that count. */
  readonly before?: EntryOf<'reading'>;
  readonly after?: EntryOf<'reading'>;
  /** All that are taken together with them. */
  readonly befores: readonly EntryOf<'reading'>[];
  readonly afters: readonly EntryOf<'reading'>[];
  /** Soot that the before reading leaves room for, where the size of the filter is known. */
  readonly sootBefore?: SootEstimate;
  readonly proofKind: ProofKind;
  readonly comparison?: Comparison;
  readonly proof?: Proof;
  readonly verdict: JobVerdict;
  readonly headline: Said;
  readonly evidence: readonly Evidence[];
  readonly confidence?: Confidence;
  readonly contradiction?: Contradiction;
  /** Dwells, soaks and other waits. */
  readonly clocks: readonly JobClock[];
  /** What is to be done to the filter, by the last word on it. */
  readonly treatment?: EntryOf<'treatment-chosen'>;
  readonly parts: ReadonlyMap<PartId, PartStatus>;
  /** The last of each guided check, as it is judged by today's limits. */
  readonly checks: readonly MadeCheck[];
  /** What the technician says is behind it, the last word on each cause. */
  readonly causes: readonly SaidCause[];
  /** What is not closed: temporary repairs, parts on order, a choice that the customer has to make. */
  readonly open: readonly OpenMatter[];
  readonly drivable?: EntryOf<'drivable'>;
  readonly signedOff?: EntryOf<'sign-off'>;
}

const repairHeadline = (verdict: JobVerdict): Said =>
  verdict === 'proved'
    ? say('job.proved-the-repair-passed')
    : verdict === 'not-proved'
      ? say('job.not-proved-the-repair-failed')
      : say('job.repaired-check-drive-or-scan');

function headlineOf(
  verdict: JobVerdict,
  comparison: Comparison | undefined,
  proof: Proof | undefined,
  contradiction: Contradiction | undefined,
  has: { before: boolean; after: boolean },
): Said {
  const removed = comparison?.removedPercent;
  if (proof?.newFilter && verdict === 'proved') return say('job.proved-the-new-filter');
  if (proof?.newFilter && verdict === 'equal-flow') return say('job.the-new-filter-is-within');
  if (proof?.falseAlarm && verdict === 'proved') return say('job.proved-not-the-filter');
  if (proof?.falseAlarm && verdict === 'equal-flow') return say('job.not-the-filter-correctly-read');
  switch (verdict) {
    case 'proved':
      return removed ? say('job.proved-pressure-drop-at-equal', { removedValue: removed.value }) : 'Proved';
    case 'equal-flow':
      return say('job.pressure-drop-at-equal-flow', { removedValue: removed?.value ?? 0 });
    case 'better':
      return say('job.improved-not-within-limits-pressure', { removedValue: removed?.value ?? 0 });
    case 'worse':
      return say('job.worse-pressure-drop-at-equal', { removedValue: removed?.value ?? 0 });
    case 'not-proved':
      return proof?.nothingToRemove ? say('job.nothing-to-remove-the-filter') : say('job.not-proved');
    case 'reopened':
      return contradiction ? say('job.reopened-by-job', { number: contradiction.number }) : 'Reopened';
    case 'open':
      return !has.before
        ? say('job.no-before-reading-yet')
        : has.after
          ? say('job.not-proved')
          : say('job.before-reading-taken-after-reading');
  }
}

/**
 * What a job's ledger means: stage, readings that count, comparison, verdict, evidence still to show, clocks and the
 * state of each part. A pure function of the entries, the vehicle and the limits; the same wherever it runs.
 */
export function deriveJob(facts: JobFacts): DerivedJob {
  const entries = effectiveEntries(facts.entries);
  const readings = readingsThatCount(entries);
  const { before, after } = readings;
  const context: ProofContext = {
    limits: facts.limits,
    ...(facts.displacementL === undefined ? {} : { displacementL: facts.displacementL }),
    ...(facts.geometry === undefined ? {} : { geometry: facts.geometry }),
  };
  const [befores, afters] = [bodiesOf(readings.befores), bodiesOf(readings.afters)];
  const comparison = befores && afters ? compareReadings(befores, afters, context) : undefined;
  const kind = proofKind(entries);
  const proof =
    comparison && befores && afters
      ? judgeProof(
          comparison,
          {
            before: befores,
            after: afters,
            ...(readings.pathChanged === undefined ? {} : { pathChanged: readings.pathChanged }),
            filterUntouched: readings.filterUntouched,
            newFilter: kind === 'exchange',
          },
          facts.limits,
        )
      : undefined;
  const soot = sootRoom(before?.body, facts.geometry, context, facts.fitted);
  const sootBefore =
    before && facts.geometry ? sootByPressure(before.body, facts.geometry, context) : undefined;
  const checks = checksMade(entries, {
    ...context,
    ...(soot ? { sootByPressureG: soot } : {}),
  });
  const drivable = entriesOfKind(entries, 'drivable').at(-1);
  const parts = partsOf(entries, checks);
  const said = causesSaid(entries);
  // The filter was not worked on and cannot be compared: what was repaired has a proof of its own.
  const repairs =
    !proof && (kind === 'untouched' || kind === 'pressure-path')
      ? evidenceOfRepairs(
          { entries, checks, limits: facts.limits },
          said.filter(({ state }) => state === 'put-right').map(({ cause }) => cause),
          sentenceOf,
        )
      : undefined;
  const repaired = repairs?.every(({ state }) => state === 'shown') === true;
  const evidence =
    repairs ??
    evidenceOf({
      entries,
      checks,
      parts,
      before,
      after: readings.afters,
      beforeTooLate: readings.beforeTooLate,
      afterTooEarly: readings.afterTooEarly,
      proof,
      limits: facts.limits,
      fitted: facts.fitted,
      filterVolumeL: facts.geometry && filterVolumeL(facts.geometry),
    });
  const complete = evidence.every((item) => item.state === 'shown');
  const held = proof?.verdict === 'proved';
  const next = held && after && facts.nextJob ? nextVisitOf(facts.nextJob, entries, after) : undefined;
  const contradiction = next && afters ? contradictionBy(next, afters, context) : undefined;
  const verdict: JobVerdict = !proof
    ? repaired
      ? 'proved'
      : repairs?.some(({ state }) => state === 'failed')
        ? 'not-proved'
        : 'open'
    : contradiction
      ? 'reopened'
      : held && !complete
        ? 'equal-flow'
        : proof.verdict;
  const confidence =
    proof && comparison ? confidenceOf(proof, comparison, evidence, facts.limits) : undefined;

  const done = new Set<Stage>();
  for (const entry of entries) {
    const stage = stageOf(entry);
    if (stage) done.add(stage);
  }
  const signedOff = entriesOfKind(entries, 'sign-off').at(-1);
  const treatment = entriesOfKind(entries, 'treatment-chosen').at(-1);
  return {
    entries,
    stage: currentStage(done, verdict, signedOff !== undefined),
    done,
    ...(before ? { before } : {}),
    ...(after ? { after } : {}),
    befores: readings.befores,
    afters: readings.afters,
    ...(sootBefore?.ok ? { sootBefore: sootBefore.value } : {}),
    proofKind: kind,
    ...(comparison ? { comparison } : {}),
    ...(proof ? { proof } : {}),
    verdict,
    headline: repairs
      ? repairHeadline(verdict)
      : headlineOf(verdict, comparison, proof, contradiction, {
          before: before !== undefined,
          after: after !== undefined,
        }),
    evidence,
    ...(confidence ? { confidence } : {}),
    ...(contradiction ? { contradiction } : {}),
    clocks: clocksOf(entries),
    ...(treatment ? { treatment } : {}),
    parts,
    checks,
    causes: said,
    open: openMatters(entries),
    ...(drivable ? { drivable } : {}),
    ...(signedOff ? { signedOff } : {}),
  };
}

const DAY_MS = 86_400_000;

/** The vehicle's distance as it was last said on a job. */
const distanceOf = (entries: readonly Entry[]): number | undefined =>
  entriesOfKind(entries, 'complaint').findLast(({ body }) => body.distanceKm !== undefined)?.body.distanceKm;

/** What the next job read before anything was done on it, and how long after; nothing where it read nothing of the kind. */
function nextVisitOf(
  job: NextJob,
  entries: readonly Entry[],
  after: EntryOf<'reading'>,
): NextVisit | undefined {
  const its = effectiveEntries(job.entries);
  const { befores, beforeTooLate } = readingsThatCount(its);
  // Two jobs may be open at a time: only what was read after this one's work can contradict it.
  const since = befores.filter((entry) => happenedAt(entry) > happenedAt(after));
  const before = beforeTooLate ? undefined : bodiesOf(since);
  if (!before) return undefined;
  const [from, to] = [distanceOf(entries), distanceOf(its)];
  return {
    jobId: job.id,
    number: job.number,
    before,
    days: Math.max(0, Math.round((Date.parse(job.openedAt) - happenedAt(after)) / DAY_MS)),
    ...(from === undefined || to === undefined || to < from ? {} : { km: to - from }),
  };
}

/** Where the work stands: proof before all, then the furthest stage that something was done in and the next after it. */
function currentStage(done: ReadonlySet<Stage>, verdict: JobVerdict, signedOff: boolean): Stage {
  if (signedOff || verdict === 'proved') return 'hand-over';
  if (done.has('prove') || done.has('treat')) return 'prove';
  if (done.has('baseline')) return 'treat';
  return STAGES.find((stage) => !done.has(stage)) ?? 'intake';
}
