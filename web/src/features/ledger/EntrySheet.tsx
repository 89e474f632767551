import { sentenceOf } from '@white-ember/core/diagnosis';
import { useState } from 'react';
import type { Job } from '@white-ember/core/contract';
import {
  TREATMENT_LABELS,
  CLOCK_LABELS,
  BURN_END_WORDS,
  DRIVABLE_WORDS,
  FACE_WORDS,
  entryFigure,
  stageOf,
  WORK_LABELS,
  type Stage,
  RESET_LABELS,
} from '@white-ember/core/job';
import type { Entry } from '@white-ember/core/ledger';
import { useAppSelector } from '../../app/store.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { withUnit } from '../../ui/format.ts';
import { Sheet } from '../../ui/Sheet.tsx';
import { outcomeWords } from '../checks/outcomeWords.ts';
import { useAddEntry } from '../job/useAddEntry.ts';

const full = (iso: string): string =>
  new Date(iso).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'medium' });

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
  const stage = entry && canCorrect(entry) ? stageOf(entry) : undefined;
  const log =
    entry?.body.kind === 'reading' && entry.body.origin.type === 'log' ? entry.body.origin : undefined;
  return (
    <Sheet
      open={entry !== undefined}
      onOpenChange={(next) => (next ? undefined : close())}
      title={entry ? entryFigure(entry) : ''}
    >
      {entry ? (
        <div className="grid gap-4">
          <EntryText entry={entry} />
          {log ? (
            <p>
              From the file “{log.fileName}”.{' '}
              <a className="underline underline-offset-4" href={`/api/logs/${log.logId}/raw`} download>
                Download the original file
              </a>
            </p>
          ) : null}
          <dl className="text-sm text-ink2 grid grid-cols-[auto_1fr] gap-x-4">
            <dt>Entered by</dt>
            <dd>{entry.authorName}</dd>
            <dt>Device clock</dt>
            <dd>{full(entry.deviceTime)}</dd>
            <dt>Server clock</dt>
            <dd>{full(entry.serverTime)}</dd>
            <dt>Place in the ledger</dt>
            <dd>{entry.seq}</dd>
          </dl>
          {canWork &&
          entry.body.kind !== 'withdrawn' &&
          !job.entries.some((e) => e.supersedes === entry.id) ? (
            <div className="border-t-2 border-rule pt-4 grid gap-3">
              {stage ? (
                <Button weight="main" onClick={() => onCorrect(entry, stage)}>
                  Correct this entry
                </Button>
              ) : null}
              <Field
                label="Wrong? Give the reason; it stays in the history but no longer counts"
                error={problem}
              >
                <input className="input-box" value={why} onChange={(event) => setWhy(event.target.value)} />
              </Field>
              <Button onClick={() => void withdraw()}>Withdraw this entry</Button>
            </div>
          ) : null}
        </div>
      ) : null}
    </Sheet>
  );
}

/** Entries that a form can take up again; a log is read anew, the rest is withdrawn. */
const canCorrect = ({ body }: Entry): boolean =>
  body.kind === 'reading'
    ? body.origin.type === 'hand' && body.purpose !== 'between'
    : ['complaint', 'code-scan', 'work', 'drive', 'part-state', 'check', 'cause'].includes(body.kind);

