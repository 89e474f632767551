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
    return { wrong: 'It is not JSON.' };
  }
  const parsed = channelCorrectionListSchema.safeParse(said);
  return parsed.success
    ? parsed.data
    : { wrong: `${parsed.error.issues[0]?.message ?? 'It is not a list of headings'}.` };
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
      setWrong(`${file.name} was not imported: ${read.wrong}`);
      return;
    }
    setWrong(undefined);
    await take(read);
  };

  return (
    <main className="p-4 sm:p-6 max-w-4xl w-full mx-auto grid gap-6 content-start">
      <div>
        <h1 className="text-3xl">Log headings</h1>
        <p className="text-ink2 mt-1">
          What your workshop set each column to. It applies to every later log, however the heading is
          written.
        </p>
      </div>
      {list.error ? <ProblemNotice problem={problemOf(list.error)} /> : null}
      {remembered.error ? <ProblemNotice problem={problemOf(remembered.error)} /> : null}
      {taken.error ? <ProblemNotice problem={problemOf(taken.error)} /> : null}
      {wrong ? <Notice title={wrong} tone="alarm" /> : null}
      {taken.data ? (
        <Notice title={`${taken.data.taken} ${taken.data.taken === 1 ? 'heading' : 'headings'} imported.`} />
      ) : null}
      {canWork ? (
        <form
          className="grid gap-3 sm:grid-cols-[1fr_1fr_auto] items-end"
          onSubmit={(event) => {
            event.preventDefault();
            void remember({ heading: heading.trim(), role }).then(() => setHeading(''));
          }}
        >
          <Field label="Heading">
            <input
              className="input-box"
              maxLength={500}
              value={heading}
              onChange={(event) => setHeading(event.target.value)}
            />
          </Field>
          <div>
            <p aria-hidden className="font-bold">
              Is
            </p>
            <ChannelChooser heading={heading} role={role} name="Is" onChoose={setRole} />
          </div>
          <Button type="submit" disabled={heading.trim() === ''}>
            Remember
          </Button>
          {heading.trim() === '' ? null : (
            <p className="text-sm text-ink2 sm:col-span-3">
              <HeadingRead heading={heading} role={role} />
            </p>
          )}
        </form>
      ) : null}
      {list.data && corrections.length === 0 ? (
        <p>Nothing corrected yet: every column was read by its heading, or asked about.</p>
      ) : (
        <ul aria-label="Corrected headings" className="border-t-2 border-ink">
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
                name={`What “${one.heading}” is`}
                disabled={!canWork}
                onChoose={(chosen) => void remember({ heading: one.heading, role: chosen })}
              />
              {canWork ? (
                <Button
                  weight="quiet"
                  aria-label={`Forget “${one.heading}”`}
                  onClick={() => void remember({ heading: one.heading })}
                >
                  Forget
                </Button>
              ) : null}
            </li>
          ))}
        </ul>
      )}
      {words.length > 0 ? (
        <section>
          <h2 className="text-xl mb-1">Words learned from them</h2>
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
          Export to a file
        </Button>
        {canWork ? (
          <label className="font-head font-semibold rounded-sm px-4 min-h-12 bg-card border-2 border-ink content-center cursor-pointer has-focus-visible:outline-4">
            Import from a file
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
