import { useState } from 'react';
import { FACE_WORDS } from '@white-ember/core/job';
import { entriesOfKind, FACES, type Face } from '@white-ember/core/ledger';
import { Button } from '../../../ui/Button.tsx';
import { Field } from '../../../ui/Field.tsx';
import { typedNumber } from '../../../ui/format.ts';
import { useDraftForm } from '../../../ui/useDraft.ts';
import { useAddEntry } from '../../job/useAddEntry.ts';
import type { OpenJob } from '../../job/useJob.ts';

const EMPTY = { mass: '', dry: '', newMass: '', inlet: '', outlet: '', note: '' };

/** The filter on the scales and its faces, before the clean or after it. */
export function FilterOffForm({ open, when }: { open: OpenJob; when: 'before' | 'after' }) {
  const addEntry = useAddEntry(open.job.id);
  const { form, done } = useDraftForm(`filter off ${when} ${open.job.id}`, EMPTY);
  const [problems, setProblems] = useState<Record<string, string>>({});
  const said = entriesOfKind(open.derived.entries, 'filter-off').filter(({ body }) => body.when === when);
  const submit = form.handleSubmit(async (values) => {
    const massKg = typedNumber(values.mass);
    const newMassKg = typedNumber(values.newMass);
    const wrong = await addEntry({
      kind: 'filter-off',
      when,
      ...(massKg === undefined ? {} : { massKg }),
      ...(values.dry === '' ? {} : { dry: values.dry === 'dry' }),
      ...(newMassKg === undefined ? {} : { newMassKg }),
      ...(values.inlet ? { inlet: values.inlet as Face } : {}),
      ...(values.outlet ? { outlet: values.outlet as Face } : {}),
      ...(values.note.trim() ? { note: values.note } : {}),
    });
    setProblems(wrong ?? {});
    if (!wrong) done();
  });
  return (
    <div className="grid gap-2">
      {said.map(({ id, body }) => (
        <p key={id} className="border-b-2 border-rule py-1">
          {body.massKg === undefined ? null : <span className="figure-text text-xl">{body.massKg} kg </span>}
          {[
            body.massKg === undefined ? undefined : body.dry ? 'dry' : 'not dry',
            body.inlet ? `inlet ${FACE_WORDS[body.inlet]}` : undefined,
            body.outlet ? `outlet ${FACE_WORDS[body.outlet]}` : undefined,
            body.note,
          ]
            .filter((text) => text)
            .join('; ')}
        </p>
      ))}
      <form
        noValidate
        onSubmit={(event) => void submit(event)}
        aria-label={`Filter ${when} the clean`}
        className="grid grid-cols-2 sm:grid-cols-4 gap-3 items-start"
      >
        <Field label="Mass" unit="kg" error={problems['massKg']}>
          <input className="input-box" inputMode="decimal" {...form.register('mass')} />
        </Field>
        <Field label="It is" error={problems['dry']}>
          <select className="input-box" {...form.register('dry')}>
            <option value="">–</option>
            <option value="dry">dry</option>
            <option value="wet">not dry</option>
          </select>
        </Field>
        {(['inlet', 'outlet'] as const).map((face) => (
          <Field key={face} label={face === 'inlet' ? 'Inlet face' : 'Outlet face'}>
            <select className="input-box" {...form.register(face)}>
              <option value="">–</option>
              {FACES.map((look) => (
                <option key={look} value={look}>
                  {FACE_WORDS[look]}
                </option>
              ))}
            </select>
          </Field>
        ))}
        {when === 'after' ? (
          <Field
            label="A new one weighs"
            unit="kg"
            hint="Label or maker’s data"
            error={problems['newMassKg']}
          >
            <input className="input-box" inputMode="decimal" {...form.register('newMass')} />
          </Field>
        ) : null}
        <Field label="Note" className={when === 'after' ? 'sm:col-span-2' : 'col-span-2 sm:col-span-3'}>
          <input className="input-box" {...form.register('note')} />
        </Field>
        <Button type="submit" className="self-end">
          Enter it
        </Button>
      </form>
    </div>
  );
}
