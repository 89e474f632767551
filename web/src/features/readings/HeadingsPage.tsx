import * as wording from '@white-ember/core/words/screens/readings';
import * as common from '@white-ember/core/words/screens/common';
import { useState } from 'react';
import { channelCorrectionListSchema, type ChannelCorrection } from '@white-ember/core/contract';
import { inWords, learnWords } from '@white-ember/core/readings';
import {
  problemOf,
  useChannelCorrectionsQuery,
  useRememberCorrectionMutation,
  useSessionQuery,
  useTakeCorrectionsMutation,
} from '../../data/api.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { Notice, ProblemNotice } from '../../ui/Notice.tsx';
import { saveFile } from '../../ui/saveFile.ts';
import { ChannelChooser, HeadingRead } from './ChannelChooser.tsx';

/** The list as a file of another installation reads it, or what is wrong with it. */
function listIn(text: string): { readonly corrections: ChannelCorrection[] } | { readonly wrong: string } {
  let said: unknown;
  try {
    said = JSON.parse(text);
  } catch {
    return { wrong: wording.itIsNotJson };
  }
  const parsed = channelCorrectionListSchema.safeParse(said);
  return parsed.success
    ? parsed.data
    : { wrong: `${parsed.error.issues[0]?.message ?? wording.itIsNotAListOfHeadings}.` };
}

/** What the workshop said of headings of recorded logs: seen, changed, forgotten, handed on; and the words that this taught. */
export function HeadingsPage() {
  const list = useChannelCorrectionsQuery();
  const session = useSessionQuery();
  const [remember, remembered] = useRememberCorrectionMutation();
  const [take, taken] = useTakeCorrectionsMutation();
  const [wrong, setWrong] = useState<string>();
  const [heading, setHeading] = useState('');
  const [role, setRole] = useState('');
  const corrections = list.data ?? [];
  const canWork = session.data?.member !== undefined && session.data.member.role !== 'viewer';
  const words = [...learnWords(Object.fromEntries(corrections.map((one) => [one.heading, one.role])))];

  const takeIn = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    const read = listIn(await file.text());
    if ('wrong' in read) {
      setWrong(wording.wasNotImported(file.name, read.wrong));
      return;
    }
    setWrong(undefined);
    await take(read);
  };

  return (
    <main className="p-4 sm:p-6 max-w-4xl w-full mx-auto grid gap-6 content-start">
      <div>
        <h1 className="text-3xl">{common.logHeadings}</h1>
        <p className="text-ink2 mt-1">{wording.whatYourWorkshopSetEachColumnTo}</p>
      </div>
      {list.error ? <ProblemNotice problem={problemOf(list.error)} /> : null}
      {remembered.error ? <ProblemNotice problem={problemOf(remembered.error)} /> : null}
      {taken.error ? <ProblemNotice problem={problemOf(taken.error)} /> : null}
      {wrong ? <Notice title={wrong} tone="alarm" /> : null}
      {taken.data ? (
        <Notice
          title={wording.imported(
            taken.data.taken,
            taken.data.taken === 1 ? wording.heading : wording.headings,
          )}
        />
      ) : null}
      {canWork ? (
        <form
          className="grid gap-3 sm:grid-cols-[1fr_1fr_auto] items-end"
          onSubmit={(event) => {
            event.preventDefault();
            void remember({ heading: heading.trim(), role }).then(() => setHeading(''));
          }}
        >
          <Field label={wording.headingTitle}>
            <input
              className="input-box"
              maxLength={500}
              value={heading}
              onChange={(event) => setHeading(event.target.value)}
            />
          </Field>
          <div>
            <p aria-hidden className="font-bold">
              {wording.is}
            </p>
            <ChannelChooser heading={heading} role={role} name={wording.is} onChoose={setRole} />
          </div>
          <Button type="submit" disabled={heading.trim() === ''}>
            {wording.remember}
          </Button>
          {heading.trim() === '' ? null : (
            <p className="text-sm text-ink2 sm:col-span-3">
              <HeadingRead heading={heading} role={role} />
            </p>
          )}
        </form>
      ) : null}
      {list.data && corrections.length === 0 ? (
        <p>{wording.nothingCorrectedYetEveryColumnWas}</p>
      ) : (
        <ul aria-label={wording.correctedHeadings} className="border-t-2 border-ink">
          {corrections.map((one) => (
            <li
              key={one.heading}
              className="border-b-2 border-rule py-2 grid gap-x-4 gap-y-1 sm:grid-cols-[minmax(0,1fr)_16rem_auto] items-center"
            >
              <span className="min-w-0">
                <span className="font-bold block break-words">{one.heading}</span>
                <span className="text-sm text-ink2">
                  <HeadingRead heading={one.heading} role={one.role} />
                </span>
              </span>
              <ChannelChooser
                heading={one.heading}
                role={one.role}
                name={wording.whatIs(one.heading)}
                disabled={!canWork}
                onChoose={(chosen) => void remember({ heading: one.heading, role: chosen })}
              />
              {canWork ? (
                <Button
                  weight="quiet"
                  aria-label={wording.forget(one.heading)}
                  onClick={() => void remember({ heading: one.heading })}
                >
                  {wording.forgetTitle}
                </Button>
              ) : null}
            </li>
          ))}
        </ul>
      )}
      {words.length > 0 ? (
        <section>
          <h2 className="text-xl mb-1">{wording.wordsLearnedFromThem}</h2>
          <ul>
            {words.map(([word, { meanings }]) => (
              <li key={word}>
                <span className="font-bold">{word}</span>: {inWords(meanings)}
              </li>
            ))}
          </ul>
        </section>
      ) : null}
      <section className="flex flex-wrap gap-3 items-center">
        <Button
          disabled={corrections.length === 0}
          onClick={() =>
            saveFile(
              new Blob([`${JSON.stringify({ corrections }, null, 2)}\n`], { type: 'application/json' }),
              'headings.json',
            )
          }
        >
          {wording.exportToAFile}
        </Button>
        {canWork ? (
          <label className="font-head font-semibold rounded-sm px-4 min-h-12 bg-card border-2 border-ink content-center cursor-pointer has-focus-visible:outline-4">
            {wording.importFromAFile}
            <input
              type="file"
              accept="application/json,.json"
              className="sr-only"
              onChange={(event) => {
                const { files } = event.target;
                void takeIn(files?.[0]).then(() => (event.target.value = ''));
              }}
            />
          </label>
        ) : null}
      </section>
    </main>
  );
}
