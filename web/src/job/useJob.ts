import * as wording from '@white-ember/core/words/screens/job';
import { entriesShown } from './entriesShown.ts';
import { useMemo } from 'react';
import type { Job, Vehicle } from '@white-ember/core/contract';
import {
  deriveJob,
  filterOfJob,
  sealedLimits,
  unsealJob,
  vehicleFactsOf,
  type DerivedJob,
  type JudgedFacts,
  type SealedJob,
} from '@white-ember/core/job';
import type { KnownFilter } from '@white-ember/core/treatment';
import { happenedAt, type Entry } from '@white-ember/core/ledger';
import { DEFAULT_LIMITS, resolveLimits, type Limits } from '@white-ember/core/limits';
import { useJobQuery, useSessionQuery } from '../data/api.ts';
import { useAppSelector } from '../data/store.ts';
import { useWords } from '../data/words.ts';
import { inWords, type Spoken } from '@white-ember/core/words';

export interface OpenJob {
  readonly job: Job;
  readonly vehicle: Vehicle;
  readonly limits: Limits;
  /** What the job is judged by. */
  readonly facts: JudgedFacts;
  /** The filter as far as its size is known. */
  readonly filter: KnownFilter;
  /** What the job was signed off with, where it is and the present is looked at. */
  readonly sealed?: Spoken<SealedJob['sealed']>;
  /** What the ledger means; while an earlier moment is looked at, what it meant then. */
  readonly derived: Spoken<DerivedJob>;
  /** The same in codes, for whoever tells it in other words. */
  readonly inCodes: DerivedJob;
  /** What the whole ledger means, for the tape. */
  readonly whole: Spoken<DerivedJob>;
  /** Every entry as it was made, also those that count no more. */
  readonly all: readonly Entry[];
  /** The moment that is looked back at, if one is. */
  readonly at?: number;
  /** Ids of entries that are on this device only, so far. */
  readonly waiting: ReadonlySet<string>;
}

export function limitsOf(job: Job): Limits {
  if (job.seal) return sealedLimits(job.seal);
  if (!job.limitsProfile) return DEFAULT_LIMITS;
  const resolved = resolveLimits(job.limitsProfile.overrides);
  return resolved.ok ? resolved.value : DEFAULT_LIMITS;
}

/** A job as it stands on this device: the server's ledger and what still waits to be sent, and what both mean. */
export function useJob(jobId: string, at?: number): { open?: OpenJob; error?: unknown; loading: boolean } {
  const query = useJobQuery(jobId, { skip: jobId === '', refetchOnMountOrArgChange: 5 });
  const session = useSessionQuery();
  const items = useAppSelector((state) => state.outbox.items);
  const sent = useAppSelector((state) => state.outbox.sent);
  const words = useWords();
  const member = session.data?.member;
  const open = useMemo(() => {
    const job = query.data;
    if (!job) return undefined;
    const mine = items.filter(({ memberId }) => memberId === member?.id);
    const { entries, waiting } = entriesShown(job, sent, mine, member?.name ?? wording.thisDevice);
    const limits = limitsOf(job);
    const factsOf = (of: readonly Entry[]): JudgedFacts => ({
      entries: of,
      limits,
      ...vehicleFactsOf(job.vehicle),
      ...(job.family ? { family: job.family } : {}),
      ...(job.nextJob ? { nextJob: job.nextJob } : {}),
    });
    const until = at === undefined ? entries : entries.filter((entry) => happenedAt(entry) <= at);
    // Withdrawn on this device, and not sent yet: it is open again.
    const opened = waiting.some(
      ({ supersedes }) => supersedes !== undefined && supersedes === job.seal?.entryId,
    );
    const sealed =
      job.seal && !opened
        ? unsealJob(job.seal, entries, {
            pressure: words.units.pressure,
            ...(job.nextJob ? { nextJob: job.nextJob } : {}),
          })
        : undefined;
    const whole = sealed ?? deriveJob(factsOf(entries));
    const derived = at === undefined ? whole : deriveJob(factsOf(until));
    return {
      job,
      vehicle: job.vehicle,
      limits,
      facts: factsOf(until),
      filter: filterOfJob(factsOf(until), derived),
      inCodes: derived,
      ...inWords({ derived, whole }, words),
      all: entries,
      waiting: new Set(waiting.map((entry) => entry.id)),
      ...(at === undefined ? {} : { at }),
      ...(sealed && at === undefined ? { sealed: inWords(sealed.sealed, words) } : {}),
    };
  }, [query.data, items, sent, member?.id, member?.name, words, at]);
  return {
    ...(open ? { open } : {}),
    ...(query.error && !query.data ? { error: query.error } : {}),
    loading: query.isLoading,
  };
}
