import { flowPicture } from '@white-ember/core/proof';
import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import {
  clockOutcome,
  DRIVABLE_WORDS,
  stageOf,
  wasFound,
  WORK_LABELS,
  entryFigure,
} from '@white-ember/core/job';
import {
  entriesOfKind,
  happenedAt,
  type Entry,
  PART_LABELS,
  PART_STATE_WORDS,
} from '@white-ember/core/ledger';
import { LIMIT_DEFINITIONS, type LimitId } from '@white-ember/core/limits';
import { useSessionQuery } from '../../app/api.ts';
import { EmberMark } from '../../app/Header.tsx';
import { TreatmentLines } from './TreatmentLines.tsx';
import { Button } from '../../ui/Button.tsx';
import { spacedNumber } from '../../ui/format.ts';
import { StateMark } from '../../ui/StateMark.tsx';
import { sentenceOf } from '../diagnosis/words.ts';
import { vehicleFacts, type OpenJob } from '../job/useJob.ts';
import { WithJob } from '../job/WithJob.tsx';
import { CompareTable } from '../proof/CompareTable.tsx';
import { FlowChart } from '../proof/FlowChart.tsx';
import { verdictLine } from '../proof/Verdict.tsx';

/** What the customer and the next technician take away: two A4 pages, findings before figures, limits beside both. */
export function ReportPage() {
  const { jobId = '' } = useParams();
  return (
    <WithJob jobId={jobId} opening="Opening the report …">
      {(open) => <Report open={open} />}
    </WithJob>
  );
}

const date = (iso: string): string =>
  new Date(iso).toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' });
const time = (entry: Entry): string =>
  new Date(happenedAt(entry)).toLocaleString('en-GB', {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  });

const USED_LIMITS: readonly LimitId[] = [
  'removedProvedPercent',
  'restrictionGoodRatio',
  'dpIdleGoodMbar',
  'dp2500GoodMbar',
  'dp3000GoodMbar',
  'sootAfterCleanG',
];

