import * as common from '@white-ember/core/words/screens/common';
import * as wording from '@white-ember/core/words/screens/vehicles';
import { type VehicleHistory } from '@white-ember/core/contract';
import { useWords } from '../../data/words.ts';
import { joined } from '@white-ember/core/words';
import { Say } from '../../ui/Say.tsx';
import { Link } from 'react-router';
import { problemOf, useVehicleHistoryQuery } from '../../data/api.ts';
import { ProblemNotice } from '../../ui/Notice.tsx';

/** Parts that were fitted and remarks that were made, over all jobs of a vehicle. */
export function PartsAndNotes({ vehicleId }: { vehicleId: string }) {
  const words = useWords();
  const history = useVehicleHistoryQuery(vehicleId);
  if (history.error) return <ProblemNotice problem={problemOf(history.error)} />;
  if (!history.data) return null;
  const { parts, notes } = history.data;
  const from = (jobId: string, number: number, at: string) => (
    <span className="text-sm text-ink2 whitespace-nowrap">
      {words.shortDate(at)},{' '}
      <Link to={`/jobs/${jobId}`} className="underline underline-offset-4">
        {common.jobWithNumber(number)}
      </Link>
    </span>
  );
  return (
    <>
      <PartsChanged parts={parts} from={from} />
      <section aria-label={wording.notes}>
        <h2 className="text-2xl mb-1 border-b-2 border-ink">{wording.notes}</h2>
        {notes.length === 0 ? <p className="text-ink2">{wording.noneOnRecord}</p> : null}
        <ul>
          {notes.map(({ jobId, number, at, text, author }, i) => (
            <li key={i} className="border-b border-rule py-1.5">
              {text}{' '}
              <span className="block">
                {from(jobId, number, at)} <span className="text-sm text-ink2">· {author}</span>
              </span>
            </li>
          ))}
        </ul>
      </section>
    </>
  );
}

/** Parts that were changed on this vehicle. */
function PartsChanged({
  parts,
  from,
}: {
  parts: VehicleHistory['parts'];
  from: (jobId: string, number: number, at: string) => React.JSX.Element;
}) {
  return (
    <section aria-label={wording.parts}>
      <h2 className="text-2xl mb-1 border-b-2 border-ink">{wording.parts}</h2>
      {parts.length === 0 ? <p className="text-ink2">{wording.noneOnRecord}</p> : null}
      <ul>
        {parts.map(({ jobId, number, at, what, details, temporary }, i) => (
          <li key={i} className="border-b border-rule py-1.5">
            <span className="font-bold">
              <Say it={what} />
            </span>
            {temporary ? <span className="text-ember-text font-bold"> {wording.forNowOnly}</span> : null}
            {details.length > 0 ? (
              <span className="block text-sm">
                <Say it={joined(details, ', ')} />
              </span>
            ) : null}
            {from(jobId, number, at)}
          </li>
        ))}
      </ul>
    </section>
  );
}
