import * as wording from '@white-ember/core/words/screens/readings';
import * as common from '@white-ember/core/words/screens/common';
import { useState } from 'react';
import { Link } from 'react-router';
import type { ReadingBody } from '@white-ember/core/ledger';
import { Button } from '../../ui/Button.tsx';
import { Notice } from '../../ui/Notice.tsx';
import type { OpenJob } from '../../job/useJob.ts';
import { LogDropZone } from './logs/LogDropZone.tsx';
import { LogFindings } from './logs/LogFindings.tsx';
import { LogList } from './logs/LogList.tsx';
import { LogMapping } from './logs/LogMapping.tsx';
import { LogWarnings } from './logs/LogWarnings.tsx';
import { leftAtFirst, LogWindows } from './logs/LogWindows.tsx';
import { openedBefore, type OpenedLog } from './logs/openedLogs.ts';
import { useLogs, type Logs } from './logs/useLogs.ts';

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
  const logs = useLogs(open);
  const [chosenId, setChosen] = useState<string>();
  const chosen = logs.opened.find(({ id }) => id === chosenId) ?? openedBefore(logs.opened);
  const choose = (id: string): void => {
    const kept = open.job.logs.find((log) => log.id === id);
    if (kept && !logs.opened.some((log) => log.id === id)) logs.openStored(kept);
    setChosen(id);
  };
  return (
    <div className="grid gap-5">
      <LogDropZone
        onFiles={(files) => {
          const first = logs.open(files);
          if (first) setChosen(first);
        }}
      />
      <LogList opened={logs.opened} kept={open.job.logs} chosen={chosen?.id} onChoose={choose} />
      {chosen?.state.status === 'failed' ? (
        <Notice title={wording.nothingWasKeptChooseAnotherFile(chosen.state.text)} tone="alarm" />
      ) : null}
      {chosen?.state.status === 'ready' ? (
        <ChosenLog
          key={chosen.id}
          log={chosen}
          logs={logs}
          purpose={purpose}
          onDone={onDone}
          jobId={open.job.id}
        />
      ) : null}
    </div>
  );
}

function ChosenLog({
  log,
  logs,
  purpose,
  onDone,
  jobId,
}: {
  log: OpenedLog;
  logs: Logs;
  purpose: ReadingBody['purpose'];
  onDone: () => void;
  jobId: string;
}) {
  const [left, setLeft] = useState<ReadonlySet<number>>(() =>
    leftAtFirst(log.state.status === 'ready' ? log.state.read.samples : []),
  );
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string>();
  if (log.state.status !== 'ready') return null;
  const { read } = log.state;
  const use = async (): Promise<void> => {
    setBusy(true);
    const wrong = await logs.use(log, purpose, left);
    setBusy(false);
    setProblem(wrong);
    if (wrong === undefined) onDone();
  };
  return (
    <>
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h3 className="text-xl">
          {wording.sChannels(
            log.fileName,
            Math.round(read.analysis.durationS),
            read.analysis.channels.length,
          )}
        </h3>
        <Link
          to={`/jobs/${jobId}/logs?log=${log.id}`}
          className="underline underline-offset-4 font-head font-semibold min-h-11 inline-flex items-center"
        >
          {wording.seeItsTraces}
        </Link>
      </div>
      <section>
        <h4 className="text-lg mb-1">{common.whatItShows}</h4>
        <LogFindings analysis={read.analysis} />
      </section>
      <LogWindows windows={read.analysis.windows} samples={read.samples} left={left} onLeft={setLeft} />
      <LogMapping
        key={log.id}
        analysis={read.analysis}
        corrections={log.corrections}
        onCorrect={(column, role) => logs.correct(log, column, role)}
      />
      <LogWarnings analysis={read.analysis} />
      {problem ? <Notice title={problem} tone="alarm" /> : null}
      <Button weight="main" onClick={() => void use()} disabled={busy || read.samples.length === left.size}>
        {busy ? wording.keepingTheFile : wording.useAsTheReading(purpose)}
      </Button>
      {read.samples.length === 0 ? <p>{wording.noSteadyIdleOrHoldWithFilter}</p> : null}
    </>
  );
}
