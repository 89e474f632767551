import * as common from '@white-ember/core/words/screens/common';
import * as wording from '@white-ember/core/words/screens/vehicles';
import { useWords } from '../../data/words.ts';
import { Link } from 'react-router';
import type { VehicleOutlook } from '@white-ember/core/outlook';
import { FATE_WORDS, ratioWords } from './VehicleRoad.tsx';

/** What became of the filter over the years: cleaned, regenerated, exchanged, weighed. */
export function FilterHistory({ visits }: { visits: VehicleOutlook['visits'] }) {
  const worked = visits.filter(({ filter, weighed }) => filter !== 'as-it-was' || weighed).toReversed();
  if (worked.length === 0) return <p className="text-ink2">{common.noFilterWorkYet}</p>;
  return (
    <div className="overflow-x-auto">
      <table className="w-full text-left text-sm">
        <thead>
          <tr className="align-bottom">
            <th className="pr-3">{common.jobWithin}</th>
            <th className="text-right pr-3">{wording.distance}</th>
            <th className="pr-3">{wording.filter}</th>
            <th className="text-right">{wording.foundLeft}</th>
          </tr>
        </thead>
        <tbody>
          {worked.map((visit) => {
            const { beforeKg, afterKg } = visit.weighed ?? {};
            return <HistoryRow key={visit.jobId} visit={visit} beforeKg={beforeKg} afterKg={afterKg} />;
          })}
        </tbody>
      </table>
    </div>
  );
}

/** One visit at which the filter was weighed or cleaned. */
function HistoryRow({
  visit,
  beforeKg,
  afterKg,
}: {
  visit: VehicleOutlook['visits'][number];
  beforeKg: number | undefined;
  afterKg: number | undefined;
}) {
  const words = useWords();
  return (
    <tr className="border-t border-rule align-top">
      <td className="pr-3 py-1">
        <Link to={`/jobs/${visit.jobId}`} className="underline underline-offset-4">
          {visit.number}
        </Link>
        <span className="block text-ink2 whitespace-nowrap">{words.shortDate(visit.at)}</span>
      </td>
      <td className="text-right pr-3 py-1">{visit.km === undefined ? '–' : words.distance(visit.km)}</td>
      <td className="pr-3 py-1">
        {FATE_WORDS[visit.filter]}
        {beforeKg === undefined && afterKg === undefined ? null : (
          <span className="block text-ink2">
            {beforeKg === undefined ? '–' : words.weight(beforeKg)} →{' '}
            {afterKg === undefined ? '–' : words.weight(afterKg)}
          </span>
        )}
      </td>
      <td className="text-right py-1 whitespace-nowrap">{ratioWords(visit) || '–'}</td>
    </tr>
  );
}
