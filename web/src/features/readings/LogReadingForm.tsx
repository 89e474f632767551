import { useRef, useState, type DragEvent } from 'react';
import { v7 as uuidv7 } from 'uuid';
import type { ReadingBody } from '@white-ember/core/ledger';
import { readingFromLog } from '@white-ember/core/readings';
import { problemOf, useSessionQuery, useUploadLogMutation } from '../../app/api.ts';
import { useAppSelector } from '../../app/store.ts';
import { Button } from '../../ui/Button.tsx';
import { Notice } from '../../ui/Notice.tsx';
import type { LogAnswer } from '../../workers/logWorker.ts';
import { readLogFile } from '../../workers/readLogFile.ts';
import { useAddEntry } from '../job/useAddEntry.ts';
import type { OpenJob } from '../job/useJob.ts';
import { LogMapping } from './LogMapping.tsx';
import { LogWindows } from './LogWindows.tsx';

type ReadLog = Extract<LogAnswer, { ok: true }>;

/** A recorded file: read here, its columns shown and correctable, its steady windows chosen, kept byte for byte. */
export function LogReadingForm({
  open,
  purpose,
  onDone,
}: {
  open: OpenJob;
  purpose: ReadingBody['purpose'];
  onDone: () => void;
}) {
  const { job, vehicle, limits } = open;
  const pressureUnit = useAppSelector((state) => state.preferences.pressureUnit);
  const [file, setFile] = useState<File>();
  const [read, setRead] = useState<ReadLog>();
  const [corrections, setCorrections] = useState<Record<string, string>>({});
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const [busy, setBusy] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const maxBytes = useSessionQuery().data?.maxUploadBytes ?? Number.POSITIVE_INFINITY;
  const logId = useRef(uuidv7());
  const input = useRef<HTMLInputElement>(null);
  const [upload] = useUploadLogMutation();
  const addEntry = useAddEntry(job.id);

  const readIt = async (chosen: File, fixed: Record<string, string>): Promise<void> => {
    setBusy(`Reading “${chosen.name}” …`);
    setProblem(undefined);
    const answer = await readLogFile(chosen, {
      limits,
      corrections: fixed,
      pressureUnit,
      ...(vehicle.filter === undefined ? {} : { geometry: vehicle.filter }),
      ...(vehicle.displacementL === undefined ? {} : { displacementL: vehicle.displacementL }),
    }).catch((error: unknown): LogAnswer => ({
      ok: false,
      text: `The file could not be read: ${(error as Error).message}`,
    }));
    setBusy(undefined);
    if (!answer.ok) {
      setRead(undefined);
      setProblem(`${answer.text}. Nothing was kept; choose another file.`);
      return;
    }
    setRead(answer);
    setLeft(new Set());
  };
  const choose = (chosen: File | undefined): void => {
    if (!chosen) return;
    logId.current = uuidv7();
    setRead(undefined);
    if (chosen.size > maxBytes) {
      setProblem(
        `“${chosen.name}” is larger than the ${Math.round(maxBytes / 1024 / 1024)} MB that this installation takes. Nothing was kept.`,
      );
      return;
    }
    setFile(chosen);
    setCorrections({});
    void readIt(chosen, {});
  };
  const correct = (column: string, role: string): void => {
    const next = { ...corrections, [column]: role };
    setCorrections(next);
    if (file) void readIt(file, next);
  };
  const use = async (): Promise<void> => {
    if (!file || !read) return;
    setBusy('Keeping the file …');
    setProblem(undefined);
    const kept = await upload({ jobId: job.id, id: logId.current, file });
    setBusy(undefined);
    if (!kept.data) {
      const { title, detail } = problemOf(kept.error);
      setProblem(`${title}. ${detail ?? ''} The file is still chosen here: try again.`);
      return;
    }
    const wrong = await addEntry(
      readingFromLog(read, { purpose, logId: logId.current, fileName: file.name, leftOut: left }),
    );
    if (wrong) setProblem(Object.values(wrong)[0]);
    else onDone();
  };

  return (
    <div className="grid gap-5">
      <DropZone onFile={choose} onAsk={() => input.current?.click()} busy={busy !== undefined} />
      <input
        ref={input}
        type="file"
        className="sr-only"
        tabIndex={-1}
        aria-label="Recorded log file"
        onChange={(event) => {
          choose(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
      <p role="status" className={busy ? 'font-bold' : 'sr-only'}>
        {busy ?? ''}
      </p>
      {problem ? <Notice title={problem} tone="alarm" /> : null}
      {file && read ? (
        <>
          <h3 className="text-xl">
            {file.name}: {Math.round(read.analysis.durationS)} s, {read.analysis.channels.length} channels
          </h3>
          {read.analysis.findings.length > 0 ? (
            <section>
              <h4 className="text-lg mb-1">What it shows</h4>
              <ul className="grid gap-1.5">
                {read.analysis.findings.map((finding, i) => (
                  <li key={i} className="border-l-8 border-ink pl-3">
                    {finding.text}
                    <span className="text-sm text-ink2"> · {finding.level}</span>
                  </li>
                ))}
              </ul>
            </section>
          ) : (
            <p>No fault seen by the tests that this file allows.</p>
          )}
          <LogWindows
            windows={read.analysis.windows}
            samples={read.samples}
            left={left}
            onToggle={(i) =>
              setLeft((old) => (old.has(i) ? new Set([...old].filter((x) => x !== i)) : new Set([...old, i])))
            }
          />
          <LogMapping analysis={read.analysis} corrections={corrections} onCorrect={correct} />
          {read.analysis.warnings.length > 0 ? (
            <section>
              <h4 className="text-lg mb-1">Noted while reading</h4>
              <ul className="text-[15px] list-disc pl-5">
                {read.analysis.warnings.map((warning, i) => (
                  <li key={i}>
                    {warning.text}
                    {warning.row === undefined ? '' : ` First in line ${warning.row}.`}
                  </li>
                ))}
              </ul>
            </section>
          ) : null}
          <Button
            weight="main"
            onClick={() => void use()}
            disabled={busy !== undefined || read.samples.length === left.size}
          >
            Use as the {purpose} reading
          </Button>
          {read.samples.length === 0 ? (
            <p>
              No steady idle or hold with a filter pressure was found. Correct the columns above, or record a
              hold of at least 5 s.
            </p>
          ) : null}
        </>
      ) : null}
    </div>
  );
}

function DropZone({
  onFile,
  onAsk,
  busy,
}: {
  onFile: (file: File | undefined) => void;
  onAsk: () => void;
  busy: boolean;
}) {
  const [over, setOver] = useState(false);
  const drop = (event: DragEvent): void => {
    event.preventDefault();
    setOver(false);
    onFile(event.dataTransfer.files[0]);
  };
  return (
    <div
      className={`border-2 border-dashed border-ink p-5 flex flex-wrap items-center gap-4 ${over ? 'bg-card' : ''}`}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
    >
      <Button onClick={onAsk} disabled={busy}>
        Choose a recorded log
      </Button>
      <p className="text-ink2 grow basis-52">
        or drop it here: CSV or text with one column a channel, any units, comma or point.
      </p>
    </div>
  );
}
