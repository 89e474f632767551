import { say, type Said } from '../words/index.ts';
import type { FollowUp } from '../contract/index.ts';
import { intakeOf } from '../diagnosis/index.ts';
import { entriesOfKind, happenedAt, type Entry, type WorkType } from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';
import { wasFound } from './checksMade.ts';
import type { DerivedJob } from './deriveJob.ts';
import { FILTER_WORK_FATES } from './visitOf.ts';

/** A correction keeps the key of what it corrects: what was done stays done, and a calendar moves the day. */
const idOf = ({ id, supersedes }: Pick<Entry, 'id' | 'supersedes'>): string => supersedes ?? id;

const FILTER_WORK: ReadonlySet<WorkType> = new Set(FILTER_WORK_FATES.map(([work]) => work));

/** Why a filter that was worked on should be read again soon, or nothing. */
function whyRecheck({ entries, after, verdict, causes, open, signedOff }: DerivedJob): Said | undefined {
  const worked = entriesOfKind(entries, 'work').some(({ body }) => FILTER_WORK.has(body.work));
  if (!worked || !after) return undefined;
  if (causes.some((said) => wasFound(said) && said.state !== 'put-right'))
    return say('job.a-cause-was-found');
  if (open.some(({ kind }) => kind !== 'choice')) return say('job.a-repair-is-temporary');
  // While a job is open it goes on to prove itself.
  return verdict === 'proved' || !signedOff ? undefined : say('job.handed-over-before');
}

/**
 * What is to be done after a job, open and done: parts on order, offers that wait for a choice, the reading after some
 * distance, the oil, and what a person set. Worked out from the ledger; ended by its entries.
 */
export function followUpsOf(
  derived: DerivedJob,
  limits: Pick<Limits, 'recheckAfterKm' | 'oilEveryKm'>,
): FollowUp[] {
  const { entries } = derived;
  const { distanceKm, oilChangedKm } = intakeOf(entries);
  const ends = new Map(entriesOfKind(entries, 'follow-up-done').map((entry) => [entry.body.task, entry]));
  const matters = derived.open.map(({ kind, entry, text, waitsFor, due }): FollowUp =>
    kind === 'choice'
      ? {
          key: `choice:${idOf(entry)}`,
          kind: 'choice',
          what: say('job.ask-for-the-customers-choice', { text }),
        }
      : {
          key: `part:${idOf(entry)}`,
          kind: 'part',
          what: waitsFor ? say('job.fit', { waitsFor }) : say('job.make-the-repair-permanent'),
          why: text,
          ...(due === undefined ? {} : { due }),
        },
  );
  const why = whyRecheck(derived);
  const recheck: FollowUp[] = why
    ? [
        {
          key: 'recheck',
          kind: 'recheck',
          what: say('job.read-the-filter-again-after', { recheckAfterKm: limits.recheckAfterKm }),
          why,
          ...(distanceKm === undefined ? {} : { dueKm: distanceKm + limits.recheckAfterKm }),
        },
      ]
    : [];
  const changedHere = entriesOfKind(entries, 'work').some(({ body }) => body.work === 'oil-changed');
  const oilKm = changedHere ? distanceKm : oilChangedKm;
  const oil: FollowUp[] =
    oilKm === undefined
      ? []
      : [
          {
            key: 'oil',
            kind: 'oil',
            what: say('job.change-the-oil'),
            why: say('job.oil-due', { everyKm: limits.oilEveryKm }),
            dueKm: oilKm + limits.oilEveryKm,
          },
        ];
  const own = entriesOfKind(entries, 'follow-up').map(
    ({ body: { what, due, dueKm }, ...entry }): FollowUp => ({
      key: `own:${idOf(entry)}`,
      kind: 'own',
      what,
      ...(due === undefined ? {} : { due }),
      ...(dueKm === undefined ? {} : { dueKm }),
    }),
  );
  return [...matters, ...recheck, ...own, ...oil].map((task) => {
    const end = ends.get(task.key);
    return end
      ? {
          ...task,
          done: {
            at: new Date(happenedAt(end)).toISOString(),
            by: end.authorName,
            ...(end.body.how === undefined || end.body.how === '' ? {} : { how: end.body.how }),
          },
        }
      : task;
  });
}
