import * as wording from '@white-ember/core/words/screens/readings';
import * as common from '@white-ember/core/words/screens/common';
import { useEffect, useState, type ReactNode } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { useSessionQuery } from '../../../data/api.ts';
import { Notice } from '../../../ui/Notice.tsx';
import type { OpenJob } from '../../../job/useJob.ts';
import { WithJob } from '../../../job/WithJob.tsx';
import { LogCloud } from './LogCloud.tsx';
import { LogDropZone } from './LogDropZone.tsx';
import { LogFindings } from './LogFindings.tsx';
import { LogList } from './LogList.tsx';
import { LogMapping } from './LogMapping.tsx';
import { LogTraces } from './LogTraces.tsx';
import { LogWarmUp } from './LogWarmUp.tsx';
import { LogWarnings } from './LogWarnings.tsx';
import { leftAtFirst, LogWindows } from './LogWindows.tsx';
import { openedBefore, type OpenedLog, type ReadLog } from './openedLogs.ts';
import { firstColumns, viewAround, type View } from './traceLanes.ts';
import { useLogs, type Logs } from './useLogs.ts';
import { UseAsReading, SaveAs } from './UseAsReading.tsx';

/** The recorded logs of a job on a desk of their own: what they show, where, and what may be used as a reading. */
export function LogDeskPage() {
  const { jobId = '' } = useParams();
  return (
    <WithJob jobId={jobId} opening={wording.openingTheLogs}>
      {(open) => <LogDesk open={open} />}
    </WithJob>
  );
}

function LogDesk({ open }: { open: OpenJob }) {
  const { job, vehicle, derived } = open;
  const [params, setParams] = useSearchParams();
  const logs = useLogs(open);
  const role = useSessionQuery().data?.member?.role;
  const canEnter = role !== 'viewer' && !derived.signedOff;
  const asked = params.get('log') ?? undefined;
  const keptAsked = job.logs.find(({ id }) => id === asked);
  const isOpen = logs.opened.some(({ id }) => id === asked);
  const { openStored } = logs;
  useEffect(() => {
    if (keptAsked && !isOpen) openStored(keptAsked);
    // oxlint-disable-next-line react-hooks/exhaustive-deps -- an address that names a kept log opens it once
  }, [keptAsked?.id, isOpen]);
  const chosen =
    logs.opened.find(({ id }) => id === asked) ??
    (asked === undefined ? openedBefore(logs.opened) : undefined);
  const choose = (id: string): void => setParams({ log: id });
  const side = (
    <>
      <LogDropZone
        tight={logs.opened.length + job.logs.length > 0}
        onFiles={(files) => {
          const first = logs.open(files);
          if (first) choose(first);
        }}
      />
      <LogList
        opened={logs.opened}
        kept={job.logs}
        chosen={chosen?.id}
        onChoose={choose}
        onClosed={(id) => id === asked && setParams({})}
      />
    </>
  );
  return (
    <main className="p-3 sm:p-4 grid gap-3 min-w-0">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h1 className="text-2xl">{wording.recordedLogs}</h1>
        <Link
          to={`/jobs/${job.id}`}
          className="underline underline-offset-4 min-h-11 inline-flex items-center"
        >
          {common.job(vehicle.plate, vehicle.model, job.number)}
        </Link>
      </div>
      <div className="grid gap-x-5 gap-y-4 lg:grid-cols-[19rem_minmax(0,1fr)] min-w-0">
        {chosen?.state.status === 'ready' ? (
          <ReadLogDesk
            key={chosen.id}
            open={open}
            logs={logs}
            log={chosen}
            read={chosen.state.read}
            canEnter={canEnter}
            side={side}
          />
        ) : (
          <>
            <div className="grid gap-3 content-start min-w-0">{side}</div>
            <div className="min-w-0">
              {chosen === undefined ? (
                <p className="text-lg max-w-prose">
                  {asked !== undefined && !keptAsked
                    ? wording.thisLogIsNotOpenHereAnd
                    : wording.chooseARecordedLogToSeeIts}
                </p>
              ) : chosen.state.status === 'failed' ? (
                <Notice
                  title={wording.nothingWasKeptChooseAnotherFileFile(chosen.fileName, chosen.state.text)}
                  tone="alarm"
                />
              ) : (
                <p className="text-lg">{wording.reading(chosen.fileName)}</p>
              )}
            </div>
          </>
        )}
      </div>
    </main>
  );
}

