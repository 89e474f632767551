import * as wording from '@white-ember/core/words/screens/fleet';
import * as common from '@white-ember/core/words/screens/common';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { FLEET_ORDERS } from '@white-ember/core/contract';
import { problemOf, useFleetCausesQuery, useFleetQuery } from '../../data/api.ts';
import { serverNow } from '../../data/serverClock.ts';
import { Button } from '../../ui/Button.tsx';
import { ProblemNotice } from '../../ui/Notice.tsx';
import { TaskList } from '../tasks/TaskList.tsx';
import { CameBack, CausesByFamily } from './CausesByFamily.tsx';
import { FLEET_GRID, FleetRow } from './FleetRow.tsx';
import { MonthRuler, monthsAbout } from './RoadAhead.tsx';

const ORDER_WORDS = { due: wording.dueNext, 'comes-back': wording.mostLikelyToReturn } as const;
const PAGE = 25;
/** While outlooks are worked out anew the list is asked for again after so long, ms. */
const ASK_AGAIN_MS = 1500;
const TASK_DAYS = 60;

/** Who is next, who comes back and why, what is to be done: the workshop over all its vehicles. */
export function FleetPage() {
  const [params, setParams] = useSearchParams();
  const order = FLEET_ORDERS.find((one) => one === params.get('order')) ?? 'due';
  const family = params.get('family') ?? '';
  const page = Math.max(0, Math.floor(Number(params.get('page')) || 0));
  const [waiting, setWaiting] = useState(0);
  const askAgainMs = waiting > 0 ? ASK_AGAIN_MS : 0;
  const [now] = useState(() => serverNow());
  const months = monthsAbout(now);
  const fleet = useFleetQuery(
    { order, limit: PAGE, offset: page * PAGE, ...(family === '' ? {} : { family }) },
    { pollingInterval: askAgainMs },
  );
  const causes = useFleetCausesQuery(undefined, { pollingInterval: askAgainMs });
  if (fleet.data && fleet.data.waiting !== waiting) setWaiting(fleet.data.waiting);
  const change = (key: string, value: string): void => {
    const next = new URLSearchParams(params);
    if (value === '') next.delete(key);
    else next.set(key, value);
    if (key !== 'page') next.delete('page');
    setParams(next, { replace: true });
  };
  const { vehicles = [], known = 0, unknown = 0 } = fleet.data ?? {};
  return (
    <main className="p-4 sm:p-6 max-w-[92rem] w-full mx-auto grid gap-8 xl:grid-cols-[minmax(0,1fr)_22rem] content-start">
      <section aria-label={wording.dueNext} className="min-w-0">
        <div className="flex flex-wrap items-end gap-3 mb-3">
          <h1 className="text-3xl grow">{common.fleet}</h1>
          <div role="group" aria-label={wording.order} className="flex border-2 border-ink rounded-sm">
            {FLEET_ORDERS.map((one) => (
              <button
                key={one}
                aria-pressed={order === one}
                className={`px-4 min-h-11 font-head font-semibold ${order === one ? 'bg-ink text-paper' : ''}`}
                onClick={() => change('order', one === 'due' ? '' : one)}
              >
                {ORDER_WORDS[one]}
              </button>
            ))}
          </div>
          <select
            className="input-box w-auto"
            aria-label={common.engineFamily}
            value={family}
            onChange={(event) => change('family', event.target.value)}
          >
            <option value="">{wording.allFamilies}</option>
            {(causes.data?.families ?? []).map(({ family: name }) => (
              <option key={name} value={name}>
                {name}
              </option>
            ))}
          </select>
        </div>
        {fleet.error ? <ProblemNotice problem={problemOf(fleet.error)} /> : null}
        <p className="text-ink2 mb-2" role="status">
          {fleet.data
            ? wording.withAForecast(
                known,
                known === 1 ? wording.vehicle : wording.vehicles,
                waiting > 0
                  ? wording.moreBeingCalculated(waiting)
                  : unknown > 0
                    ? wording.haveNoForecastYetNoReadingSince(unknown)
                    : '.',
              )
            : wording.lookingAhead}
        </p>
        <div className={`${FLEET_GRID} border-b-2 border-ink text-sm text-ink2 max-lg:hidden`}>
          <span>{common.vehicle}</span>
          <span>{wording.restrictionOverDistance}</span>
          <MonthRuler months={months} />
          <span className="text-right">{wording.backSoon}</span>
        </div>
        <ul className="max-lg:border-t-2 max-lg:border-ink">
          {vehicles.map((vehicle) => (
            <FleetRow key={vehicle.id} vehicle={vehicle} months={months} />
          ))}
        </ul>
        {known > PAGE ? (
          <nav aria-label={wording.pagesOfTheFleet} className="flex flex-wrap gap-3 items-center mt-4">
            <Button disabled={page === 0} onClick={() => change('page', page > 1 ? String(page - 1) : '')}>
              {wording.back}
            </Button>
            <span className="text-ink2">
              {wording.toOf(page * PAGE + 1, Math.min((page + 1) * PAGE, known), known)}
            </span>
            <Button disabled={(page + 1) * PAGE >= known} onClick={() => change('page', String(page + 1))}>
              {wording.on}
            </Button>
          </nav>
        ) : null}
        <p className="text-sm text-ink2 mt-3 max-w-3xl">{wording.foundLeftDashedTheLimitAndThe}</p>
      </section>
      <div className="grid gap-8 content-start min-w-0">
        <TaskList withinDays={TASK_DAYS} askAgainMs={askAgainMs} />
        {causes.error ? <ProblemNotice problem={problemOf(causes.error)} /> : null}
        {causes.data ? <CameBack causes={causes.data} /> : null}
        {causes.data ? <CausesByFamily causes={causes.data} /> : null}
      </div>
    </main>
  );
}
