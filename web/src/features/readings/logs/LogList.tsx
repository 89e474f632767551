import * as wording from '@white-ember/core/words/screens/readings';
import * as common from '@white-ember/core/words/screens/common';
import { fixed } from '../../../ui/format.ts';
import { X } from 'lucide-react';
import { useReadLogAgainMutation } from '../../../data/api.ts';
import { Button } from '../../../ui/Button.tsx';
import { closeLog, type KeptLog, type OpenedLog } from './openedLogs.ts';

const MEGABYTE = 1024 * 1024;
const sizeText = (bytes: number): string =>
  bytes < MEGABYTE ? wording.kb(Math.ceil(bytes / 1024)) : wording.mb(fixed(bytes / MEGABYTE, 1));

/** Logs that are open, with what is read so far, and those that the job keeps. */
export function LogList({
  opened,
  kept,
  chosen,
  onChoose,
  onClosed,
}: {
  opened: readonly OpenedLog[];
  kept: readonly KeptLog[];
  chosen: string | undefined;
  onChoose: (id: string) => void;
  onClosed?: (id: string) => void;
}) {
  const known = new Set(opened.map(({ id }) => id));
  const stored = kept.filter(({ id }) => !known.has(id));
  if (opened.length + stored.length === 0) return null;
  return (
    <ul aria-label={wording.logs} className="grid gap-1">
      {opened.map((log) => (
        <OpenedRow key={log.id} log={log} chosen={chosen} onChoose={onChoose} onClosed={onClosed} />
      ))}
      {stored.map((log) => (
        <KeptRow key={log.id} log={log} onChoose={onChoose} />
      ))}
    </ul>
  );
}

/** A log of the job that can be read again. */
function KeptRow({ log, onChoose }: { log: KeptLog; onChoose: (id: string) => void }) {
  return (
    <li>
      {log.unreadable === undefined ? (
        <Button
          weight="quiet"
          className="w-full text-left px-3 no-underline border-rule!"
          onClick={() => onChoose(log.id)}
        >
          <span className="block truncate">{log.fileName}</span>
          <span className="block text-sm font-text font-normal text-ink2">
            {wording.keptWithTheJob(sizeText(log.sizeBytes))}
          </span>
        </Button>
      ) : (
        <Unreadable log={log} why={log.unreadable} />
      )}
    </li>
  );
}

/** A log that is read here. */
function OpenedRow({
  log,
  chosen,
  onChoose,
  onClosed,
}: {
  log: OpenedLog;
  chosen: string | undefined;
  onChoose: (id: string) => void;
  onClosed: ((id: string) => void) | undefined;
}) {
  return (
    <li className={`border-2 flex items-stretch ${log.id === chosen ? 'border-ink bg-card' : 'border-rule'}`}>
      <button
        type="button"
        className="grow min-w-0 text-left px-3 py-1.5 min-h-12"
        aria-current={log.id === chosen}
        onClick={() => onChoose(log.id)}
      >
        <span className="block font-head font-semibold truncate">{log.fileName}</span>
        <State log={log} />
      </button>
      <button
        type="button"
        className="min-w-11 grid place-items-center border-l-2 border-rule"
        onClick={() => {
          closeLog(log.id);
          onClosed?.(log.id);
        }}
        aria-label={`${log.state.status === 'reading' ? wording.stopReading : wording.putAway} ${log.fileName}`}
      >
        <X aria-hidden size={20} />
      </button>
    </li>
  );
}

/** A kept file that could not be read: why, and once more when somebody asks for it. */
function Unreadable({ log, why }: { log: KeptLog; why: string }) {
  const [again, { isLoading }] = useReadLogAgainMutation();
  return (
    <div className="border-2 border-rule px-3 py-2 flex flex-wrap items-center gap-x-3 gap-y-2">
      <span className="grow min-w-0">
        <span className="block font-head font-semibold truncate">{log.fileName}</span>
        <span className="block text-sm text-ember-text">{wording.couldNotBeRead(why)}</span>
      </span>
      <Button
        disabled={isLoading}
        onClick={() => void again({ logId: log.id, jobId: log.jobId })}
        aria-label={wording.readAgain(log.fileName)}
      >
        {isLoading ? wording.readingTitle : wording.readAgainTitle}
      </Button>
    </div>
  );
}

function State({ log: { state, sizeBytes, kept } }: { log: OpenedLog }) {
  if (state.status === 'failed')
    return <span className="block text-sm text-ember-text">{common.notRead}</span>;
  if (state.status === 'ready') {
    const { durationS, channels } = state.read.analysis;
    return (
      <span className="block text-sm text-ink2">
        {wording.sChannelsWithDurationS(
          Math.round(durationS),
          channels.length,
          kept ? wording.keptWithTheJobWithin : '',
        )}
      </span>
    );
  }
  const left = state.leftS === undefined ? '' : common.sLeft(state.leftS);
  return (
    <span className="block">
      <progress
        className="w-full h-2 accent-[var(--ember)]"
        value={state.share}
        max={1}
        aria-label={wording.readSoFar}
      />
      <span className="block text-sm text-ink2" role="status">
        {wording.readingWithSizeBytes(sizeText(sizeBytes), Math.round(100 * state.share), left)}
      </span>
    </span>
  );
}
