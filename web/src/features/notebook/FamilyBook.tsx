import * as wording from '@white-ember/core/words/screens/notebook';
import * as common from '@white-ember/core/words/screens/common';
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
  access: wording.access,
  time: common.time,
  tool: wording.tool,
  'pipe-route': wording.whereThePipeRuns,
  'good-reading': wording.goodReading,
  'weak-spot': wording.weakSpot,
  other: common.other,
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
      <h2 className="text-xl mb-1">{wording.notebook(data.family)}</h2>
      {data.proposals.length > 0 ? <Proposals proposals={data.proposals} jobId={open.job.id} /> : null}
      <ul className="border-t-2 border-ink">
        {weak.slice(0, 3).map(({ cause, jobs, last }) => (
          <li key={cause} className="border-b-2 border-rule py-1.5 text-[15px]">
            <b>{words.say(sentenceOf(cause))}</b>
            {wording.confirmedInLast(jobs, jobs === 1 ? common.jobWithin : common.jobsWithin)}{' '}
            <Link className="underline underline-offset-4" to={`/jobs/${last.jobId}`}>
              {common.jobWithPlate(last.plate, last.jobNumber)}
            </Link>
          </li>
        ))}
        {notes.slice(0, 5).map(({ topic, text, minutes, plate, jobNumber, jobId }, i) => (
          <li key={`${jobId} ${i}`} className="border-b-2 border-rule py-1.5 text-[15px]">
            <b>{TOPIC_WORDS[topic]}</b>: {text}
            {minutes === undefined ? '' : wording.min(minutes)}
            <span className="text-ink2"> {wording.job(plate, jobNumber)}</span>
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
    <ul className="grid gap-2 mb-2" aria-label={wording.suggestedForThisVehicle}>
      {proposals.map(({ cause, check, plate, jobNumber }) => (
        <li key={cause} className="border-l-8 border-ink bg-card p-2 text-[15px]">
          {wording.confirmedOnJobSameCustomerAnd(plate, jobNumber, words.say(sentenceOf(cause)))}
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
      {wording.deltapWhenGood(
        readings
          .slice(0, 6)
          .map(
            ({ kind, rpm, dpMbar, plate }) =>
              `${kind === 'idle' ? 'idle' : common.rpm(Math.round(rpm / 50) * 50)} ${words.pressure(dpMbar)} (${plate})`,
          )
          .join(' · '),
      )}
    </p>
  );
}

const FIELDS: FieldsOf<'family-note'> = { topic: choice('access'), text: text(), minutes: figure('min') };

/** Keeps what was learned for the next vehicle of the family. */
export function FamilyNoteForm({ open }: { open: OpenJob }) {
  const form = useEntryForm(open, 'family-note', FIELDS, { draft: 'family note' });
  return (
    <EntryForm of={form} className="grid grid-cols-[1fr_7rem] gap-3">
      <ChoiceField
        name="topic"
        label={wording.about}
        options={FAMILY_TOPICS.map((id) => [id, TOPIC_WORDS[id]])}
      />
      <FigureField name="minutes" label={common.time} />
      <TextField
        name="text"
        label={wording.forTheNext(open.vehicle.family)}
        className="col-span-2"
        hint={wording.pipeRoutingToolGoodReadings}
        rows={2}
      />
      <SaveButton className="col-span-2">{wording.saveForTheFamily}</SaveButton>
    </EntryForm>
  );
}
