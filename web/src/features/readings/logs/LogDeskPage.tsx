import { useEffect, useState, type ReactNode } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { entriesOfKind, type ReadingBody, type EntryOf } from '@white-ember/core/ledger';
import { LOG_OUTPUTS, type LogOutput } from '@white-ember/core/readings';
import { useSessionQuery } from '../../../data/api.ts';
import { Button } from '../../../ui/Button.tsx';
import { saveFile } from '../../../ui/saveFile.ts';
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
import { openedBefore, rewritten, type OpenedLog, type ReadLog } from './openedLogs.ts';
import { firstColumns, viewAround, type View } from './traceLanes.ts';
import { useLogs, type Logs } from './useLogs.ts';

/** The recorded logs of a job on a desk of their own: what they show, where, and what may be used as a reading. */
export function LogDeskPage() {
  const { jobId = '' } = useParams();
  return (
    <WithJob jobId={jobId} opening="Opening the logs …">
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
        <h1 className="text-2xl">Recorded logs</h1>
        <Link
          to={`/jobs/${job.id}`}
          className="underline underline-offset-4 min-h-11 inline-flex items-center"
        >
          {vehicle.plate}, {vehicle.model}, job {job.number}
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
                    ? 'This log is not open here and not saved with the job. Choose its file again.'
                    : 'Choose a recorded log to see its channels, idles and holds, each sensor and the faults, within a second.'}
                </p>
              ) : chosen.state.status === 'failed' ? (
                <Notice
                  title={`${chosen.fileName}: ${chosen.state.text}. Nothing was kept; choose another file.`}
                  tone="alarm"
                />
              ) : (
                <p className="text-lg">Reading “{chosen.fileName}” …</p>
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
          <h2 className="text-xl mb-1">What it shows</h2>
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
            <p>No column of this log holds a reading.</p>
          )}
          <section className="min-w-0">
            <h2 className="text-xl mb-1">Flow against pressure</h2>
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

const SAID: Record<ReadingBody['purpose'], string> = { before: 'before', after: 'after', between: 'between' };

/** The windows that are ticked become the job's before or after; then the verdict is one step away. */
function UseAsReading({
  open,
  logs,
  log,
  left,
  usable,
}: {
  open: OpenJob;
  logs: Logs;
  log: OpenedLog;
  left: ReadonlySet<number>;
  usable: boolean;
}) {
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string>();
  // By what the job holds: the desk may be set up anew at any time, as when a correction has it judged again.
  const used = new Set(
    entriesOfKind(open.derived.entries, 'reading').flatMap(({ body: { origin, purpose } }) =>
      origin.type === 'log' && origin.logId === log.id ? [purpose] : [],
    ),
  );
  const use = async (purpose: ReadingBody['purpose']): Promise<void> => {
    setBusy(true);
    const wrong = await logs.use(log, purpose, left);
    setBusy(false);
    setProblem(wrong);
  };
  const { before, after } = open.derived;
  return (
    <UseButtons
      before={before}
      busy={busy}
      usable={usable}
      use={use}
      after={after}
      problem={problem}
      used={used}
      open={open}
    />
  );
}

/** As which reading of the job the log is taken. */
function UseButtons({
  before,
  busy,
  usable,
  use,
  after,
  problem,
  used,
  open,
}: {
  before: EntryOf<'reading'> | undefined;
  busy: boolean;
  usable: boolean;
  use: (purpose: ReadingBody['purpose']) => Promise<void>;
  after: EntryOf<'reading'> | undefined;
  problem: string | undefined;
  used: Set<'before' | 'after' | 'between'>;
  open: OpenJob;
}) {
  return (
    <section aria-label="Use as a reading" className="grid gap-3">
      <UseAs before={before} busy={busy} usable={usable} use={use} after={after} />
      {busy ? <p role="status">Keeping the file …</p> : null}
      {problem ? <Notice title={problem} tone="alarm" /> : null}
      {used.size > 0 ? (
        <Notice
          title={`Entered as the ${[...used].map((purpose) => SAID[purpose]).join(' and the ')} reading; the file is kept with the job.`}
        >
          <Link
            to={`/jobs/${open.job.id}?stage=${before && after ? 'prove' : 'baseline'}`}
            className="underline underline-offset-4 font-semibold min-h-11 inline-flex items-center"
          >
            {before && after ? 'See the verdict' : 'Back to the job'}
          </Link>
        </Notice>
      ) : null}
    </section>
  );
}

/** One button for each reading that the job may still take. */
function UseAs({
  before,
  busy,
  usable,
  use,
  after,
}: {
  before: EntryOf<'reading'> | undefined;
  busy: boolean;
  usable: boolean;
  use: (purpose: ReadingBody['purpose']) => Promise<void>;
  after: EntryOf<'reading'> | undefined;
}) {
  return (
    <div className="flex flex-wrap gap-3">
      <Button
        weight={before ? 'plain' : 'main'}
        disabled={busy || !usable}
        onClick={() => void use('before')}
      >
        Use these windows as the before reading
      </Button>
      <Button
        weight={before && !after ? 'main' : 'plain'}
        disabled={busy || !usable}
        onClick={() => void use('after')}
      >
        Use these windows as the after reading
      </Button>
    </div>
  );
}

const OUTPUTS: Record<LogOutput, string> = { csv: 'CSV', json: 'JSON', parquet: 'Parquet' };

/** The log as one tidy table in base units, for other programs. */
function SaveAs({ log }: { log: OpenedLog }) {
  const save = async (to: LogOutput): Promise<void> => {
    saveFile(await rewritten(log.id, to), `${log.fileName.replace(/\.[^.]*$/, '')}-tidy.${to}`);
  };
  return (
    <p className="flex flex-wrap items-center gap-2">
      <span>Save as one tidy table:</span>
      {LOG_OUTPUTS.map((to) => (
        <Button key={to} weight="quiet" onClick={() => void save(to)}>
          {OUTPUTS[to]}
        </Button>
      ))}
    </p>
  );
}
