import { useWords } from '../../data/words.ts';
import { named } from '@white-ember/core/words';
import { sentenceOf } from '@white-ember/core/diagnosis';
import { Link } from 'react-router';
import type { FamilyBook as Book } from '@white-ember/core/contract';
import { FAMILY_TOPICS } from '@white-ember/core/ledger';
import { useFamilyBookQuery } from '../../data/api.ts';
import { ChoiceField, FigureField, SaveButton, TextField } from '../../form/FieldForm.tsx';
import { choice, figure, text } from '../../form/kinds.ts';
import { EntryForm } from '../../job/EntryForm.tsx';
import { useEntryForm, type FieldsOf } from '../../job/useEntryForm.ts';
import type { OpenJob } from '../../job/useJob.ts';

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
  const words = useWords();
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
            <b>{words.say(sentenceOf(cause))}</b>: confirmed in {jobs} {jobs === 1 ? 'job' : 'jobs'}, last{' '}
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
  const words = useWords();
  return (
    <ul className="grid gap-2 mb-2" aria-label="Suggested for this vehicle">
      {proposals.map(({ cause, check, plate, jobNumber }) => (
        <li key={cause} className="border-l-8 border-ink bg-card p-2 text-[15px]">
          Confirmed on {plate} (job {jobNumber}), same customer and family: {words.say(sentenceOf(cause))}.
          {check ? (
            <Link
              className="block underline underline-offset-4 font-head font-semibold min-h-11 content-center"
              to={`/jobs/${jobId}?stage=checks&check=${check}`}
            >
              {words.say(named('checkNames', check, check))}
            </Link>
          ) : null}
        </li>
      ))}
    </ul>
  );
}

function GoodReadings({ readings }: { readings: Book['goodReadings'] }) {
  const words = useWords();
  if (readings.length === 0) return null;
  return (
    <p className="text-[15px] text-ink2 pt-1">
      ΔP when good:{' '}
      {readings
        .slice(0, 6)
        .map(
          ({ kind, rpm, dpMbar, plate }) =>
            `${kind === 'idle' ? 'idle' : `${Math.round(rpm / 50) * 50} rpm`} ${words.pressure(dpMbar)} (${plate})`,
        )
        .join(' · ')}
    </p>
  );
}

const FIELDS: FieldsOf<'family-note'> = { topic: choice('access'), text: text(), minutes: figure('min') };

/** Keeps what was learned for the next vehicle of the family. */
export function FamilyNoteForm({ open }: { open: OpenJob }) {
  const form = useEntryForm(open, 'family-note', FIELDS, { draft: 'family note' });
  return (
    <EntryForm of={form} className="grid grid-cols-[1fr_7rem] gap-3">
      <ChoiceField name="topic" label="About" options={FAMILY_TOPICS.map((id) => [id, TOPIC_WORDS[id]])} />
      <FigureField name="minutes" label="Time" />
      <TextField
        name="text"
        label={`For the next ${open.vehicle.family}`}
        className="col-span-2"
        hint="Pipe routing, tool, good readings"
        rows={2}
      />
      <SaveButton className="col-span-2">Save for the family</SaveButton>
    </EntryForm>
  );
}
