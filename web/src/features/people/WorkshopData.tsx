import * as wording from '@white-ember/core/words/screens/people';
import { type TakenIn } from '@white-ember/core/contract';
import { useRef, useState } from 'react';
import { problemOf, useTakeArchiveInMutation } from '../../data/api.ts';
import { fixed } from '../../ui/format.ts';
import { Notice, ProblemNotice } from '../../ui/Notice.tsx';

const DOWNLOAD =
  'font-head font-semibold rounded-sm px-4 min-h-12 border-2 border-ink bg-card inline-flex items-center';

/** The whole workshop out, and in again: for a move to another installation, or to keep it elsewhere. */
export function WorkshopData() {
  const [takeIn, state] = useTakeArchiveInMutation();
  const [name, setName] = useState('');
  const input = useRef<HTMLInputElement>(null);
  const chosen = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    setName(file.name);
    await takeIn({ file });
    if (input.current) input.current.value = '';
  };
  const { data } = state;
  return (
    <section className="mt-8 grid gap-3" aria-label={wording.theWorkshopsData}>
      <h2 className="text-2xl">{wording.theWorkshopsData}</h2>
      <div className="flex flex-wrap gap-3">
        <a href="/api/workshop/archive" download className={DOWNLOAD}>
          {wording.exportTheWholeWorkshop}
        </a>
        <a href="/api/readings.csv" download className={DOWNLOAD}>
          {wording.readingsAsATable}
        </a>
      </div>
      <p className="text-sm text-ink2">{wording.theArchiveIsAZipOfPlain}</p>
      <label className="grid gap-1">
        <span className="font-head font-semibold">{wording.importAnArchive}</span>
        <input
          ref={input}
          type="file"
          accept=".zip,application/zip"
          className="input-box py-2.5"
          disabled={state.isLoading}
          onChange={(event) => void chosen(event.target.files?.[0])}
        />
      </label>
      {state.isLoading ? <p role="status">{wording.takingAllOrNothingWithManyJobs(name)}</p> : null}
      {state.error ? <ProblemNotice problem={problemOf(state.error)} /> : null}
      {data ? <WhatCame data={data} name={name} /> : null}
    </section>
  );
}

/** What came with an archive. */
function WhatCame({ data, name }: { data: TakenIn; name: string }) {
  return (
    <Notice title={data.added === 0 ? wording.allOfWasHereAlready(name) : wording.imported(name)}>
      <p>
        {wording.newVehiclesJobsFilesPeopleWereHere(
          fixed(data.added),
          data.vehicles,
          data.jobs,
          data.files,
          data.people,
          fixed(data.known),
          data.people > 0 ? wording.setAPasswordForEachPersonBefore : '',
        )}
      </p>
      {data.renamed.map(({ name: who, signInName }) => (
        <p key={signInName}>{wording.signsInAsAsTheNameWas(who, signInName)}</p>
      ))}
    </Notice>
  );
}
