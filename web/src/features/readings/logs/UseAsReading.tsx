import * as wording from '@white-ember/core/words/screens/readings';
import * as common from '@white-ember/core/words/screens/common';
import { useState } from 'react';
import { Link } from 'react-router';
import { entriesOfKind, type ReadingBody, type EntryOf } from '@white-ember/core/ledger';
import { LOG_OUTPUTS, type LogOutput } from '@white-ember/core/readings';
import { Button } from '../../../ui/Button.tsx';
import { saveFile } from '../../../ui/saveFile.ts';
import { Notice } from '../../../ui/Notice.tsx';
import type { OpenJob } from '../../../job/useJob.ts';
import { rewritten, type OpenedLog } from './openedLogs.ts';
import { type Logs } from './useLogs.ts';

const SAID: Record<ReadingBody['purpose'], string> = { before: 'before', after: 'after', between: 'between' };

/** The windows that are ticked become the job's before or after; then the verdict is one step away. */
export function UseAsReading({
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
    <section aria-label={wording.useAsAReading} className="grid gap-3">
      <UseAs before={before} busy={busy} usable={usable} use={use} after={after} />
      {busy ? <p role="status">{wording.keepingTheFile}</p> : null}
      {problem ? <Notice title={problem} tone="alarm" /> : null}
      {used.size > 0 ? (
        <Notice
          title={wording.enteredAsTheReadingTheFileIs(
            [...used].map((purpose) => SAID[purpose]).join(wording.andThe),
          )}
        >
          <Link
            to={`/jobs/${open.job.id}?stage=${before && after ? 'prove' : 'baseline'}`}
            className="underline underline-offset-4 font-semibold min-h-11 inline-flex items-center"
          >
            {before && after ? wording.seeTheVerdict : common.backToTheJob}
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
        {wording.useTheseWindowsAsTheBeforeReading}
      </Button>
      <Button
        weight={before && !after ? 'main' : 'plain'}
        disabled={busy || !usable}
        onClick={() => void use('after')}
      >
        {wording.useTheseWindowsAsTheAfterReading}
      </Button>
    </div>
  );
}

const OUTPUTS: Record<LogOutput, string> = { csv: 'CSV', json: 'JSON', parquet: wording.parquet };

/** The log as one tidy table in base units, for other programs. */
export function SaveAs({ log }: { log: OpenedLog }) {
  const save = async (to: LogOutput): Promise<void> => {
    saveFile(await rewritten(log.id, to), `${log.fileName.replace(/\.[^.]*$/, '')}-tidy.${to}`);
  };
  return (
    <p className="flex flex-wrap items-center gap-2">
      <span>{wording.saveAsOneTidyTable}</span>
      {LOG_OUTPUTS.map((to) => (
        <Button key={to} weight="quiet" onClick={() => void save(to)}>
          {OUTPUTS[to]}
        </Button>
      ))}
    </p>
  );
}