const numberOf = (text: string | null): number => (text === null || text === '' ? Number.NaN : Number(text));

function ReadLogDesk({
  open,
  logs,
  log,
  read,
  canEnter,
  side,
}: {
  open: OpenJob;
  logs: Logs;
  log: OpenedLog;
  read: ReadLog;
  canEnter: boolean;
  /** The drop zone and the list of logs. */
  side: ReactNode;
}) {
  const [params, setParams] = useSearchParams();
  const [left, setLeft] = useState<ReadonlySet<number>>(() => leftAtFirst(read.samples));
  const [picked, setPicked] = useState<readonly string[]>(() => firstColumns(read.columns));
  const { analysis, samples } = read;
  const { durationS } = analysis;
  const [from, to] = [numberOf(params.get('from')), numberOf(params.get('to'))];
  const [view, setViewState] = useState<View>(() =>
    from >= 0 && to > from && from < durationS
      ? { fromS: from, toS: Math.min(to, durationS) }
      : { fromS: 0, toS: durationS },
  );
  const chosenFinding = params.get('finding') === null ? undefined : numberOf(params.get('finding')) - 1;
  const setView = (next: View, finding = chosenFinding): void => {
    setViewState(next);
    const whole = next.fromS <= 0 && next.toS >= durationS;
    setParams(
      {
        log: log.id,
        ...(whole ? {} : { from: next.fromS.toFixed(1), to: next.toS.toFixed(1) }),
        ...(finding === undefined ? {} : { finding: String(finding + 1) }),
      },
      { replace: true },
    );
  };
  const jumpTo = (index: number): void => {
    const finding = analysis.findings[index];
    if (!finding) return;
    const column = read.columns.find(({ role }) => role !== undefined && role === finding.channel);
    if (column && !picked.includes(column.name)) setPicked([...picked, column.name]);
    const { startS, endS } = finding;
    const where =
      startS === undefined || endS === undefined
        ? { fromS: 0, toS: durationS }
        : viewAround(startS, endS, durationS);
    setView(where, index);
  };
  return (
    <>
      <div className="grid gap-4 content-start min-w-0">
        {side}
        <section>
          <h2 className="text-xl mb-1">{common.whatItShows}</h2>
          <LogFindings analysis={analysis} chosen={chosenFinding} onChoose={jumpTo} />
        </section>
      </div>
      <div className="grid gap-5 content-start min-w-0">
        <div className="grid gap-4 xl:grid-cols-[minmax(0,1fr)_20rem] min-w-0 content-start">
          {read.columns.length > 0 ? (
            <LogTraces
              logId={log.id}
              columns={read.columns}
              picked={picked}
              onPicked={setPicked}
              view={view}
              onView={setView}
              durationS={durationS}
              windows={analysis.windows}
              findings={analysis.findings}
              chosenFinding={chosenFinding}
            />
          ) : (
            <p>{wording.noColumnOfThisLogHoldsA}</p>
          )}
          <section className="min-w-0">
            <h2 className="text-xl mb-1">{wording.flowAgainstPressure}</h2>
            <LogCloud open={open} logId={log.id} parts={read} left={left} />
          </section>
        </div>
        <LogWarmUp open={open} logId={log.id} />
        <LogWindows
          windows={analysis.windows}
          samples={samples}
          left={left}
          onLeft={setLeft}
          onShow={(startS, endS) => setView(viewAround(startS, endS, durationS), undefined)}
        />
        {canEnter ? (
          <UseAsReading open={open} logs={logs} log={log} left={left} usable={samples.length > left.size} />
        ) : null}
        <LogMapping
          key={log.id}
          analysis={analysis}
          corrections={log.corrections}
          onCorrect={(column, role) => logs.correct(log, column, role)}
        />
        <LogWarnings analysis={analysis} />
        <SaveAs log={log} />
      </div>
    </>
  );
}
