import { useState } from 'react';
import { followUpsOf } from '@white-ember/core/job';
import { toBase, unitLabel } from '@white-ember/core/quantities';
import { useAppSelector } from '../../app/store.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { typedNumber } from '../../ui/format.ts';
import { useDraftForm } from '../../ui/useDraft.ts';
import { useAddEntry } from '../job/useAddEntry.ts';
import type { OpenJob } from '../job/useJob.ts';
import { CalendarLink } from './TaskList.tsx';
import { whenDue } from './taskWords.ts';

const EMPTY = { what: '', due: '', distance: '' };

/** What is to be done after the job: worked out from its ledger, and what a person sets. */
export function FollowUps({ open, canEnter }: { open: OpenJob; canEnter: boolean }) {
  const { derived, job, limits, vehicle } = open;
  const unit = useAppSelector((state) => state.preferences.distanceUnit);
  const addEntry = useAddEntry(job.id);
  const tasks = followUpsOf(derived, limits);
  const { form, done: typedIsDone } = useDraftForm(`follow-up ${job.id}`, EMPTY);
  const [problems, setProblems] = useState<Record<string, string>>({});
  const submit = form.handleSubmit(async (values) => {
    const { what, due, distance } = values;
    const typed = typedNumber(distance);
    const wrong = await addEntry({
      kind: 'follow-up',
      what,
      ...(due === '' ? {} : { due }),
      ...(typed === undefined ? {} : { dueKm: Number.isNaN(typed) ? typed : toBase(typed, unit) }),
    });
    setProblems(wrong ?? {});
    if (!wrong) typedIsDone(values);
  });
  return (
    <section aria-label="Follow-ups" className="grid gap-3">
      <div className="flex flex-wrap items-baseline gap-x-4 border-b-2 border-ink">
        <h3 className="text-xl grow">Follow-ups</h3>
        {tasks.length > 0 ? <CalendarLink vehicleId={vehicle.id} /> : null}
      </div>
      {tasks.length === 0 ? <p className="text-ink2">None suggested.</p> : null}
      <ul className="grid gap-2">
        {tasks.map(({ key, what, why, done, ...when }) => (
          <li key={key} className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-3 items-center">
            <div>
              <p className={done ? 'line-through text-ink2' : 'font-bold'}>{what}</p>
              <p className="text-sm text-ink2">
                {done
                  ? `Done by ${done.by}${done.how ? `: ${done.how}` : ''}`
                  : [whenDue(when, unit), why].filter(Boolean).join('. ')}
              </p>
            </div>
            {canEnter && !done ? (
              <Button
                aria-label={`Done: ${what}`}
                onClick={() => void addEntry({ kind: 'follow-up-done', task: key })}
              >
                Done
              </Button>
            ) : null}
          </li>
        ))}
      </ul>
      {canEnter ? (
        <form onSubmit={(event) => void submit(event)} className="grid sm:grid-cols-2 gap-3" noValidate>
          <Field label="To be done" className="sm:col-span-2" error={problems['what']}>
            <input className="input-box" {...form.register('what')} />
          </Field>
          <Field label="By" error={problems['due']}>
            <input className="input-box" type="date" {...form.register('due')} />
          </Field>
          <Field label="Or at" unit={unitLabel(unit)} error={problems['dueKm']}>
            <input className="input-box" inputMode="numeric" {...form.register('distance')} />
          </Field>
          <Button type="submit" className="sm:col-span-2">
            Set the follow-up
          </Button>
        </form>
      ) : null}
    </section>
  );
}
