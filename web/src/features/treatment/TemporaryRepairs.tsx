import { useState } from 'react';
import { KNOWN_CAUSES, sentenceOf } from '@white-ember/core/diagnosis';
import type { OpenMatter } from '@white-ember/core/job';
import { PART_LABELS, type PartId } from '@white-ember/core/ledger';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { useDraftForm } from '../../ui/useDraft.ts';
import { useDiagnosis } from '../diagnosis/useDiagnosis.ts';
import { useAddEntry } from '../job/useAddEntry.ts';
import type { OpenJob } from '../job/useJob.ts';

const EMPTY = {
  what: '',
  cause: '',
  part: '' as '' | PartId,
  name: '',
  number: '',
  supplier: '',
  due: '',
};
/** Of the likely ones so many are named first. */
const NAMED_FIRST = 6;

/** Repairs that hold for now and what broke: open until they are settled, with the part on order. */
export function TemporaryRepairs({ open, canEnter }: { open: OpenJob; canEnter: boolean }) {
  const addEntry = useAddEntry(open.job.id);
  const { form, done } = useDraftForm(`temporary ${open.job.id}`, EMPTY);
  const [problems, setProblems] = useState<Record<string, string>>({});
  const repairs = open.derived.open.filter(({ kind }) => kind !== 'choice');
  const diagnosis = useDiagnosis(open);
  const found = open.derived.causes.filter(({ state }) => state === 'confirmed').map(({ cause }) => cause);
  const likely = (diagnosis?.posterior.causes ?? []).slice(0, NAMED_FIRST).map(({ id }) => id);
  const causes = [...new Set([...found, ...likely, ...KNOWN_CAUSES.map(({ id }) => id)])];
  const submit = form.handleSubmit(async ({ what, cause, part, name, number, supplier, due }) => {
    const wrong = await addEntry({
      kind: 'temporary-repair',
      what,
      ...(cause === '' ? {} : { cause }),
      ...(part === '' ? {} : { part }),
      ...(name === ''
        ? {}
        : {
            order: {
              name,
              ...(number === '' ? {} : { number }),
              ...(supplier === '' ? {} : { supplier }),
              ...(due === '' ? {} : { due }),
            },
          }),
    });
    setProblems(wrong ?? {});
    if (!wrong) done();
  });
  return (
    <section className="grid gap-3">
      <h2 className="text-xl border-b-2 border-ink">Temporary repairs, parts on order</h2>
      {repairs.map((matter) => (
        <OpenRepair key={matter.entry.id} matter={matter} open={open} canEnter={canEnter} />
      ))}
      {repairs.length === 0 ? <p className="text-ink2">None is open.</p> : null}
      {canEnter ? (
        <details className="border-2 border-rule bg-card">
          <summary className="font-head font-semibold min-h-12 px-3 content-center">
            Enter a temporary repair
          </summary>
          <form
            onSubmit={(event) => void submit(event)}
            className="grid sm:grid-cols-2 gap-3 p-3 pt-0"
            noValidate
          >
            <Field label="What was done for now" className="sm:col-span-2" error={problems['what']}>
              <input className="input-box" {...form.register('what')} />
            </Field>
            <Field label="Cause fixed for now" hint="Lifts what this cause blocked">
              <select className="input-box" {...form.register('cause')}>
                <option value="">no known cause</option>
                {causes.map((id) => (
                  <option key={id} value={id}>
                    {sentenceOf(id)}
                  </option>
                ))}
              </select>
            </Field>
            <Field label="Part of the line">
              <select className="input-box" {...form.register('part')}>
                <option value="">none</option>
                {open.vehicle.fitted.map((id) => (
                  <option key={id} value={id}>
                    {PART_LABELS[id]}
                  </option>
                ))}
              </select>
            </Field>
            <Field label="On order" error={problems['order.name']}>
              <input className="input-box" {...form.register('name')} />
            </Field>
            <Field label="Part number">
              <input className="input-box" {...form.register('number')} />
            </Field>
            <Field label="Supplier">
              <input className="input-box" {...form.register('supplier')} />
            </Field>
            <Field label="Due" error={problems['order.due']}>
              <input className="input-box" type="date" {...form.register('due')} />
            </Field>
            <Button type="submit" className="sm:col-span-2">
              Save, open until settled
            </Button>
          </form>
        </details>
      ) : null}
    </section>
  );
}

function OpenRepair({ matter, open, canEnter }: { matter: OpenMatter; open: OpenJob; canEnter: boolean }) {
  const addEntry = useAddEntry(open.job.id);
  const [how, setHow] = useState('');
  const [problem, setProblem] = useState<string>();
  const settle = async (): Promise<void> => {
    const wrong = await addEntry({ kind: 'settled', entry: matter.entry.id, how });
    setProblem(wrong ? Object.values(wrong)[0] : undefined);
  };
  const { body } = matter.entry;
  const order = body.kind === 'choice-offered' ? undefined : body.order;
  return (
    <div className="border-l-8 border-ember bg-card p-3 grid gap-2">
      <p className="font-head font-semibold">{matter.text}</p>
      {order ? (
        <p className="text-sm text-ink2">
          {[
            `on order: ${order.name}`,
            ...(order.number ? [`no. ${order.number}`] : []),
            ...(order.supplier ? [order.supplier] : []),
            ...(order.due ? [`due ${order.due}`] : []),
          ].join(' · ')}
        </p>
      ) : (
        <p className="text-sm text-ink2">No part on order for it.</p>
      )}
      {canEnter ? (
        <div className="grid sm:grid-cols-[1fr_auto] gap-3 items-end">
          <Field label="Settled by" error={problem}>
            <input className="input-box" value={how} onChange={(event) => setHow(event.target.value)} />
          </Field>
          <Button onClick={() => void settle()}>Settled</Button>
        </div>
      ) : null}
    </div>
  );
}
