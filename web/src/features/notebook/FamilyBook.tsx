import { own } from '@white-ember/core/text';
import { sentenceOf } from '@white-ember/core/diagnosis';
import { useState } from 'react';
import { Link } from 'react-router';
import { CHECK_LABELS } from '@white-ember/core/checks';
import type { FamilyBook as Book } from '@white-ember/core/contract';
import { FAMILY_TOPICS } from '@white-ember/core/ledger';
import { useFamilyBookQuery } from '../../app/api.ts';
import { useAppSelector } from '../../app/store.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { typedNumber, withUnit } from '../../ui/format.ts';
import { useDraftForm } from '../../ui/useDraft.ts';
import { useAddEntry } from '../job/useAddEntry.ts';
import type { OpenJob } from '../job/useJob.ts';

type Topic = (typeof FAMILY_TOPICS)[number];

const TOPIC_WORDS: Record<Topic, string> = {
  access: 'Access',
  time: 'Time',
  tool: 'Tool',
  'pipe-route': 'Where the pipe runs',
  'good-reading': 'Good reading',
  'weak-spot': 'Weak spot',
  other: 'Other',
};

/** What earlier jobs taught about this engine family, and what this customer's other vehicles of it propose for this one. */
export function FamilyBook({ open }: { open: OpenJob }) {
  const { data } = useFamilyBookQuery(open.vehicle.id);
  if (!data) return null;
  const notes = data.notes.filter(({ jobId }) => jobId !== open.job.id);
  const weak = data.weakSpots.filter(({ jobs, last }) => jobs > 1 || last.jobId !== open.job.id);
  const good = data.goodReadings.filter(({ jobId }) => jobId !== open.job.id);
  if (notes.length + weak.length + good.length + data.proposals.length === 0) return null;
  return (
    <div>
      <h2 className="text-xl mb-1">Notebook: {data.family}</h2>
      {data.proposals.length > 0 ? <Proposals proposals={data.proposals} jobId={open.job.id} /> : null}
      <ul className="border-t-2 border-ink">
        {weak.slice(0, 3).map(({ cause, jobs, last }) => (
          <li key={cause} className="border-b-2 border-rule py-1.5 text-[15px]">
            <b>{sentenceOf(cause)}</b>: confirmed in {jobs} {jobs === 1 ? 'job' : 'jobs'}, last{' '}
            <Link className="underline underline-offset-4" to={`/jobs/${last.jobId}`}>
              {last.plate}, job {last.jobNumber}
            </Link>
          </li>
        ))}
        {notes.slice(0, 5).map(({ topic, text, minutes, plate, jobNumber, jobId }, i) => (
          <li key={`${jobId} ${i}`} className="border-b-2 border-rule py-1.5 text-[15px]">
            <b>{TOPIC_WORDS[topic]}</b>: {text}
            {minutes === undefined ? '' : ` (${minutes} min)`}
            <span className="text-ink2">
              {' '}
              · {plate}, job {jobNumber}
            </span>
          </li>
        ))}
      </ul>
      <GoodReadings readings={good} />
    </div>
  );
}

function Proposals({ proposals, jobId }: { proposals: Book['proposals']; jobId: string }) {
  return (
    <ul className="grid gap-2 mb-2" aria-label="Suggested for this vehicle">
      {proposals.map(({ cause, check, plate, jobNumber }) => (
        <li key={cause} className="border-l-8 border-ink bg-card p-2 text-[15px]">
          Confirmed on {plate} (job {jobNumber}), same customer and family: {sentenceOf(cause)}.
          {check ? (
            <Link
              className="block underline underline-offset-4 font-head font-semibold min-h-11 content-center"
              to={`/jobs/${jobId}?stage=checks&check=${check}`}
            >
              {own<string>(CHECK_LABELS, check) ?? check}
            </Link>
          ) : null}
        </li>
      ))}
    </ul>
  );
}

function GoodReadings({ readings }: { readings: Book['goodReadings'] }) {
  const unit = useAppSelector((state) => state.preferences.pressureUnit);
  if (readings.length === 0) return null;
  return (
    <p className="text-[15px] text-ink2 pt-1">
      ΔP when good:{' '}
      {readings
        .slice(0, 6)
        .map(
          ({ kind, rpm, dpMbar, plate }) =>
            `${kind === 'idle' ? 'idle' : `${Math.round(rpm / 50) * 50} rpm`} ${withUnit(dpMbar, unit)} (${plate})`,
        )
        .join(' · ')}
    </p>
  );
}

const EMPTY = { topic: 'access' as Topic, text: '', minutes: '' };

/** Keeps what was learned for the next vehicle of the family. */
export function FamilyNoteForm({ open }: { open: OpenJob }) {
  const addEntry = useAddEntry(open.job.id);
  const { form, done } = useDraftForm(`family note ${open.job.id}`, EMPTY);
  const [problem, setProblem] = useState<string>();
  const submit = form.handleSubmit(async ({ topic, text, minutes }) => {
    const typed = typedNumber(minutes);
    const wrong = await addEntry({
      kind: 'family-note',
      topic,
      text,
      ...(typed === undefined ? {} : { minutes: typed }),
    });
    setProblem(wrong ? Object.values(wrong)[0] : undefined);
    if (!wrong) done();
  });
  return (
    <form onSubmit={(event) => void submit(event)} className="grid grid-cols-[1fr_7rem] gap-3" noValidate>
      <Field label="About">
        <select className="input-box" {...form.register('topic')}>
          {FAMILY_TOPICS.map((id) => (
            <option key={id} value={id}>
              {TOPIC_WORDS[id]}
            </option>
          ))}
        </select>
      </Field>
      <Field label="Time" unit="min">
        <input className="input-box" inputMode="numeric" {...form.register('minutes')} />
      </Field>
      <Field
        label={`For the next ${open.vehicle.family}`}
        className="col-span-2"
        error={problem}
        hint="Pipe routing, tool, good readings"
      >
        <textarea className="input-box" rows={2} {...form.register('text')} />
      </Field>
      <Button type="submit" className="col-span-2">
        Save for the family
      </Button>
    </form>
  );
}
