import type { FamilyBook } from '../contract/index.ts';
import { quickCheckFor } from '../diagnosis/index.ts';
import { effectiveEntries, entriesOfKind, happenedAt, steadySamplesOf, type Entry } from '../ledger/index.ts';
import { causesSaid, wasFound } from './checksMade.ts';

/** A job of a vehicle of the family, with its whole ledger. */
export interface FamilyJob {
  readonly id: string;
  readonly number: number;
  readonly openedAt: string;
  readonly proved: boolean;
  readonly vehicle: { readonly id: string; readonly plate: string; readonly model: string };
  /** Its vehicle belongs to the customer of the vehicle that is asked for. */
  readonly sameCustomer: boolean;
  readonly entries: readonly Entry[];
}

const MOST_READINGS = 12;

/**
 * What jobs have taught about an engine family: notes, what was read when it was good, confirmed causes by how often; and for
 * one vehicle of it what was confirmed on the same customer's others since, unless it was confirmed or ruled out here as well.
 */
export function familyBook(
  family: string,
  jobs: readonly FamilyJob[],
  vehicle: { readonly id: string; readonly others: FamilyBook['others'] },
): FamilyBook {
  const read = jobs.map((job) => {
    const entries = effectiveEntries(job.entries);
    return { job, entries, causes: causesSaid(entries) };
  });
  const from = (job: FamilyJob, entry?: Entry) => ({
    jobId: job.id,
    jobNumber: job.number,
    plate: job.vehicle.plate,
    at: entry ? new Date(happenedAt(entry)).toISOString() : job.openedAt,
  });
  const notes = read.flatMap(({ job, entries }) =>
    entriesOfKind(entries, 'family-note').map((entry) => ({
      ...from(job, entry),
      topic: entry.body.topic,
      text: entry.body.text,
      author: entry.authorName,
      ...(entry.body.minutes === undefined ? {} : { minutes: entry.body.minutes }),
    })),
  );
  const goodReadings = read
    .filter(({ job }) => job.proved)
    .flatMap(({ job, entries }) => {
      const after = entriesOfKind(entries, 'reading').findLast(({ body }) => body.purpose === 'after');
      return steadySamplesOf(after?.body.samples ?? []).flatMap(({ kind, rpm, dpMbar }) =>
        kind === 'key-off' ? [] : [{ ...from(job, after), kind, rpm, dpMbar }],
      );
    })
    .slice(0, MOST_READINGS);
  const confirmed = read.flatMap(({ job, causes }) =>
    causes.filter(wasFound).map(({ cause, entry }) => ({ job, cause, entry })),
  );
  const byCause = new Map<string, typeof confirmed>();
  for (const one of confirmed) byCause.set(one.cause, [...(byCause.get(one.cause) ?? []), one]);
  const weakSpots = [...byCause].map(([cause, its]) => {
    const last = its.reduce((a, b) => (happenedAt(b.entry) > happenedAt(a.entry) ? b : a));
    return { cause, jobs: its.length, last: from(last.job, last.entry) };
  });
  const settledHere = new Set(
    read
      .filter(({ job }) => job.vehicle.id === vehicle.id)
      .flatMap(({ causes }) => causes.map(({ cause }) => cause)),
  );
  const proposals = new Map(
    confirmed
      .filter(
        ({ job, cause }) => job.sameCustomer && job.vehicle.id !== vehicle.id && !settledHere.has(cause),
      )
      .map(({ job, cause, entry }) => {
        const check = quickCheckFor(cause);
        return [cause, { ...from(job, entry), cause, ...(check === undefined ? {} : { check }) }] as const;
      }),
  );
  return {
    family,
    notes,
    goodReadings,
    weakSpots: weakSpots.sort((a, b) => b.jobs - a.jobs),
    proposals: [...proposals.values()],
    others: vehicle.others,
  };
}
