import * as wording from '@white-ember/core/words/screens/fleet';
import * as common from '@white-ember/core/words/screens/common';
import { useWords } from '../../data/words.ts';
import { Link } from 'react-router';
import type { FleetCauses } from '@white-ember/core/contract';
import { sentenceOf } from '@white-ember/core/diagnosis';

/** Causes that were found, by engine family: how often each, and how many of them are not put right. */
export function CausesByFamily({ causes: { families } }: { causes: FleetCauses }) {
  const words = useWords();
  const told = families.filter((family) => family.causes.length > 0);
  const most = Math.max(1, ...told.flatMap((family) => family.causes.map(({ jobs }) => jobs)));
  return (
    <section aria-label={wording.causesByFamily} className="grid gap-3 content-start min-w-0">
      <h2 className="text-2xl border-b-2 border-ink">{wording.causesByFamily}</h2>
      {told.length === 0 ? <p className="text-ink2">{wording.noneYetConfirmedCausesAreCounted}</p> : null}
      {told.map(({ family, vehicles, jobs, causes }) => (
        <table key={family} className="w-full text-left">
          <caption className="text-left">
            <span className="font-head font-semibold text-lg">{family}</span>{' '}
            <span className="text-sm text-ink2">
              {vehicles} {vehicles === 1 ? wording.vehicle : wording.vehicles}, {jobs}{' '}
              {jobs === 1 ? common.jobWithin : common.jobsWithin}
            </span>
          </caption>
          <tbody>
            {causes.map(({ cause, jobs: times, open }) => (
              <tr key={cause} className="border-t border-rule">
                <th scope="row" className="font-normal py-1 pr-3">
                  {words.say(sentenceOf(cause))}
                  <span
                    aria-hidden
                    className="block h-1.5 bg-steel"
                    style={{ width: `${Math.max(4, (100 * times) / most)}%` }}
                  />
                </th>
                <td className="text-right whitespace-nowrap align-top py-1">
                  {times} {times === 1 ? common.jobWithin : common.jobsWithin}
                  {open > 0 ? (
                    <span className="block text-sm text-ember-text font-bold">
                      {wording.leftAsItWas(open)}
                    </span>
                  ) : null}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      ))}
    </section>
  );
}

/** Cleans that did not hold: how many, why, and the latest. */
export function CameBack({ causes: { cleaned, cameBack, why, last, within } }: { causes: FleetCauses }) {
  const words = useWords();
  const { distance } = words;
  return (
    <section aria-label={wording.returnsAndReasons} className="grid gap-3 content-start min-w-0">
      <h2 className="text-2xl border-b-2 border-ink">{wording.returnsAndReasons}</h2>
      <p>
        {cleaned === 0
          ? common.noFilterWorkYet
          : wording.ofTreatedFiltersWereFullAgain(cameBack, cleaned, distance(within.km), within.days)}
      </p>
      {why.length > 0 ? (
        <ul className="grid gap-1">
          {why.map(({ cause, count }) => (
            <li key={cause ?? ''} className="flex gap-3">
              <span className="figure-text">{count} ×</span>
              {cause === undefined ? wording.noCauseWasFound : words.say(sentenceOf(cause))}
            </li>
          ))}
        </ul>
      ) : null}
      <ul>
        {last.map(({ jobId, vehicleId, plate, at, km, days, causes, leftOpen, number }) => (
          <li key={jobId} className="border-t-2 border-rule py-2">
            <p>
              <Link to={`/vehicles/${vehicleId}`} className="figure-text underline underline-offset-4">
                {plate}
              </Link>{' '}
              {wording.backAfter(km === undefined ? common.days(days) : distance(km), words.shortDate(at))}{' '}
              <Link to={`/jobs/${jobId}`} className="underline underline-offset-4 whitespace-nowrap">
                {common.jobWithNumber(number)}
              </Link>
            </p>
            <p className="text-sm text-ink2">
              {causes.length === 0
                ? wording.noCauseWasFoundAtEitherVisit
                : `${causes.map((id) => words.say(sentenceOf(id))).join('; ')}${leftOpen ? wording.knownAndLeftAtThePreviousVisit : ''}.`}
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
}