function EntryText({ entry }: { entry: Entry }) {
  const pressureUnit = useAppSelector((state) => state.preferences.pressureUnit);
  const { body } = entry;
  switch (body.kind) {
    case 'complaint':
    case 'note':
      return <p className="text-lg">{body.text}</p>;
    case 'work':
      return (
        <p className="text-lg">
          {WORK_LABELS[body.work]}: {body.what}
        </p>
      );
    case 'check':
      return (
        <div className="grid gap-2">
          <p className="text-lg">{body.outcome === undefined ? 'Not decided' : outcomeWords(body.outcome)}</p>
          {body.note ? <p>{body.note}</p> : null}
        </div>
      );
    case 'cause':
      return (
        <p className="text-lg">
          {sentenceOf(body.cause)}: {body.state.replace('-', ' ')}. {body.why}
        </p>
      );
    case 'substitution':
      return (
        <p className="text-lg">
          {body.what}. {body.putBack ? 'Old part refitted.' : 'New part kept.'} {body.note}
        </p>
      );
    case 'part-changed':
      return (
        <p className="text-lg">
          {[body.what, body.when, body.number, body.supplier].filter((text) => text).join(', ')}
        </p>
      );
    case 'temporary-repair':
      return (
        <p className="text-lg">
          {body.what}
          {body.order ? `. On order: ${body.order.name}` : ''}
        </p>
      );
    case 'drivable':
      return (
        <p className="text-lg">
          {DRIVABLE_WORDS[body.verdict]}: {body.why}
        </p>
      );
    case 'treatment-chosen':
      return (
        <p className="text-lg">
          {TREATMENT_LABELS[body.treatment]}
          {body.why ? `: ${body.why}` : ''}
          {body.outstanding && body.outstanding.length > 0
            ? `. Not repaired: ${body.outstanding.map(sentenceOf).join('; ')}`
            : ''}
        </p>
      );
    case 'clock-started':
      return (
        <p className="text-lg">
          {CLOCK_LABELS[body.clock]}, {body.minutes} min: {body.what}
          {body.next ? `. Next: ${body.next}` : ''}
        </p>
      );
    case 'clock-ended':
      return <p className="text-lg">Ended{body.why ? `: ${body.why}` : ''}</p>;
    case 'settled':
      return <p className="text-lg">{body.how}</p>;
    case 'reset':
      return (
        <p className="text-lg">
          {RESET_LABELS[body.reset]}, {body.source === 'live' ? 'by the scan link' : 'by another tool'}.{' '}
          {body.answer} {body.why}
        </p>
      );
    case 'made-ready':
      return (
        <p className="text-lg">
          {TREATMENT_LABELS[body.treatment]}: {Object.keys(body.answers).length} answers
          {body.helper ? `, with ${body.helper}` : ''}
          {body.site ? `, ${body.site}` : ''}
        </p>
      );
    case 'burn-reading':
    case 'part-back':
    case 'fastener-signed':
      return <p className="text-lg">{entryFigure(entry)}</p>;
    case 'burn-ended':
      return (
        <p className="text-lg">
          The burn {BURN_END_WORDS[body.how]} after {body.minutes.toFixed(0)} min. {body.why}
        </p>
      );
    case 'part-off':
      return (
        <p className="text-lg">
          {body.what}
          {body.torqueNm === undefined ? '' : `, ${body.torqueNm} N·m`}. {body.note}
        </p>
      );
    case 'part-broke':
      return (
        <p className="text-lg">
          {body.what}
          {body.order ? `. On order: ${body.order.name}` : ''}
        </p>
      );
    case 'filter-off':
      return (
        <p className="text-lg">
          {body.massKg === undefined ? '' : `${body.massKg} kg, ${body.dry ? 'dry' : 'not dry'}. `}
          {body.inlet ? `Inlet ${FACE_WORDS[body.inlet]}. ` : ''}
          {body.outlet ? `Outlet ${FACE_WORDS[body.outlet]}. ` : ''}
          {body.note}
        </p>
      );
    case 'choice-offered':
      return (
        <p className="text-lg">
          {body.question}{' '}
          {body.options.map(({ what, price }) => `${what} ${price.toFixed(2)} ${body.currency}`).join('; ')}
        </p>
      );
    case 'choice-made':
      return (
        <p className="text-lg">
          Option {body.option}, approved by {body.by}
        </p>
      );
    case 'follow-up':
      return (
        <p className="text-lg">
          {body.what}
          {body.due ? `, by ${body.due}` : ''}
          {body.dueKm === undefined ? '' : `, at ${body.dueKm} km`}
        </p>
      );
    case 'follow-up-done':
      return <p className="text-lg">{body.how ?? 'Done'}</p>;
    case 'family-note':
      return <p className="text-lg">{body.text}</p>;
    case 'photo':
      return <img src={`/api/photos/${body.photo}`} alt={body.caption ?? 'Photo'} className="max-h-96" />;
    case 'part-state':
    case 'withdrawn':
      return <p className="text-lg">{body.why}</p>;
    case 'code-scan':
      return <p className="text-lg">{body.codes.map((code) => code.code).join(', ') || 'No codes'}</p>;
    case 'drive':
      return (
        <p className="text-lg">
          {body.distanceKm} km, {body.powerLimitGone ? 'full power' : 'power still limited'}, by the{' '}
          {body.reportedBy}. {body.note}
        </p>
      );
    case 'sign-off':
      return <p className="text-lg">{body.remains ?? 'Nothing remains.'}</p>;
    case 'caution-acknowledged':
      return <p className="text-lg">Caution read: {body.caution}</p>;
    case 'reading':
      return (
        <table className="text-left w-full">
          <tbody>
            {body.samples.map((sample, i) => (
              <tr key={i} className="border-b-2 border-rule">
                <td className="py-1">
                  {sample.kind === 'hold' ? `hold, ${Math.round(sample.rpm)} rpm` : sample.kind}
                </td>
                <td className="figure-text text-right">
                  {sample.dpMbar === undefined ? '–' : withUnit(sample.dpMbar, pressureUnit)}
                </td>
                <td className="text-sm text-ink2 text-right">
                  {sample.count === undefined
                    ? 'read by eye'
                    : `± ${(sample.dpSdMbar ?? 0).toFixed(1)}, ${sample.count} readings`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      );
  }
}
