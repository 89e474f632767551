import * as wording from '@white-ember/core/words/screens/ledger';
import { useState } from 'react';
import type { Job } from '@white-ember/core/contract';
import {
  entryFigure,
  isCorrectable,
  stageOf,
  toldBy,
  type Entry,
  type ReadingSample,
  type Stage,
} from '@white-ember/core/ledger';
import { useWords } from '../../data/words.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { Say } from '../../ui/Say.tsx';
import { Sheet } from '../../ui/Sheet.tsx';
import { useAddEntry } from '../../job/useAddEntry.ts';

/** One entry of the ledger: what it says, who entered it and when by both clocks; withdrawn, never erased. */
export function EntrySheet({
  entry,
  job,
  canWork,
  onClose,
  onCorrect,
}: {
  entry: Entry | undefined;
  job: Job;
  canWork: boolean;
  onClose: () => void;
  onCorrect: (entry: Entry, stage: Stage) => void;
}) {
  const words = useWords();
  const addEntry = useAddEntry(job.id);
  const [why, setWhy] = useState('');
  const [problem, setProblem] = useState<string>();
  const close = (): void => {
    setWhy('');
    setProblem(undefined);
    onClose();
  };
  const withdraw = async (): Promise<void> => {
    if (!entry) return;
    const wrong = await addEntry({ kind: 'withdrawn', why }, entry.id);
    setProblem(wrong?.['why']);
    if (!wrong) close();
  };
  const stage = entry && isCorrectable(entry) ? stageOf(entry) : undefined;
  const log =
    entry?.body.kind === 'reading' && entry.body.origin.type === 'log' ? entry.body.origin : undefined;
  return (
    <Sheet
      open={entry !== undefined}
      onOpenChange={(next) => (next ? undefined : close())}
      title={entry ? words.say(entryFigure(entry)) : ''}
    >
      {entry ? (
        <div className="grid gap-4">
          <EntryText entry={entry} />
          {log ? (
            <p>
              {wording.fromTheFile(log.fileName)}{' '}
              <a className="underline underline-offset-4" href={`/api/logs/${log.logId}/raw`} download>
                {wording.downloadTheOriginalFile}
              </a>
            </p>
          ) : null}
          <dl className="text-sm text-ink2 grid grid-cols-[auto_1fr] gap-x-4">
            <dt>{wording.enteredBy}</dt>
            <dd>{entry.authorName}</dd>
            <dt>{wording.deviceClock}</dt>
            <dd>{words.fullMoment(entry.deviceTime)}</dd>
            <dt>{wording.serverClock}</dt>
            <dd>{words.fullMoment(entry.serverTime)}</dd>
            <dt>{wording.placeInTheLedger}</dt>
            <dd>{entry.seq}</dd>
          </dl>
          {canWork &&
          entry.body.kind !== 'withdrawn' &&
          !job.entries.some((e) => e.supersedes === entry.id) ? (
            <div className="border-t-2 border-rule pt-4 grid gap-3">
              {stage ? (
                <Button weight="main" onClick={() => onCorrect(entry, stage)}>
                  {wording.correctThisEntry}
                </Button>
              ) : null}
              <Field label={wording.wrongGiveTheReasonItStaysIn} error={problem}>
                <input className="input-box" value={why} onChange={(event) => setWhy(event.target.value)} />
              </Field>
              <Button onClick={() => void withdraw()}>{wording.withdrawThisEntry}</Button>
            </div>
          ) : null}
        </div>
      ) : null}
    </Sheet>
  );
}

function EntryText({ entry }: { entry: Entry }) {
  const { body } = entry;
  if (body.kind === 'photo')
    return <img src={`/api/photos/${body.photo}`} alt={body.caption ?? wording.photo} className="max-h-96" />;
  if (body.kind === 'reading') return <ReadingRows rows={body.samples} />;
  return (
    <p className="text-lg">
      <Say it={toldBy(entry)} />
    </p>
  );
}

function ReadingRows({ rows }: { rows: readonly ReadingSample[] }) {
  const words = useWords();
  return (
    <table className="text-left w-full">
      <tbody>
        {rows.map((row, i) => (
          <tr key={i} className="border-b-2 border-rule">
            <td className="py-1">{row.kind === 'hold' ? wording.holdRpm(Math.round(row.rpm)) : row.kind}</td>
            <td className="figure-text text-right">
              {row.dpMbar === undefined ? '–' : words.pressure(row.dpMbar)}
            </td>
            <td className="text-sm text-ink2 text-right">
              {row.count === undefined
                ? wording.readByEye
                : wording.readings(words.pressureFigure(row.dpSdMbar ?? 0), row.count)}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
