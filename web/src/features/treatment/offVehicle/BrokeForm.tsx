import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { BREAKS, type Break, type PartId, PART_LABELS } from '@white-ember/core/ledger';
import { BREAK_ADVICE } from '@white-ember/core/treatment';
import { Button } from '../../../ui/Button.tsx';
import { Field } from '../../../ui/Field.tsx';
import { typedNumber } from '../../../ui/format.ts';
import { useDraftForm } from '../../../ui/useDraft.ts';
import { useAddEntry } from '../../job/useAddEntry.ts';
import type { OpenJob } from '../../job/useJob.ts';

const BREAK_LABELS: Readonly<Record<Break, string>> = {
  'snapped-sensor': 'A sensor snapped',
  'stripped-thread': 'A thread or boss stripped',
  'snapped-fastener': 'A bolt or nut snapped',
  other: 'Something else',
};
const EMPTY = {
  broke: 'snapped-sensor' as Break,
  what: '',
  part: '',
  thread: '',
  position: '',
  reach: '',
  order: '',
  number: '',
  supplier: '',
  due: '',
};

/** A part broke in the work: what it needs, and what is on order for it. The job stays open for it. */
export function BrokeForm({ open }: { open: OpenJob }) {
  const addEntry = useAddEntry(open.job.id);
  const { form, done } = useDraftForm(`broke ${open.job.id}`, EMPTY);
  const broke = useWatch({ control: form.control, name: 'broke' });
  const [problems, setProblems] = useState<Record<string, string>>({});
  const boss = broke === 'snapped-sensor' || broke === 'stripped-thread';
  const submit = form.handleSubmit(async (values) => {
    const reachMm = typedNumber(values.reach);
    const wrong = await addEntry({
      kind: 'part-broke',
      broke: values.broke,
      what: values.what,
      ...(values.part ? { part: values.part as PartId } : {}),
      ...(boss && values.thread.trim() ? { thread: values.thread } : {}),
      ...(boss && values.position.trim() ? { position: values.position } : {}),
      ...(boss && reachMm !== undefined ? { reachMm } : {}),
      ...(values.order.trim()
        ? {
            order: {
              name: values.order,
              ...(values.number.trim() ? { number: values.number } : {}),
              ...(values.supplier.trim() ? { supplier: values.supplier } : {}),
              ...(values.due ? { due: values.due } : {}),
            },
          }
        : {}),
    });
    setProblems(wrong ?? {});
    if (!wrong) done();
  });
  return (
    <details className="border-2 border-rule bg-card">
      <summary className="font-head font-semibold min-h-12 px-3 content-center">Something broke</summary>
      <form
        noValidate
        onSubmit={(event) => void submit(event)}
        aria-label="Something broke"
        className="grid sm:grid-cols-2 gap-3 p-3 pt-0"
      >
        <Field label="What happened">
          <select className="input-box" {...form.register('broke')}>
            {BREAKS.map((one) => (
              <option key={one} value={one}>
                {BREAK_LABELS[one]}
              </option>
            ))}
          </select>
        </Field>
        <Field label="Which" error={problems['what']}>
          <input className="input-box" {...form.register('what')} />
        </Field>
        <Field label="On the line">
          <select className="input-box" {...form.register('part')}>
            <option value="">none of the line</option>
            {open.vehicle.fitted.map((id) => (
              <option key={id} value={id}>
                {PART_LABELS[id]}
              </option>
            ))}
          </select>
        </Field>
        {boss ? (
          <>
            <Field label="Thread" hint="Pitch, by the gauge">
              <input className="input-box" placeholder="M14 × 1.5" {...form.register('thread')} />
            </Field>
            <Field label="Where the boss is" error={problems['position']}>
              <input className="input-box" {...form.register('position')} />
            </Field>
            <Field label="Cable reaches" unit="mm" error={problems['reachMm']}>
              <input className="input-box" inputMode="numeric" {...form.register('reach')} />
            </Field>
          </>
        ) : null}
        <ul className="sm:col-span-2 list-disc pl-5 border-l-8 border-ink">
          {BREAK_ADVICE[broke].map((text) => (
            <li key={text} className="ml-3">
              {text}
            </li>
          ))}
        </ul>
        <Field label="On order" hint="Left empty, nothing is" error={problems['order.name']}>
          <input className="input-box" {...form.register('order')} />
        </Field>
        <Field label="Number">
          <input className="input-box" {...form.register('number')} />
        </Field>
        <Field label="Supplier">
          <input className="input-box" {...form.register('supplier')} />
        </Field>
        <Field label="Due" error={problems['order.due']}>
          <input className="input-box" type="date" {...form.register('due')} />
        </Field>
        <Button type="submit" className="sm:col-span-2">
          Save; open until settled
        </Button>
      </form>
    </details>
  );
}
