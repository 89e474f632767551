import * as wording from '@white-ember/core/words/screens/jobList';
import * as common from '@white-ember/core/words/screens/common';
import { spokenNow, useWords } from '../../data/words.ts';
import { clockName } from '../clocks/clockName.ts';
import { listedText } from '../clocks/clocks.ts';
import { Say } from '../../ui/Say.tsx';
import { isToday } from 'date-fns';
import { lazy, Suspense, useState, useDeferredValue } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { JobListItem } from '@white-ember/core/contract';
import { type Stage } from '@white-ember/core/job';
import { problemOf, useJobAhead, useJobPagesInfiniteQuery, useSessionQuery } from '../../data/api.ts';
import { Button } from '../../ui/Button.tsx';
import { ProblemNotice } from '../../ui/Notice.tsx';
import { inKeptOrder } from '../../ui/keptOrder.ts';
import { useNow } from '../../ui/useNow.ts';
import { StageStrip } from './StageStrip.tsx';

const importOpenJob = () => import('./OpenJobSheet.tsx');
const OpenJobSheet = lazy(async () => ({ default: (await importOpenJob()).OpenJobSheet }));

const VIEWS = [
  ['open', wording.open],
  ['today', wording.workedOnToday],
  ['all', wording.all],
] as const;

/** More rows than a window of 800 px shows. */
const FIRST_ROWS = 8;

export function JobListPage() {
  const words = useWords();
  const [params, setParams] = useSearchParams();
  const show = params.get('show') ?? 'open';
  const find = params.get('find') ?? '';
  const [opening, setOpening] = useState(false);
  const session = useSessionQuery();
  const jobs = useJobPagesInfiniteQuery({ show, ...(find ? { find } : {}) });
  const today = useNow(60_000);
  const canWork = session.data?.member?.role !== 'viewer';
  const change = (key: string, value: string): void => {
    const next = new URLSearchParams(params);
    if (value) next.set(key, value);
    else next.delete(key);
    setParams(next, { replace: true });
  };
  const list = (jobs.data?.pages ?? []).flatMap((page) => page.jobs);
  const { shown, moved, sort } = useKeptOrder(
    list,
    // What is still shown of another view has no say in this one.
    jobs.currentData ? `${show} ${find}` : undefined,
  );
  // What is in view first, the rest without holding up the page.
  const drawn = Math.max(FIRST_ROWS, useDeferredValue(shown.length));
  return (
    <main className="p-4 sm:p-6 max-w-6xl w-full mx-auto">
      <div className="flex flex-wrap items-end gap-4 mb-5">
        <div className="grow">
          <h1 className="text-3xl">{common.jobs}</h1>
          <p className="text-ink2">
            {words.weekday(today)}, {session.data?.workshop?.name}
          </p>
        </div>
        {canWork ? (
          <Button
            weight="main"
            onPointerEnter={() => void importOpenJob().catch(() => undefined)}
            onFocus={() => void importOpenJob().catch(() => undefined)}
            onClick={() => setOpening(true)}
          >
            {wording.newJob}
          </Button>
        ) : null}
      </div>
      <div className="flex flex-wrap gap-3 mb-4 items-center">
        <div role="group" aria-label={wording.whichJobs} className="flex border-2 border-ink rounded-sm">
          {VIEWS.map(([value, label]) => (
            <button
              key={value}
              aria-pressed={show === value}
              className={`px-4 min-h-11 font-head font-semibold ${show === value ? 'bg-ink text-paper' : ''}`}
              onClick={() => change('show', value)}
            >
              {label}
            </button>
          ))}
        </div>
        <input
          className="input-box max-w-80"
          type="search"
          aria-label={wording.findByPlateVehicleOrCustomer}
          placeholder={wording.plateVehicleOrCustomer}
          value={find}
          onChange={(event) => change('find', event.target.value)}
        />
        {moved ? (
          <Button weight="quiet" onClick={sort}>
            {wording.showTheLatestFirst}
          </Button>
        ) : null}
      </div>
      {jobs.error ? <ProblemNotice problem={problemOf(jobs.error)} /> : null}
      {list.length === 0 && jobs.isSuccess ? (
        <div className="border-2 border-ink p-6">
          <p className="text-xl font-head font-semibold mb-3">
            {find ? wording.noJobFound : wording.noJobsHere}
          </p>
          {canWork ? <Button onClick={() => setOpening(true)}>{wording.openTheFirstOne}</Button> : null}
        </div>
      ) : null}
      <ul className="border-t-2 border-ink">
        {shown.slice(0, drawn).map((job) => (
          <JobRow key={job.id} job={job} />
        ))}
      </ul>
      {jobs.hasNextPage ? (
        <Button className="mt-4" disabled={jobs.isFetchingNextPage} onClick={() => void jobs.fetchNextPage()}>
          {wording.showOlderJobs}
        </Button>
      ) : null}
      {opening ? (
        <Suspense>
          <OpenJobSheet onClose={() => setOpening(false)} />
        </Suspense>
      ) : null}
    </main>
  );
}