function Report({ open }: { open: OpenJob }) {
  const { job, vehicle, derived, limits } = open;
  const session = useSessionQuery();
  const picture = useMemo(
    () => flowPicture(derived, { limits, ...vehicleFacts(vehicle) }),
    [derived, limits, vehicle],
  );
  const complaints = entriesOfKind(derived.entries, 'complaint');
  const works = entriesOfKind(derived.entries, 'work');
  const scans = entriesOfKind(derived.entries, 'code-scan');
  const distance = complaints.at(-1)?.body.distanceKm;
  const history = derived.entries.filter(
    (entry) => stageOf(entry) !== undefined || entry.body.kind === 'note',
  );
  return (
    <main className="bg-card text-ink max-w-[210mm] w-full mx-auto p-5 sm:p-8 print:p-0 grid gap-5 print:gap-3.5">
      <div className="no-print flex gap-3 flex-wrap">
        <Button weight="main" onClick={() => window.print()}>
          Print
        </Button>
        <Link
          to={`/jobs/${job.id}`}
          className="font-head font-semibold min-h-14 px-4 border-2 border-ink rounded-sm inline-flex items-center"
        >
          Back to the job
        </Link>
      </div>
      <header className="flex justify-between gap-6 border-b-4 border-ink pb-2">
        <div>
          <p className="font-head font-semibold flex items-center gap-2">
            <EmberMark /> {session.data?.workshop?.name}
          </p>
          <h1 className="text-3xl mt-2">
            {vehicle.plate}, {vehicle.model}
          </h1>
        </div>
        <p className="text-right text-sm">
          Job {job.number}
          <br />
          {date(job.openedAt)}
          <br />
          {distance === undefined ? '' : `${spacedNumber(distance)} km`}
          <br />
          {vehicle.customer?.name}
        </p>
      </header>

      <section>
        <h2 className="text-2xl leading-tight">{derived.headline}</h2>
        <p className="text-ink2">{verdictLine(derived)}</p>
        {derived.proof ? (
          <ul className="mt-2 grid gap-1">
            {[...derived.proof.missing.map((s) => `Missing: ${s}`), ...derived.proof.reasons].map(
              (sentence) => (
                <li key={sentence}>{sentence}</li>
              ),
            )}
          </ul>
        ) : null}
      </section>

      {picture ? (
        <section className="break-inside-avoid">
          <h2 className="text-lg">Pressure drop against exhaust flow</h2>
          <FlowChart picture={picture} still className="h-[86mm]" />
        </section>
      ) : null}

      <div className="grid sm:grid-cols-2 print:grid-cols-2 gap-6 break-inside-avoid">
        <CompareTable derived={derived} limits={limits} />
        <section>
          <h2 className="text-lg mb-1">Shown, and still to show</h2>
          <ul className="grid gap-1">
            {derived.evidence.map((item) => (
              <li key={item.id} className="flex gap-2">
                <StateMark
                  state={
                    item.state === 'shown' ? 'sound' : item.state === 'failed' ? 'failed' : 'not-looked-at'
                  }
                  size={17}
                />
                <span>
                  {item.text}
                  {item.state === 'open' ? ' (still to show)' : item.state === 'failed' ? ' (not so)' : ''}
                </span>
              </li>
            ))}
          </ul>
        </section>
      </div>

      <div className="grid sm:grid-cols-2 print:grid-cols-2 gap-6">
        <section className="break-inside-avoid">
          <h2 className="text-lg mb-1">Why it came, what was done</h2>
          {complaints
            .filter(({ body }) => body.text !== '')
            .map((entry) => (
              <p key={entry.id}>“{entry.body.text}”</p>
            ))}
          {derived.causes.filter(wasFound).map(({ cause, state, why }) => (
            <p key={cause}>
              <b>
                Cause{state === 'put-right' ? ', put right' : ''}: {sentenceOf(cause)}.
              </b>{' '}
              {why}
            </p>
          ))}
          <ul className="mt-1 grid gap-1">
            {works.map((entry) => (
              <li key={entry.id}>
                <b>{WORK_LABELS[entry.body.work]}.</b> {entry.body.what}
                {entry.body.fluid
                  ? ` (${entry.body.fluid}${entry.body.fluidL === undefined ? '' : `, ${entry.body.fluidL} L`})`
                  : ''}
              </li>
            ))}
          </ul>
          <TreatmentLines open={open} />
          {derived.clocks.map((clock) => {
            const outcome = clockOutcome(clock, limits);
            return outcome && outcome.state !== 'on-time' ? <p key={clock.entryId}>{outcome.text}.</p> : null;
          })}
          {scans.length > 0 ? (
            <p className="mt-1">
              Codes:{' '}
              {scans
                .map(
                  (s) =>
                    `${s.body.when === 'before' ? 'before' : 'after'} ${s.body.codes.map((c) => c.code).join(', ') || 'none'}`,
                )
                .join('; ')}
            </p>
          ) : null}
        </section>
        <section className="break-inside-avoid">
          <h2 className="text-lg mb-1">Parts looked at</h2>
          <ul className="grid gap-1">
            {[...derived.parts].map(([part, status]) => (
              <li key={part} className="flex gap-2">
                <StateMark state={status.state} size={17} />
                <span>
                  <b>{PART_LABELS[part]}</b>, {PART_STATE_WORDS[status.state]}
                  {status.why === '' ? '' : `: ${status.why}`}
                </span>
              </li>
            ))}
          </ul>
          {derived.parts.size === 0 ? <p>None on record.</p> : null}
        </section>
      </div>

      <section className="break-inside-avoid">
        <h2 className="text-lg mb-1">What remains</h2>
        <p>{derived.signedOff?.body.remains ?? 'Nothing was noted.'}</p>
        {derived.drivable ? (
          <p>
            <b>{DRIVABLE_WORDS[derived.drivable.body.verdict]}</b>: {derived.drivable.body.why}
            {derived.drivable.body.limits ? `. ${derived.drivable.body.limits}` : ''}
          </p>
        ) : null}
        {derived.open.map(({ entry, text, waitsFor, due }) => (
          <p key={entry.id}>
            <b>Open</b>: {text}
            {waitsFor ? `; on order: ${waitsFor}${due ? `, due ${due}` : ''}` : ''}
          </p>
        ))}
        <p className="text-sm text-ink2 mt-1">
          A lamp that is off and a counter at zero prove nothing by themselves. If the lamp comes back, do not
          go on driving under load: the filter can overheat. Removing or gutting a filter is illegal in most
          places.
        </p>
      </section>

      <section className="break-inside-avoid">
        <h2 className="text-lg mb-1">On record</h2>
        <ol className="text-sm columns-2 gap-6">
          {history.map((entry) => (
            <li key={entry.id} className="break-inside-avoid">
              {time(entry)} · {entryFigure(entry)} · {entry.authorName}
            </li>
          ))}
        </ol>
      </section>

      <section className="break-inside-avoid text-sm">
        <h2 className="text-lg mb-1">Limits used</h2>
        <p>
          {job.limitsProfile
            ? `Profile ${job.limitsProfile.family ?? 'general'}, version ${job.limitsProfile.version}.`
            : 'Starting values.'}{' '}
          {USED_LIMITS.map(
            (id) => `${LIMIT_DEFINITIONS[id].label} ${limits[id]} ${LIMIT_DEFINITIONS[id].unit}`,
          ).join('; ')}
          . Filter:{' '}
          {vehicle.filter
            ? `${vehicle.filter.diameterMm} × ${vehicle.filter.lengthMm} mm, ${vehicle.filter.cpsi} cells per square inch, wall ${vehicle.filter.wallMm} mm (${vehicle.filter.basis})`
            : 'size not known'}
          .
        </p>
      </section>

      <footer className="flex justify-between gap-8 pt-6 text-sm break-inside-avoid">
        <p className="border-t-2 border-ink grow pt-1">
          {derived.signedOff
            ? `Signed off: ${derived.signedOff.authorName}, ${time(derived.signedOff)}`
            : 'Not signed off'}
        </p>
        <p className="border-t-2 border-ink grow pt-1">Customer</p>
        <p className="text-ink2 pt-1">White Ember 0.1.0</p>
      </footer>
    </main>
  );
}
