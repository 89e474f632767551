import * as wording from '@white-ember/core/words/screens/photos';
import * as common from '@white-ember/core/words/screens/common';
import { useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import { entriesOfKind, type PartId, type EntryOf } from '@white-ember/core/ledger';
import { problemOf, useUploadPhotoMutation } from '../../data/api.ts';
import { ProblemNotice } from '../../ui/Notice.tsx';
import { useAddEntry } from '../../job/useAddEntry.ts';
import type { OpenJob } from '../../job/useJob.ts';

/** Photos of the job: kept on the server first, then entered, so that an entry never names one that is not there. */
export function Photos({ open, canEnter, part }: { open: OpenJob; canEnter: boolean; part?: PartId }) {
  const addEntry = useAddEntry(open.job.id);
  const [upload, state] = useUploadPhotoMutation();
  const [caption, setCaption] = useState('');
  const photos = entriesOfKind(open.derived.entries, 'photo');
  const keep = async (files: FileList | null): Promise<void> => {
    for (const file of files ?? []) {
      const kept = await upload({ jobId: open.job.id, id: uuidv7(), file });
      if (!kept.data) return;
      await addEntry({
        kind: 'photo',
        photo: kept.data.id,
        ...(caption === '' ? {} : { caption }),
        ...(part ? { part } : {}),
      });
    }
    setCaption('');
  };
  return (
    <div>
      <h2 className="text-xl mb-1">{wording.photos}</h2>
      <PhotoRow photos={photos} />
      {photos.length === 0 ? <p className="text-ink2 py-1">{common.noneYet}</p> : null}
      {canEnter ? <TakePhoto caption={caption} setCaption={setCaption} state={state} keep={keep} /> : null}
    </div>
  );
}

/** Another photo, with what it shows. */
function TakePhoto({
  caption,
  setCaption,
  state,
  keep,
}: {
  caption: string;
  setCaption: (value: string) => void;
  state: { readonly isLoading: boolean; readonly error?: unknown };
  keep: (files: FileList | null) => Promise<void>;
}) {
  return (
    <div className="grid gap-2 mt-2">
      <label className="grid gap-1">
        <span className="font-head font-semibold">{common.whatItShows}</span>
        <input className="input-box" value={caption} onChange={(event) => setCaption(event.target.value)} />
      </label>
      <label className="border-2 border-ink bg-card min-h-12 px-4 content-center text-center font-head font-semibold rounded-sm has-focus-visible:outline-3 has-focus-visible:outline-steel">
        {state.isLoading ? common.keepingIt : wording.takeOrChooseAPhoto}
        <input
          type="file"
          accept="image/jpeg,image/png,image/webp"
          capture="environment"
          className="sr-only"
          onChange={(event) => {
            void keep(event.target.files);
            event.target.value = '';
          }}
        />
      </label>
      {state.error ? <ProblemNotice problem={problemOf(state.error)} /> : null}
    </div>
  );
}

/** The photos of this job. */
function PhotoRow({ photos }: { photos: readonly EntryOf<'photo'>[] }) {
  return (
    <ul className="grid grid-cols-3 gap-2">
      {photos.map(({ id, body }) => (
        <li key={id}>
          <a href={`/api/photos/${body.photo}`} target="_blank" rel="noreferrer">
            <img
              src={`/api/photos/${body.photo}?size=thumb`}
              alt={body.caption ?? wording.photoWithoutACaption}
              loading="lazy"
              className="w-full aspect-square object-cover border-2 border-rule"
            />
          </a>
          {body.caption ? <p className="text-sm">{body.caption}</p> : null}
        </li>
      ))}
    </ul>
  );
}
