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
    <section className="mt-8 grid gap-3" aria-label="The workshop’s data">
      <h2 className="text-2xl">The workshop’s data</h2>
      <div className="flex flex-wrap gap-3">
        <a href="/api/workshop/archive" download className={DOWNLOAD}>
          Export the whole workshop
        </a>
        <a href="/api/readings.csv" download className={DOWNLOAD}>
          Readings as a table
        </a>
      </div>
      <p className="text-sm text-ink2">
        The archive is a zip of plain text and original files: vehicles, jobs with every entry, logs, photos,
        limits, fluids, people. No passwords. Import it here or on another installation; existing data stay.
      </p>
      <label className="grid gap-1">
        <span className="font-head font-semibold">Import an archive</span>
        <input
          ref={input}
          type="file"
          accept=".zip,application/zip"
          className="input-box py-2.5"
          disabled={state.isLoading}
          onChange={(event) => void chosen(event.target.files?.[0])}
        />
      </label>
      {state.isLoading ? (
        <p role="status">
          Taking {name} : all or nothing. With many jobs this takes minutes; leave the page open …
        </p>
      ) : null}
      {state.error ? <ProblemNotice problem={problemOf(state.error)} /> : null}
      {data ? <WhatCame data={data} name={name} /> : null}
    </section>
  );
}

/** What came with an archive. */
function WhatCame({ data, name }: { data: TakenIn; name: string }) {
  return (
    <Notice title={data.added === 0 ? `All of ${name} was here already` : `${name} imported`}>
      <p>
        {fixed(data.added)} new: {data.vehicles} vehicles, {data.jobs} jobs, {data.files} files, {data.people}{' '}
        people; {fixed(data.known)} were here already.
        {data.people > 0 ? ' Set a password for each person before they sign in.' : ''}
      </p>
      {data.renamed.map(({ name: who, signInName }) => (
        <p key={signInName}>
          {who} signs in as {signInName}, as the name was taken.
        </p>
      ))}
    </Notice>
  );
}