/** The list as it was first seen under this view, until somebody asks for its order. */
function useKeptOrder(list: readonly JobListItem[], view: string | undefined) {
  const [seen, setSeen] = useState<{ view: string; ids: readonly string[] }>({ view: '', ids: [] });
  const idsOf = (jobs: readonly JobListItem[]): readonly string[] => jobs.map(({ id }) => id);
  const { shown, moved } = inKeptOrder(list, ({ id }) => id, seen.view === view ? seen.ids : []);
  if (view !== undefined && (seen.view !== view || shown.length !== seen.ids.length))
    setSeen({ view, ids: idsOf(shown) });
  return { shown, moved, sort: () => view !== undefined && setSeen({ view, ids: idsOf(list) }) };
}

/** What it waits for: a running clock before all else, as on its own page. */
function nextOf(
  { summary, advice }: JobListItem,
  now: number,
): { readonly title: string; readonly minutes?: number | undefined } | undefined {
  const runs = summary.clocks.find(({ until }) => Date.parse(until) > now);
  if (runs)
    return {
      title: runs.next === undefined ? common.wait : wording.waitThen(spokenNow(runs.next)),
      minutes: Math.ceil((Date.parse(runs.until) - now) / 60_000),
    };
  return advice?.next && { title: spokenNow(advice.next.title), minutes: advice.next.minutes };
}

function JobRow({ job }: { job: JobListItem }) {
  const words = useWords();
  const now = useNow(30_000);
  const last = new Date(job.lastEntryAt);
  const [clock] = job.summary.clocks;
  const next = nextOf(job, now);
  const prefetch = useJobAhead();
  return (
    <li className="border-b-2 border-rule [content-visibility:auto] [contain-intrinsic-block-size:auto_94px]">
      <Link
        to={`/jobs/${job.id}`}
        onPointerEnter={() => prefetch(job.id)}
        onPointerDown={() => prefetch(job.id)}
        onFocus={() => prefetch(job.id)}
        className="grid gap-x-6 gap-y-1 py-3 px-2 hover:bg-card grid-cols-[1fr_auto] md:grid-cols-[13rem_1fr_13rem_7rem] items-center"
      >
        <span>
          <span className="figure-text text-xl block">{job.plate}</span>
          <span className="text-sm text-ink2">{job.model}</span>
        </span>
        <NextOf job={job} next={next} />
        <span className="max-md:row-start-3">
          <StageStrip stage={job.summary.stage} />
          <span className="text-sm text-ink2">
            {job.summary.signedOff
              ? wording.signedOff
              : (words.name('stages', job.summary.stage as Stage) ?? '')}
            {clock ? ` · ${clockName(clock).toLowerCase()} ${listedText(Date.parse(clock.until) - now)}` : ''}
          </span>
        </span>
        <span className="text-sm text-ink2 text-right">
          {isToday(last) ? words.clock(last.getTime()) : words.shortDate(last.getTime())}
        </span>
      </Link>
    </li>
  );
}

/** What a job waits for. */
function NextOf({
  job,
  next,
}: {
  job: JobListItem;
  next: { readonly title: string; readonly minutes?: number | undefined } | undefined;
}) {
  return (
    <span className="max-md:row-start-2 max-md:col-span-2">
      <span className="font-bold">
        <Say it={job.summary.headline} />
      </span>
      {next && !job.summary.waitsFor ? (
        <span className="block">
          <span className="text-sm text-ink2 mr-2">{wording.next}</span>
          {next.title}
          {next.minutes === undefined ? null : (
            <span className="figure-text ml-2 text-sm">{common.min(next.minutes)}</span>
          )}
        </span>
      ) : null}
      {job.summary.waitsFor ? (
        <span className="block text-sm text-ember-text font-bold">
          {wording.waitsFor} <Say it={job.summary.waitsFor} />
        </span>
      ) : null}
      <span className="block text-sm text-ink2">
        {wording.job(
          job.customerName ? `${job.customerName} · ` : '',
          job.number,
          job.entryCount === 1 ? wording.n1Entry : wording.entries(job.entryCount),
        )}
      </span>
    </span>
  );
}
