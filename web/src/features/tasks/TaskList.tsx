import * as wording from '@white-ember/core/words/screens/tasks';
import * as common from '@white-ember/core/words/screens/common';
import { spokenNow, useWords } from '../../data/words.ts';
import { Say } from '../../ui/Say.tsx';
import { CalendarPlus } from 'lucide-react';
import { Link } from 'react-router';
import type { Task } from '@white-ember/core/contract';
import { problemOf, useSessionQuery, useTasksQuery } from '../../data/api.ts';
import { serverNow } from '../../data/serverClock.ts';
import { Button } from '../../ui/Button.tsx';
import { ProblemNotice } from '../../ui/Notice.tsx';
import { useAddEntry } from '../../job/useAddEntry.ts';
import { whenDue } from './taskWords.ts';

/** The calendar of what is to be done; of one vehicle where it is named. */
export function CalendarLink({ vehicleId }: { vehicleId?: string }) {
  const words = useWords();
  return (
    <a
      href={`/api/tasks.ics?${new URLSearchParams({ ...words.units, locale: words.locale, ...(vehicleId === undefined ? {} : { vehicleId }) }).toString()}`}
      download
      className="min-h-11 inline-flex items-center gap-2 underline underline-offset-4"
    >
      <CalendarPlus aria-hidden size={18} />
      {wording.calendarFile}
    </a>
  );
}

/** What is to be done after jobs, by its day: of the workshop, or of one vehicle. */
export function TaskList({
  vehicleId,
  withinDays,
  askAgainMs = 0,
}: {
  vehicleId?: string;
  withinDays?: number;
  /** While outlooks are worked out days become known: asked for again after so long. */
  askAgainMs?: number;
}) {
  const query = useTasksQuery(
    {
      ...(vehicleId === undefined ? {} : { vehicleId }),
      ...(withinDays === undefined ? {} : { withinDays }),
      // Which filters are due stands beside the list.
      filters: 'without',
    },
    { pollingInterval: askAgainMs },
  );
  const session = useSessionQuery();
  const canWork = session.data?.member?.role !== 'viewer';
  const { tasks = [], total = 0 } = query.data ?? {};
  return (
    <section aria-label={wording.toDo} className="grid gap-2 min-w-0 content-start">
      <div className="flex flex-wrap items-baseline gap-x-4 border-b-2 border-ink">
        <h2 className="text-2xl grow">{wording.toDo}</h2>
        {tasks.some(({ due }) => due !== undefined) ? (
          <CalendarLink {...(vehicleId === undefined ? {} : { vehicleId })} />
        ) : null}
      </div>
      {query.error ? <ProblemNotice problem={problemOf(query.error)} /> : null}
      {query.isSuccess && total === 0 ? (
        <p className="text-ink2">
          {wording.partsOnOrderRechecksOilAndFollow(
            withinDays === undefined ? wording.nothingIsOpen : wording.nothingDueWithinDays(withinDays),
          )}
        </p>
      ) : null}
      <ul>
        {tasks.map((task) => (
          <TaskRow
            key={`${task.jobId} ${task.key}`}
            task={task}
            canWork={canWork}
            withPlate={vehicleId === undefined}
          />
        ))}
      </ul>
      {total > tasks.length ? (
        <p className="text-sm text-ink2">{wording.theFirstOfAllAreInThe(tasks.length, total)}</p>
      ) : null}
    </section>
  );
}

function TaskRow({ task, canWork, withPlate }: { task: Task; canWork: boolean; withPlate: boolean }) {
  const words = useWords();
  const addEntry = useAddEntry(task.jobId);
  const today = new Date(serverNow()).toISOString().slice(0, 10);
  const late = task.due !== undefined && task.due < today;
  const when = whenDue(task, words);
  return (
    <li className="border-b-2 border-rule py-2 grid grid-cols-[minmax(0,1fr)_auto] gap-x-3 items-center">
      <div className="min-w-0">
        <p>
          {withPlate ? (
            <Link to={`/vehicles/${task.vehicleId}`} className="figure-text underline underline-offset-4">
              {task.plate}
            </Link>
          ) : null}{' '}
          <span className="font-bold">
            <Say it={task.what} />
          </span>
        </p>
        <p className={`text-sm ${late ? 'text-ember-text font-bold' : 'text-ink2'}`}>
          {late ? wording.late : ''}
          {when === '' ? wording.noDay : when}
        </p>
        <p className="text-sm text-ink2">
          <Say it={task.why ?? ''} />{' '}
          <Link
            to={`/jobs/${task.jobId}?stage=hand-over`}
            className="underline underline-offset-4 whitespace-nowrap"
          >
            {common.jobWithNumber(task.jobNumber)}
          </Link>
        </p>
      </div>
      {canWork ? (
        <Button
          aria-label={wording.doneWithPlate(task.plate, spokenNow(task.what))}
          onClick={() => void addEntry({ kind: 'follow-up-done', task: task.key })}
        >
          {wording.doneTitle}
        </Button>
      ) : null}
    </li>
  );
}
