import * as wording from '@white-ember/core/words/screens/tasks';
import { followUpsOf } from '@white-ember/core/job';
import { useSpoken, useWords } from '../../data/words.ts';
import { FigureField, SaveButton, TextField } from '../../form/FieldForm.tsx';
import { figure, optionalText, text } from '../../form/kinds.ts';
import { Button } from '../../ui/Button.tsx';
import { EntryForm } from '../../job/EntryForm.tsx';
import { useAddEntry, type AddEntry } from '../../job/useAddEntry.ts';
import { useEntryForm, type FieldsOf } from '../../job/useEntryForm.ts';
import type { OpenJob } from '../../job/useJob.ts';
import { CalendarLink } from './TaskList.tsx';
import { whenDue } from './taskWords.ts';

const FIELDS: FieldsOf<'follow-up'> = { what: text(), due: optionalText(), dueKm: figure('km') };

/** What is to be done after the job: worked out from its ledger, and what a person sets. */
export function FollowUps({ open, canEnter }: { open: OpenJob; canEnter: boolean }) {
  const { derived, job, limits, vehicle } = open;
  const addEntry = useAddEntry(job.id);
  const tasks = useSpoken(followUpsOf(derived, limits));
  const form = useEntryForm(open, 'follow-up', FIELDS);
  return (
    <section aria-label={wording.followUps} className="grid gap-3">
      <div className="flex flex-wrap items-baseline gap-x-4 border-b-2 border-ink">
        <h3 className="text-xl grow">{wording.followUps}</h3>
        {tasks.length > 0 ? <CalendarLink vehicleId={vehicle.id} /> : null}
      </div>
      {tasks.length === 0 ? <p className="text-ink2">{wording.noneSuggested}</p> : null}
      <ul className="grid gap-2">
        {tasks.map(({ key, what, why, done, ...when }) => (
          <FollowUp
            key={key}
            task={key}
            done={done}
            what={what}
            when={when}
            why={why}
            canEnter={canEnter}
            addEntry={addEntry}
          />
        ))}
      </ul>
      {canEnter ? (
        <EntryForm of={form} className="grid sm:grid-cols-2 gap-3">
          <TextField name="what" label={wording.toBeDone} className="sm:col-span-2" />
          <TextField name="due" label={wording.by} type="date" />
          <FigureField name="dueKm" label={wording.orAt} />
          <SaveButton className="sm:col-span-2">{wording.setTheFollowUp}</SaveButton>
        </EntryForm>
      ) : null}
    </section>
  );
}

/** One task that follows from the job. */
function FollowUp({
  task,
  done,
  what,
  when,
  why,
  canEnter,
  addEntry,
}: {
  task: string;
  done: { at: string; by: string; how?: string | undefined } | undefined;
  what: string;
  when: Parameters<typeof whenDue>[0];
  why: string | undefined;
  canEnter: boolean;
  addEntry: AddEntry;
}) {
  const words = useWords();
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-3 items-center">
      <div>
        <p className={done ? 'line-through text-ink2' : 'font-bold'}>{what}</p>
        <p className="text-sm text-ink2">
          {done
            ? wording.doneBy(done.by, done.how ? `: ${done.how}` : '')
            : [whenDue(when, words), why].filter(Boolean).join('. ')}
        </p>
      </div>
      {canEnter && !done ? (
        <Button
          aria-label={wording.done(what)}
          onClick={() => void addEntry({ kind: 'follow-up-done', task: task })}
        >
          {wording.doneTitle}
        </Button>
      ) : null}
    </li>
  );
}
