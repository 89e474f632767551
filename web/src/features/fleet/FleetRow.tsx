import * as wording from '@white-ember/core/words/screens/fleet';
import * as common from '@white-ember/core/words/screens/common';
import { spokenNow, useWords } from '../../data/words.ts';
import { useState } from 'react';
import { Link } from 'react-router';
import type { FleetVehicle } from '@white-ember/core/contract';
import { sentenceOf } from '@white-ember/core/diagnosis';
import { FARTHEST_KM } from '@white-ember/core/outlook';
import { Told } from '../vehicles/OutlookPanel.tsx';
import { DueBar, type Months } from './RoadAhead.tsx';
import { RestrictionMark } from './RestrictionMark.tsx';

export const FLEET_GRID =
  'grid gap-x-4 gap-y-1 grid-cols-[minmax(0,1fr)_auto] lg:grid-cols-[11rem_9.5rem_minmax(0,1fr)_5.5rem] items-center';

/** A vehicle of the fleet: what it is, how it went, when it is due, how likely it is to be back soon. Opens to its chart. */
export function FleetRow({ vehicle, months }: { vehicle: FleetVehicle; months: Months }) {
  const words = useWords();
  const [open, setOpen] = useState(false);
  const { told, plate, model, customerName, openJob } = vehicle;
  const { outlook, dueDate } = told;
  if (!outlook.known) return null;
  const { dueKm, comeBack, openCauses } = outlook;
  const km = dueKm.value >= FARTHEST_KM ? 'far' : words.roughDistance(dueKm.value);
  const late = dueDate !== undefined && Date.parse(dueDate.value) < months.now;
  const percent = Math.round(100 * comeBack.chance);
  return (
    <li className="border-b-2 border-rule">
      <div className={`${FLEET_GRID} py-2`}>
        <button className="text-left min-h-11 min-w-0" aria-expanded={open} onClick={() => setOpen(!open)}>
          <span className="figure-text text-xl block">
            <span aria-hidden className="text-ink2">
              {open ? '▾ ' : '▸ '}
            </span>
            {plate}
          </span>
          <span className="text-sm text-ink2 block truncate">
            {model}
            {customerName ? `, ${customerName}` : ''}
          </span>
          <span className="sr-only">{wording.itsRestrictionOverDistance}</span>
        </button>
        <div className="max-lg:row-start-1 max-lg:col-start-2 w-36 lg:w-full">
          <RestrictionMark told={told} />
        </div>
        <div className="min-w-0 max-lg:col-span-2">
          <div className="max-sm:hidden">
            <DueBar months={months} dueDate={dueDate} />
          </div>
          <p className={`text-sm mt-0.5 ${late || dueKm.value === 0 ? 'text-ember-text font-bold' : ''}`}>
            {dueKm.value === 0
              ? wording.dueNowOverTheLimitOn(words.shortDate(outlook.from.at))
              : dueDate
                ? wording.aroundAfter(
                    late ? wording.lateDueByItsTrend : common.due,
                    words.shortDate(dueDate.value),
                    km,
                    words.shortDate(outlook.from.at),
                  )
                : wording.dueAfterMileagePerYearUnknown(km, words.shortDate(outlook.from.at))}
          </p>
        </div>
        <p
          className={`text-sm lg:text-right max-lg:col-span-2 ${openCauses.length > 0 ? 'text-ember-text font-bold' : 'text-ink2'}`}
        >
          <span className="lg:hidden">{wording.backSoonTitle} </span>
          {percent < 1 ? '< 1' : percent} %
        </p>
        {openJob ? <OpenJobLine job={openJob} /> : null}
      </div>
      {open ? (
        <div className="pb-4 grid gap-3 max-w-3xl">
          <Told told={told} />
          <Link
            to={`/vehicles/${vehicle.id}`}
            className="underline underline-offset-4 min-h-11 content-center"
          >
            {wording.open(plate)}
          </Link>
        </div>
      ) : null}
    </li>
  );
}

/** What the job that is open on it says, as its page does. */
function OpenJobLine({ job: { id, advice } }: { job: NonNullable<FleetVehicle['openJob']> }) {
  const words = useWords();
  const { likely, next, drive } = advice ?? {};
  const said = [
    // Where the next step is about it, that names it.
    ...(likely && likely.cause !== next?.id
      ? [`${words.say(sentenceOf(likely.cause))}: ${Math.round(100 * likely.probability)} %`]
      : []),
    ...(next ? [wording.next(spokenNow(next.title))] : []),
    ...(drive && drive !== 'drive' ? [words.name('drivable', drive)] : []),
  ];
  return (
    <Link
      to={`/jobs/${id}`}
      className="col-span-full text-sm underline underline-offset-4 max-lg:min-h-11 content-center"
    >
      {[wording.jobOpen, ...said].join(' · ')}
    </Link>
  );
}
